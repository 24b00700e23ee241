package keyslate.core.vectors;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import keyslate.core.contrast.ColourHead;
import keyslate.core.contrast.MixedBurn;
import keyslate.core.contrast.SchoolFactors;
import keyslate.core.contrast.SplitExposure;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.quantity.Density;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.vectors.ModelVectors.Row;
import tools.jackson.databind.JsonNode;

/** Splits, heads, school tables and burns at another grade of the table. */
final class ContrastAdapters {
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();
    private static final ColourHead HEAD = new ColourHead(PAPER);
    private static final MixedBurn BURN = new MixedBurn(PAPER);
    private static final SplitExposure WIDEST = new SplitExposure(PAPER, Grade.of(-1), Grade.of(5));

    static final Map<String, Function<Row, Object>> BY_NAME = Map.ofEntries(
            Map.entry("split_equivalent", r -> {
                SplitExposure.Single s = split(r, 2).equivalent(r.number(0), r.number(1));
                return Map.of(
                        "grade",
                        s.grade().onScale(),
                        "R",
                        s.isoRange(),
                        "time",
                        s.time().inSeconds(),
                        "r",
                        s.ratio());
            }),
            Map.entry("split_from_single", r -> {
                SplitExposure.Pair p = split(r, 2).of(Grade.of(r.number(0)), ExposureTime.ofSeconds(r.number(1)));
                return Map.of("t_soft", p.softSeconds(), "t_hard", p.hardSeconds());
            }),
            Map.entry(
                    "split_density", r -> split(r, 3).printDensity(r.number(0), r.number(1), Density.of(r.number(2)))),
            Map.entry("split_sensitivity", r -> {
                SplitExposure split = split(r, 3);
                Density tone = Density.of(r.number(2));
                return Map.of(
                        "soft", split.sensitivity(r.number(0), r.number(1), tone, true),
                        "hard", split.sensitivity(r.number(0), r.number(1), tone, false));
            }),
            Map.entry("split_find", r -> {
                SplitExposure.Found f = split(r, 5)
                        .find(
                                SplitExposure.schoolOf(r.args().get(4).asString()),
                                Density.of(r.number(0)),
                                Density.of(r.number(1)),
                                r.number(2),
                                r.number(3));
                return Map.of(
                        "t_soft", f.pair().softSeconds(),
                        "t_hard", f.pair().hardSeconds(),
                        "err_high", f.highlightError(),
                        "err_shadow", f.shadowError());
            }),
            Map.entry(
                    "school_factor", r -> school(r.args().get(0)).factor(Grade.of(r.number(1)), Grade.of(r.number(2)))),
            Map.entry("vc_dichroic", r -> {
                ColourHead.Light light = HEAD.lightOf(r.number(0), r.number(1));
                return Map.of(
                        "r", light.ratio(),
                        "R", light.isoRange(),
                        "grade", HEAD.gradeOf(light).onScale(),
                        "time_factor", light.timeFactor());
            }),
            Map.entry("vc_dial_for_grade", r -> {
                Grade grade = Grade.of(r.number(0));
                ColourHead.Setting s = r.args().get(1).isNull() ? HEAD.single(grade) : HEAD.dual(grade, r.number(1));
                return Map.of("y", s.yellow(), "m", s.magenta(), "time_factor", s.timeFactor());
            }),
            Map.entry("burn_other_grade", r -> {
                MixedBurn.Burn b = BURN.of(
                        Grade.of(r.number(0)),
                        ExposureTime.ofSeconds(r.number(1)),
                        r.number(2),
                        Stops.of(r.number(3)),
                        Grade.of(r.number(4)));
                return Map.of(
                        "seconds", b.seconds(),
                        "target", b.targetDensity(),
                        "same_grade_seconds", b.sameGradeSeconds(),
                        "effective_stops", b.effective().inStops());
            }),
            Map.entry("burn_density", r -> {
                List<MixedBurn.Exposure> all =
                        new ArrayList<>(exposures(r.args().get(0)));
                all.addAll(exposures(r.args().get(1)));
                return BURN.printDensity(all, Density.of(r.number(2)));
            }));

    private ContrastAdapters() {}

    private static SplitExposure split(Row r, int i) {
        return i < r.args().size()
                ? new SplitExposure(PAPER, Grade.of(r.number(i)), Grade.of(r.number(i + 1)))
                : WIDEST;
    }

    private static List<MixedBurn.Exposure> exposures(JsonNode pairs) {
        return pairs.valueStream()
                .map(p -> new MixedBurn.Exposure(
                        PAPER.lightAt(Grade.of(p.get(0).asDouble())), p.get(1).asDouble()))
                .toList();
    }

    private static SchoolFactors school(JsonNode name) {
        if (name.isArray()) {
            return SchoolFactors.of(name.valueStream()
                    .map(row -> new double[] {row.get(0).asDouble(), row.get(1).asDouble()})
                    .toArray(double[][]::new));
        }
        return switch (name.asString()) {
            case "double_from_4" -> SchoolFactors.DOUBLE_FROM_4;
            case "double_per_grade_from_3" -> SchoolFactors.DOUBLE_PER_GRADE_FROM_3;
            default ->
                throw new QuantityException(QuantityException.Kind.WRONG_SHAPE, "school", "no table of this name");
        };
    }
}
