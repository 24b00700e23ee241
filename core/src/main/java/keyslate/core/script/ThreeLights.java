package keyslate.core.script;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import keyslate.core.colour.AdditiveHead;
import keyslate.core.colour.Primary;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;

/**
 * A script as an additive head gives it: every exposure through a pack becomes three, in red, green and blue light.
 *
 * <p>COL-45: each third is set to t·10^(−a_b)/ρ_b + lag (COL-34, a_b in ideal points), rounded once to the timer; what is held, burned or uncovered
 * lies in it at the same shares of its light, a card over everything for the same seconds. The lag counts three times. Back: a third's seconds are
 * worth ρ_b·10^(a_b) white ones each, and what the three are worth is the middle of them; where one is missing, what the least of them gave.
 *
 * @param timer whose steps each setting is rounded to
 * @param settings a head with a timer of its own has one for each light
 */
public record ThreeLights(AdditiveHead head, TimerSteps timer, LampLag lag, Settings settings) {
    private static final int LIGHTS = Primary.values().length;
    /** Lights that differ by more were not all given. */
    private static final double SAME_SHARE = 0.05;
    /** Seconds; what is shorter is no phase but a rounding. */
    private static final double SHORTEST_PHASE = 1e-3;

    /**
     * The exposures in their order, numbered anew; those through no pack stay as they are.
     *
     * @throws QuantityException where a third is longer than the timer goes
     */
    public List<ExposureStep> split(List<ExposureStep> steps) {
        List<ExposureStep> all = new ArrayList<>();
        Map<Primary, ExposureTime> stands = new EnumMap<>(Primary.class);
        for (ExposureStep step : steps) {
            if (step.light() instanceof Light.Dials dials) {
                add(all, step, dials, stands);
            } else {
                all.add(numbered(all.size() + 1, step));
            }
        }
        return all;
    }

    private void add(List<ExposureStep> all, ExposureStep step, Light.Dials dials, Map<Primary, ExposureTime> stands) {
        Map<Primary, ExposureStep> thirds = new EnumMap<>(Primary.class);
        for (Primary primary : Primary.values()) {
            thirds.put(
                    primary,
                    third(
                            step,
                            new Light.Third(primary, head.share(primary), dials.pack()),
                            all.size() + 1 + primary.ordinal()));
        }
        boolean other = settings.ownTimer()
                && !stands.isEmpty()
                && thirds.entrySet().stream().anyMatch(e -> !e.getValue().set().equals(stands.get(e.getKey())));
        thirds.forEach((primary, third) -> {
            all.add(primary == Primary.RED ? third.with(cues(step, other, !stands.isEmpty())) : third);
            stands.put(primary, third.set());
        });
    }

    /** Before the first of three: what was done before the one, with the three timers set in place of dials. */
    private List<Cue> cues(ExposureStep step, boolean timers, boolean again) {
        List<Cue> cues = new ArrayList<>();
        if (timers && settings.unseen()) {
            cues.add(Cue.SET_IN_LIGHT);
        }
        if (again) {
            cues.add(Cue.CHANGE_LIGHT);
        }
        if (timers) {
            cues.add(Cue.SET_TIMER);
        }
        step.cues().stream()
                .filter(c -> c != Cue.SET_IN_LIGHT && c != Cue.CHANGE_LIGHT && c != Cue.SET_TIMER)
                .forEach(cues::add);
        return cues;
    }

    private ExposureStep third(ExposureStep step, Light.Third light, int place) {
        double times = 1 / light.whitePerSecond();
        List<Phase> phases = scaled(step, times, lag);
        double wanted = phases.stream().mapToDouble(Phase::seconds).sum();
        ExposureTime set = timer.nearest(ExposureTime.ofSeconds(wanted)).time();
        roundUp(phases, set.inSeconds() - wanted);
        return new ExposureStep(
                place, step.piece(), light, step.opening(), set, step.presses(), phases, List.of(Cue.CHANGE_LIGHT));
    }

    /** The last phase takes the rounding up; one that is shorter than that goes into the one before. */
    private static void roundUp(List<Phase> phases, double rounding) {
        double left = rounding;
        while (phases.size() > 1 && phases.get(phases.size() - 1).seconds() + left < SHORTEST_PHASE) {
            left += phases.remove(phases.size() - 1).seconds();
        }
        Phase last = phases.remove(phases.size() - 1);
        phases.add(last.lasting(last.seconds() + left));
    }

    /** Every phase so many times as long but for the lag in the first, and but for those in which everything is covered. */
    private static List<Phase> scaled(ExposureStep step, double times, LampLag lag) {
        List<Phase> phases = new ArrayList<>();
        double dead = lag.inSeconds();
        for (Phase phase : step.phases()) {
            double lit = Math.max(0, phase.seconds() - dead);
            phases.add(phase.reachesNothing() ? phase : phase.lasting(phase.seconds() - lit + lit * times));
            dead = Math.max(0, dead - phase.seconds());
        }
        return phases;
    }

    private static ExposureStep numbered(int place, ExposureStep step) {
        return new ExposureStep(
                place,
                step.piece(),
                step.light(),
                step.opening(),
                step.set(),
                step.presses(),
                step.phases(),
                step.cues());
    }

    /**
     * Exposures through packs, and what they gave.
     *
     * @param received seconds of full white light by the place of a step; nothing where it is not in the map
     */
    public record Joined(List<ExposureStep> steps, Map<Integer, Double> received) {
        public Joined {
            steps = List.copyOf(steps);
            received = Map.copyOf(received);
        }
    }

    /** Thirds as the exposures through packs that they stand for; all others as they are. */
    public static Joined joined(List<ExposureStep> steps, Map<Integer, Double> received, LampLag lag) {
        if (steps.stream().noneMatch(s -> s.light() instanceof Light.Third)) {
            return new Joined(steps, received);
        }
        List<ExposureStep> whole = new ArrayList<>();
        Map<Integer, Double> given = new HashMap<>();
        int at = 0;
        while (at < steps.size()) {
            int place = whole.size() + 1;
            if (!(steps.get(at).light() instanceof Light.Third)) {
                given.put(place, received.getOrDefault(steps.get(at).place(), 0.0));
                whole.add(numbered(place, steps.get(at)));
                at++;
                continue;
            }
            if (at + LIGHTS > steps.size()) {
                throw lacking();
            }
            List<ExposureStep> thirds = steps.subList(at, at + LIGHTS);
            checkOfOnePack(thirds);
            double dark = dark(thirds.get(0), lag);
            given.put(place, dark + white(thirds, s -> received.getOrDefault(s.place(), 0.0) - dark));
            whole.add(whole(thirds, place, lag));
            at += LIGHTS;
        }
        return new Joined(whole, given);
    }

    /** Red, green and blue of one pack on one piece. */
    private static void checkOfOnePack(List<ExposureStep> thirds) {
        Light.Third red = third(thirds.get(0));
        for (Primary primary : Primary.values()) {
            ExposureStep step = thirds.get(primary.ordinal());
            Light.Third third = third(step);
            if (third.primary() != primary
                    || !third.pack().equals(red.pack())
                    || step.piece() != thirds.get(0).piece()) {
                throw lacking();
            }
        }
    }

    private static QuantityException lacking() {
        return new QuantityException(
                QuantityException.Kind.WRONG_SHAPE, "steps", "an exposure of three lights lacks one of them");
    }

    private static ExposureStep whole(List<ExposureStep> thirds, int place, LampLag lag) {
        ExposureStep red = thirds.get(0);
        Light.Third light = third(red);
        double dark = dark(red, lag);
        double own = red.receivedSeconds(lag) - dark;
        // What is set shorter than the lag gives no light that could be scaled.
        double times = own > 0 ? white(thirds, s -> s.receivedSeconds(lag) - dark) / own : 0;
        if (times <= 0) {
            times = 1;
        }
        List<Phase> phases = scaled(red, times, lag);
        return new ExposureStep(
                place,
                red.piece(),
                Light.dials(light.pack()),
                red.opening(),
                ExposureTime.ofSeconds(
                        phases.stream().mapToDouble(Phase::seconds).sum()),
                red.presses(),
                phases,
                red.cues());
    }

    /** Seconds of light in which everything is covered, the same in each third. */
    private static double dark(ExposureStep step, LampLag lag) {
        double dead = lag.inSeconds();
        double dark = 0;
        for (Phase phase : step.phases()) {
            dark += phase.reachesNothing() ? Math.max(0, phase.seconds() - dead) : 0;
            dead = Math.max(0, dead - phase.seconds());
        }
        return dark;
    }

    /** What three thirds are worth in white light. */
    private static double white(List<ExposureStep> thirds, ToDoubleFunction<ExposureStep> seconds) {
        double[] worth = thirds.stream()
                .mapToDouble(s -> Math.max(0, seconds.applyAsDouble(s)) * third(s).whitePerSecond())
                .sorted()
                .toArray();
        return worth[LIGHTS - 1] - worth[0] > SAME_SHARE * worth[LIGHTS - 1] ? worth[0] : worth[1];
    }

    private static Light.Third third(ExposureStep step) {
        if (step.light() instanceof Light.Third third) {
            return third;
        }
        throw lacking();
    }
}
