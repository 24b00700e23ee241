package keyslate.server.print;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.LampLag;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.local.LocalPlanner;
import keyslate.server.negative.Negatives;
import keyslate.server.negative.PictureFiles;
import keyslate.server.print.RunViews.NewSheet;
import keyslate.server.slate.Rig;
import keyslate.server.slate.Rigs;
import keyslate.server.slate.SheetAssembler;
import keyslate.server.slate.SlateService;
import keyslate.server.slate.SlateViews.RectView;
import keyslate.server.slate.SlateViews.ScriptStepView;
import keyslate.server.slate.SlateViews.StripPlanView;
import keyslate.server.test.StripPlanner;
import keyslate.server.web.ConflictException;
import keyslate.server.web.RefusedException;
import keyslate.store.Database;
import keyslate.store.bench.StoresRepository;
import keyslate.store.negative.Picture;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateRepository;
import org.springframework.stereotype.Service;

/** The life of a sheet: begun with a frozen script, then hung or given up. What the lamp does between is {@link LampService}. */
@Service
public class RunService {
    private final Database database;
    private final SlateService slateService;
    private final SlateRepository slates;
    private final SheetRepository sheets;
    private final RollRepository rolls;
    private final StoresRepository stores;
    private final Rigs rigs;
    private final Negatives negatives;
    private final EnlargerTimer timer;
    private final PaperProcess process;
    private final RunAssembler runs;
    private final LightGiven light;
    private final Clock clock;

    RunService(
            Database database,
            SlateService slateService,
            SlateRepository slates,
            SheetRepository sheets,
            RollRepository rolls,
            StoresRepository stores,
            Rigs rigs,
            Negatives negatives,
            EnlargerTimer timer,
            PaperProcess process,
            RunAssembler runs,
            LightGiven light,
            Clock clock) {
        this.database = database;
        this.slateService = slateService;
        this.slates = slates;
        this.sheets = sheets;
        this.rolls = rolls;
        this.stores = stores;
        this.rigs = rigs;
        this.negatives = negatives;
        this.timer = timer;
        this.process = process;
        this.runs = runs;
        this.light = light;
        this.clock = clock;
    }

    /** Takes a piece of paper and freezes its script. */
    public Sheet begin(String slateId, NewSheet asked) {
        String sheetId = Ids.fresh();
        slateService.change(slateId, asked.version(), slate -> {
            List<Sheet> before = sheets.of(slateId);
            if (before.stream().anyMatch(s -> "EXPOSING".equals(s.state()))) {
                throw new ConflictException(
                        "sheet-under-lamp", "Finish or give up the sheet that is under the lamp first.");
            }
            Recipe recipe = slates.recipe(slate.recipeId());
            Rig rig = rigs.of(recipe);
            boolean strip = "STRIP".equals(asked.kind());
            if (!strip && !"PRINT".equals(asked.kind())) {
                throw RefusedException.of("/kind", "E_SHAPE", "A sheet is a strip or a print.");
            }
            if (rig.paper().sheetsLeft() <= 0) {
                throw RefusedException.of(
                        "/kind", "E_RANGE", "The box of " + rig.paper().name() + " is empty.");
            }
            StripPlanView plan = StripPlanner.plan(rig, negatives.small(rig.frame()));
            if (strip && plan.problem() != null) {
                throw RefusedException.of("/kind", "E_RANGE", plan.problem());
            }
            RectView view = strip ? within(rig.crop(), plan.area()) : rig.crop();
            double paper = strip ? plan.paperShare() : 1;
            Sheet sheet = new Sheet(
                    sheetId,
                    slateId,
                    before.stream().mapToInt(Sheet::number).max().orElse(0) + 1,
                    asked.kind(),
                    recipe.id(),
                    Clocks.now(clock),
                    "EXPOSING",
                    null,
                    paper,
                    rig.magnification().inTimes(),
                    view.left(),
                    view.top(),
                    view.width(),
                    view.height(),
                    null,
                    null,
                    "");
            sheets.add(sheet);
            List<ScriptStepView> script = strip ? StripPlanner.script(rig) : LocalPlanner.script(rig);
            script.forEach(s -> sheets.add(SheetAssembler.row(sheetId, s)));
            stores.usePaper(rig.paper().id(), paper);
            return slateService.with(slate, slate.recipeId(), slate.redoId(), slate.acceptedSheetId());
        });
        return runs.find(sheetId);
    }

    /** Processes a sheet whose bursts are all given, and hangs it. */
    public Sheet hang(String sheetId) {
        Sheet sheet = runs.exposing(sheetId);
        if (runs.view(sheet).burst() != null) {
            throw new ConflictException("bursts-left", "Not every burst is given yet.");
        }
        Rig rig = rigs.of(slates.recipe(sheet.recipeId()));
        RectView view = new RectView(sheet.viewLeft(), sheet.viewTop(), sheet.viewWidth(), sheet.viewHeight());
        Optional<PaperProcess.Scan> scan = process.process(rig, view, light.bursts(sheet, rig, LampLag.NONE));
        String pictureId = scan.isPresent() ? Ids.fresh() : null;
        Double offset =
                scan.map(s -> light.speedOffset(sheet, rig, view, s).inStops()).orElse(null);
        byte[] jpeg = scan.map(s -> PictureFiles.greyJpeg(s.grey(), s.width(), s.height()))
                .orElse(null);
        database.inTransaction(() -> {
            scan.ifPresent(
                    s -> rolls.add(new Picture(pictureId, "image/jpeg", Picture.SRGB_8, s.width(), s.height()), jpeg));
            sheets.end(ended(sheet, "HUNG", pictureId, offset, ""));
            stores.useBaths(sheet.paperUsed()
                    * rig.sheetWidth().inMm()
                    * rig.sheetHeight().inMm()
                    / 1e6);
            touch(sheet.slateId());
        });
        return runs.find(sheetId);
    }

    /** Gives a sheet up; what it got stays on record. */
    public Sheet abandon(String sheetId, String reason) {
        Sheet sheet = runs.exposing(sheetId);
        timer.off();
        String why = reason == null || reason.isBlank() ? "given up" : reason.strip();
        database.inTransaction(() -> {
            sheets.end(ended(sheet, "ABANDONED", null, null, why.substring(0, Math.min(200, why.length()))));
            touch(sheet.slateId());
        });
        return runs.find(sheetId);
    }

    private void touch(String slateId) {
        Slate slate = slateService.find(slateId);
        slates.advance(slateService.with(slate, slate.recipeId(), slate.redoId(), slate.acceptedSheetId()));
    }

    private Sheet ended(Sheet s, String state, String pictureId, Double offset, String note) {
        return new Sheet(
                s.id(),
                s.slateId(),
                s.number(),
                s.kind(),
                s.recipeId(),
                s.begunAt(),
                state,
                Clocks.now(clock),
                s.paperUsed(),
                s.magnification(),
                s.viewLeft(),
                s.viewTop(),
                s.viewWidth(),
                s.viewHeight(),
                pictureId,
                offset,
                note);
    }

    private static RectView within(RectView outer, RectView inner) {
        return new RectView(
                outer.left() + outer.width() * inner.left(),
                outer.top() + outer.height() * inner.top(),
                outer.width() * inner.width(),
                outer.height() * inner.height());
    }
}
