package keyslate.core.trial.printer;

import java.util.List;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.picture.TakenPicture;
import keyslate.core.trial.printer.TestTable.Given;

/** A darkroom whose printer takes a picture of a test and lets it be read. */
public interface PictureTable {
    /**
     * The picture of a same-spot strip with a white rim, patches from left to right: the upper half of each is the brightest tone that must keep detail, the lower half the tone that
     * should be the deepest.
     */
    TakenPicture picture(GradeFilter filter, List<Given> test);
}
