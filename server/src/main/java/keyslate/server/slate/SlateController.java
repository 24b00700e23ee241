package keyslate.server.slate;

import java.net.URI;
import java.time.Duration;
import keyslate.core.quantity.Check;
import keyslate.server.negative.PictureFiles;
import keyslate.server.slate.SlateRequests.AtVersion;
import keyslate.server.slate.SlateRequests.NewSlate;
import keyslate.server.slate.SlateRequests.RecipeChange;
import keyslate.server.slate.SlateViews.SlateView;
import keyslate.server.web.NotFoundException;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateRepository;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Slates: make, look, edit, undo, preview. */
@RestController
@RequestMapping("/api/slates")
class SlateController {
    private final SlateService service;
    private final SlateAssembler assembler;
    private final SlateRepository slates;
    private final Rigs rigs;
    private final PreviewRenderer preview;
    private final NewestWins newest;

    SlateController(
            SlateService service,
            SlateAssembler assembler,
            SlateRepository slates,
            Rigs rigs,
            PreviewRenderer preview,
            NewestWins newest) {
        this.service = service;
        this.assembler = assembler;
        this.slates = slates;
        this.rigs = rigs;
        this.preview = preview;
        this.newest = newest;
    }

    @PostMapping
    ResponseEntity<SlateView> create(@RequestBody NewSlate asked) {
        Slate slate = service.create(asked);
        return ResponseEntity.created(URI.create("/api/slates/" + slate.id())).body(assembler.view(slate));
    }

    @GetMapping("/{id}")
    SlateView get(@PathVariable String id) {
        return assembler.view(service.find(id));
    }

    @PatchMapping("/{id}/recipe")
    SlateView edit(@PathVariable String id, @RequestBody RecipeChange change) {
        return assembler.view(service.edit(id, change));
    }

    @PostMapping("/{id}/undo")
    SlateView undo(@PathVariable String id, @RequestBody AtVersion at) {
        return assembler.view(service.undo(id, at.version()));
    }

    @PostMapping("/{id}/redo")
    SlateView redo(@PathVariable String id, @RequestBody AtVersion at) {
        return assembler.view(service.redo(id, at.version()));
    }

    private record PreviewAsked(String recipe, boolean local, int side) {}

    /**
     * The computed print of a recipe of this slate; a recipe never changes, so its preview may be kept a while. Of
     * previews asked for at once the newest wins: an older one that had not begun is refused as superseded.
     */
    @GetMapping(path = "/{id}/preview", produces = "image/bmp")
    ResponseEntity<byte[]> preview(
            @PathVariable String id,
            @RequestParam String recipe,
            @RequestParam(defaultValue = "true") boolean local,
            @RequestParam(defaultValue = "960") int side) {
        Recipe asked = slates.findRecipe(recipe)
                .filter(r -> r.slateId().equals(id))
                .orElseThrow(NotFoundException.of("recipe"));
        int pixels = Check.count("side", side, 16, PictureFiles.WORKING_SIDE);
        byte[] bmp = newest.run(
                        id, new PreviewAsked(recipe, local, pixels), () -> preview.bmp(rigs.of(asked), local, pixels))
                .orElseThrow(
                        () -> new NotFoundException("This frame was never scanned, so there is nothing to preview."));
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(Duration.ofMinutes(5)).cachePrivate())
                .body(bmp);
    }
}
