package keyslate.core.picture;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import keyslate.core.picture.PictureOfTest.Fault;
import keyslate.core.picture.PictureOfTest.Planned;
import keyslate.core.reading.Corners;
import keyslate.core.reading.Corners.Place;
import keyslate.core.script.Part;

/** What spoils a picture: too much light or too little, glare, unevenness, blur. */
final class Spoilt {
    private static final int GRID = 120;
    private static final double CLIPPED = 0.985;
    private static final double CLIPPED_SHARE = 0.2;
    private static final double GLARE_LOG = 0.05;
    private static final double GLARE_SHARE = 0.004;
    private static final double DARKEST_WHITE_LOG = -0.95;
    static final double MOST_UNEVEN_STOPS = 0.8;
    private static final double BLUR_OF_PATCH = 0.12;
    private static final double LEAST_RISE = 0.1;
    private static final double[] TENTHS = {0.1, 0.9};
    private static final int FARTHEST_EDGE = 80;
    private static final double STOP = Math.log10(2);

    private Spoilt() {}

    /** White without tone, too little light, and what is brighter than bare paper. */
    static void exposure(
            LitPicture picture, List<Corners> papers, List<Place> bare, WhiteOfPaper white, Set<Fault> faults) {
        List<Place> whites = bare.isEmpty() ? List.of(papers.get(0).at(0.5, 0.5)) : bare;
        double clipped = whites.stream().filter(p -> isClipped(picture, p)).count() / (double) whites.size();
        if (!bare.isEmpty() && clipped > CLIPPED_SHARE) {
            faults.add(Fault.CLIPPED);
        }
        if (white.log(1, papers.get(0).at(0.5, 0.5)) < DARKEST_WHITE_LOG) {
            faults.add(Fault.TOO_DARK);
        }
        int glare = 0;
        for (Corners paper : papers) {
            for (int i = 0; i < GRID * GRID; i++) {
                Place at = paper.at(0.02 + 0.96 * (i % GRID) / GRID, 0.02 + 0.96 * (i / GRID) / GRID);
                glare += Math.log10(picture.share(at, white)) > GLARE_LOG ? 1 : 0;
            }
        }
        if (!bare.isEmpty() && glare > GLARE_SHARE * GRID * GRID * papers.size()) {
            faults.add(Fault.GLARE);
        }
    }

    private static boolean isClipped(LitPicture picture, Place at) {
        for (int c = 0; c < LitPicture.CHANNELS; c++) {
            if (picture.light(c, at) > CLIPPED) {
                return true;
            }
        }
        return false;
    }

    /** By how much the white differs across the sheets, stops. */
    static double uneven(List<Corners> papers, WhiteOfPaper white) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (Corners paper : papers) {
            for (int i = 0; i < 25; i++) {
                double log = white.log(1, paper.at(i % 5 / 4.0, i / 5 / 4.0));
                least = Math.min(least, log);
                most = Math.max(most, log);
            }
        }
        return (most - least) / STOP;
    }

    /** Whether the paper's edge rises over more than a share of a patch, or over the whole of its rim. */
    static boolean isBlurred(LitPicture picture, Corners paper, Part printed, WhiteOfPaper white, Planned planned) {
        double[] sides = Rim.sides(picture, paper);
        double length = planned.alongWidth() ? sides[0] : sides[1];
        double patch = length / (planned.lines().size() + 1);
        List<Double> widths = new ArrayList<>();
        for (int side = 0; side < 4; side++) {
            for (int i = 0; i < 9; i++) {
                double along = 0.1 + 0.1 * i;
                double across = side % 2 == 0 ? sides[1] : sides[0];
                int reach = (int) Math.min(FARTHEST_EDGE, across / 4);
                double[] profile = new double[2 * reach + 1];
                for (int k = 0; k < profile.length; k++) {
                    double deep = (k - reach) / across;
                    Place at = switch (side) {
                        case 0 -> paper.at(along, deep);
                        case 1 -> paper.at(1 - deep, along);
                        case 2 -> paper.at(along, 1 - deep);
                        default -> paper.at(deep, along);
                    };
                    profile[k] = picture.light(1, at) / Math.pow(10, white.log(1, at));
                }
                risesOver(profile, reach).ifPresent(widths::add);
            }
        }
        if (widths.size() < 8) {
            return false;
        }
        widths.sort(null);
        double shorter = Math.min(sides[0], sides[1]);
        double rim = printed.equals(Part.WHOLE) ? Double.POSITIVE_INFINITY : printed.top() * sides[1];
        return widths.get(widths.size() / 2) > Math.min(rim, BLUR_OF_PATCH * Math.min(patch, shorter / 2));
    }

    /** Pixels from a tenth to nine tenths of the rise about the edge. */
    private static Optional<Double> risesOver(double[] profile, int edge) {
        double outside = profile[0];
        double inside = outside;
        for (int k = edge; k < profile.length; k++) {
            inside = Math.max(inside, profile[k]);
        }
        if (inside - outside < LEAST_RISE) {
            return Optional.empty();
        }
        int from = -1;
        for (int k = 0; k < profile.length; k++) {
            double share = (profile[k] - outside) / (inside - outside);
            if (share > TENTHS[1]) {
                return Optional.of((double) (k - from));
            }
            if (share < TENTHS[0]) {
                from = k;
            }
        }
        return Optional.empty();
    }
}
