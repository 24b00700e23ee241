package keyslate.server.stores;

import keyslate.server.stores.StoresViews.BathAsked;
import keyslate.server.stores.StoresViews.ConstantAsked;
import keyslate.server.stores.StoresViews.EnlargerAsked;
import keyslate.server.stores.StoresViews.LensAsked;
import keyslate.server.stores.StoresViews.PaperAsked;
import keyslate.server.stores.StoresViews.PiecesView;
import keyslate.server.stores.StoresViews.Retire;
import keyslate.server.stores.StoresViews.StoresView;
import keyslate.server.stores.StoresViews.ThingAsked;
import keyslate.server.stores.StoresViews.Units;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What one prints with. Every change answers with the shelves as they are then. */
@RestController
@RequestMapping("/api/stores")
class StoresController {
    private final StoresService stores;

    StoresController(StoresService stores) {
        this.stores = stores;
    }

    /** Everything in use, with what is known of it. */
    @GetMapping
    StoresView stores() {
        return stores.stores();
    }

    /** Adds an enlarger. */
    @PostMapping("/enlargers")
    @ResponseStatus(HttpStatus.CREATED)
    StoresView add(@RequestBody EnlargerAsked asked) {
        return stores.add(asked);
    }

    /** Changes an enlarger; sheets that were exposed with it stay as they were. */
    @PatchMapping("/enlargers/{id}")
    StoresView change(@PathVariable String id, @RequestBody EnlargerAsked asked) {
        return stores.change(id, asked);
    }

    /** Adds a lens. */
    @PostMapping("/lenses")
    @ResponseStatus(HttpStatus.CREATED)
    StoresView add(@RequestBody LensAsked asked) {
        return stores.add(asked);
    }

    /** Changes a lens. */
    @PatchMapping("/lenses/{id}")
    StoresView change(@PathVariable String id, @RequestBody LensAsked asked) {
        return stores.change(id, asked);
    }

    /** Adds a box of paper. */
    @PostMapping("/papers")
    @ResponseStatus(HttpStatus.CREATED)
    StoresView add(@RequestBody PaperAsked asked) {
        return stores.add(asked);
    }

    /** Changes what is said of a box, or counts it anew. */
    @PatchMapping("/papers/{id}")
    StoresView change(@PathVariable String id, @RequestBody PaperAsked asked) {
        return stores.change(id, asked);
    }

    /** Adds a bath. */
    @PostMapping("/baths")
    @ResponseStatus(HttpStatus.CREATED)
    StoresView add(@RequestBody BathAsked asked) {
        return stores.add(asked);
    }

    /** Changes a bath, or mixes it anew. */
    @PatchMapping("/baths/{id}")
    StoresView change(@PathVariable String id, @RequestBody BathAsked asked) {
        return stores.change(id, asked);
    }

    /** Says how many pieces of a size lie in a box; none any more with 0. */
    @PutMapping("/papers/{id}/pieces")
    StoresView pieces(@PathVariable String id, @RequestBody PiecesView asked) {
        return stores.pieces(id, asked);
    }

    /** Adds another thing: easel, carrier, filters, drum, machine, light. */
    @PostMapping("/things")
    @ResponseStatus(HttpStatus.CREATED)
    StoresView add(@RequestBody ThingAsked asked) {
        return stores.add(asked);
    }

    /** Changes another thing. */
    @PatchMapping("/things/{id}")
    StoresView change(@PathVariable String id, @RequestBody ThingAsked asked) {
        return stores.change(id, asked);
    }

    /** Retires a thing, or takes it into use again; nothing that was exposed with it changes. */
    @PostMapping("/{id}/retired")
    StoresView retire(@PathVariable String id, @RequestBody Retire asked) {
        return stores.retire(id, asked.retired());
    }

    /** How lengths and temperatures are to be shown. */
    @PutMapping("/units")
    StoresView prefer(@RequestBody Units asked) {
        return stores.prefer(asked);
    }

    /** Keeps a constant as its owner says it; what was known before stays on record. */
    @PostMapping("/{id}/constants")
    @ResponseStatus(HttpStatus.CREATED)
    StoresView enter(@PathVariable String id, @RequestBody ConstantAsked asked) {
        return stores.enter(id, asked);
    }

    /** Takes a constant back: the one before it counts again. */
    @DeleteMapping("/constants/{id}")
    StoresView takeBack(@PathVariable String id) {
        return stores.takeBack(id);
    }
}
