package keyslate.server.web;

import java.util.function.Supplier;

/** What was asked for is not in this data file. */
public final class NotFoundException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public NotFoundException(String message) {
        super(message);
    }

    /** For {@code orElseThrow}: "There is no such slate here." */
    public static Supplier<NotFoundException> of(String what) {
        return () -> new NotFoundException("There is no such " + what + " here.");
    }
}
