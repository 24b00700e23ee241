package keyslate.server.bench;

import keyslate.server.bench.BenchViews.BenchView;
import keyslate.server.bench.BenchViews.FirstStart;
import keyslate.server.bench.BenchViews.StoresView;
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

    @GetMapping("/api/bench")
    BenchView bench() {
        return bench.bench();
    }

    @GetMapping("/api/stores")
    StoresView stores() {
        return bench.stores();
    }

    /** The three questions of a first start. */
    @PostMapping("/api/stores/first")
    @ResponseStatus(HttpStatus.CREATED)
    StoresView begin(@RequestBody FirstStart asked) {
        return bench.begin(asked);
    }
}
