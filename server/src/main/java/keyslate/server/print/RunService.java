package keyslate.server.print;

import java.io.ByteArrayInputStream;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import keyslate.core.darkroom.Look;
import keyslate.core.quantity.QuantityException;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.Show;
import keyslate.server.negative.Negatives;
import keyslate.server.picture.PictureFiles;
import keyslate.server.print.RunViews.NewSheet;
import keyslate.server.print.RunViews.RunView;
import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.server.sheet.SheetKind;
import keyslate.server.sheet.SheetKinds;
import keyslate.server.sheet.SheetPlan;
import keyslate.server.slate.SlateAssembler;
import keyslate.server.slate.SlateService;
import keyslate.server.slate.SlateViews.SlateView;
import keyslate.server.subject.Subject;
import keyslate.server.web.ConflictException;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.RefusedException;
import keyslate.server.web.Texts;
import keyslate.store.Database;
import keyslate.store.bench.StoresRepository;
import keyslate.store.negative.Picture;
import keyslate.store.negative.PictureRepository;
import keyslate.store.slate.ExposedSheet;
import keyslate.store.slate.LampRecord;
import keyslate.store.slate.Piece;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.Scan;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetEvent;
import keyslate.store.slate.SheetRepository;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The life of a sheet: begun with a frozen script and all it rests on, then hung or given up. What the lamp does between is {@link LampService}. */
@Service
public class RunService {
    private static final double SQUARE_MM_PER_M2 = 1e6;
    private static final int LONGEST_REASON = 200;
    /** As many as a slate file takes. */
    static final int MOST_EVENTS = 100;

    /** What the run may say; white light and alarm are the room's. */
    private static final Set<String> EVENTS = Set.of(
            SheetEvent.PAPER_BOXED,
            SheetEvent.PAPER_TAKEN,
            SheetEvent.DRUM_CLOSED,
            SheetEvent.IN_DEVELOPER,
            SheetEvent.IN_STOP,
            SheetEvent.IN_FIXER,
            SheetEvent.GLANCE,
            SheetEvent.LEFT,
            SheetEvent.CAME_BACK,
            SheetEvent.SLIP,
            SheetEvent.GOOD,
            SheetEvent.AGAIN,
            SheetEvent.TAKEN_BACK);

    /** What is only said when the box is shut. */
    private static final Set<String> BOX_IS_SHUT = Set.of(SheetEvent.PAPER_BOXED, SheetEvent.LEFT);

    private final Database database;
    private final SlateService slates;
    private final SlateAssembler assembler;
    private final RecipeRepository recipes;
    private final SheetRepository sheets;
    private final PictureRepository pictures;
    private final StoresRepository stores;
    private final Rigs rigs;
    private final SheetKinds kinds;
    private final Negatives negatives;
    private final PaperProcess process;
    private final RunAssembler runs;
    private final LampService lamp;
    private final OpenBoxes boxes;
    private final UnwrittenEnds unwritten;
    private final Clock clock;

    RunService(
            Database database,
            SlateService slates,
            SlateAssembler assembler,
            RecipeRepository recipes,
            SheetRepository sheets,
            PictureRepository pictures,
            StoresRepository stores,
            Rigs rigs,
            SheetKinds kinds,
            Negatives negatives,
            PaperProcess process,
            RunAssembler runs,
            LampService lamp,
            OpenBoxes boxes,
            UnwrittenEnds unwritten,
            Clock clock) {
        this.database = database;
        this.slates = slates;
        this.assembler = assembler;
        this.recipes = recipes;
        this.sheets = sheets;
        this.pictures = pictures;
        this.stores = stores;
        this.rigs = rigs;
        this.kinds = kinds;
        this.negatives = negatives;
        this.process = process;
        this.runs = runs;
        this.lamp = lamp;
        this.boxes = boxes;
        this.unwritten = unwritten;
        this.clock = clock;
    }

    /** Takes a piece of paper and freezes its script and what it rests on. */
    public RunView begin(String slateId, NewSheet asked) {
        SheetKind kind = kinds.asked(asked.kind());
        String sheetId = Ids.fresh();
        slates.change(slateId, asked.version(), (slate, subject) -> {
            List<Sheet> before = sheets.of(slateId);
            if (before.stream().anyMatch(Sheet::isExposing)) {
                throw new ConflictException(
                        "sheet-under-lamp", "Finish or give up the sheet that is under the lamp first.");
            }
            Rig rig = rigs.of(recipes.get(slate.recipeId()), subject);
            SheetPlan plan = plan(kind, rig);
            Sheet sheet = new Sheet(
                    sheetId,
                    slateId,
                    before.stream().mapToInt(Sheet::number).max().orElse(0) + 1,
                    kind.id(),
                    slate.recipeId(),
                    Clocks.now(clock),
                    Sheet.EXPOSING,
                    null,
                    plan.paperShare(),
                    rig.magnification().inTimes(),
                    rigs.stood(rig),
                    "");
            sheets.add(sheet, pieces(plan), plan.steps());
            stores.usePaper(rig.paper().id(), plan.paperShare());
            return slate.with(slate.recipeId(), slate.redoId(), slate.acceptedSheetId(), Clocks.now(clock));
        });
        return runs.view(sheetId);
    }

    private static List<Piece> pieces(SheetPlan plan) {
        return IntStream.rangeClosed(1, plan.pieces().size())
                .mapToObj(n -> new Piece(n, plan.pieces().get(n - 1)))
                .toList();
    }

    private SheetPlan plan(SheetKind kind, Rig rig) {
        if (rig.paper().counted() && rig.paper().sheetsLeft() <= 0) {
            throw RefusedException.of(
                    "/kind", "E_RANGE", "The box of " + rig.paper().type() + " is empty.");
        }
        try {
            return kind.plan(rig, assembler.small(rig));
        } catch (QuantityException e) {
            throw RefusedException.of("/kind", e.kind().code(), Show.sentence(e.getMessage()));
        }
    }

    public RunView view(String sheetId) {
        return runs.view(sheetId);
    }

    /** Takes down what happened to a sheet: its way after the light, or in and out of its box between two exposures. */
    public RunView happened(String sheetId, @Nullable String kind) {
        if (kind == null || !EVENTS.contains(kind)) {
            throw RefusedException.of("/kind", "E_SHAPE", "This is nothing that happens to a sheet.");
        }
        database.inTransaction(() -> {
            RunAssembler.Run run = runs.exposing(sheetId);
            refuseUnlessNow(run.exposed(), kind);
            int before = run.exposed().events().size();
            if (before >= MOST_EVENTS) {
                throw new ConflictException("too-many", "More than " + MOST_EVENTS + " things happened to this sheet.");
            }
            sheets.add(new SheetEvent(sheetId, before + 1, kind, Clocks.now(clock)));
            if (BOX_IS_SHUT.contains(kind)) {
                boxes.shut(run.rig().paper().id());
            }
        });
        return runs.view(sheetId);
    }

    private static void refuseUnlessNow(ExposedSheet exposed, String kind) {
        switch (kind) {
            case SheetEvent.GLANCE, SheetEvent.SLIP, SheetEvent.GOOD, SheetEvent.AGAIN -> {
                // Happens at any time.
            }
            case SheetEvent.TAKEN_BACK -> {
                if (exposed.standing().stream().noneMatch(SheetEvent::isAnswer)) {
                    throw new ConflictException("not-now", "There is no answer to take back.");
                }
            }
            case SheetEvent.LEFT -> {
                if (isLit(exposed) || exposed.isLeft()) {
                    throw new ConflictException("not-now", "First the lamp goes off.");
                }
            }
            case SheetEvent.CAME_BACK -> {
                if (!exposed.isLeft()) {
                    throw new ConflictException("not-now", "Nobody left.");
                }
            }
            case SheetEvent.PAPER_BOXED -> {
                if (isLit(exposed) || exposed.isBoxed() || !exposed.isToBeSet()) {
                    throw new ConflictException("not-now", "The paper stays where it is.");
                }
            }
            case SheetEvent.PAPER_TAKEN -> {
                if (!exposed.isBoxed()) {
                    throw new ConflictException("not-now", "The paper is not in its box.");
                }
            }
            default -> {
                if (exposed.stepsDone() < exposed.steps().size()) {
                    throw new ConflictException("steps-left", "Not every exposure is given yet.");
                }
            }
        }
    }

    private static boolean isLit(ExposedSheet exposed) {
        return exposed.lamp().stream().anyMatch(LampRecord::isOn);
    }

    /** Processes a sheet whose light is given, and hangs it; with its scan where there is a scanner. */
    public SlateView hang(String sheetId) {
        RunAssembler.Run run = runs.exposing(sheetId);
        if (run.next().isPresent() || unwritten.isWaiting(sheetId)) {
            throw new ConflictException("steps-left", "Not every exposure is given yet.");
        }
        ExposedSheet exposed = run.exposed();
        Rig rig = run.rig();
        Subject subject = rig.subject();
        Optional<Look> scan = process.process(exposed, rig);
        byte[] jpeg = scan.map(PictureFiles::jpeg).orElse(null);
        List<Double> offsets = scan.map(s -> LightGiven.offsets(
                        exposed,
                        rig,
                        negatives.negative(subject, rig.medium().core()).orElseThrow(),
                        s))
                .orElse(List.of());
        database.inTransaction(() -> {
            end(exposed.sheet().ended(Sheet.HUNG, Clocks.now(clock), ""));
            scan.ifPresent(s -> hand(exposed, s, jpeg, offsets));
            double area = rig.sheetWidth().inMm() * rig.sheetHeight().inMm() / SQUARE_MM_PER_M2;
            stores.useBaths(rig.medium().id(), exposed.sheet().paperUsed() * area);
            slates.touch(exposed.sheet().slateId());
        });
        return slates.view(exposed.sheet().slateId());
    }

    private void hand(ExposedSheet exposed, Look scan, byte[] jpeg, List<Double> offsets) {
        String pictureId = Ids.fresh();
        pictures.add(
                new Picture(
                        pictureId,
                        "image/jpeg",
                        Picture.SRGB_8,
                        scan.width(),
                        scan.height(),
                        jpeg.length,
                        true,
                        false,
                        null),
                new ByteArrayInputStream(jpeg),
                new PictureRepository.Working("image/jpeg", jpeg));
        sheets.add(new Scan(
                exposed.sheet().id(),
                exposed.scans().size() + 1,
                pictureId,
                Clocks.now(clock),
                offsets,
                Scan.SIMULATED));
    }

    /** Gives a sheet up; what it got stays on record. */
    public SlateView abandon(String sheetId, @Nullable String reason) {
        RunAssembler.Run run = runs.exposing(sheetId);
        FieldErrors errors = new FieldErrors();
        String why = Texts.checked(errors, "/reason", reason, 0, LONGEST_REASON);
        errors.throwIfAny();
        lamp.release(run);
        Sheet sheet = run.exposed().sheet();
        database.inTransaction(() -> {
            end(sheet.ended(Sheet.ABANDONED, Clocks.now(clock), why.isEmpty() ? "given up" : why));
            slates.touch(sheet.slateId());
        });
        return slates.view(sheet.slateId());
    }

    private void end(Sheet ended) {
        if (!sheets.end(ended)) {
            throw new ConflictException("not-exposing", "This sheet is not under the lamp any more.");
        }
    }
}
