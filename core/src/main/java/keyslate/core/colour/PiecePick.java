package keyslate.core.colour;

import java.util.List;
import java.util.stream.IntStream;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.QuantityException;

/**
 * The neutral one of several pieces of different packs, or a place between two or three of them.
 *
 * <p>COL-31: a piece alone stands for every pack that lies nearer to it than to any other piece; two or three for those whose nearest pieces they are, none {@value #ALIKE} times as far as another; nearer as an eye counts it, a point of yellow
 * as {@value #YELLOW} and one of magenta as {@value #MAGENTA} (COL-26). The look is their middle, open by their spread; at the rim they reach outward as far as the next piece inward.
 */
public final class PiecePick {
    private static final double MAGENTA = 0.9;
    private static final double YELLOW = 1.2;
    private static final int MOST_PICKED = 3;
    private static final int MOST_PIECES = 40;
    /** Between two pieces is what is at most so many times as far from the one as from the other. */
    private static final double ALIKE = 1.5;
    /** Packs tried to each side. */
    private static final int GRID = 12;

    private PiecePick() {}

    private record Place(double magenta, double yellow) {
        static Place of(FilterPack pack) {
            return new Place(pack.inMagenta() - pack.inCyan(), pack.inYellow() - pack.inCyan());
        }

        double far(Place other) {
            return Math.hypot(MAGENTA * (magenta - other.magenta), YELLOW * (yellow - other.yellow));
        }
    }

    /**
     * The look that a pick is worth.
     *
     * @param pieces 2 to 40, no two of one pack
     * @param picked one to three of them, by their place in the list
     */
    public static CastLook of(List<FilterPack> pieces, List<Integer> picked) {
        List<Place> places = pieces.stream().map(Place::of).toList();
        check(places, picked);
        double middleMagenta = mean(picked, places, true);
        double middleYellow = mean(picked, places, false);
        Place middle = new Place(middleMagenta, middleYellow);
        double reach = reach(places, picked);
        int count = 0;
        double[] sum = new double[2];
        double[] squares = new double[2];
        for (int i = -GRID; i <= GRID; i++) {
            for (int j = -GRID; j <= GRID; j++) {
                double m = i * reach / GRID / MAGENTA;
                double y = j * reach / GRID / YELLOW;
                Place tried = new Place(middleMagenta + m, middleYellow + y);
                if (tried.far(middle) <= reach && isStoodFor(tried, places, picked)) {
                    count++;
                    sum[0] += m;
                    sum[1] += y;
                    squares[0] += m * m;
                    squares[1] += y * y;
                }
            }
        }
        if (count == 0) {
            // Picked pieces that are not neighbours: somewhere among them.
            return look(middleMagenta, middleYellow, reach);
        }
        double magenta = sum[0] / count;
        double yellow = sum[1] / count;
        double open = Math.sqrt(Math.max(squares[0] / count - magenta * magenta, squares[1] / count - yellow * yellow));
        return look(middleMagenta + magenta, middleYellow + yellow, open);
    }

    private static void check(List<Place> pieces, List<Integer> picked) {
        boolean twice = pieces.stream().distinct().count() < pieces.size()
                || picked.stream().distinct().count() < picked.size();
        if (pieces.size() < 2 || pieces.size() > MOST_PIECES || twice) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE, "pieces", "2 to 40 pieces, no two of one pack");
        }
        if (picked.isEmpty()
                || picked.size() > MOST_PICKED
                || picked.stream().anyMatch(i -> i < 0 || i >= pieces.size())) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE, "picked", "pick one to three of the pieces");
        }
    }

    private static CastLook look(double magenta, double yellow, double open) {
        FilterPack pack = NeutralRemoval.of(FilterShift.of(0, magenta, yellow)).pack();
        return CastLook.of(pack, 0, 0, CastWay.PIECES).open(open);
    }

    private static double mean(List<Integer> picked, List<Place> places, boolean magenta) {
        return picked.stream()
                .mapToDouble(
                        i -> magenta ? places.get(i).magenta() : places.get(i).yellow())
                .average()
                .orElseThrow();
    }

    /** From a picked piece to its nearest neighbour, and at least as far as the picked ones are apart. */
    private static double reach(List<Place> places, List<Integer> picked) {
        double reach = 0;
        for (int i : picked) {
            double nearest = IntStream.range(0, places.size())
                    .filter(other -> other != i)
                    .mapToDouble(other -> places.get(i).far(places.get(other)))
                    .min()
                    .orElseThrow();
            reach = Math.max(reach, nearest);
            for (int other : picked) {
                reach = Math.max(reach, places.get(i).far(places.get(other)));
            }
        }
        return reach;
    }

    /** Whether no piece that was not picked is nearer than one that was, and those that were are about as near. */
    private static boolean isStoodFor(Place tried, List<Place> places, List<Integer> picked) {
        double nearest = Double.MAX_VALUE;
        double farthest = 0;
        for (int i : picked) {
            nearest = Math.min(nearest, tried.far(places.get(i)));
            farthest = Math.max(farthest, tried.far(places.get(i)));
        }
        if (picked.size() > 1 && farthest > ALIKE * nearest) {
            return false;
        }
        for (int i = 0; i < places.size(); i++) {
            if (!picked.contains(i) && tried.far(places.get(i)) < farthest) {
                return false;
            }
        }
        return true;
    }
}
