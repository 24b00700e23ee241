package keyslate.core.calibration;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import keyslate.core.contrast.FilterTable;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
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
    private static final double STOP = Math.log10(2);
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();

    /** What was found of one light: log10 seconds for whites, R, limits of both, and what is left of the densities (0 by eye). */
    public record Light(
            double whitesLogSeconds, double limitStops, double isoRange, double limitRange, double residual) {}

    private FilterReadings() {}

    /**
     * By eye.
     *
     * @param whites with nothing in the carrier, the longest time that still looks white, or its place between two
     * @param blacks the first true black
     * @param uncertainty of each, 0.01 to 2 stops
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
     * From a print of a step negative.
     *
     * @param time received
     * @param step density from step to step of the negative, above 0
     * @param densities of the print, from the negative's clearest step on: falling; 5 at least, from black to paper white
     */
    public static Light bySteps(ExposureTime time, double step, List<Double> densities) {
        Check.within("step", step, 0.02, 0.6, "D");
        Check.count("steps", densities.size(), 5, 60);
        densities.forEach(d -> Check.within("density", d, 0, 4, "D"));
        double white = densities.get(densities.size() - 1);
        double black = densities.get(0);
        if (!(black > white + 1)) {
            throw Check.infeasible(
                    "densities",
                    "the print has to reach from black to paper white: begin with the clearest step of the negative");
        }
        for (int i = 1; i < densities.size(); i++) {
            if (densities.get(i) > densities.get(i - 1) + FURTHEST_STEP / 4) {
                throw Check.outOfRange("densities", "they fall from step to step; number " + (i + 1) + " does not");
            }
        }
        double[] nets = densities.stream()
                .mapToDouble(d -> (d - white) / (black - white) * VariableContrastPaper.NET_MAXIMUM)
                .toArray();
        double[] xs = new double[nets.length];
        for (int i = 0; i < xs.length; i++) {
            xs[i] = Math.log10(time.inSeconds()) - i * step;
        }
        return fitted(xs, nets);
    }

    private static Light fitted(double[] xs, double[] nets) {
        double[] best = {0, 0};
        double least = Double.POSITIVE_INFINITY;
        for (double r = LEAST_RATIO; r <= MOST_RATIO; r += RATIO_STEP) {
            for (double b = -4; b <= 4; b += BLUE_STEP) {
                double sum = misfit(xs, nets, b, r);
                if (sum < least) {
                    least = sum;
                    best = new double[] {b, r};
                }
            }
        }
        double[][] normal = new double[2][2];
        for (int round = 0; round < ROUNDS; round++) {
            normal = new double[2][2];
            double[] right = new double[2];
            for (int i = 0; i < xs.length; i++) {
                double here = PAPER.netDensityAt(xs[i] + best[0], best[1]);
                double[] slope = {
                    (PAPER.netDensityAt(xs[i] + best[0] + SMALL, best[1]) - here) / SMALL,
                    (PAPER.netDensityAt(xs[i] + best[0], best[1] + SMALL) - here) / SMALL
                };
                for (int a = 0; a < 2; a++) {
                    for (int c = 0; c < 2; c++) {
                        normal[a][c] += slope[a] * slope[c];
                    }
                    right[a] += slope[a] * (nets[i] - here);
                }
            }
            double determinant = normal[0][0] * normal[1][1] - normal[0][1] * normal[1][0] + 1e-12;
            double blue = (right[0] * normal[1][1] - right[1] * normal[0][1]) / determinant;
            double ratio = (right[1] * normal[0][0] - right[0] * normal[1][0]) / determinant;
            best[0] += Math.max(-FURTHEST_STEP, Math.min(FURTHEST_STEP, blue));
            best[1] = Math.max(
                    LEAST_RATIO,
                    Math.min(MOST_RATIO, best[1] + Math.max(-FURTHEST_STEP, Math.min(FURTHEST_STEP, ratio))));
        }
        double residual = Math.sqrt(misfit(xs, nets, best[0], best[1]) / xs.length);
        return found(best, normal, residual);
    }

    private static double misfit(double[] xs, double[] nets, double blue, double ratio) {
        double sum = 0;
        for (int i = 0; i < xs.length; i++) {
            double off = nets[i] - PAPER.netDensityAt(xs[i] + blue, ratio);
            sum += off * off;
        }
        return sum;
    }

    /** Limits by the covariance of the fit: of the whites through both unknowns, of R through the ratio. */
    private static Light found(double[] best, double[][] normal, double residual) {
        double spread = Math.max(LEAST_SPREAD, residual);
        double determinant = normal[0][0] * normal[1][1] - normal[0][1] * normal[1][0] + 1e-12;
        double blueVariance = normal[1][1] / determinant;
        double ratioVariance = normal[0][0] / determinant;
        double both = -normal[0][1] / determinant;
        double whitesOfRatio = (white(best[1] + SMALL) - white(best[1])) / SMALL;
        double whites = blueVariance + whitesOfRatio * whitesOfRatio * ratioVariance - 2 * whitesOfRatio * both;
        double rangeOfRatio = (PAPER.isoRange(best[1] + SMALL) - PAPER.isoRange(best[1])) / SMALL;
        return new Light(
                white(best[1]) - best[0],
                Math.min(LEAST_SURE, 2 * spread * Math.sqrt(Math.max(0, whites)) / STOP),
                PAPER.isoRange(best[1]),
                Math.min(WIDEST_RANGE, 2 * spread * Math.abs(rangeOfRatio) * Math.sqrt(ratioVariance)),
                residual);
    }

    private static double white(double ratio) {
        return PAPER.logBlueFor(VariableContrastPaper.HIGHLIGHT_NET, ratio);
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
