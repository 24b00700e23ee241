package keyslate.store.json;

/**
 * One look of several at a test: its marks, in patches from the first; null what was not marked in it.
 *
 * @param whitesAt where the whites hold
 * @param blacksAt the first true black
 * @param rightAt where the density is right
 */
public record Look(Double whitesAt, Double blacksAt, Double rightAt) {}
