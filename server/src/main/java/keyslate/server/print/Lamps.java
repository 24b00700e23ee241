package keyslate.server.print;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import keyslate.server.print.EnlargerTimer.WhenOff;
import keyslate.server.web.ConflictException;
import org.springframework.stereotype.Component;

/** The switched lamps and who has them: only the sheet that lit a lamp can put it out. */
@Component
class Lamps {
    private final EnlargerTimers timers;
    private final Map<String, String> owners = new ConcurrentHashMap<>();

    Lamps(EnlargerTimers timers) {
        this.timers = timers;
    }

    /**
     * Takes an enlarger's lamp for a sheet.
     *
     * @throws ConflictException when another sheet has it
     */
    void take(String enlargerId, String sheetId) {
        String owner = owners.putIfAbsent(enlargerId, sheetId);
        if (owner != null) {
            throw owner.equals(sheetId)
                    ? new ConflictException("not-this-step", "The lamp is on for this sheet already.")
                    : new ConflictException("lamp-busy", "This enlarger's lamp is on for another sheet.");
        }
    }

    /** Lets go of a lamp that was taken and never lit. */
    void leave(String enlargerId, String sheetId) {
        owners.remove(enlargerId, sheetId);
    }

    /** Lights a lamp that was taken. */
    void light(String enlargerId, String sheetId, double seconds, WhenOff told) {
        timers.of(enlargerId).on(seconds, (given, complete) -> {
            owners.remove(enlargerId, sheetId);
            told.off(given, complete);
        });
    }

    /** Puts the lamp out that is this sheet's; whether it had one. Nothing is read for it: the light waits for no file. */
    boolean off(String sheetId) {
        boolean had = false;
        for (Map.Entry<String, String> lamp : owners.entrySet()) {
            if (lamp.getValue().equals(sheetId)) {
                timers.of(lamp.getKey()).off();
                had = true;
            }
        }
        return had;
    }

    /** Seconds since this sheet's lamp went on; 0 when it is off or another's. */
    double elapsedSeconds(String enlargerId, String sheetId) {
        return sheetId.equals(owners.get(enlargerId)) ? timers.of(enlargerId).elapsedSeconds() : 0;
    }

    double clockSpeed(String enlargerId) {
        return timers.of(enlargerId).clockSpeed();
    }
}
