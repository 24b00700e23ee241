package keyslate.server.slate;

import java.net.URI;
import java.util.List;
import keyslate.server.recipe.RecipeChange;
import keyslate.server.recipe.StartingTime;
import keyslate.server.slate.SlateViews.AtVersion;
import keyslate.server.slate.SlateViews.NewSlate;
import keyslate.server.slate.SlateViews.SisterTaste;
import keyslate.server.slate.SlateViews.SlateView;
import keyslate.server.slate.SlateViews.StandingView;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Slates: make, look, edit, undo. The answer of an edit is what can have changed; the sheets are left out. */
@RestController
@RequestMapping("/api/slates")
class SlateController {
    private final SlateService service;

    SlateController(SlateService service) {
        this.service = service;
    }

    /** Starts a slate for a frame. */
    @PostMapping
    ResponseEntity<SlateView> create(@RequestBody NewSlate asked) {
        SlateView slate = service.create(asked);
        return ResponseEntity.created(URI.create("/api/slates/" + slate.id())).body(slate);
    }

    /** A slate: what stands for the next sheet, and every sheet that hangs. */
    @GetMapping("/{id}")
    SlateView get(@PathVariable String id) {
        return service.view(id);
    }

    /** Changes the recipe that stands: only the sections and fields that are given. */
    @PatchMapping("/{id}/recipe")
    StandingView edit(@PathVariable String id, @RequestBody RecipeChange change) {
        return service.edit(id, change);
    }

    /** The starting time by a meter that was read at both boards; stores nothing. */
    @GetMapping("/{id}/starting-time")
    StartingTime.Proposal startingTime(
            @PathVariable String id, @RequestParam @Nullable Double luxBefore, @RequestParam @Nullable Double luxNow) {
        return service.startingTime(id, luxBefore, luxNow);
    }

    /** How far off neutral other frames of the roll are meant to be; none where this is a proof. */
    @GetMapping("/{id}/sister-tastes")
    List<SisterTaste> sisterTastes(@PathVariable String id) {
        return service.sisterTastes(id);
    }

    /** Focus and frame were looked at on the enlarger as it stands; changes nothing of the recipe. */
    @PostMapping("/{id}/focus-check")
    StandingView focusCheck(@PathVariable String id, @RequestBody AtVersion at) {
        return service.focusChecked(id, at.version());
    }

    /** Takes the last change back. */
    @PostMapping("/{id}/undo")
    StandingView undo(@PathVariable String id, @RequestBody AtVersion at) {
        return service.undo(id, at.version());
    }

    /** Takes a change that was undone again. */
    @PostMapping("/{id}/redo")
    StandingView redo(@PathVariable String id, @RequestBody AtVersion at) {
        return service.redo(id, at.version());
    }
}
