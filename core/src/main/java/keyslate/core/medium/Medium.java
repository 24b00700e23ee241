package keyslate.core.medium;

import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import keyslate.core.colour.Hue;
import keyslate.core.colour.Layers;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.darkroom.Look;
import keyslate.core.darkroom.Negative;
import keyslate.core.darkroom.PrintModel;
import keyslate.core.darkroom.StandInPaper;
import keyslate.core.film.FrameNeed;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Stops;
import keyslate.core.script.BaseExposure;

/** What the kind of a paper decides; a new kind is one more of these. */
public interface Medium {
    /** Its name in the store and in requests. */
    String id();

    /** Whether its paper may lie under a safelight. */
    boolean underSafelight();

    /** What its bare paper gives in the scan of a scanner that is set to it: linear red, green and blue. */
    Layers whiteInScan();

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

    /** A base exposure through one light: itself where it is of one part, else what comes nearest to its parts together. */
    BaseExposure.Part asOne(BaseExposure base);

    /** The factor of time from one light to another that keeps the print as dark: a light tone, or the neutral. */
    double timeFactor(Light from, Light to);

    /**
     * The light for a negative whose tones spread {@code contrast} times as far as those of one that {@code light} was right for (FLM-05); the same
     * where a paper has one contrast, the nearest there is where none reaches.
     */
    Light forContrast(Light light, double contrast);

    /** The light for a negative whose print has that cast in points of a viewing filter where {@code light} was right for another; the same in monochrome. */
    Light forCast(Light light, Hue cast, double points);

    /** Lights worth seeing beside one, itself among them, where nothing else is known: a grade softer and harder, or a step to either side of each dial. */
    List<Light> beside(Light light);

    /** The light between two, {@code weight} of the way from one to the other: the pack between them to whole points, or the nearest filter. */
    Light between(Light one, Light other, double weight);

    /** The nearest light that can be set under its head: whole points of a pack, or what gels make; itself in monochrome. */
    default Light settable(Light light) {
        return light;
    }

    /**
     * Refuses a light that its head cannot be set to.
     *
     * @throws keyslate.core.quantity.QuantityException with the way out in its message
     */
    default void checkReach(Light light) {}

    /** A light with so much more or less of its filters, to whole points; the same in monochrome. */
    Light shifted(Light light, FilterShift points);

    /**
     * What a frame needs in a print beside another one, by the scan of the proof that shows both; none where one of them is nearly all bare or all black
     * (FLM-06, FLM-08).
     *
     * @param frame the scan of the frame alone; {@code other} of the other one
     * @param proof the whole scan: in monochrome the film's edge in it is the paper's black
     * @param light the proof's
     */
    Optional<FrameNeed> needByScan(Look frame, Look other, Look proof, Light light);

    /**
     * How much longer a burn takes through {@code burn} than through the base's light, for the same effect on a mid tone.
     *
     * @param change above 0
     */
    double burnFactor(Light base, ExposureTime time, Stops change, Light burn);

    /**
     * What such a burn gives a light tone, a middle and a shadow (net 0.10, 0.60, 1.54), stops of the base's light each; empty where a paper has but one contrast.
     *
     * @param change above 0, what it is to give the middle
     */
    default List<Stops> burnAtTones(Light base, ExposureTime time, Stops change, Light burn) {
        return List.of();
    }

    /**
     * The net density of a neutral tone over log10 of the light it gets: the paper's curve through a light. Where its zero lies does not matter.
     */
    DoubleUnaryOperator curve(Light light);

    /** The negative of a scene of linear light, 1 = a white diffuser, as this paper sees it. */
    Negative negative(ColourRaster scene);

    PrintModel model();

    /** Its simulated paper. */
    StandInPaper standIn();
}
