package keyslate.core.colour;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.FilterPack;

/**
 * One look at a cast.
 *
 * @param pack what the patch was printed with
 * @param magenta strength of the magenta cast in points of its way; negative = green
 * @param yellow strength of the yellow cast; negative = blue
 * @param against what it was compared with
 * @param atLeast whether this is the strongest there was to compare with, and the cast may be any stronger
 * @param openPoints what the look leaves open beyond its way's errors, points of the way, one standard deviation
 * @param gradient how much of a cast shows on a patch of this density, 1 = as on one of the right density (COL-14)
 * @param kit the name of the kit of viewing filters that was looked through; empty where none was, or none is named
 */
public record CastLook(
        FilterPack pack,
        double magenta,
        double yellow,
        CastWay way,
        Against against,
        boolean atLeast,
        double openPoints,
        double gradient,
        String kit) {
    /** What a neutral in one light may be off in another, points of a viewing filter, one standard deviation. */
    private static final double ANOTHER_LIGHT = 3;

    private static final double LEAST_GRADIENT = 0.1;
    private static final double MOST_GRADIENT = 3;
    /** Dye of a neutral of density 0.75. */
    private static final double MIDDLE = 0.69;

    private static final double LOG_PER_STOP = Math.log10(2);

    public CastLook {
        magenta = Check.within("magenta cast", magenta, -FilterPack.MOST, FilterPack.MOST, "points");
        yellow = Check.within("yellow cast", yellow, -FilterPack.MOST, FilterPack.MOST, "points");
        openPoints = Check.within("what stays open", openPoints, 0, FilterPack.MOST, "points");
        gradient = Check.within("gradient", gradient, LEAST_GRADIENT, MOST_GRADIENT, "");
    }

    /** What an eye or an instrument had beside the print. */
    public enum Against {
        /** Nothing but the light it stood in. */
        NOTHING,
        /** A grey card in the same light: the eye's steady error stands in both and cancels; the card has a cast of its own, known to ± 2 points. */
        CARD,
        /** A card whose own cast was measured, to ± 0.5 points. */
        MEASURED_CARD,
        /** A print that is known to be neutral, to ± 1.5 points, on the same paper in the same light. */
        REFERENCE
    }

    /** A plain look at a patch of the right density. */
    public static CastLook of(FilterPack pack, double magenta, double yellow, CastWay way) {
        return new CastLook(pack, magenta, yellow, way, Against.NOTHING, false, 0, 1, "");
    }

    public CastLook against(Against other) {
        return new CastLook(pack, magenta, yellow, way, other, atLeast, openPoints, gradient, kit);
    }

    /** The same through a kit of a name. */
    public CastLook through(String name) {
        return new CastLook(pack, magenta, yellow, way, against, atLeast, openPoints, gradient, name);
    }

    public CastLook open(double points) {
        return new CastLook(pack, magenta, yellow, way, against, atLeast, points, gradient, kit);
    }

    /**
     * The same of a print that was wet: it will dry to what is less blue (COL-39).
     *
     * @param wet how this paper changes while it dries
     */
    public CastLook dried(WetPrint wet) {
        double points = way.trust().shown() / CastWay.VIEWING_FILTER.trust().shown();
        return new CastLook(
                        pack,
                        magenta + points * wet.magentaCast(),
                        yellow + points * wet.yellowCast(),
                        way,
                        against,
                        atLeast,
                        openPoints,
                        gradient,
                        kit)
                .open(Math.hypot(openPoints, points * WetPrint.OPEN_POINTS));
    }

    /** The same in another light than the one the print will hang in (COL-40). */
    public CastLook inAnotherLight() {
        return way.eyeShare() > 0 ? open(Math.hypot(openPoints, way.eyeShare() * ANOTHER_LIGHT)) : this;
    }

    public CastLook orMore() {
        return new CastLook(pack, magenta, yellow, way, against, true, openPoints, gradient, kit);
    }

    /**
     * The same look at a patch of a wrong density, reckoned at the gradient the paper has there.
     *
     * @param stops more light that the patch needs; negative when it is too dark
     */
    public CastLook needing(double stops) {
        double log = ColourPaper.logExposureFor(MIDDLE) - LOG_PER_STOP * Check.finite("stops", stops);
        double slope = ColourPaper.gradient(ColourPaper.amount(log)) / ColourPaper.gradient(MIDDLE);
        return new CastLook(
                pack, magenta, yellow, way, against, atLeast, openPoints, Math.max(LEAST_GRADIENT, slope), kit);
    }

    /**
     * One standard deviation of either colour, points of the way.
     *
     * @param times how often the same was seen on the same patch: only the eye errs anew each time
     */
    double spread(int times) {
        double share = way.errors().share() * Math.hypot(magenta, yellow);
        double loose = way.errors().points() * (against == Against.NOTHING ? 1 : Math.sqrt(2));
        return Math.sqrt(loose * loose + times * (share * share + openPoints * openPoints));
    }
}
