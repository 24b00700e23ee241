package keyslate.server.calculation;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.Stops;
import keyslate.server.calculation.CalculationViews.Points;
import keyslate.server.web.FieldErrors;
import org.jspecify.annotations.Nullable;

/**
 * The fields of a request as quantities. What cannot be one is collected, so that all of it is said at once by {@link
 * #complete}; until then such a field is null.
 */
final class Given {
    private static final int LONGEST_LIST = 100;

    private final FieldErrors errors = new FieldErrors();
    private final Understood.Words words = Understood.words();

    /** Refuses when any field was wrong. */
    void complete() {
        errors.throwIfAny();
    }

    /** Any quantity; {@code make} checks it. */
    <T> T of(String pointer, Supplier<T> make) {
        T made = errors.check(pointer, null, make);
        words.put(pointer, made);
        return made;
    }

    /** Something a reader of the answer should know, where it holds. */
    void noteIf(boolean holds, String note) {
        if (holds) {
            words.note(note);
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

    ExposureTime time(String pointer, double seconds) {
        return of(pointer, () -> ExposureTime.ofSeconds(seconds));
    }

    Stops stops(String pointer, double stops) {
        return of(pointer, () -> Stops.of(stops));
    }

    FNumber fNumber(String pointer, double number) {
        return of(pointer, () -> FNumber.of(number));
    }

    Magnification magnification(String pointer, double times) {
        return of(pointer, () -> Magnification.of(times));
    }

    /** A length above 0, millimetres. */
    Length length(String pointer, double mm) {
        return of(pointer, () -> Length.ofPositiveMm("length", mm));
    }

    /** A place on the scale of grades, −1 (00) to 5. */
    Grade grade(String pointer, double onScale) {
        return of(pointer, () -> Grade.of(onScale));
    }

    GradeFilter filter(String pointer, String label) {
        return required(pointer, label) ? of(pointer, () -> GradeFilter.ofLabel(label)) : null;
    }

    FilterPack pack(String pointer, Points points) {
        return required(pointer, points)
                ? of(pointer, () -> FilterPack.of(points.cyan(), points.magenta(), points.yellow()))
                : null;
    }

    FilterShift shift(String pointer, Points points) {
        return required(pointer, points)
                ? of(pointer, () -> FilterShift.of(points.cyan(), points.magenta(), points.yellow()))
                : null;
    }

    /** A list of numbers as they are; {@code most} entries at most. */
    double[] numbers(String pointer, List<Double> given, int most) {
        return each(pointer, given, most, (at, n) -> Check.finite("number", n)).stream()
                .mapToDouble(n -> n == null ? 0 : n)
                .toArray();
    }

    List<ExposureTime> times(String pointer, List<Double> seconds) {
        return each(pointer, seconds, (at, s) -> ExposureTime.ofSeconds(s));
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
        if (!required(pointer, given)) {
            return made;
        }
        if (given.isEmpty() || given.size() > most) {
            errors.add(pointer, "E_SHAPE", "Give 1 to " + most + " of these, not " + given.size() + ".");
            return made;
        }
        for (int i = 0; i < given.size(); i++) {
            String at = pointer + "/" + i;
            S entry = given.get(i);
            made.add(required(at, entry) ? of(at, () -> make.of(at, entry)) : null);
        }
        return made;
    }

    void refuse(String pointer, String code, String message) {
        errors.add(pointer, code, message);
    }

    /** Says that a field is missing; true when it is there. */
    boolean required(String pointer, @Nullable Object given) {
        if (given == null) {
            errors.add(pointer, "E_SHAPE", "This is missing.");
        }
        return given != null;
    }
}
