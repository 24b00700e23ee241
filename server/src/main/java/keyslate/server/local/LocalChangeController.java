package keyslate.server.local;

import java.util.List;
import keyslate.core.local.LocalChange;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.RefusedException;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** A hold or burn said in one way, answered in all three (LOC-01 to LOC-03). */
@RestController
class LocalChangeController {
    /** One of stops, percent or signed seconds, on a base. */
    record LocalChangeRequest(
            double baseSeconds,
            @Nullable Double changeStops,
            @Nullable Double changePercent,
            @Nullable Double changeSeconds) {}

    /** The same change in all three ways. */
    record LocalChangeAnswer(
            double baseSeconds,
            double changeStops,
            double changePercent,
            double changeSeconds,
            List<String> formulas) {}

    @PostMapping("/api/calculations/local-change")
    LocalChangeAnswer localChange(@RequestBody LocalChangeRequest asked) {
        FieldErrors errors = new FieldErrors();
        ExposureTime base = errors.check("/baseSeconds", null, () -> ExposureTime.ofSeconds(asked.baseSeconds()));
        errors.throwIfAny();
        LocalChange change = read(asked, base);
        return new LocalChangeAnswer(
                base.inSeconds(),
                change.change().inStops(),
                change.toPercent(),
                change.secondsOn(base),
                List.of("LOC-01", "LOC-02", "LOC-03"));
    }

    private static LocalChange read(LocalChangeRequest asked, ExposureTime base) {
        String pointer = asked.changeStops() != null
                ? "/changeStops"
                : asked.changePercent() != null ? "/changePercent" : "/changeSeconds";
        try {
            if (asked.changeStops() != null) {
                return LocalChange.ofStops(asked.changeStops());
            }
            if (asked.changePercent() != null) {
                return LocalChange.ofPercent(asked.changePercent());
            }
            return LocalChange.ofSeconds(base, asked.changeSeconds() == null ? Double.NaN : asked.changeSeconds());
        } catch (QuantityException e) {
            throw RefusedException.of(pointer, e.kind().code(), e.getMessage());
        }
    }
}
