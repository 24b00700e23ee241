package keyslate.core.colour;

import keyslate.core.quantity.FilterShift;

/**
 * What one point of the pack shows as by a way (COL-28): V = G·(n − p).
 *
 * @param kit the name of the kit of viewing filters; empty of other ways, and where none is named
 * @param magenta points of magenta cast for one point of magenta in the pack, and how well that is known
 * @param yellow the same of yellow
 * @param magentaSide magenta cast for a point of yellow
 * @param yellowSide yellow cast for a point of magenta
 */
public record KitFactors(CastWay way, String kit, Known magenta, Known magentaSide, Known yellowSide, Known yellow) {
    private static final double DRIFT = 0.05;
    private static final double SIDE_DRIFT = 0.5;

    /**
     * A figure.
     *
     * @param spread one standard deviation
     */
    public record Known(double figure, double spread) {}

    /** As it is believed before any look. */
    public static KitFactors believed(CastWay way) {
        return believed(way, way.trust().shown());
    }

    /** The same for a kit whose points are said to show so much. */
    public static KitFactors believed(CastWay way, double shown) {
        CastWay.Trust trust = way.trust();
        Known own = new Known(shown, trust.doubt() * shown);
        Known side = new Known(0, trust.side() * shown);
        return new KitFactors(way, "", own, side, side, own);
    }

    /** The same of a kit of a name. */
    public KitFactors of(String name) {
        return new KitFactors(way, name, magenta, magentaSide, yellowSide, yellow);
    }

    /** Whether a look was had by this way, and through this kit. */
    public boolean isOf(CastLook look) {
        return way == look.way() && kit.equals(look.kit());
    }

    /** As they are believed on the next slate: in another light and on another print they may be off by a twentieth more, and are never less known than with no look at all (COL-46). */
    public KitFactors onAnotherSlate() {
        KitFactors unknown = believed(way);
        double open = DRIFT * way.trust().shown();
        return new KitFactors(
                way,
                kit,
                wider(magenta, open, unknown.magenta()),
                wider(magentaSide, open * SIDE_DRIFT, unknown.magentaSide()),
                wider(yellowSide, open * SIDE_DRIFT, unknown.yellowSide()),
                wider(yellow, open, unknown.yellow()));
    }

    private static Known wider(Known known, double open, Known unknown) {
        return new Known(known.figure(), Math.min(Math.hypot(known.spread(), open), unknown.spread()));
    }

    /** k of COL-06: points of the pack for one point of magenta by this way. */
    public double magentaFactor() {
        return 1 / magenta.figure();
    }

    /** k of COL-06 of yellow. */
    public double yellowFactor() {
        return 1 / yellow.figure();
    }

    /** How far a look of this way alone pulls the pack towards neutral: G⁻¹·V/w, points of magenta and yellow. */
    public FilterShift pull(CastLook look) {
        double g = look.gradient() * (magenta.figure() * yellow.figure() - magentaSide.figure() * yellowSide.figure());
        return FilterShift.of(
                0,
                (yellow.figure() * look.magenta() - magentaSide.figure() * look.yellow()) / g,
                (magenta.figure() * look.yellow() - yellowSide.figure() * look.magenta()) / g);
    }

    Known[] inOrder() {
        return new Known[] {magenta, magentaSide, yellowSide, yellow};
    }
}
