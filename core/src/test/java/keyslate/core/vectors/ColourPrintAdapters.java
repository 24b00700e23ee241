package keyslate.core.vectors;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.IntStream;
import keyslate.core.colour.ColourBalance;
import keyslate.core.colour.ColourFilm;
import keyslate.core.colour.ColourPaper;
import keyslate.core.colour.ColourSlopes;
import keyslate.core.colour.DyeImage;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.Layers;
import keyslate.core.colour.ViewingLight;
import keyslate.core.colour.WetPrint;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.Stops;
import keyslate.core.vectors.ModelVectors.Row;
import tools.jackson.databind.JsonNode;

/** Film, paper, dyes and balance of the colour print of the table. */
final class ColourPrintAdapters {
    private static final double KELVIN = 3200;

    static final Map<String, Function<Row, Object>> BY_NAME = Map.ofEntries(
            Map.entry("film_density", r -> list(ColourFilm.printingDensity(layers(r, 0), Stops.of(r.number(1, 0))))),
            Map.entry("paper_amount", r -> ColourPaper.amount(r.number(0))),
            Map.entry("paper_logE", r -> ColourPaper.logExposureFor(r.number(0))),
            Map.entry("paper_gamma", r -> ColourPaper.gradient(r.number(0))),
            Map.entry("cast_gain", r -> ColourPaper.castGain(r.number(0), r.number(1))),
            Map.entry("cast_weight", r -> ColourPaper.castWeight(r.number(0), r.number(1))),
            Map.entry("lamp_layer_shift", r -> list(ColourPaper.lampShift(r.number(0)))),
            Map.entry(
                    "white_xyz",
                    r -> Arrays.stream(new ViewingLight(r.number(0)).white())
                            .boxed()
                            .toList()),
            Map.entry("integral_density", r -> list(new DyeImage(layers(r, 0)).integralDensity())),
            Map.entry(
                    "amounts_from_density",
                    r -> list(DyeImage.ofIntegralDensity(layers(r, 0)).amounts())),
            Map.entry("amounts_from_lab", r -> {
                Layers lab = layers(r, 0);
                return list(DyeImage.looking(lab.red(), lab.green(), lab.blue(), ViewingLight.USUAL)
                        .amounts());
            }),
            Map.entry("print_patch", ColourPrintAdapters::patch),
            Map.entry("target_lab", r -> List.of(ColourBalance.lightnessOf(r.number(0)), 0.0, 0.0)),
            Map.entry(
                    "balance",
                    r -> balance(ColourBalance.of(layers(r, 0), r.number(1, 0.75), r.number(2, KELVIN), set(r, 3)))),
            Map.entry(
                    "correct_density",
                    r -> balance(ColourBalance.corrected(
                            DyeImage.ofIntegralDensity(layers(r, 0)),
                            DyeImage.ofIntegralDensity(layers(r, 1)),
                            pack(r, 2),
                            ExposureTime.ofSeconds(r.number(3)),
                            FilterSet.DICHROIC))),
            Map.entry("correct_lab", r -> {
                DyeImage measured = looking(r, 0);
                DyeImage wanted = looking(r, 1);
                ColourBalance b = ColourBalance.corrected(
                        measured, wanted, pack(r, 2), ExposureTime.ofSeconds(r.number(3)), FilterSet.DICHROIC);
                double[] change = ColourBalance.change(measured, wanted, FilterSet.DICHROIC);
                Map<String, Object> found = new LinkedHashMap<>(balance(b));
                found.put("delta", List.of(change[1], change[2], change[0]));
                return found;
            }),
            Map.entry("correct_secant", r -> {
                ColourBalance.Learned learned = ColourBalance.correctedBySecant(
                        new ColourBalance.Printed(looking(r, 0), pack(r, 1), ExposureTime.ofSeconds(r.number(2))),
                        new ColourBalance.Printed(looking(r, 3), pack(r, 4), ExposureTime.ofSeconds(r.number(5))),
                        looking(r, 6),
                        FilterSet.DICHROIC);
                Map<String, Object> found = new LinkedHashMap<>(balance(learned.balance()));
                found.put("gains", list(learned.gains()));
                return found;
            }),
            Map.entry("lab_jacobian", r -> {
                ColourSlopes slopes = ColourSlopes.about(layers(r, 0), pack(r, 1), r.number(2));
                return IntStream.range(0, 3)
                        .mapToObj(row -> List.of(slopes.at(row, 0), slopes.at(row, 1), slopes.at(row, 2)))
                        .toList();
            }),
            Map.entry("correct_jacobian", r -> {
                Layers measured = layers(r, 0);
                Layers wanted = layers(r, 1);
                double[][] rows = new double[3][];
                for (int row = 0; row < 3; row++) {
                    rows[row] = r.args()
                            .get(2)
                            .get(row)
                            .valueStream()
                            .mapToDouble(JsonNode::asDouble)
                            .toArray();
                }
                ColourSlopes.Change c = ColourSlopes.of(rows)
                        .forDifference(
                                wanted.red() - measured.red(),
                                wanted.green() - measured.green(),
                                wanted.blue() - measured.blue());
                return List.of(c.magenta(), c.yellow(), c.logExposure());
            }),
            Map.entry("dry_from_wet", r -> list(wet(r).dryFromWet(layers(r, 0)))),
            Map.entry("wet_from_dry", r -> list(wet(r).wetFromDry(layers(r, 0)))));

    private ColourPrintAdapters() {}

    private static DyeImage looking(Row r, int i) {
        Layers lab = layers(r, i);
        return DyeImage.looking(lab.red(), lab.green(), lab.blue(), ViewingLight.USUAL);
    }

    private static Object patch(Row r) {
        ViewingLight light = new ViewingLight(r.number(5, ViewingLight.USUAL.kelvin()));
        ExposureTime time = ExposureTime.ofSeconds(r.number(2));
        Layers x = ColourPaper.logExposure(
                layers(r, 0), pack(r, 1), Math.log10(time.inSeconds()), r.number(3, KELVIN), set(r, 4));
        DyeImage dye = new DyeImage(
                new Layers(ColourPaper.amount(x.red()), ColourPaper.amount(x.green()), ColourPaper.amount(x.blue())));
        DyeImage.Appearance seen = dye.in(light);
        DyeImage.Screen screen = dye.onScreen(light);
        return Map.of(
                "amounts", list(dye.amounts()),
                "density", list(dye.integralDensity()),
                "visual", seen.visualDensity(),
                "lab", List.of(seen.lightness(), seen.a(), seen.b()),
                "srgb", List.of(screen.red(), screen.green(), screen.blue()),
                "clipped", screen.clipped());
    }

    private static Map<String, Object> balance(ColourBalance b) {
        FilterPack p = b.pack();
        return Map.of(
                "pack", List.of(p.inCyan(), p.inMagenta(), p.inYellow()),
                "time", b.time().inSeconds());
    }

    private static WetPrint wet(Row r) {
        return r.args().size() > 1 ? new WetPrint(layers(r, 1), r.number(2, 1)) : WetPrint.USUAL;
    }

    private static FilterPack pack(Row r, int i) {
        Layers cmy = layers(r, i);
        return FilterPack.of(cmy.red(), cmy.green(), cmy.blue());
    }

    private static FilterSet set(Row r, int i) {
        return i < r.args().size() ? FilterSet.named(r.args().get(i).asString()) : FilterSet.DICHROIC;
    }

    private static Layers layers(Row r, int i) {
        return Layers.of(r.numbers(i));
    }

    private static List<Double> list(Layers l) {
        return List.of(l.red(), l.green(), l.blue());
    }
}
