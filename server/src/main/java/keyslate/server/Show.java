package keyslate.server;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import keyslate.core.colour.NeutralRemoval;
import keyslate.core.light.Light;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Stops;

/** Numbers as a printer reads them, for sentences the server writes: typographic minus and fractions, units shown. */
public final class Show {
    private static final String[] TWELFTHS = {"", "1/12", "⅙", "¼", "⅓", "5/12", "½", "7/12", "⅔", "¾", "⅚", "11/12"};

    public static final List<String> DIALS = List.of("C", "M", "Y");

    private Show() {}

    /** "11.3 s". */
    public static String seconds(double seconds) {
        return String.format(Locale.ROOT, "%.1f s", seconds);
    }

    /** "1.26". */
    public static String factor(double factor) {
        return String.format(Locale.ROOT, "%.2f", factor);
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

    /** "+12 M −3 Y": how the dials of one pack differ from another's; "was grade 2" where they are none. */
    public static String lightChange(Light before, Light now) {
        List<Double> from = before.points();
        List<Double> to = now.points();
        if (from.isEmpty() || to.isEmpty()) {
            return "was " + before.notation();
        }
        String words =
                points(FilterShift.of(to.get(0) - from.get(0), to.get(1) - from.get(1), to.get(2) - from.get(2)));
        return words.isEmpty() ? "the same" : words;
    }

    /** "+8 M −3 Y"; empty where nothing changes. */
    public static String points(FilterShift shift) {
        List<Double> change = List.of(shift.inCyan(), shift.inMagenta(), shift.inYellow());
        List<String> words = new ArrayList<>();
        for (int i = 0; i < DIALS.size(); i++) {
            if (Math.abs(change.get(i)) >= 0.05) {
                words.add((change.get(i) > 0 ? "+" : "−") + number(Math.abs(change.get(i))) + " " + DIALS.get(i));
            }
        }
        return String.join(" ", words);
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

    /** The same with a capital at the beginning and a full stop at the end: how the core's messages become sentences. */
    public static String sentence(String message) {
        String text = capital(message);
        return text.endsWith(".") ? text : text + ".";
    }

    /** With a capital at the beginning. */
    public static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    /** "sky and door", "sky, door and wall". */
    public static String listed(List<String> words) {
        int last = words.size() - 1;
        return last < 1
                ? String.join("", words)
                : String.join(", ", words.subList(0, last)) + " and " + words.get(last);
    }

    /** "14 points of grey removed, 0.14 density, 0.47 stop"; {@code done} is the word for what becomes of it, or empty. */
    public static String grey(NeutralRemoval clean, String done) {
        return String.format(
                Locale.ROOT,
                "%s points of grey%s, %.2f density, %.2f stop",
                number(clean.neutralPoints()),
                done,
                clean.neutralPoints() / 100,
                Math.abs(clean.stopsMoreTime().inStops()));
    }
}
