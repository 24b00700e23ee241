package keyslate.server.slate;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.server.web.FieldErrors;
import org.jspecify.annotations.Nullable;

/** An edit on its way: the fields that cannot be taken, and in words what it changes, for undo. */
final class Edit {
    private static final double SHORTEST_SIDE_MM = 20;
    private static final double LONGEST_SIDE_MM = 2000;

    private final FieldErrors errors = new FieldErrors();
    private final List<String> said = new ArrayList<>();

    FieldErrors errors() {
        return errors;
    }

    /** Names a change for the label of the edit. */
    void say(String words) {
        said.add(words);
    }

    /** Names a change if there is one. */
    void sayIf(boolean changed, String words) {
        if (changed) {
            said.add(words);
        }
    }

    /** The label of the edit; {@link RecipeEditor#NO_CHANGE} when nothing was said. */
    String label() {
        return said.isEmpty() ? RecipeEditor.NO_CHANGE : String.join(", ", said);
    }

    /** The given value, or what stands where none is given. */
    static double or(@Nullable Double given, double now) {
        return given == null ? now : given;
    }

    /** A side of the sheet, 20 to 2000 mm. */
    double side(String pointer, @Nullable Double given, double now, String name) {
        return errors.check(
                pointer, now, () -> Check.within(name, or(given, now), SHORTEST_SIDE_MM, LONGEST_SIDE_MM, "mm"));
    }

    /** A time the timer can be set to, from the user's own figures. */
    double set(String pointer, double now, Supplier<ExposureTime> time) {
        return errors.check(
                pointer,
                now,
                () -> TimerSteps.tenths().nearest(time.get()).time().inSeconds());
    }

    /** The id of something in Stores. */
    <T> String known(String pointer, @Nullable String given, String now, Function<String, Optional<T>> find) {
        if (given == null || find.apply(given).isPresent()) {
            return given == null ? now : given;
        }
        errors.add(pointer, "E_SHAPE", "This is not in Stores any more.");
        return now;
    }

    String oneOf(String pointer, @Nullable String given, String now, Set<String> allowed) {
        if (given == null || allowed.contains(given)) {
            return given == null ? now : given;
        }
        errors.add(pointer, "E_SHAPE", "This choice does not exist.");
        return now;
    }

    /** Stripped text of a length from {@code shortest} to {@code longest}; a change is named by {@code name}. */
    String text(String pointer, @Nullable String given, String now, int shortest, int longest, String name) {
        if (given == null) {
            return now;
        }
        String stripped = given.strip();
        if (stripped.length() < shortest || stripped.length() > longest) {
            errors.add(pointer, "E_SHAPE", "Write " + shortest + " to " + longest + " characters here.");
            return now;
        }
        sayIf(!stripped.equals(now), name);
        return stripped;
    }
}
