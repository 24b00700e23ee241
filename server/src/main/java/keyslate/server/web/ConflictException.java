package keyslate.server.web;

/** The request was right for a state that is gone; {@code code} says which kind. */
public final class ConflictException extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final String code;

    public ConflictException(String code, String message) {
        super(message);
        this.code = code;
    }

    /** Another window changed the slate first. */
    public static ConflictException stale() {
        return new ConflictException(
                "stale-version",
                "This slate was changed in another window. What you entered is still here; load the newer state, then"
                        + " set it again.");
    }

    public String code() {
        return code;
    }
}
