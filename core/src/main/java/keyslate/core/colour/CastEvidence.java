package keyslate.core.colour;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import keyslate.core.colour.CastLook.Against;
import keyslate.core.colour.KitFactors.Known;
import keyslate.core.numeric.LeastSquares;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.QuantityException;

/**
 * The pack that all looks at a cast so far speak for together, whatever way they were had, instead of the last one alone.
 *
 * <p>COL-28: a look is taken as V = w·G·(n − p) + e·b + error, each in magenta and yellow: p the points the patch was printed with, n those that make it neutral, G what one
 * point of the pack shows as by its way ({@link CastWay}; for a kit of viewing filters its diagonal is 1/k of COL-06, beside it what a filter absorbs of the other
 * colour), w the gradient of the paper where the patch was judged (COL-14), b an error that stays the same from look to look: of this eye in this light, or of the grey
 * card that was laid beside. Least squares over n, the G of each way and of each kit, and b. So the first strong casts tell the factors, the nearly neutral patches tell the pack, and an eye's
 * steady error is told by what is not of that eye. Derived in docs/formulas/colour.md.
 */
public final class CastEvidence {
    /** Known to this, in CC, a pack needs no further judging: with it the neutral is within ΔE00 2 in 19 of 20 trials. */
    public static final double SETTLED_POINTS = 0.65;

    /** The steady error of an eye in its light, points of a viewing filter, one standard deviation: ± 4. */
    public static final double STEADY_POINTS = 2;

    private static final double CARD_POINTS = 1;
    private static final double REFERENCE_POINTS = 0.75;
    private static final double MEASURED_CARD_POINTS = 0.25;
    /** What is found of 1/k may be this many times less or more than what was assumed. */
    private static final double FACTOR_REACH = 2;
    /** Less than the least factor, so that G can be turned round. */
    private static final double MOST_SIDE = 0.4;

    private static final int MOST_ROUNDS = 200;
    private static final double STANDS = 1e-10;
    /** The first rounds go this share of their way: far from neutral the rows are not straight. */
    private static final double CAUTION = 0.7;

    private static final int CAUTIOUS_ROUNDS = 5;
    /** A steady error that is taken as it stands. */
    private static final double PINNED = 1e-6;

    // The unknowns: the neutral pack, the eye's and the card's steady error, then G of each way row by row.
    private static final int MAGENTA = 0;
    private static final int YELLOW = 1;
    private static final int EYE = 2;
    private static final int CARD = 4;
    private static final int FACTORS = 6;
    private static final int OF_A_WAY = 4;

    private final List<CastLook> looks;
    private final Map<Source, KitFactors> beliefs = new HashMap<>();
    private final List<Source> sources;
    private final int unknowns;

    /** What a look was had by: a way, and of viewing filters the kit. Each has a G of its own. */
    private record Source(CastWay way, String kit) {
        static Source of(CastLook look) {
            return new Source(look.way(), look.kit());
        }
    }

    private CastEvidence(List<CastLook> looks, List<KitFactors> beliefs) {
        this.looks = looks;
        for (KitFactors belief : beliefs) {
            this.beliefs.put(new Source(belief.way(), belief.kit()), belief);
        }
        sources = looks.stream()
                .map(Source::of)
                .distinct()
                .sorted(Comparator.comparing(Source::way).thenComparing(Source::kit))
                .toList();
        for (Source source : sources) {
            this.beliefs.putIfAbsent(source, KitFactors.believed(source.way()).of(source.kit()));
        }
        unknowns = FACTORS + OF_A_WAY * sources.size();
    }

    /**
     * What the looks speak for.
     *
     * @param pack what to set next, without neutral density
     * @param uncertaintyPoints one standard deviation of the filter that is known less well, CC, as far as more looks can lessen it
     * @param region where neutral lies, in points of magenta and yellow beyond those of cyan, steady errors included
     * @param factors what was found of each way that was used
     * @param steady what the eye adds to a neutral by itself, where something that is not of that eye tells
     */
    public record Estimate(
            FilterPack pack,
            double uncertaintyPoints,
            Region region,
            List<KitFactors> factors,
            Optional<SteadyError> steady) {
        /** Whether no further test for colour is worth its paper. */
        public boolean isSettled() {
            return uncertaintyPoints <= SETTLED_POINTS;
        }

        /** What was found of a way, and of viewing filters of a kit; empty = one that is not named. */
        public Optional<KitFactors> of(CastWay way, String kit) {
            return factors.stream()
                    .filter(f -> f.way() == way && f.kit().equals(kit))
                    .findFirst();
        }
    }

    /**
     * Where a pack lies: a middle with variances, CC squared.
     *
     * @param both covariance of magenta and yellow
     */
    public record Region(double magenta, double yellow, double ofMagenta, double both, double ofYellow) {}

    /**
     * A cast that an eye sees in a neutral, points of a viewing filter.
     *
     * @param spread one standard deviation of either
     */
    public record SteadyError(double magenta, double yellow, double spread) {
        /** Whether it exceeds its own 95 % limits. */
        public boolean isFound() {
            return Math.hypot(magenta, yellow) > 2 * spread;
        }
    }

    /**
     * The pack to set next.
     *
     * @param looks at least one
     * @param beliefs of kits and eyes that are known from before; every other way is believed as {@link CastWay} says
     */
    public static Estimate weighed(List<CastLook> looks, List<KitFactors> beliefs) {
        if (looks.isEmpty()) {
            throw new QuantityException(QuantityException.Kind.WRONG_SHAPE, "looks", "judge at least one patch");
        }
        return new CastEvidence(looks, beliefs).solved();
    }

    private Estimate solved() {
        double[] found = start();
        LeastSquares.Solution solution = rows(found, false).solve();
        double moved = Double.MAX_VALUE;
        for (int round = 0; round < MOST_ROUNDS && moved > STANDS; round++) {
            double share = round < CAUTIOUS_ROUNDS ? CAUTION : 1;
            moved = 0;
            for (int i = 0; i < unknowns; i++) {
                double step = share * (solution.figures()[i] - found[i]);
                found[i] += step;
                moved = Math.max(moved, Math.abs(step));
            }
            hold(found);
            solution = rows(found, false).solve();
        }
        double[][] whole = solution.covariance();
        double[][] loose = rows(found, true).solve().covariance();
        FilterPack pack = NeutralRemoval.of(FilterShift.of(0, held(found[MAGENTA]), held(found[YELLOW])))
                .pack();
        Region region = new Region(
                found[MAGENTA], found[YELLOW], whole[MAGENTA][MAGENTA], whole[MAGENTA][YELLOW], whole[YELLOW][YELLOW]);
        return new Estimate(
                pack,
                Math.sqrt(Math.max(loose[MAGENTA][MAGENTA], loose[YELLOW][YELLOW])),
                region,
                factors(found, whole),
                steady(found, whole));
    }

    private List<KitFactors> factors(double[] found, double[][] covariance) {
        List<KitFactors> factors = new ArrayList<>();
        for (Source source : sources) {
            int at = at(source);
            Known[] known = new Known[OF_A_WAY];
            for (int i = 0; i < OF_A_WAY; i++) {
                known[i] = new Known(found[at + i], Math.sqrt(covariance[at + i][at + i]));
            }
            factors.add(new KitFactors(source.way(), source.kit(), known[0], known[1], known[2], known[3]));
        }
        return factors;
    }

    /** Only looks of two kinds tell an eye's error from the pack. */
    private Optional<SteadyError> steady(double[] found, double[][] covariance) {
        boolean byEye = looks.stream().anyMatch(CastEvidence::ofEye);
        boolean otherwise = looks.stream().anyMatch(l -> !ofEye(l) && l.way() != CastWay.START);
        return byEye && otherwise
                ? Optional.of(new SteadyError(
                        found[EYE],
                        found[EYE + 1],
                        Math.sqrt(Math.max(covariance[EYE][EYE], covariance[EYE + 1][EYE + 1]))))
                : Optional.empty();
    }

    private static boolean ofEye(CastLook look) {
        return look.way().eyeShare() > 0 && look.against() == Against.NOTHING;
    }

    private int at(Source source) {
        return FACTORS + OF_A_WAY * sources.indexOf(source);
    }

    /** As the last look alone says at the factors that are believed. */
    private double[] start() {
        CastLook last = looks.get(looks.size() - 1);
        double[] start = new double[unknowns];
        for (Source source : sources) {
            Known[] known = beliefs.get(source).inOrder();
            for (int i = 0; i < OF_A_WAY; i++) {
                start[at(source) + i] = known[i].figure();
            }
        }
        int at = at(Source.of(last));
        start[MAGENTA] = points(last, MAGENTA) + last.magenta() / start[at] / last.gradient();
        start[YELLOW] = points(last, YELLOW) + last.yellow() / start[at + 3] / last.gradient();
        return start;
    }

    private LeastSquares rows(double[] about, boolean pinned) {
        LeastSquares rows = new LeastSquares(unknowns);
        prior(rows, EYE, pinned ? about[EYE] : 0, pinned ? PINNED : STEADY_POINTS);
        prior(rows, EYE + 1, pinned ? about[EYE + 1] : 0, pinned ? PINNED : STEADY_POINTS);
        // One unknown for the card: where both kinds were laid beside, it is as open as the one that nobody measured.
        double card = card();
        prior(rows, CARD, pinned ? about[CARD] : 0, pinned ? PINNED : card);
        prior(rows, CARD + 1, pinned ? about[CARD + 1] : 0, pinned ? PINNED : card);
        for (Source source : sources) {
            Known[] known = beliefs.get(source).inOrder();
            for (int i = 0; i < OF_A_WAY; i++) {
                prior(rows, at(source) + i, known[i].figure(), known[i].spread());
            }
            alike(rows, source, known);
        }
        for (CastLook look : looks) {
            seen(rows, look, about);
        }
        return rows;
    }

    private double card() {
        return looks.stream().mapToDouble(l -> beside(l.against())).max().orElse(CARD_POINTS);
    }

    private static double beside(Against against) {
        return switch (against) {
            case NOTHING, MEASURED_CARD -> MEASURED_CARD_POINTS;
            case REFERENCE -> REFERENCE_POINTS;
            case CARD -> CARD_POINTS;
        };
    }

    private void prior(LeastSquares rows, int unknown, double figure, double spread) {
        double[] row = new double[unknowns];
        row[unknown] = 1;
        rows.add(row, figure, spread);
    }

    /** Magenta and yellow of a kit differ less from each other than both may differ from what is believed. */
    private void alike(LeastSquares rows, Source source, Known[] known) {
        double[] row = new double[unknowns];
        row[at(source)] = 1;
        row[at(source) + 3] = -1;
        rows.add(
                row,
                known[0].figure() - known[3].figure(),
                source.way().trust().apart() * source.way().trust().shown());
    }

    /** G·(n − p) is straightened about what was found before: each of its products counts for n and for G. */
    private void seen(LeastSquares rows, CastLook look, double[] about) {
        double magenta = about[MAGENTA] - points(look, MAGENTA);
        double yellow = about[YELLOW] - points(look, YELLOW);
        double w = look.gradient();
        int at = at(Source.of(look));
        for (int colour = MAGENTA; colour <= YELLOW; colour++) {
            int g = at + 2 * colour;
            double[] row = new double[unknowns];
            row[MAGENTA] = w * about[g];
            row[YELLOW] = w * about[g + 1];
            row[g] = w * magenta;
            row[g + 1] = w * yellow;
            row[steady(look) + colour] = look.way().eyeShare();
            double cast = colour == MAGENTA ? look.magenta() : look.yellow();
            double expected = w * (about[g] * magenta + about[g + 1] * yellow)
                    + row[steady(look) + colour] * about[steady(look) + colour];
            double straight = w * (about[g] * about[MAGENTA] + about[g + 1] * about[YELLOW]);
            rows.add(row, seen(look, cast, expected) + straight, spread(look));
        }
    }

    /** What may be stronger does not speak against what is. */
    private static double seen(CastLook look, double cast, double expected) {
        return look.atLeast() && cast * expected > 0 && Math.abs(expected) > Math.abs(cast) ? expected : cast;
    }

    private double spread(CastLook look) {
        return look.spread(Collections.frequency(looks, look));
    }

    private static int steady(CastLook look) {
        return look.against() == Against.NOTHING ? EYE : CARD;
    }

    /** Factors and sides beyond their reach are held there, so that two colours never look like one, and the pack follows from them. */
    private void hold(double[] found) {
        double[] stood = found.clone();
        for (Source source : sources) {
            KitFactors belief = beliefs.get(source);
            int at = at(source);
            held(found, at, belief.magenta().figure());
            held(found, at + 3, belief.yellow().figure());
            double most = MOST_SIDE * source.way().trust().shown();
            for (int side = at + 1; side <= at + 2; side++) {
                found[side] = Math.max(-most, Math.min(most, found[side]));
            }
        }
        if (Arrays.equals(stood, found)) {
            return;
        }
        LeastSquares rows = new LeastSquares(2);
        for (CastLook look : looks) {
            int at = at(Source.of(look));
            double w = look.gradient();
            for (int colour = MAGENTA; colour <= YELLOW; colour++) {
                int g = at + 2 * colour;
                double cast = colour == MAGENTA ? look.magenta() : look.yellow();
                double from = w * (found[g] * points(look, MAGENTA) + found[g + 1] * points(look, YELLOW));
                double own = look.way().eyeShare() * found[steady(look) + colour];
                double expected = w * (found[g] * found[MAGENTA] + found[g + 1] * found[YELLOW]) - from + own;
                rows.add(
                        new double[] {w * found[g], w * found[g + 1]},
                        seen(look, cast, expected) + from - own,
                        spread(look));
            }
        }
        double[] pack = rows.solve().figures();
        found[MAGENTA] = pack[MAGENTA];
        found[YELLOW] = pack[YELLOW];
    }

    private static void held(double[] found, int at, double assumed) {
        found[at] = Math.max(assumed / FACTOR_REACH, Math.min(assumed * FACTOR_REACH, found[at]));
    }

    /** Points of a filter beyond those of cyan. */
    private static double points(CastLook look, int filter) {
        FilterPack pack = look.pack();
        return (filter == MAGENTA ? pack.inMagenta() : pack.inYellow()) - pack.inCyan();
    }

    private static double held(double points) {
        return Math.max(-FilterPack.MOST / 2, Math.min(FilterPack.MOST / 2, points));
    }
}
