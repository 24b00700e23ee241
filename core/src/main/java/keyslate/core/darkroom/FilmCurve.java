package keyslate.core.darkroom;

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

    /** The negative of a whole scene: a raster of densities. */
    public static Raster negativeOf(Raster scene, double exposureStops) {
        float[] from = scene.samples();
        float[] out = new float[from.length];
        Table table = new Table(exposureStops);
        for (int i = 0; i < from.length; i++) {
            out[i] = table.density(from[i]);
        }
        return Raster.over(scene.width(), scene.height(), out);
    }

    private static double softPlus(double z) {
        return SOFTNESS * Math.log10(1 + Math.pow(10, z / SOFTNESS));
    }

    /** The curve on a grid of square roots, fine enough (4096 steps) that no step exceeds 0.003 D above scene 0.0005. */
    private static final class Table {
        private static final int STEPS = 4096;
        private static final double WHITEST_SCENE = 4.0;
        private final float[] densities = new float[STEPS + 2];

        Table(double exposureStops) {
            for (int i = 0; i < densities.length; i++) {
                double root = (double) i / STEPS;
                densities[i] = (float) FilmCurve.density(root * root * WHITEST_SCENE, exposureStops);
            }
        }

        float density(float scene) {
            double place = Math.sqrt(Math.max(0, Math.min(1, scene / WHITEST_SCENE))) * STEPS;
            int i = (int) place;
            float w = (float) (place - i);
            return densities[i] + w * (densities[i + 1] - densities[i]);
        }
    }
}
