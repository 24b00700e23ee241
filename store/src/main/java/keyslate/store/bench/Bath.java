package keyslate.store.bench;

/** A bath with the paper area it can take and has taken, square metres. */
public record Bath(String id, int place, String name, String mixedAt, double capacityM2, double usedM2) {}
