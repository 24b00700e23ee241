package keyslate.server.print;

import java.util.List;
import keyslate.core.exposure.LampLag;
import keyslate.core.quantity.ExposureTime;
import keyslate.server.local.Shapes;
import keyslate.server.print.RunViews.RunView;
import keyslate.server.slate.Rig;
import keyslate.server.slate.Rigs;
import keyslate.server.slate.SheetAssembler;
import keyslate.server.slate.SlateViews.ScriptStepView;
import keyslate.server.slate.SlateViews.SheetView;
import keyslate.server.web.ConflictException;
import keyslate.server.web.NotFoundException;
import keyslate.store.Database;
import keyslate.store.slate.LampRecord;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.SlateRepository;
import org.springframework.stereotype.Component;

/** Where a run stands, as the room in the dark shows it. */
@Component
class RunAssembler {
    /** The shortest rest that is worth setting, seconds. */
    private static final double LEAST_REST_SECONDS = 0.05;

    private final Database database;
    private final SlateRepository slates;
    private final SheetRepository sheets;
    private final SheetAssembler assembler;
    private final Rigs rigs;
    private final EnlargerTimer timer;

    RunAssembler(
            Database database,
            SlateRepository slates,
            SheetRepository sheets,
            SheetAssembler assembler,
            Rigs rigs,
            EnlargerTimer timer) {
        this.database = database;
        this.slates = slates;
        this.sheets = sheets;
        this.assembler = assembler;
        this.rigs = rigs;
        this.timer = timer;
    }

    Sheet find(String sheetId) {
        return sheets.find(sheetId).orElseThrow(NotFoundException.of("sheet"));
    }

    /** The sheet, refused when it is not under the lamp any more. */
    Sheet exposing(String sheetId) {
        Sheet sheet = find(sheetId);
        if (!"EXPOSING".equals(sheet.state())) {
            throw new ConflictException("not-exposing", "This sheet is not under the lamp any more.");
        }
        return sheet;
    }

    /** Where the run stands; all of it at one moment, since the lamp goes off by itself. */
    RunView view(Sheet sheet) {
        return database.inSnapshot(() -> viewNow(sheet));
    }

    private RunView viewNow(Sheet sheet) {
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
                : Math.max(
                        LEAST_REST_SECONDS,
                        Math.rint((step.receivedSeconds() - received + lag.inSeconds()) * 100) / 100);
    }
}
