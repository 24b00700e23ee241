package keyslate.server.shelf;

import keyslate.server.shelf.ShelfViews.PutAway;
import keyslate.server.shelf.ShelfViews.SlatePage;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Slates by the page; slates and rolls put away, taken out, deleted. */
@RestController
class ShelfController {
    private final ShelfService shelf;

    ShelfController(ShelfService shelf) {
        this.shelf = shelf;
    }

    /** Some slates, the one touched last first: the first ones, or those that follow one; on the Bench, or put away. */
    @GetMapping("/api/slates")
    SlatePage slates(
            @RequestParam(required = false) @Nullable String after,
            @RequestParam(defaultValue = "false") boolean putAway) {
        return shelf.slates(putAway, after);
    }

    /** Puts a slate away, or takes it out again; nothing of it changes. */
    @PostMapping("/api/slates/{id}/put-away")
    PutAway putSlateAway(@PathVariable String id, @RequestBody PutAway asked) {
        shelf.putSlateAway(id, asked.away());
        return asked;
    }

    /** Deletes a slate for which no paper was exposed; in the practice darkroom, any. */
    @DeleteMapping("/api/slates/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void deleteSlate(@PathVariable String id) {
        shelf.deleteSlate(id);
    }

    /** Puts a roll away, or takes it out again; its slates stay where they are. */
    @PostMapping("/api/rolls/{id}/put-away")
    PutAway putRollAway(@PathVariable String id, @RequestBody PutAway asked) {
        shelf.putRollAway(id, asked.away());
        return asked;
    }

    /** Deletes a roll for which no paper was exposed, with its frames and their slates; in the practice darkroom, any. */
    @DeleteMapping("/api/rolls/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void deleteRoll(@PathVariable String id) {
        shelf.deleteRoll(id);
    }
}
