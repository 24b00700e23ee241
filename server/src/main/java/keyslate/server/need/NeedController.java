package keyslate.server.need;

import keyslate.server.need.NeedViews.NeedAsked;
import keyslate.server.need.NeedViews.NeedByScan;
import keyslate.server.negative.RollViews.NeedView;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What frames need in a print beside others, as their proof shows it. */
@RestController
@RequestMapping("/api/frames/{id}/need")
class NeedController {
    private final NeedService needs;

    NeedController(NeedService needs) {
        this.needs = needs;
    }

    /** What the scan of the proof of both says a frame needs beside another one; stores nothing. */
    @GetMapping("/by-scan")
    NeedByScan byScan(@PathVariable String id, @RequestParam String against) {
        return needs.byScan(id, against);
    }

    /** Keeps what a frame needs beside another one, in place of what was kept. */
    @PutMapping
    NeedView keep(@PathVariable String id, @RequestBody NeedAsked asked) {
        return needs.keep(id, asked);
    }

    /** Forgets what a frame needs. */
    @DeleteMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void forget(@PathVariable String id) {
        needs.forget(id);
    }
}
