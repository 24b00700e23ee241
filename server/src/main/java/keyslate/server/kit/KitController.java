package keyslate.server.kit;

import keyslate.server.kit.KitViews.KitAsked;
import keyslate.server.kit.KitViews.ViewingKits;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Kits of viewing filters. */
@RestController
class KitController {
    private final KitService kits;

    KitController(KitService kits) {
        this.kits = kits;
    }

    /** The kits of the bench, the one taken up last first. */
    @GetMapping("/api/kits")
    ViewingKits all() {
        return kits.all();
    }

    /** Enters a kit, changes the one of its name, or takes one up again. */
    @PostMapping("/api/kits")
    ViewingKits keep(@RequestBody KitAsked asked) {
        return kits.keep(asked);
    }

    /** Takes a kit off the list; looks through it stay, with what they taught. */
    @DeleteMapping("/api/kits/{name}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String name) {
        kits.remove(name);
    }
}
