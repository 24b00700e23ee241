package keyslate.core.vectors;

import java.util.List;

/** The functions of the model that have no code yet. */
final class NotBuiltYet {
    static final List<String> FUNCTIONS = List.of(
            "amounts_from_density",
            "amounts_from_lab",
            "balance",
            "cast_gain",
            "cast_weight",
            "correct_density",
            "correct_jacobian",
            "correct_lab",
            "correct_secant",
            "cut_plan",
            "cut_yield",
            "dry_from_wet",
            "film_density",
            "integral_density",
            "lab_jacobian",
            "lamp_layer_shift",
            "offcut_strips",
            "paper_amount",
            "paper_gamma",
            "paper_logE",
            "plan_scale",
            "print_patch",
            "target_lab",
            "wet_from_dry",
            "white_xyz");

    private NotBuiltYet() {}
}
