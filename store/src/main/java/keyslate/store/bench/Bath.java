package keyslate.store.bench;

/**
 * A bath.
 *
 * @param place in the row, from 1
 * @param process MONOCHROME or COLOUR
 * @param leastSeconds how long paper lies in it before white light is safe; null = as is usual
 * @param capacityM2 the paper area it can take, square metres; {@code usedM2} what it has taken
 */
public record Bath(
        String id,
        int place,
        String process,
        String name,
        String mixedAt,
        double capacityM2,
        double usedM2,
        Double leastSeconds) {
    /** One whose least time is as usual. */
    public Bath(String id, int place, String process, String name, String mixedAt, double capacityM2, double usedM2) {
        this(id, place, process, name, mixedAt, capacityM2, usedM2, null);
    }
}
