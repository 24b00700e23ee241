package keyslate.core.darkroom;

import keyslate.core.colour.ColourFilm;
import keyslate.core.quantity.Stops;

/** A colour negative of a whole scene: COL-11 for every pixel, by a table over the square root of the light. */
public final class ColourNegative {
    private static final int STEPS = 4096;
    private static final float WHITEST_SCENE = 4;
    private static final double DARKEST_SCENE = 1e-6;

    private ColourNegative() {}

    /** Printing densities of a scene of linear light, 1 = a white diffuser, at an exposure off the normal one. */
    public static ColourRaster of(ColourRaster scene, Stops exposure) {
        float[] table = table(exposure);
        int pixels = scene.width() * scene.height();
        float[][] density = new float[3][pixels];
        float[][] masking = ColourFilm.masking();
        float[] base = ColourFilm.base();
        float[] red = scene.red().samples();
        float[] green = scene.green().samples();
        float[] blue = scene.blue().samples();
        for (int i = 0; i < pixels; i++) {
            float r = read(table, red[i]);
            float g = read(table, green[i]);
            float b = read(table, blue[i]);
            for (int l = 0; l < 3; l++) {
                density[l][i] = base[l] + masking[l][0] * r + masking[l][1] * g + masking[l][2] * b;
            }
        }
        return new ColourRaster(
                Raster.over(scene.width(), scene.height(), density[0]),
                Raster.over(scene.width(), scene.height(), density[1]),
                Raster.over(scene.width(), scene.height(), density[2]));
    }

    private static float[] table(Stops exposure) {
        float[] table = new float[STEPS + 2];
        for (int i = 0; i < table.length; i++) {
            double root = (double) i / STEPS;
            table[i] = (float)
                    ColourFilm.analyticalDensity(Math.max(DARKEST_SCENE, root * root * WHITEST_SCENE), exposure);
        }
        return table;
    }

    private static float read(float[] table, float light) {
        float share = light <= 0 ? 0 : light >= WHITEST_SCENE ? 1 : light / WHITEST_SCENE;
        float place = (float) Math.sqrt(share) * STEPS;
        int i = (int) place;
        return table[i] + (place - i) * (table[i + 1] - table[i]);
    }
}
