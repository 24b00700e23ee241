package keyslate.core.colour;

import java.util.Arrays;
import java.util.List;
import keyslate.core.numeric.LeastSquares;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.QuantityException;

/**
 * The pack that all judgements of a cast so far speak for together, instead of the last one alone.
 *
 * <p>COL-28: a cast is taken as V = G·(n − p) + error, each in magenta and yellow: p the points the patch was printed with, n
 * those that make it neutral, G what one point of the pack shows as through the filters of a kit. Its diagonal is 1/k, k the viewing-filter factor of COL-06: believed to
 * {@value #FACTOR_DOUBT} of itself, in magenta and yellow alike to {@value #COLOURS_APART}; beside it stands what a filter absorbs of the other colour, {@value #SIDE} of 1/k. The error of a judgement is 3 points, and
 * 15 % of the cast, because strong casts are seen on a flatter part of the curve. Least squares over n and G. So the first strong casts tell the factors, and the
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
    private static final double FACTOR_DOUBT = 0.35;
    private static final double COLOURS_APART = 0.2;
    private static final double SIDE = 0.15;
    /** What is found of 1/k may be this many times less or more than what was assumed. */
    private static final double FACTOR_REACH = 2;

    /** Less than the least factor, so that G can be turned round. */
    private static final double MOST_SIDE = 0.4;

    private static final int MOST_ROUNDS = 200;
    private static final double STANDS = 1e-10;
    /** The first rounds go this share of their way: far from neutral the rows are not straight. */
    private static final double CAUTION = 0.7;

    private static final int CAUTIOUS_ROUNDS = 5;

    // The unknowns: the neutral pack, then G row by row.
    private static final int MAGENTA = 0;
    private static final int YELLOW = 1;
    private static final int PACK = 2;
    private static final int ALL = 6;

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
        double[] found = start(patches, 1 / factor);
        LeastSquares.Solution solution = rows(patches, found, 1 / factor).solve();
        double moved = Double.MAX_VALUE;
        for (int round = 0; round < MOST_ROUNDS && moved > STANDS; round++) {
            double share = round < CAUTIOUS_ROUNDS ? CAUTION : 1;
            moved = 0;
            for (int i = 0; i < ALL; i++) {
                double step = share * (solution.figures()[i] - found[i]);
                found[i] += step;
                moved = Math.max(moved, Math.abs(step));
            }
            hold(patches, found, 1 / factor);
            solution = rows(patches, found, 1 / factor).solve();
        }
        FilterPack pack = NeutralRemoval.of(FilterShift.of(0, held(found[MAGENTA]), held(found[YELLOW])))
                .pack();
        double[][] covariance = solution.covariance();
        return new Estimate(pack, Math.sqrt(Math.max(covariance[MAGENTA][MAGENTA], covariance[YELLOW][YELLOW])));
    }

    /** As the last patch alone says at the factor that is believed. */
    private static double[] start(List<Judged> patches, double assumed) {
        Judged last = patches.get(patches.size() - 1);
        return new double[] {
            points(last, MAGENTA) + last.magenta() / assumed,
            points(last, YELLOW) + last.yellow() / assumed,
            assumed,
            0,
            0,
            assumed
        };
    }

    private static LeastSquares rows(List<Judged> patches, double[] about, double assumed) {
        LeastSquares rows = new LeastSquares(ALL);
        rows.add(new double[] {0, 0, 1, 0, 0, 0}, assumed, FACTOR_DOUBT * assumed);
        rows.add(new double[] {0, 0, 0, 0, 0, 1}, assumed, FACTOR_DOUBT * assumed);
        rows.add(new double[] {0, 0, 1, 0, 0, -1}, 0, COLOURS_APART * assumed);
        rows.add(new double[] {0, 0, 0, 1, 0, 0}, 0, SIDE * assumed);
        rows.add(new double[] {0, 0, 0, 0, 1, 0}, 0, SIDE * assumed);
        for (Judged patch : patches) {
            double magenta = about[MAGENTA] - points(patch, MAGENTA);
            double yellow = about[YELLOW] - points(patch, YELLOW);
            double spread = spread(patch);
            // G·(n − p) is straightened about what was found before: each of its products counts for n and for G.
            rows.add(
                    new double[] {about[2], about[3], magenta, yellow, 0, 0},
                    patch.magenta() + about[2] * about[MAGENTA] + about[3] * about[YELLOW],
                    spread);
            rows.add(
                    new double[] {about[4], about[5], 0, 0, magenta, yellow},
                    patch.yellow() + about[4] * about[MAGENTA] + about[5] * about[YELLOW],
                    spread);
        }
        return rows;
    }

    /** Factors and sides beyond their reach are held there, so that two colours never look like one, and the pack follows from them. */
    private static void hold(List<Judged> patches, double[] found, double assumed) {
        double[] stood = found.clone();
        for (int i : new int[] {2, 5}) {
            found[i] = Math.max(assumed / FACTOR_REACH, Math.min(assumed * FACTOR_REACH, found[i]));
        }
        for (int i : new int[] {3, 4}) {
            found[i] = Math.max(-MOST_SIDE * assumed, Math.min(MOST_SIDE * assumed, found[i]));
        }
        if (Arrays.equals(stood, found)) {
            return;
        }
        LeastSquares rows = new LeastSquares(PACK);
        for (Judged patch : patches) {
            double magenta = points(patch, MAGENTA);
            double yellow = points(patch, YELLOW);
            double spread = spread(patch);
            rows.add(
                    new double[] {found[2], found[3]},
                    patch.magenta() + found[2] * magenta + found[3] * yellow,
                    spread);
            rows.add(
                    new double[] {found[4], found[5]}, patch.yellow() + found[4] * magenta + found[5] * yellow, spread);
        }
        double[] pack = rows.solve().figures();
        found[MAGENTA] = pack[MAGENTA];
        found[YELLOW] = pack[YELLOW];
    }

    /** Points of a filter beyond those of cyan. */
    private static double points(Judged patch, int filter) {
        FilterPack pack = patch.pack();
        return (filter == MAGENTA ? pack.inMagenta() : pack.inYellow()) - pack.inCyan();
    }

    private static double spread(Judged patch) {
        return Math.hypot(EYE_POINTS, SHARE_OF_CAST * Math.hypot(patch.magenta(), patch.yellow()));
    }

    private static double held(double points) {
        return Math.max(-FilterPack.MOST / 2, Math.min(FilterPack.MOST / 2, points));
    }
}
