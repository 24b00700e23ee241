package keyslate.core.contrast;

import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Stops;

/**
 * Grades from the yellow and magenta of a colour head.
 *
 * <p>CON-13: log blue −= Y·1.00 + M·0.05 and log green −= Y·0.03 + M·1.00 per 100 CC, each 0 to 130 CC of true points (not dial numbers, see
 * COL-09). Generic dichroic filters; a measured table wins.
 */
public final class ColourHead {
    /** Most points of one filter. */
    public static final double MOST = 130;

    static final double YELLOW_BLUE = 1.00;
    static final double YELLOW_GREEN = 0.03;
    static final double MAGENTA_BLUE = 0.05;
    static final double MAGENTA_GREEN = 1.00;

    private final VariableContrastPaper paper;

    public ColourHead(VariableContrastPaper paper) {
        this.paper = paper;
    }

    /**
     * What a setting gives.
     *
     * @param ratio log10(green/blue)
     * @param isoRange R of the paper in this light
     * @param timeFactor factor of time over white light that keeps net 0.6
     */
    public record Light(double ratio, double isoRange, double timeFactor) {}

    /** A setting for a grade, true points, with its factor of time over white light. */
    public record Setting(double yellow, double magenta, double timeFactor) {}

    /** The light of a setting, points 0 to 130 each. */
    public Light lightOf(double yellow, double magenta) {
        Check.notNegative("yellow", yellow, "CC");
        Check.notNegative("magenta", magenta, "CC");
        double y = Check.within("yellow", yellow, 0, MOST, "CC") / 100;
        double m = Check.within("magenta", magenta, 0, MOST, "CC") / 100;
        double blueLoss = y * YELLOW_BLUE + m * MAGENTA_BLUE;
        double greenLoss = y * YELLOW_GREEN + m * MAGENTA_GREEN;
        double ratio = VariableContrastPaper.WHITE_LIGHT_RATIO - greenLoss + blueLoss;
        return new Light(ratio, paper.isoRange(ratio), timeFactor(ratio, blueLoss));
    }

    /** The grade of a light whose R lies on the scale. */
    public Grade gradeOf(Light light) {
        return GradeScale.gradeOf(light.isoRange());
    }

    /** CON-14: one filter alone: yellow for softer than white light, magenta for harder; refused beyond 130 CC. */
    public Setting single(Grade grade) {
        double change = ratioOf(grade) - VariableContrastPaper.WHITE_LIGHT_RATIO;
        double yellow = change >= 0 ? 100 * change / (YELLOW_BLUE - YELLOW_GREEN) : 0;
        double magenta = change >= 0 ? 0 : -100 * change / (MAGENTA_GREEN - MAGENTA_BLUE);
        return setting(yellow, magenta);
    }

    /**
     * CON-15: both filters, so that every grade takes the same time: {@code slower} stops more than white light.
     *
     * @param slower log10 of the factor of time that every grade is to take, 0 to 2
     */
    public Setting dual(Grade grade, double slower) {
        Check.within("log time over white light", slower, 0, 2, "");
        double ratio = ratioOf(grade);
        double change = ratio - VariableContrastPaper.WHITE_LIGHT_RATIO;
        // Blue exposure at net 0.6 in this light, against white: what may be lost of it for the wanted time.
        double blueLoss = slower
                - (paper.logBlueFor(VariableContrastPaper.SPEED_NET, ratio)
                        - paper.logBlueFor(VariableContrastPaper.SPEED_NET, VariableContrastPaper.WHITE_LIGHT_RATIO));
        double greenLoss = blueLoss - change;
        double determinant = YELLOW_BLUE * MAGENTA_GREEN - MAGENTA_BLUE * YELLOW_GREEN;
        double yellow = 100 * (blueLoss * MAGENTA_GREEN - greenLoss * MAGENTA_BLUE) / determinant;
        double magenta = 100 * (greenLoss * YELLOW_BLUE - blueLoss * YELLOW_GREEN) / determinant;
        return setting(yellow, magenta);
    }

    /** CON-24: both filters, together always {@link HeadTable#PAIRED_POINTS}: less is moved on each dial, and time changes less. */
    public Setting paired(Grade grade) {
        double change = ratioOf(grade) - VariableContrastPaper.WHITE_LIGHT_RATIO;
        double softer = YELLOW_BLUE - YELLOW_GREEN;
        double harder = MAGENTA_GREEN - MAGENTA_BLUE;
        double yellow = (100 * change + harder * HeadTable.PAIRED_POINTS) / (softer + harder);
        return setting(yellow, HeadTable.PAIRED_POINTS - yellow);
    }

    private Setting setting(double yellow, double magenta) {
        if (yellow < -1e-9 || magenta < -1e-9 || yellow > MOST || magenta > MOST) {
            throw Check.infeasible("grade", "this head does not reach that grade in this way");
        }
        double y = Math.max(0, yellow);
        double m = Math.max(0, magenta);
        return new Setting(y, m, lightOf(y, m).timeFactor());
    }

    private double ratioOf(Grade grade) {
        FilterLight light = paper.lightAt(grade);
        return light.ratio();
    }

    private double timeFactor(double ratio, double blueLoss) {
        double needed = paper.logBlueFor(VariableContrastPaper.SPEED_NET, ratio)
                - paper.logBlueFor(VariableContrastPaper.SPEED_NET, VariableContrastPaper.WHITE_LIGHT_RATIO);
        return Stops.ofLogExposure(needed + blueLoss).toFactor();
    }
}
