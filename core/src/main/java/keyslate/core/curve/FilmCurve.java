package keyslate.core.curve;

/**
 * A generic monochrome film, from scene light to the density of the negative.
 *
 * <p>DRK-01: x = log10(scene/0.18) + 0.301·exposure stops; D = Dmin + 0.60·[sp(x + 1.30) − sp(x − 2.30)], sp(z) =
 * 0.35·log10(1 + 10^(z/0.35)). Scene light 1 is a white diffuser. Parameters are generic (model, section 5).
 */
public final class FilmCurve {
    /** Density of base and fog. */
    public static final double BASE_AND_FOG = 0.20;

    private static final double MID_GREY = 0.18;
    private static final double GAMMA = 0.60;
    private static final double TOE = -1.30;
    private static final double SHOULDER = 2.30;
    private static final double SOFTNESS = 0.35;
    private static final double DARKEST_SCENE = 1e-6;

    private FilmCurve() {}

    /** Density of the negative for scene light of 0 or more, at an exposure of {@code exposureStops} from normal. */
    public static double density(double scene, double exposureStops) {
        double x = Math.log10(Math.max(DARKEST_SCENE, scene) / MID_GREY) + exposureStops * Math.log10(2);
        return BASE_AND_FOG + GAMMA * (softPlus(x - TOE) - softPlus(x - SHOULDER));
    }

    private static double softPlus(double z) {
        return SOFTNESS * Math.log10(1 + Math.pow(10, z / SOFTNESS));
    }
}
