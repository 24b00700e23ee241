package keyslate.server.decide;

import java.util.List;
import keyslate.core.colour.CastLook;
import keyslate.core.colour.CastLook.Against;
import keyslate.core.quantity.FilterPack;
import keyslate.server.decide.DecisionViews.Beside;
import keyslate.server.decide.DecisionViews.CastWay;
import keyslate.store.json.Seen;
import keyslate.store.json.SeenCast;
import keyslate.store.json.Taught;
import org.jspecify.annotations.Nullable;

/** Looks at a cast, as they are kept on record and made into what is weighed. */
final class CastLooks {
    /** The factor at which looks are kept, so that kits of both kinds are weighed together (COL-06). */
    static final double USUAL_FACTOR = 0.5;

    /** What was wet or in another light is in the looks already. */
    private static final LookedIn AS_KEPT = new LookedIn(true, "", false);

    private CastLooks() {}

    /**
     * Looks at one sheet.
     *
     * @param densityStops how much more light the patch needs
     * @param factor what a point of the kit they were had through is said to move the pack by
     * @param alone whether they count by themselves
     * @param in how the print was as it was looked at
     * @param byCard whether the density was measured on a grey card
     */
    record Told(
            String way,
            double densityStops,
            List<SeenCast> casts,
            double factor,
            boolean alone,
            LookedIn in,
            boolean byCard) {
        double magenta() {
            return casts.stream().mapToDouble(SeenCast::magentaPoints).average().orElse(0);
        }

        double yellow() {
            return casts.stream().mapToDouble(SeenCast::yellowPoints).average().orElse(0);
        }

        double strongest() {
            return Math.max(Math.abs(magenta()), Math.abs(yellow()));
        }

        /** On record, with what all looks have taught so far. */
        Seen seen(List<Taught> taught) {
            return Seen.cast(
                    magenta(),
                    yellow(),
                    way,
                    densityStops,
                    in.dry(),
                    in.lamp().isEmpty() ? null : in.lamp(),
                    casts,
                    taught.isEmpty() ? null : taught);
        }

        /** As they are weighed at the pack of the sheet. */
        List<CastLook> at(FilterPack pack) {
            return casts.stream().map(c -> look(pack, c, densityStops)).toList();
        }
    }

    /** What a decision on record says; one look where it was made before several could be. */
    static Told kept(Seen seen) {
        List<SeenCast> casts = seen.casts() == null
                ? List.of(new SeenCast(
                        seen.way() == null ? CastWay.VIEWING_FILTER.name() : seen.way(),
                        Beside.NOTHING.name(),
                        or(seen.magentaPoints(), 0),
                        or(seen.yellowPoints(), 0),
                        false,
                        0,
                        ""))
                : seen.casts();
        return new Told(casts.get(0).way(), or(seen.densityStops(), 0), casts, USUAL_FACTOR, false, AS_KEPT, false);
    }

    private static CastLook look(FilterPack pack, SeenCast cast, double densityStops) {
        CastLook look = CastLook.of(
                        cast.at() == null
                                ? pack
                                : FilterPack.of(
                                        cast.at().get(0),
                                        cast.at().get(1),
                                        cast.at().get(2)),
                        cast.magentaPoints(),
                        cast.yellowPoints(),
                        keyslate.core.colour.CastWay.valueOf(cast.way()))
                .against(Against.valueOf(cast.against()))
                .open(cast.openPoints())
                .through(cast.kit() == null ? "" : cast.kit());
        if (CastWay.PICTURE.name().equals(cast.way()) || CastWay.METER.name().equals(cast.way())) {
            // It went through the paper's curve already, or never saw the print.
            return look;
        }
        CastLook needing = look.needing(densityStops);
        return cast.atLeast() ? needing.orMore() : needing;
    }

    static double or(@Nullable Double given, double usual) {
        return given == null ? usual : given;
    }
}
