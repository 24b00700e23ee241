package keyslate.core.exposure;

import java.util.List;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;

/**
 * What is engraved on the ring of a lens, beside the true f-number it stands for.
 *
 * <p>EXP-05: the true number of the k-th mark in steps of 1/q stop is 2^(k/(2q)). Marks differ from it by up to 0.081,
 * 0.099 and 0.141 stop (full, half, third), so nothing is ever computed with a mark. Source: ISO 517 preferred numbers;
 * marks as engraved by custom.
 *
 * @param engraved the engraved number, such as 5.6
 * @param trueNumber the number to compute with, such as 5.657
 */
public record ApertureMark(double engraved, FNumber trueNumber) {
    private static final double FARTHEST_STOPS = 0.10;
    private static final double SAME = 1e-9;

    private static final List<double[]> ENGRAVED = List.of(
            new double[] {1, 1.4, 2, 2.8, 4, 5.6, 8, 11, 16, 22, 32, 45, 64},
            new double[] {
                1, 1.2, 1.4, 1.7, 2, 2.4, 2.8, 3.3, 4, 4.8, 5.6, 6.7, 8, 9.5, 11, 13, 16, 19, 22, 27, 32, 38, 45, 54, 64
            },
            new double[] {
                1, 1.1, 1.2, 1.4, 1.6, 1.8, 2, 2.2, 2.5, 2.8, 3.2, 3.5, 4, 4.5, 5, 5.6, 6.3, 7.1, 8, 9, 10, 11, 13, 14,
                16, 18, 20, 22, 25, 29, 32, 36, 40, 45, 51, 57, 64
            });

    /** The mark on a ring of {@code marksPerStop} (1, 2 or 3) that a typed number means; error over 0.10 stop off. */
    public static ApertureMark ofEngraved(double number, int marksPerStop) {
        Check.positive("f-number", number, "");
        ApertureMark nearest = nearest(FNumber.of(number), marksPerStop, true);
        double off = Math.abs(
                FNumber.of(nearest.engraved).lightChangeTo(FNumber.of(number)).inStops());
        if (off > FARTHEST_STOPS) {
            throw Check.outOfRange(
                    "f-number",
                    "f/" + trim(number) + " is on no ring with this spacing; nearest is f/" + trim(nearest.engraved));
        }
        return nearest;
    }

    /**
     * The widest mark of a lens: makers open a lens as far as they can, so that it may lie between two clicks of its ring, on the third-stop series.
     *
     * @param marksPerStop of the rest of the ring
     */
    public static ApertureMark widest(double number, int marksPerStop) {
        try {
            return ofEngraved(number, marksPerStop);
        } catch (QuantityException e) {
            return ofEngraved(number, ENGRAVED.size());
        }
    }

    /** A mark on the ring of a lens that opens to {@code openEngraved}; error over 0.10 stop off. */
    public static ApertureMark onRing(double number, double openEngraved, int marksPerStop) {
        ApertureMark open = widest(openEngraved, marksPerStop);
        return Math.abs(number - open.engraved) < SAME ? open : ofEngraved(number, marksPerStop);
    }

    /** The mark whose true number is nearest to {@code number}, in stops. */
    public static ApertureMark nearest(FNumber number, int marksPerStop) {
        return nearest(number, marksPerStop, false);
    }

    /** All marks from the lens's full opening to its smallest, both included, full opening first. */
    public static List<ApertureMark> ring(double openEngraved, double smallestEngraved, int marksPerStop) {
        ApertureMark open = widest(openEngraved, marksPerStop);
        return Stream.concat(
                        Stream.of(open),
                        DoubleStream.of(marks(marksPerStop))
                                .filter(m -> m > open.engraved + SAME && m <= smallestEngraved + SAME)
                                .mapToObj(m -> ofEngraved(m, marksPerStop)))
                .toList();
    }

    /** Light from {@code number} to this mark's true number (positive = this opening is wider). */
    public Stops residualFrom(FNumber number) {
        return trueNumber.lightChangeTo(number);
    }

    private static ApertureMark nearest(FNumber number, int marksPerStop, boolean byEngraving) {
        double[] marks = marks(marksPerStop);
        ApertureMark best = null;
        double bestOff = Double.POSITIVE_INFINITY;
        for (int k = 0; k < marks.length; k++) {
            FNumber exact = FNumber.ofSteps(k, marksPerStop);
            double off = Math.abs((byEngraving ? FNumber.of(marks[k]) : exact)
                    .lightChangeTo(number)
                    .inStops());
            if (off < bestOff) {
                best = new ApertureMark(marks[k], exact);
                bestOff = off;
            }
        }
        return best;
    }

    private static double[] marks(int marksPerStop) {
        if (marksPerStop < 1 || marksPerStop > ENGRAVED.size()) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE,
                    "marks per stop",
                    "marks per stop must be 1, 2 or 3, was " + marksPerStop);
        }
        return ENGRAVED.get(marksPerStop - 1);
    }

    private static String trim(double number) {
        return number == Math.rint(number) ? Long.toString((long) number) : Double.toString(number);
    }
}
