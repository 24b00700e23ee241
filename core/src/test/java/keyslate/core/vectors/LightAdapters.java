package keyslate.core.vectors;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.StreamSupport;
import keyslate.core.curve.PaperSpeed;
import keyslate.core.exposure.CoverStrip;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.Reciprocity;
import keyslate.core.exposure.StepWedge;
import keyslate.core.local.CarriedWork;
import keyslate.core.local.LocalChange;
import keyslate.core.numeric.Isotonic;
import keyslate.core.numeric.MonotoneCubic;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Density;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.size.CutPlan;
import keyslate.core.size.CutYield;
import keyslate.core.size.SizeChange;
import keyslate.core.size.ThinLens;
import keyslate.core.vectors.ModelVectors.Row;
import tools.jackson.databind.JsonNode;

/** Long exposures, wedges, paper speed, rescaling and curves of the table. */
final class LightAdapters {
    static final Map<String, Function<Row, Object>> BY_NAME = Map.ofEntries(
            Map.entry("recip_actual", r -> paper(r, 1).actual(s(r, 0)).inSeconds()),
            Map.entry("recip_metered", r -> paper(r, 1).metered(s(r, 0)).inSeconds()),
            Map.entry(
                    "scale_time", r -> paper(r, 2).scaled(s(r, 0), r.number(1)).inSeconds()),
            Map.entry("bursts_recip", r -> paper(r, 1).worthSeconds(times(r, 0), r.number(3, 0))),
            Map.entry("bursts_effective", r -> LampLag.ofSeconds(r.number(1)).receivedSeconds(times(r, 0))),
            Map.entry(
                    "sum_exposures",
                    r -> Check.positive("exposure", Arrays.stream(r.numbers(0)).sum(), "s")),
            Map.entry(
                    "wedge_times",
                    r -> StepWedge.times(
                                    s(r, 0),
                                    Arrays.stream(r.numbers(1))
                                            .mapToObj(Density::of)
                                            .toList())
                            .stream()
                            .map(ExposureTime::inSeconds)
                            .toList()),
            Map.entry(
                    "wedge_exposure_for",
                    r -> StepWedge.exposureFor(s(r, 0), Density.of(r.number(1))).inSeconds()),
            Map.entry("cover_uncompensated", r -> {
                List<ExposureTime> totals = times(r, 0);
                List<Stops> errors = CoverStrip.errorsWithoutCompensation(totals, LampLag.ofSeconds(r.number(1)));
                List<Double> actual = java.util.stream.IntStream.range(0, totals.size())
                        .mapToObj(i -> totals.get(i).plus(errors.get(i)).inSeconds())
                        .toList();
                return Map.of(
                        "actual",
                        actual,
                        "error_stops",
                        errors.stream().map(Stops::inStops).toList());
            }),
            Map.entry("rescale_exposure", LightAdapters::rescale),
            Map.entry("inverse_square_errors", LightAdapters::shortcuts),
            Map.entry(
                    "effective_f",
                    r -> FNumber.of(r.number(0)).effectiveAt(Magnification.of(r.number(1)), r.number(2, 1))),
            Map.entry(
                    "callier",
                    r -> Density.of(r.number(0)).toSpecular(r.number(1)).inLog10()),
            Map.entry(
                    "paper_change_time",
                    r -> PaperSpeed.timeOn(s(r, 0), r.number(1), r.number(2)).inSeconds()),
            Map.entry(
                    "drydown_time",
                    r -> PaperSpeed.allowingForDryDown(s(r, 0), r.number(1)).inSeconds()),
            Map.entry(
                    "cut_yield",
                    r -> CutYield.of(
                            mm(r, 0),
                            mm(r, 1),
                            mm(r, 2),
                            mm(r, 3),
                            r.args().size() < 5 || r.args().get(4).asBoolean())),
            Map.entry("cut_plan", LightAdapters::cutPlan),
            Map.entry("plan_scale", LightAdapters::carriedWork),
            Map.entry("offcut_strips", r -> CutYield.strips(mm(r, 0), mm(r, 1), mm(r, 2))),
            Map.entry("iso_speed_p", r -> PaperSpeed.isoSpeed(r.number(0))),
            Map.entry(
                    "area_seconds_recip",
                    r -> LocalChange.ofStops(r.number(1))
                            .secondsOn(s(r, 0), new Reciprocity(r.number(2, 1), r.number(3, 1)))),
            Map.entry(
                    "pav",
                    r -> Arrays.stream(Isotonic.rising(r.numbers(0))).boxed().toList()),
            Map.entry(
                    "pchip",
                    r -> MonotoneCubic.through(r.numbers(0), r.numbers(1)).at(r.number(2))));

    private LightAdapters() {}

    private static Object cutPlan(Row r) {
        List<CutPlan.Piece> pieces = StreamSupport.stream(r.args().get(2).spliterator(), false)
                .map(LightAdapters::piece)
                .toList();
        CutPlan plan = CutPlan.of(mm(r, 0), mm(r, 1), pieces)
                .orElseThrow(() -> Check.infeasible("pieces", "they do not come out of the sheet"));
        return Map.of(
                "settings",
                plan.fences().stream().map(Length::inMm).toList(),
                "n_settings",
                plan.fences().size(),
                "n_cuts",
                plan.cuts(),
                "largest_offcut_mm2",
                plan.largestOffcutSquareMm(),
                "n_runs",
                plan.runs().size(),
                "runs",
                plan.runs().stream().map(run -> run.fence().inMm()).toList());
    }

    private static CutPlan.Piece piece(JsonNode node) {
        if (node.size() != 4) {
            throw new QuantityException(QuantityException.Kind.WRONG_SHAPE, "piece", "name, width, height, count");
        }
        return new CutPlan.Piece(
                node.get(0).asString(),
                Length.ofMm(ModelVectors.toNumber(node.get(1))),
                Length.ofMm(ModelVectors.toNumber(node.get(2))),
                node.get(3).asInt());
    }

    private static Object carriedWork(Row r) {
        Map<String, LocalChange> areas = new LinkedHashMap<>();
        r.args()
                .get(0)
                .forEach(a -> areas.put(
                        a.get(0).asString(), LocalChange.ofStops(a.get(1).asDouble())));
        CarriedWork work = CarriedWork.onto(s(r, 2), areas, false);
        return Map.of(
                "seconds",
                work.seconds().entrySet().stream()
                        .map(e -> List.of(e.getKey(), e.getValue()))
                        .toList(),
                "review",
                work.review());
    }

    private static Object rescale(Row r) {
        ExposureTime time = s(r, 0);
        Reciprocity paper = new Reciprocity(r.number(7, 1), r.number(8, 1));
        ExposureTime after = SizeChange.rescaled(
                time,
                FNumber.of(r.number(1)),
                Magnification.of(r.number(2)),
                FNumber.of(r.number(3)),
                Magnification.of(r.number(4)),
                r.number(5, 1),
                r.number(6, 0),
                paper);
        double factor = paper.metered(after).inSeconds() / paper.metered(time).inSeconds();
        return Map.of(
                "factor", factor,
                "time", after.inSeconds(),
                "stops", Stops.ofFactor(factor).inStops());
    }

    private static Object shortcuts(Row r) {
        Magnification before = Magnification.of(r.number(1));
        Magnification after = Magnification.of(r.number(2));
        double pupil = r.number(3, 1);
        SizeChange.ShortcutErrors errors = SizeChange.shortcutErrors(
                ThinLens.ofMm(r.number(0)), before, after, pupil, Length.ofMm(r.number(4, 0)));
        return Map.of(
                "exact", SizeChange.timeFactor(before, after, pupil),
                "err_m_squared", errors.bySize().inStops(),
                "err_lens_paper", errors.byLensToPaper().inStops(),
                "err_neg_paper", errors.byFilmToPaper().inStops());
    }

    private static Reciprocity paper(Row r, int i) {
        return new Reciprocity(r.number(i, 1), r.number(i + 1, 1));
    }

    private static Length mm(Row r, int i) {
        return Length.ofPositiveMm("length", r.number(i));
    }

    private static ExposureTime s(Row r, int i) {
        return ExposureTime.ofSeconds(r.number(i));
    }

    private static List<ExposureTime> times(Row r, int i) {
        return Arrays.stream(r.numbers(i)).mapToObj(ExposureTime::ofSeconds).toList();
    }
}
