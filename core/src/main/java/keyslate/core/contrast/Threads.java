package keyslate.core.contrast;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.core.quantity.Check;

/**
 * Tones of a negative hung over the paper's curve to the greys of the print: which light and how much of it puts them where they are wanted.
 *
 * <p>CON-20: the light and time with the least Σ w·(D − D_wanted)², D by CON-02; a black that may be darker counts only while it is lighter. Every tone alone
 * has one time that puts it right, and D grows with time, so that the least lies between the first and the last of them. Weights as the caller gives them: {@value #ANCHOR_WEIGHT} for what matters most, 1 for the rest.
 * Derived in docs/formulas/contrast.md.
 *
 * @param tones one at least
 */
public record Threads(VariableContrastPaper paper, List<Tone> tones) {
    /** Of the tone that matters most. */
    public static final double ANCHOR_WEIGHT = 4;

    private static final double STOP = Math.log10(2);
    /** The search: from the first time to the last in so many steps, then this many halvings about the best. */
    private static final int STEPS = 96;

    private static final int HALVINGS = 24;
    private static final double LEAST_NET = 0.005;
    private static final double MOST_NET = VariableContrastPaper.NET_MAXIMUM - 0.01;
    private static final double HARDEST_RATIO = -0.76;
    private static final double SOFTEST_RATIO = 2.2922;
    private static final int RATIOS = 48;
    /** A change of light that brings the tones no nearer than this, Σ w·D², is none. */
    private static final double NO_BETTER = 1e-5;

    /**
     * A thread.
     *
     * @param lightLog log10 of the light at the paper through this tone of the negative, for each second, in the paper's own unit
     * @param wantedNet density over the paper's white, 0 to 2.05
     * @param orDarker whether more is as good
     * @param weight above 0
     */
    public record Tone(double lightLog, double wantedNet, boolean orDarker, double weight) {
        public Tone {
            Check.finite("light", lightLog);
            Check.within("wanted density", wantedNet, 0, VariableContrastPaper.NET_MAXIMUM, "");
            Check.positive("weight", weight, "");
        }

        private double missed(double net) {
            double off = net - wantedNet;
            return orDarker && off > 0 ? 0 : weight * off * off;
        }
    }

    /**
     * A light and a time, and what they make of the tones.
     *
     * @param seconds received
     * @param nets in the order of the tones
     * @param cost Σ w·(D − D_wanted)²
     */
    public record Fit(FilterLight light, double seconds, List<Double> nets, double cost) {}

    public Threads {
        tones = List.copyOf(tones);
        Check.count("threads", tones.size(), 1, 100);
    }

    /** The best time through one light. */
    public Fit through(FilterLight light) {
        double[] alone = tones.stream().mapToDouble(t -> logTime(light, t)).toArray();
        double first = Arrays.stream(alone).min().orElseThrow();
        double last = Arrays.stream(alone).max().orElseThrow();
        double step = Math.max((last - first) / STEPS, STOP / 1000);
        double best = IntStream.rangeClosed(0, STEPS)
                .mapToObj(i -> first + i * (last - first) / STEPS)
                .min(Comparator.comparingDouble(log -> cost(light, log)))
                .orElseThrow();
        for (int i = 0; i < HALVINGS; i++) {
            step /= 2;
            double here = best;
            double reach = step;
            best = IntStream.rangeClosed(-1, 1)
                    .mapToObj(k -> here + k * reach)
                    .min(Comparator.comparingDouble(log -> cost(light, log)))
                    .orElseThrow();
        }
        return fit(light, best);
    }

    /** What a light and a time make of the tones. */
    public Fit at(FilterLight light, double seconds) {
        return fit(light, Math.log10(Check.positive("exposure time", seconds, "s")));
    }

    /** The best filter of a set with its time; the one that stands where none is better. */
    public Fit best(GradeFilter standing, List<GradeFilter> set) {
        Fit kept = through(paper.lightThrough(standing));
        return set.stream()
                .map(f -> through(paper.lightThrough(f)))
                .min(Comparator.comparingDouble(Fit::cost))
                .filter(f -> f.cost() < kept.cost() - NO_BETTER)
                .orElse(kept);
    }

    /** The best light of all between the hardest and the softest, with its time: what dials or two filters can give. */
    public Fit bestOfAll() {
        double step = (SOFTEST_RATIO - HARDEST_RATIO) / RATIOS;
        double best = IntStream.rangeClosed(0, RATIOS)
                .mapToObj(i -> HARDEST_RATIO + i * step)
                .min(Comparator.comparingDouble(
                        r -> through(new FilterLight(0, r)).cost()))
                .orElseThrow();
        double reach = step;
        for (int i = 0; i < HALVINGS / 2; i++) {
            reach /= 2;
            double here = best;
            double side = reach;
            best = IntStream.rangeClosed(-1, 1)
                    .mapToObj(k -> Math.max(HARDEST_RATIO, Math.min(SOFTEST_RATIO, here + k * side)))
                    .min(Comparator.comparingDouble(
                            r -> through(new FilterLight(0, r)).cost()))
                    .orElseThrow();
        }
        return through(new FilterLight(0, best));
    }

    /** The filter of a light, where it is one of a set. */
    public Optional<GradeFilter> filterOf(Fit fit) {
        if (paper.isOfOneGrade()) {
            return Optional.of(GradeFilter.NONE);
        }
        return Arrays.stream(GradeFilter.values())
                .filter(f -> paper.lightThrough(f).equals(fit.light()))
                .findFirst();
    }

    private double logTime(FilterLight light, Tone tone) {
        double net = Math.max(LEAST_NET, Math.min(MOST_NET, tone.wantedNet()));
        return paper.logBlueFor(net, light.ratio()) - light.blueLog() - tone.lightLog();
    }

    private double net(FilterLight light, Tone tone, double logSeconds) {
        return paper.netDensityAt(tone.lightLog() + logSeconds + light.blueLog(), light.ratio());
    }

    private double cost(FilterLight light, double logSeconds) {
        double sum = 0;
        for (Tone tone : tones) {
            sum += tone.missed(net(light, tone, logSeconds));
        }
        return sum;
    }

    private Fit fit(FilterLight light, double logSeconds) {
        return new Fit(
                light,
                Math.pow(10, logSeconds),
                tones.stream().map(t -> net(light, t, logSeconds)).toList(),
                cost(light, logSeconds));
    }
}
