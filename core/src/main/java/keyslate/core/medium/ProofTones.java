package keyslate.core.medium;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import keyslate.core.colour.ColourPaper;
import keyslate.core.colour.DyeImage;
import keyslate.core.colour.Layers;
import keyslate.core.colour.ViewingLight;
import keyslate.core.darkroom.Look;
import keyslate.core.darkroom.ToneEncoding;
import keyslate.core.quantity.QuantityException;

/** The tones of a frame in the scan of its proof; the one reference in it is the black of the film's edge (REA-05). */
final class ProofTones {
    static final double LEAST_NET = 0.001;

    /** The darkest share of a proof is its film edge. */
    private static final double EDGE_SHARE = 0.02;
    /** Parts along the longer side of a colour frame: dyes are found part by part, which also takes the scanner's noise away. */
    private static final int PARTS = 24;

    private static final double LEAST_CODE = 0.5 / 255;
    private static final double[] COLOUR_BLACK = colourBlack();

    private ProofTones() {}

    /** Density of the three planes of a scan where colour paper is as black as it can be. */
    private static double[] colourBlack() {
        double most = ColourPaper.LEAST + ColourPaper.RANGE;
        DyeImage.Screen black = new DyeImage(Layers.of(most, most, most)).onScreen(ViewingLight.USUAL);
        return DoubleStream.of(black.red(), black.green(), black.blue())
                .map(code -> -Math.log10(ToneEncoding.decode(Math.max(LEAST_CODE, code))))
                .toArray();
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

    /** Dye over bare paper in each layer, of every part of a frame that these dyes can make. */
    static double[][] dyes(Look frame, Look proof) {
        double[] gain = new double[3];
        for (int l = 0; l < gain.length; l++) {
            gain[l] = COLOUR_BLACK[l] - black(proof, l);
        }
        double[][] planes = {frame.densities(0), frame.densities(1), frame.densities(2)};
        int side = Math.max(1, Math.max(frame.width(), frame.height()) / PARTS);
        List<DyeImage> found = new ArrayList<>();
        for (int top = 0; top + side <= frame.height(); top += side) {
            for (int left = 0; left + side <= frame.width(); left += side) {
                dye(planes, gain, frame.width(), left, top, side).ifPresent(found::add);
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

    private static Optional<DyeImage> dye(double[][] planes, double[] gain, int width, int left, int top, int side) {
        double[] linear = new double[3];
        for (int l = 0; l < linear.length; l++) {
            double sum = 0;
            for (int y = top; y < top + side; y++) {
                for (int x = left; x < left + side; x++) {
                    sum += planes[l][y * width + x];
                }
            }
            linear[l] = Math.pow(10, -(sum / (side * side) + gain[l]));
        }
        DyeImage.Appearance seen = DyeImage.ofScreen(linear[0], linear[1], linear[2], ViewingLight.USUAL);
        try {
            return Optional.of(DyeImage.looking(seen.lightness(), seen.a(), seen.b(), ViewingLight.USUAL));
        } catch (QuantityException e) {
            // A speck outside of what these dyes make, or noise in the deepest black: it tells nothing.
            return Optional.empty();
        }
    }
}
