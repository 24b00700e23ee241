package keyslate.core.colour;

import java.util.List;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.QuantityException;

/**
 * The pack to begin with, by own prints on the same film, paper and head.
 *
 * <p>COL-32: the median of each filter. How far it may be off, as one standard deviation: √(s² + g²/(1 + n²)), s the larger root mean square distance of the n finals from it, g a guess of {@value CastWay#GUESSED_POINTS} points, which
 * fades with the square of the count; never less than {@value #LEAST_POINTS}. R45 of the craft's rules.
 *
 * @param openPoints one standard deviation of either filter, CC
 * @param prints how many it rests on
 */
public record FirstPack(FilterPack pack, double openPoints, int prints) {
    private static final double LEAST_POINTS = 1.5;

    /** By the packs that finals were printed with; one at least. */
    public static FirstPack of(List<FilterPack> finals) {
        if (finals.isEmpty()) {
            throw new QuantityException(QuantityException.Kind.WRONG_SHAPE, "finals", "one print at least");
        }
        double magenta = median(finals.stream()
                .mapToDouble(p -> p.inMagenta() - p.inCyan())
                .sorted()
                .toArray());
        double yellow = median(finals.stream()
                .mapToDouble(p -> p.inYellow() - p.inCyan())
                .sorted()
                .toArray());
        double ofMagenta = 0;
        double ofYellow = 0;
        for (FilterPack pack : finals) {
            ofMagenta += square(pack.inMagenta() - pack.inCyan() - magenta);
            ofYellow += square(pack.inYellow() - pack.inCyan() - yellow);
        }
        int prints = finals.size();
        FilterPack pack = NeutralRemoval.of(FilterShift.of(0, magenta, yellow)).pack();
        double meanSquare = Math.max(ofMagenta, ofYellow) / prints;
        return new FirstPack(pack, openPoints(meanSquare, CastWay.GUESSED_POINTS, prints), prints);
    }

    /** Whether neither magenta nor yellow is left of a pack without its grey: a poor beginning with a masked negative, by R45 of the craft's rules. */
    public static boolean isUnfiltered(FilterPack pack) {
        FilterPack clean = NeutralRemoval.of(pack.toShift()).pack();
        return clean.inMagenta() == 0 && clean.inYellow() == 0;
    }

    /** How far a figure of so many prints may be off, points, one standard deviation: their own spread, and a guess that fades with the square of the count. */
    static double openPoints(double meanSquare, double guessedPoints, int prints) {
        return Math.max(LEAST_POINTS, Math.sqrt(meanSquare + square(guessedPoints) / (1 + square(prints))));
    }

    private static double square(double x) {
        return x * x;
    }

    private static double median(double[] sorted) {
        int middle = sorted.length / 2;
        return sorted.length % 2 == 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
    }
}
