package keyslate.server.rig;

import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import keyslate.core.calibration.ColumnScale;
import keyslate.core.colour.AdditiveHead;
import keyslate.core.colour.GelPack.Gel;
import keyslate.core.colour.Layers;
import keyslate.core.colour.PackTimes;
import keyslate.core.contrast.FilterTable;
import keyslate.core.contrast.HeadTable;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.Reciprocity;
import keyslate.core.medium.Colour;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.SlateEvidence;
import keyslate.core.rescale.Known;
import keyslate.core.rescale.Links;
import keyslate.core.size.Projection;
import keyslate.server.Show;
import keyslate.store.bench.Constant;
import keyslate.store.bench.Enlarger;
import keyslate.store.json.Stood.StoodConstant;
import keyslate.store.json.StoredConstant;
import org.jspecify.annotations.Nullable;

/**
 * What is known of enlarger, lens and paper: as found by a test or entered, else a default with the limit that defaults have.
 *
 * @param found what counts, or counted when a sheet was begun
 */
public record Constants(List<StoodConstant> found) {
    /** A mark is never off by more, nor a corner darker. */
    private static final double MOST_OFFSET = 5;

    private static final int CORNERS = 4;

    /** From where a paper's loss in long exposures counts (EXP-21). */
    private static final double RECIPROCITY_FROM_S = 1;

    private static final VariableContrastPaper PLAIN = new VariableContrastPaper();

    /** Nothing but defaults. */
    public static final Constants NONE = new Constants(List.of());

    /** The names of what can be found, as they are stored. */
    public enum Name {
        LAG,
        EVENNESS,
        COLUMN,
        OPENINGS,
        PUPIL,
        DRY_DOWN,
        SAFE_MINUTES,
        /** How long paper lay with no light at all before it showed fog, or still showed none. */
        FOG_MINUTES,
        /** How long paper lay on the board with the lamp on and the lens shut. */
        STRAY_MINUTES,
        /** How long a coin lay on paper before this screen. */
        COIN_MINUTES,
        /** p of the paper's loss in long exposures. */
        RECIPROCITY,
        /** By how much two sides of the projected window differ that face each other, mm: board and head stand askew. */
        ALIGNMENT,
        /** Filters of an enlarger on a paper, or no filter at all: times and ranges. */
        FILTERS,
        /** What the dials of a head stand at for each grade. */
        HEAD_TABLE,
        /** How time follows the pack of a head: factors of cyan, magenta and yellow, and how much of that is followed. */
        PACK_TIMES,
        /** The gels that packs are made of, in place of dials. */
        GELS,
        /** The shares of red, green and blue light that a head prints with one after another. */
        LIGHTS,
        /** Where the dials of a head end, points. */
        DIAL_END,
        /** Stops more light that a paper needs than another box of it. */
        BATCH_SPEED,
        /** What the tests of all slates told of filters and lag; never kept by itself, it goes along with a sheet. */
        LEARNED,
        /** By how much first strips missed on this bench, root mean square in stops, and how many did; goes along like what was learned. */
        GUESSES
    }

    public Constants {
        found = List.copyOf(found);
    }

    static Constants of(List<Constant> constants) {
        return new Constants(constants.stream()
                .map(c -> new StoodConstant(c.thingId(), c.lensId(), c.name(), c.source(), c.foundAt(), c.value()))
                .toList());
    }

    private Optional<StoodConstant> find(String thingId, String lensId, Name name) {
        return found.stream()
                .filter(c -> c.thingId().equals(thingId)
                        && c.name().equals(name.name())
                        && c.lensId().equals(lensId))
                .findFirst();
    }

    private static Known number(StoodConstant c) {
        return new Known(present(c, c.value().value()), present(c, c.value().limit()), source(c));
    }

    /** A part that a constant of its name must have; a file may come without. */
    private static <T> T present(StoodConstant c, @Nullable T part) {
        if (part == null) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE, "constant", "a constant " + c.name() + " is not complete");
        }
        return part;
    }

    /**
     * These, once each of them can be reckoned with.
     *
     * @throws QuantityException for one that is not complete, or that no thing can have
     */
    public Constants checked() {
        found.forEach(Constants::check);
        return this;
    }

    private static void check(StoodConstant c) {
        StoredConstant value = present(c, c.value());
        switch (Name.valueOf(c.name())) {
            case LAG -> LampLag.ofSeconds(number(c).figure());
            case PUPIL -> new Projection.Enlarged(Magnification.of(1), number(c).figure());
            case DRY_DOWN -> Check.within("dry-down", number(c).figure(), 0, 20, "%");
            case RECIPROCITY -> new Reciprocity(number(c).figure(), RECIPROCITY_FROM_S);
            case ALIGNMENT -> Check.notNegative("difference", number(c).figure(), "mm");
            case SAFE_MINUTES, FOG_MINUTES, STRAY_MINUTES, COIN_MINUTES ->
                Check.notNegative("safe time", number(c).figure(), "min");
            case OPENINGS -> checkPlaces(present(c, value.places()), 1, 100);
            case EVENNESS -> checkPlaces(present(c, value.places()), CORNERS, CORNERS);
            case COLUMN -> scale(c);
            case FILTERS -> FilterConstants.table(value);
            case LEARNED -> {
                FilterConstants.table(value);
                number(c);
            }
            case HEAD_TABLE -> FilterConstants.head(value);
            case PACK_TIMES -> PackConstants.times(value);
            case GELS -> PackConstants.gels(value);
            case LIGHTS -> PackConstants.lights(value);
            case DIAL_END -> Check.within("end of the dials", number(c).figure(), 30, FilterPack.MOST, "points");
            case GUESSES -> Check.notNegative("miss", number(c).figure(), "stops");
            case BATCH_SPEED -> Check.within("speed", number(c).figure(), -MOST_OFFSET, MOST_OFFSET, "stops");
        }
    }

    private static void checkPlaces(List<StoredConstant.Place> places, int least, int most) {
        Check.count("places", places.size(), least, most);
        places.forEach(p -> Check.within("offset", p.value(), -MOST_OFFSET, MOST_OFFSET, "stops"));
    }

    private static Known.Source source(StoodConstant c) {
        return Constant.MEASURED.equals(c.source()) ? Known.Source.MEASURED : Known.Source.ENTERED;
    }

    /** Dead time of the lamp, s. What its owner entered without a test is no surer than a default. */
    public Known lag(Enlarger enlarger) {
        return find(enlarger.id(), "", Name.LAG)
                .map(Constants::number)
                .orElseGet(() -> new Known(
                        enlarger.lagSeconds(),
                        Links.LAG.limit(),
                        "default".equals(enlarger.lagSource()) ? Known.Source.DEFAULT : Known.Source.ENTERED));
    }

    /** Stops more light at a mark of a lens than engraved. */
    public Known opening(String lensId, ApertureMark mark) {
        Predicate<StoredConstant.Place> here = p -> p.at().equals(Show.number(mark.engraved()));
        return find(lensId, "", Name.OPENINGS)
                .flatMap(c -> c.value().places().stream()
                        .filter(here)
                        .findFirst()
                        .map(p -> new Known(p.value(), p.limit(), source(c))))
                .orElse(Links.OPENING);
    }

    /** Light in each corner of the board against its centre, as EvennessReadings.Spot goes round; empty where it was not measured. */
    public List<Stops> corners(String enlargerId) {
        return find(enlargerId, "", Name.EVENNESS).stream()
                .flatMap(c -> c.value().places().stream())
                .map(p -> Stops.of(p.value()))
                .toList();
    }

    /** What a paper loses in long exposures; nothing where nobody said. */
    public Reciprocity reciprocity(String paperId) {
        return find(paperId, "", Name.RECIPROCITY)
                .map(c -> new Reciprocity(number(c).figure(), RECIPROCITY_FROM_S))
                .orElse(Reciprocity.NONE);
    }

    /** By how many percent of its time a paper dries down; none where it was not tried. */
    public Optional<Known> dryDown(String paperId) {
        return find(paperId, "", Name.DRY_DOWN).map(Constants::number);
    }

    /** What was measured of the filters of an enlarger on a paper, and learned from slates, the latter first; not what a head's table says. */
    public FilterTable measured(String paperId, String enlargerId) {
        FilterTable measured = table(paperId, enlargerId, Name.FILTERS);
        return table(paperId, enlargerId, Name.LEARNED).over(measured);
    }

    private FilterTable table(String paperId, String enlargerId, Name name) {
        return find(paperId, enlargerId, name)
                .map(c -> FilterConstants.table(c.value()))
                .orElse(FilterTable.NOTHING);
    }

    /** What is known of the filters of an enlarger on a paper: what was measured or learned over what a head's table says. */
    public FilterTable filters(String paperId, String enlargerId) {
        FilterTable dials = head(enlargerId).map(h -> h.filters(PLAIN)).orElse(FilterTable.NOTHING);
        return measured(paperId, enlargerId).over(dials);
    }

    /** The dials of an enlarger's head, where grades are made by them. */
    public Optional<HeadTable> head(String enlargerId) {
        return find(enlargerId, "", Name.HEAD_TABLE).map(c -> FilterConstants.head(c.value()));
    }

    /** How time follows the pack of an enlarger's head; the usual factors where nobody said. */
    public PackTimes packTimes(String enlargerId) {
        return find(enlargerId, "", Name.PACK_TIMES)
                .map(c -> PackConstants.times(c.value()))
                .orElse(PackTimes.USUAL);
    }

    /** How well its factors are known, 95 %; none where they are the usual ones. */
    public Optional<Layers> packTimesLimits(String enlargerId) {
        return find(enlargerId, "", Name.PACK_TIMES).map(c -> PackConstants.limits(c.value()));
    }

    /** The gels that packs are made of on an enlarger; empty where it has dials. */
    public List<Gel> gels(String enlargerId) {
        return find(enlargerId, "", Name.GELS)
                .map(c -> PackConstants.gels(c.value()))
                .orElse(List.of());
    }

    /** What is known of the head that packs are made on. */
    public Colour.Head colourHead(String enlargerId) {
        double end = find(enlargerId, "", Name.DIAL_END)
                .map(Constants::number)
                .map(Known::figure)
                .orElse(Double.POSITIVE_INFINITY);
        return new Colour.Head(packTimes(enlargerId), gels(enlargerId), lights(enlargerId), end);
    }

    /** The three lights of an enlarger's head, where it prints with them. */
    public Optional<AdditiveHead> lights(String enlargerId) {
        return find(enlargerId, "", Name.LIGHTS).map(c -> PackConstants.lights(c.value()));
    }

    /** Where they come from. */
    public Known.Source packTimesSource(String enlargerId) {
        return find(enlargerId, "", Name.PACK_TIMES).map(Constants::source).orElse(Known.Source.DEFAULT);
    }

    /** By how much the lag was learned to be off. */
    public Optional<SlateEvidence.Lag> learnedLag(String paperId, String enlargerId) {
        return find(paperId, enlargerId, Name.LEARNED)
                .map(Constants::number)
                .map(k -> new SlateEvidence.Lag(k.figure(), k.limit()));
    }

    /** By how much first strips missed on this bench where a time had been carried over, root mean square in stops, and how many did. */
    public Optional<Guesses> guesses(String paperId, String enlargerId) {
        return find(paperId, enlargerId, Name.GUESSES)
                .map(Constants::number)
                .map(k -> new Guesses(Stops.of(k.figure()), (int) Math.round(k.limit())));
    }

    /** First guesses and what they missed by. */
    public record Guesses(Stops missed, int slates) {}

    /** Stops more light that a paper needs than another box of it, whichever of the two was compared with the other; none where nobody did. */
    public Optional<Known> between(String otherId, String paperId) {
        return find(paperId, otherId, Name.BATCH_SPEED)
                .map(Constants::number)
                .or(() -> find(otherId, paperId, Name.BATCH_SPEED)
                        .map(Constants::number)
                        .map(k -> new Known(-k.figure(), k.limit(), k.source())));
    }

    /** These, with what was learned of the filters of an enlarger on a paper. */
    Constants with(StoodConstant learned) {
        return new Constants(Stream.concat(found.stream(), Stream.of(learned)).toList());
    }

    /** Entrance over exit pupil of a lens. */
    public Known inversePupil(String lensId) {
        return find(lensId, "", Name.PUPIL).map(Constants::number).orElse(Links.PUPIL);
    }

    /** The column's scale with a lens, where it was read against sizes. */
    public Optional<ColumnScale> scale(String enlargerId, String lensId) {
        return find(enlargerId, lensId, Name.COLUMN).map(Constants::scale);
    }

    private static ColumnScale scale(StoodConstant c) {
        StoredConstant.Scale s = present(c, c.value().scale());
        return new ColumnScale(
                Length.ofMm(s.focalMm()),
                s.begins(),
                s.beginsVariance(),
                s.focalVariance(),
                s.covariance(),
                s.freedom());
    }
}
