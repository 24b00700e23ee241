package keyslate.store.bench;

import java.util.List;

/**
 * A kit of viewing filters.
 *
 * @param name 1 to 40 characters, the only one of its name in whatever case
 * @param says what stands on its filters: STRENGTH or CORRECTION
 * @param strengths points that stand on them, the weakest first
 */
public record Kit(String name, String says, List<Double> strengths) {
    public static final String STRENGTH = "STRENGTH";
    public static final String CORRECTION = "CORRECTION";

    public Kit {
        strengths = List.copyOf(strengths);
    }
}
