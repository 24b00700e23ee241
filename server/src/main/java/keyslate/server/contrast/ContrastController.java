package keyslate.server.contrast;

import java.util.Optional;
import keyslate.server.contrast.ContrastViews.ContrastAsked;
import keyslate.server.contrast.ContrastViews.ContrastProposal;
import keyslate.server.contrast.ContrastViews.ContrastTaking;
import keyslate.server.contrast.ContrastViews.ContrastView;
import keyslate.server.contrast.ContrastViews.StripsAsked;
import keyslate.server.recipe.RecipeChange;
import keyslate.server.recipe.RecipeChange.BasePart;
import keyslate.server.slate.ComputedPrints;
import keyslate.server.slate.ComputedPrints.Shape;
import keyslate.server.slate.SlateViews.SlateView;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The contrast of a monochrome print. */
@RestController
@RequestMapping("/api/slates/{id}/contrast")
class ContrastController {
    private final ContrastService contrast;
    private final ComputedPrints prints;

    ContrastController(ContrastService contrast, ComputedPrints prints) {
        this.contrast = contrast;
        this.prints = prints;
    }

    /** The tones of what stands on the paper's curve. */
    @GetMapping
    ContrastView stands(@PathVariable String id) {
        return contrast.stands(id);
    }

    /** What the moved threads, a filter or two filters would set, with its straight print in one answer where a side of it is asked for; nothing is stored. */
    @PostMapping("/proposal")
    ContrastProposal propose(
            @PathVariable String id,
            @RequestBody ContrastAsked asked,
            @RequestParam(required = false) @Nullable Integer side,
            @RequestParam(defaultValue = "false") boolean ends) {
        ContrastProposal proposal = contrast.propose(id, asked);
        return Optional.ofNullable(side)
                .flatMap(s -> prints.beside("contrast", id, base(proposal), new Shape(false, ends, s)))
                .map(proposal::shown)
                .orElse(proposal);
    }

    private static RecipeChange base(ContrastProposal proposal) {
        return RecipeChange.ofBase(proposal.parts().stream()
                .map(p -> new BasePart(p.light().notation(), p.seconds()))
                .toList());
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
