package keyslate.core.colour;

import java.util.List;
import java.util.function.ToDoubleFunction;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.QuantityException;

/**
 * The pack that all judgements of a cast so far speak for together, instead of the last one alone.
 *
 * <p>COL-28: filter by filter a cast is taken as V = (n − p)/k + error, p the points the patch was printed with, n
 * those that make it neutral, k the viewing-filter factor of COL-06. The error of a judgement is 3 points, and 15 % of
 * the cast, because strong casts are seen on a flatter part of the curve; k is known to a quarter. Weighed least
 * squares over 1/k and n/k, the known k as one more observation. So the first strong casts tell the factor, and the
 * nearly neutral patches tell the pack. Derived in docs/formulas/colour.md.
 */
public final class CastEvidence {
    /** How well an eye tells a cast, points of a viewing filter. */
    public static final double EYE_POINTS = 3;

    /**
     * Known to this, in CC, a pack needs no further judging: with it the neutral is within ΔE00 2 in 19 of 20 trials.
     */
    public static final double SETTLED_POINTS = 0.75;

    private static final double SHARE_OF_CAST = 0.15;
    private static final double FACTOR_DOUBT = 0.25;
    /** The slope 1/k that is found may be this many times flatter or steeper than the one that was assumed. */
    private static final double SLOPE_REACH = 2;

    private CastEvidence() {}

    /**
     * One patch as it was judged.
     *
     * @param pack what it was printed with
     * @param magenta strength of the magenta cast in points of a viewing filter; negative = green
     * @param yellow strength of the yellow cast; negative = blue
     */
    public record Judged(FilterPack pack, double magenta, double yellow) {
        public Judged {
            magenta = Check.within("magenta cast", magenta, -FilterPack.MOST, FilterPack.MOST, "points");
            yellow = Check.within("yellow cast", yellow, -FilterPack.MOST, FilterPack.MOST, "points");
        }
    }

    /**
     * What the judgements speak for.
     *
     * @param pack what to set next, without neutral density
     * @param uncertaintyPoints one standard deviation of the filter that is known less well, CC
     */
    public record Estimate(FilterPack pack, double uncertaintyPoints) {
        /** Whether no further test for colour is worth its paper. */
        public boolean isSettled() {
            return uncertaintyPoints <= SETTLED_POINTS;
        }
    }

    /**
     * The pack to set next.
     *
     * @param patches at least one
     * @param factor k of COL-06 as it is believed, 0.2 to 1
     */
    public static Estimate weighed(List<Judged> patches, double factor) {
        if (patches.isEmpty()) {
            throw new QuantityException(QuantityException.Kind.WRONG_SHAPE, "patches", "judge at least one patch");
        }
        Check.within("viewing-filter factor", factor, 0.2, 1, "");
        Line magenta = line(patches, p -> p.pack().inMagenta() - p.pack().inCyan(), Judged::magenta, factor);
        Line yellow = line(patches, p -> p.pack().inYellow() - p.pack().inCyan(), Judged::yellow, factor);
        FilterPack pack = NeutralRemoval.of(FilterShift.of(0, held(magenta.points()), held(yellow.points())))
                .pack();
        return new Estimate(pack, Math.max(magenta.uncertainty(), yellow.uncertainty()));
    }

    private record Line(double points, double uncertainty) {}

    private static Line line(
            List<Judged> patches, ToDoubleFunction<Judged> points, ToDoubleFunction<Judged> cast, double factor) {
        double assumed = 1 / factor;
        // Points are counted from the last patch, so that the two unknowns hardly depend on each other.
        double origin = points.applyAsDouble(patches.get(patches.size() - 1));
        double slopeWeight = 1 / square(FACTOR_DOUBT * assumed);
        double n = 0;
        double np = 0;
        double npp = slopeWeight;
        double nv = 0;
        double npv = -slopeWeight * assumed;
        for (Judged patch : patches) {
            double p = points.applyAsDouble(patch) - origin;
            double v = cast.applyAsDouble(patch);
            double weight = 1 / (square(EYE_POINTS) + square(SHARE_OF_CAST * v));
            n += weight;
            np += weight * p;
            npp += weight * p * p;
            nv += weight * v;
            npv += weight * p * v;
        }
        // v = at − slope·p; determinant above 0 because the assumed slope always counts.
        double determinant = n * npp - np * np;
        double slope = -(n * npv - np * nv) / determinant;
        slope = Math.max(assumed / SLOPE_REACH, Math.min(assumed * SLOPE_REACH, slope));
        double at = (nv + slope * np) / n;
        double neutral = at / slope;
        double variance = (npp - 2 * neutral * np + neutral * neutral * n) / determinant / square(slope);
        return new Line(origin + neutral, Math.sqrt(variance));
    }

    private static double held(double points) {
        return Math.max(-FilterPack.MOST / 2, Math.min(FilterPack.MOST / 2, points));
    }

    private static double square(double x) {
        return x * x;
    }
}
