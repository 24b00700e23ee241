package keyslate.core.picture;

import java.util.List;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.picture.PictureOfTest.Known;
import keyslate.core.picture.PictureOfTest.Planned;
import keyslate.core.reading.Corners;

/** A picture as a phone or a scanner gave it: whoever has it can find the papers in it and measure them, and knows nothing of what lay before the lens. */
public final class TakenPicture {
    private final ColourRaster light;

    /** Of linear light, upright. */
    public TakenPicture(ColourRaster light) {
        this.light = light;
    }

    /** See {@link PaperFinder#in}. */
    public List<Corners> papers() {
        return PaperFinder.in(light);
    }

    /** See {@link PictureOfTest#of}. */
    public PictureOfTest measured(List<Corners> papers, Planned planned, Known known) {
        return PictureOfTest.of(light, papers, planned, known);
    }
}
