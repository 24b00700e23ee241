package keyslate.server.sleeve;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import keyslate.server.negative.RollViews.FrameView;
import keyslate.server.sleeve.SleeveViews.CutAsked;
import keyslate.server.sleeve.SleeveViews.GridAsked;
import keyslate.server.sleeve.SleeveViews.GridFrame;
import keyslate.server.sleeve.SleeveViews.SleeveView;
import keyslate.server.web.RefusedException;
import keyslate.server.web.TemporaryFiles;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Scans of whole sleeves and proof sheets. */
@RestController
class SleeveController {
    private final SleeveService sleeves;
    private final TemporaryFiles temporary;

    SleeveController(SleeveService sleeves, TemporaryFiles temporary) {
        this.sleeves = sleeves;
        this.temporary = temporary;
    }

    /** The scan of a roll's whole sheet, where one was handed in. */
    @GetMapping("/api/rolls/{id}/sleeve")
    SleeveView sleeve(@PathVariable String id) {
        return sleeves.sleeve(id);
    }

    /** Hands in the scan of a roll's whole sheet, in place of the one before; frames cut from that stay what they are. */
    @PostMapping(path = "/api/rolls/{id}/sleeve", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    SleeveView hand(@PathVariable String id, @RequestPart MultipartFile file) throws IOException {
        if (file.isEmpty()) {
            throw RefusedException.of("/file", "E_SHAPE", "The file is empty.");
        }
        Path kept = temporary.of(file);
        try {
            return sleeves.hand(id, kept);
        } finally {
            TemporaryFiles.delete(kept);
        }
    }

    /** Forgets the scan of a roll's whole sheet; frames cut from it stay what they are. */
    @DeleteMapping("/api/rolls/{id}/sleeve")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void forget(@PathVariable String id) {
        sleeves.forget(id);
    }

    /** Where the frames of a roll lie in the scan of its sheet, by corners and gaps; stores nothing. */
    @PostMapping("/api/rolls/{id}/sleeve/grid")
    List<GridFrame> grid(@PathVariable String id, @RequestBody GridAsked asked) {
        return sleeves.grid(id, asked);
    }

    /** Cuts the picture of a frame from the scan of its roll's sheet. */
    @PostMapping("/api/frames/{id}/scan/from-sleeve")
    FrameView cut(@PathVariable String id, @RequestBody CutAsked asked) {
        return sleeves.cut(id, asked);
    }
}
