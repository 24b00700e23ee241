package keyslate.core.picture;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import keyslate.core.colour.Layers;
import keyslate.core.numeric.LeastSquares;
import keyslate.core.reading.Corners;
import keyslate.core.reading.Corners.Place;

/**
 * What the bare white of the paper would be at each place of a picture: an uneven lamp and its colour are in it.
 *
 * <p>Log light of each channel is a surface of second degree over the picture, a plane or a constant, by least squares; what lies over
 * {@value #FARTHEST} spreads off is left out and the rest fitted again.
 *
 * @param factors of each channel, over 1, x, y, x², xy, y²
 * @param rms what is left of the samples that were kept, log10
 * @param kept share of the samples that were kept
 */
record WhiteOfPaper(double[][] factors, double rms, double kept) {
    /** Rounds in which the far count less and less, as their distance alone and not its square; and rounds without them. */
    private static final int NEARING = 6;

    private static final int CUTTING = 3;
    private static final double FARTHEST = 2.5;
    private static final double MAD_TO_SIGMA = 1.4826;
    private static final double LEAST_SPREAD = 0.004;
    /** Places looked at along a side of a sheet, and the share of them that is taken for white where nothing tells it. */
    private static final int GRID = 120;

    private static final double BRIGHTEST = 0.02;
    private static final int FEWEST = 10;
    /** Keeps a surface sane where its samples lie on a line. */
    private static final double STIFF = 3;

    /** How much a surface may bend. */
    enum Shape {
        CONSTANT(1),
        PLANE(3),
        CURVED(6);

        private final int terms;

        Shape(int terms) {
            this.terms = terms;
        }
    }

    /** The same light everywhere. */
    static WhiteOfPaper evenly(Layers light) {
        double[][] factors = new double[LitPicture.CHANNELS][];
        for (int c = 0; c < factors.length; c++) {
            factors[c] = new double[] {Math.log10(light.at(c)), 0, 0, 0, 0, 0};
        }
        return new WhiteOfPaper(factors, 0, 1);
    }

    /** The brightest places of the sheets, each channel alike; no more than a guess. */
    static WhiteOfPaper brightest(LitPicture picture, List<Corners> papers) {
        List<Lit> places = new ArrayList<>();
        for (Corners paper : papers) {
            for (int i = 0; i < GRID * GRID; i++) {
                Place place = paper.at((i % GRID + 0.5) / GRID, (i / GRID + 0.5) / GRID);
                places.add(new Lit(place, picture.log(place)));
            }
        }
        List<Place> brightest = places.stream()
                .sorted(Comparator.comparingDouble(Lit::log).reversed())
                .limit(Math.max(FEWEST, Math.round(places.size() * BRIGHTEST)))
                .map(Lit::place)
                .toList();
        return through(picture, brightest, Shape.CONSTANT);
    }

    /** A place with its light, log10. */
    private record Lit(Place place, double log) {}

    /** Through samples, one at least. */
    static WhiteOfPaper through(LitPicture picture, List<Place> samples, Shape shape) {
        double[][] factors = new double[LitPicture.CHANNELS][];
        double[] off = new double[samples.size()];
        boolean[] keep = new boolean[samples.size()];
        Arrays.fill(keep, true);
        for (int round = 0; round < NEARING + CUTTING; round++) {
            double[] worst = new double[samples.size()];
            for (int c = 0; c < LitPicture.CHANNELS; c++) {
                factors[c] = fitted(picture, samples, keep, off, c, shape.terms);
                for (int i = 0; i < worst.length; i++) {
                    Place at = samples.get(i);
                    worst[i] = Math.max(worst[i], Math.abs(picture.log(c, at) - at(factors[c], at)));
                }
            }
            if (round < NEARING) {
                off = worst;
            } else {
                Arrays.fill(off, 0);
                double spread = Math.max(LEAST_SPREAD, MAD_TO_SIGMA * median(worst));
                for (int i = 0; i < worst.length; i++) {
                    keep[i] = worst[i] <= FARTHEST * spread;
                }
            }
        }
        int left = 0;
        double squares = 0;
        for (int i = 0; i < keep.length; i++) {
            if (keep[i]) {
                left++;
                double rest = picture.log(1, samples.get(i)) - at(factors[1], samples.get(i));
                squares += rest * rest;
            }
        }
        return new WhiteOfPaper(factors, Math.sqrt(squares / Math.max(1, left)), left / (double) keep.length);
    }

    private static double[] fitted(
            LitPicture picture, List<Place> samples, boolean[] keep, double[] off, int channel, int terms) {
        LeastSquares fit = new LeastSquares(terms);
        for (int i = 0; i < keep.length; i++) {
            if (keep[i]) {
                Place at = samples.get(i);
                fit.add(
                        Arrays.copyOf(terms(at), terms),
                        picture.log(channel, at),
                        0.01 * Math.sqrt(Math.max(1, off[i] / 0.01)));
            }
        }
        for (int t = 1; t < terms; t++) {
            double[] row = new double[terms];
            row[t] = 1;
            fit.add(row, 0, STIFF);
        }
        return fit.solve().figures();
    }

    private static double[] terms(Place at) {
        double x = at.x() - 0.5;
        double y = at.y() - 0.5;
        return new double[] {1, x, y, x * x, x * y, y * y};
    }

    private static double at(double[] factors, Place place) {
        double[] terms = terms(place);
        double sum = 0;
        for (int i = 0; i < factors.length; i++) {
            sum += factors[i] * terms[i];
        }
        return sum;
    }

    private static double median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }

    double log(int channel, Place at) {
        return at(factors[channel], at);
    }

    /** The same surface, brighter or darker all over, each channel by its own. */
    WhiteOfPaper raised(double[] logs) {
        double[][] raised = new double[factors.length][];
        for (int c = 0; c < factors.length; c++) {
            raised[c] = factors[c].clone();
            raised[c][0] += logs[c];
        }
        return new WhiteOfPaper(raised, rms, kept);
    }
}
