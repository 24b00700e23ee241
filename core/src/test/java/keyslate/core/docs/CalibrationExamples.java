package keyslate.core.docs;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import keyslate.core.calibration.BatchReadings;
import keyslate.core.calibration.ColumnReadings;
import keyslate.core.calibration.DryDown;
import keyslate.core.calibration.EvennessReadings;
import keyslate.core.calibration.LagReadings;
import keyslate.core.calibration.OpeningReadings;
import keyslate.core.calibration.PupilReadings;
import keyslate.core.darkroom.Evenness;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.Stops;
import keyslate.core.script.Part;

/** The code behind the worked examples of docs/formulas/calibration.md. */
final class CalibrationExamples {
    private CalibrationExamples() {}

    static Map<String, ToDoubleFunction<Example>> formulas() {
        Map<String, ToDoubleFunction<Example>> formulas = new HashMap<>();
        formulas.put("CAL-01", e -> {
            LagReadings.Burst small = new LagReadings.Burst(e.at("short"), e.at("dose"));
            LagReadings.Burst large = new LagReadings.Burst(e.at("long"), e.at("more"));
            return new LagReadings(List.of(small, small, small, large, large, large))
                    .result()
                    .lag()
                    .figure();
        });
        formulas.put("CAL-03", e -> {
            Map<ApertureMark, List<Double>> lux = new LinkedHashMap<>();
            lux.put(ApertureMark.ofEngraved(8, 1), twice(e.at("first")));
            lux.put(ApertureMark.ofEngraved(11, 1), twice(e.at("second")));
            lux.put(ApertureMark.ofEngraved(16, 1), twice(e.at("third")));
            return new OpeningReadings(lux)
                    .offsets()
                    .get(ApertureMark.ofEngraved(8, 1))
                    .figure();
        });
        formulas.put("CAL-04", e -> {
            Map<EvennessReadings.Spot, List<Double>> lux = new EnumMap<>(EvennessReadings.Spot.class);
            Stream.of(EvennessReadings.Spot.values()).forEach(s -> lux.put(s, twice(e.at("corner"))));
            lux.put(EvennessReadings.Spot.CENTRE, twice(e.at("centre")));
            return new EvennessReadings(lux)
                    .corners()
                    .get(EvennessReadings.Spot.TOP_LEFT)
                    .figure();
        });
        formulas.put(
                "CAL-05",
                e -> new ColumnReadings(DoubleStream.of(3, 4, 6, 9)
                                .mapToObj(m -> new ColumnReadings.Place(
                                        e.at("begins") + e.at("focal") * (2 + m + 1 / m), Magnification.of(m)))
                                .toList())
                        .scale()
                        .reading(e.times("at"))
                        .figure());
        formulas.put(
                "CAL-06",
                e -> new PupilReadings(DoubleStream.of(3, 4, 6, 9, 12)
                                .mapToObj(m -> new PupilReadings.Height(
                                        Magnification.of(m), 900 / Math.pow(1 + m / e.at("pupil"), 2)))
                                .toList())
                        .inversePupil()
                        .figure());
        formulas.put(
                "CAL-07",
                e -> DryDown.of(List.of(new DryDown.Pair(e.time("wet"), e.time("dry"))), Stops.ofFraction(1, 24))
                        .figure());
        formulas.put(
                "CAL-09",
                e -> BatchReadings.more(
                                List.of(new BatchReadings.Pair(e.time("other"), e.time("here"))),
                                Stops.ofFraction(1, 12))
                        .figure());
        formulas.put(
                "CAL-08",
                e -> new Evenness(List.of(Stops.of(e.at("corner")), Stops.ZERO, Stops.ZERO, Stops.ZERO), Part.WHOLE)
                        .at((1 - e.at("across")) / 2, (1 - e.at("down")) / 2)
                        .inStops());
        return formulas;
    }

    private static List<Double> twice(double lux) {
        return List.of(lux, lux);
    }
}
