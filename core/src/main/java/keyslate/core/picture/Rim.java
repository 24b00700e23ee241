package keyslate.core.picture;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import keyslate.core.reading.Corners;
import keyslate.core.reading.Corners.Place;
import keyslate.core.script.Part;

/**
 * The white rim of a sheet, where the easel's blades lay on it.
 *
 * <p>REA-19: just inside the paper's edge a rim's light is one smooth surface; where more than a third of it is not, there is no rim. From each side inwards the
 * picture begins where the light first stays {@value #DROP} under that surface; of a side's places one in {@value #ONE_IN} counts, as bare highlights begin later.
 *
 * @param printed the part of the paper inside the rim
 * @param samples places of bare paper, in fractions of the picture
 * @param rms how far its light is off one smooth surface, log10
 */
record Rim(Part printed, List<Place> samples, double rms) {
    /** Where a rim is looked for, shares of the paper's shorter side. */
    private static final double[] INSETS = {0.014, 0.022, 0.032};

    private static final double[] DEPTHS = {0.5, 0.35, 0.65, 0.8};
    private static final double WIDEST = 0.16;
    private static final double STEP = 0.002;
    private static final int PLACES = 90;
    private static final double DROP = 0.05;
    private static final int ONE_IN = 6;
    private static final double MOST_RMS = 0.02;
    private static final double LEAST_KEPT = 0.6;
    private static final double NARROWEST = 0.012;

    Rim {
        samples = List.copyOf(samples);
    }

    /** Of a sheet; none where it was printed to its edges. */
    static Optional<Rim> of(LitPicture picture, Corners corners) {
        double[] sides = sides(picture, corners);
        double across = Math.min(1, sides[1] / sides[0]);
        double down = Math.min(1, sides[0] / sides[1]);
        return Arrays.stream(INSETS)
                .mapToObj(inset -> from(picture, corners, inset, across, down))
                .flatMap(Optional::stream)
                .min(Comparator.comparingDouble(Rim::rms));
    }

    private static Optional<Rim> from(LitPicture picture, Corners corners, double inset, double across, double down) {
        List<Place> edge = new ArrayList<>();
        for (int side = 0; side < 4; side++) {
            for (int i = 0; i < PLACES; i++) {
                edge.add(at(corners, side, along(i), inset, across, down));
            }
        }
        WhiteOfPaper white = WhiteOfPaper.through(picture, edge, WhiteOfPaper.Shape.CURVED);
        if (white.rms() > MOST_RMS || white.kept() < LEAST_KEPT) {
            return Optional.empty();
        }
        double[] widths = new double[4];
        for (int side = 0; side < 4; side++) {
            widths[side] = width(picture, corners, side, inset, white, across, down);
        }
        double[] known = Arrays.stream(widths).filter(Double::isFinite).sorted().toArray();
        if (known.length == 0 || known[known.length / 2] < NARROWEST) {
            return Optional.empty();
        }
        for (int side = 0; side < 4; side++) {
            if (!Double.isFinite(widths[side])) {
                widths[side] = known[known.length / 2];
            }
        }
        List<Place> samples = new ArrayList<>();
        for (int side = 0; side < 4; side++) {
            for (int i = 0; i < PLACES; i++) {
                samples.add(whitest(picture, corners, side, along(i), widths[side], across, down));
            }
        }
        return Optional.of(new Rim(
                new Part(
                        widths[3] * across,
                        widths[0] * down,
                        1 - (widths[1] + widths[3]) * across,
                        1 - (widths[0] + widths[2]) * down),
                samples,
                white.rms()));
    }

    /** The whitest place across the rim: in a soft picture its sides run into what lies beside them. */
    private static Place whitest(
            LitPicture picture, Corners corners, int side, double along, double width, double across, double down) {
        Place whitest = at(corners, side, along, DEPTHS[0] * width, across, down);
        for (double deep : DEPTHS) {
            Place place = at(corners, side, along, deep * width, across, down);
            whitest = picture.log(1, place) > picture.log(1, whitest) ? place : whitest;
        }
        return whitest;
    }

    /** Lengths of the paper's upper and left side in the picture, pixels. */
    static double[] sides(LitPicture picture, Corners corners) {
        Place upperLeft = corners.at(0, 0);
        return new double[] {
            distance(picture, upperLeft, corners.at(1, 0)), distance(picture, upperLeft, corners.at(0, 1))
        };
    }

    private static double distance(LitPicture picture, Place from, Place to) {
        return Math.hypot((to.x() - from.x()) * picture.width(), (to.y() - from.y()) * picture.height());
    }

    private static double along(int i) {
        return 0.04 + 0.92 * (i + 0.5) / PLACES;
    }

    /** A place so deep in from a side, clockwise from the upper one. */
    private static Place at(Corners corners, int side, double along, double deep, double across, double down) {
        return switch (side) {
            case 0 -> corners.at(along, deep * down);
            case 1 -> corners.at(1 - deep * across, along);
            case 2 -> corners.at(along, 1 - deep * down);
            default -> corners.at(deep * across, along);
        };
    }

    private static double width(
            LitPicture picture,
            Corners corners,
            int side,
            double inset,
            WhiteOfPaper white,
            double across,
            double down) {
        double[] begins = new double[PLACES];
        for (int i = 0; i < PLACES; i++) {
            begins[i] = Double.POSITIVE_INFINITY;
            int under = 0;
            for (double deep = inset; deep < WIDEST && under < 3; deep += STEP) {
                Place place = at(corners, side, along(i), deep, across, down);
                under = picture.log(1, place) < white.log(1, place) - DROP ? under + 1 : 0;
                if (under == 3) {
                    begins[i] = deep - 2 * STEP;
                }
            }
        }
        Arrays.sort(begins);
        return begins[PLACES / ONE_IN];
    }
}
