package keyslate.server.web;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;

/** What was found wrong while the body of the request under way was read, and notes on how it was understood. */
public final class Refusals {
    private static final String NAME = Refusals.class.getName();

    private final FieldErrors errors = new FieldErrors();
    private final List<String> notes = new ArrayList<>();

    private Refusals() {}

    /** Those of the request that is under way; nobody reads them outside of one. */
    public static Refusals current() {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request == null) {
            return new Refusals();
        }
        Refusals refusals = (Refusals) request.getAttribute(NAME, RequestAttributes.SCOPE_REQUEST);
        if (refusals == null) {
            refusals = new Refusals();
            request.setAttribute(NAME, refusals, RequestAttributes.SCOPE_REQUEST);
        }
        return refusals;
    }

    public FieldErrors errors() {
        return errors;
    }

    public void note(String note) {
        notes.add(note);
    }

    public List<String> notes() {
        return List.copyOf(notes);
    }

    /** Says of everything a record needs and does not have that it is missing; what was refused is not missing too. */
    public void missing(Object body) {
        missing("", body);
    }

    private void missing(String at, Object body) {
        for (RecordComponent component : body.getClass().getRecordComponents()) {
            boolean mayBeNone = component.getAnnotatedType().isAnnotationPresent(Nullable.class);
            check(at + "/" + component.getName(), read(component, body), mayBeNone);
        }
    }

    private void check(String at, @Nullable Object value, boolean mayBeNone) {
        if (value == null) {
            if (!mayBeNone && !errors.has(at)) {
                errors.add(at, "E_SHAPE", "This is missing.");
            }
        } else if (value instanceof List<?> list) {
            for (int i = 0; i < list.size(); i++) {
                check(at + "/" + i, list.get(i), false);
            }
        } else if (value instanceof Record && !value.getClass().getPackageName().startsWith("keyslate.core")) {
            missing(at, value);
        }
    }

    private static @Nullable Object read(RecordComponent component, Object body) {
        try {
            component.getAccessor().setAccessible(true);
            return component.getAccessor().invoke(body);
        } catch (IllegalAccessException | InvocationTargetException e) {
            throw new IllegalStateException(e);
        }
    }
}
