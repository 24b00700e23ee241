package keyslate.store.slate;

/** An area of a local plan; shape as JSON, change in stops (positive = burn), filter null = the base's. */
public record Area(
        String areaKey, String name, String shape, double softEdge, double changeStops, String filter, String tool) {}
