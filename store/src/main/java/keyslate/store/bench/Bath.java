package keyslate.store.bench;

/**
 * A bath.
 *
 * @param place in the row, from 1
 * @param process MONOCHROME or COLOUR
 * @param capacityM2 the paper area it can take, square metres; {@code usedM2} what it has taken
 */
public record Bath(
        String id, int place, String process, String name, String mixedAt, double capacityM2, double usedM2) {}
