package keyslate.server.slate;

import java.util.Optional;
import keyslate.core.colour.Viewing;
import keyslate.core.darkroom.CastPictures;
import keyslate.core.darkroom.Look;
import keyslate.core.darkroom.Negative;
import keyslate.core.darkroom.PrintEnds;
import keyslate.core.quantity.Check;
import keyslate.core.script.Part;
import keyslate.server.negative.Negatives;
import keyslate.server.picture.PictureFiles;
import keyslate.server.preview.NewestWins;
import keyslate.server.preview.Previews;
import keyslate.server.recipe.RecipeChange;
import keyslate.server.recipe.RecipeEditor;
import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.server.sheet.SheetAssembler;
import keyslate.server.subject.Subject;
import keyslate.server.web.ConflictException;
import keyslate.server.web.NotFoundException;
import keyslate.server.web.RefusedException;
import keyslate.store.Database;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.Slate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * The computed print of a slate as a picture: of what stands, or of a change that nobody has taken yet. Of pictures of a slate asked for at once the newest wins: an older one that had not begun is refused as superseded.
 */
@Component
public class ComputedPrints {
    private static final String NEVER_SCANNED = "Nothing of it was ever scanned, so there is nothing to preview.";

    private static final int MOST_OF_A_CAST = 240;

    private final Database database;
    private final SlateService slates;
    private final RecipeRepository recipes;
    private final RecipeEditor editor;
    private final Rigs rigs;
    private final SheetAssembler sheets;
    private final Negatives negatives;
    private final Previews previews;
    private final NewestWins newest;

    ComputedPrints(
            Database database,
            SlateService slates,
            RecipeRepository recipes,
            RecipeEditor editor,
            Rigs rigs,
            SheetAssembler sheets,
            Negatives negatives,
            Previews previews,
            NewestWins newest) {
        this.database = database;
        this.slates = slates;
        this.recipes = recipes;
        this.editor = editor;
        this.rigs = rigs;
        this.sheets = sheets;
        this.negatives = negatives;
        this.previews = previews;
        this.newest = newest;
    }

    /** What is shown, and by which key its picture may be kept. */
    record Shown(Rig rig, Previews.Basis basis, String key) {}

    /**
     * How it is shown.
     *
     * @param local with local work
     * @param ends bare paper and full black marked
     * @param side the longer one, pixels
     * @param viewing how a colour print is looked at
     */
    public record Shape(boolean local, boolean ends, int side, Viewing viewing) {
        /** Dry, in the usual light. */
        public Shape(boolean local, boolean ends, int side) {
            this(local, ends, side, Viewing.USUAL);
        }
    }

    private record Asked(String key, boolean local, int side, Viewing viewing) {}

    /** The picture of a change, a BMP; its version does not matter. */
    byte[] ofChange(String slateId, RecipeChange change, Shape shape) {
        return bmp(slateId, shown(slateId, change), shape);
    }

    /**
     * The same for another asker, whose pictures overtake each other but none of those of the slate's pages; none where nothing was scanned, where it was overtaken, or where such a change could not be set.
     *
     * @throws keyslate.core.quantity.QuantityException when the side is out of range
     */
    public Optional<byte[]> beside(String asker, String slateId, RecipeChange change, Shape shape) {
        try {
            Shown shown = shown(slateId, change);
            return shown.rig().subject().hasPicture()
                    ? Optional.of(bmp(slateId + " " + asker, shown, shape))
                    : Optional.empty();
        } catch (ConflictException | RefusedException none) {
            return Optional.empty();
        }
    }

    Shown standing(String slateId) {
        return shown(slateId, null);
    }

    private Shown shown(String id, @Nullable RecipeChange change) {
        return database.inSnapshot(() -> {
            Rig rig = rig(id, change);
            Previews.Basis basis = previews.basis(rig, sheets.cord(id, rig));
            return new Shown(rig, basis, previews.key(rig, basis));
        });
    }

    private Rig rig(String id, @Nullable RecipeChange change) {
        Slate slate = slates.find(id);
        Subject subject = slates.subject(slate);
        Recipe standing = recipes.get(slate.recipeId());
        Recipe recipe = change == null
                ? standing
                : editor.edit(standing, subject, change).orElse(standing);
        return rigs.of(recipe, subject);
    }

    /** Of pictures asked for of one subject the newest wins. */
    byte[] bmp(String subject, Shown shown, Shape shape) {
        int pixels = Check.count("side", shape.side(), 16, PictureFiles.WORKING_SIDE);
        return newest.run(
                subject,
                new Asked(shown.key() + (shape.ends() ? " ends" : ""), shape.local(), pixels, shape.viewing()),
                () -> {
                    Rig rig = shown.rig();
                    Look look = previews.look(
                            rig, part(rig, rig.crop(), pixels), shown.basis(), shape.local(), shape.viewing());
                    return PictureFiles.bmp(shape.ends() ? PrintEnds.marked(look) : look);
                });
    }

    /** The picture, and the key by which it may be kept. */
    record Casts(byte[] bmp, String key) {}

    /** What stands, as it would print with each cast; pictures of their own, whatever else is asked for. */
    Casts casts(String slateId, double scale, int side) {
        Rig rig = database.inSnapshot(() -> rig(slateId, null));
        if (rig.light().points().isEmpty()) {
            throw new ConflictException("wrong-kind", "Casts are of colour paper.");
        }
        int pixels = Check.count("side", side, 16, MOST_OF_A_CAST);
        Look look = CastPictures.all(part(rig, rig.crop(), pixels), rig.view(rig.crop()), scale);
        return new Casts(PictureFiles.bmp(look), previews.castsKey(rig));
    }

    /** A part of its negative. */
    Negative part(Rig rig, Part view, int pixels) {
        return negatives
                .part(rig.subject(), rig.medium().core(), view, pixels)
                .orElseThrow(() -> new NotFoundException(NEVER_SCANNED));
    }
}
