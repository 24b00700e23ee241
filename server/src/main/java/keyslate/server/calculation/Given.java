package keyslate.server.calculation;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import keyslate.core.quantity.Check;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.Refusals;
import org.jspecify.annotations.Nullable;

/**
 * What a calculation asks of its fields beyond what each is for itself, which {@link keyslate.server.web.Quantities} has
 * read: quantities that two fields make together, and how many there may be. All that is wrong is said by {@link #complete}.
 */
final class Given {
    private static final int LONGEST_LIST = 100;

    private final FieldErrors errors = new FieldErrors();

    /** Refuses when any field was wrong. */
    void complete() {
        errors.throwIfAny();
    }

    /** Any quantity; {@code make} checks it. */
    <T> T of(String pointer, Supplier<T> make) {
        return errors.check(pointer, null, make);
    }

    /** Something a reader of the answer should know, where it holds. */
    static void noteIf(boolean holds, String note) {
        if (holds) {
            Refusals.current().note(note);
        }
    }

    /** Any finite number. */
    double number(String pointer, double number) {
        return errors.check(pointer, 0.0, () -> Check.finite("number", number));
    }

    /** A number from {@code low} to {@code high}. */
    double within(String pointer, double number, double low, double high) {
        return errors.check(pointer, low, () -> Check.within("number", number, low, high, ""));
    }

    /** A list of numbers as they are; {@code most} entries at most. */
    double[] numbers(String pointer, List<Double> given, int most) {
        return each(pointer, given, most, (at, n) -> Check.finite("number", n)).stream()
                .mapToDouble(n -> n == null ? 0 : n)
                .toArray();
    }

    /** A list as it is, up to {@value #LONGEST_LIST} entries. */
    <T> List<T> list(String pointer, List<T> given) {
        return each(pointer, given, (at, entry) -> entry);
    }

    /** Makes a quantity from an entry of a list. */
    interface Entry<S, T> {
        T of(String pointer, S given);
    }

    <S, T> List<T> each(String pointer, List<S> given, Entry<S, T> make) {
        return each(pointer, given, LONGEST_LIST, make);
    }

    /** As {@link #each}, where there may be none. */
    <S, T> List<T> eachOrNone(String pointer, @Nullable List<S> given, Entry<S, T> make) {
        return given == null || given.isEmpty() ? List.of() : each(pointer, given, make);
    }

    private <S, T> List<T> each(String pointer, List<S> given, int most, Entry<S, T> make) {
        List<T> made = new ArrayList<>();
        if (given.isEmpty() || given.size() > most) {
            errors.add(pointer, "E_SHAPE", "Give 1 to " + most + " of these, not " + given.size() + ".");
            return made;
        }
        for (int i = 0; i < given.size(); i++) {
            String at = pointer + "/" + i;
            S entry = given.get(i);
            made.add(of(at, () -> make.of(at, entry)));
        }
        return made;
    }

    void refuse(String pointer, String code, String message) {
        errors.add(pointer, code, message);
    }

    /** Says that a field is missing which is asked for only where another is not given; true when it is there. */
    boolean required(String pointer, @Nullable Object given) {
        if (given == null) {
            errors.add(pointer, "E_SHAPE", "This is missing.");
        }
        return given != null;
    }
}
