package keyslate.store.bench;

/** A lens: focal length, engraved full and smallest opening, click stops, and the longest film diagonal it covers. */
public record Lens(
        String id,
        String name,
        double focalMm,
        double openMark,
        double smallestMark,
        int marksPerStop,
        double coversMm) {}
