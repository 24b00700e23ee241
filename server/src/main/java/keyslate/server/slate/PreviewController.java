package keyslate.server.slate;

import java.time.Duration;
import java.util.Optional;
import keyslate.core.darkroom.Look;
import keyslate.core.darkroom.Negative;
import keyslate.core.darkroom.PrintEnds;
import keyslate.core.medium.Medium;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.QuantityException;
import keyslate.server.Show;
import keyslate.server.negative.Negatives;
import keyslate.server.picture.PictureFiles;
import keyslate.server.preview.NewestWins;
import keyslate.server.preview.Previews;
import keyslate.server.recipe.RecipeChange;
import keyslate.server.recipe.RecipeEditor;
import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.server.sheet.SheetAssembler;
import keyslate.server.sheet.SheetKind;
import keyslate.server.sheet.SheetKinds;
import keyslate.server.sheet.SheetPlan;
import keyslate.server.subject.Subject;
import keyslate.server.web.ConflictException;
import keyslate.server.web.NotFoundException;
import keyslate.store.Database;
import keyslate.store.json.StoredTest;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.Slate;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * Previews of a slate: of what stands, and of a change that nobody has taken yet. Of previews asked for at once the newest
 * wins: an older one that had not begun is refused as superseded.
 */
@RestController
@RequestMapping("/api/slates/{id}")
class PreviewController {
    private static final String BMP = "image/bmp";
    private static final int MOST_OF_A_PIECE = 960;
    private static final String NEVER_SCANNED = "Nothing of it was ever scanned, so there is nothing to preview.";

    private final Database database;
    private final SlateService slates;
    private final RecipeRepository recipes;
    private final RecipeEditor editor;
    private final Rigs rigs;
    private final SheetAssembler sheets;
    private final Negatives negatives;
    private final Previews previews;
    private final NewestWins newest;
    private final SheetKinds kinds;

    PreviewController(
            Database database,
            SlateService slates,
            RecipeRepository recipes,
            RecipeEditor editor,
            Rigs rigs,
            SheetAssembler sheets,
            Negatives negatives,
            Previews previews,
            NewestWins newest,
            SheetKinds kinds) {
        this.database = database;
        this.slates = slates;
        this.recipes = recipes;
        this.editor = editor;
        this.rigs = rigs;
        this.sheets = sheets;
        this.negatives = negatives;
        this.previews = previews;
        this.newest = newest;
        this.kinds = kinds;
    }

    private record Shown(Rig rig, Previews.Basis basis, String key) {}

    /** With local work or without, its bare and black ends marked or not, and how large. */
    private record Shape(boolean local, boolean ends, int side) {}

    private record Asked(String key, boolean local, int side) {}

    /** The computed print of what stands. An address with the right key may be kept; any other is answered and not kept. */
    @GetMapping(path = "/preview", produces = BMP)
    ResponseEntity<byte[]> standing(
            @PathVariable String id,
            @RequestParam(required = false) @Nullable String key,
            @RequestParam(defaultValue = "true") boolean local,
            @RequestParam(defaultValue = "960") int side,
            @RequestParam(defaultValue = "false") boolean ends) {
        Shown shown = database.inSnapshot(() -> shown(id, null));
        CacheControl cache = shown.key().equals(key)
                ? CacheControl.maxAge(Duration.ofMinutes(5)).cachePrivate()
                : CacheControl.noStore();
        return ResponseEntity.ok().cacheControl(cache).body(bmp(id, shown, new Shape(local, ends, side)));
    }

    /** The computed print of a change of what stands, which is not stored; its version does not matter. */
    @PostMapping(path = "/previews", produces = BMP)
    ResponseEntity<byte[]> draft(
            @PathVariable String id,
            @RequestBody RecipeChange change,
            @RequestParam(defaultValue = "true") boolean local,
            @RequestParam(defaultValue = "480") int side,
            @RequestParam(defaultValue = "false") boolean ends) {
        Shown shown = database.inSnapshot(() -> shown(id, change));
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noStore())
                .body(bmp(id, shown, new Shape(local, ends, side)));
    }

    /**
     * What the test that is planned should look like, its pieces laid as they are looked at. An address may be kept whose key is the preview's, a hyphen
     * and the recipe's id.
     */
    @GetMapping(path = "/test-preview", produces = BMP)
    ResponseEntity<byte[]> test(
            @PathVariable String id,
            @RequestParam(required = false) @Nullable String key,
            @RequestParam(defaultValue = "480") int side) {
        int pixels = Check.count("side", side, 16, MOST_OF_A_PIECE);
        Shown shown = database.inSnapshot(() -> shown(id, null));
        String its = shown.key() + "-" + shown.rig().recipe().id();
        byte[] bmp =
                newest.run(id + " test", new Asked(its, false, pixels), () -> PictureFiles.bmp(test(shown, pixels)));
        CacheControl cache =
                its.equals(key) ? CacheControl.maxAge(Duration.ofMinutes(5)).cachePrivate() : CacheControl.noStore();
        return ResponseEntity.ok().cacheControl(cache).body(bmp);
    }

    private Look test(Shown shown, int pixels) {
        Rig rig = shown.rig();
        Medium medium = rig.medium().core();
        Negative negative =
                negatives.negative(rig.subject(), medium).orElseThrow(() -> new NotFoundException(NEVER_SCANNED));
        SheetKind kind = kinds.of(StoredTest.of(rig.recipe().test()).kind());
        try {
            SheetPlan plan = kind.plan(rig, negatives.small(rig.subject(), medium));
            return previews.test(rig, negative, shown.basis(), plan, pixels);
        } catch (QuantityException e) {
            throw new ConflictException("impossible", Show.sentence(e.getMessage()));
        }
    }

    private Shown shown(String id, @Nullable RecipeChange change) {
        Slate slate = slates.find(id);
        Subject subject = slates.subject(slate);
        Recipe standing = recipes.get(slate.recipeId());
        Recipe recipe = change == null
                ? standing
                : editor.edit(standing, subject, change).orElse(standing);
        Rig rig = rigs.of(recipe, subject);
        Previews.Basis basis = previews.basis(rig, sheets.cord(id, rig));
        return new Shown(rig, basis, previews.key(rig, basis));
    }

    private byte[] bmp(String id, Shown shown, Shape shape) {
        int pixels = Check.count("side", shape.side(), 16, PictureFiles.WORKING_SIDE);
        return newest.run(id, new Asked(shown.key() + (shape.ends() ? " ends" : ""), shape.local(), pixels), () -> {
            Optional<Negative> negative = negatives.negative(
                    shown.rig().subject(), shown.rig().medium().core());
            return negative.map(n -> previews.look(shown.rig(), n, shown.basis(), shape.local(), pixels))
                    .map(look -> shape.ends() ? PrintEnds.marked(look) : look)
                    .map(PictureFiles::bmp)
                    .orElseThrow(() -> new NotFoundException(NEVER_SCANNED));
        });
    }
}
