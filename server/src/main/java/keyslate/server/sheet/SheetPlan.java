package keyslate.server.sheet;

import java.util.List;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.Part;

/**
 * A sheet that could be begun.
 *
 * @param view the part of the frame on its only piece
 * @param steps its script
 * @param paperShare how much of a sheet of the box it takes
 */
public record SheetPlan(Part view, List<ExposureStep> steps, double paperShare) {
    public SheetPlan {
        steps = List.copyOf(steps);
    }
}
