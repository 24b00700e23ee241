package keyslate.core.trial.printer;

import java.util.List;
import keyslate.core.contrast.GradeFilter;

/** What a printer sees of a test in monochrome. Places are counted in patches from the first (0), to half a patch; off the test they lie outside. */
public interface TestTable {
    /**
     * What a patch was given.
     *
     * @param setSeconds by the timer, all exposures together
     * @param lampOns how many there were
     * @param openings stops by which the lens was closed from its reference mark, by the marks
     * @param share of the light that a wedge lets through, 1 without one
     */
    record Given(double setSeconds, int lampOns, double openings, double share) {}

    /** What a patch got through one filter of several. */
    record Part(GradeFilter filter, Given given) {}

    /** As {@link #whites}, of patches on which the light of several filters lies. */
    double whitesOfBoth(List<List<Part>> test);

    /** As {@link #blacks}, alike. */
    double blacksOfBoth(List<List<Part>> test);

    /** Where the brightest tone that must keep detail is just not paper white. */
    double whites(GradeFilter filter, List<Given> test);

    /** Where the tone that should be the deepest is black for the first time. */
    double blacks(GradeFilter filter, List<Given> test);

    /** How much too dark a whole sheet is, stops. */
    double tooDark(GradeFilter filter, Given sheet);
}
