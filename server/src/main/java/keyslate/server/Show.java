package keyslate.server;

import java.util.Locale;
import keyslate.core.quantity.Stops;

/** Numbers as a printer reads them, for sentences the server writes: typographic minus and fractions, units shown. */
public final class Show {
    private static final String[] TWELFTHS = {"", "1/12", "⅙", "¼", "⅓", "5/12", "½", "7/12", "⅔", "¾", "⅚", "11/12"};

    private Show() {}

    /** "11.3 s". */
    public static String seconds(double seconds) {
        return String.format(Locale.ROOT, "%.1f s", seconds);
    }

    /** "f/5.6", "f/8". */
    public static String aperture(double mark) {
        return "f/" + number(mark);
    }

    /** "5.6", "8": at most one decimal, none where it is 0. */
    public static String number(double value) {
        double rounded = Math.rint(value * 10) / 10;
        String text = rounded == Math.rint(rounded)
                ? Long.toString((long) rounded)
                : String.format(Locale.ROOT, "%.1f", rounded);
        return text.replace('-', '−');
    }

    /** "+⅓ stop", "−1½ stops", "no change": to the nearest twelfth. */
    public static String stops(Stops change) {
        int twelfths = (int) Math.rint(change.inStops() * 12);
        if (twelfths == 0) {
            return "no change";
        }
        return (twelfths < 0 ? "−" : "+") + plainStops(Math.abs(twelfths));
    }

    /** "⅓ stop", "1½ stops": without a sign. */
    public static String stopsApart(Stops change) {
        int twelfths = (int) Math.rint(Math.abs(change.inStops()) * 12);
        return twelfths == 0 ? "under 1/12 stop" : plainStops(twelfths);
    }

    private static String plainStops(int twelfths) {
        int whole = twelfths / 12;
        String fraction = TWELFTHS[twelfths % 12];
        String gap = whole > 0 && fraction.indexOf('/') >= 0 ? " " : "";
        String number = (whole > 0 ? Integer.toString(whole) : "") + gap + fraction;
        return number + (twelfths > 12 ? " stops" : " stop");
    }
}
