package keyslate.server.search;

import keyslate.server.search.SearchViews.FoundPage;
import keyslate.server.search.SearchViews.SearchChoices;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Finding frames. */
@RestController
class SearchController {
    private final SearchService search;

    SearchController(SearchService search) {
        this.search = search;
    }

    /** Frames with all that is asked for, by the page of 24; what is left out may be whatever. */
    @GetMapping("/api/search")
    FoundPage search(
            @RequestParam(required = false) @Nullable String words,
            @RequestParam(required = false) @Nullable String rating,
            @RequestParam(required = false) @Nullable Boolean printed,
            @RequestParam(required = false) @Nullable String film,
            @RequestParam(required = false) @Nullable String paper,
            @RequestParam(required = false) @Nullable String size,
            @RequestParam(required = false) @Nullable String fromDay,
            @RequestParam(required = false) @Nullable String toDay,
            @RequestParam(required = false) @Nullable String lightFrom,
            @RequestParam(required = false) @Nullable String lightTo,
            @RequestParam(defaultValue = "0") int skipped) {
        return search.find(
                new SearchService.Asked(words, rating, printed, film, paper, size, fromDay, toDay, lightFrom, lightTo),
                skipped);
    }

    /** What can be chosen instead of typed. */
    @GetMapping("/api/search/choices")
    SearchChoices choices() {
        return search.choices();
    }
}
