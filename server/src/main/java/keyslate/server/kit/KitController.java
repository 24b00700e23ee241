package keyslate.server.kit;

import keyslate.server.kit.KitViews.KitAsked;
import keyslate.server.kit.KitViews.ViewingKits;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Kits of viewing filters. */
@RestController
class KitController {
    private final KitService kits;

    KitController(KitService kits) {
        this.kits = kits;
    }

    /** The kits of the bench in use: the one in hand first. */
    @GetMapping("/api/kits")
    ViewingKits all() {
        return kits.all();
    }

    /** Enters a kit, or changes the one of its name, and takes it in hand; one that was retired is in use again. */
    @PostMapping("/api/kits")
    ViewingKits keep(@RequestBody KitAsked asked) {
        return kits.keep(asked);
    }
}
