package keyslate.server.print;

import keyslate.server.print.RunViews.RoomLightAsked;
import keyslate.server.print.RunViews.RoomLightView;
import org.springframework.web.bind.annotation.GetMapping;
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

    /** The alarm: lamps off, and every paper that is not safe is marked suspect. */
    @PostMapping("/api/alarm")
    RoomLightView alarm() {
        return light.alarm();
    }
}
