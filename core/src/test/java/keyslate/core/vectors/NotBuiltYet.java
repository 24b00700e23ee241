package keyslate.core.vectors;

import java.util.List;

/** The functions of the model that have no code yet. */
final class NotBuiltYet {
    static final List<String> FUNCTIONS = List.of(
            "correct_jacobian",
            "correct_lab",
            "correct_secant",
            "cut_plan",
            "cut_yield",
            "lab_jacobian",
            "offcut_strips",
            "plan_scale");

    private NotBuiltYet() {}
}
