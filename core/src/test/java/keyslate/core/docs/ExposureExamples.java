package keyslate.core.docs;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.curve.PaperSpeed;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.exposure.ApertureTrade;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.CoverStrip;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.OpeningPair;
import keyslate.core.exposure.PatchPick;
import keyslate.core.exposure.Reciprocity;
import keyslate.core.exposure.StepWedge;
import keyslate.core.exposure.TestSeries;
import keyslate.core.exposure.TimeEvidence;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.exposure.WorkableTime;
import keyslate.core.light.Light;
import keyslate.core.quantity.Density;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Stops;
import keyslate.core.rescale.ExposureChain;
import keyslate.core.rescale.Known;
import keyslate.core.rescale.Link;
import keyslate.core.rescale.Links;
import keyslate.core.script.LampWay;
import keyslate.core.script.Settings;
import keyslate.core.script.SheetPatches;
import keyslate.core.script.StripDirection;
import keyslate.core.script.WedgeDisc;
import keyslate.core.test.CoverStripPlan;
import keyslate.core.test.GuessPlan;
import keyslate.core.test.PatchSeries;
import keyslate.core.test.PieceMarks;
import keyslate.core.test.PressSeries;
import keyslate.core.test.TestRig;

/** The code behind the worked examples of docs/formulas/exposure.md. */
final class ExposureExamples {
    private ExposureExamples() {}

    static Map<String, ToDoubleFunction<Example>> formulas() {
        Map<String, ToDoubleFunction<Example>> formulas = new HashMap<>();
        formulas.put("EXP-01", e -> e.time("to").stopsFrom(e.time("from")).inStops());
        formulas.put("EXP-02", e -> e.time("time").plus(e.stops("change")).inSeconds());
        formulas.put(
                "EXP-03",
                e -> FNumber.ofSteps(e.count("step"), e.count("per stop")).inFStops());
        formulas.put("EXP-04", e -> e.f("from").lightChangeTo(e.f("to")).inStops());
        formulas.put(
                "EXP-05",
                e -> ApertureMark.ofEngraved(e.at("engraved"), e.count("per stop"))
                        .trueNumber()
                        .inFStops());
        formulas.put(
                "EXP-06",
                e -> ApertureTrade.timeAt(e.time("time"), e.f("from"), e.f("to"))
                        .inSeconds());
        formulas.put(
                "EXP-07",
                e -> ApertureTrade.openingFor(e.time("time"), e.f("from"), e.time("wanted"))
                        .inFStops());
        formulas.put(
                "EXP-08",
                e -> TimerSteps.tenths().nearest(e.time("time")).time().inSeconds());
        formulas.put("EXP-09", e -> lag(e).receivedSeconds(e.time("set")));
        formulas.put(
                "EXP-10",
                e -> LampLag.fromTest(e.count("bursts"), e.time("each"), e.time("match"))
                        .inSeconds());
        formulas.put(
                "EXP-11",
                e -> lag(e).oneBurstFor(e.count("bursts"), e.time("each")).inSeconds());
        formulas.put("EXP-12", e -> LampLag.firstOrderReceivedSeconds(e.at("set"), e.at("rise"), e.at("afterglow")));
        formulas.put("EXP-13", e -> patch(e, equalStops(e)));
        formulas.put(
                "EXP-14",
                e -> patch(e, TestSeries.equalStopsAbout(e.time("centre"), e.stops("step"), e.count("patches"))));
        formulas.put(
                "EXP-15", e -> patch(e, TestSeries.equalSeconds(e.time("first"), e.at("step"), e.count("patches"))));
        formulas.put(
                "EXP-16",
                e -> patch(e, TestSeries.apertureLadder(e.time("first"), e.stops("step"), e.count("patches"))));
        formulas.put(
                "EXP-17",
                e -> CoverStrip.plan(equalStops(e), TimerSteps.tenths(), lag(e), 0)
                        .patches()
                        .get(e.count("patch") - 1)
                        .burst()
                        .inSeconds());
        formulas.put(
                "EXP-18",
                e -> WorkableTime.atLeast(
                                e.time("time"),
                                ApertureMark.ofEngraved(e.at("from"), e.count("per stop")),
                                e.time("shortest"),
                                e.count("per stop"),
                                ApertureMark.ofEngraved(e.at("smallest"), e.count("per stop")))
                        .time()
                        .inSeconds());
        formulas.put(
                "EXP-19", e -> new PatchPick(0, e.at("weight")).timeOn(two(e)).inSeconds());
        formulas.put("EXP-20", e -> new PatchPick(0, 0).uncertaintyOn(two(e)).inStops());
        formulas.put("EXP-21", e -> paper(e).actual(e.time("time")).inSeconds());
        formulas.put(
                "EXP-22", e -> paper(e).scaled(e.time("time"), e.at("factor")).inSeconds());
        formulas.put(
                "EXP-23", e -> paper(e).worthSeconds(List.of(e.time("each"), e.time("each")), e.at("independence")));
        formulas.put(
                "EXP-24",
                e -> StepWedge.times(e.time("time"), List.of(Density.of(e.at("density"))))
                        .get(0)
                        .inSeconds());
        formulas.put(
                "EXP-25",
                e -> StepWedge.exposureFor(e.time("wanted"), Density.of(e.at("density")))
                        .inSeconds());
        formulas.put("EXP-26", e -> PaperSpeed.isoSpeed(e.at("log")));
        formulas.put(
                "EXP-27",
                e -> PaperSpeed.timeOn(e.time("time"), e.at("before"), e.at("after"))
                        .inSeconds());
        formulas.put(
                "EXP-28",
                e -> PaperSpeed.allowingForDryDown(e.time("time"), e.at("percent"))
                        .inSeconds());
        formulas.put(
                "EXP-29",
                e -> CheckStrip.after(ExposureTime.ofSeconds(10), e.stops("uncertainty"))
                        .orElseThrow()
                        .patches());
        formulas.put(
                "EXP-30",
                e -> CheckStrip.beyond(
                                TestSeries.equalStops(
                                        e.time("first"),
                                        e.time("last")
                                                .stopsFrom(e.time("first"))
                                                .times(1.0 / (e.count("patches") - 1)),
                                        e.count("patches")),
                                true)
                        .centre()
                        .plus(e.time("last").stopsFrom(e.time("first")).times(0.5))
                        .inSeconds());
        formulas.put(
                "EXP-31",
                e -> TimeEvidence.weighed(List.of(
                                new TimeEvidence.Reading(e.time("one"), Stops.ofFraction(1, 4)),
                                new TimeEvidence.Reading(e.time("other"), Stops.of(1 / (4 * e.at("surer"))))))
                        .time()
                        .inSeconds());
        formulas.put(
                "EXP-34",
                e -> new ExposureChain(
                                List.of(link(Link.Cause.SIZE, e.at("more")), link(Link.Cause.LIGHT, -e.at("less"))))
                        .apply(e.time("time"), Reciprocity.NONE)
                        .inSeconds());
        formulas.put(
                "EXP-35",
                e -> Links.size(e.times("from"), 0, e.times("to"), 0, Known.byDefault(1, e.at("limit")))
                        .limit()
                        .inStops());
        formulas.put(
                "EXP-36",
                e -> Links.opening(e.f("from"), Links.OPENING, e.f("to"), Known.measured(e.at("offset"), 0), false)
                        .more()
                        .inStops());
        formulas.put(
                "EXP-38",
                e -> TimeEvidence.usual(List.of(e.time("first"), e.time("second"), e.time("third")))
                        .time()
                        .inSeconds());
        formulas.put("EXP-39", e -> {
            List<ApertureMark> ring = ApertureMark.ring(2.8, 22, 1);
            ApertureMark to = ring.stream()
                    .filter(m -> m.engraved() == e.at("to"))
                    .findFirst()
                    .orElseThrow();
            return OpeningPair.of(
                            e.time("time"),
                            ApertureMark.ofEngraved(e.at("from"), 1),
                            ring,
                            ring.stream().map(ApertureMark::trueNumber).toList(),
                            Reciprocity.NONE,
                            ExposureTime.ofSeconds(10),
                            ExposureTime.ofSeconds(20))
                    .stream()
                    .filter(p -> p.mark().equals(to))
                    .findFirst()
                    .orElseThrow()
                    .time()
                    .inSeconds();
        });
        formulas.put("EXP-37", e -> {
            Known lag = Known.byDefault(0.2, e.at("limit"));
            return Links.lag(e.time("from"), lag, e.time("to"), lag, true)
                    .limit()
                    .inStops();
        });
        formulas.put("EXP-32", e -> {
            CheckStrip first = CheckStrip.first(e.time("guess"));
            return patch(e, TestSeries.equalStopsAbout(first.centre(), first.step(), first.patches()));
        });
        formulas.put(
                "EXP-40",
                e -> new WedgeDisc(e.at("reference"), List.of(e.at("reference"), e.at("label")))
                        .density(1)
                        .inLog10());
        // Seconds of the second part on the patch above the middle.
        formulas.put("EXP-45", e -> {
            CoverStripPlan plan = new CoverStripPlan(
                            PatchSeries.stops(e.stops("step"), 2, 3),
                            StripDirection.DARK_RIGHT,
                            Length.ofMm(20),
                            Length.ofMm(40),
                            Optional.empty(),
                            Optional.empty(),
                            Optional.empty())
                    .onTop(Light.filter(GradeFilter.G5), e.time("second"), CoverStripPlan.SecondLies.ON_TOP);
            TestRig rig = new TestRig(
                    Light.filter(GradeFilter.G00),
                    ApertureMark.ofEngraved(8, 2),
                    List.of(),
                    LampWay.SWITCHED,
                    TimerSteps.tenths(),
                    LampLag.NONE,
                    Settings.SEEN,
                    (time, to) -> time);
            return SheetPatches.of(
                            plan.script(e.time("first"), rig).steps(),
                            LampLag.NONE,
                            s -> s.set().inSeconds())
                    .patches()
                    .get(2)
                    .parts()
                    .get(1)
                    .seconds();
        });
        formulas.put(
                "EXP-44",
                e -> Links.filter(0.1, e.stops("from"), e.stops("to")).limit().inStops());
        formulas.put(
                "EXP-43",
                e -> CheckStrip.first(ExposureTime.ofSeconds(10), List.of(e.stops("one"), e.stops("other")))
                        .step()
                        .inStops());
        // The clipped corners of a piece as bits: upper left 1, upper right 2.
        formulas.put("EXP-42", e -> {
            GuessPlan halves = new GuessPlan(
                    Optional.of(e.time("patch")), 1, Optional.empty(), Optional.of(Light.filter(GradeFilter.G4)));
            TestRig rig = new TestRig(
                    Light.filter(GradeFilter.G2),
                    ApertureMark.ofEngraved(8, 2),
                    List.of(),
                    LampWay.SWITCHED,
                    TimerSteps.tenths(),
                    LampLag.NONE,
                    Settings.SEEN,
                    (base, to) -> base.times(e.at("factor")));
            return halves.script(e.time("patch"), rig).patches().get(1).total().inSeconds();
        });
        formulas.put(
                "EXP-41",
                e -> PieceMarks.corners(e.count("clipped")).stream()
                        .mapToInt(c -> 1 << c.ordinal())
                        .sum());
        // Presses of the patch, counted from 1, in a strip of five half stops.
        formulas.put(
                "EXP-33",
                e -> PressSeries.of(
                                TestSeries.equalStopsAbout(e.time("centre"), Stops.ofFraction(1, 2), 5),
                                TimerSteps.tenths(),
                                lag(e))
                        .orElseThrow()
                        .presses()
                        .get((int) e.at("patch") - 1));
        return formulas;
    }

    private static Reciprocity paper(Example e) {
        return new Reciprocity(e.at("exponent"), 1);
    }

    private static LampLag lag(Example e) {
        return LampLag.ofSeconds(e.at("lag"));
    }

    private static List<ExposureTime> equalStops(Example e) {
        return TestSeries.equalStops(e.time("first"), e.stops("step"), e.count("patches"));
    }

    private static double patch(Example e, List<ExposureTime> series) {
        return series.get(e.count("patch") - 1).inSeconds();
    }

    private static List<ExposureTime> two(Example e) {
        return List.of(e.time("lower"), e.time("upper"));
    }

    private static Link link(Link.Cause cause, double stops) {
        return new Link(cause, Stops.of(stops), Stops.ZERO);
    }
}
