package keyslate.core.docs;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.light.Light;
import keyslate.core.local.CarriedWork;
import keyslate.core.local.HandLimits;
import keyslate.core.local.LocalChange;
import keyslate.core.local.MaskChart;
import keyslate.core.local.RunSchedule;
import keyslate.core.script.BaseExposure;
import keyslate.core.script.LocalWork;
import keyslate.core.script.Phase;
import keyslate.core.script.PrintScript;
import keyslate.core.script.Settings;

/** The code behind the worked examples of docs/formulas/local.md. */
final class LocalExamples {
    private LocalExamples() {}

    static Map<String, ToDoubleFunction<Example>> formulas() {
        Map<String, ToDoubleFunction<Example>> formulas = new HashMap<>();
        formulas.put("LOC-01", e -> e.change().secondsOn(e.time("base")));
        formulas.put("LOC-02", e -> e.change().secondsOn(e.time("base")));
        formulas.put(
                "LOC-03", e -> LocalChange.ofPercent(e.at("percent")).change().inStops());
        formulas.put(
                "LOC-04",
                e -> HandLimits.DEFAULT
                        .check(e.time("base"), e.change(), e.count("per stop"))
                        .stopDown()
                        .inStops());
        formulas.put(
                "LOC-05",
                e -> HandLimits.penumbra(e.mm("pupil"), e.mm("lens"), e.mm("height"))
                        .inMm());
        formulas.put("LOC-06", e -> HandLimits.shadowScale(e.mm("lens"), e.mm("height")));
        formulas.put(
                "LOC-07",
                e -> HandLimits.heightFor(e.mm("pupil"), e.mm("lens"), e.mm("width"))
                        .inMm());
        formulas.put(
                "LOC-08",
                e -> RunSchedule.plan(
                                e.time("base"),
                                List.of(new RunSchedule.Hold("held", LocalChange.ofStops(e.at("hold")))),
                                List.of(RunSchedule.Burn.atBase("burned", LocalChange.ofStops(e.at("burn")))),
                                2,
                                lag(e))
                        .totalSetSeconds());
        formulas.put("LOC-12", e -> MaskChart.pixels(e.at("length"), e.at("resolution")));
        formulas.put("LOC-13", e -> MaskChart.scale(1, e.at("nominal"), e.at("measured")));
        formulas.put(
                "LOC-14",
                e -> CarriedWork.onto(e.time("base"), Map.of("area", e.change()), false)
                        .seconds()
                        .get("area"));
        formulas.put(
                "LOC-15",
                e -> LocalChange.between(e.time("base"), e.time("area"))
                        .change()
                        .inStops());
        formulas.put("LOC-16", LocalExamples::toolLeaves);
        formulas.put("LOC-17", LocalExamples::eachPress);
        formulas.put("LOC-18", LocalExamples::burnedInBothParts);
        return formulas;
    }

    /** The second of the timer at which the tool leaves the light. */
    private static double toolLeaves(Example e) {
        LocalWork.Area door = new LocalWork.Area("door", LocalChange.ofStops(e.at("hold")), Optional.empty());
        BaseExposure base = BaseExposure.of(Light.filter(GradeFilter.G2), e.time("base"));
        PrintScript.Rig rig = new PrintScript.Rig(
                8, TimerSteps.tenths(), LampLag.ofSeconds(e.at("lag")), Settings.SEEN, (area, part) -> 1);
        LocalWork work = new LocalWork(List.of(door), LocalWork.Way.ONE_EXPOSURE);
        List<Phase> phases = PrintScript.plan(base, work, rig).get(0).phases();
        return phases.get(0).seconds() + phases.get(1).seconds();
    }

    /** What the timer is set to for each press. */
    private static double eachPress(Example e) {
        BaseExposure base =
                BaseExposure.of(Light.filter(GradeFilter.G2), e.time("base")).inPresses((int) e.at("presses"));
        PrintScript.Rig rig = new PrintScript.Rig(
                8, TimerSteps.tenths(), lag(e), new Settings(false, false, true), (area, part) -> 1);
        return PrintScript.plan(base, LocalWork.none(), rig).get(0).set().inSeconds();
    }

    /** Seconds of a burn through both parts of a base together. */
    private static double burnedInBothParts(Example e) {
        BaseExposure.Part soft = new BaseExposure.Part(Light.filter(GradeFilter.G00), e.time("soft"));
        BaseExposure.Part hard = new BaseExposure.Part(Light.filter(GradeFilter.G5), e.time("hard"));
        BaseExposure base = BaseExposure.of(soft.light(), soft.time()).split(soft, hard);
        LocalWork.Area sky = new LocalWork.Area("sky", LocalChange.ofStops(e.at("burn")), Optional.empty());
        PrintScript.Rig rig =
                new PrintScript.Rig(8, TimerSteps.tenths(), LampLag.NONE, Settings.SEEN, (area, part) -> 1);
        return PrintScript.plan(base, new LocalWork(List.of(sky), LocalWork.Way.BURSTS), rig).stream()
                .filter(step -> step.burned().isPresent())
                .mapToDouble(step -> step.receivedSeconds(LampLag.NONE))
                .sum();
    }

    private static LampLag lag(Example e) {
        return LampLag.ofSeconds(e.at("lag"));
    }
}
