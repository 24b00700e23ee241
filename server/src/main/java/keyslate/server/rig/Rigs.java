package keyslate.server.rig;

import java.util.List;
import java.util.Optional;
import keyslate.core.calibration.ColumnScale;
import keyslate.core.quantity.Length;
import keyslate.server.medium.Media;
import keyslate.server.subject.Subject;
import keyslate.server.subject.Subjects;
import keyslate.server.web.NotFoundException;
import keyslate.store.bench.ConstantRepository;
import keyslate.store.bench.Paper;
import keyslate.store.bench.StoresRepository;
import keyslate.store.json.Stood;
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

    Rigs(
            StoresRepository stores,
            ConstantRepository constants,
            Subjects subjects,
            SlateRepository slates,
            Media media) {
        this.stores = stores;
        this.constants = constants;
        this.subjects = subjects;
        this.slates = slates;
        this.media = media;
    }

    /** With what stands in Stores today. */
    public Rig of(Recipe recipe) {
        return of(recipe, subjects.of(slates.find(recipe.slateId()).orElseThrow(NotFoundException.of("slate"))));
    }

    /** With what stands in Stores today; for a recipe whose slate need not be stored yet. */
    public Rig of(Recipe recipe, Subject subject) {
        Paper paper = stores.paper(recipe.setup().paperId()).orElseThrow(NotFoundException.of("paper"));
        return new Rig(
                recipe,
                subject,
                subject.width(),
                subject.height(),
                stores.enlarger(recipe.setup().enlargerId()).orElseThrow(NotFoundException.of("enlarger")),
                stores.lens(recipe.setup().lensId()).orElseThrow(NotFoundException.of("lens")),
                paper,
                media.of(paper.kind()),
                Constants.of(constants.of(List.of(
                        recipe.setup().enlargerId(),
                        recipe.setup().lensId(),
                        recipe.setup().paperId()))));
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
        return new Rig(
                recipe,
                today.subject(),
                Length.ofMm(stood.frameWidthMm()),
                Length.ofMm(stood.frameHeightMm()),
                stood.enlarger(),
                stood.lens(),
                stood.paper(),
                media.of(stood.paper().kind()),
                stood.constants() == null ? Constants.NONE : new Constants(stood.constants()));
    }

    /** The scale of a column with a lens, where it was read against sizes. */
    public Optional<ColumnScale> scale(String enlargerId, String lensId) {
        return Constants.of(constants.of(List.of(enlargerId))).scale(enlargerId, lensId);
    }

    /** A rig of before with what is known of its things today. */
    public Rig asKnownToday(Rig stood) {
        return new Rig(
                stood.recipe(),
                stood.subject(),
                stood.frameWidth(),
                stood.frameHeight(),
                stood.enlarger(),
                stood.lens(),
                stood.paper(),
                stood.medium(),
                Constants.of(constants.of(List.of(
                        stood.enlarger().id(), stood.lens().id(), stood.paper().id()))));
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
