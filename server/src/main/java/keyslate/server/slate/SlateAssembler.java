package keyslate.server.slate;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import keyslate.core.darkroom.Negative;
import keyslate.server.local.PrintKind;
import keyslate.server.medium.Media;
import keyslate.server.medium.MediumPart;
import keyslate.server.negative.Negatives;
import keyslate.server.negative.RollService;
import keyslate.server.negative.RollViews.FrameView;
import keyslate.server.preview.Previews;
import keyslate.server.recipe.StartingTime;
import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.server.sheet.Differences;
import keyslate.server.sheet.SheetAssembler;
import keyslate.server.sheet.SheetAssembler.OnCord;
import keyslate.server.sheet.SheetKinds;
import keyslate.server.sheet.SheetViews.SheetView;
import keyslate.server.slate.SlateViews.KeptRecipeView;
import keyslate.server.slate.SlateViews.MediumView;
import keyslate.server.slate.SlateViews.PreviewBasisView;
import keyslate.server.slate.SlateViews.SlateCard;
import keyslate.server.slate.SlateViews.SlateView;
import keyslate.server.slate.SlateViews.StandingView;
import keyslate.server.slate.SlateViews.SubjectView;
import keyslate.server.stores.ByHand;
import keyslate.server.subject.PositivePath;
import keyslate.server.subject.Subject;
import keyslate.server.subject.Subjects;
import keyslate.server.test.PlannedTests;
import keyslate.server.test.TestViews.TestView;
import keyslate.server.tone.Tones;
import keyslate.store.negative.Frame;
import keyslate.store.slate.Decision;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateRepository;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The view of a slate, with everything that is computed from it. */
@Component
public class SlateAssembler {
    private final SlateRepository slates;
    private final RecipeRepository recipes;
    private final Subjects subjects;
    private final Rigs rigs;
    private final SheetAssembler sheets;
    private final SheetKinds kinds;
    private final PlannedTests tests;
    private final PrintKind prints;
    private final Negatives negatives;
    private final RollService frames;
    private final StartingTime startingTime;
    private final Geometry geometry;
    private final ByHand byHand;
    private final Previews previews;
    private final Tones tones;
    private final NegativeInCarrier carrier;
    private final Media media;
    /** The small negatives of what this thread is assembling for: decoded before the transaction began. */
    private final ThreadLocal<Map<String, Optional<Negative>>> decoded = new ThreadLocal<>();

    SlateAssembler(
            SlateRepository slates,
            RecipeRepository recipes,
            Subjects subjects,
            Rigs rigs,
            SheetAssembler sheets,
            SheetKinds kinds,
            PlannedTests tests,
            PrintKind prints,
            Negatives negatives,
            RollService frames,
            StartingTime startingTime,
            Geometry geometry,
            ByHand byHand,
            Previews previews,
            Tones tones,
            NegativeInCarrier carrier,
            Media media) {
        this.slates = slates;
        this.recipes = recipes;
        this.subjects = subjects;
        this.rigs = rigs;
        this.sheets = sheets;
        this.kinds = kinds;
        this.tests = tests;
        this.prints = prints;
        this.negatives = negatives;
        this.frames = frames;
        this.startingTime = startingTime;
        this.geometry = geometry;
        this.byHand = byHand;
        this.previews = previews;
        this.tones = tones;
        this.carrier = carrier;
        this.media = media;
    }

    /**
     * Decodes the negative of what is printed, then runs work that assembles views of it in a transaction or a snapshot: no picture is decoded while a
     * connection is held.
     */
    public <T> T with(Subject subject, Supplier<T> work) {
        decoded.set(media.all().stream()
                .collect(Collectors.toMap(MediumPart::id, m -> negatives.small(subject, m.core()))));
        try {
            return work.get();
        } finally {
            decoded.remove();
        }
    }

    /** The small negative as the paper of a rig sees it; inside {@link #with} only. */
    public Optional<Negative> small(Rig rig) {
        return Objects.requireNonNull(decoded.get(), "with").get(rig.medium().id());
    }

    /** The whole slate; inside {@link #with} and a snapshot or transaction. */
    public SlateView view(Slate slate) {
        Subject subject = subjects.of(slate);
        Recipe recipe = recipes.get(slate.recipeId());
        Rig rig = rigs.of(recipe, subject);
        List<OnCord> cord = sheets.cord(slate.id(), rig);
        return new SlateView(
                slate.id(),
                subjectView(subject),
                standing(slate, rig, cord),
                cord.stream().map(OnCord::view).toList(),
                slate.putAwayAt(),
                !slates.isExposed(slate.id()));
    }

    private SubjectView subjectView(Subject subject) {
        if (subject instanceof Subject.Single single) {
            FrameView frame = frames.view(single.frame());
            return SubjectView.of(subject, frame.toBeAsked(), frame);
        }
        List<Frame> all = ((Subject.Proof) subject).frames();
        return SubjectView.of(subject, frames.views(all).stream().anyMatch(FrameView::toBeAsked), null);
    }

    /** What an edit can change; inside {@link #with} and a snapshot or transaction. */
    public StandingView standing(Slate slate) {
        Rig rig = rigs.of(recipes.get(slate.recipeId()), subjects.of(slate));
        return standing(slate, rig, sheets.cord(slate.id(), rig));
    }

    private static final String NO_SCAN = "No scan of this frame: everything is planned on the empty sheet.";
    private static final String NO_SCANS = "No scan of any frame: everything is planned on the empty sheet.";

    private static PreviewBasisView basisView(Subject subject, Previews.Basis basis) {
        if (!subject.hasPicture()) {
            return new PreviewBasisView(false, subject.isProof() ? NO_SCANS : NO_SCAN);
        }
        long without = subject.pictureIds().stream().filter(Objects::isNull).count();
        String flat = without == 0
                ? ""
                : " " + (without == 1 ? "One frame was" : without + " frames were") + " never scanned: flat grey.";
        return new PreviewBasisView(basis.measured(), basis.text() + flat);
    }

    private StandingView standing(Slate slate, Rig rig, List<OnCord> cord) {
        Recipe recipe = rig.recipe();
        Previews.Basis basis = previews.basis(rig, cord);
        TestView test = tests.view(rig, small(rig));
        return new StandingView(
                slate.version(),
                recipe.id(),
                MediumView.of(rig),
                SetupViews.naming(recipe.naming()),
                tones.view(rig, small(rig), basis, test, cord),
                SetupViews.setup(rig, geometry.warnings(rig), startingTime.propose(rig)),
                geometry.view(rig),
                SetupViews.base(rig),
                test,
                prints.view(rig),
                cord.isEmpty()
                        ? List.of()
                        : Differences.between(cord.get(cord.size() - 1).rig(), rig),
                byHand.lines(rig.medium().isExposedInFullDark()),
                otherBox(rig, cord),
                carrier.another(rig).orElse(null),
                NextStep.of(slate, rig, cord, kinds),
                basisView(rig.subject(), basis),
                previews.key(rig, basis),
                previews.castsKey(rig),
                slate.acceptedSheetId(),
                recipe.previousId() == null ? null : recipe.edit(),
                Optional.ofNullable(slate.redoId())
                        .map(recipes::get)
                        .map(Recipe::edit)
                        .orElse(null));
    }

    /** The recipe a sheet was made with, and the enlarger as it stood. */
    public KeptRecipeView kept(Sheet sheet) {
        Recipe recipe = recipes.get(sheet.recipeId());
        Rig rig = rigs.of(sheet, recipe, rigs.of(recipe));
        return new KeptRecipeView(
                SetupViews.naming(recipe.naming()),
                SetupViews.setup(rig, List.of(), null),
                SetupViews.base(rig),
                sheet.stood() != null);
    }

    /** A test from another box tells little of this one: batches differ by a third of a stop as a rule. */
    private static @Nullable String otherBox(Rig now, List<OnCord> cord) {
        return cord.stream()
                .filter(s -> s.patches().isPresent()
                        && s.exposed().decisions().stream().anyMatch(d -> Decision.READING.equals(d.kind())))
                .reduce((first, last) -> last)
                .filter(s -> !s.rig().paper().id().equals(now.paper().id()))
                .map(s -> s.view().label() + " was made on " + s.rig().paper().type() + ", "
                        + s.rig().paper().batch() + ": this box may differ by a third of a stop or more.")
                .orElse(null);
    }

    /** The slate as a small print on the bench. */
    public SlateCard card(Slate slate) {
        Subject subject = subjects.of(slate);
        Recipe recipe = recipes.get(slate.recipeId());
        Rig rig = rigs.of(recipe, subject);
        List<OnCord> cord = sheets.cord(slate.id(), rig);
        SheetView last = null;
        for (OnCord sheet : cord) {
            if (sheet.view().pictureId() != null) {
                last = sheet.view();
            }
        }
        return new SlateCard(
                slate.id(),
                recipe.naming().title(),
                recipe.naming().intent(),
                PositivePath.of(subject),
                last == null ? rig.frameAspect() : last.aspect(),
                NextStep.of(slate, rig, cord, kinds),
                cord.size(),
                last == null ? null : last.pictureId(),
                !slates.isExposed(slate.id()));
    }
}
