package keyslate.core.exposure;

import java.util.List;
import java.util.Optional;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;

/**
 * The strip that settles what the last one left open: as fine as an eye can use, and wide enough to be sure to hold
 * the answer.
 *
 * <p>EXP-29: steps of 1/12, 1/6, 1/4, 1/3 or 1/2 stop, the finest with which 15 patches reach twice the
 * last reading's uncertainty to both sides, and of that as many as reach three times; no strip at all when the uncertainty is 1/18 stop or less, which is a
 * strip of twelfths with the rounding of its timer. Below 1/12 stop a patch cannot be told from its neighbour in a
 * light tone. Derived in docs/formulas/exposure.md.
 *
 * @param centre the last reading
 * @param step from patch to patch
 * @param patches odd, 3 to 15
 */
public record CheckStrip(ExposureTime centre, Stops step, int patches) {
    /** A reading this sure needs no further strip. */
    public static final Stops SETTLED = Stops.ofFraction(1, 18);

    private static final Stops FIRST_STEP = Stops.ofFraction(1, 3);
    private static final int FIRST_PATCHES = 15;
    private static final List<Integer> STEPS_PER_STOP = List.of(12, 6, 4, 3, 2);
    /** Patches to each side of the middle one. */
    private static final int MOST_EACH = 7;

    private static final List<Integer> FIRST_STEPS_PER_STOP = List.of(12, 6, 4);
    private static final int FEWEST_GUESSES = 2;
    /** As far beyond its last patch a tone is still told by a strip. */
    private static final double HALF_PATCH = 0.5;

    /** Of a first strip: one that misses costs another, a finer one is more often the last (tried with three rows: 1.5 makes fewest that still seldom miss). */
    private static final double FIRST_REACH = 1.5;

    private static final double REACH = 2;
    private static final double SURE_REACH = 3;
    private static final double FAR_STEP = 0.5;
    private static final double FAR_STOPS = 2;
    private static final double FLOAT_GUARD = 1e-9;

    /**
     * EXP-32: the strip to begin with: thirds of a stop, two and a third to either side of a first time that is no
     * more than a guess.
     */
    public static CheckStrip first(ExposureTime guess) {
        return new CheckStrip(guess, FIRST_STEP, FIRST_PATCHES);
    }

    /**
     * EXP-43: the strip to begin with where it is known how far first guesses were off on this bench: the finest steps with which {@value #FIRST_PATCHES} patches reach {@value #FIRST_REACH} times their root mean square, a
     * little more for each that is missing to many; thirds as EXP-32 where fewer than {@value #FEWEST_GUESSES} are known or none of them reaches.
     *
     * @param off by how much earlier first guesses missed
     */
    public static CheckStrip first(ExposureTime guess, List<Stops> off) {
        double square = off.stream()
                .mapToDouble(o -> o.inStops() * o.inStops())
                .average()
                .orElse(0);
        return first(guess, Stops.of(Math.sqrt(square)), off.size());
    }

    /**
     * The same.
     *
     * @param off root mean square of what so many earlier first guesses missed by
     */
    public static CheckStrip first(ExposureTime guess, Stops off, int guesses) {
        if (guesses < FEWEST_GUESSES) {
            return first(guess);
        }
        double reach = FIRST_REACH * Check.notNegative("miss", off.inStops(), "stops") * Math.sqrt(1 + 2.0 / guesses);
        return FIRST_STEPS_PER_STOP.stream()
                .map(perStop -> Stops.ofFraction(1, perStop))
                .filter(step -> step.inStops() * (MOST_EACH + HALF_PATCH) >= reach)
                .findFirst()
                .map(step -> new CheckStrip(guess, step, FIRST_PATCHES))
                .orElseGet(() -> first(guess));
    }

    /** Whether a reading is so sure that no further strip is worth its paper. */
    public static boolean isSettled(Stops uncertainty) {
        return Check.notNegative("uncertainty", uncertainty.inStops(), "stops") <= SETTLED.inStops() + FLOAT_GUARD;
    }

    /** The strip after a reading, or none when it is sure enough. */
    public static Optional<CheckStrip> after(ExposureTime reading, Stops uncertainty) {
        if (isSettled(uncertainty)) {
            return Optional.empty();
        }
        double open = uncertainty.inStops();
        for (int perStop : STEPS_PER_STOP) {
            Stops step = Stops.ofFraction(1, perStop);
            int least = each(REACH, open, step);
            if (least <= MOST_EACH) {
                int wanted = Math.min(MOST_EACH, each(SURE_REACH, open, step));
                return Optional.of(new CheckStrip(reading, step, 2 * wanted + 1));
            }
        }
        return Optional.of(new CheckStrip(reading, Stops.ofFraction(1, 2), 2 * MOST_EACH + 1));
    }

    /** Patches to each side. */
    private static int each(double reach, double open, Stops step) {
        return (int) Math.max(1, Math.round(reach * open / step.inStops()));
    }

    /**
     * EXP-30: the strip to make when the answer lies beyond an end: the same steps, moved on so that one patch is seen
     * again.
     *
     * @param totals of the strip that missed, rising
     * @param darker whether more light is wanted than its darkest patch got
     */
    public static CheckStrip beyond(List<ExposureTime> totals, boolean darker) {
        return beyond(totals, darker, false);
    }

    /**
     * The same; {@code far} where every patch is as good as black or bare, so that nothing tells how far: then it moves by 2 stops at least, in half stops or wider.
     */
    public static CheckStrip beyond(List<ExposureTime> totals, boolean darker, boolean far) {
        ExposureTime first = totals.get(0);
        ExposureTime last = totals.get(totals.size() - 1);
        Stops span = last.stopsFrom(first);
        ExposureTime end = darker ? last : first;
        Stops step = span.times(1.0 / (totals.size() - 1));
        if (far) {
            Stops wide = Stops.of(Math.max(step.inStops(), FAR_STEP));
            double reach = Math.max(FAR_STOPS, wide.inStops() * (totals.size() - 1) / 2);
            return new CheckStrip(end.plus(Stops.of(darker ? reach : -reach)), wide, totals.size());
        }
        return new CheckStrip(end.plus(span.times(darker ? 0.5 : -0.5)), step, totals.size());
    }
}
