package keyslate.core.colour;

import java.util.List;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;

/**
 * What was seen through the filters of a kit: the filter that helps most first, then what was laid on it for the rest.
 *
 * <p>COL-29: a filter clears the cast of its complement, at its strength; two that lie on each other add up. Where the strongest of a kit does not suffice, the cast lies beyond it: taken at
 * {@value #BEYOND} times its strength, open by a third of that.
 */
public final class KitLook {
    private static final double BEYOND = 1.5;
    private static final double OPEN_SHARE = 1.0 / 3;
    private static final double MOST_POINTS = 60;

    private KitLook() {}

    /**
     * One filter of a look.
     *
     * @param points its strength in points of the kit, 0 to 60
     * @param enough false where this is the strongest there is and the cast shows still
     */
    public record Through(Hue filter, double points, boolean enough) {
        public Through {
            points = Check.within("strength", points, 0, MOST_POINTS, "points");
        }

        double worth() {
            return enough ? points : BEYOND * points;
        }

        double open() {
            return enough ? 0 : OPEN_SHARE * worth();
        }
    }

    /** The look at a patch of this pack; no filter at all where it is neutral. */
    public static CastLook at(FilterPack pack, List<Through> filters) {
        FilterShift cast = FilterShift.NONE;
        double open = 0;
        for (Through through : filters) {
            cast = cast.plus(through.filter().complement().byMagentaAndYellow(through.worth()));
            open = Math.hypot(open, through.open());
        }
        CastLook look = CastLook.of(pack, cast.inMagenta(), cast.inYellow(), CastWay.VIEWING_FILTER)
                .open(open);
        return filters.stream().allMatch(Through::enough) ? look : look.orMore();
    }
}
