package keyslate.server.slate;

import java.time.Clock;
import java.util.List;
import java.util.function.Function;
import keyslate.core.size.PrintFit;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.slate.SlateRequests.NewSlate;
import keyslate.server.slate.SlateRequests.RecipeChange;
import keyslate.server.slate.SlateViews.StartingTimeView;
import keyslate.server.web.ConflictException;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.NotFoundException;
import keyslate.store.Database;
import keyslate.store.bench.Lens;
import keyslate.store.bench.Paper;
import keyslate.store.bench.StoresRepository;
import keyslate.store.negative.Frame;
import keyslate.store.negative.Roll;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateRepository;
import org.springframework.stereotype.Service;

/** Making and editing slates. Every change is one transaction, one new recipe, one version. */
@Service
public class SlateService {
    private static final int DEFAULT_PATCHES = 5;
    private static final double DEFAULT_STEP_STOPS = 0.5;
    private static final double DEFAULT_BORDER_MM = 6;

    private final Database database;
    private final SlateRepository slates;
    private final RollRepository rolls;
    private final StoresRepository stores;
    private final Rigs rigs;
    private final StartingTime startingTime;
    private final RecipeEditor editor;
    private final Clock clock;

    SlateService(
            Database database,
            SlateRepository slates,
            RollRepository rolls,
            StoresRepository stores,
            Rigs rigs,
            StartingTime startingTime,
            RecipeEditor editor,
            Clock clock) {
        this.database = database;
        this.slates = slates;
        this.rolls = rolls;
        this.stores = stores;
        this.rigs = rigs;
        this.startingTime = startingTime;
        this.editor = editor;
        this.clock = clock;
    }

    public Slate find(String id) {
        return slates.find(id).orElseThrow(NotFoundException.of("slate"));
    }

    /** A new slate for a frame, set up with what fits its format. */
    public Slate create(NewSlate asked) {
        FieldErrors errors = new FieldErrors();
        Frame frame =
                asked.frameId() == null ? null : rolls.frame(asked.frameId()).orElse(null);
        if (frame == null) {
            errors.add("/frameId", "E_SHAPE", "Pick a frame on the proof sheet first.");
        }
        String intent = asked.intent() == null ? "" : asked.intent().strip();
        if (intent.length() > 400) {
            errors.add("/intent", "E_SHAPE", "Write up to 400 characters here.");
        }
        errors.throwIfAny();
        String title = asked.title() == null || asked.title().isBlank()
                ? frame.title()
                : asked.title().strip();
        if (title.length() > 80) {
            errors.add("/title", "E_SHAPE", "Write 1 to 80 characters here.");
        }
        errors.throwIfAny();
        String slateId = Ids.fresh();
        String now = Clocks.now(clock);
        Recipe bare = firstRecipe(slateId, frame, title, intent, now);
        Slate slate = new Slate(slateId, frame.id(), now, 1, bare.id(), null, null, now);
        database.inTransaction(() -> {
            slates.add(slate);
            slates.add(bare);
        });
        return slate;
    }

    private Recipe firstRecipe(String slateId, Frame frame, String title, String intent, String now) {
        Roll roll = rolls.roll(frame.rollId()).orElseThrow(NotFoundException.of("roll"));
        Lens lens = fitting(roll);
        Paper paper = stores.papers().stream()
                .findFirst()
                .orElseThrow(() -> new NotFoundException("There is no paper in Stores yet."));
        String enlarger = stores.enlargers().stream()
                .findFirst()
                .orElseThrow(() -> new NotFoundException("There is no enlarger in Stores yet."))
                .id();
        Recipe.Setup setup = new Recipe.Setup(
                enlarger,
                lens.id(),
                8,
                paper.id(),
                paper.widthMm(),
                paper.heightMm(),
                DEFAULT_BORDER_MM,
                PrintFit.Way.WHOLE_PICTURE.name(),
                0.5,
                "2½",
                StartingTime.DEFAULT_SECONDS,
                "default",
                "A plain default: nothing is known yet.");
        Recipe.Strip strip = new Recipe.Strip(
                "EQUAL_STOPS", null, DEFAULT_STEP_STOPS, 4, DEFAULT_PATCHES, "DARK_RIGHT", 10, 10, null);
        Recipe bare = new Recipe(Ids.fresh(), slateId, null, now, "new slate", title, intent, setup, strip, List.of());
        Rig rig = rigs.of(bare, frame);
        PrintFit fit = rig.fit();
        double length = fit.imageWidth().inMm();
        double breadth = Math.min(fit.imageHeight().inMm(), rig.sheetHeight().inMm() / 2);
        Recipe.Strip fitted = new Recipe.Strip(
                strip.kind(),
                null,
                strip.stepStops(),
                strip.stepSeconds(),
                strip.patches(),
                strip.direction(),
                Math.floor(length / DEFAULT_PATCHES),
                Math.floor(breadth),
                null);
        StartingTimeView start = startingTime.propose(rig);
        Recipe.Setup timed = setup.withTime(start.seconds(), start.source(), String.join("\n", start.arithmetic()));
        return new Recipe(bare.id(), slateId, null, now, "new slate", title, intent, timed, fitted, List.of());
    }

    /** The shortest lens that covers the format: the one that needs the least head height. */
    private Lens fitting(Roll roll) {
        double diagonal = Math.hypot(roll.longMm(), roll.shortMm());
        List<Lens> lenses = stores.lenses();
        if (lenses.isEmpty()) {
            throw new NotFoundException("There is no lens in Stores yet.");
        }
        return lenses.stream()
                .filter(l -> l.coversMm() + 0.5 >= diagonal)
                .findFirst()
                .orElse(lenses.get(lenses.size() - 1));
    }

    /** Edits the standing recipe. An edit that changes nothing leaves no trace. */
    public Slate edit(String id, RecipeChange change) {
        return change(id, change.version(), slate -> {
            Recipe now = slates.recipe(slate.recipeId());
            Recipe next = editor.edit(now, change);
            return RecipeEditor.NO_CHANGE.equals(next.edit()) ? slate : stand(slate, next);
        });
    }

    public Slate undo(String id, long version) {
        return change(id, version, slate -> {
            Recipe now = slates.recipe(slate.recipeId());
            if (now.previousId() == null) {
                throw new ConflictException("nothing-to-undo", "There is nothing to undo.");
            }
            return with(slate, now.previousId(), now.id(), slate.acceptedSheetId());
        });
    }

    public Slate redo(String id, long version) {
        return change(id, version, slate -> {
            if (slate.redoId() == null) {
                throw new ConflictException("nothing-to-redo", "There is nothing to redo.");
            }
            Recipe undone = slates.recipe(slate.redoId());
            return with(slate, undone.id(), laterOf(slate.id(), undone.id()), slate.acceptedSheetId());
        });
    }

    /** The last recipe that followed {@code recipeId}, so that redo goes on as far as undo went back. */
    private String laterOf(String slateId, String recipeId) {
        String later = null;
        for (Recipe r : slates.recipesOf(slateId)) {
            if (recipeId.equals(r.previousId())) {
                later = r.id();
            }
        }
        return later;
    }

    /** Stores a recipe and makes it the standing one; inside {@link #change} only. */
    public Slate stand(Slate slate, Recipe next) {
        slates.add(next);
        return with(slate, next.id(), null, slate.acceptedSheetId());
    }

    /** The slate with other pointers; stored by {@link #change}. */
    public Slate with(Slate slate, String recipeId, String redoId, String acceptedSheetId) {
        return new Slate(
                slate.id(),
                slate.frameId(),
                slate.createdAt(),
                slate.version(),
                recipeId,
                redoId,
                acceptedSheetId,
                Clocks.now(clock));
    }

    /** Runs a change in one transaction if the slate still is at {@code version}; refuses it otherwise. */
    public Slate change(String id, long version, Function<Slate, Slate> work) {
        return database.inTransaction(() -> {
            Slate slate = find(id);
            if (slate.version() != version) {
                throw ConflictException.stale();
            }
            Slate changed = work.apply(slate);
            if (changed != slate && !slates.advance(changed)) {
                throw ConflictException.stale();
            }
            return find(id);
        });
    }
}
