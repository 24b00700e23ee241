package keyslate.server.web;

import org.jspecify.annotations.Nullable;

/** Texts that a user types: stripped, of a length, and without characters that show as something else. */
public final class Texts {
    private Texts() {}

    /** The text, or an empty one and an error of the field. */
    public static String checked(
            FieldErrors errors, String pointer, @Nullable String given, int shortest, int longest) {
        String text = given == null ? "" : given.strip();
        if (text.length() < shortest || text.length() > longest) {
            errors.add(pointer, "E_SHAPE", "Write " + shortest + " to " + longest + " characters here.");
            return "";
        }
        if (text.codePoints().anyMatch(Texts::isHidden)) {
            errors.add(pointer, "E_SHAPE", "This text holds characters that cannot be seen; type it anew.");
            return "";
        }
        return text;
    }

    /** Control characters but for line ends, and those that turn the direction of writing. */
    public static boolean isHidden(int c) {
        return Character.getType(c) == Character.CONTROL && c != '\n' && c != '\r' && c != '\t'
                || c >= 0x202a && c <= 0x202e
                || c >= 0x2066 && c <= 0x2069
                || Character.getType(c) == Character.SURROGATE
                || c == 0xfffe
                || c == 0xffff;
    }
}
