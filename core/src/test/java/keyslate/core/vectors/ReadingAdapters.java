package keyslate.core.vectors;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.stream.IntStream;
import keyslate.core.contrast.ColourMask;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.curve.StripCurve;
import keyslate.core.local.LocalChange;
import keyslate.core.local.MaskChart;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.PatchTone;
import keyslate.core.reading.ScanDensity;
import keyslate.core.reading.StripMatch;
import keyslate.core.reading.StripSegments;
import keyslate.core.vectors.ModelVectors.Row;
import tools.jackson.databind.JsonNode;

/** Scans, strips and masks of the table. */
final class ReadingAdapters {
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();
    private static final double LOG10_OF_2 = Math.log10(2);

    static final Map<String, Function<Row, Object>> BY_NAME = Map.ofEntries(
            Map.entry("patch_mean", r -> {
                PatchTone t = PatchTone.of(r.numbers(0));
                return Map.of("mean", t.mean(), "median", t.median(), "sigma", t.sigma(), "kept", t.kept());
            }),
            Map.entry("scan_density", r -> {
                double[] codes = three(r, 0);
                double[] reference = three(r, 1);
                double[] densities = three(r, 2);
                return IntStream.range(0, 3)
                        .mapToObj(i -> ScanDensity.byReference(codes[i], reference[i], densities[i]))
                        .toList();
            }),
            Map.entry("scan_fit", r -> {
                ScanDensity fit = ScanDensity.fitted(r.numbers(0), r.numbers(1));
                return Map.of("a", fit.offset(), "b", fit.slope(), "rms", fit.rms());
            }),
            Map.entry("strip_match", r -> {
                StripMatch m = StripMatch.at(times(r, 0), r.numbers(1), r.number(2), between(r, 3));
                return Map.of(
                        "time", m.time().inSeconds(),
                        "segment", m.segment(),
                        "weight", m.weight(),
                        "nearest", m.nearest());
            }),
            Map.entry("iso_r_from_strip", r -> {
                StripMatch.Range range = StripMatch.isoRange(times(r, 0), r.numbers(1), r.number(2), r.number(3));
                return Map.of(
                        "R", range.isoRange(),
                        "t_high", range.high().inSeconds(),
                        "t_shadow", range.shadow().inSeconds());
            }),
            Map.entry("curve_from_strip", r -> {
                StripCurve c = StripCurve.of(times(r, 0), r.numbers(1), r.number(2), r.number(3));
                return Map.of(
                        "s", c.steepness(),
                        "x0", c.midLogTime(),
                        "gamma_mid", c.midGradient(),
                        "R", c.isoRange(),
                        "rms", c.rms(),
                        "used", c.used());
            }),
            Map.entry("find_segments", r -> {
                OptionalInt n = r.args().size() > 4 ? OptionalInt.of((int) r.number(4)) : OptionalInt.empty();
                StripSegments s = StripSegments.in(r.numbers(0), n);
                return Map.of("edges", s.edges(), "means", s.means());
            }),
            Map.entry("mask_calibrate", r -> {
                double[] opacity = r.numbers(0);
                MaskChart chart = MaskChart.measured(opacity, r.numbers(1));
                return Map.of(
                        "opacity", Arrays.stream(opacity).boxed().toList(),
                        "stops",
                                Arrays.stream(opacity)
                                        .mapToObj(o -> chart.stopsAt(o).inStops())
                                        .toList(),
                        "base_stops", chart.baseLoss().inStops());
            }),
            Map.entry("mask_stops", r -> chart(r, 0).stopsAt(r.number(1)).inStops()),
            Map.entry("mask_opacity", r -> chart(r, 0).opacityFor(Stops.of(r.number(1)))),
            Map.entry("mask_plan", ReadingAdapters::maskPlan),
            Map.entry(
                    "mask_scale",
                    r -> List.of(
                            MaskChart.scale(r.number(4, 1), r.number(0), r.number(1)),
                            MaskChart.scale(r.number(5, 1), r.number(2), r.number(3)))),
            Map.entry("mask_local_grade", r -> {
                ColourMask m = ColourMask.over(PAPER, Grade.of(r.number(0)), r.number(1), r.number(2));
                return Map.of(
                        "R",
                        m.isoRange(),
                        "grade",
                        m.grade().orElseThrow().onScale(),
                        "stops_lost",
                        m.lost().inStops());
            }),
            Map.entry("mm_to_px", r -> MaskChart.pixels(r.number(0), r.number(1))),
            Map.entry("px_to_mm", r -> MaskChart.millimetres(r.number(0), r.number(1))));

    private ReadingAdapters() {}

    private static Object maskPlan(Row r) {
        Map<String, LocalChange> areas = new LinkedHashMap<>();
        for (JsonNode area : r.args().get(0)) {
            areas.put(area.get(0).asString(), LocalChange.ofStops(area.get(1).asDouble()));
        }
        MaskChart.Plan plan = chart(r, 1).plan(areas, ExposureTime.ofSeconds(r.number(2)), Stops.of(r.number(3)));
        List<Object> opacity = new ArrayList<>();
        plan.opacityOf().forEach((name, value) -> opacity.add(List.of(name, value)));
        return Map.of(
                "opacity", opacity,
                "background_opacity", plan.background(),
                "time", plan.time().inSeconds());
    }

    /** A chart as the table writes it, in stops; measured again it is the same. */
    private static MaskChart chart(Row r, int i) {
        JsonNode c = r.args().get(i);
        double base = c.get("base_stops").asDouble();
        double[] opacity =
                c.get("opacity").valueStream().mapToDouble(JsonNode::asDouble).toArray();
        double[] density = c.get("stops")
                .valueStream()
                .mapToDouble(s -> (s.asDouble() + base) * LOG10_OF_2)
                .toArray();
        return MaskChart.measured(opacity, density);
    }

    private static StripMatch.Between between(Row r, int i) {
        if (i >= r.args().size()) {
            return StripMatch.Between.LINEAR;
        }
        String name = r.args().get(i).asString().toUpperCase(Locale.ROOT);
        return Arrays.stream(StripMatch.Between.values())
                .filter(b -> b.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new QuantityException(QuantityException.Kind.WRONG_SHAPE, "way", "linear or pchip"));
    }

    private static double[] three(Row r, int i) {
        double[] channels = r.numbers(i);
        if (channels.length != 3) {
            throw new QuantityException(QuantityException.Kind.WRONG_SHAPE, "scan", "three channels are needed");
        }
        return channels;
    }

    private static List<ExposureTime> times(Row r, int i) {
        return Arrays.stream(r.numbers(i)).mapToObj(ExposureTime::ofSeconds).toList();
    }
}
