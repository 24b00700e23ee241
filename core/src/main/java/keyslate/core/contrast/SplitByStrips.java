package keyslate.core.contrast;

import java.util.Optional;
import java.util.stream.Stream;
import keyslate.core.contrast.SplitExposure.Pair;
import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.core.numeric.Bisection;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;

/**
 * A split from strips through its two filters: the soft one says where the whites hold, the hard one where black comes first.
 *
 * <p>CON-21: the range of the negative N is the mean of R(f)/100 + log10(t_whites/t_blacks) of every filter whose strip shows both, else what the two marks say together
 * through nominal filters. With N each filter's own light follows from its marks: its ratio from R(f) = 100·(N − log10(t_whites/t_blacks)), its speed from a mark. The
 * pair is then found as in CON-10 and CON-11, with the whites at net 0.04 and the black at 0.9 of the maximum. Derived in docs/formulas/contrast.md.
 */
public final class SplitByStrips {
    /**
     * So many times the soft filter's middle the first hard strip is made about, where nothing is known: the black through grade 5 of negatives for grades 0 to 4½ lies about there (CON-04,
     * CON-06).
     */
    public static final double FIRST_HARD_TIMES = 1.5;

    private static final double LONGEST_LOG_RATIO = 4;
    private static final int HALVINGS = 60;

    private final VariableContrastPaper paper;
    /** Where the whites hold on the strip through the soft filter; none of a pair that was read from its sum. */
    private final Optional<ExposureTime> softWhites;

    private final FilterLight softLight;
    private final FilterLight hardLight;
    private final double range;

    /**
     * What a strip through one filter showed.
     *
     * @param whites time at which the whites just hold; none where they were not marked
     * @param blacks time of the first true black; none where it was not
     */
    public record Marks(GradeFilter filter, Optional<ExposureTime> whites, Optional<ExposureTime> blacks) {
        private double late() {
            return log(whites.orElseThrow()) - log(blacks.orElseThrow());
        }

        private boolean isWhole() {
            return whites.isPresent() && blacks.isPresent();
        }
    }

    /** How the two are put together. */
    public enum School {
        /** Both as they were marked, added: the print comes out a little dark. */
        AS_MARKED,
        /** The soft part as it was marked, the hard one on top of it until the black is right. */
        OVERLAID,
        /** Both tones right. */
        EXACT,
        /** Half of the light of the whites through each. */
        FAIR_HALVES
    }

    /**
     * A split from what two strips showed.
     *
     * @throws keyslate.core.quantity.QuantityException where the whites of the soft strip or the black of the hard one are missing
     */
    public SplitByStrips(VariableContrastPaper paper, Marks soft, Marks hard) {
        this.paper = paper;
        this.softWhites = soft.whites();
        if (soft.whites().isEmpty()) {
            throw Check.infeasible(
                    "soft",
                    "mark where the whites hold on a strip through grade "
                            + soft.filter().label());
        }
        if (hard.blacks().isEmpty()) {
            throw Check.infeasible(
                    "hard",
                    "mark the first true black on a strip through grade "
                            + hard.filter().label());
        }
        this.range = range(soft, hard);
        this.softLight = light(soft);
        this.hardLight = light(hard);
    }

    private SplitByStrips(VariableContrastPaper paper, FilterLight softLight, FilterLight hardLight, double range) {
        this.paper = paper;
        this.softWhites = Optional.empty();
        this.softLight = softLight;
        this.hardLight = hardLight;
        this.range = range;
    }

    /**
     * CON-27: the pair that puts whites and black right, from a strip that got both lights on the same patches: the whites hold where it got one pair, the first true black comes where it got another. What both filters
     * are off by together is in both, and cancels. Derived in docs/formulas/contrast.md.
     *
     * @param whitesAt seconds received through the soft and the hard filter, each above 0, where the whites just hold (net 0.04)
     * @param blackAt alike where the first true black comes (net 1.845)
     * @throws keyslate.core.quantity.QuantityException where no pair of these lights does
     */
    public static Pair bySum(VariableContrastPaper paper, Lights lights, Pair whitesAt, Pair blackAt) {
        double white = tone(paper, lights, whitesAt, VariableContrastPaper.HIGHLIGHT_NET);
        double black = tone(paper, lights, blackAt, VariableContrastPaper.SHADOW_NET);
        return new SplitByStrips(paper, through(lights.soft(), white), through(lights.hard(), white), black - white)
                .exact();
    }

    /** The lights of the two filters as these strips show them. */
    public Lights lights() {
        return new Lights(softLight, hardLight);
    }

    /** What two filters let through, per second each (log10 of blue and green, the paper's own unit). */
    public record Lights(FilterLight soft, FilterLight hard) {
        /** As they are known from elsewhere. */
        public static Lights of(VariableContrastPaper paper, GradeFilter soft, GradeFilter hard) {
            return new Lights(paper.lightThrough(soft), paper.lightThrough(hard));
        }

        private FilterLight of(Pair pair) {
            return new FilterLight(
                    sum(pair, soft.blueLog(), hard.blueLog()), sum(pair, soft.greenLog(), hard.greenLog()));
        }

        private static double sum(Pair pair, double softLog, double hardLog) {
            return Math.log10(pair.softSeconds() * Math.pow(10, softLog) + pair.hardSeconds() * Math.pow(10, hardLog));
        }
    }

    /** Light log10 that a tone lets through which prints at a net density with a pair. */
    private static double tone(VariableContrastPaper paper, Lights lights, Pair pair, double net) {
        FilterLight light = lights.of(pair);
        return paper.logBlueFor(net, light.ratio()) - light.blueLog();
    }

    private static FilterLight through(FilterLight light, double log) {
        return new FilterLight(light.blueLog() + log, light.greenLog() + log);
    }

    private static double log(ExposureTime time) {
        return Math.log10(time.inSeconds());
    }

    private double range(Marks one, Marks other) {
        return Stream.of(one, other)
                .filter(Marks::isWhole)
                .mapToDouble(m -> GradeScale.isoRangeOf(m.filter().grade()) / 100 + m.late())
                .average()
                .orElseGet(() -> black(nominal(other), other) - white(nominal(one), one));
    }

    private FilterLight nominal(Marks marks) {
        return paper.lightThrough(marks.filter());
    }

    /** Light log10 that the white tone lets through, by a filter's own mark. */
    private double white(FilterLight light, Marks marks) {
        return paper.logBlueFor(VariableContrastPaper.HIGHLIGHT_NET, light.ratio())
                - light.blueLog()
                - log(marks.whites().orElseThrow());
    }

    private double black(FilterLight light, Marks marks) {
        return paper.logBlueFor(VariableContrastPaper.SHADOW_NET, light.ratio())
                - light.blueLog()
                - log(marks.blacks().orElseThrow());
    }

    /** The light of a filter as its own marks show it; the white tone lets 1 through. */
    private FilterLight light(Marks marks) {
        double ratio = marks.isWhole()
                ? paper.ratioForRange(Math.max(39, Math.min(173, 100 * (range - marks.late()))))
                : nominal(marks).ratio();
        double blue = marks.whites()
                .map(t -> paper.logBlueFor(VariableContrastPaper.HIGHLIGHT_NET, ratio) - log(t))
                .orElseGet(() -> paper.logBlueFor(VariableContrastPaper.SHADOW_NET, ratio)
                        - range
                        - log(marks.blacks().orElseThrow()));
        return new FilterLight(blue, blue + ratio);
    }

    /** How far apart the two tones of the negative lie, log10. */
    public double range() {
        return range;
    }

    /** The pair of a school. */
    public Pair pair(School school) {
        double whites = softWhites.orElseThrow().inSeconds();
        return switch (school) {
            case AS_MARKED -> new Pair(whites, alone(hardLight, range, VariableContrastPaper.SHADOW_NET));
            case OVERLAID -> new Pair(whites, hardOver(whites));
            case EXACT -> exact();
            case FAIR_HALVES -> new Pair(whites / 2, alone(hardLight, 0, VariableContrastPaper.HIGHLIGHT_NET) / 2);
        };
    }

    /** What a pair makes of the white and the black: net densities. */
    public double[] nets(Pair pair) {
        return new double[] {net(pair, 0), net(pair, range)};
    }

    private double alone(FilterLight light, double tone, double net) {
        return Math.pow(10, paper.logBlueFor(net, light.ratio()) - light.blueLog() - tone);
    }

    private double net(Pair pair, double tone) {
        double through = Math.pow(10, tone);
        double blue = pair.softSeconds() * Math.pow(10, softLight.blueLog())
                + pair.hardSeconds() * Math.pow(10, hardLight.blueLog());
        double green = pair.softSeconds() * Math.pow(10, softLight.greenLog())
                + pair.hardSeconds() * Math.pow(10, hardLight.greenLog());
        return paper.netDensity(blue * through, green * through);
    }

    private double hardOver(double softSeconds) {
        double most = alone(hardLight, range, VariableContrastPaper.SHADOW_NET);
        if (net(new Pair(softSeconds, 0), range) >= VariableContrastPaper.SHADOW_NET) {
            return 0;
        }
        return Bisection.solve(
                t -> net(new Pair(softSeconds, t), range), VariableContrastPaper.SHADOW_NET, 0, most, HALVINGS);
    }

    /** The share of hard light at which, with the whites right, the black is right too. */
    private Pair exact() {
        if (blackAt(-LONGEST_LOG_RATIO) > VariableContrastPaper.SHADOW_NET
                || blackAt(LONGEST_LOG_RATIO) < VariableContrastPaper.SHADOW_NET) {
            throw Check.infeasible(
                    "split", "no pair of these two filters puts both tones right: one of them alone does more");
        }
        double log = Bisection.solve(
                this::blackAt, VariableContrastPaper.SHADOW_NET, -LONGEST_LOG_RATIO, LONGEST_LOG_RATIO, HALVINGS);
        return whitesRight(log);
    }

    private double blackAt(double logHardOverSoft) {
        return net(whitesRight(logHardOverSoft), range);
    }

    /** So much hard light for each second of soft, in all so much that the whites are right. */
    private Pair whitesRight(double logHardOverSoft) {
        Pair mixed = new Pair(1, Math.pow(10, logHardOverSoft));
        FilterLight light = new FilterLight(
                Math.log10(Math.pow(10, softLight.blueLog()) + mixed.hardSeconds() * Math.pow(10, hardLight.blueLog())),
                Math.log10(
                        Math.pow(10, softLight.greenLog()) + mixed.hardSeconds() * Math.pow(10, hardLight.greenLog())));
        double seconds = alone(light, 0, VariableContrastPaper.HIGHLIGHT_NET);
        return new Pair(seconds, seconds * mixed.hardSeconds());
    }
}
