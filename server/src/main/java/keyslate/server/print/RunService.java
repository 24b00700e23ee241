package keyslate.server.print;

import jakarta.annotation.PostConstruct;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.darkroom.MonoPrint;
import keyslate.core.darkroom.PaperTruth;
import keyslate.core.darkroom.Raster;
import keyslate.core.darkroom.SheetExposure;
import keyslate.core.darkroom.SheetExposure.Burst;
import keyslate.core.darkroom.SheetExposure.Uncovered;
import keyslate.core.darkroom.ToneEncoding;
import keyslate.core.exposure.LampLag;
import keyslate.core.local.AreaMask;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.PaperMatch;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.local.LocalPlanner;
import keyslate.server.local.Shapes;
import keyslate.server.negative.Negatives;
import keyslate.server.negative.PictureFiles;
import keyslate.server.print.RunViews.NewSheet;
import keyslate.server.print.RunViews.RunView;
import keyslate.server.slate.Rig;
import keyslate.server.slate.Rigs;
import keyslate.server.slate.SheetAssembler;
import keyslate.server.slate.SlateService;
import keyslate.server.slate.SlateViews.RectView;
import keyslate.server.slate.SlateViews.ScriptStepView;
import keyslate.server.slate.SlateViews.SheetView;
import keyslate.server.slate.SlateViews.StripPlanView;
import keyslate.server.test.StripPlanner;
import keyslate.server.web.ConflictException;
import keyslate.server.web.NotFoundException;
import keyslate.server.web.RefusedException;
import keyslate.store.Database;
import keyslate.store.bench.StoresRepository;
import keyslate.store.negative.Picture;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.Area;
import keyslate.store.slate.LampRecord;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateRepository;
import org.springframework.stereotype.Service;

/** The run of a sheet: begun with a frozen script, given burst by burst, then hung or given up. */
@Service
public class RunService {
    private static final int MATCH_SIDE = 160;

    private final Database database;
    private final SlateService slateService;
    private final SlateRepository slates;
    private final SheetRepository sheets;
    private final SheetAssembler assembler;
    private final RollRepository rolls;
    private final StoresRepository stores;
    private final Rigs rigs;
    private final Negatives negatives;
    private final EnlargerTimer timer;
    private final PaperProcess process;
    private final MonoPrint model;
    private final Clock clock;

    RunService(
            Database database,
            SlateService slateService,
            SlateRepository slates,
            SheetRepository sheets,
            SheetAssembler assembler,
            RollRepository rolls,
            StoresRepository stores,
            Rigs rigs,
            Negatives negatives,
            EnlargerTimer timer,
            PaperProcess process,
            VariableContrastPaper paper,
            Clock clock) {
        this.database = database;
        this.slateService = slateService;
        this.slates = slates;
        this.sheets = sheets;
        this.assembler = assembler;
        this.rolls = rolls;
        this.stores = stores;
        this.rigs = rigs;
        this.negatives = negatives;
        this.timer = timer;
        this.process = process;
        this.model = new MonoPrint(paper);
        this.clock = clock;
    }

    /** A lamp that was on when the program died was cut off at an unknown moment: say so, never guess. */
    @PostConstruct
    void recordLostPower() {
        String now = Clocks.now(clock);
        database.inTransaction(() -> {
            for (Sheet sheet : sheets.exposing()) {
                sheets.lampOf(sheet.id()).stream()
                        .filter(l -> l.offAt() == null)
                        .forEach(l -> sheets.lampOff(ended(l, now, null, "POWER_LOST")));
            }
        });
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
        return find(sheetId);
    }

    /** Switches the lamp on for the next burst, or for the rest of one that was stopped. */
    public RunView lampOn(String sheetId, int burst) {
        Sheet sheet = exposing(sheetId);
        RunView now = view(sheet);
        if (now.powerLost()) {
            throw new ConflictException(
                    "power-lost", "The light this sheet got is not known. Give it up and take a fresh one.");
        }
        if (now.lampOn() || now.burst() == null || now.burst() != burst) {
            throw new ConflictException("not-this-burst", "Burst " + burst + " is not the next one.");
        }
        int attempt = (int) sheets.lampOf(sheetId).stream()
                        .filter(l -> l.burstPlace() == burst)
                        .count()
                + 1;
        double seconds = now.nextSetSeconds();
        LampRecord on = new LampRecord(sheetId, burst, attempt, seconds, Clocks.now(clock), null, null, null);
        database.inTransaction(() -> sheets.add(on));
        try {
            timer.on(seconds, (given, complete) -> record(on, given, complete));
        } catch (IllegalStateException e) {
            database.inTransaction(() -> sheets.lampOff(ended(on, on.onAt(), 0.0, "STOPPED")));
            throw new ConflictException("lamp-busy", "The lamp is on for another sheet.");
        }
        return view(find(sheetId));
    }

    /** Switches the lamp off before its time. */
    public RunView lampOff(String sheetId) {
        exposing(sheetId);
        timer.off();
        return view(find(sheetId));
    }

    private void record(LampRecord on, double given, boolean complete) {
        LampRecord off = ended(on, Clocks.now(clock), given, complete ? "COMPLETE" : "STOPPED");
        database.inTransaction(() -> sheets.lampOff(off));
    }

    private static LampRecord ended(LampRecord on, String at, Double given, String outcome) {
        return new LampRecord(
                on.sheetId(), on.burstPlace(), on.attempt(), on.setSeconds(), on.onAt(), at, given, outcome);
    }

    /** Processes a sheet whose bursts are all given, and hangs it. */
    public Sheet hang(String sheetId) {
        Sheet sheet = exposing(sheetId);
        if (view(sheet).burst() != null) {
            throw new ConflictException("bursts-left", "Not every burst is given yet.");
        }
        Rig rig = rigs.of(slates.recipe(sheet.recipeId()));
        RectView view = new RectView(sheet.viewLeft(), sheet.viewTop(), sheet.viewWidth(), sheet.viewHeight());
        Optional<PaperProcess.Scan> scan = process.process(rig, view, given(sheet, rig, LampLag.NONE));
        String pictureId = scan.isPresent() ? Ids.fresh() : null;
        Double offset = scan.map(s -> speedOffset(sheet, rig, view, s)).orElse(null);
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
        return find(sheetId);
    }

    /** Gives a sheet up; what it got stays on record. */
    public Sheet abandon(String sheetId, String reason) {
        Sheet sheet = exposing(sheetId);
        timer.off();
        String why = reason == null || reason.isBlank() ? "given up" : reason.strip();
        database.inTransaction(() -> {
            sheets.end(ended(sheet, "ABANDONED", null, null, why.substring(0, Math.min(200, why.length()))));
            touch(sheet.slateId());
        });
        return find(sheetId);
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

    /** The speed of the paper as the scan tells it, against the model with what is assumed of lamp and lag. */
    private double speedOffset(Sheet sheet, Rig rig, RectView view, PaperProcess.Scan scan) {
        double measured =
                ToneEncoding.fromGrey(scan.grey(), scan.width(), scan.height()).mean();
        Raster negative = negatives
                .negative(rig.frame())
                .orElseThrow()
                .cropped(view.left(), view.top(), view.width(), view.height())
                .reducedTo(MATCH_SIDE);
        AreaMask.View mask = new AreaMask.View(view.left(), view.top(), view.width(), view.height(), rig.frameAspect());
        List<Burst> bursts = given(sheet, rig, rig.lag());
        return PaperMatch.speedOffset(
                        stops -> model.print(
                                        negative,
                                        mask,
                                        new SheetExposure(
                                                rig.logPerSecond()
                                                        + Stops.of(stops).toLogExposure(),
                                                bursts),
                                        PaperTruth.asLabelled())
                                .mean(),
                        measured)
                .inStops();
    }

    /** What the lamp gave, burst by burst, less a lag for every time it went on. */
    private List<Burst> given(Sheet sheet, Rig rig, LampLag lag) {
        Map<String, SheetExposure.Area> areas =
                rig.recipe().areas().stream().collect(Collectors.toMap(Area::areaKey, Shapes::toExposed));
        Map<Integer, ScriptStepView> script =
                assembler.script(sheet.id()).stream().collect(Collectors.toMap(ScriptStepView::place, s -> s));
        String direction = rig.recipe().strip().direction();
        List<Burst> bursts = new ArrayList<>();
        for (LampRecord l : sheets.lampOf(sheet.id())) {
            if (l.givenSeconds() == null || l.givenSeconds() <= 0) {
                continue;
            }
            ScriptStepView step = script.get(l.burstPlace());
            Optional<Uncovered> part = step.patch() == null
                    ? Optional.empty()
                    : Optional.of(uncovered(StripPlanner.uncovered(direction, step.patch(), script.size())));
            bursts.add(new Burst(
                    GradeFilter.ofLabel(step.filter()),
                    lag.receivedSeconds(ExposureTime.ofSeconds(l.givenSeconds())),
                    step.held().stream().map(areas::get).toList(),
                    Optional.ofNullable(step.burned()).map(areas::get),
                    part));
        }
        return bursts;
    }

    private static Uncovered uncovered(RectView r) {
        return new Uncovered(r.left(), r.top(), r.width(), r.height());
    }

    private static RectView within(RectView outer, RectView inner) {
        return new RectView(
                outer.left() + outer.width() * inner.left(),
                outer.top() + outer.height() * inner.top(),
                outer.width() * inner.width(),
                outer.height() * inner.height());
    }

    public Sheet find(String sheetId) {
        return sheets.find(sheetId).orElseThrow(NotFoundException.of("sheet"));
    }

    private Sheet exposing(String sheetId) {
        Sheet sheet = find(sheetId);
        if (!"EXPOSING".equals(sheet.state())) {
            throw new ConflictException("not-exposing", "This sheet is not under the lamp any more.");
        }
        return sheet;
    }

    /** Where the run stands. */
    public RunView view(Sheet sheet) {
        Rig rig = rigs.of(slates.recipe(sheet.recipeId()));
        SheetView shown = assembler.of(sheet.slateId()).stream()
                .filter(s -> s.id().equals(sheet.id()))
                .findFirst()
                .orElseThrow();
        List<LampRecord> lamp = sheets.lampOf(sheet.id());
        boolean on = lamp.stream().anyMatch(l -> l.offAt() == null);
        boolean lost = lamp.stream().anyMatch(l -> "POWER_LOST".equals(l.outcome()));
        int done = shown.burstsDone();
        Integer next = done < shown.script().size() ? done + 1 : null;
        double rest = next == null ? 0 : rest(shown.script().get(done), lamp, rig.lag());
        boolean resumed =
                next != null && lamp.stream().anyMatch(l -> l.burstPlace() == next && "STOPPED".equals(l.outcome()));
        return new RunView(
                sheet.id(),
                sheet.slateId(),
                rig.frame().id(),
                rig.recipe().title(),
                shown.label(),
                sheet.kind(),
                sheet.state(),
                shown.script(),
                Shapes.toViews(rig.recipe().areas()),
                shown.view(),
                shown.aspect(),
                rig.frame().pictureId() != null,
                rig.recipe().strip().direction(),
                done,
                next,
                rest,
                resumed,
                on,
                on ? timer.elapsedSeconds() : 0,
                timer.clockSpeed(),
                lost);
    }

    /** What to set for a burst: all of it, or what is missing after it was stopped, with the lag once more. */
    private static double rest(ScriptStepView step, List<LampRecord> lamp, LampLag lag) {
        double received = lamp.stream()
                .filter(l -> l.burstPlace() == step.place() && l.givenSeconds() != null && l.givenSeconds() > 0)
                .mapToDouble(l -> lag.receivedSeconds(ExposureTime.ofSeconds(l.givenSeconds())))
                .sum();
        return received == 0
                ? step.setSeconds()
                : Math.max(0.05, Math.rint((step.receivedSeconds() - received + lag.inSeconds()) * 100) / 100);
    }
}
