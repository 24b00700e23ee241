package keyslate.core.quantity;

/**
 * A value that a quantity or a formula cannot take: which parameter, which rule, what was found.
 *
 * <p>The message is a sentence a user may read: "exposure time must be more than 0 s, was −2.5 s".
 */
public final class QuantityException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    /** The kinds of failure, checked in this order. */
    public enum Kind {
        /** Not finite, or not a number. */
        NOT_A_NUMBER("E_NAN"),
        /** 0 or less where more than 0 is needed. */
        NOT_POSITIVE("E_NONPOS"),
        /** Less than 0 where 0 or more is needed. */
        NEGATIVE("E_NEG"),
        /** Outside the range in which the formula holds. */
        OUT_OF_RANGE("E_RANGE"),
        /** A list of the wrong length, or an unknown name. */
        WRONG_SHAPE("E_SHAPE"),
        /** Valid input for which no solution exists. */
        INFEASIBLE("E_INFEASIBLE");

        private final String code;

        Kind(String code) {
            this.code = code;
        }

        /** The short code used in test tables and problem documents. */
        public String code() {
            return code;
        }
    }

    private final Kind kind;
    private final String parameter;

    public QuantityException(Kind kind, String parameter, String message) {
        super(message);
        this.kind = kind;
        this.parameter = parameter;
    }

    public Kind kind() {
        return kind;
    }

    /** The name of the parameter in a printer's words. */
    public String parameter() {
        return parameter;
    }
}
