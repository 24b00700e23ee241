package keyslate.core.reading;

import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import keyslate.core.contrast.FilterTable;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.light.Light;
import keyslate.core.numeric.LeastSquares;
import keyslate.core.reading.SlateEvidence.Mark;
import keyslate.core.reading.SlateEvidence.Tone;

/**
 * What the strips of many slates say of the filters they were made through, and of the lamp: factors, ranges and lag are the same from slate to slate, negatives are not.
 *
 * <p>CON-23: least squares in log time as in REA-16, with the unknown times of each slate's own tones, and one unknown factor and contrast for each filter, and one lag, common to all. Only differences
 * of filters show: the one that most slates were read through is the reference, and the others are told against it with the limits of the difference. A filter is told of where its limit fell by a
 * tenth at least. Derived in docs/formulas/contrast.md.
 */
public final class LearnedBench {
    private static final double STOP = Math.log10(2);
    private static final double SURELY = 1e-9;
    /** A limit that fell by less says nothing that was not known before. */
    private static final double TELLS = 0.9;

    private final List<List<Mark>> slates;
    private final GradedLights known;
    private final List<Light> lights;
    private final int tones = Tone.values().length;
    private final LeastSquares.Solution solution;

    private LearnedBench(List<List<Mark>> slates, GradedLights known, double lagLimitSeconds) {
        this.slates = slates;
        this.known = known;
        Set<Light> through = new LinkedHashSet<>();
        slates.forEach(marks -> marks.forEach(m -> through.add(m.light())));
        lights = List.copyOf(through);
        solution = solve(lagLimitSeconds);
    }

    /**
     * What a bench told.
     *
     * @param filters that were learned, nothing of those that were not
     * @param lag of its lamp beside the one that times were reckoned with
     */
    public record Told(FilterTable filters, SlateEvidence.Lag lag) {}

    /**
     * What is known after these slates.
     *
     * @param slates marks of each, all on one paper under one lamp
     * @param known what was measured of the filters, with its limits, or nothing
     * @param lagLimitSeconds how far the lag of the lamp may be off
     */
    public static Told of(List<List<Mark>> slates, GradedLights known, double lagLimitSeconds) {
        List<List<Mark>> telling = slates.stream()
                .map(marks -> marks.stream()
                        .filter(m -> m.bound() == SlateEvidence.Bound.AT)
                        .toList())
                .filter(marks -> marks.size() > 1)
                .toList();
        if (telling.isEmpty()) {
            return new Told(FilterTable.NOTHING, new SlateEvidence.Lag(0, lagLimitSeconds));
        }
        LearnedBench learned = new LearnedBench(telling, known, lagLimitSeconds);
        return new Told(learned.table(), learned.lag());
    }

    private SlateEvidence.Lag lag() {
        double[] factors = new double[unknowns()];
        factors[unknowns() - 1] = 1;
        return new SlateEvidence.Lag(solution.at(factors), solution.spreadAt(factors));
    }

    private int unknowns() {
        return slates.size() * tones + 2 * lights.size() + 1;
    }

    private int factorOf(Light light) {
        return slates.size() * tones + 2 * lights.indexOf(light);
    }

    private LeastSquares.Solution solve(double lagLimit) {
        LeastSquares fit = new LeastSquares(unknowns());
        for (int s = 0; s < slates.size(); s++) {
            for (Mark mark : slates.get(s)) {
                double[] row = new double[unknowns()];
                row[s * tones + mark.tone().ordinal()] = 1;
                row[factorOf(mark.light())] = 1;
                row[factorOf(mark.light()) + 1] = mark.tone() == Tone.BLACKS ? 1 : 0;
                row[unknowns() - 1] = mark.lagShare() / Math.log(10);
                fit.add(
                        row,
                        Math.log10(mark.time().inSeconds()) - known.factorLog(mark.light(), mark.tone()),
                        mark.limit().toLogExposure());
            }
        }
        // Tones that were not marked are held by nothing else; their times are not asked for.
        for (int i = 0; i < slates.size() * tones; i++) {
            prior(fit, i, 1 / SURELY);
        }
        for (Light light : lights) {
            prior(fit, factorOf(light), STOP * known.limitStops(light));
            prior(fit, factorOf(light) + 1, known.contrastLimitLog(light));
        }
        prior(fit, unknowns() - 1, lagLimit);
        return fit.solve();
    }

    private void prior(LeastSquares fit, int unknown, double limit) {
        double[] row = new double[unknowns()];
        row[unknown] = 1;
        fit.add(row, 0, Math.max(SURELY, limit));
    }

    private FilterTable table() {
        Light reference = lights.stream()
                .max(Comparator.<Light>comparingLong(
                                l -> slates.stream().filter(s -> isRead(s, l)).count())
                        .thenComparing(l -> -Math.abs(l.toFilter().grade().onScale() - 2)))
                .orElseThrow();
        Map<GradeFilter, FilterTable.Entry> entries = new EnumMap<>(GradeFilter.class);
        for (Light light : lights) {
            if (light.equals(reference)) {
                entries.put(
                        light.toFilter(),
                        new FilterTable.Entry(0, 0, range(light, reference), 100 * known.contrastLimitLog(light)));
            } else if (isTold(light, reference)) {
                entries.put(light.toFilter(), entry(light, reference));
            }
        }
        return entries.size() < 2 ? FilterTable.NOTHING : new FilterTable(reference.toFilter(), entries);
    }

    private static boolean isRead(List<Mark> marks, Light light) {
        return marks.stream().anyMatch(m -> m.light().equals(light));
    }

    private boolean isTold(Light light, Light reference) {
        double before = Math.hypot(known.limitStops(light), known.limitStops(reference));
        return solution.spreadAt(apart(light, reference, 0)) / STOP < TELLS * before;
    }

    /** Of a filter's factor (0) or contrast (1) against the reference's. */
    private double[] apart(Light light, Light reference, int which) {
        double[] factors = new double[unknowns()];
        factors[factorOf(light) + which] += 1;
        factors[factorOf(reference) + which] -= 1;
        return factors;
    }

    private FilterTable.Entry entry(Light light, Light reference) {
        double nominal = known.factorLog(light, Tone.WHITES) - known.factorLog(reference, Tone.WHITES);
        return new FilterTable.Entry(
                nominal + solution.at(apart(light, reference, 0)),
                solution.spreadAt(apart(light, reference, 0)) / STOP,
                range(light, reference),
                100 * solution.spreadAt(apart(light, reference, 1)));
    }

    private double range(Light light, Light reference) {
        return known.paper().rangeThrough(light.toFilter()) + 100 * solution.at(apart(light, reference, 1));
    }
}
