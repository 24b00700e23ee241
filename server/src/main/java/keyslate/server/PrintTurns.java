package keyslate.server;

import java.util.ArrayList;
import java.util.List;
import keyslate.core.colour.Taste;
import keyslate.core.quantity.FilterPack;

/** What a move of the pack does to the print of a negative, in words. */
public final class PrintTurns {
    /** A change of less than half a point cannot be set. */
    private static final double SAME_POINTS = 0.5;

    private PrintTurns() {}

    /** Whether two packs print alike, their grey aside. */
    public static boolean isSame(FilterPack one, FilterPack other) {
        return Math.abs(magenta(one, other)) < SAME_POINTS && Math.abs(yellow(one, other)) < SAME_POINTS;
    }

    private static double magenta(FilterPack before, FilterPack now) {
        return now.inMagenta() - now.inCyan() - before.inMagenta() + before.inCyan();
    }

    private static double yellow(FilterPack before, FilterPack now) {
        return now.inYellow() - now.inCyan() - before.inYellow() + before.inCyan();
    }

    /** What a change of the pack does to the print: filter in, and it turns to the opposite colour. */
    public static String words(FilterPack before, FilterPack now) {
        double magenta = magenta(before, now);
        double yellow = yellow(before, now);
        if (Math.abs(magenta) < SAME_POINTS) {
            return size(yellow) + (yellow > 0 ? "bluer" : "yellower");
        }
        if (Math.abs(yellow) < SAME_POINTS) {
            return size(magenta) + (magenta > 0 ? "greener" : "more magenta");
        }
        boolean alike = magenta > 0 == yellow > 0;
        double share = Math.min(Math.abs(magenta), Math.abs(yellow)) / Math.max(Math.abs(magenta), Math.abs(yellow));
        if (alike && share > 0.5) {
            return size(Math.max(Math.abs(magenta), Math.abs(yellow))) + (magenta > 0 ? "more cyan" : "redder");
        }
        return (magenta > 0 ? "greener" : "more magenta") + " and " + (yellow > 0 ? "bluer" : "yellower");
    }

    /** How far off neutral a print is meant to be: "neutral", "5 redder", "3 greener and 2 bluer". */
    public static String meant(Taste taste) {
        if (taste.isNeutral()) {
            return "neutral";
        }
        double magenta = taste.magenta();
        double yellow = taste.yellow();
        if (Math.abs(magenta - yellow) < SAME_POINTS) {
            return points(magenta) + (magenta > 0 ? "more cyan" : "redder");
        }
        List<String> turns = new ArrayList<>();
        if (Math.abs(magenta) >= SAME_POINTS) {
            turns.add(points(magenta) + (magenta > 0 ? "greener" : "more magenta"));
        }
        if (Math.abs(yellow) >= SAME_POINTS) {
            turns.add(points(yellow) + (yellow > 0 ? "bluer" : "yellower"));
        }
        return String.join(" and ", turns);
    }

    private static String points(double points) {
        return Show.number(Math.abs(points)) + " ";
    }

    private static String size(double points) {
        return Math.abs(points) <= 5 ? "a little " : "";
    }
}
