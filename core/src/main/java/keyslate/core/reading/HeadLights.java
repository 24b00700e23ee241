package keyslate.core.reading;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.HeadTable;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.light.Light;
import keyslate.core.reading.SlateEvidence.Common;
import keyslate.core.reading.SlateEvidence.Tone;

/**
 * Grades from the dials of a head for {@link SlateEvidence}: what a dial is off by is the same for all grades that it stands for, so that a strip through one of them tells of the others (REA-25).
 *
 * @param graded factors and ranges by the head's table
 * @param common what grades share
 */
public record HeadLights(GradedLights graded, List<Common> commons) implements SlateEvidence.LightModel {
    /** What is left of each grade alone: how well a dial is set again. */
    private static final double EACH_STOPS = 1.0 / 24;

    private static final double EACH_RANGE = 2;

    /** One of the errors of a head, its effects kept once computed. */
    private record OfHead(double limit, Map<GradeFilter, double[]> effects) implements Common {
        @Override
        public double effectLog(Light light, Tone tone) {
            double[] effect = effects.getOrDefault(light.toFilter(), new double[] {0, 0});
            return effect[0] + (tone == Tone.BLACKS ? effect[1] / 100 : 0);
        }
    }

    /** A head that was not measured. */
    public static HeadLights of(VariableContrastPaper plain, HeadTable table) {
        GradedLights graded = GradedLights.usual(new VariableContrastPaper(table.filters(plain)));
        List<Common> commons = Arrays.stream(HeadTable.Error.values())
                .map(error -> (Common) new OfHead(error.limit(), effects(plain, table, error)))
                .toList();
        return new HeadLights(graded, commons);
    }

    private static Map<GradeFilter, double[]> effects(
            VariableContrastPaper plain, HeadTable table, HeadTable.Error error) {
        Map<GradeFilter, double[]> effects = new EnumMap<>(GradeFilter.class);
        table.settings().keySet().forEach(filter -> effects.put(filter, table.effect(plain, filter, error)));
        return new HashMap<>(effects);
    }

    @Override
    public double factorLog(Light light, Tone tone) {
        return graded.factorLog(light, tone);
    }

    @Override
    public double limitStops(Light light) {
        return EACH_STOPS;
    }

    @Override
    public double contrastLimitLog(Light light) {
        return EACH_RANGE / 100;
    }
}
