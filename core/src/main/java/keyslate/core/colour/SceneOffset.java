package keyslate.core.colour;

import java.util.List;
import keyslate.core.quantity.FilterShift;

/**
 * What a colour meter through a diffuser is off on one kind of scene: its light integrated is not grey, so the pack that it asks for is not the one that a print was right with.
 *
 * <p>COL-41: the mean of what the packs of own prints had beyond those that the meter asked for; none before the first. How far it may be off, as one standard
 * deviation: √(s² + {@value #GUESSED_POINTS}²/(1 + n²)), s the larger root mean square distance of the n prints from it, never less than 1.5, as with a first pack (COL-32). R51 of the craft's rules: the running mean.
 *
 * @param magenta points to add to what the meter asks for
 * @param yellow alike
 * @param openPoints one standard deviation of either, points
 * @param prints how many it rests on
 */
public record SceneOffset(double magenta, double yellow, double openPoints, int prints) {
    private static final double GUESSED_POINTS = 8;

    /** By what each print had beyond the meter; none at all is a guess of nothing. */
    public static SceneOffset of(List<FilterShift> beyond) {
        int prints = beyond.size();
        double magenta =
                beyond.stream().mapToDouble(SceneOffset::magenta).average().orElse(0);
        double yellow =
                beyond.stream().mapToDouble(SceneOffset::yellow).average().orElse(0);
        double ofMagenta = beyond.stream()
                .mapToDouble(b -> square(magenta(b) - magenta))
                .average()
                .orElse(0);
        double ofYellow = beyond.stream()
                .mapToDouble(b -> square(yellow(b) - yellow))
                .average()
                .orElse(0);
        double open = FirstPack.openPoints(Math.max(ofMagenta, ofYellow), GUESSED_POINTS, prints);
        return new SceneOffset(magenta, yellow, open, prints);
    }

    private static double magenta(FilterShift beyond) {
        return beyond.inMagenta() - beyond.inCyan();
    }

    private static double yellow(FilterShift beyond) {
        return beyond.inYellow() - beyond.inCyan();
    }

    private static double square(double x) {
        return x * x;
    }
}
