package keyslate.core.darkroom;

import java.util.Arrays;
import keyslate.core.colour.ColourFilm;
import keyslate.core.curve.FilmCurve;

/**
 * A scan of a negative turned into the scene it was taken of, so that it can be looked at and printed like a positive.
 *
 * <p>DRK-09: the clearest place of the scan is film base; density over base D = log10(base / light), for each channel of a colour
 * film, which takes its mask out; the scene is what the film curve (DRK-01, COL-11) gives that density for. A scene that would be
 * brighter than can be kept is darkened as a whole, since scanners set their own exposure. Generic films; a scanner's channels are
 * taken for the paper's layers.
 */
public final class NegativeScan {
    private static final double CLEAREST = 0.998;
    private static final double BRIGHTEST = 0.995;
    private static final double DARKEST_LIGHT = 1e-5;
    private static final double BRIGHTEST_SCENE = 2;
    private static final double LOWEST_LOG = -4;
    private static final double HIGHEST_LOG = 2;
    private static final int STEPS = 3000;

    private static final double EDGE = 0.02;
    private static final double AS_BRIGHT = 0.97;
    private static final double MASK_RED_OVER_BLUE = 1.8;
    private static final double MASK_RED_OVER_GREEN = 1.2;

    private NegativeScan() {}

    /** The scene of a negative whose scan transmitted or threw back so much light; linear, 1 = all of it. */
    public static ColourRaster toScene(ColourRaster scan, boolean isColourFilm) {
        return isColourFilm ? colour(scan) : mono(scan.luminance());
    }

    /**
     * Whether a picture of linear light looks like a scan of a negative: an orange mask over its brightest tones, or all round
     * it an even edge that is as bright as anything in it. A guess, to be shown and changed.
     */
    public static boolean looksNegative(ColourRaster scan, boolean isColourFilm) {
        if (isColourFilm) {
            double red = percentile(scan.red().samples(), CLEAREST);
            double green = percentile(scan.green().samples(), CLEAREST);
            double blue = percentile(scan.blue().samples(), CLEAREST);
            return red > MASK_RED_OVER_BLUE * blue && red > MASK_RED_OVER_GREEN * green;
        }
        Raster grey = scan.luminance();
        return medianOfEdge(grey) > percentile(grey.samples(), AS_BRIGHT) * AS_BRIGHT;
    }

    private static double medianOfEdge(Raster grey) {
        int across = Math.max(1, (int) (EDGE * grey.width()));
        int down = Math.max(1, (int) (EDGE * grey.height()));
        float[] all = grey.samples();
        float[] edge = new float[all.length];
        int count = 0;
        for (int y = 0; y < grey.height(); y++) {
            for (int x = 0; x < grey.width(); x++) {
                boolean atSide = x < across || x >= grey.width() - across;
                if (atSide || y < down || y >= grey.height() - down) {
                    edge[count++] = all[y * grey.width() + x];
                }
            }
        }
        return percentile(Arrays.copyOf(edge, count), 0.5);
    }

    private static ColourRaster mono(Raster scan) {
        float[] light = scan.samples();
        double base = Math.max(DARKEST_LIGHT, percentile(light, CLEAREST));
        double[] logs = new double[light.length];
        Inverse inverse = new Inverse();
        for (int i = 0; i < light.length; i++) {
            logs[i] = inverse.log(over(base, light[i]));
        }
        Raster scene = Raster.over(scan.width(), scan.height(), lit(logs, shift(logs)));
        return new ColourRaster(scene, scene, scene);
    }

    private static ColourRaster colour(ColourRaster scan) {
        Raster[] planes = {scan.red(), scan.green(), scan.blue()};
        double[] base = new double[3];
        for (int c = 0; c < 3; c++) {
            base[c] = Math.max(DARKEST_LIGHT, percentile(planes[c].samples(), CLEAREST));
        }
        double[][] unmask = ColourFilm.unmasking();
        int pixels = scan.width() * scan.height();
        double[][] logs = new double[3][pixels];
        Inverse inverse = new Inverse();
        for (int i = 0; i < pixels; i++) {
            double r = over(base[0], planes[0].samples()[i]);
            double g = over(base[1], planes[1].samples()[i]);
            double b = over(base[2], planes[2].samples()[i]);
            for (int l = 0; l < 3; l++) {
                logs[l][i] = inverse.log(unmask[l][0] * r + unmask[l][1] * g + unmask[l][2] * b);
            }
        }
        double shift = Math.max(shift(logs[0]), Math.max(shift(logs[1]), shift(logs[2])));
        return new ColourRaster(
                Raster.over(scan.width(), scan.height(), lit(logs[0], shift)),
                Raster.over(scan.width(), scan.height(), lit(logs[1], shift)),
                Raster.over(scan.width(), scan.height(), lit(logs[2], shift)));
    }

    private static double over(double base, float light) {
        return Math.log10(base / Math.max(DARKEST_LIGHT, light));
    }

    /** By how much a scene has to be darkened, in log10, so that its brightest tones can be kept. */
    private static double shift(double[] logs) {
        double[] sorted = logs.clone();
        Arrays.sort(sorted);
        double brightest = sorted[(int) (BRIGHTEST * (sorted.length - 1))];
        return Math.max(0, brightest - Math.log10(BRIGHTEST_SCENE));
    }

    private static float[] lit(double[] logs, double shift) {
        float[] light = new float[logs.length];
        for (int i = 0; i < light.length; i++) {
            light[i] = (float) Math.pow(10, logs[i] - shift);
        }
        return light;
    }

    private static double percentile(float[] samples, double share) {
        float[] sorted = samples.clone();
        Arrays.sort(sorted);
        return sorted[(int) (share * (sorted.length - 1))];
    }

    /** log10 of the scene light that a density over base comes from, on a table of the film curve. */
    private static final class Inverse {
        private final double[] densities = new double[STEPS + 1];

        Inverse() {
            for (int i = 0; i <= STEPS; i++) {
                densities[i] = FilmCurve.density(Math.pow(10, logAt(i)), 0) - FilmCurve.BASE_AND_FOG;
            }
        }

        double log(double density) {
            if (density <= densities[0]) {
                return LOWEST_LOG;
            }
            if (density >= densities[STEPS]) {
                return HIGHEST_LOG;
            }
            int found = Arrays.binarySearch(densities, density);
            if (found >= 0) {
                return logAt(found);
            }
            int upper = -found - 1;
            double share = (density - densities[upper - 1]) / (densities[upper] - densities[upper - 1]);
            return logAt(upper - 1 + share);
        }

        private static double logAt(double step) {
            return LOWEST_LOG + (HIGHEST_LOG - LOWEST_LOG) * step / STEPS;
        }
    }
}
