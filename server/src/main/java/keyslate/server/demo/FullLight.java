package keyslate.server.demo;

import java.time.Clock;
import keyslate.server.Clocks;
import keyslate.server.print.RunService;
import keyslate.server.print.RunViews.NewSheet;
import keyslate.server.slate.SlateService;
import keyslate.store.slate.LampRecord;
import keyslate.store.slate.SheetRepository;
import org.springframework.stereotype.Component;

/** Exposes sheets at once, every step given in full, through the use cases that the stations call. */
@Component
class FullLight {
    private final SlateService slates;
    private final RunService runs;
    private final SheetRepository sheets;
    private final Clock clock;

    FullLight(SlateService slates, RunService runs, SheetRepository sheets, Clock clock) {
        this.slates = slates;
        this.runs = runs;
        this.sheets = sheets;
        this.clock = clock;
    }

    /** Exposes a sheet of a slate as its recipe stands, and hangs it; the id of the sheet. */
    String expose(String slateId, String kind) {
        long version = slates.find(slateId).version();
        String sheetId = runs.begin(slateId, new NewSheet(version, kind)).sheetId();
        String now = Clocks.now(clock);
        sheets.exposed(sheetId)
                .orElseThrow()
                .steps()
                .forEach(step -> sheets.add(new LampRecord(
                        sheetId,
                        step.place(),
                        1,
                        step.totalSetSeconds(),
                        now,
                        now,
                        step.totalSetSeconds(),
                        LampRecord.COMPLETE,
                        false)));
        runs.hang(sheetId);
        return sheetId;
    }
}
