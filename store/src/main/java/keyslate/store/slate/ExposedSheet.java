package keyslate.store.slate;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import keyslate.core.exposure.LampLag;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.script.Cue;
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

    /** The same sheet with another record of the lamp. */
    public ExposedSheet lit(List<LampRecord> record) {
        return new ExposedSheet(sheet, pieces, steps, record, events, scans, decisions);
    }

    /** The picture that counts. */
    public Optional<Scan> scan() {
        return scans.isEmpty() ? Optional.empty() : Optional.of(scans.get(scans.size() - 1));
    }

    /** The last picture that told how the paper acts: one that is handed in later tells nothing of that and takes nothing away. */
    public Optional<Scan> telling() {
        return scans.stream().filter(s -> !s.offsets().isEmpty()).reduce((first, last) -> last);
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

    /** What happened, without the answers that were taken back. */
    public List<SheetEvent> standing() {
        List<SheetEvent> standing = new ArrayList<>();
        for (SheetEvent event : events) {
            if (SheetEvent.TAKEN_BACK.equals(event.kind())) {
                for (int i = standing.size() - 1; i >= 0; i--) {
                    if (standing.get(i).isAnswer()) {
                        standing.remove(i);
                        break;
                    }
                }
            } else {
                standing.add(event);
            }
        }
        return standing;
    }

    /** Whether the printer closed the paper away and is out. */
    public boolean isLeft() {
        return count(SheetEvent.LEFT) > count(SheetEvent.CAME_BACK);
    }

    /** Whether the paper lies in its box between two exposures. */
    public boolean isBoxed() {
        return count(SheetEvent.PAPER_BOXED) > count(SheetEvent.PAPER_TAKEN);
    }

    /** Whether the next exposure needs a setting that is made in white light, and was not made yet. */
    public boolean isToBeSet() {
        int done = stepsDone();
        long needed = done == steps.size()
                ? 0
                : steps.stream()
                        .limit(done + 1L)
                        .filter(s -> s.cues().contains(Cue.SET_IN_LIGHT))
                        .count();
        return count(SheetEvent.PAPER_TAKEN) < needed;
    }

    private long count(String kind) {
        return standing().stream().filter(e -> e.kind().equals(kind)).count();
    }

    /** What spoils a sheet from outside. */
    public enum Doubt {
        /** The black screen was lit for a look. */
        GLANCE,
        WHITE_LIGHT,
        ALARM
    }

    /** What came on while the paper was out, and may have fogged it: the last of it. */
    public Optional<Doubt> doubt() {
        boolean out = true;
        Optional<Doubt> doubt = Optional.empty();
        for (SheetEvent event : standing()) {
            switch (event.kind()) {
                case SheetEvent.DRUM_CLOSED, SheetEvent.PAPER_BOXED, SheetEvent.LEFT -> out = false;
                case SheetEvent.PAPER_TAKEN, SheetEvent.CAME_BACK -> out = true;
                case SheetEvent.GLANCE -> doubt = out ? Optional.of(Doubt.GLANCE) : doubt;
                // These are written down only for paper that was not safe then, wherever it lay.
                case SheetEvent.WHITE_LIGHT -> doubt = Optional.of(Doubt.WHITE_LIGHT);
                case SheetEvent.ALARM -> doubt = Optional.of(Doubt.ALARM);
                default -> {
                    // A tray changes nothing of it.
                }
            }
        }
        return doubt;
    }
}
