package keyslate.server.decide;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.Show;
import keyslate.server.decide.DecisionViews.Acceptance;
import keyslate.server.decide.DecisionViews.Answer;
import keyslate.server.decide.DecisionViews.Cast;
import keyslate.server.decide.DecisionViews.ColourJudgement;
import keyslate.server.decide.DecisionViews.ColourProposal;
import keyslate.server.decide.DecisionViews.ColourView;
import keyslate.server.decide.DecisionViews.Judgement;
import keyslate.server.decide.DecisionViews.Marks;
import keyslate.server.decide.DecisionViews.Reading;
import keyslate.server.decide.DecisionViews.SceneView;
import keyslate.server.decide.DecisionViews.Taking;
import keyslate.server.decide.DecisionViews.VerdictView;
import keyslate.server.decide.DecisionViews.Wishes;
import keyslate.server.recipe.RecipeEditor;
import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.server.scan.NeutralReader;
import keyslate.server.scan.PictureReader;
import keyslate.server.scan.ScanViews.PictureView;
import keyslate.server.sheet.SheetAssembler;
import keyslate.server.sheet.SheetAssembler.OnCord;
import keyslate.server.slate.SlateService;
import keyslate.server.slate.SlateViews.SlateView;
import keyslate.server.subject.Subject;
import keyslate.server.test.CheckPlan;
import keyslate.server.web.ConflictException;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.NotFoundException;
import keyslate.server.web.RefusedException;
import keyslate.server.web.Texts;
import keyslate.store.Database;
import keyslate.store.json.Pictured;
import keyslate.store.json.Seen;
import keyslate.store.slate.Decision;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.Slate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Readings of strips, judgements of colour and of prints, acceptance. A verdict can always be overruled; both stay on record. */
@Service
public class DecisionService {
    private static final int LONGEST_REMARK = 400;

    private final Database database;
    private final SheetRepository sheets;
    private final RecipeRepository recipes;
    private final SlateService slates;
    private final SheetAssembler cords;
    private final Rigs rigs;
    private final RecipeEditor editor;
    private final Map<String, Adviser> advisers;
    private final PictureReader pictures;
    private final NeutralReader neutral;
    private final ColourVerdicts colours;
    private final Tells tells;
    private final Clock clock;

    DecisionService(
            Database database,
            SheetRepository sheets,
            RecipeRepository recipes,
            SlateService slates,
            SheetAssembler cords,
            Rigs rigs,
            RecipeEditor editor,
            List<Adviser> advisers,
            PictureReader pictures,
            NeutralReader neutral,
            ColourVerdicts colours,
            Tells tells,
            Clock clock) {
        this.colours = colours;
        this.tells = tells;
        this.pictures = pictures;
        this.neutral = neutral;
        this.database = database;
        this.sheets = sheets;
        this.recipes = recipes;
        this.slates = slates;
        this.cords = cords;
        this.rigs = rigs;
        this.editor = editor;
        this.advisers = advisers.stream().collect(Collectors.toMap(Adviser::mediumId, Function.identity()));
        this.clock = clock;
    }

    /** The verdict that these marks lead to; stores nothing. */
    public VerdictView proposeReading(String sheetId, Marks marks) {
        Hung strip = database.inSnapshot(() -> strip(sheetId)).row(marks.row());
        Marks told = told(strip, marks);
        return AsPatch.with(adviser(strip).reading(strip, told), strip, told);
    }

    /** The marks as they count: measured in a picture, or several looks together. */
    private Marks told(Hung strip, Marks marks) {
        return FromPicture.marks(pictures, strip, SeveralLooks.together(strip, marks));
    }

    /** A picture of a test, or of one row of it, measured; stores nothing. */
    public PictureView measure(String sheetId, Pictured asked, @Nullable Integer row) {
        Hung strip = database.inSnapshot(() -> strip(sheetId)).row(row);
        return pictures.read(strip.sheet(), asked);
    }

    /** The verdict that this look leads to, with the looks before it; stores nothing. */
    public ColourProposal proposeColour(String sheetId, Cast cast) {
        return database.inSnapshot(() -> colours.proposed(colour(sheetId), cast));
    }

    /** A piece in a picture of all, as a JPEG. */
    byte[] piece(String sheetId, int scan, int number) {
        Hung sheet = database.inSnapshot(() -> strip(sheetId));
        return neutral.piece(sheet.sheet(), scan, number);
    }

    /** The verdict that these wishes lead to; stores nothing. */
    public VerdictView proposeJudgement(String sheetId, Wishes wishes) {
        Hung print = database.inSnapshot(() -> print(sheetId));
        return adviser(print).judgement(print, wishes);
    }

    public SlateView read(String sheetId, Reading asked) {
        Marks checked = Readings.checked(required("/marks", asked.marks()));
        return decide(sheetId, required("/taking", asked.taking()), () -> {
            Hung strip = strip(sheetId).row(checked.row());
            Marks marks = told(strip, checked);
            VerdictView verdict = AsPatch.with(adviser(strip).reading(strip, marks), strip, marks);
            Optional<CheckPlan> check =
                    asked.taking().answer() == Answer.CHECK ? adviser(strip).check(strip, marks) : Optional.empty();
            return new Decided(strip, Decision.READING, "read", adviser(strip).seen(marks), verdict, check);
        });
    }

    public SlateView judgeColour(String sheetId, ColourJudgement asked) {
        Cast cast = required("/cast", asked.cast());
        return decide(sheetId, required("/taking", asked.taking()), () -> {
            Hung sheet = colour(sheetId);
            ColourVerdicts.Judged judged = colours.judged(sheet, cast);
            return new Decided(sheet, Decision.CAST, "judged", judged.seen(), judged.verdict(), Optional.empty());
        });
    }

    public SlateView judge(String sheetId, Judgement asked) {
        Wishes wishes = required("/wishes", asked.wishes());
        return decide(sheetId, required("/taking", asked.taking()), () -> {
            Hung print = print(sheetId);
            VerdictView verdict = adviser(print).judgement(print, wishes);
            Seen seen = Seen.wishes(wishes.darkerStops(), wishes.harderGrades());
            return new Decided(print, Decision.JUDGEMENT, "judged", seen, verdict, Optional.empty());
        });
    }

    public SlateView accept(String sheetId, Acceptance asked) {
        String remark = remark("/remark", asked.remark());
        Sheet sheet = sheet(sheetId);
        return slates.changeWhole(sheet.slateId(), asked.version(), (slate, subject) -> {
            Hung print = print(sheetId);
            sheets.add(new Decision(
                    Ids.fresh(),
                    slate.id(),
                    sheetId,
                    Decision.ACCEPTANCE,
                    Clocks.now(clock),
                    Seen.NOTHING,
                    remark,
                    print.view().label() + " is accepted.",
                    "",
                    null,
                    null,
                    false,
                    print.before().light().notation(),
                    print.before().base().inSeconds()));
            return slate.with(slate.recipeId(), slate.redoId(), sheetId, Clocks.now(clock));
        });
    }

    /** What all looks at the colour of a slate say so far. */
    public Optional<ColourView> colourOf(String slateId) {
        return database.inSnapshot(() -> {
            Slate slate = slates.find(slateId);
            Rig now = rigs.of(recipes.get(slate.recipeId()));
            return colours.soFar(cords.cord(slateId, now), now);
        });
    }

    /** What a colour meter is off on the kinds of scene that are on record for the paper of a slate. */
    public List<SceneView> scenes(String slateId) {
        return database.inSnapshot(
                () -> colours.scenes(rigs.of(recipes.get(slates.find(slateId).recipeId()))));
    }

    /** A verdict with what it was made from. */
    private record Decided(
            Hung sheet, String kind, String source, Seen seen, VerdictView verdict, Optional<CheckPlan> check) {}

    private interface Deciding {
        Decided decide();
    }

    /** Computes the verdict anew inside the transaction, takes what is answered, and lets the recipe stand. */
    private SlateView decide(String sheetId, Taking taking, Deciding deciding) {
        if (taking.answer() == null) {
            throw RefusedException.of("/taking/answer", "E_SHAPE", "Say what becomes of the verdict.");
        }
        String remark = remark("/taking/remark", taking.remark());
        Sheet sheet = sheet(sheetId);
        return slates.changeWhole(sheet.slateId(), taking.version(), (slate, subject) -> {
            Decided decided = deciding.decide();
            Taken taken = Taken.by(taking, decided.verdict(), decided.sheet(), decided.check());
            Decision decision = record(decided, remark, taken);
            sheets.add(decision);
            tells.tell(slate.id());
            return stand(slate, subject, decided, decision, taken);
        });
    }

    private Slate stand(Slate slate, Subject subject, Decided decided, Decision decision, Taken taken) {
        String because = decided.sheet().view().label() + ": " + decision.headline()
                + (taken.overruled()
                        ? " Overruled: " + taken.light().notation() + ", "
                                + Show.seconds(taken.time().inSeconds()) + "."
                        : "")
                + taken.says();
        Recipe now = recipes.get(slate.recipeId());
        Recipe next = taken.split(now.base().exposure())
                .map(split -> editor.take(now, subject, split, taken.check(), decided.source(), because))
                .orElseGet(() -> editor.take(
                        now,
                        subject,
                        taken.light(),
                        taken.time(),
                        taken.presses(),
                        taken.check(),
                        decided.source(),
                        because));
        Slate stands = slates.stand(slate, next);
        // A print that was accepted before is not the last word any more.
        return stands.with(stands.recipeId(), null, null, stands.touchedAt());
    }

    private Decision record(Decided decided, String remark, Taken taken) {
        VerdictView verdict = decided.verdict();
        return new Decision(
                Ids.fresh(),
                decided.sheet().sheet().exposed().sheet().slateId(),
                decided.sheet().id(),
                decided.kind(),
                Clocks.now(clock),
                decided.seen(),
                remark,
                verdict.headline(),
                verdict.why(),
                verdict.light().notation(),
                verdict.seconds(),
                taken.overruled(),
                taken.light().notation(),
                taken.time().inSeconds());
    }

    private static String remark(String pointer, @Nullable String remark) {
        FieldErrors errors = new FieldErrors();
        String text = Texts.checked(errors, pointer, remark, 0, LONGEST_REMARK);
        errors.throwIfAny();
        return text;
    }

    private static <T> T required(String pointer, @Nullable T given) {
        if (given == null) {
            throw RefusedException.of(pointer, "E_SHAPE", "This is missing.");
        }
        return given;
    }

    private Adviser adviser(Hung hung) {
        Adviser ofPaper = advisers.get(hung.before().medium().id());
        return hung.before().subject().isProof() ? new ProofAdviser(ofPaper) : ofPaper;
    }

    private Sheet sheet(String id) {
        return sheets.find(id).orElseThrow(NotFoundException.of("sheet"));
    }

    private Hung strip(String id) {
        Hung sheet = hung(id);
        return fitting(sheet, !sheet.view().patches().isEmpty());
    }

    private Hung print(String id) {
        Hung sheet = hung(id);
        boolean whole = sheet.view().patches().isEmpty()
                || sheet.view().patches().size() == 1 && sheet.view().paperShare() >= 1;
        return fitting(sheet, whole);
    }

    /** A sheet whose colour can be judged. */
    private Hung colour(String id) {
        Hung sheet = hung(id);
        boolean judged = sheet.sheet()
                .patches()
                .map(p -> !p.differInLight() || p.rows().size() == 1)
                .orElse(true);
        return fitting(sheet, judged && !sheet.before().light().points().isEmpty());
    }

    private static Hung fitting(Hung sheet, boolean fits) {
        if (!fits) {
            throw new ConflictException("wrong-kind", "A sheet of this kind cannot be read or judged in this way.");
        }
        return sheet;
    }

    private Hung hung(String id) {
        Sheet sheet = sheet(id);
        if (!sheet.isHung()) {
            throw new ConflictException("not-hung", "Only a sheet that hangs on the cord can be read or judged.");
        }
        Slate slate = slates.find(sheet.slateId());
        Rig now = rigs.of(recipes.get(slate.recipeId()));
        List<OnCord> cord = cords.cord(sheet.slateId(), now);
        OnCord on =
                cord.stream().filter(s -> s.view().id().equals(id)).findFirst().orElseThrow();
        return new Hung(on, now, cord);
    }
}
