package keyslate.core.colour;

import keyslate.core.colour.DyeImage.Screen;
import keyslate.core.numeric.Linear3;

/** XYZ under any white to sRGB: Bradford adaptation to D65, IEC 61966-2-1. */
final class ScreenColour {
    private static final double[][] BRADFORD = {
        {0.8951, 0.2664, -0.1614}, {-0.7502, 1.7135, 0.0367}, {0.0389, -0.0685, 1.0296}
    };
    private static final double[][] BRADFORD_INVERSE = {
        {0.9869929, -0.1470543, 0.1599627}, {0.4323053, 0.5183603, 0.0492912}, {-0.0085287, 0.0400428, 0.9684867}
    };
    private static final double[] D65 = {0.95047, 1.0, 1.08883};
    private static final double[][] TO_RGB = {
        {3.2404542, -1.5371385, -0.4985314}, {-0.9692660, 1.8760108, 0.0415560}, {0.0556434, -0.2040259, 1.0572252}
    };
    private static final double CLIP_GUARD = 1e-6;

    private ScreenColour() {}

    static Screen of(double[] xyz, double[] white) {
        double[] cone = times(BRADFORD, xyz);
        double[] from = times(BRADFORD, white);
        double[] to = times(BRADFORD, D65);
        for (int i = 0; i < 3; i++) {
            cone[i] *= to[i] / from[i];
        }
        double[] linear = times(TO_RGB, times(BRADFORD_INVERSE, cone));
        boolean clipped = false;
        double[] coded = new double[3];
        for (int i = 0; i < 3; i++) {
            clipped |= linear[i] < -CLIP_GUARD || linear[i] > 1 + CLIP_GUARD;
            double c = Math.max(0, Math.min(1, linear[i]));
            coded[i] = c <= 0.0031308 ? 12.92 * c : 1.055 * Math.pow(c, 1 / 2.4) - 0.055;
        }
        return new Screen(coded[0], coded[1], coded[2], clipped);
    }

    /** The inverse for a colour that was not clipped: linear sRGB, 1 = white of the screen, to XYZ under a white. */
    static double[] toXyz(double[] linear, double[] white) {
        double[] cone = times(BRADFORD, Linear3.solve(TO_RGB, linear));
        double[] from = times(BRADFORD, D65);
        double[] to = times(BRADFORD, white);
        for (int i = 0; i < 3; i++) {
            cone[i] *= to[i] / from[i];
        }
        return times(BRADFORD_INVERSE, cone);
    }

    private static double[] times(double[][] m, double[] v) {
        double[] out = new double[3];
        for (int row = 0; row < 3; row++) {
            out[row] = m[row][0] * v[0] + m[row][1] * v[1] + m[row][2] * v[2];
        }
        return out;
    }
}
