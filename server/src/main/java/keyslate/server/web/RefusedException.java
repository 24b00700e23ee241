package keyslate.server.web;

import java.util.List;

/** A request whose fields are well formed but cannot be taken. */
public final class RefusedException extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final transient List<FieldErrors.FieldError> errors;

    public RefusedException(List<FieldErrors.FieldError> errors) {
        super(errors.get(0).message());
        this.errors = errors;
    }

    /** One error of one field. */
    public static RefusedException of(String pointer, String code, String message) {
        return new RefusedException(List.of(new FieldErrors.FieldError(pointer, code, message)));
    }

    public List<FieldErrors.FieldError> errors() {
        return errors;
    }
}
