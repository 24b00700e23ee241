package keyslate.server.print;

import jakarta.annotation.PostConstruct;
import java.time.Clock;
import keyslate.server.Clocks;
import keyslate.server.print.RunViews.RunView;
import keyslate.server.web.ConflictException;
import keyslate.store.Database;
import keyslate.store.slate.LampRecord;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetRepository;
import org.springframework.stereotype.Service;

/** The lamp over the sheet that is exposed: every time it goes on is on record before, and what it gave after. */
@Service
public class LampService {
    private final Database database;
    private final SheetRepository sheets;
    private final RunAssembler runs;
    private final EnlargerTimer timer;
    private final Clock clock;

    LampService(Database database, SheetRepository sheets, RunAssembler runs, EnlargerTimer timer, Clock clock) {
        this.database = database;
        this.sheets = sheets;
        this.runs = runs;
        this.timer = timer;
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

    /** Switches the lamp on for the next burst, or for the rest of one that was stopped. */
    public RunView on(String sheetId, int burst) {
        RunView now = runs.view(runs.exposing(sheetId));
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
        return runs.view(runs.find(sheetId));
    }

    /** Switches the lamp off before its time. */
    public RunView off(String sheetId) {
        runs.exposing(sheetId);
        timer.off();
        return runs.view(runs.find(sheetId));
    }

    private void record(LampRecord on, double given, boolean complete) {
        LampRecord off = ended(on, Clocks.now(clock), given, complete ? "COMPLETE" : "STOPPED");
        database.inTransaction(() -> sheets.lampOff(off));
    }

    private static LampRecord ended(LampRecord on, String at, Double given, String outcome) {
        return new LampRecord(
                on.sheetId(), on.burstPlace(), on.attempt(), on.setSeconds(), on.onAt(), at, given, outcome);
    }
}
