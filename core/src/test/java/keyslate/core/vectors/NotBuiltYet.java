package keyslate.core.vectors;

import java.util.List;

/** The functions of the model that have no code yet. */
final class NotBuiltYet {
    static final List<String> FUNCTIONS = List.of();

    private NotBuiltYet() {}
}
