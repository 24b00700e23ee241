package keyslate.store.slate;

/**
 * An area of a local plan.
 *
 * @param areaKey stays the same from recipe to recipe
 * @param shape outline as JSON: kind and points in fractions of the frame
 * @param softEdge width of the soft edge, fraction of the frame's longer side, 0 to 1
 * @param changeStops −4 (held back) to +6 (burned)
 * @param filter label for a burn at another grade; null = the base's
 * @param tool what the hands use, up to 60 characters
 */
public record Area(
        String areaKey, String name, String shape, double softEdge, double changeStops, String filter, String tool) {}
