package keyslate.server.print;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.LampLag;
import keyslate.core.script.ExposureStep;
import keyslate.server.local.LocalViews.AreaView;
import keyslate.server.print.RunViews.RunView;
import keyslate.server.print.RunViews.WhiteLightView;
import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.server.sheet.SheetKind;
import keyslate.server.sheet.SheetKinds;
import keyslate.server.sheet.SheetViews.EventView;
import keyslate.server.sheet.SheetViews.RectView;
import keyslate.server.sheet.StepWords;
import keyslate.server.subject.PositivePath;
import keyslate.server.web.ConflictException;
import keyslate.server.web.LampPath;
import keyslate.server.web.NotFoundException;
import keyslate.store.Database;
import keyslate.store.slate.ExposedSheet;
import keyslate.store.slate.LampRecord;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetRepository;
import org.springframework.stereotype.Component;

/** Where a run stands, as the room in the dark shows it. */
@Component
class RunAssembler {
    /** The shortest rest that is worth setting, seconds. */
    private static final double LEAST_REST_SECONDS = 0.05;

    private final Database database;
    private final SheetRepository sheets;
    private final RecipeRepository recipes;
    private final Rigs rigs;
    private final SheetKinds kinds;
    private final Lamps lamps;
    private final LampPath lampPath;
    private final UnwrittenEnds unwritten;
    private final PaperGuard whiteLight;
    private final OpenBoxes boxes;
    private final Clock clock;

    RunAssembler(
            Database database,
            SheetRepository sheets,
            RecipeRepository recipes,
            Rigs rigs,
            SheetKinds kinds,
            Lamps lamps,
            LampPath lampPath,
            UnwrittenEnds unwritten,
            PaperGuard whiteLight,
            OpenBoxes boxes,
            Clock clock) {
        this.whiteLight = whiteLight;
        this.boxes = boxes;
        this.database = database;
        this.sheets = sheets;
        this.recipes = recipes;
        this.rigs = rigs;
        this.kinds = kinds;
        this.lamps = lamps;
        this.lampPath = lampPath;
        this.unwritten = unwritten;
        this.clock = clock;
    }

    /** The next step of a run: what to set for it, and how much of it was given before. */
    record Next(ExposureStep step, double setSeconds, double receivedBefore) {}

    /** A sheet with the rig that stood when it was begun. */
    record Run(ExposedSheet exposed, Rig rig) {
        /** The step that is on or comes next. */
        Optional<Next> next() {
            int done = exposed.stepsDone();
            if (done >= exposed.steps().size()) {
                return Optional.empty();
            }
            ExposureStep step = exposed.steps().get(done);
            LampLag lag = rig.lag();
            double received = exposed.received(step, lag);
            double rest = received == 0
                    ? step.totalSetSeconds()
                    : Math.max(
                            LEAST_REST_SECONDS,
                            Math.rint((step.receivedSeconds(lag) - received + lag.inSeconds()) * 100) / 100);
            return Optional.of(new Next(step, rest, received));
        }
    }

    Sheet find(String sheetId) {
        return sheets.find(sheetId).orElseThrow(NotFoundException.of("sheet"));
    }

    Run run(String sheetId) {
        ExposedSheet exposed = unwritten.over(sheets.exposed(sheetId).orElseThrow(NotFoundException.of("sheet")));
        Recipe recipe = recipes.get(exposed.sheet().recipeId());
        return new Run(exposed, rigs.of(exposed.sheet(), recipe, rigs.of(recipe)));
    }

    /** The sheet, refused when it is not under the lamp any more. */
    Run exposing(String sheetId) {
        Run run = run(sheetId);
        if (!run.exposed().sheet().isExposing()) {
            throw new ConflictException("not-exposing", "This sheet is not under the lamp any more.");
        }
        return run;
    }

    /** Where the run stands; all of it at one moment, since the lamp goes off by itself. */
    RunView view(String sheetId) {
        return database.inSnapshot(() -> viewNow(run(sheetId)));
    }

    private RunView viewNow(Run run) {
        ExposedSheet exposed = run.exposed();
        Sheet sheet = exposed.sheet();
        Rig rig = run.rig();
        Recipe recipe = rig.recipe();
        SheetKind kind = kinds.of(sheet.kind());
        List<LampRecord> lamp = exposed.lamp();
        Optional<LampRecord> on = lamp.stream().filter(LampRecord::isOn).findFirst();
        Optional<Next> next = run.next();
        double before = next.map(Next::receivedBefore).orElse(0.0);
        int piece = next.map(n -> n.step().piece()).orElse(exposed.pieces().size());
        RectView view = RectView.of(exposed.pieces().get(piece - 1).view());
        return new RunView(
                sheet.id(),
                sheet.slateId(),
                PositivePath.of(rig.subject()),
                recipe.naming().title(),
                kind.name(rig) + " " + number(sheet),
                sheet.kind(),
                kind.station(),
                kind.lookedAtStation(rig),
                sheet.state(),
                rig.medium().room(),
                rig.enlarger().lamp(),
                lampPath.port(),
                StepWords.of(exposed.steps(), rig),
                recipe.local().areas().stream().map(AreaView::of).toList(),
                view,
                rig.frameAspect() * view.width() / view.height(),
                exposed.stepsDone(),
                next.map(n -> n.step().place()).orElse(null),
                next.map(Next::setSeconds).orElse(0.0),
                before > 0 ? before + rig.lag().inSeconds() : 0,
                before > 0,
                on.isPresent(),
                on.map(l -> elapsed(run, l)).orElse(0.0),
                lamps.clockSpeed(rig.enlarger().id()),
                lamp.stream().anyMatch(LampRecord::isLost),
                unwritten.isWaiting(sheet.id()),
                white(run),
                rig.paper().id(),
                boxes.isOpen(rig.paper().id()),
                exposed.isLeft(),
                exposed.standing().stream()
                        .map(e -> new EventView(e.kind(), e.happenedAt()))
                        .toList());
    }

    private WhiteLightView white(Run run) {
        return boxes.beside(whiteLight.of(
                run.exposed(), run.rig(), kinds.of(run.exposed().sheet().kind()).name(run.rig())));
    }

    /** How many sheets of its kind hang on the cord up to this one. */
    private long number(Sheet sheet) {
        return sheets.of(sheet.slateId()).stream()
                .filter(s -> s.kind().equals(sheet.kind()) && s.number() <= sheet.number())
                .count();
    }

    private double elapsed(Run run, LampRecord on) {
        String enlarger = run.rig().enlarger().id();
        return on.told()
                ? Duration.between(Instant.parse(on.onAt()), clock.instant()).toMillis()
                        / 1000.0
                        * lamps.clockSpeed(enlarger)
                : lamps.elapsedSeconds(enlarger, run.exposed().sheet().id());
    }
}
