package keyslate.server.stores;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import keyslate.core.calibration.LagReadings;
import keyslate.core.quantity.Magnification;
import keyslate.core.rescale.Links;
import keyslate.server.Show;
import keyslate.server.rig.Constants.Name;
import keyslate.server.stores.StoresViews.Suggestion;
import keyslate.store.bench.Constant;
import keyslate.store.bench.Enlarger;
import keyslate.store.bench.Lens;

/** Which test is worth making next: one at most an evening, first what every sheet rests on. */
final class Suggestions {
    /** An evening's work: no second test is proposed in it. */
    private static final Duration EVENING = Duration.ofHours(12);

    /** Where the limits of defaults are told: a short burst, and a usual size. */
    private static final double SHORT_SECONDS = 2;

    private static final Magnification SIZE = Magnification.of(6);

    private final Clock clock;

    Suggestions(Clock clock) {
        this.clock = clock;
    }

    Optional<Suggestion> of(List<Enlarger> enlargers, List<Lens> lenses, List<Constant> found) {
        Instant lately = clock.instant().minus(EVENING);
        if (found.stream().anyMatch(c -> Instant.parse(c.foundAt()).isAfter(lately))) {
            return Optional.empty();
        }
        return enlargers.stream()
                .filter(e -> isOpen(found, e.id(), Name.LAG))
                .findFirst()
                .map(e -> new Suggestion(
                        e.id(),
                        Name.LAG.name(),
                        null,
                        "Measure the lag of " + e.name() + " next.",
                        "It counts in every burst: one of " + Show.seconds(SHORT_SECONDS) + " may be "
                                + hundredths(LagReadings.stopsAt(Links.LAG.limit(), SHORT_SECONDS))
                                + " stop off. Six bursts and a meter."))
                .or(() -> lenses.stream()
                        .filter(l -> isOpen(found, l.id(), Name.PUPIL))
                        .findFirst()
                        .map(l -> new Suggestion(
                                l.id(),
                                Name.PUPIL.name(),
                                null,
                                "Measure how the light of the " + l.name() + " follows the size.",
                                "From one lens to another at " + Show.number(SIZE.inTimes()) + " × a time may be "
                                        + hundredths(Links.sizeThroughAnother(SIZE, Links.PUPIL, SIZE, 0, Links.PUPIL)
                                                .limit()
                                                .inStops())
                                        + " stop off until it is known. Five heights and a meter.")))
                .or(() -> lenses.stream()
                        .filter(l -> isOpen(found, l.id(), Name.OPENINGS))
                        .findFirst()
                        .map(l -> new Suggestion(
                                l.id(),
                                Name.OPENINGS.name(),
                                null,
                                "Measure the openings of the " + l.name() + ".",
                                "Between two marks a time may be "
                                        + hundredths(Math.hypot(Links.OPENING.limit(), Links.OPENING.limit()))
                                        + " stop off. Two readings of each mark.")));
    }

    private static boolean isOpen(List<Constant> found, String thingId, Name name) {
        return found.stream()
                .noneMatch(c -> c.thingId().equals(thingId) && c.name().equals(name.name()));
    }

    private static String hundredths(double stops) {
        return String.format(Locale.ROOT, "%.2f", stops);
    }
}
