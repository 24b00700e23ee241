package keyslate.core.colour;

import java.util.List;
import keyslate.core.quantity.FilterShift;

/**
 * Whether two places of one print ask for the same pack.
 *
 * <p>COL-42: each place's looks alone put neutral at their mean (COL-28, p + G⁻¹·V/w); a look has the error of its way in points of the pack. They ask for
 * different packs where their means lie more than twice the error of their difference apart: then no pack makes both neutral, as in mixed light or on a film whose layers have different contrast.
 *
 * @param magenta points that the second place asks for beyond the first
 * @param yellow alike
 * @param limit what errors of looks alone would explain, 95 %, points
 */
public record TwoAreas(double magenta, double yellow, double limit) {
    /** The looks at each, one at least; the factors as they were found. */
    public static TwoAreas of(List<CastLook> first, List<CastLook> second, List<KitFactors> factors) {
        double[] one = mean(first, factors);
        double[] other = mean(second, factors);
        return new TwoAreas(
                other[0] - one[0],
                other[1] - one[1],
                2 * Math.hypot(error(first) / Math.sqrt(first.size()), error(second) / Math.sqrt(second.size())));
    }

    /** Whether they ask for different packs. */
    public boolean isApart() {
        return Math.hypot(magenta, yellow) > limit;
    }

    private static double[] mean(List<CastLook> looks, List<KitFactors> factors) {
        double[] sum = new double[2];
        for (CastLook look : looks) {
            KitFactors of = factors.stream()
                    .filter(f -> f.isOf(look))
                    .findFirst()
                    .orElseGet(() -> KitFactors.believed(look.way()));
            FilterShift pull = of.pull(look);
            sum[0] += look.pack().inMagenta() - look.pack().inCyan() + pull.inMagenta();
            sum[1] += look.pack().inYellow() - look.pack().inCyan() + pull.inYellow();
        }
        return new double[] {sum[0] / looks.size(), sum[1] / looks.size()};
    }

    /** Of one look, points of the pack. */
    private static double error(List<CastLook> looks) {
        return Math.sqrt(looks.stream()
                .mapToDouble(l -> Math.pow(l.spread(1) / l.way().trust().shown() / l.gradient(), 2))
                .average()
                .orElse(0));
    }
}
