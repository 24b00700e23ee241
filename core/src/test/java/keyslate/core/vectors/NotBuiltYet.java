package keyslate.core.vectors;

import java.util.List;

/** The functions of the model that have no code yet. */
final class NotBuiltYet {
    static final List<String> FUNCTIONS =
            List.of("correct_jacobian", "correct_secant", "cut_plan", "lab_jacobian", "plan_scale");

    private NotBuiltYet() {}
}
