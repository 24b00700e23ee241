package keyslate.server.cutting;

import keyslate.server.cutting.CuttingViews.CutDone;
import keyslate.server.cutting.CuttingViews.CutView;
import keyslate.server.cutting.CuttingViews.CuttingAsked;
import keyslate.server.stores.StoresViews.StoresView;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How paper is cut. */
@RestController
@RequestMapping("/api/cutting")
class CuttingController {
    private final CuttingService cutting;

    CuttingController(CuttingService cutting) {
        this.cutting = cutting;
    }

    /** The order of cuts for pieces from a box's sheets; stores nothing. */
    @PostMapping
    CutView order(@RequestBody CuttingAsked asked) {
        return cutting.view(asked);
    }

    /** The same on a card to hang over the trimmer, as a PDF; stores nothing. */
    @PostMapping("/card")
    ResponseEntity<byte[]> card(@RequestBody CuttingAsked asked) {
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_PDF).body(cutting.card(asked));
    }

    /** Puts what was cut into the box: its sheets are gone, its pieces are there. */
    @PostMapping("/done")
    StoresView done(@RequestBody CutDone asked) {
        return cutting.done(asked);
    }
}
