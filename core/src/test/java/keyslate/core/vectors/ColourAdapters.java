package keyslate.core.vectors;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.DoubleStream;
import keyslate.core.colour.CastCorrection;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.FilterSet.Weights;
import keyslate.core.colour.HeadDial;
import keyslate.core.colour.Hue;
import keyslate.core.colour.NeutralRemoval;
import keyslate.core.colour.RingAround;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.vectors.ModelVectors.Row;
import tools.jackson.databind.JsonNode;

/** Packs, casts and ring-arounds of the table. */
final class ColourAdapters {
    static final Map<String, Function<Row, Object>> BY_NAME = Map.ofEntries(
            Map.entry("pack_add", r -> list(shift(r, 0).plus(shift(r, 1)))),
            Map.entry("pack_normalise", r -> removal(NeutralRemoval.of(shift(r, 0)))),
            Map.entry("pack_without_cyan", r -> removal(NeutralRemoval.withoutCyan(shift(r, 0)))),
            Map.entry("pack_layer_density", r -> {
                FilterSet set = set(r, 1);
                return DoubleStream.of(0, 1, 2)
                        .map(l -> set.layerDensity(pack(r, 0), (int) l))
                        .boxed()
                        .toList();
            }),
            Map.entry("pack_time_factor", r -> {
                FilterSet set = set(r, 2);
                return set.timeFactor(
                        pack(r, 0), pack(r, 1), weights(r, 3), (int) r.number(4, 0), (int) r.number(5, 0));
            }),
            Map.entry("dial_to_cc", r -> HeadDial.of(table(r, 1)).pointsAt(r.number(0))),
            Map.entry("cc_to_dial", r -> HeadDial.of(table(r, 1)).dialFor(r.number(0))),
            Map.entry("dichroic_partial", r -> HeadDial.partlyInserted(r.number(0), r.number(1))),
            Map.entry(
                    "cast_correction",
                    r -> list(CastCorrection.of(
                            Hue.of(r.args().get(0).asString()),
                            r.number(1),
                            "neg".equals(r.args().get(2).asString())
                                    ? CastCorrection.Process.NEGATIVE
                                    : CastCorrection.Process.POSITIVE,
                            CastCorrection.Way.valueOf(
                                    r.args().get(3).asString().toUpperCase(Locale.ROOT))))),
            Map.entry(
                    "viewing_filter_change",
                    r -> list(CastCorrection.byViewingFilter(
                            Hue.of(r.args().get(0).asString()), r.number(1), r.number(2, 0.5)))),
            Map.entry("ring_around", ColourAdapters::ringAround),
            Map.entry("my_grid", ColourAdapters::grid));

    private ColourAdapters() {}

    private static Object ringAround(Row r) {
        List<Stops> density = Arrays.stream(r.numbers(5)).mapToObj(Stops::of).toList();
        return RingAround.plan(
                        pack(r, 0),
                        ExposureTime.ofSeconds(r.number(1)),
                        r.number(2),
                        (int) r.number(3),
                        r.args().get(4).asBoolean(),
                        density,
                        set(r, 6),
                        weights(r, 7))
                .stream()
                .map(p -> Map.of(
                        "label", p.label(),
                        "looks", p.looks(),
                        "pack", list(p.pack().toShift()),
                        "time", p.time().inSeconds()))
                .toList();
    }

    private static Object grid(Row r) {
        List<List<RingAround.Exposed>> cells = RingAround.grid(
                pack(r, 0),
                ExposureTime.ofSeconds(r.number(1)),
                Arrays.stream(r.numbers(2)).boxed().toList(),
                Arrays.stream(r.numbers(3)).boxed().toList(),
                set(r, 4),
                weights(r, 5));
        double total = cells.stream()
                .flatMap(List::stream)
                .mapToDouble(c -> c.time().inSeconds())
                .sum();
        return Map.of(
                "cells",
                cells.stream()
                        .map(row -> row.stream()
                                .map(c -> Map.of(
                                        "pack", list(c.pack().toShift()),
                                        "time", c.time().inSeconds()))
                                .toList())
                        .toList(),
                "total_time",
                total);
    }

    private static Map<String, Object> removal(NeutralRemoval n) {
        return Map.of(
                "pack", list(n.pack().toShift()),
                "neutral", n.neutralPoints(),
                "time_factor", n.timeFactor(),
                "stops", n.stopsMoreTime().inStops());
    }

    private static List<Double> list(FilterShift s) {
        return List.of(s.inCyan(), s.inMagenta(), s.inYellow());
    }

    private static FilterShift shift(Row r, int i) {
        double[] cmy = three(r, i);
        return FilterShift.of(cmy[0], cmy[1], cmy[2]);
    }

    private static FilterPack pack(Row r, int i) {
        double[] cmy = three(r, i);
        return FilterPack.of(cmy[0], cmy[1], cmy[2]);
    }

    private static double[] three(Row r, int i) {
        double[] cmy = r.numbers(i);
        if (cmy.length != 3) {
            throw new QuantityException(QuantityException.Kind.WRONG_SHAPE, "pack", "a pack has three filters");
        }
        for (double points : cmy) {
            Check.finite("filter", points);
        }
        return cmy;
    }

    private static FilterSet set(Row r, int i) {
        return FilterSet.named(r.args().get(i).asString());
    }

    private static Weights weights(Row r, int i) {
        return switch (r.args().get(i).asString()) {
            case "green" -> Weights.GREEN;
            case "visual" -> Weights.VISUAL;
            default -> Weights.MEAN;
        };
    }

    private static double[][] table(Row r, int i) {
        List<double[]> rows = new ArrayList<>();
        for (JsonNode row : r.args().get(i)) {
            rows.add(new double[] {row.get(0).asDouble(), row.get(1).asDouble()});
        }
        return rows.toArray(double[][]::new);
    }
}
