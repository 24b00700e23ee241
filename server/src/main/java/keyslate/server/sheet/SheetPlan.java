package keyslate.server.sheet;

import java.util.List;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.Part;

/**
 * A sheet that could be begun.
 *
 * @param pieces the part of the frame on each of its pieces
 * @param steps its script
 * @param paperShare how much of a sheet of the box it takes
 */
public record SheetPlan(List<Part> pieces, List<ExposureStep> steps, double paperShare) {
    public SheetPlan {
        pieces = List.copyOf(pieces);
        steps = List.copyOf(steps);
    }

    /** A sheet of one piece. */
    public SheetPlan(Part view, List<ExposureStep> steps, double paperShare) {
        this(List.of(view), steps, paperShare);
    }
}
