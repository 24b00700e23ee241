package keyslate.server.bench;

import keyslate.server.bench.BenchViews.BenchView;
import keyslate.server.bench.BenchViews.DarkroomChoice;
import keyslate.server.bench.BenchViews.FirstStart;
import keyslate.server.stores.StoresViews.StoresView;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Home and stores. */
@RestController
class BenchController {
    private final BenchService bench;

    BenchController(BenchService bench) {
        this.bench = bench;
    }

    /** What is on the bench: slates, papers and baths. */
    @GetMapping("/api/bench")
    BenchView bench() {
        return bench.bench();
    }

    /** The three questions of a first start. */
    @PostMapping("/api/stores/first")
    @ResponseStatus(HttpStatus.CREATED)
    StoresView begin(@RequestBody FirstStart asked) {
        return bench.begin(asked);
    }

    /** To the practice darkroom, or back to one's own; it takes some seconds, in which this address does not answer. */
    @PostMapping("/api/bench/darkroom")
    @ResponseStatus(HttpStatus.ACCEPTED)
    DarkroomChoice switchTo(@RequestBody DarkroomChoice asked) {
        bench.switchTo(asked.practice());
        return asked;
    }
}
