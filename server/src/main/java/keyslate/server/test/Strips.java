package keyslate.server.test;

import keyslate.core.exposure.CheckStrip;
import keyslate.core.quantity.Length;
import keyslate.core.script.CoverStripPlan;
import keyslate.core.script.StripDirection;
import keyslate.server.rig.Rig;

/** Strips as they fit a picture. */
public final class Strips {
    private Strips() {}

    /** The length of the picture in the direction of a strip. */
    public static Length room(Rig rig, StripDirection direction) {
        return StripGeometry.room(rig, direction);
    }

    /** The length of the picture across a strip. */
    public static Length roomAcross(Rig rig, StripDirection direction) {
        return StripGeometry.roomAcross(rig, direction);
    }

    /** The strip for a negative of which nothing is known. */
    public static CoverStripPlan wide(Rig rig, CoverStripPlan now) {
        return now.as(StripKind.wideStrip(rig), room(rig, now.direction()));
    }

    /** The strip that settles what a reading left open. */
    public static CoverStripPlan check(Rig rig, CheckStrip strip) {
        CoverStripPlan now = (CoverStripPlan) rig.recipe().test();
        return now.as(strip, room(rig, now.direction()));
    }
}
