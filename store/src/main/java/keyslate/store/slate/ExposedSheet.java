package keyslate.store.slate;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import keyslate.core.exposure.LampLag;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.script.ExposureStep;

/** A sheet with all that belongs to it. */
public record ExposedSheet(
        Sheet sheet,
        List<Piece> pieces,
        List<ExposureStep> steps,
        List<LampRecord> lamp,
        List<SheetEvent> events,
        List<Scan> scans,
        List<Decision> decisions) {
    public ExposedSheet {
        pieces = List.copyOf(pieces);
        steps = List.copyOf(steps);
        lamp = List.copyOf(lamp);
        events = List.copyOf(events);
        scans = List.copyOf(scans);
        decisions = List.copyOf(decisions);
    }

    /** The picture that counts. */
    public Optional<Scan> scan() {
        return scans.isEmpty() ? Optional.empty() : Optional.of(scans.get(scans.size() - 1));
    }

    /** The only piece of a strip or a print. */
    public Piece piece() {
        return pieces.get(0);
    }

    /** How many steps are complete: the next one to give is this plus one. */
    public int stepsDone() {
        return (int) lamp.stream()
                .filter(LampRecord::isComplete)
                .map(LampRecord::stepPlace)
                .distinct()
                .count();
    }

    /** Seconds of full light that a step really gave, a lag taken off for every time the lamp went on. */
    public double received(ExposureStep step, LampLag lag) {
        return received(lag).getOrDefault(step.place(), 0.0);
    }

    /** The same for every step that gave any light, by its place. */
    public Map<Integer, Double> received(LampLag lag) {
        Map<Integer, Double> received = new LinkedHashMap<>();
        for (LampRecord l : lamp) {
            if (l.givenSeconds() != null && l.givenSeconds() > 0) {
                int presses = l.told() ? steps.get(l.stepPlace() - 1).presses() : 1;
                ExposureTime each = ExposureTime.ofSeconds(l.givenSeconds() / presses);
                received.merge(l.stepPlace(), presses * lag.receivedSeconds(each), Double::sum);
            }
        }
        return received;
    }

    /** Whether the black screen was lit while the paper was out, which may have fogged it. */
    public boolean isDoubtful() {
        return events.stream()
                .map(SheetEvent::kind)
                .takeWhile(kind -> !SheetEvent.DRUM_CLOSED.equals(kind))
                .anyMatch(SheetEvent.GLANCE::equals);
    }
}
