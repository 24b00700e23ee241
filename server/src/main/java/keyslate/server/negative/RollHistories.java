package keyslate.server.negative;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import keyslate.core.quantity.Check;
import keyslate.server.negative.RollViews.HistoryView;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.Texts;
import keyslate.store.negative.RollHistory;
import org.jspecify.annotations.Nullable;

/** What is known of a whole film, read and shown. */
final class RollHistories {
    private static final double LEAST_ISO = 0.1;
    private static final double MOST_ISO = 100_000;

    private RollHistories() {}

    static RollHistory checked(FieldErrors errors, String rollId, HistoryView asked) {
        return new RollHistory(
                rollId,
                day(errors, asked.takenOn()),
                Texts.checked(errors, "/history/camera", asked.camera(), 0, 80),
                Texts.checked(errors, "/history/sleeve", asked.sleeve(), 0, 80),
                iso(errors, "/history/nominalIso", asked.nominalIso()),
                iso(errors, "/history/exposedIso", asked.exposedIso()),
                Texts.checked(errors, "/history/development", asked.development(), 0, 200),
                Texts.checked(errors, "/history/remark", asked.remark(), 0, 400));
    }

    static HistoryView view(RollHistory h) {
        return new HistoryView(
                h.takenOn(), h.camera(), h.sleeve(), h.nominalIso(), h.exposedIso(), h.development(), h.remark());
    }

    private static String day(FieldErrors errors, @Nullable String asked) {
        if (asked == null || asked.isBlank()) {
            return "";
        }
        try {
            return LocalDate.parse(asked.strip()).toString();
        } catch (DateTimeParseException e) {
            errors.add("/history/takenOn", "E_SHAPE", "Write the day as year-month-day, such as 2026-05-17.");
            return "";
        }
    }

    private static @Nullable Double iso(FieldErrors errors, String pointer, @Nullable Double asked) {
        return asked == null
                ? null
                : errors.check(pointer, asked, () -> Check.within("film speed", asked, LEAST_ISO, MOST_ISO, "ISO"));
    }
}
