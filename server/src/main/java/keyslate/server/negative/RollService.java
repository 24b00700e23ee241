package keyslate.server.negative;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import keyslate.core.quantity.Check;
import keyslate.core.reading.Corners;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.Show;
import keyslate.server.medium.Media;
import keyslate.server.negative.RollViews.FrameView;
import keyslate.server.negative.RollViews.NewRoll;
import keyslate.server.negative.RollViews.PrintedBefore;
import keyslate.server.negative.RollViews.RollView;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.NotFoundException;
import keyslate.server.web.Texts;
import keyslate.store.Database;
import keyslate.store.negative.Frame;
import keyslate.store.negative.Picture;
import keyslate.store.negative.PictureRepository;
import keyslate.store.negative.Roll;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.SlateRepository;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Rolls and frames: adding and looking. */
@Service
public class RollService {
    private static final String USUAL_KIND = "MONOCHROME";

    private final Database database;
    private final RollRepository rolls;
    private final PictureRepository pictures;
    private final SlateRepository slates;
    private final RecipeRepository recipes;
    private final Media media;
    private final Clock clock;

    RollService(
            Database database,
            RollRepository rolls,
            PictureRepository pictures,
            SlateRepository slates,
            RecipeRepository recipes,
            Media media,
            Clock clock) {
        this.database = database;
        this.rolls = rolls;
        this.pictures = pictures;
        this.slates = slates;
        this.recipes = recipes;
        this.media = media;
        this.clock = clock;
    }

    /** A frame to be added; the picture, when there is one, lies in a file that is not kept. */
    public record NewFrame(
            String number,
            String title,
            @Nullable String caption,
            boolean upright,
            @Nullable Path file) {}

    public List<RollView> rolls() {
        return database.inSnapshot(() -> rolls.rolls().stream().map(this::view).toList());
    }

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
        errors.throwIfAny();
        Roll roll = new Roll(
                Ids.fresh(),
                title,
                film,
                kind,
                Math.max(longMm, shortMm),
                Math.min(longMm, shortMm),
                Clocks.now(clock));
        database.inTransaction(() -> rolls.add(roll));
        return roll;
    }

    /** Adds a frame; its picture is decoded before anything is stored, so that a damaged one is refused whole. */
    public Frame add(String rollId, NewFrame asked) {
        rolls.roll(rollId).orElseThrow(NotFoundException.of("roll"));
        FieldErrors errors = new FieldErrors();
        String number = Texts.checked(errors, "/number", asked.number(), 1, 8);
        String title = Texts.checked(errors, "/title", asked.title(), 1, 80);
        String caption = Texts.checked(errors, "/caption", asked.caption(), 0, 400);
        if (rolls.framesOf(rollId).stream().anyMatch(f -> f.number().equals(number))) {
            errors.add("/number", "E_TAKEN", "Frame " + number + " is on this roll already.");
        }
        errors.throwIfAny();
        PictureFiles.Described found = asked.file() == null ? null : PictureFiles.describe(asked.file());
        byte[] working = asked.file() == null ? null : PictureFiles.workingCopy(asked.file());
        boolean stands = found != null ? found.heightPx() > found.widthPx() : asked.upright();
        String pictureId = found == null ? null : Ids.fresh();
        Frame frame = new Frame(Ids.fresh(), rollId, number, title, caption, stands, pictureId);
        database.inTransaction(() -> {
            if (found != null) {
                store(pictureId, found, asked.file(), working);
            }
            rolls.add(frame);
        });
        return frame;
    }

    /** Stores a picture file with its working copy; inside a transaction. */
    public void store(String id, PictureFiles.Described found, Path file, byte[] working) {
        try (InputStream in = Files.newInputStream(file)) {
            Picture picture = new Picture(
                    id, found.mediaType(), Picture.SRGB_8, found.widthPx(), found.heightPx(), Files.size(file));
            pictures.add(picture, in, new PictureRepository.Working("image/jpeg", working));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The paper in a picture of it, as a working copy; see {@link SquaredPicture}. */
    public byte[] squared(Path file, Corners corners, double aspect) {
        return SquaredPicture.of(file, corners, aspect);
    }

    public Frame frame(String id) {
        return rolls.frame(id).orElseThrow(NotFoundException.of("frame"));
    }

    /** Whether the film of a frame is a colour film. */
    public boolean isColour(Frame frame) {
        return !USUAL_KIND.equals(rolls.roll(frame.rollId()).orElseThrow().kind());
    }

    /** The view of one frame. */
    public FrameView view(Frame frame) {
        return view(frame, rolls.roll(frame.rollId()).orElseThrow());
    }

    public RollView view(Roll roll) {
        List<FrameView> frames =
                rolls.framesOf(roll.id()).stream().map(f -> view(f, roll)).toList();
        return new RollView(roll.id(), roll.title(), roll.film(), roll.kind(), roll.longMm(), roll.shortMm(), frames);
    }

    private FrameView view(Frame frame, Roll roll) {
        List<PrintedBefore> before = slates.ofFrame(frame.id()).stream()
                .map(s -> before(s.id(), recipes.get(s.recipeId())))
                .toList();
        return new FrameView(
                frame.id(),
                roll.id(),
                roll.title(),
                roll.film(),
                roll.kind(),
                frame.number(),
                frame.title(),
                frame.caption(),
                frame.upright() ? roll.shortMm() : roll.longMm(),
                frame.upright() ? roll.longMm() : roll.shortMm(),
                frame.pictureId() != null,
                before);
    }

    private static PrintedBefore before(String slateId, Recipe recipe) {
        String line = recipe.base().exposure().main().light().notation() + ", "
                + Show.seconds(recipe.base().exposure().main().time().inSeconds()) + " at "
                + Show.aperture(recipe.setup().apertureMark()) + ", "
                + String.format(
                        Locale.ROOT,
                        "%.0f × %.0f mm",
                        recipe.setup().sheetWidthMm(),
                        recipe.setup().sheetHeightMm());
        return new PrintedBefore(slateId, recipe.naming().title(), line);
    }

    private static double side(FieldErrors errors, String pointer, @Nullable Double mm) {
        return errors.check(
                pointer, 10.0, () -> Check.within("side of the frame", mm == null ? Double.NaN : mm, 5, 600, "mm"));
    }
}
