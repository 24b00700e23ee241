package keyslate.server.negative;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.GradeScale;
import keyslate.core.film.NegativeReadings;
import keyslate.core.light.Light;
import keyslate.core.quantity.Density;
import keyslate.core.quantity.QuantityException;
import keyslate.server.negative.FrameViews.FrameChange;
import keyslate.server.negative.FrameViews.FrameDetail;
import keyslate.server.negative.FrameViews.NotesView;
import keyslate.server.negative.FrameViews.ReadingAdvice;
import keyslate.server.negative.FrameViews.ScanView;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.Texts;
import keyslate.store.Database;
import keyslate.store.json.StoredMark;
import keyslate.store.negative.Frame;
import keyslate.store.negative.FrameNotes;
import keyslate.store.negative.Picture;
import keyslate.store.negative.RollRepository;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** One frame: what was decided on the proof sheet, and what is known of its negative. */
@Service
public class FrameService {
    private static final Set<String> CONSENTS = Set.of(FrameNotes.NOT_ASKED, FrameNotes.GIVEN, FrameNotes.REFUSED);
    private static final Set<String> RATINGS = Set.of(Frame.PRINT, Frame.MAYBE, Frame.NO);
    private static final String NO_RATING = "NONE";
    private static final int MOST_MARKS = 200;
    /** Silver in front of condensers scatters light away; a middle of what is usual (model, section 3). */
    private static final double CONDENSERS = 1.3;

    private final Database database;
    private final RollRepository rolls;
    private final RollService rollService;

    FrameService(Database database, RollRepository rolls, RollService rollService) {
        this.database = database;
        this.rolls = rolls;
        this.rollService = rollService;
    }

    /** A frame with all that is known of it. */
    public FrameDetail detail(String id) {
        return database.inSnapshot(() -> {
            Frame frame = rollService.frame(id);
            FrameNotes notes = rolls.notes(id);
            ReadingAdvice advice = rollService.isColour(frame) ? null : advice(notes);
            ScanView scan = rollService.picture(frame).map(FrameService::view).orElse(null);
            return new FrameDetail(rollService.view(frame), view(notes), scan, advice);
        });
    }

    /** Changes what is said of a frame. */
    public FrameDetail change(String id, FrameChange asked) {
        database.inTransaction(() -> {
            FieldErrors errors = new FieldErrors();
            Frame before = rollService.frame(id);
            Frame after = new Frame(
                    id,
                    before.rollId(),
                    before.number(),
                    asked.title() == null ? before.title() : Texts.checked(errors, "/title", asked.title(), 0, 80),
                    asked.caption() == null
                            ? before.caption()
                            : Texts.checked(errors, "/caption", asked.caption(), 0, 400),
                    // A picture stands as it is.
                    asked.upright() == null || before.pictureId() != null ? before.upright() : asked.upright(),
                    before.pictureId(),
                    asked.rating() == null ? before.rating() : rating(errors, asked.rating()));
            FrameNotes notes = asked.notes() == null ? null : notes(errors, id, asked.notes());
            errors.throwIfAny();
            rolls.update(after);
            if (notes != null) {
                rolls.put(notes);
            }
        });
        return detail(id);
    }

    private static @Nullable String rating(FieldErrors errors, String asked) {
        if (!RATINGS.contains(asked) && !NO_RATING.equals(asked)) {
            errors.add("/rating", "E_SHAPE", "A frame is to be printed, maybe, or not.");
        }
        return NO_RATING.equals(asked) ? null : asked;
    }

    private static FrameNotes notes(FieldErrors errors, String id, NotesView asked) {
        String consent = asked.consent() == null ? FrameNotes.NOT_ASKED : asked.consent();
        if (!CONSENTS.contains(consent)) {
            errors.add("/notes/consent", "E_SHAPE", "Consent was not asked for, was given, or was refused.");
        }
        FrameNotes notes = new FrameNotes(
                id,
                Texts.checked(errors, "/notes/people", asked.people(), 0, 200),
                consent,
                Texts.checked(errors, "/notes/defects", asked.defects(), 0, 200),
                Boolean.TRUE.equals(asked.beyondRescue()),
                density(errors, "base", asked.baseDensity()),
                density(errors, "shadow", asked.shadowDensity()),
                density(errors, "highlight", asked.highlightDensity()),
                Texts.checked(errors, "/notes/reader", asked.reader(), 0, 80),
                marks(errors, asked.marks() == null ? List.of() : asked.marks()));
        Double base = notes.baseDensity();
        Double shadow = notes.shadowDensity();
        if (base != null && shadow != null && shadow < base) {
            errors.add("/notes/shadowDensity", "E_RANGE", "No tone is thinner than the film's base, " + base + ".");
        }
        if (shadow != null && notes.highlightDensity() != null) {
            errors.check("/notes/highlightDensity", false, () -> {
                readings(notes);
                return true;
            });
        }
        return notes;
    }

    private static @Nullable Double density(FieldErrors errors, String tone, @Nullable Double asked) {
        return asked == null
                ? null
                : errors.check(
                        "/notes/" + tone + "Density",
                        asked,
                        () -> Density.of(asked).inLog10());
    }

    private static List<StoredMark> marks(FieldErrors errors, List<StoredMark> asked) {
        if (asked.size() > MOST_MARKS) {
            errors.add("/notes/marks", "E_RANGE", "At most " + MOST_MARKS + " marks are kept of a negative.");
        }
        for (int i = 0; i < asked.size(); i++) {
            StoredMark mark = asked.get(i);
            if (mark == null) {
                errors.add("/notes/marks/" + i, "E_SHAPE", "A mark belongs here.");
                return List.of();
            }
            if (!mark.hasKnownKind()) {
                errors.add("/notes/marks/" + i + "/kind", "E_SHAPE", "A mark is dust, a hair or a scratch.");
            }
            if (!mark.liesOnFrame()) {
                errors.add("/notes/marks/" + i, "E_RANGE", "A mark lies on the frame, from 0 to 1 both ways.");
            }
        }
        return asked;
    }

    private static ScanView view(Picture p) {
        boolean turnable = p.negative() || !Picture.LINEAR_16.equals(p.encoding());
        return new ScanView(p.mediaType(), p.widthPx(), p.heightPx(), p.profiled(), p.negative(), turnable);
    }

    private static NotesView view(FrameNotes n) {
        return new NotesView(
                n.people(),
                n.consent(),
                n.defects(),
                n.beyondRescue(),
                n.baseDensity(),
                n.shadowDensity(),
                n.highlightDensity(),
                n.reader(),
                n.marks());
    }

    private static NegativeReadings readings(FrameNotes notes) {
        return new NegativeReadings(Density.of(notes.shadowDensity()), Density.of(notes.highlightDensity()));
    }

    /** Where a negative begins by its readings, if it has both of them. */
    static @Nullable ReadingAdvice advice(FrameNotes notes) {
        if (notes.shadowDensity() == null || notes.highlightDensity() == null) {
            return null;
        }
        NegativeReadings readings;
        try {
            readings = readings(notes);
        } catch (QuantityException e) {
            return null;
        }
        double range = readings.neededRange(NegativeReadings.USUAL_FLARE, 1);
        Light light = new Light.Filter(GradeFilter.nearest(readings.nearestGrade(NegativeReadings.USUAL_FLARE, 1)));
        Light condensers =
                new Light.Filter(GradeFilter.nearest(readings.nearestGrade(NegativeReadings.USUAL_FLARE, CONDENSERS)));
        String why = String.format(
                Locale.ROOT,
                "Shadow %.2f and highlight %.2f, with ½ %% of stray light (default), put a log range of %.2f on the easel: the"
                        + " paper needs R %.0f. In front of condensers %s.",
                notes.shadowDensity(),
                notes.highlightDensity(),
                range / 100,
                range,
                condensers.notation());
        String reach = GradeScale.reaches(range) ? "" : " No grade reaches that; this is the nearest one.";
        return new ReadingAdvice(
                range, light.notation(), "By its readings it begins at " + light.notation() + ".", why + reach);
    }
}
