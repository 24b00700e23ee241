package keyslate.server.decide;

import java.util.Optional;
import keyslate.core.curve.PaperSpeed;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.rescale.Known;
import keyslate.server.Show;
import keyslate.server.decide.DecisionViews.Marks;

/**
 * What a strip that was read wet is to be allowed for as it dries (CAL-07); nothing where it was read dry, or where its owner never tried it.
 *
 * @param percent of the time
 */
record DriesDown(Optional<Known> percent) {
    static DriesDown of(Hung strip, Marks marks) {
        return new DriesDown(
                Boolean.TRUE.equals(marks.dry())
                        ? Optional.empty()
                        : strip.now().dryDown());
    }

    ExposureTime allowed(ExposureTime time) {
        return percent.map(p -> PaperSpeed.allowingForDryDown(time, p.figure())).orElse(time);
    }

    /** What is left open with the limit of a reading. */
    Stops with(Stops reading) {
        return percent.map(p -> {
                    double own = Math.log(1 + p.limit() / (100 - p.figure())) / Math.log(2);
                    return Stops.of(Math.hypot(reading.inStops(), own));
                })
                .orElse(reading);
    }

    /** In a line. */
    Optional<String> say(ExposureTime time) {
        return percent.map(p -> "Read wet; this paper dries down by " + Show.number(p.figure()) + " %, "
                + (p.source() == Known.Source.MEASURED ? "measured" : "as entered") + ": "
                + Show.seconds(time.inSeconds()) + " becomes "
                + Show.seconds(allowed(time).inSeconds()) + ".");
    }
}
