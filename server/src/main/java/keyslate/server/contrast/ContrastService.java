package keyslate.server.contrast;

import java.util.List;
import java.util.Optional;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.SplitByStrips;
import keyslate.core.contrast.Threads;
import keyslate.core.light.Light;
import keyslate.core.medium.Monochrome;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.script.BaseExposure;
import keyslate.core.test.CoverStripPlan.SecondLies;
import keyslate.server.Show;
import keyslate.server.contrast.ContrastViews.ContrastAsked;
import keyslate.server.contrast.ContrastViews.ContrastProposal;
import keyslate.server.contrast.ContrastViews.ContrastTaking;
import keyslate.server.contrast.ContrastViews.ContrastView;
import keyslate.server.contrast.ContrastViews.StripsAsked;
import keyslate.server.contrast.ContrastViews.Way;
import keyslate.server.decide.StripTimes;
import keyslate.server.preview.Previews;
import keyslate.server.recipe.RecipeEditor;
import keyslate.server.rig.Grades;
import keyslate.server.rig.OtherGrades;
import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.server.sheet.SheetAssembler;
import keyslate.server.sheet.SheetAssembler.OnCord;
import keyslate.server.slate.SlateAssembler;
import keyslate.server.slate.SlateService;
import keyslate.server.slate.SlateViews.SlateView;
import keyslate.server.stores.TimeWindow;
import keyslate.server.subject.Subjects;
import keyslate.server.web.ConflictException;
import keyslate.server.web.RefusedException;
import keyslate.store.Database;
import keyslate.store.bench.StoresRepository;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.Slate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The contrast of what stands, and what to set for another one. */
@Service
public class ContrastService {
    private static final ContrastAsked NOTHING = new ContrastAsked(null, null, null, null, null, null, null, null);

    private final Database database;
    private final SlateService slates;
    private final SlateAssembler assembler;
    private final Subjects subjects;
    private final RecipeRepository recipes;
    private final RecipeEditor editor;
    private final SheetAssembler cords;
    private final Rigs rigs;
    private final Previews previews;
    private final StoresRepository stores;
    private final OtherGrades otherGrades;

    ContrastService(
            Database database,
            SlateService slates,
            SlateAssembler assembler,
            Subjects subjects,
            RecipeRepository recipes,
            RecipeEditor editor,
            SheetAssembler cords,
            Rigs rigs,
            Previews previews,
            StoresRepository stores,
            OtherGrades otherGrades) {
        this.stores = stores;
        this.otherGrades = otherGrades;
        this.database = database;
        this.slates = slates;
        this.assembler = assembler;
        this.subjects = subjects;
        this.recipes = recipes;
        this.editor = editor;
        this.cords = cords;
        this.rigs = rigs;
        this.previews = previews;
    }

    private record Ground(ToneGround tones, Previews.Basis basis) {}

    /** The tones of what stands on the paper's curve. */
    public ContrastView stands(String slateId) {
        Ground found = ground(slateId);
        ToneGround ground = found.tones();
        BaseExposure base = ground.rig().exposure();
        return new ContrastView(
                ground.curve(ground.stands()),
                ground.span().orElse(null),
                ground.threads().stream()
                        .map(t -> ContrastAdvice.standing(ground, t))
                        .toList(),
                ground.off(ground.stands()),
                base.parts().stream().map(ContrastAdvice::view).toList(),
                ContrastAdvice.view(ground.rig().medium().core().asOne(base)),
                ContrastAdvice.strips(ground),
                found.basis().text());
    }

    /** What is proposed for what is asked; stores nothing. */
    public ContrastProposal propose(String slateId, ContrastAsked asked) {
        Ground found = ground(slateId);
        try {
            ContrastProposal proposal =
                    ContrastAdvice.propose(found.tones(), asked, found.basis().text());
            List<Threads.Tone> wanted = ContrastAdvice.wanted(found.tones(), asked);
            ContrastProposal graded = wanted.isEmpty()
                    ? proposal
                    : otherGrades
                            .forTones(found.tones().rig(), wanted)
                            .map(proposal::because)
                            .orElse(proposal);
            return OpeningBeside.say(
                            found.tones().rig(),
                            ExposureTime.ofSeconds(proposal.one().seconds()),
                            TimeWindow.of(stores))
                    .map(graded::with)
                    .orElse(graded);
        } catch (QuantityException e) {
            throw refused(e);
        }
    }

    /** Sets what is proposed. */
    public SlateView take(String slateId, ContrastTaking taking) {
        ContrastAsked asked = taking.asked() == null ? NOTHING : taking.asked();
        return slates.changeWhole(slateId, taking.version(), (slate, subject) -> {
            Recipe now = recipes.get(slate.recipeId());
            Ground found = ground(slate);
            try {
                BaseExposure base = ContrastAdvice.find(found.tones(), asked).base();
                String because = ContrastAdvice.propose(
                                found.tones(), asked, found.basis().text())
                        .why();
                return slates.stand(slate, editor.expose(now, base, "own", "By threads over the curve. " + because));
            } catch (QuantityException e) {
                throw refused(e);
            }
        });
    }

    /** Plans the strips of a split. */
    public SlateView planStrips(String slateId, StripsAsked asked) {
        return slates.changeWhole(slateId, asked.version(), (slate, subject) -> {
            Rig rig = rigs.of(recipes.get(slate.recipeId()));
            if (rig.paper().hasOneGrade()) {
                throw new ConflictException("one-grade", "This paper has one contrast: there is nothing to split.");
            }
            GradeFilter soft = filter(rig, "/soft", asked.soft(), GradeFilter.G00);
            GradeFilter hard = filter(rig, "/hard", asked.hard(), GradeFilter.G5);
            if (soft.compareTo(hard) >= 0) {
                throw RefusedException.of("/hard", "E_RANGE", "The hard filter has to be harder than the soft one.");
            }
            List<OnCord> cord = cords.cord(slate.id(), rig);
            Optional<Stops> open = StripTimes.open(soft, hard, rig, cord);
            if (asked.lies() != null && asked.lies() != SecondLies.BESIDE) {
                BaseExposure split = pair(slate, rig, soft, hard, open.isPresent());
                return slates.stand(slate, SplitStrips.ofBoth(editor, rig, split, asked.lies(), open));
            }
            return slates.stand(
                    slate,
                    SplitStrips.planned(
                            editor,
                            rig,
                            StripTimes.through(soft, rig, cord),
                            StripTimes.through(hard, rig, cord),
                            open));
        });
    }

    /** The split that stands; else as strips through both say, or what is the same print as the one filter that stands. */
    private BaseExposure pair(Slate slate, Rig rig, GradeFilter soft, GradeFilter hard, boolean byStrips) {
        BaseExposure stands = rig.exposure();
        List<GradeFilter> filters =
                stands.parts().stream().map(p -> p.light().toFilter()).toList();
        if (stands.isSplit() && filters.containsAll(List.of(soft, hard))) {
            return stands;
        }
        ContrastAsked two = new ContrastAsked(
                Way.TWO_FILTERS,
                null,
                null,
                null,
                Light.filter(soft).notation(),
                Light.filter(hard).notation(),
                byStrips ? SplitByStrips.School.EXACT : null,
                null);
        try {
            return ContrastAdvice.find(ground(slate).tones(), two).base();
        } catch (QuantityException e) {
            throw refused(e);
        }
    }

    private static GradeFilter filter(Rig rig, String pointer, @Nullable String notation, GradeFilter usual) {
        try {
            return notation == null ? usual : rig.medium().core().read(notation).toFilter();
        } catch (QuantityException e) {
            throw RefusedException.of(pointer, "E_SHAPE", Show.sentence(e.getMessage()));
        }
    }

    private static RefusedException refused(QuantityException e) {
        return RefusedException.of("/light", "E_INFEASIBLE", Show.sentence(e.getMessage()));
    }

    private Ground ground(String slateId) {
        return assembler.with(
                subjects.of(slates.find(slateId)), () -> database.inSnapshot(() -> ground(slates.find(slateId))));
    }

    private Ground ground(Slate slate) {
        Rig rig = rigs.of(recipes.get(slate.recipeId()));
        if (!Monochrome.ID.equals(rig.medium().id())) {
            throw new ConflictException("wrong-paper", "Contrast is chosen on variable-contrast paper.");
        }
        List<OnCord> cord = cords.cord(slate.id(), rig);
        Previews.Basis basis = previews.basis(rig, cord);
        ToneGround tones = ToneGround.of(
                Grades.paper(rig), rig, basis, assembler.small(rig), filter -> StripTimes.through(filter, rig, cord));
        return new Ground(tones, basis);
    }
}
