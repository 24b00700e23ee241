package keyslate.server.rig;

import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import keyslate.core.calibration.ColumnScale;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.quantity.Length;
import keyslate.core.rescale.Known;
import keyslate.core.rescale.Links;
import keyslate.server.Show;
import keyslate.store.bench.Constant;
import keyslate.store.bench.Enlarger;
import keyslate.store.json.Stood.StoodConstant;
import keyslate.store.json.StoredConstant;

/**
 * What is known of enlarger, lens and paper: as found by a test or entered, else a default with the limit that defaults have.
 *
 * @param found what counts, or counted when a sheet was begun
 */
public record Constants(List<StoodConstant> found) {
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
        SAFE_MINUTES
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
        return new Known(c.value().value(), c.value().limit(), source(c));
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

    /** Entrance over exit pupil of a lens. */
    public Known inversePupil(String lensId) {
        return find(lensId, "", Name.PUPIL).map(Constants::number).orElse(Links.PUPIL);
    }

    /** The column's scale with a lens, where it was read against sizes. */
    public Optional<ColumnScale> scale(String enlargerId, String lensId) {
        return find(enlargerId, lensId, Name.COLUMN).map(c -> {
            StoredConstant.Scale s = c.value().scale();
            return new ColumnScale(
                    Length.ofMm(s.focalMm()),
                    s.begins(),
                    s.beginsVariance(),
                    s.focalVariance(),
                    s.covariance(),
                    s.freedom());
        });
    }

    /** The corner that gets least light against the centre, stops, where it was measured. */
    public Optional<StoredConstant.Place> darkestCorner(String enlargerId) {
        return find(enlargerId, "", Name.EVENNESS)
                .flatMap(c -> c.value().places().stream()
                        .min(java.util.Comparator.comparingDouble(StoredConstant.Place::value)));
    }

    /** Percent by which a paper dries down, where its user found it. */
    public Optional<Known> dryDown(String paperId) {
        return find(paperId, "", Name.DRY_DOWN).map(Constants::number);
    }

    /** What counts of these things. */
    public Constants only(List<String> thingIds) {
        return new Constants(
                found.stream().filter(c -> thingIds.contains(c.thingId())).toList());
    }
}
