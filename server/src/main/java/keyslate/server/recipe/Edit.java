package keyslate.server.recipe;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.Texts;
import org.jspecify.annotations.Nullable;

/** An edit on its way: the fields that cannot be taken, and in words what it changes, for undo. */
final class Edit {
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

    boolean changesNothing() {
        return said.isEmpty();
    }

    /** The label of the edit. */
    String label() {
        return String.join(", ", said);
    }

    /** The given value, or what stands where none is given. */
    static <T> T or(@Nullable T given, T now) {
        return given == null ? now : given;
    }

    /** The id of something in Stores. */
    <T> String known(String pointer, @Nullable String given, String now, Function<String, Optional<T>> find) {
        if (given == null || find.apply(given).isPresent()) {
            return or(given, now);
        }
        errors.add(pointer, "E_SHAPE", "This is not in Stores any more.");
        return now;
    }

    /** A choice by its name. */
    <E extends Enum<E>> E oneOf(String pointer, @Nullable String given, E now) {
        if (given == null) {
            return now;
        }
        E[] all = now.getDeclaringClass().getEnumConstants();
        return Arrays.stream(all)
                .filter(e -> e.name().equals(given))
                .findFirst()
                .orElseGet(() -> {
                    errors.add(
                            pointer,
                            "E_SHAPE",
                            "This choice does not exist; there are "
                                    + Arrays.stream(all).map(Enum::name).collect(Collectors.joining(", ")) + ".");
                    return now;
                });
    }

    /** Text of a length from {@code shortest} to {@code longest}; a change is named by {@code name}. */
    String text(String pointer, @Nullable String given, String now, int shortest, int longest, String name) {
        if (given == null) {
            return now;
        }
        String text = Texts.checked(errors, pointer, given, shortest, longest);
        sayIf(!text.equals(now), name);
        return text;
    }
}
