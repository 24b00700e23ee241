package keyslate.core.medium;

import java.util.List;
import java.util.Optional;
import keyslate.core.colour.Hue;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.darkroom.Negative;
import keyslate.core.darkroom.PrintModel;
import keyslate.core.darkroom.StandInPaper;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;

/** What the kind of a paper decides; a new kind is one more of these. */
public interface Medium {
    /** Its name in the store and in requests. */
    String id();

    /** Whether its paper may lie under a safelight. */
    boolean underSafelight();

    /** The light to begin with when nothing is known. */
    Light plainLight();

    /**
     * The light to begin with by the prints that were kept on one paper, the middle one of each dial; none where the light belongs to the negative and
     * not to the paper, or where none was kept.
     */
    Optional<Light> usual(List<Light> kept);

    /**
     * Reads a light in this paper's notation.
     *
     * @throws keyslate.core.quantity.QuantityException for a light this paper is not printed with
     */
    Light read(String notation);

    /** The factor of time from one light to another that keeps the print as dark: a light tone, or the neutral. */
    double timeFactor(Light from, Light to);

    /**
     * The light for a negative whose tones spread {@code contrast} times as far as those of one that {@code light} was right for (FLM-05); the same
     * where a paper has one contrast, the nearest there is where none reaches.
     */
    Light forContrast(Light light, double contrast);

    /** The light for a negative whose print has that cast in points of a viewing filter where {@code light} was right for another; the same in monochrome. */
    Light forCast(Light light, Hue cast, double points);

    /** Net density of its deepest black. */
    double blackNet();

    /** log10 of the light that gives a net density through a light, but for a constant; net above 0 and below {@link #blackNet}. */
    double logLightFor(double net, Light light);

    /**
     * How much longer a burn takes through {@code burn} than through the base's light, for the same effect on a mid tone.
     *
     * @param change above 0
     */
    double burnFactor(Light base, ExposureTime time, Stops change, Light burn);

    /** The negative of a scene of linear light, 1 = a white diffuser, as this paper sees it. */
    Negative negative(ColourRaster scene);

    PrintModel model();

    /** Its simulated paper. */
    StandInPaper standIn();
}
