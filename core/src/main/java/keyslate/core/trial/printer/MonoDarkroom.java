package keyslate.core.trial.printer;

import keyslate.core.contrast.GradeFilter;

/**
 * What a printer in monochrome sees on a strip. Places are counted in patches from the first (0), as a person sees
 * them, to half a patch; under −0.5 or above the last by 0.5 the tone is on no patch.
 */
public interface MonoDarkroom {
    /** Where the brightest tone that must keep detail is just not paper white. */
    double whites(GradeFilter filter, StripOnPaper strip);

    /** Where the tone that should be the deepest is black for the first time. */
    double blacks(GradeFilter filter, StripOnPaper strip);

    /** Where the tone of an area that wants local work is as pale as the whites should be. */
    double area(GradeFilter filter, StripOnPaper strip);
}
