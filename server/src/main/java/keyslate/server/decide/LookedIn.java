package keyslate.server.decide;

import keyslate.core.colour.CastLook;
import keyslate.core.colour.CastWay;
import keyslate.core.colour.WetPrint;
import keyslate.server.decide.DecisionViews.Cast;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.Texts;

/**
 * How a print was as its colour was looked at.
 *
 * @param lamp in the user's words; empty where nobody said
 * @param elsewhere whether it will hang in another light
 */
record LookedIn(boolean dry, String lamp, boolean elsewhere) {
    private static final int LONGEST = 40;

    static LookedIn of(Cast cast, FieldErrors errors) {
        String lamp = Texts.checked(errors, "/cast/lamp", cast.lamp(), 0, LONGEST);
        return new LookedIn(!Boolean.FALSE.equals(cast.dry()), lamp, Boolean.TRUE.equals(cast.elsewhere()));
    }

    /** The look as it counts for the dry print where it will hang. */
    CastLook counting(CastLook look) {
        if (look.way() == CastWay.METER) {
            return look;
        }
        CastLook asDry = dry ? look : look.dried(WetPrint.USUAL);
        return elsewhere ? asDry.inAnotherLight() : asDry;
    }

    /** ", wet, under a warm lamp". */
    String words() {
        return (dry ? "" : ", wet")
                + (lamp.isEmpty() ? "" : ", under " + lamp)
                + (elsewhere ? ", not where it will hang" : "");
    }
}
