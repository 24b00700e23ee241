package keyslate.server.negative;

import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import keyslate.core.film.FilmSheet;
import keyslate.core.film.FrameNeed;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Stops;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.Show;
import keyslate.server.medium.Media;
import keyslate.server.negative.RollViews.FrameView;
import keyslate.server.negative.RollViews.HistoryView;
import keyslate.server.negative.RollViews.NeedView;
import keyslate.server.negative.RollViews.NewRoll;
import keyslate.server.negative.RollViews.PrintedBefore;
import keyslate.server.negative.RollViews.RollChange;
import keyslate.server.negative.RollViews.RollPage;
import keyslate.server.negative.RollViews.RollView;
import keyslate.server.picture.Pictures;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.NotFoundException;
import keyslate.server.web.RefusedException;
import keyslate.server.web.TemporaryFiles;
import keyslate.server.web.Texts;
import keyslate.store.Database;
import keyslate.store.json.Json;
import keyslate.store.negative.Frame;
import keyslate.store.negative.FrameNotes;
import keyslate.store.negative.Need;
import keyslate.store.negative.Picture;
import keyslate.store.negative.PictureRepository;
import keyslate.store.negative.Roll;
import keyslate.store.negative.RollHistory;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.SlateRepository;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Rolls and frames: adding and looking. */
@Service
public class RollService {
    /** So many proof sheets are drawn before more are asked for. */
    private static final int PAGE = 5;

    private static final int USUAL_STRIP = 6;
    private static final int MOST_NUMBER = 9999;

    private static final String USUAL_KIND = "MONOCHROME";

    private final Database database;
    private final RollRepository rolls;
    private final Pictures pictures;
    private final PictureRepository files;
    private final SlateRepository slates;
    private final RecipeRepository recipes;
    private final Media media;
    private final Clock clock;

    RollService(
            Database database,
            RollRepository rolls,
            Pictures pictures,
            PictureRepository files,
            SlateRepository slates,
            RecipeRepository recipes,
            Media media,
            Clock clock) {
        this.database = database;
        this.rolls = rolls;
        this.pictures = pictures;
        this.files = files;
        this.slates = slates;
        this.recipes = recipes;
        this.media = media;
        this.clock = clock;
    }

    /**
     * A frame to be added.
     *
     * @param number null = the next one
     */
    public record NewFrame(
            @Nullable String number,
            @Nullable String title,
            @Nullable String caption,
            boolean upright,
            FrameScan.@Nullable Given scan) {}

    /** A page of rolls, the newest first: those that follow a roll, or the first ones. */
    public RollPage page(boolean putAway, @Nullable String after) {
        return database.inSnapshot(() -> {
            Optional<Roll> last = Optional.ofNullable(after).map(this::roll);
            List<Roll> found = last.map(r -> rolls.after(r, putAway, PAGE)).orElseGet(() -> rolls.first(putAway, PAGE));
            int before = last.map(r -> rolls.countTo(r, putAway)).orElse(0);
            return new RollPage(
                    found.stream().map(this::view).toList(),
                    rolls.count(putAway) - before - found.size(),
                    rolls.count(true));
        });
    }

    /** A roll with its frames. */
    public RollView rollWithFrames(String id) {
        return database.inSnapshot(() -> view(roll(id)));
    }

    private Roll roll(String id) {
        return rolls.roll(id).orElseThrow(NotFoundException.of("roll"));
    }

    /** Adds a roll, with so many frames that nobody has named yet. */
    public Roll add(NewRoll asked) {
        FieldErrors errors = new FieldErrors();
        String title = Texts.checked(errors, "/title", asked.title(), 1, 80);
        String film = Texts.checked(errors, "/film", asked.film(), 0, 80);
        String kind = asked.kind() == null ? USUAL_KIND : asked.kind();
        if (!media.knows(kind)) {
            errors.add("/kind", "E_SHAPE", "A film is monochrome or colour.");
        }
        double longMm = side(errors, "/longMm", asked.longMm());
        double shortMm = side(errors, "/shortMm", asked.shortMm());
        int frames = whole(errors, "/frames", "frames", asked.frames(), 0, 0, FilmSheet.MOST_FRAMES);
        int first = whole(errors, "/firstNumber", "first number", asked.firstNumber(), 1, 0, MOST_NUMBER);
        int perStrip = perStrip(errors, asked.stripFrames(), USUAL_STRIP);
        errors.throwIfAny();
        Roll roll = new Roll(
                Ids.fresh(),
                title,
                film,
                kind,
                Math.max(longMm, shortMm),
                Math.min(longMm, shortMm),
                perStrip,
                Boolean.TRUE.equals(asked.oddFirst()),
                Clocks.now(clock),
                null);
        database.inTransaction(() -> {
            rolls.add(roll);
            for (int i = 0; i < frames; i++) {
                rolls.add(new Frame(Ids.fresh(), roll.id(), Integer.toString(first + i), "", "", false, null, null));
            }
        });
        return roll;
    }

    /** Changes what a roll is called, how it is cut, and what is known of it. */
    public RollView change(String id, RollChange asked) {
        return database.inTransaction(() -> {
            FieldErrors errors = new FieldErrors();
            Roll before = roll(id);
            Roll after = new Roll(
                    id,
                    asked.title() == null ? before.title() : Texts.checked(errors, "/title", asked.title(), 1, 80),
                    asked.film() == null ? before.film() : Texts.checked(errors, "/film", asked.film(), 0, 80),
                    before.kind(),
                    before.longMm(),
                    before.shortMm(),
                    perStrip(errors, asked.stripFrames(), before.stripFrames()),
                    asked.oddFirst() == null ? before.oddFirst() : asked.oddFirst(),
                    before.addedAt(),
                    before.putAwayAt());
            RollHistory history = asked.history() == null ? null : RollHistories.checked(errors, id, asked.history());
            errors.throwIfAny();
            rolls.update(after);
            if (history != null) {
                rolls.put(history);
            }
            return view(after);
        });
    }

    /** What is known of a whole film. */
    public HistoryView history(String id) {
        roll(id);
        return RollHistories.view(rolls.history(id));
    }

    private static int perStrip(FieldErrors errors, @Nullable Integer asked, int otherwise) {
        return whole(errors, "/stripFrames", "frames in a strip", asked, otherwise, 1, FilmSheet.MOST_FRAMES);
    }

    private static int whole(
            FieldErrors errors,
            String pointer,
            String name,
            @Nullable Integer asked,
            int otherwise,
            int low,
            int high) {
        return asked == null ? otherwise : errors.check(pointer, otherwise, () -> Check.count(name, asked, low, high));
    }

    /** Adds a frame; its picture is decoded before anything is stored, so that a damaged one is refused whole. */
    public Frame add(String rollId, NewFrame asked) {
        Roll roll = roll(rollId);
        // Once before a large picture is decoded in vain, and once where nothing can come between.
        named(rollId, asked);
        FrameScan scan = asked.scan() == null ? null : FrameScan.of(asked.scan(), roll);
        return database.inTransaction(() -> {
            Frame named = named(rollId, asked);
            Frame frame = scan == null ? named : named.shown(scan.store(pictures), scan.stands());
            rolls.add(frame);
            return frame;
        });
    }

    /** The frame that is asked for, without its picture. */
    private Frame named(String rollId, NewFrame asked) {
        FieldErrors errors = new FieldErrors();
        List<Frame> there = rolls.framesOf(rollId);
        String number =
                asked.number() == null ? nextNumber(there) : Texts.checked(errors, "/number", asked.number(), 1, 8);
        String title = Texts.checked(errors, "/title", asked.title(), 0, 80);
        String caption = Texts.checked(errors, "/caption", asked.caption(), 0, 400);
        if (there.stream().anyMatch(f -> f.number().equals(number))) {
            errors.add("/number", "E_TAKEN", "Frame " + number + " is on this roll already.");
        }
        if (there.size() >= FilmSheet.MOST_FRAMES) {
            errors.add(
                    "/number", "E_RANGE", "A roll has at most " + FilmSheet.MOST_FRAMES + " frames; add another roll.");
        }
        errors.throwIfAny();
        return new Frame(Ids.fresh(), rollId, number, title, caption, asked.upright(), null, null);
    }

    /** Takes the scan of a frame for that of a negative, or of a positive, whatever it was taken for. */
    public Frame read(String frameId, boolean negative) {
        Frame frame = frame(frameId);
        Picture picture = picture(frame)
                .orElseThrow(() -> new NotFoundException("Frame " + frame.number() + " was never scanned."));
        if (Picture.LINEAR_16.equals(picture.encoding()) && !picture.negative()) {
            throw RefusedException.of("/negative", "E_SHAPE", "This picture came with the demo; it is no scan.");
        }
        Path file = pictures.file(picture.id());
        try {
            List<Double> corners = picture.corners() == null ? null : Json.numbers(picture.corners());
            return scan(frameId, new FrameScan.Given(file, negative, corners, frame.upright()));
        } finally {
            TemporaryFiles.delete(file);
        }
    }

    /** The file that a frame's picture was made from. */
    Optional<Picture> picture(Frame frame) {
        return Optional.ofNullable(frame.pictureId()).flatMap(files::find);
    }

    /** One more than the highest number there is. */
    private static String nextNumber(List<Frame> there) {
        int highest = there.stream()
                .map(Frame::number)
                .filter(n -> n.matches("\\d{1,4}"))
                .mapToInt(Integer::parseInt)
                .max()
                .orElse(0);
        return Integer.toString(highest + 1);
    }

    /** Gives a frame another picture, or its first one; prints of it stay what they are. */
    public Frame scan(String frameId, FrameScan.Given given) {
        FrameScan scan = FrameScan.of(given, roll(frame(frameId).rollId()));
        return database.inTransaction(() -> {
            // Read here: what was said of the frame while its picture was decoded stays.
            Frame before = frame(frameId);
            Frame after = before.shown(scan.store(pictures), scan.stands());
            rolls.update(after);
            if (before.pictureId() != null) {
                files.deleteUnused(List.of(before.pictureId()));
            }
            return after;
        });
    }

    public Frame frame(String id) {
        return rolls.frame(id).orElseThrow(NotFoundException.of("frame"));
    }

    /** Whether the film of a frame is a colour film. */
    public boolean isColour(Frame frame) {
        return isColour(rolls.roll(frame.rollId()).orElseThrow());
    }

    static boolean isColour(Roll roll) {
        return !USUAL_KIND.equals(roll.kind());
    }

    /** The view of one frame. */
    public FrameView view(Frame frame) {
        return views(List.of(frame)).get(0);
    }

    /** The views of frames, of one roll or of many: as many queries for a hundred as for one. */
    public List<FrameView> views(List<Frame> frames) {
        if (frames.isEmpty()) {
            return List.of();
        }
        List<String> ids = frames.stream().map(Frame::id).toList();
        Map<String, Roll> ofRoll =
                byKey(rolls.rolls(frames.stream().map(Frame::rollId).distinct().toList()), Roll::id);
        Map<String, FrameNotes> notes = byKey(rolls.notesOf(ids), FrameNotes::frameId);
        Map<String, NeedView> needs = needs(ids);
        Map<String, List<PrintedBefore>> before = recipes.standingOf(ids).stream()
                .collect(Collectors.groupingBy(
                        RecipeRepository.Standing::frameId,
                        Collectors.mapping(RollService::before, Collectors.toList())));
        return frames.stream()
                .map(f -> view(
                        f,
                        ofRoll.get(f.rollId()),
                        notes.getOrDefault(f.id(), FrameNotes.none(f.id())),
                        needs.get(f.id()),
                        before.getOrDefault(f.id(), List.of())))
                .toList();
    }

    private static <T> Map<String, T> byKey(List<T> all, Function<T, String> key) {
        return all.stream().collect(Collectors.toMap(key, Function.identity()));
    }

    public RollView view(Roll roll) {
        List<FrameView> frames = views(rolls.framesOf(roll.id()));
        return new RollView(
                roll.id(),
                roll.title(),
                roll.film(),
                roll.kind(),
                roll.longMm(),
                roll.shortMm(),
                roll.stripFrames(),
                roll.oddFirst(),
                FilmSheet.cut(frames.size(), roll.stripFrames(), roll.oddFirst())
                        .strips(),
                frames,
                recipes.standingOfProofs(roll.id()).stream()
                        .map(RollService::before)
                        .toList(),
                roll.putAwayAt(),
                !slates.isRollExposed(roll.id()));
    }

    private Map<String, NeedView> needs(List<String> frameIds) {
        List<Need> found = rolls.needsOf(frameIds);
        if (found.isEmpty()) {
            return Map.of();
        }
        Map<String, Frame> others = byKey(
                rolls.frames(found.stream().map(Need::againstId).distinct().toList()), Frame::id);
        return found.stream().collect(Collectors.toMap(Need::frameId, n -> view(n, others.get(n.againstId()))));
    }

    /** What a frame needs, as it is shown. */
    public static NeedView view(Need n, Frame other) {
        return new NeedView(
                n.againstId(),
                other.number(),
                n.moreStops(),
                n.limitStops(),
                n.castHue(),
                n.castPoints(),
                n.packMagenta(),
                n.packYellow(),
                n.contrast(),
                n.source(),
                Need.EYE.equals(n.source())
                        && new FrameNeed(Stops.of(n.moreStops()), Stops.of(n.limitStops()), n.contrast())
                                .isOfOneLook());
    }

    private static FrameView view(
            Frame frame, Roll roll, FrameNotes notes, @Nullable NeedView need, List<PrintedBefore> before) {
        return new FrameView(
                frame.id(),
                roll.id(),
                roll.title(),
                roll.film(),
                roll.kind(),
                isColour(roll),
                frame.number(),
                frame.title(),
                frame.caption(),
                frame.upright() ? roll.shortMm() : roll.longMm(),
                frame.upright() ? roll.longMm() : roll.shortMm(),
                frame.pictureId() != null,
                frame.rating(),
                notes.beyondRescue(),
                notes.isToBeAsked(),
                need,
                before);
    }

    private static PrintedBefore before(RecipeRepository.Standing s) {
        String line = s.light() + ", " + Show.seconds(s.seconds()) + " at " + Show.aperture(s.apertureMark()) + ", "
                + (s.contactMm() == null ? "" : Show.number(s.contactMm() / 10) + " cm to the paper, ")
                + String.format(Locale.ROOT, "%.0f × %.0f mm", s.sheetWidthMm(), s.sheetHeightMm());
        return new PrintedBefore(s.slateId(), s.title(), line, s.accepted(), s.pictureId());
    }

    private static double side(FieldErrors errors, String pointer, @Nullable Double mm) {
        return errors.check(
                pointer, 10.0, () -> Check.within("side of the frame", mm == null ? Double.NaN : mm, 5, 600, "mm"));
    }
}
