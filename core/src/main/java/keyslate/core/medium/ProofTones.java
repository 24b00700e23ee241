package keyslate.core.medium;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import keyslate.core.colour.ColourPaper;
import keyslate.core.colour.DyeImage;
import keyslate.core.colour.Layers;
import keyslate.core.colour.ViewingLight;
import keyslate.core.darkroom.Look;
import keyslate.core.quantity.QuantityException;

/** The tones of a frame in the scan of its proof. */
final class ProofTones {
    static final double LEAST_NET = 0.001;

    /** The darkest share of a proof is its film edge. */
    private static final double EDGE_SHARE = 0.02;
    /** Parts along the longer side of a colour frame: dyes are found part by part, which also takes the scanner's noise away. */
    private static final int PARTS = 24;

    private static final double MIDDLE_LIGHTNESS = 50;
    private static final DyeImage BARE = alike(ColourPaper.LEAST);
    private static final DyeImage BLACK = alike(ColourPaper.LEAST + ColourPaper.RANGE);

    private ProofTones() {}

    private static DyeImage alike(double amount) {
        return new DyeImage(Layers.of(amount, amount, amount));
    }

    /** Density of the film edge in one plane of the scan: where the proof is darkest. */
    static double black(Look proof, int plane) {
        double[] all = proof.densities(plane);
        Arrays.sort(all);
        return all[(int) ((1 - EDGE_SHARE) * (all.length - 1))];
    }

    /** Net densities of a frame, its proof's black being that of the paper. */
    static double[] net(Look frame, int plane, double black, double paperBlack) {
        double[] net = frame.densities(plane);
        for (int i = 0; i < net.length; i++) {
            net[i] += paperBlack - black;
        }
        return net;
    }

    /**
     * Dye over bare paper in each layer, of every part of a frame. The scan is taken at its word: the film's edge on a colour proof is black only where all
     * three layers got enough, and no other reference is in it; what a scanner errs by is in both frames alike.
     */
    static double[][] dyes(Look frame) {
        double[][] planes = {frame.densities(0), frame.densities(1), frame.densities(2)};
        int side = Math.max(1, Math.max(frame.width(), frame.height()) / PARTS);
        List<DyeImage> found = new ArrayList<>();
        for (int top = 0; top + side <= frame.height(); top += side) {
            for (int left = 0; left + side <= frame.width(); left += side) {
                found.add(dye(planes, frame.width(), left, top, side));
            }
        }
        double[][] dyes = new double[3][found.size()];
        for (int l = 0; l < dyes.length; l++) {
            for (int i = 0; i < found.size(); i++) {
                dyes[l][i] = found.get(i).amounts().at(l) - ColourPaper.LEAST;
            }
        }
        return dyes;
    }

    private static DyeImage dye(double[][] planes, int width, int left, int top, int side) {
        double[] linear = new double[3];
        for (int l = 0; l < linear.length; l++) {
            double sum = 0;
            for (int y = top; y < top + side; y++) {
                for (int x = left; x < left + side; x++) {
                    sum += planes[l][y * width + x];
                }
            }
            linear[l] = Math.pow(10, -sum / (side * side));
        }
        DyeImage.Appearance seen = DyeImage.ofScreen(linear[0], linear[1], linear[2], ViewingLight.USUAL);
        try {
            return DyeImage.looking(seen.lightness(), seen.a(), seen.b(), ViewingLight.USUAL);
        } catch (QuantityException e) {
            // Lighter than paper, or noise in the deepest black: it is the one or the other, and counts among the
            // tones.
            return seen.lightness() > MIDDLE_LIGHTNESS ? BARE : BLACK;
        }
    }
}
