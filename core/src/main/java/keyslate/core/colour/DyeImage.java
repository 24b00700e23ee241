package keyslate.core.colour;

import keyslate.core.numeric.Linear3;
import keyslate.core.quantity.Check;

/**
 * A patch of a colour print by its amounts of cyan, magenta and yellow dye.
 *
 * <p>COL-18: reflectance 10^−(0.06 + c·C + m·M + y·Y) with generic dye curves; unit amounts are neutral with a visual density of 1 above the base.
 *
 * @param amounts cyan (red layer), magenta (green), yellow (blue)
 */
public record DyeImage(Layers amounts) {
    private static final double BASE = 0.06;
    private static final double[][] DENSITIES = {
        {1.0550269961, 0.0495096212715, 0.000357067239869},
        {0.217931092372, 0.76786778027, 0.0920002104428},
        {0.125282933038, 0.166350899589, 0.790295673727}
    };
    private static final double[][] DYES = dyes();
    private static final double DERIVATIVE_STEP = 1e-5;
    private static final double LARGEST_STEP = 0.5;
    private static final int MOST_STEPS = 60;
    private static final double CONVERGED = 1e-10;

    /** What the eye sees: CIE L*a*b* against the white of the light, and visual density −log10 Y. */
    public record Appearance(double lightness, double a, double b, double visualDensity) {}

    /** What a screen shows, 0 to 1 each; clipped when the colour lies outside sRGB. */
    public record Screen(double red, double green, double blue, boolean clipped) {}

    /** COL-19: integral density at 650, 540 and 450 nm, D = 0.06 + U·(c, m, y). */
    public Layers integralDensity() {
        double[] d = new double[3];
        for (int l = 0; l < 3; l++) {
            d[l] = BASE;
            for (int k = 0; k < 3; k++) {
                d[l] += DENSITIES[l][k] * amounts.at(k);
            }
        }
        return Layers.of(d);
    }

    /** The inverse of {@link #integralDensity}. */
    public static DyeImage ofIntegralDensity(Layers density) {
        double[] above = {density.red() - BASE, density.green() - BASE, density.blue() - BASE};
        return new DyeImage(Layers.of(Linear3.solve(DENSITIES, above)));
    }

    /** What the eye makes of it in a light. */
    public Appearance in(ViewingLight light) {
        return appearance(light.xyz(reflectance()), light.white());
    }

    /** What the eye makes of linear sRGB, 1 = white of the screen, that was seen under a light (the inverse of COL-20). */
    public static Appearance ofScreen(double red, double green, double blue, ViewingLight light) {
        double[] white = light.white();
        return appearance(ScreenColour.toXyz(new double[] {red, green, blue}, white), white);
    }

    private static Appearance appearance(double[] xyz, double[] white) {
        double fx = root(xyz[0] / white[0]);
        double fy = root(xyz[1] / white[1]);
        double fz = root(xyz[2] / white[2]);
        return new Appearance(116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz), -Math.log10(xyz[1]));
    }

    /** COL-20: the viewing white adapted to D65 (Bradford), sRGB (IEC 61966-2-1). */
    public Screen onScreen(ViewingLight light) {
        return ScreenColour.of(light.xyz(reflectance()), light.white());
    }

    /**
     * COL-21: the dyes that look like a colour, by Newton's method from a neutral grey, steps held to 0.5. Lightness 0 to 100; a colour the dyes
     * cannot make is refused.
     */
    public static DyeImage looking(double lightness, double a, double b, ViewingLight light) {
        Check.within("lightness", lightness, 0, 100, "");
        Check.finite("a*", a);
        Check.finite("b*", b);
        double[] dye = {0.7, 0.7, 0.7};
        for (int step = 0; step < MOST_STEPS; step++) {
            double[] here = lab(dye, light);
            double[] off = {lightness - here[0], a - here[1], b - here[2]};
            if (Math.abs(off[0]) + Math.abs(off[1]) + Math.abs(off[2]) < CONVERGED) {
                return made(dye);
            }
            double[] change;
            try {
                change = Linear3.solve(slopes(dye, here, light), off);
            } catch (IllegalArgumentException e) {
                break;
            }
            double largest = Math.max(Math.abs(change[0]), Math.max(Math.abs(change[1]), Math.abs(change[2])));
            double held = Math.min(1, LARGEST_STEP / largest);
            for (int k = 0; k < 3; k++) {
                dye[k] += held * change[k];
            }
        }
        throw Check.infeasible("colour", "these dyes cannot make that colour");
    }

    private static DyeImage made(double[] dye) {
        if (Math.min(dye[0], Math.min(dye[1], dye[2])) < 0) {
            throw Check.infeasible("colour", "these dyes cannot make that colour");
        }
        return new DyeImage(Layers.of(dye));
    }

    private static double[][] slopes(double[] dye, double[] here, ViewingLight light) {
        double[][] slopes = new double[3][3];
        for (int k = 0; k < 3; k++) {
            double[] moved = dye.clone();
            moved[k] += DERIVATIVE_STEP;
            double[] there = lab(moved, light);
            for (int row = 0; row < 3; row++) {
                slopes[row][k] = (there[row] - here[row]) / DERIVATIVE_STEP;
            }
        }
        return slopes;
    }

    private static double[] lab(double[] dye, ViewingLight light) {
        Appearance seen = new DyeImage(Layers.of(dye)).in(light);
        return new double[] {seen.lightness(), seen.a(), seen.b()};
    }

    private double[] reflectance() {
        double[] r = new double[ViewingLight.BANDS];
        for (int i = 0; i < r.length; i++) {
            double density = BASE;
            for (int k = 0; k < 3; k++) {
                density += amounts.at(k) * DYES[k][i];
            }
            r[i] = Math.pow(10, -density);
        }
        return r;
    }

    private static double root(double t) {
        double limit = 6.0 / 29;
        return t > limit * limit * limit ? Math.cbrt(t) : t / (3 * limit * limit) + 4.0 / 29;
    }

    private static double[][] dyes() {
        double[][] dyes = new double[3][ViewingLight.BANDS];
        for (int i = 0; i < ViewingLight.BANDS; i++) {
            double nm = ViewingLight.wavelength(i);
            dyes[0][i] = 1.0429 * (bell(nm, 655, 52) + 0.12 * bell(nm, 540, 55) + 0.10 * bell(nm, 430, 40));
            dyes[1][i] = 0.7710 * (0.05 * bell(nm, 650, 40) + bell(nm, 545, 36) + 0.20 * bell(nm, 435, 38));
            dyes[2][i] = 0.7916 * (bell(nm, 445, 42) + 0.04 * bell(nm, 530, 40));
        }
        return dyes;
    }

    private static double bell(double nm, double centre, double width) {
        double z = (nm - centre) / width;
        return Math.exp(-0.5 * z * z);
    }
}
