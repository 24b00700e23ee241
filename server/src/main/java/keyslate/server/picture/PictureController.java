package keyslate.server.picture;

import java.time.Duration;
import keyslate.server.web.NotFoundException;
import keyslate.store.negative.PictureRepository;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** Pictures of sheets, as they are looked at. A picture never changes, so it may be kept. */
@RestController
class PictureController {
    private final PictureRepository pictures;

    PictureController(PictureRepository pictures) {
        this.pictures = pictures;
    }

    /** The picture of a sheet, as it is looked at. */
    @GetMapping(path = "/api/pictures/{id}", produces = "image/*")
    ResponseEntity<byte[]> picture(@PathVariable String id) {
        PictureRepository.Working working = pictures.working(id).orElseThrow(NotFoundException.of("picture"));
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(working.mediaType()))
                .cacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable())
                .body(working.bytes());
    }
}
