package keyslate.server.decide;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import keyslate.core.colour.CastLook;
import keyslate.core.colour.CastLook.Against;
import keyslate.core.colour.Hue;
import keyslate.core.colour.KitLook;
import keyslate.core.colour.KitLook.Through;
import keyslate.core.colour.NamedCast;
import keyslate.core.colour.NamedCast.Picture;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.FilterPack;
import keyslate.server.Show;
import keyslate.server.decide.DecisionViews.Beside;
import keyslate.server.decide.DecisionViews.Cast;
import keyslate.server.decide.DecisionViews.CastWay;
import keyslate.server.decide.DecisionViews.ColourLook;
import keyslate.server.decide.DecisionViews.Filter;
import keyslate.server.decide.DecisionViews.Named;
import keyslate.server.decide.DecisionViews.Spot;
import keyslate.server.scan.NeutralReader;
import keyslate.server.web.FieldErrors;
import keyslate.store.json.Seen;
import keyslate.store.json.SeenCast;
import org.jspecify.annotations.Nullable;

/** Looks at a cast: read from what was asked, kept on record, and made into what is weighed. */
final class CastLooks {
    /** The factor at which looks are kept, so that kits of both kinds are weighed together (COL-06). */
    static final double USUAL_FACTOR = 0.5;

    /** What a picture that something spoils leaves open. */
    private static final double DOUBTFUL_POINTS = 2;

    private static final int MOST_LOOKS = 12;
    private static final int MOST_AT_ONCE = 2;
    private static final double MOST_POINTS = 60;
    private static final double LEAST_SCALE = 0.5;
    private static final double MOST_SCALE = 4;
    private static final double LEAST_FACTOR = 0.2;
    private static final FilterPack NO_PACK = FilterPack.of(0, 0, 0);
    private static final Map<Hue, String> NAMES =
            Map.of(Hue.R, "red", Hue.Y, "yellow", Hue.G, "green", Hue.C, "cyan", Hue.B, "blue", Hue.M, "magenta");

    private CastLooks() {}

    /**
     * Looks at one sheet.
     *
     * @param densityStops how much more light the patch needs
     * @param factor what a point of the kit they were had through is said to move the pack by
     * @param alone whether they count by themselves
     */
    record Told(String way, double densityStops, List<SeenCast> casts, double factor, boolean alone) {
        double magenta() {
            return casts.stream().mapToDouble(SeenCast::magentaPoints).average().orElse(0);
        }

        double yellow() {
            return casts.stream().mapToDouble(SeenCast::yellowPoints).average().orElse(0);
        }

        double strongest() {
            return Math.max(Math.abs(magenta()), Math.abs(yellow()));
        }

        Seen seen() {
            return Seen.cast(magenta(), yellow(), way, densityStops, casts);
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
        return new Told(casts.get(0).way(), or(seen.densityStops(), 0), casts, USUAL_FACTOR, false);
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
                .open(cast.openPoints());
        if (CastWay.PICTURE.name().equals(cast.way())) {
            // It went through the paper's curve already.
            return look;
        }
        CastLook needing = look.needing(densityStops);
        return cast.atLeast() ? needing.orMore() : needing;
    }

    /** Reads what was asked of a sheet; refuses what is missing or out of range, field by field. */
    static Told told(Cast cast, Hung sheet, NeutralReader reader) {
        PiecesSeen pieces = new PiecesSeen(sheet);
        FieldErrors errors = new FieldErrors();
        if (cast.way() == null) {
            errors.add("/cast/way", "E_SHAPE", "Say how the cast was seen.");
        }
        double factor = errors.check(
                "/cast/factor",
                USUAL_FACTOR,
                () -> Check.within("viewing-filter factor", or(cast.factor(), USUAL_FACTOR), LEAST_FACTOR, 1, ""));
        double scale = errors.check(
                "/cast/scale",
                1.0,
                () -> Check.within("scale of the casts shown", or(cast.scale(), 1), LEAST_SCALE, MOST_SCALE, ""));
        double density = Readings.stops(errors, "/cast/densityStops", cast.densityStops());
        List<ColourLook> looks = cast.looks() == null ? List.of() : cast.looks();
        if (looks.isEmpty() || looks.size() > MOST_LOOKS) {
            errors.add("/cast/looks", "E_SHAPE", "Say what was seen, 1 to " + MOST_LOOKS + " looks.");
        }
        List<SeenCast> seen = new ArrayList<>();
        for (int i = 0; i < Math.min(looks.size(), MOST_LOOKS); i++) {
            String at = "/cast/looks/" + i;
            ColourLook look = looks.get(i);
            seen.addAll(
                    switch (cast.way() == null ? CastWay.VIEWING_FILTER : cast.way()) {
                        case BY_NAME -> List.of(pieces.at(errors, at, look, named(errors, at + "/named", look, scale)));
                        case VIEWING_FILTER ->
                            List.of(pieces.at(errors, at, look, filtered(errors, at + "/filters", look, factor)));
                        case PIECES -> {
                            PiecesSeen.Picked picked = pieces.picked(errors, at + "/pieces", look);
                            density += picked.moreStops() / looks.size();
                            yield List.of(kept(picked.look(), look, picked.words())
                                    .at(picked.look().pack()));
                        }
                        case PICTURE -> measured(errors, at + "/spot", look.spot(), sheet, reader);
                    });
        }
        errors.throwIfAny();
        return new Told(cast.way().name(), density, seen, factor, Boolean.TRUE.equals(cast.alone()));
    }

    private static double or(Double given, double usual) {
        return given == null ? usual : given;
    }

    private static SeenCast filtered(FieldErrors errors, String at, ColourLook look, double factor) {
        List<Filter> filters = look.filters() == null ? List.of() : look.filters();
        atMost(errors, at, filters.size());
        List<Through> through = new ArrayList<>();
        List<String> words = new ArrayList<>();
        for (Filter filter : filters) {
            if (filter.hue() == null || filter.points() == null) {
                errors.add(at, "E_SHAPE", "Say which filter and how strong.");
                continue;
            }
            boolean enough = !Boolean.FALSE.equals(filter.enough());
            double points =
                    errors.check(at, 0.0, () -> Check.within("strength", filter.points(), 0, MOST_POINTS, "points"));
            // A kit that prints the correction on its filters and one that prints their own strength are weighed
            // together.
            double strength = Math.min(MOST_POINTS, points * factor / USUAL_FACTOR);
            through.add(new Through(filter.hue(), strength, enough));
            words.add(NAMES.get(filter.hue()) + " " + Show.number(points) + (enough ? "" : " not enough"));
        }
        CastLook seen = KitLook.at(NO_PACK, through);
        return kept(seen, look, words.isEmpty() ? "no filter helps" : "right through " + Show.listed(words));
    }

    private static SeenCast named(FieldErrors errors, String at, ColourLook look, double scale) {
        List<Named> names = look.named() == null ? List.of() : look.named();
        atMost(errors, at, names.size());
        List<Picture> pictures = new ArrayList<>();
        List<String> words = new ArrayList<>();
        for (Named name : names) {
            if (name.hue() == null || name.strength() == null) {
                errors.add(at, "E_SHAPE", "Say which cast and how strong.");
                continue;
            }
            NamedCast strength = NamedCast.valueOf(name.strength().name());
            pictures.add(new Picture(name.hue(), strength));
            words.add(strength.name().toLowerCase(Locale.ROOT) + " " + NAMES.get(name.hue()));
        }
        if (pictures.isEmpty() || pictures.size() > MOST_AT_ONCE) {
            pictures = List.of(Picture.NEUTRAL);
        }
        return kept(
                NamedCast.at(NO_PACK, pictures, scale),
                look,
                words.isEmpty() ? "no cast" : words.size() > 1 ? "between " + Show.listed(words) : words.get(0));
    }

    /** A spot in a picture: one look, or of pieces one at each. */
    private static List<SeenCast> measured(
            FieldErrors errors, String at, @Nullable Spot spot, Hung sheet, NeutralReader reader) {
        if (spot == null || spot.x() == null || spot.y() == null) {
            errors.add(at, "E_SHAPE", "Tap a spot in the picture that is to be neutral.");
            return List.of();
        }
        int scan = spot.scan() == null ? sheet.sheet().exposed().scans().size() : spot.scan();
        return errors.check(
                at,
                List.of(),
                () -> reader
                        .read(
                                sheet.sheet(),
                                scan,
                                Check.within("place", spot.x(), 0, 1, ""),
                                Check.within("place", spot.y(), 0, 1, ""))
                        .stream()
                        .map(CastLooks::seen)
                        .toList());
    }

    private static SeenCast seen(NeutralReader.Measured m) {
        String words = (m.piece() > 0 ? "piece " + m.piece() + " measured " : "measured ")
                + points(m.spot().magenta(), "magenta", "green") + ", "
                + points(m.spot().yellow(), "yellow", "blue");
        return new SeenCast(
                        CastWay.PICTURE.name(),
                        Beside.NOTHING.name(),
                        m.spot().magenta(),
                        m.spot().yellow(),
                        false,
                        m.doubtful() ? DOUBTFUL_POINTS : 0,
                        words)
                .at(m.light().toPack());
    }

    /** "3 magenta". */
    private static String points(double points, String more, String less) {
        return Show.number(Math.abs(points)) + " " + (points >= 0 ? more : less);
    }

    private static void atMost(FieldErrors errors, String at, int size) {
        if (size > MOST_AT_ONCE) {
            errors.add(at, "E_SHAPE", "Two at most.");
        }
    }

    private static SeenCast kept(CastLook seen, ColourLook asked, String words) {
        return new SeenCast(
                seen.way().name(),
                (asked.beside() == null ? Beside.NOTHING : asked.beside()).name(),
                seen.magenta(),
                seen.yellow(),
                seen.atLeast(),
                seen.openPoints(),
                words);
    }
}
