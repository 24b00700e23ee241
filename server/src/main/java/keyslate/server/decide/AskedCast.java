package keyslate.server.decide;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import keyslate.core.colour.CastLook;
import keyslate.core.colour.CastLook.Against;
import keyslate.core.colour.Hue;
import keyslate.core.colour.KitLook;
import keyslate.core.colour.KitLook.Through;
import keyslate.core.colour.NamedCast;
import keyslate.core.colour.NamedCast.Picture;
import keyslate.core.colour.SceneOffset;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.server.Show;
import keyslate.server.decide.CastLooks.Told;
import keyslate.server.decide.DecisionViews.Beside;
import keyslate.server.decide.DecisionViews.Cast;
import keyslate.server.decide.DecisionViews.CastWay;
import keyslate.server.decide.DecisionViews.ColourLook;
import keyslate.server.decide.DecisionViews.Filter;
import keyslate.server.decide.DecisionViews.Meter;
import keyslate.server.decide.DecisionViews.Named;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.Texts;
import keyslate.store.bench.Kit;
import keyslate.store.bench.KitRepository;
import keyslate.store.json.SeenCast;
import keyslate.store.json.SeenCast.Metered;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Looks at a cast as they are asked to be weighed: read, and refused where they cannot be. */
@Component
final class AskedCast {
    private static final int MOST_LOOKS = 12;
    private static final int MOST_AT_ONCE = 2;
    private static final double MOST_POINTS = 60;
    private static final double LEAST_FACTOR = 0.2;
    private static final int LONGEST_NAME = 40;
    private static final FilterPack NO_PACK = FilterPack.of(0, 0, 0);
    private static final Map<Hue, String> NAMES =
            Map.of(Hue.R, "red", Hue.Y, "yellow", Hue.G, "green", Hue.C, "cyan", Hue.B, "blue", Hue.M, "magenta");

    private final SpotLooks spots;
    private final MeterLog log;
    private final KitRepository kits;

    AskedCast(SpotLooks spots, MeterLog log, KitRepository kits) {
        this.kits = kits;
        this.spots = spots;
        this.log = log;
    }

    /** Reads what was asked of a sheet; refuses what is missing or out of range, field by field. */
    Told told(Cast cast, Hung sheet) {
        PiecesSeen pieces = new PiecesSeen(sheet);
        FieldErrors errors = new FieldErrors();
        if (cast.way() == null) {
            errors.add("/cast/way", "E_SHAPE", "Say how the cast was seen.");
        }
        Optional<Kit> kit = kit(errors, cast);
        double factor = kit.map(AskedCast::factor).orElseGet(() -> factor(errors, cast));
        double scale = errors.check(
                "/cast/scale",
                1.0,
                () -> Check.within(
                        "scale of the casts shown",
                        CastLooks.or(cast.scale(), 1),
                        NamedCast.LEAST_SCALE,
                        NamedCast.MOST_SCALE,
                        ""));
        double density = Readings.stops(errors, "/cast/densityStops", cast.densityStops());
        List<ColourLook> looks = cast.looks() == null ? List.of() : cast.looks();
        if (looks.isEmpty() || looks.size() > MOST_LOOKS) {
            errors.add("/cast/looks", "E_SHAPE", "Say what was seen, 1 to " + MOST_LOOKS + " looks.");
        }
        LookedIn in = LookedIn.of(cast, errors);
        List<SeenCast> seen = new ArrayList<>();
        List<Stops> card = new ArrayList<>();
        for (int i = 0; i < Math.min(looks.size(), MOST_LOOKS); i++) {
            String at = "/cast/looks/" + i;
            ColourLook look = looks.get(i);
            seen.addAll(
                    switch (cast.way() == null ? CastWay.VIEWING_FILTER : cast.way()) {
                        case BY_NAME -> List.of(pieces.at(errors, at, look, named(errors, at, look, scale, in)));
                        case VIEWING_FILTER ->
                            List.of(pieces.at(errors, at, look, filtered(errors, at, look, factor, in)));
                        case PIECES -> {
                            PiecesSeen.Picked picked = pieces.picked(errors, at + "/pieces", look);
                            density += picked.moreStops() / looks.size();
                            yield List.of(
                                    kept(errors, at, in.counting(picked.look()), look, picked.words() + in.words())
                                            .at(picked.look().pack()));
                        }
                        case PICTURE -> {
                            SpotLooks.InPicture measured = spots.at(errors, at, look, sheet, in);
                            measured.more().ifPresent(card::add);
                            yield measured.casts().stream()
                                    .map(c -> c.in(area(errors, at, look)))
                                    .toList();
                        }
                        case METER -> List.of(metered(errors, at + "/meter", look, sheet));
                    });
        }
        errors.throwIfAny();
        String name = kit.map(Kit::name).orElse("");
        return new Told(
                cast.way().name(),
                card.isEmpty()
                        ? density
                        : card.stream().mapToDouble(Stops::inStops).sum() / card.size(),
                seen.stream().map(s -> s.through(name)).toList(),
                factor,
                Boolean.TRUE.equals(cast.alone()),
                in,
                !card.isEmpty());
    }

    /** The kit that was looked through; none by other ways, or where none is named. */
    private Optional<Kit> kit(FieldErrors errors, Cast cast) {
        if (cast.way() != CastWay.VIEWING_FILTER || cast.kit() == null) {
            return Optional.empty();
        }
        Optional<Kit> kit = kits.find(cast.kit());
        if (kit.isEmpty()) {
            errors.add("/cast/kit", "E_SHAPE", "There is no viewing kit of this name.");
        } else if (kit.get().says() == null) {
            errors.add("/cast/kit", "E_SHAPE", "Say what stands on the filters of this kit first.");
        }
        return kit;
    }

    /** Points of the pack for a point on its filters, to begin with. */
    private static double factor(Kit kit) {
        return Kit.CORRECTION.equals(kit.says()) ? 1 : CastLooks.USUAL_FACTOR;
    }

    private static double factor(FieldErrors errors, Cast cast) {
        return errors.check(
                "/cast/factor",
                CastLooks.USUAL_FACTOR,
                () -> Check.within(
                        "viewing-filter factor",
                        CastLooks.or(cast.factor(), CastLooks.USUAL_FACTOR),
                        LEAST_FACTOR,
                        1,
                        ""));
    }

    private static SeenCast filtered(FieldErrors errors, String look, ColourLook asked, double factor, LookedIn in) {
        String at = look + "/filters";
        List<Filter> filters = asked.filters() == null ? List.of() : asked.filters();
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
            double strength = Math.min(MOST_POINTS, points * factor / CastLooks.USUAL_FACTOR);
            through.add(new Through(filter.hue(), strength, enough));
            words.add(NAMES.get(filter.hue()) + " " + Show.number(points) + (enough ? "" : " not enough"));
        }
        CastLook seen = KitLook.at(NO_PACK, through);
        String said = words.isEmpty() ? "no filter helps" : "right through " + Show.listed(words);
        return kept(errors, look, in.counting(seen), asked, said + in.words());
    }

    private static SeenCast named(FieldErrors errors, String look, ColourLook asked, double scale, LookedIn in) {
        String at = look + "/named";
        List<Named> names = asked.named() == null ? List.of() : asked.named();
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
        String said = words.isEmpty() ? "no cast" : words.size() > 1 ? "between " + Show.listed(words) : words.get(0);
        return kept(errors, look, in.counting(NamedCast.at(NO_PACK, pictures, scale)), asked, said + in.words());
    }

    /** What a meter asks for, moved by what it was off on such scenes. */
    private SeenCast metered(FieldErrors errors, String at, ColourLook asked, Hung sheet) {
        Meter meter = asked.meter() == null ? new Meter(null, null) : asked.meter();
        String scene = Texts.checked(errors, at + "/scene", meter.scene(), 1, LONGEST_NAME);
        FilterPack pack = errors.check(at + "/pack", NO_PACK, () -> packOf(meter.pack()));
        SceneOffset offset = log.offset(
                sheet.before().paper().id(), sheet.sheet().exposed().sheet().slateId(), scene);
        FilterPack stood = sheet.before().light().toPack();
        double magenta =
                beyond(pack.inMagenta() - pack.inCyan() + offset.magenta(), stood.inMagenta() - stood.inCyan());
        double yellow = beyond(pack.inYellow() - pack.inCyan() + offset.yellow(), stood.inYellow() - stood.inCyan());
        String written = Light.dials(pack).notation();
        String words = "the meter asks for " + written + ", " + scene + ", " + offsetWords(offset);
        CastLook look = CastLook.of(stood, magenta, yellow, keyslate.core.colour.CastWay.METER)
                .open(offset.openPoints());
        return SeenCast.of(look, words).asked(new Metered(written, scene));
    }

    private static FilterPack packOf(@Nullable String written) {
        try {
            return Light.of(written == null ? "" : written).toPack();
        } catch (QuantityException e) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE, "pack", "write cyan/magenta/yellow, such as 0/58/49");
        }
    }

    private static double beyond(double asked, double stood) {
        return Math.max(-FilterPack.MOST, Math.min(FilterPack.MOST, asked - stood));
    }

    private static String offsetWords(SceneOffset offset) {
        return offset.prints() == 0
                ? "no print of such a scene tells what it is off"
                : "off by " + points(offset.magenta(), "M", "M less") + ", " + points(offset.yellow(), "Y", "Y less")
                        + " on " + offset.prints() + (offset.prints() == 1 ? " print" : " prints");
    }

    /** "3 magenta". */
    static String points(double points, String more, String less) {
        return Show.number(Math.abs(points)) + " " + (points >= 0 ? more : less);
    }

    private static void atMost(FieldErrors errors, String at, int size) {
        if (size > MOST_AT_ONCE) {
            errors.add(at, "E_SHAPE", "Two at most.");
        }
    }

    private static SeenCast kept(FieldErrors errors, String at, CastLook seen, ColourLook asked, String words) {
        Beside beside = asked.beside() == null ? Beside.NOTHING : asked.beside();
        String area = area(errors, at, asked);
        String where = area == null ? "" : ", " + area;
        return SeenCast.of(seen.against(Against.valueOf(beside.name())), words + where)
                .in(area);
    }

    /** The second place that was looked at; none where it was the first. */
    private static @Nullable String area(FieldErrors errors, String at, ColourLook asked) {
        String area = Texts.checked(errors, at + "/area", asked.area(), 0, LONGEST_NAME);
        return area.isEmpty() ? null : area;
    }
}
