package keyslate.server.web;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import keyslate.core.quantity.QuantityException;

/** Collects what is wrong with each field of a request, so that all of it is said at once. */
public final class FieldErrors {
    /** One field's error; the pointer is a JSON pointer (RFC 6901) into the request. */
    public record FieldError(String pointer, String code, String message) {}

    private final List<FieldError> found = new ArrayList<>();

    /** Runs a check; a refused quantity becomes an error of the field and {@code otherwise} the value. */
    public <T> T check(String pointer, T otherwise, Supplier<T> checked) {
        try {
            return checked.get();
        } catch (QuantityException e) {
            add(pointer, e.kind().code(), e.getMessage());
            return otherwise;
        }
    }

    public void add(String pointer, String code, String message) {
        found.add(new FieldError(pointer, code, message));
    }

    /** Whether something is wrong with this very field. */
    boolean has(String pointer) {
        return found.stream().anyMatch(e -> e.pointer().equals(pointer));
    }

    /** All that was found so far. */
    List<FieldError> all() {
        return List.copyOf(found);
    }

    public boolean isEmpty() {
        return found.isEmpty();
    }

    /** Throws when anything was found. */
    public void throwIfAny() {
        if (!found.isEmpty()) {
            throw new RefusedException(List.copyOf(found));
        }
    }
}
