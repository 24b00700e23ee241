package keyslate.server.slate;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Stops;
import keyslate.core.script.BaseExposure;
import keyslate.core.script.CoverStripPlan;
import keyslate.core.script.LocalWork;
import keyslate.core.script.StripDirection;
import keyslate.core.size.PrintFit;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.medium.Media;
import keyslate.server.recipe.RecipeChange;
import keyslate.server.recipe.RecipeEditor;
import keyslate.server.recipe.StartingTime;
import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.server.slate.SlateViews.NewSlate;
import keyslate.server.slate.SlateViews.SlateView;
import keyslate.server.slate.SlateViews.StandingView;
import keyslate.server.web.ConflictException;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.NotFoundException;
import keyslate.server.web.Texts;
import keyslate.store.Database;
import keyslate.store.bench.Enlarger;
import keyslate.store.bench.Lens;
import keyslate.store.bench.Paper;
import keyslate.store.bench.StoresRepository;
import keyslate.store.negative.Frame;
import keyslate.store.negative.Roll;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateRepository;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;

/**
 * Making and editing slates. Every change is one transaction, one new recipe, one version; its view is built before it is
 * stored for good, so that a stored slate can always be opened.
 */
@Service
public class SlateService {
    private static final double USUAL_MARK = 8;
    private static final int USUAL_PATCHES = 5;
    private static final Stops USUAL_STEP = Stops.ofFraction(1, 2);
    private static final double USUAL_STEP_SECONDS = 4;
    private static final double USUAL_BORDER_MM = 6;
    /** Until something is known a strip takes about a fifth of a sheet. */
    private static final double USUAL_BREADTH = 0.25;

    private static final ExposureTime ANY_TIME = ExposureTime.ofSeconds(10);

    private final Database database;
    private final SlateRepository slates;
    private final RecipeRepository recipes;
    private final RollRepository rolls;
    private final StoresRepository stores;
    private final Media media;
    private final Rigs rigs;
    private final StartingTime startingTime;
    private final RecipeEditor editor;
    private final SlateAssembler assembler;
    private final Clock clock;
    private final boolean practice;

    SlateService(
            Database database,
            SlateRepository slates,
            RecipeRepository recipes,
            RollRepository rolls,
            StoresRepository stores,
            Media media,
            Rigs rigs,
            StartingTime startingTime,
            RecipeEditor editor,
            SlateAssembler assembler,
            Clock clock,
            @Value("${keyslate.practice:false}") boolean practice) {
        this.database = database;
        this.slates = slates;
        this.recipes = recipes;
        this.rolls = rolls;
        this.stores = stores;
        this.media = media;
        this.rigs = rigs;
        this.startingTime = startingTime;
        this.editor = editor;
        this.assembler = assembler;
        this.clock = clock;
        this.practice = practice;
    }

    public Slate find(String id) {
        return slates.find(id).orElseThrow(NotFoundException.of("slate"));
    }

    /** A new slate for a frame, set up with what fits its film and format. */
    public SlateView create(NewSlate asked) {
        FieldErrors errors = new FieldErrors();
        Frame frame =
                asked.frameId() == null ? null : rolls.frame(asked.frameId()).orElse(null);
        if (frame == null) {
            errors.add("/frameId", "E_SHAPE", "Pick a frame on the proof sheet first.");
            errors.throwIfAny();
        }
        String intent = Texts.checked(errors, "/intent", asked.intent(), 0, 400);
        boolean named = asked.title() != null && !asked.title().isBlank();
        String title = Texts.checked(errors, "/title", named ? asked.title() : nameOf(frame), 1, 80);
        errors.throwIfAny();
        String slateId = Ids.fresh();
        String now = Clocks.now(clock);
        Recipe first = firstRecipe(slateId, frame, Recipe.Naming.of(title, intent), now);
        Slate slate = new Slate(slateId, frame.id(), now, 1, first.id(), null, null, now, null, practice);
        return assembler.with(
                frame,
                () -> database.inTransaction(() -> {
                    slates.add(slate);
                    recipes.add(first);
                    return assembler.view(slate);
                }));
    }

    /** Its subject, or where it is found. */
    private String nameOf(Frame frame) {
        return frame.title().isEmpty() ? "Frame " + frame.number() : frame.title();
    }

    private Recipe firstRecipe(String slateId, Frame frame, Recipe.Naming naming, String now) {
        Roll roll = rolls.roll(frame.rollId()).orElseThrow(NotFoundException.of("roll"));
        Paper paper = paperFor(roll);
        Recipe.Setup setup = new Recipe.Setup(
                enlargerFor(paper).id(),
                lensFor(roll).id(),
                USUAL_MARK,
                paper.id(),
                paper.widthMm(),
                paper.heightMm(),
                USUAL_BORDER_MM,
                PrintFit.Way.WHOLE_PICTURE.name(),
                0.5);
        Recipe.Base base = new Recipe.Base(
                BaseExposure.of(media.of(paper.kind()).core().plainLight(), ANY_TIME),
                "default",
                "A plain default: nothing is known yet.");
        CoverStripPlan anyStrip = new CoverStripPlan(
                CoverStripPlan.Series.EQUAL_STOPS,
                Optional.empty(),
                USUAL_STEP,
                USUAL_STEP_SECONDS,
                USUAL_PATCHES,
                StripDirection.DARK_RIGHT,
                Length.ofMm(10),
                Length.ofMm(10),
                Optional.empty());
        Recipe.Local local = new Recipe.Local(List.of(), LocalWork.Way.ONE_EXPOSURE);
        Recipe bare = new Recipe(Ids.fresh(), slateId, null, now, "new slate", naming, setup, base, anyStrip, local);
        Rig rig = rigs.of(bare, frame);
        PrintFit fit = rig.fit();
        double breadth = Math.min(
                fit.imageHeight().inMm(), Math.max(40, rig.sheetHeight().inMm() * USUAL_BREADTH));
        CoverStripPlan strip = new CoverStripPlan(
                anyStrip.series(),
                Optional.empty(),
                anyStrip.step(),
                anyStrip.stepSeconds(),
                anyStrip.patches(),
                anyStrip.direction(),
                Length.ofMm(Math.max(2, Math.floor(fit.imageWidth().inMm() / USUAL_PATCHES))),
                Length.ofMm(Math.max(2, Math.floor(breadth))),
                Optional.empty());
        StartingTime.Proposal start = startingTime.propose(rig, frame.id());
        Recipe.Base started = new Recipe.Base(
                BaseExposure.of(
                        rig.medium().core().read(start.light().notation()), ExposureTime.ofSeconds(start.seconds())),
                start.source(),
                String.join("\n", start.arithmetic()));
        return new Recipe(bare.id(), slateId, null, now, "new slate", naming, setup, started, strip, local);
    }

    /** The first box for the kind of film, or else the first there is. */
    private Paper paperFor(Roll roll) {
        List<Paper> papers = stores.papers();
        return papers.stream()
                .filter(p -> p.kind().equals(roll.kind()))
                .findFirst()
                .or(() -> papers.stream().findFirst())
                .orElseThrow(() -> new ConflictException("no-paper", NO_BENCH));
    }

    private static final String NO_BENCH =
            "A slate needs an enlarger, a lens and paper. Answer the three questions on the Bench first.";

    /** The first enlarger that can give the paper its light. */
    private Enlarger enlargerFor(Paper paper) {
        List<Enlarger> enlargers = stores.enlargers();
        boolean dials = !media.of(paper.kind()).core().plainLight().points().isEmpty();
        return enlargers.stream()
                .filter(e -> e.dials() || !dials)
                .findFirst()
                .or(() -> enlargers.stream().findFirst())
                .orElseThrow(() -> new ConflictException("no-enlarger", NO_BENCH));
    }

    /** The shortest lens that covers the format: the one that needs the least head height. */
    private Lens lensFor(Roll roll) {
        double diagonal = Math.hypot(roll.longMm(), roll.shortMm());
        List<Lens> lenses = stores.lenses();
        if (lenses.isEmpty()) {
            throw new ConflictException("no-lens", NO_BENCH);
        }
        return lenses.stream()
                .filter(l -> l.coversMm() + 0.5 >= diagonal)
                .findFirst()
                .orElse(lenses.get(lenses.size() - 1));
    }

    /** Whether a frame has a slate. */
    public boolean isOnASlate(String frameId) {
        return !slates.ofFrame(frameId).isEmpty();
    }

    /** The whole slate. */
    public SlateView view(String id) {
        Slate slate = find(id);
        return assembler.with(frame(slate), () -> database.inSnapshot(() -> assembler.view(find(id))));
    }

    /** What stands, for a page that has the sheets. */
    public StandingView standing(String id) {
        Slate slate = find(id);
        return assembler.with(frame(slate), () -> database.inSnapshot(() -> assembler.standing(find(id))));
    }

    /** Edits the standing recipe. An edit that changes nothing leaves no trace. */
    public StandingView edit(String id, RecipeChange change) {
        return change(
                id,
                change.version(),
                (slate, frame) -> editor.edit(recipes.get(slate.recipeId()), frame, change)
                        .map(next -> stand(slate, next))
                        .orElse(slate));
    }

    public StandingView undo(String id, long version) {
        return change(id, version, (slate, frame) -> {
            Recipe now = recipes.get(slate.recipeId());
            if (now.previousId() == null) {
                throw new ConflictException("nothing-to-undo", "There is nothing to undo.");
            }
            return slate.with(now.previousId(), now.id(), slate.acceptedSheetId(), Clocks.now(clock));
        });
    }

    public StandingView redo(String id, long version) {
        return change(id, version, (slate, frame) -> {
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
        Slate of(Slate slate, Frame frame);
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
        Frame frame = frame(find(id));
        return assembler.with(
                frame,
                () -> database.inTransaction(() -> {
                    Slate slate = find(id);
                    if (slate.version() != version) {
                        throw ConflictException.stale();
                    }
                    Slate changed = work.of(slate, frame);
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

    public Frame frame(Slate slate) {
        return rolls.frame(slate.frameId()).orElseThrow();
    }
}
