package keyslate.server.negative;

import keyslate.core.quantity.Check;
import keyslate.server.picture.PictureFiles;
import keyslate.server.subject.Subject;
import keyslate.server.subject.Subjects;
import keyslate.server.web.NotFoundException;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.WebRequest;

/** Positives of what was scanned: of a frame, and of a whole roll as its proof would show it. */
@RestController
class PositiveController {
    private final RollService rolls;
    private final Subjects subjects;
    private final Negatives negatives;

    PositiveController(RollService rolls, Subjects subjects, Negatives negatives) {
        this.rolls = rolls;
        this.subjects = subjects;
        this.negatives = negatives;
    }

    /** The positive of a frame as a JPEG. */
    @GetMapping(path = "/api/frames/{id}/positive", produces = MediaType.IMAGE_JPEG_VALUE)
    @Nullable
    ResponseEntity<byte[]> frame(
            @PathVariable String id, @RequestParam(defaultValue = "960") int side, WebRequest request) {
        return jpeg(subjects.of(rolls.frame(id)), side, request);
    }

    /** The positives of a roll's frames as they lie on its proof, as a JPEG. */
    @GetMapping(path = "/api/rolls/{id}/positive", produces = MediaType.IMAGE_JPEG_VALUE)
    @Nullable
    ResponseEntity<byte[]> roll(
            @PathVariable String id, @RequestParam(defaultValue = "960") int side, WebRequest request) {
        return jpeg(subjects.proof(id), side, request);
    }

    private @Nullable ResponseEntity<byte[]> jpeg(Subject subject, int side, WebRequest request) {
        int pixels = Check.count("side", side, 16, PictureFiles.WORKING_SIDE);
        String id = negatives
                .pictureId(subject)
                .orElseThrow(() -> new NotFoundException(
                        "Of “" + subject.roll().title() + "”, " + subject.name() + ", nothing was ever scanned."));
        // Another picture may take its place: the browser asks each time, and is answered at once while none has.
        if (request.checkNotModified(id)) {
            return null;
        }
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noCache().cachePrivate())
                .eTag(id)
                .body(negatives
                        .positive(subject, pixels, RollService.isColour(subject.roll()))
                        .orElseThrow());
    }
}
