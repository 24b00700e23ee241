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
            "curve_from_strip",
            "cut_plan",
            "cut_yield",
            "dry_from_wet",
            "film_density",
            "find_segments",
            "integral_density",
            "iso_r_from_strip",
            "lab_jacobian",
            "lamp_layer_shift",
            "mask_calibrate",
            "mask_local_grade",
            "mask_opacity",
            "mask_plan",
            "mask_scale",
            "mask_stops",
            "mm_to_px",
            "offcut_strips",
            "paper_amount",
            "paper_gamma",
            "paper_logE",
            "patch_mean",
            "plan_scale",
            "print_patch",
            "px_to_mm",
            "scan_density",
            "scan_fit",
            "strip_match",
            "target_lab",
            "wet_from_dry",
            "white_xyz");

    private NotBuiltYet() {}
}
