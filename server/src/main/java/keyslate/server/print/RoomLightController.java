package keyslate.server.print;

import keyslate.server.print.RunViews.BoxAsked;
import keyslate.server.print.RunViews.RoomLightAsked;
import keyslate.server.print.RunViews.RoomLightView;
import keyslate.server.web.RefusedException;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** White light in the darkroom, and the alarm. */
@RestController
class RoomLightController {
    private final RoomLight light;

    RoomLightController(RoomLight light) {
        this.light = light;
    }

    /** Whether white light may come on, and if not, which paper bears none. */
    @GetMapping("/api/white-light")
    RoomLightView mayBeOn() {
        return light.asked();
    }

    /** White light is wanted: only asked, or put on all the same, which is written down for each paper that bears none. */
    @PostMapping("/api/white-light")
    RoomLightView on(@RequestBody RoomLightAsked asked) {
        return Boolean.TRUE.equals(asked.onPurpose()) ? light.onPurpose() : light.asked();
    }

    /** The box of a paper lies open, so that no white light may come on, or is shut. */
    @PostMapping("/api/papers/{id}/box")
    RoomLightView box(@PathVariable String id, @RequestBody BoxAsked asked) {
        if (asked.open() == null) {
            throw RefusedException.of("/open", "E_SHAPE", "Say whether the box lies open.");
        }
        return light.box(id, asked.open());
    }

    /** The alarm: lamps off, and every paper that is not safe is marked suspect. */
    @PostMapping("/api/alarm")
    RoomLightView alarm() {
        return light.alarm();
    }
}
