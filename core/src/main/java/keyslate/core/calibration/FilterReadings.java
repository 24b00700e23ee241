package keyslate.core.calibration;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import keyslate.core.contrast.FilterTable;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.numeric.LeastSquares;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;

/**
 * Filters of a set, grades of a head, or no filter at all, calibrated on a paper from sheets.
 *
 * <p>CON-25: by eye, from strips with nothing in the carrier: R = 100·log10(t_black/t_white), the factor is the ratio of the times for whites. From a print of a step negative: the green over blue and the
 * speed of the light with which the paper's curve lies nearest to the densities (least squares), their scale set by the lightest and the darkest; limits by the fit. Derived in docs/formulas/contrast.md.
 */
public final class FilterReadings {
    /** How well an eye tells a patch on a fine strip. */
    public static final Stops USUAL_UNCERTAINTY = Stops.ofFraction(1, 12);

    private static final double LEAST_RATIO = -3;
    private static final double MOST_RATIO = 3;
    private static final double RATIO_STEP = 0.25;
    private static final double BLUE_STEP = 0.1;
    private static final int ROUNDS = 40;
    private static final double SMALL = 1e-4;
    /** A densitometer or scanner is no surer than this. */
    private static final double LEAST_SPREAD = 0.015;

    private static final double SUREST = 0.01;
    private static final double LEAST_SURE = 2;
    /** A print that tells less of R tells nothing. */
    private static final double WIDEST_RANGE = 60;

    private static final double FURTHEST_STEP = 0.2;
    /** By so much a densitometer may see a step darker than the one before. */
    private static final double MOST_RISE = 0.05;

    private static final double TELLS_FROM = 0.05;
    private static final double TELLS_TO = 0.95 * VariableContrastPaper.NET_MAXIMUM;
    private static final int LEAST_TELLING = 3;
    private static final double LOOSE = 1e4;
    /** log10 light by which every paper is white, or black. */
    private static final double FAR = 6;

    private static final double STOP = Math.log10(2);
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();

    /**
     * What was found of one light.
     *
     * @param whitesLogSeconds log10 of the seconds for whites that just hold (net 0.04), as the sheet was printed
     * @param limitStops of that, 95 %
     * @param isoRange R
     * @param limitRange of that, 95 %
     * @param residual root mean square that the curve leaves of the densities, D; 0 by eye
     */
    public record Light(
            double whitesLogSeconds, double limitStops, double isoRange, double limitRange, double residual) {}

    /** Whose curve is laid through densities. */
    public enum Curve {
        /** Variable-contrast paper; what is looked for beside the speed is log green/blue of the light (CON-02). */
        VARIABLE {
            @Override
            double net(double log, double second) {
                return PAPER.netDensityAt(log, second);
            }

            @Override
            double logFor(double net, double second) {
                return PAPER.logBlueFor(net, second);
            }
        },
        /** Graded paper; looked for is how far its scale is stretched (CON-26), in quarters of that of white light. */
        GRADED {
            @Override
            double net(double log, double second) {
                double stretched = SPEED + (log - SPEED) / stretch(second);
                return PAPER.netDensityAt(clamped(stretched, FAR), VariableContrastPaper.WHITE_LIGHT_RATIO);
            }

            @Override
            double logFor(double net, double second) {
                double log = PAPER.logBlueFor(net, VariableContrastPaper.WHITE_LIGHT_RATIO);
                return SPEED + (log - SPEED) * stretch(second);
            }

            private double stretch(double second) {
                return 1 + second / 4;
            }
        };

        private static final double SPEED =
                PAPER.logBlueFor(VariableContrastPaper.SPEED_NET, VariableContrastPaper.WHITE_LIGHT_RATIO);

        /** Net density after log10 light. */
        abstract double net(double log, double second);

        /** log10 light for a net density. */
        abstract double logFor(double net, double second);

        double whites(double second) {
            return logFor(VariableContrastPaper.HIGHLIGHT_NET, second);
        }

        /** R. */
        double range(double second) {
            return 100 * (logFor(VariableContrastPaper.SHADOW_NET, second) - whites(second));
        }
    }

    private FilterReadings() {}

    /**
     * By eye.
     *
     * @param whites with nothing in the carrier, the longest time that still looks white, or its place between two
     * @param blacks the first true black
     * @param uncertainty of each, 0.01 to 2 stops, 95 %
     * @throws keyslate.core.quantity.QuantityException where black does not take longer than white
     */
    public static Light byEye(ExposureTime whites, ExposureTime blacks, Stops uncertainty) {
        double u = Check.within("uncertainty", uncertainty.inStops(), SUREST, LEAST_SURE, "stops");
        double range = 100 * Math.log10(blacks.inSeconds() / whites.inSeconds());
        if (!(range > 0)) {
            throw Check.outOfRange("black", "the first true black takes longer than the whites");
        }
        return new Light(Math.log10(whites.inSeconds()), u, range, 100 * STOP * Math.hypot(u, u), 0);
    }

    /**
     * Paper white and full black of prints of a step negative.
     *
     * @param white density of bare paper, D
     * @param black deepest density, D
     */
    public record Ends(double white, double black) {
        private static final double LEAST_APART = 1;
        private static final double FLAT = 0.06;
        private static final int FLAT_STEPS = 2;

        /**
         * Of all prints of one paper together: a scale that one of them reaches holds for those that do not.
         *
         * @throws keyslate.core.quantity.QuantityException where none of them runs flat in white and in black: their ends would be taken for the paper's
         */
        public static Ends of(List<List<Double>> prints) {
            List<Double> all = prints.stream().flatMap(List::stream).toList();
            Check.count("densities", all.size(), 5, 10_000);
            double white = all.stream().mapToDouble(d -> d).min().orElseThrow();
            double black = all.stream().mapToDouble(d -> d).max().orElseThrow();
            boolean flat = all.stream().filter(d -> d < white + FLAT).count() >= FLAT_STEPS
                    && all.stream().filter(d -> d > black - FLAT).count() >= FLAT_STEPS;
            if (black < white + LEAST_APART || !flat) {
                throw Check.infeasible(
                        "densities",
                        "one print has to run flat in black and in paper white: two steps each, or nobody knows where they end");
            }
            return new Ends(white, black);
        }
    }

    /**
     * From a print of a step negative.
     *
     * @param time received
     * @param step density from step to step of the negative, 0.02 to 0.6 D
     * @param densities of the print, from the negative's clearest step on: falling; 5 to 60
     * @param ends of this paper
     * @param curve of this paper
     * @throws keyslate.core.quantity.QuantityException where they rise, or hold too little of the curve
     */
    public static Light bySteps(ExposureTime time, double step, List<Double> densities, Ends ends, Curve curve) {
        Check.within("step", step, 0.02, 0.6, "D");
        Check.count("steps", densities.size(), 5, 60);
        densities.forEach(d -> Check.within("density", d, 0, 4, "D"));
        for (int i = 1; i < densities.size(); i++) {
            if (densities.get(i) > densities.get(i - 1) + MOST_RISE) {
                throw Check.outOfRange("densities", "they fall from step to step; number " + (i + 1) + " does not");
            }
        }
        double[] nets = densities.stream()
                .mapToDouble(
                        d -> (d - ends.white()) / (ends.black() - ends.white()) * VariableContrastPaper.NET_MAXIMUM)
                .toArray();
        long telling =
                Arrays.stream(nets).filter(n -> n > TELLS_FROM && n < TELLS_TO).count();
        if (telling < LEAST_TELLING) {
            throw Check.infeasible("densities", "three steps at least have to lie between white and black");
        }
        double[] xs = new double[nets.length];
        for (int i = 0; i < xs.length; i++) {
            xs[i] = Math.log10(time.inSeconds()) - i * step;
        }
        return fitted(curve, xs, nets);
    }

    /** Looked for in a grid, then by least squares from step to step (Gauss and Newton). */
    private static Light fitted(Curve curve, double[] xs, double[] nets) {
        double blue = 0;
        double ratio = 0;
        double least = Double.POSITIVE_INFINITY;
        for (double r = LEAST_RATIO; r <= MOST_RATIO; r += RATIO_STEP) {
            for (double b = -4; b <= 4; b += BLUE_STEP) {
                double sum = misfit(curve, xs, nets, b, r);
                if (sum < least) {
                    least = sum;
                    blue = b;
                    ratio = r;
                }
            }
        }
        LeastSquares.Solution step = step(curve, xs, nets, blue, ratio);
        for (int round = 0; round < ROUNDS; round++) {
            blue += clamped(step.figures()[0], FURTHEST_STEP);
            ratio = clamped(ratio + clamped(step.figures()[1], FURTHEST_STEP), MOST_RATIO);
            step = step(curve, xs, nets, blue, ratio);
        }
        return found(curve, blue, ratio, step, Math.sqrt(misfit(curve, xs, nets, blue, ratio) / xs.length));
    }

    private static double clamped(double value, double most) {
        return Math.max(-most, Math.min(most, value));
    }

    /** Where the fit would go from here, and its covariance for densities that are 1 D off each. */
    private static LeastSquares.Solution step(Curve curve, double[] xs, double[] nets, double blue, double ratio) {
        LeastSquares fit = new LeastSquares(2);
        for (int i = 0; i < xs.length; i++) {
            double here = curve.net(xs[i] + blue, ratio);
            double[] slopes = {
                (curve.net(xs[i] + blue + SMALL, ratio) - here) / SMALL,
                (curve.net(xs[i] + blue, ratio + SMALL) - here) / SMALL
            };
            fit.add(slopes, nets[i] - here, 1);
        }
        // Hardest and softest light tell nothing of the ratio: it is held where it is.
        fit.add(new double[] {0, 1}, 0, LOOSE);
        fit.add(new double[] {1, 0}, 0, LOOSE);
        return fit.solve();
    }

    private static double misfit(Curve curve, double[] xs, double[] nets, double blue, double ratio) {
        double sum = 0;
        for (int i = 0; i < xs.length; i++) {
            double off = nets[i] - curve.net(xs[i] + blue, ratio);
            sum += off * off;
        }
        return sum;
    }

    /** Limits by the covariance of the fit: of the whites through both unknowns, of R through the ratio. */
    private static Light found(Curve curve, double blue, double ratio, LeastSquares.Solution fit, double residual) {
        double spread = Math.max(LEAST_SPREAD, residual);
        double whitesOfRatio = (curve.whites(ratio + SMALL) - curve.whites(ratio)) / SMALL;
        double rangeOfRatio = (curve.range(ratio + SMALL) - curve.range(ratio)) / SMALL;
        return new Light(
                curve.whites(ratio) - blue,
                Math.min(LEAST_SURE, 2 * spread * fit.spreadAt(new double[] {-1, whitesOfRatio}) / STOP),
                curve.range(ratio),
                Math.min(WIDEST_RANGE, 2 * spread * fit.spreadAt(new double[] {0, rangeOfRatio})),
                residual);
    }

    /** A table of the lights that were read: the reference is no filter where it is among them, else grade 2, else the softest. */
    public static FilterTable table(Map<GradeFilter, Light> lights) {
        Check.count("filters", lights.size(), 1, GradeFilter.values().length);
        GradeFilter reference = lights.containsKey(GradeFilter.NONE)
                ? GradeFilter.NONE
                : lights.containsKey(GradeFilter.G2)
                        ? GradeFilter.G2
                        : lights.keySet().stream().min(Enum::compareTo).orElseThrow();
        Light one = lights.get(reference);
        Map<GradeFilter, FilterTable.Entry> entries = new EnumMap<>(GradeFilter.class);
        lights.forEach((filter, l) -> entries.put(
                filter,
                new FilterTable.Entry(
                        l.whitesLogSeconds() - one.whitesLogSeconds(),
                        filter == reference ? 0 : Math.hypot(l.limitStops(), one.limitStops()),
                        l.isoRange(),
                        l.limitRange())));
        return new FilterTable(reference, entries);
    }
}
