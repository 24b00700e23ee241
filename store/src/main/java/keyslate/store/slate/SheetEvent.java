package keyslate.store.slate;

/**
 * What happened to a sheet after its light.
 *
 * @param place from 1, in order
 * @param kind DRUM_CLOSED, IN_DEVELOPER, IN_STOP, IN_FIXER or GLANCE
 */
public record SheetEvent(String sheetId, int place, String kind, String happenedAt) {}
