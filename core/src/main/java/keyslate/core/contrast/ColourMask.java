package keyslate.core.contrast;

import java.util.Optional;
import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Stops;

/**
 * What a yellow or magenta patch of a clear-film mask makes of the grade under it.
 *
 * <p>CON-17: blue and green lose by the coefficients of CON-13 times the patch's density; r, R and grade follow, and the stops lost at net 0.6.
 * 0.30 of yellow on grade 2 is grade 1.07 and costs 0.21 stop.
 *
 * @param isoRange R under the mask
 * @param grade the grade; none when R lies beyond the ends of the scale (40 to 170)
 * @param lost light lost at net 0.6
 */
public record ColourMask(double isoRange, Optional<Grade> grade, Stops lost) {
    /** Densities of yellow and magenta, 0 or more. */
    public static ColourMask over(VariableContrastPaper paper, Grade grade, double yellow, double magenta) {
        Check.notNegative("yellow density", yellow, "");
        Check.notNegative("magenta density", magenta, "");
        FilterLight light = paper.lightAt(grade);
        double blueLoss = yellow * ColourHead.YELLOW_BLUE + magenta * ColourHead.MAGENTA_BLUE;
        double greenLoss = yellow * ColourHead.YELLOW_GREEN + magenta * ColourHead.MAGENTA_GREEN;
        double ratio = light.ratio() - greenLoss + blueLoss;
        double range = paper.isoRange(ratio);
        double needed = paper.logBlueFor(VariableContrastPaper.SPEED_NET, ratio)
                - paper.logBlueFor(VariableContrastPaper.SPEED_NET, light.ratio());
        return new ColourMask(
                range,
                GradeScale.reaches(range) ? Optional.of(GradeScale.gradeOf(range)) : Optional.empty(),
                Stops.ofLogExposure(needed + blueLoss));
    }
}
