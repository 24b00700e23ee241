package keyslate.server.negative;

import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import keyslate.core.quantity.Check;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.negative.RollViews.FrameView;
import keyslate.server.negative.RollViews.NewRoll;
import keyslate.server.negative.RollViews.PrintedBefore;
import keyslate.server.negative.RollViews.RollView;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.NotFoundException;
import keyslate.store.Database;
import keyslate.store.negative.Frame;
import keyslate.store.negative.Picture;
import keyslate.store.negative.Roll;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.SlateRepository;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Rolls and frames. */
@RestController
public class RollController {
    private final Database database;
    private final RollRepository rolls;
    private final SlateRepository slates;
    private final Negatives negatives;
    private final Clock clock;

    RollController(Database database, RollRepository rolls, SlateRepository slates, Negatives negatives, Clock clock) {
        this.database = database;
        this.rolls = rolls;
        this.slates = slates;
        this.negatives = negatives;
        this.clock = clock;
    }

    @GetMapping("/api/rolls")
    List<RollView> rolls() {
        return rolls.rolls().stream().map(this::view).toList();
    }

    @PostMapping("/api/rolls")
    @ResponseStatus(HttpStatus.CREATED)
    RollView add(@RequestBody NewRoll asked) {
        FieldErrors errors = new FieldErrors();
        String title = text(errors, "/title", asked.title(), 80);
        double longMm = side(errors, "/longMm", asked.longMm());
        double shortMm = side(errors, "/shortMm", asked.shortMm());
        errors.throwIfAny();
        String film = asked.film() == null ? "" : asked.film().strip();
        Roll roll = new Roll(
                Ids.fresh(), title, film, Math.max(longMm, shortMm), Math.min(longMm, shortMm), Clocks.now(clock));
        database.inTransaction(() -> rolls.add(roll));
        return view(roll);
    }

    @PostMapping(path = "/api/rolls/{id}/frames", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    FrameView addFrame(
            @PathVariable String id,
            @RequestParam String number,
            @RequestParam String title,
            @RequestParam(required = false) @Nullable String caption,
            @RequestParam(required = false) @Nullable Boolean upright,
            @RequestPart(required = false) @Nullable MultipartFile file)
            throws IOException {
        Roll roll = rolls.roll(id).orElseThrow(NotFoundException.of("roll"));
        FieldErrors errors = new FieldErrors();
        String frameNumber = text(errors, "/number", number, 8);
        String frameTitle = text(errors, "/title", title, 80);
        if (rolls.framesOf(id).stream().anyMatch(f -> f.number().equals(frameNumber))) {
            errors.add("/number", "E_TAKEN", "Frame " + frameNumber + " is on this roll already.");
        }
        errors.throwIfAny();
        byte[] bytes = file == null || file.isEmpty() ? null : file.getBytes();
        PictureFiles.Described found = bytes == null ? null : PictureFiles.describe(bytes);
        if (found != null) {
            PictureFiles.toScene(bytes, found.encoding());
        }
        boolean stands = found != null ? found.heightPx() > found.widthPx() : Boolean.TRUE.equals(upright);
        String pictureId = found == null ? null : Ids.fresh();
        Frame frame =
                new Frame(Ids.fresh(), id, frameNumber, frameTitle, caption == null ? "" : caption, stands, pictureId);
        database.inTransaction(() -> {
            if (found != null) {
                rolls.add(
                        new Picture(pictureId, found.mediaType(), found.encoding(), found.widthPx(), found.heightPx()),
                        bytes);
            }
            rolls.add(frame);
        });
        return view(frame, roll);
    }

    @GetMapping(path = "/api/frames/{id}/positive", produces = MediaType.IMAGE_JPEG_VALUE)
    ResponseEntity<byte[]> positive(@PathVariable String id, @RequestParam(defaultValue = "960") int side) {
        Frame frame = rolls.frame(id).orElseThrow(NotFoundException.of("frame"));
        byte[] jpeg = negatives
                .positive(frame, Check.count("side", side, 16, PictureFiles.WORKING_SIDE))
                .orElseThrow(() -> new NotFoundException("Frame " + frame.number() + " was never scanned."));
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(Duration.ofDays(1)).cachePrivate())
                .body(jpeg);
    }

    /** The view of one frame. */
    public FrameView view(Frame frame) {
        return view(frame, rolls.roll(frame.rollId()).orElseThrow());
    }

    private RollView view(Roll roll) {
        List<FrameView> frames =
                rolls.framesOf(roll.id()).stream().map(f -> view(f, roll)).toList();
        return new RollView(roll.id(), roll.title(), roll.film(), roll.longMm(), roll.shortMm(), frames);
    }

    private FrameView view(Frame frame, Roll roll) {
        List<PrintedBefore> before = slates.ofFrame(frame.id()).stream()
                .map(s -> before(s.id(), slates.recipe(s.recipeId())))
                .toList();
        return new FrameView(
                frame.id(),
                roll.id(),
                roll.title(),
                roll.film(),
                frame.number(),
                frame.title(),
                frame.caption(),
                frame.upright() ? roll.shortMm() : roll.longMm(),
                frame.upright() ? roll.longMm() : roll.shortMm(),
                frame.pictureId() != null,
                before);
    }

    private static PrintedBefore before(String slateId, Recipe recipe) {
        String line = String.format(
                Locale.ROOT,
                "grade %s, %.1f s at f/%s, %.0f × %.0f mm",
                recipe.setup().filter(),
                recipe.setup().baseSeconds(),
                recipe.setup().apertureMark() % 1 == 0
                        ? Long.toString((long) recipe.setup().apertureMark())
                        : Double.toString(recipe.setup().apertureMark()),
                recipe.setup().sheetWidthMm(),
                recipe.setup().sheetHeightMm());
        return new PrintedBefore(slateId, recipe.title(), line);
    }

    private static String text(FieldErrors errors, String pointer, @Nullable String text, int longest) {
        String stripped = text == null ? "" : text.strip();
        if (stripped.isEmpty() || stripped.length() > longest) {
            errors.add(pointer, "E_SHAPE", "Write 1 to " + longest + " characters here.");
        }
        return stripped;
    }

    private static double side(FieldErrors errors, String pointer, @Nullable Double mm) {
        return errors.check(
                pointer, 1.0, () -> Check.within("side of the frame", mm == null ? Double.NaN : mm, 5, 600, "mm"));
    }
}
