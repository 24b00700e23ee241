package keyslate.server.stores;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.server.web.FieldErrors;
import keyslate.store.bench.StoresRepository;
import org.jspecify.annotations.Nullable;

/**
 * Times one likes to work with: long enough for hands, short enough for heat and patience.
 *
 * @param own whether its owner said so; else a default
 */
public record TimeWindow(ExposureTime shortest, ExposureTime longest, boolean own) {
    static final String SHORTEST = "SHORTEST_S";
    static final String LONGEST = "LONGEST_S";
    static final double USUAL_SHORTEST = 8;
    static final double USUAL_LONGEST = 30;

    private static final double LEAST_S = 0.5;
    private static final double MOST_S = 600;

    /** With what was given instead; one that is empty is said at its field. */
    TimeWindow moved(FieldErrors errors, @Nullable Double newShortest, @Nullable Double newLongest) {
        ExposureTime least = side(errors, "/shortestSeconds", newShortest, shortest);
        ExposureTime most = side(errors, "/longestSeconds", newLongest, longest);
        if (least.compareTo(most) >= 0) {
            errors.add(
                    newLongest == null ? "/shortestSeconds" : "/longestSeconds",
                    "E_RANGE",
                    "The longest time has to be longer than the shortest.");
        }
        return new TimeWindow(least, most, true);
    }

    private static ExposureTime side(FieldErrors errors, String pointer, @Nullable Double given, ExposureTime now) {
        return given == null
                ? now
                : errors.check(
                        pointer,
                        now,
                        () -> ExposureTime.ofSeconds(Check.within("workable time", given, LEAST_S, MOST_S, "s")));
    }

    void keep(StoresRepository stores) {
        stores.prefer(SHORTEST, Double.toString(shortest.inSeconds()));
        stores.prefer(LONGEST, Double.toString(longest.inSeconds()));
    }

    public static TimeWindow of(StoresRepository stores) {
        double shortest = stores.preference(SHORTEST).map(Double::valueOf).orElse(USUAL_SHORTEST);
        double longest = stores.preference(LONGEST).map(Double::valueOf).orElse(USUAL_LONGEST);
        return new TimeWindow(
                ExposureTime.ofSeconds(shortest),
                ExposureTime.ofSeconds(longest),
                shortest != USUAL_SHORTEST || longest != USUAL_LONGEST);
    }
}
