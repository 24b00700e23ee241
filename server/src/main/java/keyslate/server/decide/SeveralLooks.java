package keyslate.server.decide;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import keyslate.core.exposure.PatchPick;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.core.reading.Looks;
import keyslate.server.decide.DecisionViews.Marks;
import keyslate.server.web.RefusedException;
import keyslate.store.json.Look;
import org.jspecify.annotations.Nullable;

/** A test that was looked at more than once, each time with the marks before hidden (REA-24). */
final class SeveralLooks {
    private SeveralLooks() {}

    /** The marks of all looks together; as they are where it was one. */
    static Marks together(Hung strip, Marks marks) {
        List<Look> looks = marks.looks();
        if (looks == null) {
            return marks;
        }
        if (marks.pictured() != null || looks.size() < 2 || looks.contains(null)) {
            throw RefusedException.of("/marks/looks", "E_SHAPE", "Two looks by eye at least; one alone is its marks.");
        }
        if (strip.sheet().patches().orElseThrow().differInLight()) {
            throw RefusedException.of(
                    "/marks/looks", "E_SHAPE", "Pieces of different lights have no mean: say which is right.");
        }
        return new Marks(
                mean(strip, looks, Look::whitesAt),
                mean(strip, looks, Look::blacksAt),
                mean(strip, looks, Look::rightAt),
                marks.dry(),
                marks.moreStops(),
                marks.beyond(),
                marks.whitesTone(),
                marks.rightTone(),
                marks.blacksTone(),
                marks.lamp(),
                marks.second(),
                marks.blackBeyond(),
                marks.row(),
                looks,
                null);
    }

    private static @Nullable Double mean(Hung strip, List<Look> looks, Function<Look, Double> tone) {
        List<Double> places = looks.stream().map(tone).filter(Objects::nonNull).toList();
        if (places.isEmpty()) {
            return null;
        }
        List<ExposureTime> totals = Readings.totals(strip);
        try {
            places.forEach(at -> PatchPick.ofPosition(at).timeOn(totals));
            return new Looks(places).place();
        } catch (QuantityException e) {
            throw RefusedException.of(
                    "/marks/looks", "E_RANGE", "Each look marks a place on the test, in five looks at most.");
        }
    }

    /** The looks for one tone, where there were several. */
    static Optional<Looks> of(@Nullable List<Look> looks, Function<Look, Double> tone) {
        if (looks == null) {
            return Optional.empty();
        }
        List<Double> places = looks.stream().map(tone).filter(Objects::nonNull).toList();
        return places.size() > 1 ? Optional.of(new Looks(places)) : Optional.empty();
    }
}
