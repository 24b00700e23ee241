package keyslate.core.colour;

/**
 * A way to tell a cast, with what is believed of it before anything is known (95 % limits are twice these figures). Choice of this program, COL-28. All are measured in
 * {@code ./slate trial}, whose darkrooms do not have these very figures.
 */
public enum CastWay {
    /** The filter of a kit through which grey is grey: kits differ by more than two in what their numbers mean (COL-06). */
    VIEWING_FILTER(new Trust(2, 0.35, 0.2, 0.15), new Errors(3, 0.15), 1),
    /** Against six casts in three strengths made from this picture: the model's own scale, but a coarse choice. */
    BY_NAME(new Trust(2, 0.4, 0.1, 0.05), new Errors(3, 0.1), 1),
    /** Pieces side by side: the place of neutral among their packs, in points of the pack; nothing to learn but the eye. */
    PIECES(new Trust(1, 0.01, 0.01, 0.01), new Errors(1.2, 0), 0.5),
    /** A scan or picture of a tone that is neutral, brought back through the paper's curve: in points of the pack. */
    PICTURE(new Trust(1, 0.12, 0.1, 0.05), new Errors(0.5, 0.03), 0),
    /** A meter or analyser against what it was set to for a neutral: in points of the pack. */
    METER(new Trust(1, 0.1, 0.05, 0.05), new Errors(1.5, 0.05), 0),
    /** No look at all: what own finals, a data sheet or a guess put the pack at, in points of the pack, as far open as they spread. */
    START(new Trust(1, 0.01, 0.01, 0.01), new Errors(0.1, 0), 0);

    /** How far a first pack may be off that nobody printed with before, points, one standard deviation. */
    public static final double GUESSED_POINTS = 20;

    private final Trust trust;
    private final Errors errors;
    private final double eye;

    CastWay(Trust trust, Errors errors, double eye) {
        this.trust = trust;
        this.errors = errors;
        this.eye = eye;
    }

    /**
     * What one point of the pack shows as.
     *
     * @param shown points by this way for a point of the pack: 1/k of COL-06
     * @param doubt how well that is believed, share of it
     * @param apart how alike magenta and yellow are, share
     * @param side what is seen of the other colour, share
     */
    public record Trust(double shown, double doubt, double apart, double side) {}

    /**
     * The error of one look.
     *
     * @param points by this way, one standard deviation
     * @param share of the cast
     */
    public record Errors(double points, double share) {}

    public Trust trust() {
        return trust;
    }

    public Errors errors() {
        return errors;
    }

    /** What a steady error of the eye, in points of a viewing filter, does to a look; 0 for an instrument. */
    public double eyeShare() {
        return eye;
    }
}
