package keyslate.core.darkroom;

import keyslate.core.curve.FilmCurve;

/** A monochrome negative of a whole scene: DRK-01 for every pixel, by a table over the square root of the light. */
public final class MonoNegative {
    private MonoNegative() {}

    /** Densities of a scene of linear light, 1 = a white diffuser, at so many stops off the normal exposure. */
    public static Raster of(Raster scene, double exposureStops) {
        float[] from = scene.samples();
        float[] out = new float[from.length];
        Table table = new Table(exposureStops);
        for (int i = 0; i < from.length; i++) {
            out[i] = table.density(from[i]);
        }
        return Raster.over(scene.width(), scene.height(), out);
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
