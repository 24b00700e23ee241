package keyslate.server.stores;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import keyslate.core.colour.GelPack;
import keyslate.core.colour.Layers;
import keyslate.core.colour.PackTimes;
import keyslate.core.contrast.GradeScale;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.medium.Monochrome;
import keyslate.core.quantity.Grade;
import keyslate.core.rescale.Links;
import keyslate.server.Show;
import keyslate.server.rig.Constants.Name;
import keyslate.server.rig.PackConstants;
import keyslate.server.stores.StoresViews.ConstantView;
import keyslate.store.bench.Constant;
import keyslate.store.bench.Enlarger;
import keyslate.store.bench.Lens;
import keyslate.store.bench.Paper;
import keyslate.store.bench.Thing;
import keyslate.store.json.StoredConstant;
import org.jspecify.annotations.Nullable;

/** Constants in words: what, how much, how surely, from what. */
public final class ConstantViews {
    private static final String DEFAULT = "default";
    private static final String DIAL_END = "Its dials end at";
    private static final String LIGHTS = "Prints with red, green and blue light";
    private static final String GELS = "Packs are made of gels";
    private static final String PACK_TIMES = "Time follows the pack by";
    private static final String ALIGNED = "Board against head, facing sides differ by";

    private ConstantViews() {}

    static List<ConstantView> of(Enlarger e, List<Constant> found, List<Lens> lenses) {
        List<ConstantView> views = new ArrayList<>();
        views.add(find(found, e.id(), Name.LAG, "")
                .map(ConstantViews::view)
                .orElseGet(() -> new ConstantView(
                        Name.LAG.name(),
                        "Lamp lag, each burst",
                        seconds(e.lagSeconds()),
                        "± " + seconds(Links.LAG.limit()),
                        e.lagSource(),
                        null,
                        null,
                        null)));
        views.add(tested(found, e.id(), Name.STRAY_MINUTES));
        views.add(find(found, e.id(), Name.ALIGNMENT, "")
                .map(ConstantViews::view)
                .orElseGet(() -> byDefault(Name.ALIGNMENT, ALIGNED, "not tested", null, null)));
        views.add(find(found, e.id(), Name.EVENNESS, "")
                .map(ConstantViews::view)
                .orElseGet(() -> byDefault(Name.EVENNESS, "Evenness, darkest corner", "not measured", null, null)));
        if (e.dials()) {
            views.add(find(found, e.id(), Name.HEAD_TABLE, "")
                    .map(ConstantViews::view)
                    .orElseGet(() -> byDefault(
                            Name.HEAD_TABLE, "Dials for each grade", "filters of a set, not the dials", null, null)));
        }
        views.add(find(found, e.id(), Name.PACK_TIMES, "")
                .map(ConstantViews::view)
                .orElseGet(() -> byDefault(
                        Name.PACK_TIMES,
                        PACK_TIMES,
                        factors(PackTimes.USUAL),
                        "± " + hundredths(PackTimes.USUAL_LIMIT),
                        null)));
        views.add(find(found, e.id(), Name.GELS, "")
                .map(ConstantViews::view)
                .orElseGet(
                        () -> byDefault(Name.GELS, GELS, e.dials() ? "no, by its dials" : "none entered", null, null)));
        if (e.dials()) {
            views.add(find(found, e.id(), Name.DIAL_END, "")
                    .map(ConstantViews::view)
                    .orElseGet(() -> byDefault(Name.DIAL_END, DIAL_END, "not entered", null, null)));
        }
        views.add(find(found, e.id(), Name.LIGHTS, "")
                .map(ConstantViews::view)
                .orElseGet(() -> byDefault(Name.LIGHTS, LIGHTS, "no", null, null)));
        for (Lens lens : lenses) {
            String label = "Column scale, " + lens.name();
            views.add(find(found, e.id(), Name.COLUMN, lens.id())
                    .map(c -> labelled(view(c), label))
                    .orElseGet(() -> byDefault(
                            Name.COLUMN,
                            label,
                            "by focal length",
                            "± " + Show.number(Links.COLUMN_MM) + " mm",
                            lens.id())));
        }
        return views;
    }

    static List<ConstantView> of(Lens lens, List<Constant> found) {
        return List.of(
                find(found, lens.id(), Name.OPENINGS, "")
                        .map(ConstantViews::view)
                        .orElseGet(() -> byDefault(
                                Name.OPENINGS,
                                "True openings",
                                "as engraved",
                                "± " + hundredths(Links.OPENING.limit()) + " stop each",
                                null)),
                find(found, lens.id(), Name.PUPIL, "")
                        .map(ConstantViews::view)
                        .orElseGet(() -> byDefault(
                                Name.PUPIL,
                                "Light against size, 1/p",
                                Show.factor(Links.PUPIL.figure()),
                                "± " + hundredths(Links.PUPIL.limit()),
                                null)));
    }

    static List<ConstantView> of(
            Paper paper, List<Constant> found, List<Enlarger> enlargers, FilterViews.Told learned) {
        List<ConstantView> views = new ArrayList<>(of(paper, found));
        if (Monochrome.ID.equals(paper.kind())) {
            String what = paper.hasOneGrade() ? "Range in " : "Filters in ";
            for (Enlarger e : enlargers) {
                views.add(find(found, paper.id(), Name.FILTERS, e.id())
                        .map(c -> labelled(view(c), what + e.name()))
                        .orElseGet(() -> unmeasured(paper, what, e)));
                learned.of(paper, e).ifPresent(views::add);
            }
        }
        found.stream()
                .filter(c -> c.thingId().equals(paper.id()) && c.name().equals(Name.BATCH_SPEED.name()))
                .map(ConstantViews::view)
                .forEach(views::add);
        return views;
    }

    private static ConstantView unmeasured(Paper paper, String what, Enlarger e) {
        return paper.hasOneGrade()
                ? byDefault(
                        Name.FILTERS,
                        what + e.name(),
                        "R " + Math.round(GradeScale.isoRangeOf(Grade.of(paper.grade()))) + ", by its grade",
                        "± " + Math.round(VariableContrastPaper.GRADED_LIMIT_RANGE),
                        e.id())
                : byDefault(Name.FILTERS, what + e.name(), "matched in speed, R by their grades", null, e.id());
    }

    private static List<ConstantView> of(Paper paper, List<Constant> found) {
        return List.of(
                find(found, paper.id(), Name.DRY_DOWN, "")
                        .map(ConstantViews::view)
                        .orElseGet(() -> byDefault(Name.DRY_DOWN, "Dries down by", "not measured", null, null)),
                find(found, paper.id(), Name.RECIPROCITY, "")
                        .map(ConstantViews::view)
                        .orElseGet(
                                () -> byDefault(Name.RECIPROCITY, "Loss in long exposures, p", "1, none", null, null)));
    }

    static List<ConstantView> of(Thing thing, List<Constant> found) {
        return switch (ThingKind.valueOf(thing.kind())) {
            case SAFELIGHT -> List.of(tested(found, thing.id(), Name.SAFE_MINUTES));
            case ROOM -> List.of(tested(found, thing.id(), Name.FOG_MINUTES));
            case SCREEN -> List.of(tested(found, thing.id(), Name.COIN_MINUTES));
            case EASEL, CARRIER, FILTER_SET, VIEWING_KIT, DRUM, MACHINE, VIEWING_LIGHT -> List.of();
        };
    }

    /** Minutes by its owner's own test. */
    private static ConstantView tested(List<Constant> found, String thingId, Name name) {
        return find(found, thingId, name, "")
                .map(ConstantViews::view)
                .orElseGet(() -> byDefault(name, minutesOf(name), "not tested", null, null));
    }

    private static String minutesOf(Name name) {
        return switch (name) {
            case FOG_MINUTES -> "Paper stays clean with all lights out for";
            case STRAY_MINUTES -> "Paper on the board stays clean, lamp on and lens shut, for";
            case COIN_MINUTES -> "A coin leaves no mark before this screen for";
            default -> "Paper is safe for";
        };
    }

    private static Optional<Constant> find(List<Constant> found, String thingId, Name name, String lensId) {
        return found.stream()
                .filter(c -> c.thingId().equals(thingId)
                        && c.name().equals(name.name())
                        && c.lensId().equals(lensId))
                .findFirst();
    }

    private static ConstantView byDefault(
            Name name, String label, String text, @Nullable String limit, @Nullable String lensId) {
        return new ConstantView(name.name(), label, text, limit, DEFAULT, null, null, lensId);
    }

    private static ConstantView labelled(ConstantView v, String label) {
        return new ConstantView(v.name(), label, v.text(), v.limit(), v.source(), v.foundAt(), v.id(), v.lensId());
    }

    /** A constant that was found. */
    public static ConstantView view(Constant c) {
        return switch (Name.valueOf(c.name())) {
            case LAG ->
                found(
                        c,
                        c.value().second() == null
                                ? "Lamp lag, each burst"
                                : "Lamp lag; bursts repeat within "
                                        + Show.number(c.value().second()) + " %",
                        seconds(c.value().value()),
                        "± " + seconds(c.value().limit()));
            case EVENNESS -> {
                StoredConstant.Place darkest = c.value().places().stream()
                        .min(Comparator.comparingDouble(StoredConstant.Place::value))
                        .orElseThrow();
                yield found(
                        c,
                        "Evenness, darkest corner",
                        stop(darkest.value()),
                        "± " + hundredths(darkest.limit()) + " stop");
            }
            case COLUMN -> {
                StoredConstant.Scale s = c.value().scale();
                yield found(
                        c,
                        "Column scale",
                        "focal length " + Show.number(s.focalMm()) + " mm, begins at " + Show.number(s.begins())
                                + " mm",
                        null);
            }
            case OPENINGS -> {
                StoredConstant.Place farthest = c.value().places().stream()
                        .max(Comparator.comparingDouble(p -> Math.abs(p.value())))
                        .orElseThrow();
                yield found(
                        c,
                        "True openings, farthest off",
                        Show.aperture(Double.parseDouble(farthest.at())) + " " + stop(farthest.value()),
                        "± " + hundredths(farthest.limit()) + " stop");
            }
            case PUPIL ->
                found(
                        c,
                        "Light against size, 1/p",
                        Show.factor(c.value().value()),
                        "± " + hundredths(c.value().limit()));
            case DRY_DOWN ->
                found(
                        c,
                        "Dries down by",
                        Show.number(c.value().value()) + " %",
                        "± " + Show.number(c.value().limit()) + " %");
            case SAFE_MINUTES, FOG_MINUTES, STRAY_MINUTES, COIN_MINUTES ->
                found(
                        c,
                        minutesOf(Name.valueOf(c.name())),
                        Show.number(c.value().value()) + " min",
                        null);
            case ALIGNMENT ->
                found(
                        c,
                        ALIGNED,
                        Show.number(c.value().value()) + " mm",
                        "± " + Show.number(c.value().limit()) + " mm");
            case FILTERS, LEARNED, GUESSES -> FilterViews.of(c);
            case HEAD_TABLE -> FilterViews.head(c);
            case GELS -> found(c, GELS, gels(PackConstants.gels(c.value())), null);
            case DIAL_END -> found(c, DIAL_END, Show.number(c.value().value()), null);
            case LIGHTS ->
                found(
                        c,
                        LIGHTS,
                        c.value().places().stream()
                                .map(p -> String.format(Locale.ROOT, "%s %.3f", p.at(), p.value()))
                                .collect(Collectors.joining(", ")),
                        limitOfLights(c));
            case PACK_TIMES -> {
                PackTimes times = PackConstants.times(c.value());
                Layers limits = PackConstants.limits(c.value());
                String each = Stream.of(limits.red(), limits.green(), limits.blue())
                        .map(ConstantViews::hundredths)
                        .collect(Collectors.joining(", "));
                yield found(c, PACK_TIMES, factors(times), "± " + each);
            }
            case BATCH_SPEED ->
                found(
                        c,
                        "Needs more light than the other box",
                        stop(c.value().value()),
                        "± " + hundredths(c.value().limit()) + " stop");
            case RECIPROCITY ->
                found(
                        c,
                        "Loss in long exposures, p",
                        Show.factor(c.value().value()),
                        "± " + hundredths(c.value().limit()));
        };
    }

    static ConstantView found(Constant c, String label, String text, @Nullable String limit) {
        return new ConstantView(
                c.name(),
                label,
                text,
                limit,
                c.source().toLowerCase(Locale.ROOT),
                c.foundAt(),
                c.id(),
                c.lensId().isEmpty() ? null : c.lensId());
    }

    /** "magenta 5, 10, 20, 40", colour by colour. */
    private static String gels(List<GelPack.Gel> gels) {
        return Stream.of(GelPack.Colour.values())
                .map(colour -> gels.stream()
                        .filter(g -> g.colour() == colour)
                        .map(g -> Show.number(g.points()))
                        .collect(Collectors.joining(", ", colour.name().toLowerCase(Locale.ROOT) + " ", "")))
                .filter(words -> !words.endsWith(" "))
                .collect(Collectors.joining("; "));
    }

    /** By how several matches scatter; none where nothing tells. */
    private static @Nullable String limitOfLights(Constant c) {
        StoredConstant.Place red = c.value().places().get(0);
        return red.limit() == 0 ? null : "± " + Math.round(100 * red.limit() / red.value()) + " %";
    }

    private static String factors(PackTimes times) {
        return String.format(Locale.ROOT, "C %.2f, M %.2f, Y %.2f", times.cyan(), times.magenta(), times.yellow())
                + switch (times.following()) {
                    case ON -> "";
                    case SMALL -> ", by half";
                    case OFF -> ", but it stays";
                };
    }

    private static String seconds(double seconds) {
        return String.format(Locale.ROOT, "%.2f s", seconds);
    }

    private static String hundredths(double value) {
        return String.format(Locale.ROOT, "%.2f", value);
    }

    private static String stop(double stops) {
        return String.format(Locale.ROOT, "%+.2f stop", stops).replace('-', '−');
    }
}
