package keyslate.server.print;

import jakarta.annotation.PostConstruct;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import keyslate.core.script.LampWay;
import keyslate.server.Clocks;
import keyslate.server.print.RunViews.LampRequest;
import keyslate.server.print.RunViews.RunView;
import keyslate.server.web.ConflictException;
import keyslate.server.web.RefusedException;
import keyslate.store.Database;
import keyslate.store.slate.ExposedSheet;
import keyslate.store.slate.LampRecord;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetRepository;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/**
 * The lamp over a sheet that is exposed: every time it goes on is on record before, and what it gave after. A switched lamp
 * goes off by its timer's clock whatever else happens; an end that could not be written is kept and written as soon as the
 * data file takes it. A lamp the printer times is told about, and the record says so.
 */
@Service
public class LampService {
    private static final Logger LOG = LoggerFactory.getLogger(LampService.class);
    private static final long TRY_AGAIN_MS = 250;

    private final Database database;
    private final SheetRepository sheets;
    private final RunAssembler runs;
    private final Lamps lamps;
    private final Clock clock;
    private final UnwrittenEnds unwritten;
    /** Whether the log says already that ends cannot be written. */
    private boolean reported;

    private final ScheduledExecutorService writer = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "lamp-records");
        thread.setDaemon(true);
        return thread;
    });

    LampService(
            Database database,
            SheetRepository sheets,
            RunAssembler runs,
            Lamps lamps,
            UnwrittenEnds unwritten,
            Clock clock) {
        this.database = database;
        this.sheets = sheets;
        this.runs = runs;
        this.lamps = lamps;
        this.unwritten = unwritten;
        this.clock = clock;
    }

    /** A lamp that was on when the program died was cut off at an unknown moment: say so, never guess. */
    @PostConstruct
    void recordLostPower() {
        String now = Clocks.now(clock);
        database.inTransaction(() -> {
            for (Sheet sheet : sheets.exposing()) {
                sheets.exposed(sheet.id()).orElseThrow().lamp().stream()
                        .filter(LampRecord::isOn)
                        .forEach(l -> sheets.lampOff(l.ended(now, null, LampRecord.POWER_LOST)));
            }
        });
    }

    @PreDestroy
    void close() {
        writer.shutdownNow();
    }

    /** Lamp on or off, as asked. */
    public RunView set(String sheetId, LampRequest asked) {
        if (!asked.on()) {
            return off(sheetId, asked);
        }
        if (asked.step() == null) {
            throw RefusedException.of("/step", "E_SHAPE", "Say which exposure the lamp is for.");
        }
        return on(sheetId, asked.step());
    }

    /** Switches the lamp on for the next step, or for the rest of one that was stopped; or takes down that the printer did. */
    private RunView on(String sheetId, int step) {
        RunAssembler.Run run = runs.exposing(sheetId);
        String enlarger = run.rig().enlarger().id();
        boolean switched = run.rig().way() == LampWay.SWITCHED;
        if (switched) {
            lamps.take(enlarger, sheetId);
        }
        try {
            LampRecord on = begun(sheetId, step);
            if (switched) {
                lamps.light(enlarger, sheetId, on.setSeconds(), (given, complete) -> ended(on, given, complete));
            }
        } catch (RuntimeException e) {
            if (switched) {
                lamps.leave(enlarger, sheetId);
            }
            throw e;
        }
        return runs.view(sheetId);
    }

    private LampRecord begun(String sheetId, int step) {
        return database.inTransaction(() -> {
            RunAssembler.Run run = runs.exposing(sheetId);
            ExposedSheet sheet = run.exposed();
            if (sheet.lamp().stream().anyMatch(LampRecord::isLost)) {
                throw new ConflictException(
                        "power-lost", "The light this sheet got is not known. Give it up and take a fresh one.");
            }
            if (sheet.isLeft()) {
                throw new ConflictException("left", "The paper is put away: say first that you are back.");
            }
            if (sheet.isToBeSet()) {
                throw new ConflictException(
                        "to-be-set", "This exposure is set in white light first: the paper into its box.");
            }
            RunAssembler.Next next = run.next().orElse(null);
            if (sheet.lamp().stream().anyMatch(LampRecord::isOn)
                    || next == null
                    || next.step().place() != step) {
                throw new ConflictException("not-this-step", "Exposure " + step + " is not the next one.");
            }
            int attempt = (int) sheet.lamp().stream()
                            .filter(l -> l.stepPlace() == step)
                            .count()
                    + 1;
            LampRecord on = new LampRecord(
                    sheetId,
                    step,
                    attempt,
                    next.setSeconds(),
                    Clocks.now(clock),
                    null,
                    null,
                    null,
                    run.rig().way().isTold());
            sheets.add(on);
            return on;
        });
    }

    /** Switches the lamp off before its time, or takes down that the printer's is off. */
    private RunView off(String sheetId, LampRequest asked) {
        if (lamps.off(sheetId)) {
            return runs.view(sheetId);
        }
        RunAssembler.Run run = runs.exposing(sheetId);
        if (run.rig().way().isTold()) {
            run.exposed().lamp().stream().filter(LampRecord::isOn).forEach(on -> told(run, on, asked));
        }
        return runs.view(sheetId);
    }

    /** The printer says that the step is given in full, or that it was ended early: then the clock tells how long it was. */
    private void told(RunAssembler.Run run, LampRecord on, LampRequest asked) {
        boolean complete = Boolean.TRUE.equals(asked.complete());
        double passed =
                Duration.between(Instant.parse(on.onAt()), clock.instant()).toMillis()
                        / 1000.0
                        * lamps.clockSpeed(run.rig().enlarger().id());
        ended(on, complete ? on.setSeconds() : Math.min(on.setSeconds(), passed), complete);
    }

    /** Puts the lamp of a sheet out, if it has one lit. */
    void release(RunAssembler.Run run) {
        String sheetId = run.exposed().sheet().id();
        lamps.off(sheetId);
        sheets.exposed(sheetId).orElseThrow().lamp().stream()
                .filter(l -> l.isOn() && l.told())
                .forEach(on -> told(run, on, new LampRequest(false, null, null)));
    }

    private void ended(LampRecord on, double given, boolean complete) {
        LampRecord off = on.ended(Clocks.now(clock), given, complete ? LampRecord.COMPLETE : LampRecord.STOPPED);
        unwritten.put(off);
        write();
    }

    /** Writes the ends that are waiting; what cannot be written stays and is tried again. */
    private synchronized void write() {
        for (LampRecord end : unwritten.all()) {
            try {
                database.inTransaction(() -> sheets.lampOff(end));
                unwritten.written(end);
                reported = false;
            } catch (RuntimeException e) {
                if (!reported) {
                    LOG.error("The end of an exposure cannot be written yet; it is kept and tried again", e);
                    reported = true;
                }
                writer.schedule(this::write, TRY_AGAIN_MS, TimeUnit.MILLISECONDS);
                return;
            }
        }
    }
}
