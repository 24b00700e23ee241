package keyslate.server.judge;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.quantity.ExposureTime;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.Show;
import keyslate.server.judge.DecisionViews.Acceptance;
import keyslate.server.judge.DecisionViews.Judgement;
import keyslate.server.judge.DecisionViews.Marks;
import keyslate.server.judge.DecisionViews.Reading;
import keyslate.server.judge.DecisionViews.VerdictView;
import keyslate.server.judge.DecisionViews.Wishes;
import keyslate.server.slate.RecipeEditor;
import keyslate.server.slate.Rig;
import keyslate.server.slate.Rigs;
import keyslate.server.slate.SheetAssembler;
import keyslate.server.slate.SlateAssembler;
import keyslate.server.slate.SlateService;
import keyslate.server.slate.SlateViews.SheetView;
import keyslate.server.slate.SlateViews.SlateView;
import keyslate.server.web.ConflictException;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.NotFoundException;
import keyslate.server.web.RefusedException;
import keyslate.store.slate.Decision;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateRepository;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Readings of strips, judgements of prints, acceptance. A verdict can always be overruled; both stay on record. */
@RestController
@RequestMapping("/api/sheets/{id}")
public class DecisionController {
    private final SheetRepository sheets;
    private final SlateRepository slates;
    private final SlateService service;
    private final SlateAssembler assembler;
    private final SheetAssembler sheetViews;
    private final Rigs rigs;
    private final RecipeEditor editor;
    private final Verdicts verdicts;
    private final Clock clock;

    DecisionController(
            SheetRepository sheets,
            SlateRepository slates,
            SlateService service,
            SlateAssembler assembler,
            SheetAssembler sheetViews,
            Rigs rigs,
            RecipeEditor editor,
            Verdicts verdicts,
            Clock clock) {
        this.sheets = sheets;
        this.slates = slates;
        this.service = service;
        this.assembler = assembler;
        this.sheetViews = sheetViews;
        this.rigs = rigs;
        this.editor = editor;
        this.verdicts = verdicts;
        this.clock = clock;
    }

    /** The verdict that these marks lead to; stores nothing. */
    @PostMapping("/readings/proposal")
    VerdictView proposeReading(@PathVariable String id, @RequestBody Marks marks) {
        Hung hung = hung(id, "STRIP");
        return verdicts.reading(hung.view(), hung.before(), hung.now(), marks);
    }

    /** The verdict that these wishes lead to; stores nothing. */
    @PostMapping("/judgements/proposal")
    VerdictView proposeJudgement(@PathVariable String id, @RequestBody Wishes wishes) {
        Hung hung = hung(id, "PRINT");
        return verdicts.judgement(hung.view(), hung.before(), hung.now(), wishes);
    }

    @PostMapping("/readings")
    public SlateView read(@PathVariable String id, @RequestBody Reading asked) {
        Hung hung = hung(id, "STRIP");
        Marks marks = new Marks(asked.whitesAt(), asked.blacksAt());
        VerdictView verdict = verdicts.reading(hung.view(), hung.before(), hung.now(), marks);
        Taken taken = switch (asked.answer()) {
            case "PROPOSED" -> Taken.of(verdict);
            case "CHECK" -> Taken.of(verdict).checkedBy(check(hung, marks));
            case "KEEP_GRADE" ->
                new Taken(
                        hung.before().filter().label(),
                        verdict.keepSeconds(),
                        !verdict.filter().equals(hung.before().filter().label()),
                        Optional.empty());
            default -> own(asked.filter(), asked.seconds());
        };
        Decision decision = decision(hung, "READING", marks, null, asked.remark(), verdict, taken);
        return settle(hung, asked.version(), decision, taken, "read");
    }

    @PostMapping("/judgements")
    public SlateView judge(@PathVariable String id, @RequestBody Judgement asked) {
        Hung hung = hung(id, "PRINT");
        Wishes wishes = new Wishes(asked.darkerStops(), asked.harderGrades());
        VerdictView verdict = verdicts.judgement(hung.view(), hung.before(), hung.now(), wishes);
        Taken taken = "PROPOSED".equals(asked.answer()) ? Taken.of(verdict) : own(asked.filter(), asked.seconds());
        Decision decision = decision(hung, "JUDGEMENT", null, wishes, asked.remark(), verdict, taken);
        return settle(hung, asked.version(), decision, taken, "judged");
    }

    @PostMapping("/acceptance")
    public SlateView accept(@PathVariable String id, @RequestBody Acceptance asked) {
        Hung hung = hung(id, "PRINT");
        Decision decision = new Decision(
                Ids.fresh(),
                hung.sheet().slateId(),
                id,
                "ACCEPTANCE",
                Clocks.now(clock),
                null,
                null,
                null,
                null,
                remark(asked.remark()),
                hung.view().label() + " is accepted.",
                "",
                null,
                null,
                false,
                hung.before().filter().label(),
                hung.before().base().inSeconds());
        Slate slate = service.change(hung.sheet().slateId(), asked.version(), s -> {
            sheets.add(decision);
            return service.with(s, s.recipeId(), s.redoId(), id);
        });
        return assembler.view(slate);
    }

    /** What is put on record: marks or wishes, the verdict as it was shown, and what was taken. */
    private Decision decision(
            Hung hung,
            String kind,
            @Nullable Marks marks,
            @Nullable Wishes wishes,
            @Nullable String remark,
            VerdictView verdict,
            Taken taken) {
        return new Decision(
                Ids.fresh(),
                hung.sheet().slateId(),
                hung.sheet().id(),
                kind,
                Clocks.now(clock),
                marks == null ? null : marks.whitesAt(),
                marks == null ? null : marks.blacksAt(),
                wishes == null ? null : wishes.darkerStops(),
                wishes == null ? null : wishes.harderGrades(),
                remark(remark),
                verdict.headline(),
                verdict.why(),
                verdict.filter(),
                verdict.seconds(),
                taken.overruled(),
                taken.filter(),
                taken.seconds());
    }

    private SlateView settle(Hung hung, long version, Decision decision, Taken taken, String source) {
        Slate slate = service.change(hung.sheet().slateId(), version, s -> {
            sheets.add(decision);
            String because = hung.view().label() + ": " + decision.headline()
                    + (taken.overruled()
                            ? " Overruled: grade " + taken.filter() + ", " + Show.seconds(taken.seconds()) + "."
                            : "");
            Recipe next = editor.take(
                    slates.recipe(s.recipeId()), taken.filter(), taken.seconds(), taken.check(), source, because);
            return service.stand(service.with(s, s.recipeId(), null, null), next);
        });
        return assembler.view(slate);
    }

    /** What becomes of a verdict: filter and seconds, whether it was overruled, and the check strip to plan. */
    private record Taken(String filter, double seconds, boolean overruled, Optional<CheckStrip> check) {
        static Taken of(VerdictView verdict) {
            return new Taken(verdict.filter(), verdict.seconds(), false, Optional.empty());
        }

        Taken checkedBy(CheckStrip strip) {
            return new Taken(filter, seconds, overruled, Optional.of(strip));
        }
    }

    private CheckStrip check(Hung hung, Marks marks) {
        return verdicts.read(hung.view(), hung.before(), marks)
                .check()
                .orElseThrow(() -> RefusedException.of(
                        "/answer", "E_SHAPE", "This reading is sure enough; a check strip would tell nothing new."));
    }

    private static Taken own(@Nullable String filter, @Nullable Double seconds) {
        FieldErrors errors = new FieldErrors();
        String label = errors.check(
                "/filter",
                "2",
                () -> GradeFilter.ofLabel(filter == null ? "" : filter).label());
        double set = errors.check(
                "/seconds",
                1.0,
                () -> TimerSteps.tenths()
                        .nearest(ExposureTime.ofSeconds(seconds == null ? Double.NaN : seconds))
                        .time()
                        .inSeconds());
        errors.throwIfAny();
        return new Taken(label, set, true, Optional.empty());
    }

    private static String remark(@Nullable String remark) {
        String text = remark == null ? "" : remark.strip();
        return text.substring(0, Math.min(400, text.length()));
    }

    private record Hung(Sheet sheet, SheetView view, Rig before, Rig now) {}

    private Hung hung(String id, String kind) {
        Sheet sheet = sheets.find(id).orElseThrow(NotFoundException.of("sheet"));
        if (!"HUNG".equals(sheet.state()) || !kind.equals(sheet.kind())) {
            throw new ConflictException("not-hung", "Only a sheet that hangs on the cord can be read or judged.");
        }
        List<SheetView> views = sheetViews.of(sheet.slateId());
        SheetView view =
                views.stream().filter(v -> v.id().equals(id)).findFirst().orElseThrow();
        Rig before = rigs.of(slates.recipe(sheet.recipeId()));
        Rig now = rigs.of(slates.recipe(service.find(sheet.slateId()).recipeId()));
        return new Hung(sheet, view, before, now);
    }
}
