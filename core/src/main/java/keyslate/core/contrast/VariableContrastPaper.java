package keyslate.core.contrast;

import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.ToDoubleFunction;
import keyslate.core.numeric.Bisection;
import keyslate.core.numeric.LinearTable;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Grade;

/**
 * Variable-contrast paper: three blue-sensitive emulsions of one contrast that differ in green speed.
 *
 * <p>CON-02: net density = A/3 · Σ_i Σ_k w_k / (1 + h_ik^−s), h_ik = H_B + H_G·10^(−o_i + (k − 2)·spread), i = 1..3, k
 * = 0..4. In blue light all three act alike (hard), in green they separate (soft). H in the paper's own unit, chosen
 * so that a time of 0.5 through any filter up to 3½ gives net 0.6 (CON-04).
 *
 * <p>All parameters are generic (docs/formulas/contrast.md); mid-speed, range and the direction of every effect are
 * dependable, detail of toe and shoulder below about 0.05 D is not.
 */
public final class VariableContrastPaper {
    /** Densities are quoted above this paper white. */
    public static final double PAPER_WHITE = 0.06;
    /** Largest net density. */
    public static final double NET_MAXIMUM = 2.05;
    /** Net density of the tone at which whites just hold: the highlight point of ISO 6846. */
    public static final double HIGHLIGHT_NET = 0.04;
    /** Net density of the first true black: the shadow point of ISO 6846, 0.9 of the maximum. */
    public static final double SHADOW_NET = 0.9 * NET_MAXIMUM;
    /** Net density at which filters are matched in speed. */
    public static final double SPEED_NET = 0.6;
    /** R of a graded paper that nobody measured against that of its grade, 95 %: makers' grades are half a grade apart. */
    public static final double GRADED_LIMIT_RANGE = 10;
    /** log10(green/blue) of white light without a filter. */
    public static final double WHITE_LIGHT_RATIO = 0.745;

    /** The lamp without any filter: the reference of the paper's unit of light. */
    public static final FilterLight WHITE_LIGHT = new FilterLight(0, WHITE_LIGHT_RATIO);

    private static final double[] OFFSETS = {0, 0.62, 1.24};
    private static final double SPREAD = 0.21;
    private static final double[] NODE_WEIGHTS = {1 / 16.0, 4 / 16.0, 6 / 16.0, 4 / 16.0, 1 / 16.0};
    private static final double SPEED_LOG_TIME = -0.300;
    private static final double DARKEST_LOG = -12;
    private static final double BRIGHTEST_LOG = 5;
    /** Halves the span of 17 to less than a double can tell. */
    private static final int HALVINGS = 56;

    private static final double LOWEST_RATIO = -8;
    private static final double HIGHEST_RATIO = 8;
    private static final LinearTable SPEED_LOSS = LinearTable.of(new double[][] {{-1, 0}, {3.5, 0}, {4, 1}, {5, 1}});

    private static final int MOST_LIGHTS = 500;
    /** A light is found by bisections within bisections, and a burn asks for the same one at every step of its own. */
    private final Map<Grade, FilterLight> lights = new ConcurrentHashMap<>();

    private final Map<GradeFilter, FilterLight> filters = new EnumMap<>(GradeFilter.class);
    private final FilterTable measured;
    /** How much longer its scale is than that of variable-contrast paper in white light; 0 = it is variable-contrast paper. */
    private final double stretch;

    private final double speedPoint;
    private final double[] greenFactors = new double[OFFSETS.length * NODE_WEIGHTS.length];

    /**
     * What a filter lets through, per second of the lamp.
     *
     * @param blueLog log10 of blue exposure per second
     * @param greenLog log10 of green exposure per second
     */
    public record FilterLight(double blueLog, double greenLog) {
        /** log10(green/blue), the one number that sets the contrast. */
        public double ratio() {
            return greenLog - blueLog;
        }
    }

    /** The generic paper of the model, its filters matched in speed. */
    public VariableContrastPaper() {
        this(FilterTable.NOTHING);
    }

    /** The same through filters that were measured; what the table does not know is as in the model. */
    public VariableContrastPaper(FilterTable measured) {
        this(measured, false);
    }

    private VariableContrastPaper(FilterTable measured, boolean oneGrade) {
        this.measured = measured;
        for (int i = 0; i < OFFSETS.length; i++) {
            for (int k = 0; k < NODE_WEIGHTS.length; k++) {
                greenFactors[i * NODE_WEIGHTS.length + k] = Math.pow(10, -OFFSETS[i] + (k - 2) * SPREAD);
            }
        }
        this.speedPoint = oneGrade ? whiteLightLog(SPEED_NET) : 0;
        this.stretch = oneGrade
                ? measured.of(GradeFilter.NONE).orElseThrow().isoRange()
                        / (100 * (whiteLightLog(SHADOW_NET) - whiteLightLog(HIGHLIGHT_NET)))
                : 0;
    }

    /**
     * CON-26: graded paper, of one contrast whatever the light: the curve of white light, its log exposures stretched about the speed point to this R. It is printed
     * with no filter, and is as fast as white light makes variable-contrast paper at net 0.6.
     *
     * @param isoRange R, 39 to 173
     * @param limitRange of that, 95 %
     */
    public static VariableContrastPaper ofOneGrade(double isoRange, double limitRange) {
        return new VariableContrastPaper(
                new FilterTable(
                        GradeFilter.NONE,
                        Map.of(GradeFilter.NONE, new FilterTable.Entry(0, 0, isoRange, limitRange)),
                        true),
                true);
    }

    /** Whether no filter changes its contrast. */
    public boolean isOfOneGrade() {
        return stretch > 0;
    }

    /** CON-02: net density for linear blue and green exposures, each 0 or more. */
    public double netDensity(double blue, double green) {
        Check.notNegative("blue exposure", blue, "");
        Check.notNegative("green exposure", green, "");
        if (!isOfOneGrade()) {
            return variable(blue, green);
        }
        double log = speedPoint + (Math.log10(blue) - speedPoint) / stretch;
        return variable(Math.pow(10, log), Math.pow(10, log + WHITE_LIGHT_RATIO));
    }

    private double whiteLightLog(double net) {
        return Bisection.solve(
                x -> variable(Math.pow(10, x), Math.pow(10, x + WHITE_LIGHT_RATIO)),
                net,
                DARKEST_LOG,
                BRIGHTEST_LOG,
                HALVINGS);
    }

    private double variable(double blue, double green) {
        double sum = 0;
        for (int n = 0; n < greenFactors.length; n++) {
            double h = blue + green * greenFactors[n];
            // The steepness is 7: seven factors instead of a power make every search below ten times quicker.
            double cube = h * h * h;
            double seventh = cube * cube * h;
            sum += NODE_WEIGHTS[n % NODE_WEIGHTS.length] * (1 - 1 / (1 + seventh));
        }
        return NET_MAXIMUM / OFFSETS.length * sum;
    }

    /** Net density at log10 blue exposure {@code logBlue} and log10(green/blue) {@code ratio}. */
    public double netDensityAt(double logBlue, double ratio) {
        return netDensity(Math.pow(10, logBlue), Math.pow(10, logBlue + ratio));
    }

    /** log10 blue exposure for a net density at a ratio, by bisection; net between 0 and the maximum, both excluded. */
    public double logBlueFor(double net, double ratio) {
        if (!(Check.finite("net density", net) > 0 && net < NET_MAXIMUM)) {
            throw Check.outOfRange("net density", "this paper has net densities between 0 and " + NET_MAXIMUM);
        }
        return Bisection.solve(x -> netDensityAt(x, ratio), net, DARKEST_LOG, BRIGHTEST_LOG, HALVINGS);
    }

    /** CON-03: ISO range of a light, R = 100·[x(0.9A) − x(0.04)]. */
    public double isoRange(double ratio) {
        Check.within("log green/blue", ratio, LOWEST_RATIO, HIGHEST_RATIO, "");
        return 100 * (logBlueFor(SHADOW_NET, ratio) - logBlueFor(HIGHLIGHT_NET, ratio));
    }

    /** The ratio that gives an R; refuses what no light reaches. */
    public double ratioForRange(double isoRange) {
        Check.finite("ISO range", isoRange);
        if (isOfOneGrade()) {
            throw Check.infeasible("ISO range", "graded paper has one contrast, whatever the light");
        }
        double hardest = isoRange(LOWEST_RATIO);
        double softest = isoRange(HIGHEST_RATIO);
        if (isoRange < hardest || isoRange > softest) {
            throw Check.outOfRange(
                    "ISO range",
                    "this paper reaches R " + Math.round(hardest) + " to " + Math.round(softest) + ", R "
                            + Math.round(isoRange) + " is needed");
        }
        return Bisection.solve(this::isoRange, isoRange, LOWEST_RATIO, HIGHEST_RATIO, 50);
    }

    /**
     * CON-04: what the filter of a grade lets through, speed-matched at net 0.6: the same time from 00 to 3½, twice
     * the time from 4 on.
     */
    public FilterLight lightAt(Grade grade) {
        FilterLight before = lights.get(grade);
        if (before != null) {
            return before;
        }
        if (lights.size() >= MOST_LIGHTS) {
            lights.clear();
        }
        FilterLight light = computed(grade);
        lights.put(grade, light);
        return light;
    }

    private FilterLight computed(Grade grade) {
        if (isOfOneGrade()) {
            return WHITE_LIGHT;
        }
        FilterLight nominal = nominal(grade);
        if (measured.isEmpty()) {
            return nominal;
        }
        GradeFilter nearest = GradeFilter.nearest(grade);
        if (nearest.grade().equals(grade)) {
            return through(nearest);
        }
        boolean above = nearest.grade().onScale() > grade.onScale();
        GradeFilter other = GradeFilter.set()
                .get(Math.max(0, Math.min(GradeFilter.set().size() - 1, nearest.ordinal() + (above ? -1 : 1))));
        double span = other.grade().onScale() - nearest.grade().onScale();
        double share = span == 0 ? 0 : (grade.onScale() - nearest.grade().onScale()) / span;
        FilterLight one = through(nearest);
        FilterLight two = through(other);
        FilterLight asOne = nominal(nearest.grade());
        FilterLight asTwo = nominal(other.grade());
        return new FilterLight(
                nominal.blueLog()
                        + (1 - share) * (one.blueLog() - asOne.blueLog())
                        + share * (two.blueLog() - asTwo.blueLog()),
                nominal.greenLog()
                        + (1 - share) * (one.greenLog() - asOne.greenLog())
                        + share * (two.greenLog() - asTwo.greenLog()));
    }

    /** CON-22: a filter that was measured: its ratio from its R, its speed from its time for whites against the reference's. */
    private FilterLight through(GradeFilter filter) {
        if (isOfOneGrade()) {
            return WHITE_LIGHT;
        }
        FilterTable.Entry entry = measured.of(filter).orElse(null);
        if (entry == null) {
            return filter == GradeFilter.NONE ? WHITE_LIGHT : movedAlong(nominal(filter.grade()));
        }
        FilterLight reference = measured.reference() == GradeFilter.NONE
                ? WHITE_LIGHT
                : nominal(measured.reference().grade());
        double ratio = ratioForRange(entry.isoRange());
        double logTime = logBlueFor(HIGHLIGHT_NET, reference.ratio()) - reference.blueLog() + entry.whitesLog();
        double blue = logBlueFor(HIGHLIGHT_NET, ratio) - logTime;
        return new FilterLight(blue, blue + ratio);
    }

    /** A filter that was not measured, in a set of which others were. */
    private FilterLight movedAlong(FilterLight nominal) {
        double costs = measured.filterIn(f -> whitesLog(nominal(f.grade())) - whitesLog(WHITE_LIGHT));
        return new FilterLight(nominal.blueLog() - costs, nominal.greenLog() - costs);
    }

    private double whitesLog(FilterLight light) {
        return logBlueFor(HIGHLIGHT_NET, light.ratio()) - light.blueLog();
    }

    /** What was measured of its filters. */
    public FilterTable measured() {
        return measured;
    }

    /** The filters that can be set, softest first: those of the set, or those grades that a head reaches; none at all on graded paper, which is one as well. */
    public List<GradeFilter> set() {
        if (isOfOneGrade()) {
            return List.of(GradeFilter.NONE);
        }
        return measured.closed()
                ? GradeFilter.set().stream()
                        .filter(f -> measured.of(f).isPresent())
                        .toList()
                : GradeFilter.set();
    }

    /** The same with ranges as they turned out: R by which each of its measured filters prints softer. */
    public VariableContrastPaper turnedOut(ToDoubleFunction<GradeFilter> softer) {
        return measured.isEmpty() ? this : new VariableContrastPaper(measured.turnedOut(softer), isOfOneGrade());
    }

    /** R through a filter: as measured, else that of its grade (CON-01). */
    public double rangeThrough(GradeFilter filter) {
        return measured.of(isOfOneGrade() ? GradeFilter.NONE : filter)
                .map(FilterTable.Entry::isoRange)
                .orElseGet(() -> GradeScale.isoRangeOf(filter.grade()));
    }

    /** The grade that a filter prints: its own, or that of its R where it was measured; within the scale. */
    public Grade gradeThrough(GradeFilter filter) {
        return measured.of(isOfOneGrade() ? GradeFilter.NONE : filter)
                .map(e -> GradeScale.gradeOf(Math.max(40, Math.min(170, e.isoRange()))))
                .orElse(filter.grade());
    }

    /** The filter of the set that prints nearest to a grade; of two equally near the softer, which risks less. */
    public GradeFilter nearest(Grade wanted) {
        return set().stream()
                .min(Comparator.comparingDouble(f -> Math.abs(gradeThrough(f).onScale() - wanted.onScale())))
                .orElseThrow();
    }

    private FilterLight nominal(Grade grade) {
        double ratio = ratioForRange(GradeScale.isoRangeOf(grade));
        double logTime = SPEED_LOG_TIME + Math.log10(2) * SPEED_LOSS.at(grade.onScale());
        double blue = logBlueFor(SPEED_NET, ratio) - logTime;
        return new FilterLight(blue, blue + ratio);
    }

    /** {@link #lightAt} for a filter of the set, kept once computed. */
    public synchronized FilterLight lightThrough(GradeFilter filter) {
        FilterLight before = filters.get(filter);
        if (before != null) {
            return before;
        }
        FilterLight light = filter == GradeFilter.NONE ? through(filter) : lightAt(filter.grade());
        filters.put(filter, light);
        return light;
    }

    /** So many seconds received through a filter. */
    public record Given(GradeFilter filter, double seconds) {}

    /** CON-08: all the light of several exposures as if it were one second of one light. */
    public FilterLight together(List<Given> given) {
        double blue = 0;
        double green = 0;
        for (Given part : given) {
            FilterLight light = lightThrough(part.filter());
            blue += part.seconds() * Math.pow(10, light.blueLog());
            green += part.seconds() * Math.pow(10, light.greenLog());
        }
        return new FilterLight(
                Math.log10(Check.positive("light", blue, "")), Math.log10(Check.positive("light", green, "")));
    }

    /** log10 of the time for a net density at a grade, in the paper's own unit of light. */
    public double logTimeFor(double net, Grade grade) {
        FilterLight light = lightAt(grade);
        return logBlueFor(net, light.ratio()) - light.blueLog();
    }

    /** Net density at a grade after log10 time {@code logTime}. */
    public double netDensityAtGrade(Grade grade, double logTime) {
        FilterLight light = lightAt(grade);
        return netDensityAt(Check.finite("log time", logTime) + light.blueLog(), light.ratio());
    }

    /** CON-05 from one filter to another, no filter among them. */
    public double pivotFactor(GradeFilter from, GradeFilter to, double heldNet) {
        return from == to ? 1 : Math.pow(10, logTimeThrough(heldNet, to) - logTimeThrough(heldNet, from));
    }

    /** log10 of the time for a net density through a filter, in the paper's own unit of light. */
    public double logTimeThrough(double net, GradeFilter filter) {
        FilterLight light = lightThrough(filter);
        return logBlueFor(net, light.ratio()) - light.blueLog();
    }

    /**
     * CON-05: the factor of time from one grade to another that holds one tone, 10^(x_to(D) − x_from(D)). From 2 to 4
     * it is 2.79 for a highlight of D 0.16 and 1.15 for a shadow of D 1.60: a factor is right at one tone only.
     *
     * @param heldNet net density of the tone that is held
     */
    public double pivotFactor(Grade from, Grade to, double heldNet) {
        if (from.equals(to)) {
            return 1;
        }
        return Math.pow(10, logTimeFor(heldNet, to) - logTimeFor(heldNet, from));
    }
}
