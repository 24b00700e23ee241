package keyslate.core.vectors;

import static java.util.Map.entry;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import keyslate.core.contrast.GradeAdvice;
import keyslate.core.contrast.GradeScale;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.exposure.ApertureTrade;
import keyslate.core.exposure.CoverStrip;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.PatchPick;
import keyslate.core.exposure.TestSeries;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.exposure.WorkableTime;
import keyslate.core.local.HandLimits;
import keyslate.core.local.LocalChange;
import keyslate.core.local.RunSchedule;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.size.PrintFit;
import keyslate.core.size.SizeChange;
import keyslate.core.size.ThinLens;
import keyslate.core.vectors.ModelVectors.Row;
import tools.jackson.databind.JsonNode;

/** From a function name of the table to the product's own code. A number, a list or a map of numbers comes back. */
final class Adapters {
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();
    static final Map<String, Function<Row, Object>> BY_NAME = Map.ofEntries(
            entry("stops_from_ratio", r -> Stops.ofFactor(r.number(0)).inStops()),
            entry("ratio_from_stops", r -> Stops.of(r.number(0)).toFactor()),
            entry("time_plus_stops", r -> s(r, 0).plus(Stops.of(r.number(1))).inSeconds()),
            entry(
                    "f_exact",
                    r -> FNumber.ofSteps((int) r.number(0), (int) r.number(1)).inFStops()),
            entry("f_nominal_to_exact", r -> mark(r, 0, 1).trueNumber().inFStops()),
            entry("f_nearest_nominal", Adapters::nearestMark),
            entry("aperture_stops", r -> f(r, 1).lightChangeTo(f(r, 0)).inStops()),
            entry(
                    "time_for_aperture",
                    r -> ApertureTrade.timeAt(s(r, 0), f(r, 1), f(r, 2)).inSeconds()),
            entry(
                    "aperture_for_time",
                    r -> ApertureTrade.openingFor(s(r, 0), f(r, 1), s(r, 2)).inFStops()),
            entry("timer_round", Adapters::timerRound),
            entry("lamp_effective", r -> LampLag.firstOrderReceivedSeconds(r.number(0), r.number(1), r.number(2))),
            entry(
                    "lamp_set_time",
                    r -> LampLag.firstOrderToSet(s(r, 0), r.number(1), r.number(2))
                            .inSeconds()),
            entry(
                    "bursts_equivalent_single",
                    r -> LampLag.ofSeconds(r.number(2))
                            .oneBurstFor((int) r.number(0), s(r, 1))
                            .inSeconds()),
            entry(
                    "dead_time_from_test",
                    r -> LampLag.fromTest((int) r.number(0), s(r, 1), s(r, 2)).inSeconds()),
            entry("strip_times", Adapters::stripTimes),
            entry("cover_bursts", Adapters::coverBursts),
            entry(
                    "strip_pick",
                    r -> new PatchPick((int) r.number(1), r.number(2))
                            .timeOn(times(r.numbers(0)))
                            .inSeconds()),
            entry(
                    "strip_recentre",
                    r -> seconds(TestSeries.equalStopsAbout(s(r, 2), Stops.of(r.number(1)), (int) r.number(0)))),
            entry("min_time_advice", Adapters::minTime),
            entry("max_time_advice", Adapters::maxTime),
            entry("magnification", Adapters::magnification),
            entry("size_factor", r -> SizeChange.timeFactor(m(r, 0), m(r, 1), r.number(2, 1))),
            entry("distances", Adapters::distances),
            entry(
                    "m_from_total",
                    r -> ThinLens.ofMm(r.number(0))
                            .magnificationAt(Length.ofMm(r.number(1)), Length.ofMm(r.number(2)))
                            .inTimes()),
            entry(
                    "time_from_illuminance",
                    r -> SizeChange.timeByMeter(s(r, 0), r.number(1), r.number(2))
                            .inSeconds()),
            entry(
                    "contact_time",
                    r -> SizeChange.timeByDistance(s(r, 0), mm(r, 1), mm(r, 2)).inSeconds()),
            entry(
                    "corner_loss_stops",
                    r -> ThinLens.cornerLoss(mm(r, 0), mm(r, 1)).inStops()),
            entry("grade_iso_r", r -> GradeScale.isoRangeOf(Grade.of(r.number(0)))),
            entry("iso_r_grade", r -> GradeScale.gradeOf(r.number(0)).onScale()),
            entry("grade_density", Adapters::density),
            entry("vc_density", r -> VariableContrastPaper.PAPER_WHITE + PAPER.netDensity(r.number(0), r.number(1))),
            entry("vc_iso_r", r -> PAPER.isoRange(r.number(0))),
            entry("vc_r_for_iso", r -> PAPER.ratioForRange(r.number(0))),
            entry("vc_filter", Adapters::filter),
            entry("grade_log_t", r -> PAPER.logTimeFor(net(r.number(1)), Grade.of(r.number(0)))),
            entry(
                    "white_grade",
                    r -> GradeScale.gradeOf(PAPER.isoRange(VariableContrastPaper.WHITE_LIGHT_RATIO))
                            .onScale()),
            entry("grade_for_negative", Adapters::gradeForNegative),
            entry(
                    "grade_change_factor",
                    r -> PAPER.pivotFactor(Grade.of(r.number(0)), Grade.of(r.number(1)), net(r.number(2)))),
            entry(
                    "burn_seconds",
                    r -> LocalChange.ofStops(Check.notNegative("burn", r.number(1), "stops"))
                            .secondsOn(s(r, 0))),
            entry("dodge_seconds", r -> -LocalChange.ofStops(-r.number(1)).secondsOn(s(r, 0))),
            entry(
                    "stops_from_percent",
                    r -> LocalChange.ofPercent(r.number(0)).change().inStops()),
            entry("percent_from_stops", r -> LocalChange.ofStops(r.number(0)).toPercent()),
            entry("area_seconds", r -> LocalChange.ofStops(r.number(1)).secondsOn(s(r, 0))),
            entry("dodge_feasible", Adapters::feasible),
            entry(
                    "penumbra",
                    r -> Map.of(
                            "width",
                                    HandLimits.penumbra(mm(r, 0), mm(r, 1), mm(r, 2))
                                            .inMm(),
                            "shadow_scale", HandLimits.shadowScale(mm(r, 1), mm(r, 2)))),
            entry(
                    "tool_height_for",
                    r -> HandLimits.heightFor(mm(r, 0), mm(r, 1), mm(r, 2)).inMm()),
            entry("dodge_schedule", Adapters::schedule));

    /** All families together. */
    static final Map<String, Function<Row, Object>> ALL = Stream.of(
                    BY_NAME,
                    ProcessAdapters.BY_NAME,
                    ColourAdapters.BY_NAME,
                    LightAdapters.BY_NAME,
                    ContrastAdapters.BY_NAME,
                    ReadingAdapters.BY_NAME,
                    ColourPrintAdapters.BY_NAME)
            .flatMap(family -> family.entrySet().stream())
            .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, Map.Entry::getValue));

    private Adapters() {}

    /** The table counts densities from nothing, the product from paper white. */
    private static double net(double density) {
        return density - VariableContrastPaper.PAPER_WHITE;
    }

    private static ExposureTime s(Row r, int i) {
        return ExposureTime.ofSeconds(r.number(i));
    }

    private static FNumber f(Row r, int i) {
        return FNumber.of(r.number(i));
    }

    private static Magnification m(Row r, int i) {
        return Magnification.of(r.number(i));
    }

    private static Length mm(Row r, int i) {
        return Length.ofMm(r.number(i));
    }

    private static ApertureMark mark(Row r, int number, int spacing) {
        return ApertureMark.ofEngraved(r.number(number), (int) r.number(spacing));
    }

    private static List<ExposureTime> times(double[] seconds) {
        return Arrays.stream(seconds).mapToObj(ExposureTime::ofSeconds).toList();
    }

    private static List<Double> seconds(List<ExposureTime> times) {
        return times.stream().map(ExposureTime::inSeconds).toList();
    }

    private static Object nearestMark(Row r) {
        FNumber number = f(r, 0);
        ApertureMark mark = ApertureMark.nearest(number, (int) r.number(1));
        return Map.of(
                "nominal", mark.engraved(),
                "exact", mark.trueNumber().inFStops(),
                "residual_stops", mark.residualFrom(number).inStops() + 0.0);
    }

    private static Object timerRound(Row r) {
        List<TimerSteps.Band> bands = new ArrayList<>();
        r.args()
                .get(1)
                .forEach(b -> bands.add(
                        new TimerSteps.Band(b.get(0).asDouble(), b.get(1).asDouble())));
        TimerSteps.Setting set = new TimerSteps(bands).nearest(s(r, 0));
        return Map.of("time", set.time().inSeconds(), "error_stops", set.error().inStops());
    }

    private static Object stripTimes(Row r) {
        int patches = (int) r.number(1);
        ExposureTime first = s(r, 2);
        Stops step = "linear".equals(r.args().get(0).asString()) ? null : Stops.of(r.number(3));
        return seconds(
                switch (r.args().get(0).asString()) {
                    case "linear" -> TestSeries.equalSeconds(first, r.number(3), patches);
                    case "geometric" -> TestSeries.equalStops(first, step, patches);
                    case "aperture" -> TestSeries.apertureLadder(first, step, patches);
                    default -> throw unknown(r);
                });
    }

    private static QuantityException unknown(Row r) {
        return new QuantityException(QuantityException.Kind.WRONG_SHAPE, "kind", "unknown: " + r.args());
    }

    private static Object coverBursts(Row r) {
        TimerSteps fine = TimerSteps.everywhere(1e-9, 1e6);
        CoverStrip strip = CoverStrip.plan(times(r.numbers(0)), fine, LampLag.ofSeconds(r.number(1)), r.number(2));
        List<Integer> tooShort = new ArrayList<>();
        for (int i = 0; i < strip.patches().size(); i++) {
            if (strip.patches().get(i).tooShort()) {
                tooShort.add(i);
            }
        }
        return Map.of(
                "bursts",
                        strip.patches().stream().map(p -> p.burst().inSeconds()).toList(),
                "too_short", tooShort,
                "sum_set", strip.totalSetSeconds());
    }

    private static Object minTime(Row r) {
        ExposureTime time = s(r, 0);
        WorkableTime found = WorkableTime.atLeast(time, mark(r, 1, 3), s(r, 2), (int) r.number(3), mark(r, 4, 3));
        return Map.of(
                "stops", found.change().inStops(),
                "nominal", found.mark().engraved(),
                "time", found.time().inSeconds(),
                "nd_stops_still_needed", found.stillMissing().inStops());
    }

    private static Object maxTime(Row r) {
        WorkableTime found = WorkableTime.atMost(s(r, 0), mark(r, 1, 3), s(r, 2), (int) r.number(3), mark(r, 4, 3));
        return Map.of(
                "stops", -found.change().inStops(),
                "nominal", found.mark().engraved(),
                "time", found.time().inSeconds(),
                "stops_still_too_long", found.stillMissing().inStops());
    }

    private static Object magnification(Row r) {
        PrintFit.Way way = switch (r.args().get(4).asString()) {
            case "fit" -> PrintFit.Way.WHOLE_PICTURE;
            case "fill" -> PrintFit.Way.FILL_SHEET;
            default -> throw unknown(r);
        };
        PrintFit fit = PrintFit.of(mm(r, 0), mm(r, 1), mm(r, 2), mm(r, 3), way);
        double m = fit.magnification().inTimes();
        return Map.of(
                "m",
                m,
                "crop_w",
                fit.cropWidth().inMm(),
                "crop_h",
                fit.cropHeight().inMm(),
                // The table gives the whole projected image, the product what falls on the paper.
                "image_w",
                r.number(0) * m,
                "image_h",
                r.number(1) * m,
                "used_fraction",
                1 - fit.lostFraction());
    }

    private static Object distances(Row r) {
        ThinLens lens = ThinLens.ofMm(r.number(0));
        Magnification m = m(r, 1);
        double total = lens.filmToPaper(m, mm(r, 2)).inMm();
        return Map.of(
                "u",
                lens.filmToLens(m).inMm(),
                "v",
                lens.lensToPaper(m).inMm(),
                "total",
                total,
                "column",
                total - r.number(3, 0));
    }

    private static Object filter(Row r) {
        VariableContrastPaper.FilterLight light = light(r);
        return Map.of("b", light.blueLog(), "g", light.greenLog(), "r", light.ratio());
    }

    /** No grade in the table means the lamp without a filter. */
    private static VariableContrastPaper.FilterLight light(Row r) {
        return r.args().get(0).isNull() ? VariableContrastPaper.WHITE_LIGHT : PAPER.lightAt(Grade.of(r.number(0)));
    }

    private static double density(Row r) {
        VariableContrastPaper.FilterLight light = light(r);
        return VariableContrastPaper.PAPER_WHITE
                + PAPER.netDensityAt(Check.finite("log time", r.number(1)) + light.blueLog(), light.ratio());
    }

    private static Object gradeForNegative(Row r) {
        double white = VariableContrastPaper.PAPER_WHITE;
        double high = r.args().size() > 3 ? r.number(3) - white : VariableContrastPaper.HIGHLIGHT_NET;
        double shadow = r.args().size() > 4 ? r.number(4) - white : VariableContrastPaper.SHADOW_NET;
        GradeAdvice.Exact found = GradeAdvice.exact(PAPER, Grade.of(r.number(0)), s(r, 1), s(r, 2), high, shadow);
        return Map.of(
                "negative_log_range", found.negativeLogRange(),
                "R", found.neededRange(),
                "grade", found.grade().onScale(),
                "time", found.time().inSeconds());
    }

    private static Object feasible(Row r) {
        HandLimits.Feasibility found =
                HandLimits.DEFAULT.check(s(r, 0), LocalChange.ofStops(-r.number(1)), (int) r.number(4, 2));
        return Map.of(
                "hold", found.holdSeconds(),
                "fraction", found.fraction(),
                "long_enough", found.longEnough(),
                "fraction_ok", found.fractionFits(),
                "stop_down", found.stopDown().inStops());
    }

    private static Object schedule(Row r) {
        List<RunSchedule.Hold> holds = new ArrayList<>();
        for (JsonNode h : r.args().get(1)) {
            holds.add(new RunSchedule.Hold(
                    h.get(0).asString(),
                    LocalChange.ofStops(-Check.positive("hold", h.get(1).asDouble(), "stops"))));
        }
        List<RunSchedule.Burn> burns = new ArrayList<>();
        for (JsonNode b : r.args().get(2)) {
            Optional<Grade> grade = b.get(2).isNull()
                    ? Optional.empty()
                    : Optional.of(Grade.of(b.get(2).asDouble()));
            burns.add(new RunSchedule.Burn(
                    b.get(0).asString(), LocalChange.ofStops(b.get(1).asDouble()), grade, 1));
        }
        RunSchedule plan = RunSchedule.plan(s(r, 0), holds, burns, (int) r.number(3), LampLag.ofSeconds(r.number(4)));
        Map<String, Object> out = new LinkedHashMap<>();
        out.put("segments", plan.segments().stream().map(Adapters::segment).toList());
        out.put("burns", plan.burns().stream().map(Adapters::burn).toList());
        out.put("total_set", plan.totalSetSeconds());
        out.put("ops", plan.moves().stream().map(Adapters::move).toList());
        return out;
    }

    private static Map<String, Object> segment(RunSchedule.Segment s) {
        return Map.of("set", s.set().inSeconds(), "effective", s.receivedSeconds(), "dodge", s.held());
    }

    private static Map<String, Object> burn(RunSchedule.BurnStep b) {
        Map<String, Object> out = new LinkedHashMap<>();
        out.put("area", b.area());
        out.put("grade", b.grade().map(Grade::onScale).orElse(null));
        out.put("set", b.set().inSeconds());
        out.put("effective", b.receivedSeconds());
        return out;
    }

    private static Map<String, Object> move(RunSchedule.Move m) {
        return Map.of("area", m.area(), "tool", m.tool(), "start", m.startSeconds(), "end", m.endSeconds());
    }
}
