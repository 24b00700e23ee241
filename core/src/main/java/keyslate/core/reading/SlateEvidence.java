package keyslate.core.reading;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import keyslate.core.light.Light;
import keyslate.core.numeric.LeastSquares;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;

/**
 * All readings of a slate taken together, whatever kind of test each comes from; a second strip never forgets the first.
 *
 * <p>REA-16: least squares in log time. Unknown: the time that each tone needs; for every light how far its factor, and its contrast, are off; how far the lamp's
 * lag is off. A mark says log t = tone + factor(light, tone) + off(light) [+ contrast off(light), of a black] + lag off·n/t, n = how often the lamp went on for it.
 * Marks come with their limits, factors and lag with theirs about 0. A test that ends before a tone gives a bound, which counts as a mark where the others speak against it, or where there is no other. Derived in docs/formulas/reading.md.
 */
public final class SlateEvidence {
    /** What is looked for in a patch. */
    public enum Tone {
        WHITES,
        MIDDLE,
        BLACKS
    }

    /** Whether a tone lies where it is marked, or the test ends there and the tone lies beyond. */
    public enum Bound {
        AT,
        /** It needs this time or more: no patch of the test shows it. */
        AT_LEAST,
        /** This time or less: every patch shows it. */
        AT_MOST
    }

    /**
     * A mark on a test.
     *
     * @param light that fell on the patch
     * @param time it received as the lag was known, at the size and opening that stand now
     * @param limit how far the mark may be off, above 0
     * @param lagShare how many times the lag of the lamp went into it, for each second it received: n/t
     * @param bound whether the tone lies there, or beyond
     */
    public record Mark(Tone tone, Light light, ExposureTime time, Stops limit, double lagShare, Bound bound) {
        /** A tone where it is marked. */
        public Mark(Tone tone, Light light, ExposureTime time, Stops limit, double lagShare) {
            this(tone, light, time, limit, lagShare, Bound.AT);
        }

        public Mark {
            Check.positive("limit", limit.inStops(), "stops");
            Check.notNegative("lag", lagShare, "");
        }
    }

    /**
     * The lag of the lamp beside the one that times were reckoned with.
     *
     * @param offSeconds by how much it is longer
     * @param limitSeconds how far that may be off, 0 or more
     */
    public record Lag(double offSeconds, double limitSeconds) {
        public Lag {
            Check.finite("lag", offSeconds);
            Check.notNegative("lag", limitSeconds, "s");
        }
    }

    /** How time follows the light, and how well that is known. */
    public interface LightModel {
        /** log10 of the factor of time of a light for a tone, against any one light. */
        double factorLog(Light light, Tone tone);

        /** How far the factor of one light may be off, stops; 0 where it is exact. */
        double limitStops(Light light);

        /** How far its contrast may be off, log10 between white and black; 0 where there is but one. */
        double contrastLimitLog(Light light);

        /** What several lights may be off by together, as all grades of one dial are; none as a rule. */
        default List<Common> commons() {
            return List.of();
        }
    }

    /** One error that many lights share: how far it may go, and what it does to each. */
    public interface Common {
        /** In a unit of its own, 95 %. */
        double limit();

        /** log10 of the factor of time of a light for a tone, for one unit of it. */
        double effectLog(Light light, Tone tone);
    }

    /**
     * A time with its limit.
     *
     * @param limit everything counted
     * @param toSettle the part of it that one more test can settle: without the lag
     */
    public record Estimate(ExposureTime time, Stops limit, Stops toSettle) {}

    /** A difference of two tones in log10 time, free of all lights, with its limit. */
    public record Difference(double log, double limitLog) {}

    private static final double STOP = Math.log10(2);
    private static final double SURELY = 1e-9;

    private final List<Tone> tones;
    private final List<Light> lights;
    private final LightModel model;
    private final LeastSquares.Solution all;
    private final LeastSquares.Solution lagKnown;

    private SlateEvidence(List<Mark> marks, LightModel model, Lag lag, Light standing) {
        this.model = model;
        Set<Tone> seen = new LinkedHashSet<>();
        Set<Light> through = new LinkedHashSet<>(List.of(standing));
        for (Mark mark : marks) {
            seen.add(mark.tone());
            through.add(mark.light());
        }
        tones = List.copyOf(seen);
        lights = List.copyOf(through);
        all = solve(marks, lag);
        lagKnown = solve(marks, new Lag(lag.offSeconds(), 0));
    }

    /**
     * What the marks say.
     *
     * @param marks one at least
     * @param lagLimitSeconds how far the lag of the lamp may be off, 0 or more
     * @param standing a light that times will be asked for, besides those of the marks
     */
    public static SlateEvidence of(List<Mark> marks, LightModel model, double lagLimitSeconds, Light standing) {
        return of(marks, model, new Lag(0, lagLimitSeconds), standing);
    }

    /** The same where earlier slates told by how much the lag is off. */
    public static SlateEvidence of(List<Mark> marks, LightModel model, Lag lag, Light standing) {
        Check.count("marks", marks.size(), 1, 10_000);
        List<Mark> used = new ArrayList<>(
                marks.stream().filter(m -> m.bound() == Bound.AT).toList());
        List<Mark> bounds = new ArrayList<>(
                marks.stream().filter(m -> m.bound() != Bound.AT).toList());
        for (Tone tone : Tone.values()) {
            if (used.stream().noneMatch(m -> m.tone() == tone)) {
                bounds.stream().filter(m -> m.tone() == tone).findFirst().ifPresent(m -> take(m, bounds, used));
            }
        }
        SlateEvidence said = new SlateEvidence(used, model, lag, standing);
        // A bound counts where the other marks speak against it; else they have told more.
        for (Optional<Mark> next = said.against(bounds); next.isPresent(); next = said.against(bounds)) {
            take(next.get(), bounds, used);
            said = new SlateEvidence(used, model, lag, standing);
        }
        return said;
    }

    private static void take(Mark mark, List<Mark> from, List<Mark> to) {
        from.remove(mark);
        to.add(mark);
    }

    /** A bound that what is known lies on the wrong side of. */
    private Optional<Mark> against(List<Mark> bounds) {
        return bounds.stream()
                .filter(m -> {
                    int at = lights.indexOf(m.light());
                    if (!knows(m.tone()) || at < 0) {
                        return false;
                    }
                    double log = model.factorLog(m.light(), m.tone()) + all.at(row(m.tone(), m.light(), m.lagShare()));
                    double off = log - Math.log10(m.time().inSeconds());
                    return m.bound() == Bound.AT_LEAST ? off < 0 : off > 0;
                })
                .findFirst();
    }

    /** Whether a tone was marked at all. */
    public boolean knows(Tone tone) {
        return tones.contains(tone);
    }

    private LeastSquares.Solution solve(List<Mark> marks, Lag lag) {
        LeastSquares fit = new LeastSquares(unknowns());
        for (Mark mark : marks) {
            double[] row = row(mark.tone(), mark.light(), mark.lagShare());
            double seen = Math.log10(mark.time().inSeconds()) - model.factorLog(mark.light(), mark.tone());
            fit.add(row, seen, mark.limit().toLogExposure());
        }
        for (int i = 0; i < lights.size(); i++) {
            prior(fit, tones.size() + i, 0, STOP * model.limitStops(lights.get(i)));
            prior(fit, tones.size() + lights.size() + i, 0, model.contrastLimitLog(lights.get(i)));
        }
        for (int i = 0; i < model.commons().size(); i++) {
            prior(
                    fit,
                    tones.size() + 2 * lights.size() + i,
                    0,
                    model.commons().get(i).limit());
        }
        prior(fit, unknowns() - 1, lag.offSeconds(), lag.limitSeconds());
        return fit.solve();
    }

    private void prior(LeastSquares fit, int unknown, double seen, double limit) {
        double[] row = new double[unknowns()];
        row[unknown] = 1;
        fit.add(row, seen, Math.max(SURELY, limit));
    }

    private int unknowns() {
        return tones.size() + 2 * lights.size() + model.commons().size() + 1;
    }

    private double[] row(Tone tone, Light light, double lagShare) {
        double[] row = new double[unknowns()];
        row[tones.indexOf(tone)] = 1;
        int at = lights.indexOf(light);
        row[tones.size() + at] = 1;
        row[tones.size() + lights.size() + at] = tone == Tone.BLACKS ? 1 : 0;
        for (int i = 0; i < model.commons().size(); i++) {
            row[tones.size() + 2 * lights.size() + i] = model.commons().get(i).effectLog(light, tone);
        }
        row[unknowns() - 1] = lagShare / Math.log(10);
        return row;
    }

    /** The time that a tone needs through a light, given in one exposure. */
    public Optional<Estimate> time(Tone tone, Light light) {
        return time(tone, light, 1);
    }

    /**
     * The time that a tone needs through a light.
     *
     * @param lampOns in how many exposures it is given: so often the lag counts
     * @return none where the tone was not marked, or the light is unknown here
     */
    public Optional<Estimate> time(Tone tone, Light light, int lampOns) {
        if (!knows(tone) || !lights.contains(light)) {
            return Optional.empty();
        }
        double plain = factor(light, tone) + all.at(row(tone, light, 0));
        double[] given = row(tone, light, lampOns * Math.pow(10, -plain));
        double log = factor(light, tone) + all.at(given);
        return Optional.of(new Estimate(
                ExposureTime.ofSeconds(Math.pow(10, log)),
                Stops.of(all.spreadAt(given) / STOP),
                Stops.of(lagKnown.spreadAt(given) / STOP)));
    }

    private double factor(Light light, Tone tone) {
        return model.factorLog(light, tone);
    }

    /** R by which a light prints softer than its model says, as far as the marks tell. */
    public double rangeOff(Light light) {
        double[] factors = new double[unknowns()];
        int at = lights.indexOf(light);
        if (at >= 0) {
            factors[tones.size() + lights.size() + at] = 1;
        }
        for (int i = 0; i < model.commons().size(); i++) {
            Common common = model.commons().get(i);
            factors[tones.size() + 2 * lights.size() + i] =
                    common.effectLog(light, Tone.BLACKS) - common.effectLog(light, Tone.WHITES);
        }
        return 100 * all.at(factors);
    }

    /** By how much more one tone needs than another in log10, as through a light whose factors are exact; none where one was not marked. */
    public Optional<Difference> between(Tone more, Tone less) {
        if (!knows(more) || !knows(less)) {
            return Optional.empty();
        }
        double[] factors = new double[unknowns()];
        factors[tones.indexOf(more)] = 1;
        factors[tones.indexOf(less)] = -1;
        return Optional.of(new Difference(all.at(factors), all.spreadAt(factors)));
    }

    /** How far the lag of the lamp seems to be off, seconds, with what it is open. */
    public Difference lagOff() {
        double[] factors = new double[unknowns()];
        factors[unknowns() - 1] = 1;
        return new Difference(all.at(factors), all.spreadAt(factors));
    }
}
