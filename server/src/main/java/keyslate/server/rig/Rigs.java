package keyslate.server.rig;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import keyslate.core.calibration.ColumnScale;
import keyslate.core.contrast.FilterTable;
import keyslate.core.medium.Colour;
import keyslate.core.medium.Monochrome;
import keyslate.core.quantity.Length;
import keyslate.core.reading.SlateEvidence;
import keyslate.server.medium.Media;
import keyslate.server.medium.MediumPart;
import keyslate.server.subject.Subject;
import keyslate.server.subject.Subjects;
import keyslate.server.web.NotFoundException;
import keyslate.store.bench.Constant;
import keyslate.store.bench.ConstantRepository;
import keyslate.store.bench.Enlarger;
import keyslate.store.bench.Paper;
import keyslate.store.bench.StoresRepository;
import keyslate.store.json.Stood;
import keyslate.store.json.StoredConstant;
import keyslate.store.negative.Frame;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SlateRepository;
import org.springframework.stereotype.Component;

/** Finds the things a recipe names: those of today, or those that stood when a sheet was begun. */
@Component
public class Rigs {
    private final StoresRepository stores;
    private final ConstantRepository constants;
    private final Subjects subjects;
    private final SlateRepository slates;
    private final Media media;
    private final Learned learned;

    Rigs(
            StoresRepository stores,
            ConstantRepository constants,
            Subjects subjects,
            SlateRepository slates,
            Media media,
            Learned learned) {
        this.stores = stores;
        this.constants = constants;
        this.subjects = subjects;
        this.slates = slates;
        this.media = media;
        this.learned = learned;
    }

    /** With what stands in Stores today. */
    public Rig of(Recipe recipe) {
        return of(recipe, subjects.of(slates.find(recipe.slateId()).orElseThrow(NotFoundException.of("slate"))));
    }

    /** With what stands in Stores today; for a recipe whose slate need not be stored yet. */
    public Rig of(Recipe recipe, Subject subject) {
        Paper paper = stores.paper(recipe.setup().paperId()).orElseThrow(NotFoundException.of("paper"));
        Enlarger enlarger = stores.enlarger(recipe.setup().enlargerId()).orElseThrow(NotFoundException.of("enlarger"));
        Constants known = known(enlarger, recipe.setup().lensId(), paper, recipe.slateId());
        return new Rig(
                recipe,
                subject,
                subject.width(),
                subject.height(),
                enlarger,
                stores.lens(recipe.setup().lensId()).orElseThrow(NotFoundException.of("lens")),
                paper,
                medium(paper, enlarger, known),
                known);
    }

    /** A paper with what is known of it under an enlarger; the dials of a head do nothing to graded paper. */
    private MediumPart medium(Paper paper, Enlarger enlarger, Constants known) {
        return Colour.ID.equals(paper.kind())
                ? media.on(known.colourHead(enlarger.id()))
                : media.of(paper, filters(paper, enlarger, known));
    }

    private static FilterTable filters(Paper paper, Enlarger enlarger, Constants known) {
        return paper.hasOneGrade()
                ? known.measured(paper.id(), enlarger.id())
                : known.filters(paper.id(), enlarger.id());
    }

    /** What is known today of an enlarger, a lens and a paper: found on any box of it, and learned from all slates. */
    private Constants known(Enlarger enlarger, String lensId, Paper paper, String slateId) {
        Constants found = found(enlarger, lensId, paper);
        return Monochrome.ID.equals(paper.kind()) ? withLearned(found, enlarger, paper, slateId) : found;
    }

    private Constants found(Enlarger enlarger, String lensId, Paper paper) {
        List<Paper> ofKind = stores.papers().stream()
                .filter(p -> p.kind().equals(paper.kind()))
                .toList();
        List<String> boxes = ofKind.stream().map(Paper::id).toList();
        List<String> alike =
                ofKind.stream().filter(p -> p.isLike(paper)).map(Paper::id).toList();
        List<String> things = Stream.concat(Stream.of(enlarger.id(), lensId, paper.id()), boxes.stream())
                .distinct()
                .toList();
        List<Constant> found = constants.of(things);
        List<Constant> own = found.stream()
                .filter(c -> !boxes.contains(c.thingId())
                        || c.thingId().equals(paper.id())
                        || c.lensId().equals(paper.id()))
                .toList();
        // Filters print alike on every box of a paper: the newest that was found of them counts.
        Optional<Constant> filters = found.stream()
                .filter(c -> alike.contains(c.thingId()) || c.thingId().equals(paper.id()))
                .filter(c -> c.name().equals(Constants.Name.FILTERS.name())
                        && c.lensId().equals(enlarger.id()))
                .max(Comparator.comparing(Constant::foundAt));
        return Constants.of(Stream.concat(
                        own.stream().filter(c -> !c.name().equals(Constants.Name.FILTERS.name())),
                        filters.stream().map(c -> of(c, paper.id())))
                .toList());
    }

    private static Constant of(Constant c, String paperId) {
        return new Constant(
                c.id(),
                paperId,
                c.lensId(),
                c.name(),
                c.foundAt(),
                c.source(),
                c.value(),
                c.readings(),
                c.remark(),
                c.undoneAt());
    }

    /** What slates told of the filters of an enlarger on a paper, and of its lag. */
    public Learned.Gathered learned(Paper paper, Enlarger enlarger) {
        return learned(found(enlarger, "", paper), enlarger, paper, "");
    }

    private Learned.Gathered learned(Constants known, Enlarger enlarger, Paper paper, String butSlateId) {
        return learned.of(new Learned.Asked(
                paper.type(), enlarger.id(), butSlateId, filters(paper, enlarger, known), known.lag(enlarger)));
    }

    /** With what other slates told: what its own tests say is weighed with these, and not twice. */
    private Constants withLearned(Constants known, Enlarger enlarger, Paper paper, String butSlateId) {
        Learned.Gathered told = learned(known, enlarger, paper, butSlateId);
        if (!told.any()) {
            return known;
        }
        StoredConstant table = FilterConstants.of(told.told().filters());
        SlateEvidence.Lag off = told.told().lag();
        Constants with = known.with(stood(
                paper,
                enlarger,
                Constants.Name.LEARNED,
                new StoredConstant(
                        off.offSeconds(), off.limitSeconds(), (double) told.slates(), table.places(), null)));
        return told.guesses().isEmpty()
                ? with
                : with.with(stood(
                        paper,
                        enlarger,
                        Constants.Name.GUESSES,
                        StoredConstant.number(
                                Math.sqrt(told.guesses().stream()
                                        .mapToDouble(g -> g * g)
                                        .average()
                                        .orElseThrow()),
                                told.guesses().size())));
    }

    private static Stood.StoodConstant stood(
            Paper paper, Enlarger enlarger, Constants.Name name, StoredConstant value) {
        return new Stood.StoodConstant(paper.id(), enlarger.id(), name.name(), Constant.MEASURED, "", value);
    }

    /** As it stood when the sheet was begun; where that was not recorded, with {@code today}'s things. */
    public Rig of(Sheet sheet, Recipe recipe, Rig today) {
        Stood stood = sheet.stood();
        if (stood == null) {
            return new Rig(
                    recipe,
                    today.subject(),
                    today.frameWidth(),
                    today.frameHeight(),
                    stores.enlarger(recipe.setup().enlargerId()).orElse(today.enlarger()),
                    stores.lens(recipe.setup().lensId()).orElse(today.lens()),
                    stores.paper(recipe.setup().paperId()).orElse(today.paper()),
                    today.medium(),
                    Constants.NONE);
        }
        Constants known = stood.constants() == null ? Constants.NONE : new Constants(stood.constants());
        return new Rig(
                recipe,
                today.subject(),
                Length.ofMm(stood.frameWidthMm()),
                Length.ofMm(stood.frameHeightMm()),
                stood.enlarger(),
                stood.lens(),
                stood.paper(),
                medium(stood.paper(), stood.enlarger(), known),
                known);
    }

    /** The scale of a column with a lens, where it was read against sizes. */
    public Optional<ColumnScale> scale(String enlargerId, String lensId) {
        return Constants.of(constants.of(List.of(enlargerId))).scale(enlargerId, lensId);
    }

    /** A rig of before with what is known of its things today. */
    public Rig asKnownToday(Rig stood) {
        Constants known = known(
                stood.enlarger(),
                stood.lens().id(),
                stood.paper(),
                stood.recipe().slateId());
        return new Rig(
                stood.recipe(),
                stood.subject(),
                stood.frameWidth(),
                stood.frameHeight(),
                stood.enlarger(),
                stood.lens(),
                stood.paper(),
                medium(stood.paper(), stood.enlarger(), known),
                known);
    }

    /** What has to be frozen with a sheet that is begun with {@code rig}. */
    public Stood stood(Rig rig) {
        return new Stood(
                rig.enlarger(),
                rig.lens(),
                rig.paper(),
                rig.frameWidth().inMm(),
                rig.frameHeight().inMm(),
                stores.baths().stream()
                        .filter(b -> b.process().equals(rig.medium().id()))
                        .map(b -> new Stood.StoodBath(b.name(), b.capacityM2(), b.usedM2()))
                        .toList(),
                rig.medium().room(),
                rig.subject() instanceof Subject.Proof proof
                        ? new Stood.StoodFilm(
                                proof.frames().stream().map(Frame::id).toList(),
                                proof.cut().strips())
                        : null,
                rig.constants().found());
    }
}
