package keyslate.server.contrast;

import keyslate.server.contrast.ContrastViews.ContrastAsked;
import keyslate.server.contrast.ContrastViews.ContrastProposal;
import keyslate.server.contrast.ContrastViews.ContrastTaking;
import keyslate.server.contrast.ContrastViews.ContrastView;
import keyslate.server.contrast.ContrastViews.StripsAsked;
import keyslate.server.slate.SlateViews.SlateView;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The contrast of a monochrome print. */
@RestController
@RequestMapping("/api/slates/{id}/contrast")
class ContrastController {
    private final ContrastService contrast;

    ContrastController(ContrastService contrast) {
        this.contrast = contrast;
    }

    /** The tones of what stands on the paper's curve. */
    @GetMapping
    ContrastView stands(@PathVariable String id) {
        return contrast.stands(id);
    }

    /** What the moved threads, a filter or two filters would set; nothing is stored. */
    @PostMapping("/proposal")
    ContrastProposal propose(@PathVariable String id, @RequestBody ContrastAsked asked) {
        return contrast.propose(id, asked);
    }

    /** Plans one strip in two rows, soft and hard: wide at first, then as fine as what is left open. */
    @PostMapping("/strips")
    SlateView strips(@PathVariable String id, @RequestBody StripsAsked asked) {
        return contrast.planStrips(id, asked);
    }

    /** Sets what is proposed for the same. */
    @PostMapping
    SlateView take(@PathVariable String id, @RequestBody ContrastTaking taking) {
        return contrast.take(id, taking);
    }
}
