package keyslate.server.calibration;

import java.util.Arrays;
import java.util.List;
import keyslate.core.quantity.Check;
import keyslate.server.web.RefusedException;
import org.jspecify.annotations.Nullable;

/** Readings that are typed or pasted, a line each. */
final class TypedLines {
    private static final int MOST_CHARACTERS = 20_000;
    private static final int MOST_LINES = 40;

    private TypedLines() {}

    /** The lines that hold something; refused when there are too many. */
    static List<String> of(@Nullable String text) {
        if (text != null && text.length() > MOST_CHARACTERS) {
            throw RefusedException.of("/lines", "E_RANGE", "This is too long.");
        }
        if (text != null && text.lines().count() > MOST_LINES) {
            throw RefusedException.of("/lines", "E_RANGE", "At most " + MOST_LINES + " lines at once.");
        }
        return text == null
                ? List.of()
                : text.lines().map(String::strip).filter(l -> !l.isEmpty()).toList();
    }

    /** What stands between semicolons or tabs, or where there are none between commas. */
    static List<String> cells(String line) {
        String apart = line.contains(";") || line.contains("\t") ? "[;\t]" : ",";
        return Arrays.stream(line.split(apart))
                .map(String::strip)
                .filter(c -> !c.isEmpty())
                .toList();
    }

    /** A number with a point or a comma in it. */
    static double number(String cell, int line) {
        try {
            return Double.parseDouble(cell.replace(',', '.'));
        } catch (NumberFormatException e) {
            throw Check.outOfRange("lines", "“" + cell + "” in line " + line + " is no number");
        }
    }
}
