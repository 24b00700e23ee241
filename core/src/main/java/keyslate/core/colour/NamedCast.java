package keyslate.core.colour;

import java.util.List;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.QuantityException;

/**
 * A cast by its name and one of three strengths, as the six casts beside this picture show them.
 *
 * <p>COL-30: slight 4, clear 10, strong 20 points of a viewing filter of which two are worth one of the pack; that is also what the pictures beside it are made with. Where the pack is open by more or by less, all are shown at another
 * scale. A name stands for all that is nearer to it than to the next: open by {@value #NEXT} points at the scale of 1 and by {@value #HUE} of its strength, half of both where the print lies between two pictures. The strongest stands for whatever is more:
 * {@value #BEYOND} times its strength, open by {@value #OPEN} of it.
 */
public enum NamedCast {
    NONE(0),
    SLIGHT(4),
    CLEAR(10),
    STRONG(20);

    public static final double LEAST_SCALE = 0.5;
    public static final double MOST_SCALE = 4;

    private static final double NEXT = 1.2;
    private static final double HUE = 0.25;
    private static final double BETWEEN = 0.5;
    private static final double BEYOND = 1.25;
    private static final double OPEN = 0.35;
    private static final double STRONG_OF_DOUBT = 12;
    private static final int MOST_PICTURES = 2;

    private final double points;

    NamedCast(double points) {
        this.points = points;
    }

    /** One of the pictures; the hue says nothing where the strength is none. */
    public record Picture(Hue hue, NamedCast strength) {
        /** No cast at all. */
        public static final Picture NEUTRAL = new Picture(Hue.R, NONE);

        /** What makes a print of a neutral pack show this cast, points of the pack. */
        public FilterShift shift(double scale) {
            return hue.byMagentaAndYellow(
                    -strength.points(scale) / CastWay.BY_NAME.trust().shown());
        }

        private FilterShift seen(double scale) {
            return hue.byMagentaAndYellow(strength.points(scale) * (strength == STRONG ? BEYOND : 1));
        }
    }

    /** In points of a viewing filter at a scale. */
    public double points(double scale) {
        return scale * points;
    }

    /** How strong the pictures are to be shown where the pack is open by so many points, one standard deviation: 1/2, 1, 2 or 4. */
    public static double scaleFor(double uncertaintyPoints) {
        double wanted = STRONG_OF_DOUBT * Check.notNegative("uncertainty", uncertaintyPoints, "CC") / STRONG.points;
        double scale = MOST_SCALE;
        while (scale > LEAST_SCALE && wanted < scale / Math.sqrt(2)) {
            scale /= 2;
        }
        return scale;
    }

    /**
     * The look at a patch of this pack.
     *
     * @param like the picture that it is most like, or the two between which it lies
     */
    public static CastLook at(FilterPack pack, List<Picture> like, double scale) {
        if (like.isEmpty() || like.size() > MOST_PICTURES) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE, "cast", "name one cast, or two it lies between");
        }
        Check.within("scale", scale, LEAST_SCALE, MOST_SCALE, "");
        FilterShift seen = FilterShift.NONE;
        boolean strong = like.stream().allMatch(p -> p.strength() == STRONG);
        for (Picture picture : like) {
            seen = seen.plus(picture.seen(scale).times(1.0 / like.size()));
        }
        double strength = Math.hypot(seen.inMagenta(), seen.inYellow());
        double open = (like.size() == 1 ? 1 : BETWEEN) * Math.hypot(NEXT * scale, HUE * strength);
        CastLook look = CastLook.of(pack, seen.inMagenta(), seen.inYellow(), CastWay.BY_NAME)
                .open(strong ? Math.hypot(open, OPEN * STRONG.points(scale)) : open);
        return strong ? look.orMore() : look;
    }
}
