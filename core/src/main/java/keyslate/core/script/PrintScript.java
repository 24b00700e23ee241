package keyslate.core.script;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeSet;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.light.Light;
import keyslate.core.local.LocalChange;
import keyslate.core.local.RunSchedule;
import keyslate.core.quantity.ExposureTime;

/**
 * The exposures of a whole sheet: the base with its holds, then the burns.
 *
 * <p>LOC-16: holds by the packing of LOC-08, moved behind a lead of {@value #LEAD_SECONDS} s in which the tool finds its place by the picture;
 * the base is then one exposure, set to received + lag, and its phases change where a hold begins or ends. Where the
 * holds leave no room for the lead, or by choice, the base is cut into bursts. A burn begins under the full card for as
 * long as the lead, so that the lag of the lamp does not count in it. Burns in the base's light come first. Times are
 * exact until here; the timer rounds each setting once, and the last phase takes the rounding up. Where a setting cannot be
 * seen, the paper lies in its box while it is changed.
 *
 * <p>LOC-17: a base of n presses is set to received / n + lag each time; holds, and burns that come near, are whole presses of that
 * one setting.
 */
public final class PrintScript {
    /** Lamp on, hands out of the light: the tool finds its place. */
    public static final double LEAD_SECONDS = 2;

    private static final int HANDS = 2;
    private static final double SAME_SECONDS = 1e-6;

    private final Rig rig;
    private final List<ExposureStep> steps = new ArrayList<>();

    private PrintScript(Rig rig) {
        this.rig = rig;
    }

    /** How much longer a burn takes in another light than the base's, for the same effect on its tone. */
    @FunctionalInterface
    public interface BurnFactor {
        double of(LocalWork.Area area, BaseExposure.Part base);
    }

    /**
     * What stands for the exposure besides base and local work.
     *
     * @param one what a base of several parts is worth through one light, which burns in a light of their own are reckoned from; none of a base of one part
     */
    public record Rig(
            double opening,
            TimerSteps timer,
            LampLag lag,
            Settings settings,
            BurnFactor burns,
            Optional<BaseExposure.Part> one) {
        /** For a base of one part. */
        public Rig(double opening, TimerSteps timer, LampLag lag, Settings settings, BurnFactor burns) {
            this(opening, timer, lag, settings, burns, Optional.empty());
        }
    }

    /**
     * The script; refused when the holds do not fit the base with two hands.
     *
     * @throws keyslate.core.quantity.QuantityException with the way out in its message
     */
    public static List<ExposureStep> plan(BaseExposure base, LocalWork work, Rig rig) {
        PrintScript script = new PrintScript(rig);
        for (BaseExposure.Part part : base.parts()) {
            script.base(part, work, base.presses());
        }
        script.burns(base, work);
        return script.steps;
    }

    private void base(BaseExposure.Part part, LocalWork work, int presses) {
        List<RunSchedule.Hold> holds = work.areas().stream()
                .filter(a -> a.change().isHold())
                .map(a -> new RunSchedule.Hold(a.key(), a.change()))
                .toList();
        if (presses > 1) {
            pressed(part, presses, holds);
            return;
        }
        RunSchedule schedule = RunSchedule.plan(part.time(), holds, List.of(), HANDS, rig.lag());
        double busy = schedule.moves().stream()
                .mapToDouble(RunSchedule.Move::endSeconds)
                .max()
                .orElse(0);
        boolean fits = busy + LEAD_SECONDS <= part.time().inSeconds() + SAME_SECONDS;
        if (holds.isEmpty() || work.way() == LocalWork.Way.ONE_EXPOSURE && fits) {
            oneExposure(part, schedule.moves());
        } else {
            schedule.segments().forEach(s -> bursts(part.light(), s));
        }
    }

    private void pressed(BaseExposure.Part part, int presses, List<RunSchedule.Hold> holds) {
        List<RunSchedule.Hold> whole = new WholePresses(presses).holds(holds);
        ExposureTime set = ofEach(part, presses);
        double each = part.time().inSeconds() / presses;
        for (RunSchedule.Segment s : RunSchedule.plan(part.time(), whole, List.of(), HANDS, LampLag.NONE)
                .segments()) {
            press(
                    part.light(),
                    set,
                    (int) Math.round(s.receivedSeconds() / each),
                    phase(set, s.held()),
                    cues(s.held()));
        }
    }

    private ExposureTime ofEach(BaseExposure.Part part, int presses) {
        return onTimer(rig.lag().toSet(part.time().times(1.0 / presses)));
    }

    /** One step for all presses on a timer the printer presses; else the lamp goes on for one after another. */
    private void press(Light light, ExposureTime set, int count, Phase phase, List<Cue> cues) {
        if (rig.settings().ownTimer()) {
            add(light, set, count, List.of(phase), cues);
            return;
        }
        for (int i = 0; i < count; i++) {
            add(light, set, 1, List.of(phase), i == 0 ? cues : List.of());
        }
    }

    private static Phase phase(ExposureTime set, List<String> held) {
        return Phase.holding(set.inSeconds(), held);
    }

    /** What the hands do before a piece of the base; nothing where they have done nothing yet. */
    private List<Cue> cues(List<String> held) {
        if (held.isEmpty()) {
            return steps.isEmpty() ? List.of() : List.of(Cue.HANDS_OUT);
        }
        return List.of(Cue.HOLD);
    }

    private void oneExposure(BaseExposure.Part part, List<RunSchedule.Move> moves) {
        double lead = rig.lag().inSeconds() + LEAD_SECONDS;
        ExposureTime set = onTimer(rig.lag().toSet(part.time()));
        TreeSet<Double> bounds = new TreeSet<>(List.of(0.0, set.inSeconds()));
        for (RunSchedule.Move move : moves) {
            bounds.add(Math.min(set.inSeconds(), lead + move.startSeconds()));
            bounds.add(Math.min(set.inSeconds(), lead + move.endSeconds()));
        }
        List<Phase> phases = new ArrayList<>();
        Double from = bounds.first();
        for (Double to = bounds.higher(from); to != null; to = bounds.higher(from)) {
            if (to - from > SAME_SECONDS) {
                double middle = (from + to) / 2 - lead;
                phases.add(Phase.holding(
                        to - from,
                        moves.stream()
                                .filter(m -> m.startSeconds() < middle && m.endSeconds() > middle)
                                .map(RunSchedule.Move::area)
                                .toList()));
            }
            from = to;
        }
        add(part.light(), set, 1, phases, List.of());
    }

    private void bursts(Light light, RunSchedule.Segment segment) {
        ExposureTime set = onTimer(segment.set());
        add(light, set, 1, List.of(phase(set, segment.held())), cues(segment.held()));
    }

    private void burns(BaseExposure exposure, LocalWork work) {
        if (exposure.isSplit()) {
            splitBurns(exposure, work);
            return;
        }
        BaseExposure.Part base = exposure.main();
        work.areas().stream()
                .filter(a -> a.change().isBurn())
                .sorted(Comparator.comparing((LocalWork.Area a) -> !isBase(a, base))
                        .thenComparing(a -> a.light().map(Light::notation).orElse("")))
                .forEach(a -> {
                    if (!isPressed(exposure, a)) {
                        burn(base, a, work.way());
                    }
                });
    }

    /**
     * LOC-18: burns on a base of several parts: in its own light through every part, the last one first, for its filter stands; so the stops are the same at every tone. What has a light
     * of its own comes after, reckoned from what the parts are worth together.
     */
    private void splitBurns(BaseExposure exposure, LocalWork work) {
        List<LocalWork.Area> burns =
                work.areas().stream().filter(a -> a.change().isBurn()).toList();
        for (int i = exposure.parts().size() - 1; i >= 0; i--) {
            BaseExposure.Part part = exposure.parts().get(i);
            burns.stream().filter(a -> a.light().isEmpty()).forEach(a -> burn(part, a, work.way()));
        }
        BaseExposure.Part one = rig.one().orElse(exposure.main());
        burns.stream()
                .filter(a -> a.light().isPresent())
                .sorted(Comparator.comparing(a -> a.light().orElseThrow().notation()))
                .forEach(a -> burn(one, a, work.way()));
    }

    /** A burn in the base's light by more presses of its setting, where whole ones come near. */
    private boolean isPressed(BaseExposure exposure, LocalWork.Area area) {
        BaseExposure.Part base = exposure.main();
        if (exposure.presses() == 1 || !isBase(area, base)) {
            return false;
        }
        ExposureTime set = ofEach(base, exposure.presses());
        OptionalInt count = new WholePresses(exposure.presses()).count(area.change());
        count.ifPresent(
                n -> press(base.light(), set, n, Phase.burning(set.inSeconds(), area.key()), List.of(Cue.BURN)));
        return count.isPresent();
    }

    private static boolean isBase(LocalWork.Area area, BaseExposure.Part base) {
        return area.light().map(base.light()::equals).orElse(true);
    }

    private void burn(BaseExposure.Part base, LocalWork.Area area, LocalWork.Way way) {
        boolean same = isBase(area, base);
        double factor = same ? 1 : rig.burns().of(area, base);
        double received = area.change().secondsOn(base.time()) * factor;
        Light light = same ? base.light() : area.light().orElseThrow();
        if (way == LocalWork.Way.BURSTS) {
            ExposureTime set = onTimer(rig.lag().toSet(ExposureTime.ofSeconds(received)));
            add(light, set, 1, List.of(Phase.burning(set.inSeconds(), area.key())), List.of(Cue.BURN));
            return;
        }
        ExposureTime set = onTimer(ExposureTime.ofSeconds(LEAD_SECONDS + received));
        add(
                light,
                set,
                1,
                List.of(Phase.covered(LEAD_SECONDS), Phase.burning(set.inSeconds() - LEAD_SECONDS, area.key())),
                List.of(Cue.BURN));
    }

    private void add(Light light, ExposureTime set, int presses, List<Phase> phases, List<Cue> cues) {
        ExposureStep bare = new ExposureStep(steps.size() + 1, 1, light, rig.opening(), set, presses, phases, cues);
        if (steps.isEmpty()) {
            steps.add(bare);
            return;
        }
        List<Cue> all = new ArrayList<>(rig.settings().cues(steps.get(steps.size() - 1), bare));
        all.addAll(cues);
        steps.add(bare.with(all));
    }

    private ExposureTime onTimer(ExposureTime exact) {
        return rig.timer().nearest(exact).time();
    }

    /** The longest hold there is on a base that still leaves the lead: for advice. */
    public static boolean leavesLead(ExposureTime base, LocalChange hold) {
        return -hold.secondsOn(base) + LEAD_SECONDS <= base.inSeconds() + SAME_SECONDS;
    }
}
