package keyslate.server.slate;

import java.time.Duration;
import keyslate.core.colour.Viewing;
import keyslate.core.colour.ViewingLight;
import keyslate.core.darkroom.Look;
import keyslate.core.medium.Medium;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.QuantityException;
import keyslate.server.Show;
import keyslate.server.negative.Negatives;
import keyslate.server.picture.PictureFiles;
import keyslate.server.preview.NewestWins;
import keyslate.server.preview.Previews;
import keyslate.server.recipe.RecipeChange;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetKind;
import keyslate.server.sheet.SheetKinds;
import keyslate.server.sheet.SheetPlan;
import keyslate.server.slate.ComputedPrints.Shape;
import keyslate.server.slate.ComputedPrints.Shown;
import keyslate.server.web.ConflictException;
import keyslate.store.json.StoredTest;
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

    private final ComputedPrints prints;
    private final Negatives negatives;
    private final Previews previews;
    private final NewestWins newest;
    private final SheetKinds kinds;

    PreviewController(
            ComputedPrints prints, Negatives negatives, Previews previews, NewestWins newest, SheetKinds kinds) {
        this.prints = prints;
        this.negatives = negatives;
        this.previews = previews;
        this.newest = newest;
        this.kinds = kinds;
    }

    private static Viewing viewing(double kelvin, boolean wet) {
        return new Viewing(new ViewingLight(kelvin), wet);
    }

    private static CacheControl keeping(String itsKey, @Nullable String askedWith) {
        return itsKey.equals(askedWith)
                ? CacheControl.maxAge(Duration.ofMinutes(5)).cachePrivate()
                : CacheControl.noStore();
    }

    private record Asked(String key, int side, Viewing viewing) {}

    /** The computed print of what stands. An address with the right key may be kept; any other is answered and not kept. */
    @GetMapping(path = "/preview", produces = BMP)
    ResponseEntity<byte[]> standing(
            @PathVariable String id,
            @RequestParam(required = false) @Nullable String key,
            @RequestParam(defaultValue = "true") boolean local,
            @RequestParam(defaultValue = "960") int side,
            @RequestParam(defaultValue = "false") boolean ends,
            @RequestParam(defaultValue = "5000") double kelvin,
            @RequestParam(defaultValue = "false") boolean wet) {
        Shown shown = prints.standing(id);
        return ResponseEntity.ok()
                .cacheControl(keeping(shown.key(), key))
                .body(prints.bmp(id, shown, new Shape(local, ends, side, viewing(kelvin, wet))));
    }

    /** The computed print of a change of what stands, which is not stored; its version does not matter. */
    @PostMapping(path = "/previews", produces = BMP)
    ResponseEntity<byte[]> draft(
            @PathVariable String id,
            @RequestBody RecipeChange change,
            @RequestParam(defaultValue = "true") boolean local,
            @RequestParam(defaultValue = "480") int side,
            @RequestParam(defaultValue = "false") boolean ends,
            @RequestParam(defaultValue = "5000") double kelvin,
            @RequestParam(defaultValue = "false") boolean wet) {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noStore())
                .body(prints.ofChange(id, change, new Shape(local, ends, side, viewing(kelvin, wet))));
    }

    /**
     * The print neutral and with each of six casts in three strengths, one under the other: what a cast is named by. Neutral, then greener, more cyan, bluer, more magenta, redder and yellower, each from slight to strong. An address may be kept whose key is the slate's {@code castsKey}.
     *
     * @param scale how many times as strong as usual, 0.5 to 4
     */
    @GetMapping(path = "/casts-of-it", produces = BMP)
    ResponseEntity<byte[]> casts(
            @PathVariable String id,
            @RequestParam(defaultValue = "1") double scale,
            @RequestParam(required = false) @Nullable String key,
            @RequestParam(defaultValue = "120") int side) {
        ComputedPrints.Casts casts = prints.casts(id, scale, side);
        return ResponseEntity.ok().cacheControl(keeping(casts.key(), key)).body(casts.bmp());
    }

    /**
     * What the test that is planned should look like, its pieces laid as they are looked at. An address may be kept whose key is the preview's, a hyphen
     * and the recipe's id.
     */
    @GetMapping(path = "/test-preview", produces = BMP)
    ResponseEntity<byte[]> test(
            @PathVariable String id,
            @RequestParam(required = false) @Nullable String key,
            @RequestParam(defaultValue = "480") int side,
            @RequestParam(defaultValue = "5000") double kelvin,
            @RequestParam(defaultValue = "false") boolean wet) {
        int pixels = Check.count("side", side, 16, MOST_OF_A_PIECE);
        Shown shown = prints.standing(id);
        String its = shown.key() + "-" + shown.rig().recipe().id();
        Asked asked = new Asked(its, pixels, viewing(kelvin, wet));
        byte[] bmp = newest.run(id + " test", asked, () -> PictureFiles.bmp(test(shown, asked)));
        return ResponseEntity.ok().cacheControl(keeping(its, key)).body(bmp);
    }

    private Look test(Shown shown, Asked asked) {
        Rig rig = shown.rig();
        Medium medium = rig.medium().core();
        SheetKind kind = kinds.of(StoredTest.of(rig.recipe().test()).kind());
        try {
            SheetPlan plan = kind.plan(rig, negatives.small(rig.subject(), medium));
            return previews.test(
                    rig, view -> prints.part(rig, view, asked.side()), shown.basis(), plan, asked.viewing());
        } catch (QuantityException e) {
            throw new ConflictException("impossible", Show.sentence(e.getMessage()));
        }
    }
}
