package keyslate.server.slate;

import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import keyslate.core.colour.Taste;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.recipe.MeterReadings;
import keyslate.server.recipe.RecipeChange;
import keyslate.server.recipe.RecipeEditor;
import keyslate.server.recipe.StartingTime;
import keyslate.server.rig.Rigs;
import keyslate.server.slate.SlateViews.NewSlate;
import keyslate.server.slate.SlateViews.SisterTaste;
import keyslate.server.slate.SlateViews.SlateView;
import keyslate.server.slate.SlateViews.StandingView;
import keyslate.server.slate.SlateViews.TasteView;
import keyslate.server.subject.Subject;
import keyslate.server.subject.Subjects;
import keyslate.server.web.ConflictException;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.NotFoundException;
import keyslate.server.web.Texts;
import keyslate.store.Database;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateRepository;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;

/**
 * Making and editing slates. Every change is one transaction, one new recipe, one version; its view is built before it is
 * stored for good, so that a stored slate can always be opened.
 */
@Service
public class SlateService {
    private final Database database;
    private final SlateRepository slates;
    private final RecipeRepository recipes;
    private final RollRepository rolls;
    private final Subjects subjects;
    private final FirstRecipe firstRecipes;
    private final RecipeEditor editor;
    private final SlateAssembler assembler;
    private final StartingTime startingTimes;
    private final Rigs rigs;
    private final FocusWatch focus;
    private final Clock clock;
    private final boolean practice;

    SlateService(
            Database database,
            SlateRepository slates,
            RecipeRepository recipes,
            RollRepository rolls,
            Subjects subjects,
            FirstRecipe firstRecipes,
            RecipeEditor editor,
            SlateAssembler assembler,
            StartingTime startingTimes,
            Rigs rigs,
            FocusWatch focus,
            Clock clock,
            @Value("${keyslate.practice:false}") boolean practice) {
        this.database = database;
        this.slates = slates;
        this.recipes = recipes;
        this.rolls = rolls;
        this.subjects = subjects;
        this.firstRecipes = firstRecipes;
        this.editor = editor;
        this.assembler = assembler;
        this.startingTimes = startingTimes;
        this.rigs = rigs;
        this.focus = focus;
        this.clock = clock;
        this.practice = practice;
    }

    public Slate find(String id) {
        return slates.find(id).orElseThrow(NotFoundException.of("slate"));
    }

    /** A new slate for a frame, or of a roll for its proof, set up with what fits its film and format. */
    public SlateView create(NewSlate asked) {
        FieldErrors errors = new FieldErrors();
        Optional<Subject> found = subject(errors, asked);
        String intent = Texts.checked(errors, "/intent", asked.intent(), 0, 400);
        boolean named = asked.title() != null && !asked.title().isBlank();
        String given = found.map(Subject::title).orElse("");
        String title = Texts.checked(errors, "/title", named ? asked.title() : given, found.isPresent() ? 1 : 0, 80);
        errors.throwIfAny();
        Subject subject = found.orElseThrow();
        String slateId = Ids.fresh();
        String now = Clocks.now(clock);
        Recipe first = firstRecipes.of(slateId, subject, Recipe.Naming.of(title, intent), now);
        Slate slate = new Slate(
                slateId, asked.frameId(), asked.rollId(), now, 1, first.id(), null, null, now, null, practice);
        return assembler.with(
                subject,
                () -> database.inTransaction(() -> {
                    slates.add(slate);
                    recipes.add(first);
                    return assembler.view(slate);
                }));
    }

    /** What a meter at both boards says of the first time. */
    StartingTime.Proposal startingTime(String id, @Nullable Double luxBefore, @Nullable Double luxNow) {
        FieldErrors errors = new FieldErrors();
        Optional<MeterReadings> meter = MeterReadings.of(errors, "", luxBefore, luxNow);
        errors.throwIfAny();
        return database.inSnapshot(() -> startingTimes.propose(rigs.of(recipes.get(find(id).recipeId())), meter));
    }

    /** The frame or the roll that is asked for. */
    private Optional<Subject> subject(FieldErrors errors, NewSlate asked) {
        if (asked.frameId() != null && asked.rollId() != null) {
            errors.add("/rollId", "E_SHAPE", "A slate is of a frame or of a roll, not of both.");
            return Optional.empty();
        }
        Optional<Subject> found = asked.rollId() == null
                ? Optional.ofNullable(asked.frameId()).flatMap(rolls::frame).map(subjects::of)
                : rolls.roll(asked.rollId()).map(roll -> subjects.proof(roll.id()));
        if (found.isEmpty()) {
            errors.add(
                    asked.rollId() == null ? "/frameId" : "/rollId",
                    "E_SHAPE",
                    "Pick a frame on the proof sheet first.");
        } else if (found.get() instanceof Subject.Proof proof && proof.frames().isEmpty()) {
            errors.add("/rollId", "E_INFEASIBLE", "This roll has no frames yet; a proof needs some.");
        }
        return found;
    }

    /** What other frames of the roll are meant to be like, each taste once; the one that was worked on last first. */
    List<SisterTaste> sisterTastes(String id) {
        return database.inSnapshot(() -> {
            Slate slate = find(id);
            if (!(subject(slate) instanceof Subject.Single single)) {
                return List.of();
            }
            Map<Taste, SisterTaste> tastes = new LinkedHashMap<>();
            for (Slate sister : slates.ofFramesOf(single.roll().id())) {
                Recipe.Naming naming = recipes.get(sister.recipeId()).naming();
                if (!sister.id().equals(id) && !naming.taste().isNeutral()) {
                    tastes.putIfAbsent(
                            naming.taste(), new SisterTaste(sister.id(), naming.title(), TasteView.of(naming.taste())));
                }
            }
            return List.copyOf(tastes.values());
        });
    }

    /** Whether a frame has a slate. */
    public boolean isOnASlate(String frameId) {
        return !slates.ofFrame(frameId).isEmpty();
    }

    /** The whole slate. */
    public SlateView view(String id) {
        Slate slate = find(id);
        return assembler.with(subject(slate), () -> database.inSnapshot(() -> assembler.view(find(id))));
    }

    /** What stands, for a page that has the sheets. */
    public StandingView standing(String id) {
        Slate slate = find(id);
        return assembler.with(subject(slate), () -> database.inSnapshot(() -> assembler.standing(find(id))));
    }

    /** Edits the standing recipe. An edit that changes nothing leaves no trace. */
    public StandingView edit(String id, RecipeChange change) {
        return change(
                id,
                change.version(),
                (slate, subject) -> editor.edit(recipes.get(slate.recipeId()), subject, change)
                        .map(next -> stand(slate, next))
                        .orElse(slate));
    }

    /** Focus and frame were looked at as they stand; the slate itself does not change. */
    StandingView focusChecked(String id, long version) {
        return change(id, version, (slate, subject) -> {
            focus.looked(rigs.of(recipes.get(slate.recipeId()), subject));
            return slate;
        });
    }

    public StandingView undo(String id, long version) {
        return change(id, version, (slate, subject) -> {
            Recipe now = recipes.get(slate.recipeId());
            if (now.previousId() == null) {
                throw new ConflictException("nothing-to-undo", "There is nothing to undo.");
            }
            return slate.with(now.previousId(), now.id(), slate.acceptedSheetId(), Clocks.now(clock));
        });
    }

    public StandingView redo(String id, long version) {
        return change(id, version, (slate, subject) -> {
            if (slate.redoId() == null) {
                throw new ConflictException("nothing-to-redo", "There is nothing to redo.");
            }
            Recipe undone = recipes.get(slate.redoId());
            String later = laterOf(slate.id(), undone.id());
            return slate.with(undone.id(), later, slate.acceptedSheetId(), Clocks.now(clock));
        });
    }

    /** The last recipe that followed {@code recipeId}, so that redo goes on as far as undo went back. */
    private String laterOf(String slateId, String recipeId) {
        String later = null;
        for (Recipe r : recipes.of(slateId)) {
            if (recipeId.equals(r.previousId())) {
                later = r.id();
            }
        }
        return later;
    }

    /** A change of a slate: the slate with its new pointers, or the same one when nothing changes. */
    @FunctionalInterface
    public interface Change {
        Slate of(Slate slate, Subject subject);
    }

    /** Stores a recipe and makes it the standing one; inside {@link #change} only. */
    public Slate stand(Slate slate, Recipe next) {
        recipes.add(next);
        return slate.standing(next.id(), Clocks.now(clock));
    }

    /** Runs a change in one transaction if the slate still is at {@code version}; refuses it otherwise. */
    public StandingView change(String id, long version, Change work) {
        return change(id, version, work, assembler::standing);
    }

    /** The same, answering with the whole slate. */
    public SlateView changeWhole(String id, long version, Change work) {
        return change(id, version, work, assembler::view);
    }

    private <V> V change(String id, long version, Change work, Function<Slate, V> view) {
        Subject subject = subject(find(id));
        return assembler.with(
                subject,
                () -> database.inTransaction(() -> {
                    Slate slate = find(id);
                    if (slate.version() != version) {
                        throw ConflictException.stale();
                    }
                    Slate changed = work.of(slate, subject);
                    if (changed != slate && !slates.advance(changed)) {
                        throw ConflictException.stale();
                    }
                    return view.apply(find(id));
                }));
    }

    /** Counts a change that an event made and no window asked for; inside a transaction. */
    public void touch(String id) {
        Slate slate = find(id);
        slates.advance(slate.with(slate.recipeId(), slate.redoId(), slate.acceptedSheetId(), Clocks.now(clock)));
    }

    public Subject subject(Slate slate) {
        return subjects.of(slate);
    }
}
