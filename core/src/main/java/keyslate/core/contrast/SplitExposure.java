package keyslate.core.contrast;

import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.core.numeric.Bisection;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Density;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;

/**
 * One print from a soft and a hard exposure.
 *
 * <p>CON-08: H_B = t_s·B_s + t_h·B_h, H_G = t_s·G_s + t_h·G_h with the light per second of each filter (CON-04). A pair is the same over
 * the whole curve as one filter with r = log10(H_G/H_B) and t = H_B/B_g: a split gives no tone that one grade cannot.
 */
public final class SplitExposure {
    private static final double HIGHEST_DENSITY_DIFFERENCE = 1e-9;
    private static final int OUTER_HALVINGS = 60;
    private static final double SENSITIVITY_STOPS = 0.05;
    private static final double LONGEST_LOG_SECONDS = 4;
    private static final double SHORTEST_LOG_SECONDS = -6;

    private final VariableContrastPaper paper;
    private final FilterLight soft;
    private final FilterLight hard;

    /** A split between two grades, as a rule 00 and 5. */
    public SplitExposure(VariableContrastPaper paper, Grade soft, Grade hard) {
        this.paper = paper;
        this.soft = paper.lightAt(soft);
        this.hard = paper.lightAt(hard);
    }

    /** The single filter a pair is worth. */
    public record Single(Grade grade, double isoRange, double ratio, ExposureTime time) {}

    /** A pair of times; either may be 0. */
    public record Pair(double softSeconds, double hardSeconds) {}

    /** Ways to find a pair. */
    public enum School {
        /** Soft from the highlight alone, hard from the shadow alone; both given, so the print comes out too dark. */
        INDEPENDENT,
        /** Hard found on top of the soft exposure: the shadow is right, the highlight a little dark. */
        OVERLAID,
        /** Both tones right. */
        EXACT
    }

    /**
     * What a pair makes of the two tones.
     *
     * @param highlightError print density that came out above what was wanted of the highlight; shadow alike
     */
    public record Found(Pair pair, double highlightError, double shadowError) {}

    /** CON-08: the single grade and time a pair is worth; times of 0 or more, not both 0. */
    public Single equivalent(double softSeconds, double hardSeconds) {
        checkTimes(softSeconds, hardSeconds);
        Check.positive("exposure time", softSeconds + hardSeconds, "s");
        double blue = blue(softSeconds, hardSeconds);
        double ratio = Math.log10(green(softSeconds, hardSeconds) / blue);
        double range = Math.max(40, Math.min(170, paper.isoRange(ratio)));
        Grade grade = GradeScale.gradeOf(range);
        double seconds = blue / Math.pow(10, paper.lightAt(grade).blueLog());
        return new Single(grade, range, ratio, ExposureTime.ofSeconds(seconds));
    }

    /** CON-09: the pair that is worth a single grade and time; refused when one of the two would be negative. */
    public Pair of(Grade grade, ExposureTime time) {
        return of(paper.lightAt(grade), time);
    }

    /** CON-09 for any light. */
    public Pair of(FilterLight single, ExposureTime time) {
        double blue = time.inSeconds() * Math.pow(10, single.blueLog());
        double green = time.inSeconds() * Math.pow(10, single.greenLog());
        double bs = Math.pow(10, soft.blueLog());
        double gs = Math.pow(10, soft.greenLog());
        double bh = Math.pow(10, hard.blueLog());
        double gh = Math.pow(10, hard.greenLog());
        double determinant = bs * gh - bh * gs;
        double softSeconds = (blue * gh - bh * green) / determinant;
        double hardSeconds = (bs * green - blue * gs) / determinant;
        double guard = 1e-9 * time.inSeconds();
        if (softSeconds < -guard || hardSeconds < -guard) {
            throw Check.infeasible("grade", "this grade lies outside the two filters of the split");
        }
        return new Pair(Math.max(0, softSeconds), Math.max(0, hardSeconds));
    }

    /** Print density (paper white included) of a tone of the negative. */
    public double printDensity(double softSeconds, double hardSeconds, Density negative) {
        checkTimes(softSeconds, hardSeconds);
        double light = negative.toTransmittance();
        return VariableContrastPaper.PAPER_WHITE
                + paper.netDensity(blue(softSeconds, hardSeconds) * light, green(softSeconds, hardSeconds) * light);
    }

    /**
     * CON-10: how much a tone darkens for a stop more of one of the two exposures, density per stop, by central difference over
     * ±0.05 stop. In the highlight the soft exposure rules, in the shadow the hard one.
     */
    public double sensitivity(double softSeconds, double hardSeconds, Density negative, boolean ofSoft) {
        double factor = Stops.of(SENSITIVITY_STOPS).toFactor();
        double more = ofSoft
                ? printDensity(softSeconds * factor, hardSeconds, negative)
                : printDensity(softSeconds, hardSeconds * factor, negative);
        double less = ofSoft
                ? printDensity(softSeconds / factor, hardSeconds, negative)
                : printDensity(softSeconds, hardSeconds / factor, negative);
        return (more - less) / (2 * SENSITIVITY_STOPS);
    }

    /**
     * CON-11: a pair for a highlight and a shadow of the negative, whose print densities (paper white included) are wanted.
     * The highlight is the denser one on the negative and the paler one on the print.
     */
    public Found find(School school, Density highlight, Density shadow, double highlightPrint, double shadowPrint) {
        if (highlight.inLog10() <= shadow.inLog10() + HIGHEST_DENSITY_DIFFERENCE) {
            throw Check.outOfRange("densities", "the highlight must be denser on the negative than the shadow");
        }
        if (highlightPrint >= shadowPrint) {
            throw Check.outOfRange("densities", "the shadow must be denser on the print than the highlight");
        }
        double softAlone = seconds(0, highlight, highlightPrint, true);
        Pair pair = switch (school) {
            case INDEPENDENT -> new Pair(softAlone, seconds(0, shadow, shadowPrint, false));
            case OVERLAID -> new Pair(softAlone, seconds(softAlone, shadow, shadowPrint, false));
            case EXACT -> exact(softAlone, highlight, shadow, highlightPrint, shadowPrint);
        };
        return new Found(
                pair,
                printDensity(pair.softSeconds(), pair.hardSeconds(), highlight) - highlightPrint,
                printDensity(pair.softSeconds(), pair.hardSeconds(), shadow) - shadowPrint);
    }

    private Pair exact(double softAlone, Density high, Density shadow, double highPrint, double shadowPrint) {
        double hardAlone = seconds(0, shadow, shadowPrint, false);
        double atNoSoft = printDensity(0, hardAlone, high);
        double softForShadow = seconds(0, shadow, shadowPrint, true);
        double most = Math.min(softAlone, softForShadow);
        double atMost = printDensity(most, hardOver(most, shadow, shadowPrint), high);
        if (atNoSoft > highPrint || atMost < highPrint) {
            throw Check.infeasible("densities", "no pair of these two filters puts both tones right");
        }
        double softSeconds = Bisection.solve(
                s -> printDensity(s, hardOver(s, shadow, shadowPrint), high), highPrint, 0, most, OUTER_HALVINGS);
        return new Pair(softSeconds, hardOver(softSeconds, shadow, shadowPrint));
    }

    private double hardOver(double softSeconds, Density shadow, double shadowPrint) {
        return printDensity(softSeconds, 0, shadow) >= shadowPrint
                ? 0
                : seconds(softSeconds, shadow, shadowPrint, false);
    }

    /** Seconds of one filter (on top of {@code given} seconds of the soft one) that bring a tone to a print density. */
    private double seconds(double given, Density tone, double print, boolean ofSoft) {
        double net = print - VariableContrastPaper.PAPER_WHITE;
        if (!(net > 0 && net < VariableContrastPaper.NET_MAXIMUM)) {
            throw Check.outOfRange("print density", "this paper prints densities above 0.06 and below 2.11");
        }
        if (given > 0 && printDensity(given, 0, tone) >= print) {
            return 0;
        }
        double log = Bisection.solve(
                t -> ofSoft ? printDensity(Math.pow(10, t), 0, tone) : printDensity(given, Math.pow(10, t), tone),
                print,
                SHORTEST_LOG_SECONDS,
                LONGEST_LOG_SECONDS,
                OUTER_HALVINGS);
        return Math.pow(10, log);
    }

    private double blue(double softSeconds, double hardSeconds) {
        return softSeconds * Math.pow(10, soft.blueLog()) + hardSeconds * Math.pow(10, hard.blueLog());
    }

    private double green(double softSeconds, double hardSeconds) {
        return softSeconds * Math.pow(10, soft.greenLog()) + hardSeconds * Math.pow(10, hard.greenLog());
    }

    private static void checkTimes(double softSeconds, double hardSeconds) {
        Check.notNegative("soft time", softSeconds, "s");
        Check.notNegative("hard time", hardSeconds, "s");
    }

    /** The school of a name as it stands in test tables and requests. */
    public static School schoolOf(String name) {
        for (School school : School.values()) {
            if (school.name().equalsIgnoreCase(name)) {
                return school;
            }
        }
        throw new QuantityException(
                QuantityException.Kind.WRONG_SHAPE, "school", "the schools are independent, overlaid and exact");
    }
}
