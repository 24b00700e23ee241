package keyslate.core.script;

import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import keyslate.core.exposure.TestSeries;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Density;

/**
 * A disc of grey sectors of one angle, clockwise from the top as it lies, each labelled with what it lets through of an exposure.
 *
 * @param referenceSeconds the exposure that the labels are for, 1 to 600 s
 * @param labels seconds, each above 0 and not above the reference; {@value TestSeries#FEWEST_PATCHES} to {@value TestSeries#MOST_PATCHES}
 */
public record WedgeDisc(double referenceSeconds, List<Double> labels) {
    private static final double LONGEST_REFERENCE = 600;

    /** Ten sectors half a stop apart: a plain disc for 60 s, generic. */
    public static final WedgeDisc USUAL =
            new WedgeDisc(60, List.of(60.0, 42.0, 30.0, 21.0, 15.0, 10.6, 7.5, 5.3, 3.8, 2.7));

    public WedgeDisc {
        Check.within("reference", Check.positive("reference", referenceSeconds, "s"), 1, LONGEST_REFERENCE, "s");
        labels = List.copyOf(labels);
        Check.count("labels", labels.size(), TestSeries.FEWEST_PATCHES, TestSeries.MOST_PATCHES);
        for (double label : labels) {
            if (Check.positive("label", label, "s") > referenceSeconds) {
                throw Check.outOfRange("label", "a label may not be more than the exposure that it is for");
            }
        }
        if (labels.stream().distinct().count() != labels.size()) {
            throw Check.outOfRange("label", "every label must be another");
        }
    }

    /** What a sector lets through, from 0. */
    public double share(int sector) {
        return labels.get(sector) / referenceSeconds;
    }

    /** EXP-40: D = log10(reference / label). */
    public Density density(int sector) {
        return Density.of(Math.log10(referenceSeconds / labels.get(sector)));
    }

    /** The sectors from the one that lets least through. */
    public List<Integer> lightestFirst() {
        return IntStream.range(0, labels.size())
                .boxed()
                .sorted(Comparator.comparingDouble(labels::get))
                .toList();
    }

    /** Where a sector begins and ends, degrees clockwise from the top. */
    public double fromDegrees(int sector) {
        return 360.0 * sector / labels.size();
    }

    /**
     * What reaches a place of the paper under the disc, 0 to 1; beside it all of the light.
     *
     * @param x of the square that the disc touches on all sides, 0 at its left to 1; {@code y} from its top
     */
    public double shareAt(double x, double y) {
        double right = 2 * x - 1;
        double down = 2 * y - 1;
        if (right * right + down * down > 1) {
            return 1;
        }
        double turn = Math.toDegrees(Math.atan2(right, -down));
        int sector = (int) ((turn < 0 ? turn + 360 : turn) / 360 * labels.size());
        return share(Math.min(labels.size() - 1, sector));
    }
}
