package keyslate.server.print;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import keyslate.store.slate.ExposedSheet;
import keyslate.store.slate.LampRecord;
import org.springframework.stereotype.Component;

/** Ends of exposures that are known and that the disk has not taken yet: they count all the same, and are written once it does. */
@Component
class UnwrittenEnds {
    private final Map<String, LampRecord> ends = new ConcurrentHashMap<>();

    void put(LampRecord end) {
        ends.put(key(end), end);
    }

    void written(LampRecord end) {
        ends.remove(key(end));
    }

    List<LampRecord> all() {
        return List.copyOf(ends.values());
    }

    /** Whether one of a sheet waits. */
    boolean isWaiting(String sheetId) {
        return ends.values().stream().anyMatch(end -> end.sheetId().equals(sheetId));
    }

    /** A sheet as it was read, with what is known beyond that. */
    ExposedSheet over(ExposedSheet read) {
        return ends.isEmpty()
                ? read
                : read.lit(read.lamp().stream()
                        .map(l -> l.isOn() ? ends.getOrDefault(key(l), l) : l)
                        .toList());
    }

    private static String key(LampRecord l) {
        return l.sheetId() + "/" + l.stepPlace() + "/" + l.attempt();
    }
}
