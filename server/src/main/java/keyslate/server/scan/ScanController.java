package keyslate.server.scan;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Base64;
import java.util.stream.Stream;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.picture.PaperFinder;
import keyslate.server.picture.PictureFiles;
import keyslate.server.scan.ScanViews.MeteredView;
import keyslate.server.scan.ScanViews.PapersView;
import keyslate.server.web.TemporaryFiles;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Pictures of sheets before and after they are handed in, and the practice phone that takes them. */
@RestController
class ScanController {
    private final SheetPictures sheets;
    private final TemporaryFiles temporary;

    ScanController(SheetPictures sheets, TemporaryFiles temporary) {
        this.sheets = sheets;
        this.temporary = temporary;
    }

    /** Where papers lie in a picture that is about to be handed in; nothing is stored. */
    @PostMapping(path = "/api/pictures/papers", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    PapersView papers(@RequestPart MultipartFile file) throws IOException {
        Path kept = temporary.of(file);
        try {
            PictureFiles.describe(kept);
            ColourRaster light = PictureFiles.light(kept);
            byte[] jpeg = PictureFiles.jpeg(PictureFiles.look(light));
            return new PapersView(
                    "data:image/jpeg;base64," + Base64.getEncoder().encodeToString(jpeg),
                    PaperFinder.in(light).stream()
                            .map(c -> c.places().stream()
                                    .flatMap(p -> Stream.of(p.x(), p.y()))
                                    .toList())
                            .toList());
        } finally {
            Files.deleteIfExists(kept);
        }
    }

    /** A picture of a sheet as it was taken, with what lies around the paper; small enough to be looked at. */
    @GetMapping(path = "/api/sheets/{id}/scans/{scan}/picture", produces = MediaType.IMAGE_JPEG_VALUE)
    ResponseEntity<byte[]> picture(@PathVariable String id, @PathVariable int scan) {
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_JPEG)
                .cacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable())
                .body(sheets.picture(id, scan));
    }

    /** What the phone of the practice darkroom takes of a sheet that hangs: a file, to be handed in like any other. */
    @GetMapping(path = "/api/sheets/{id}/practice-photo", produces = MediaType.IMAGE_JPEG_VALUE)
    ResponseEntity<byte[]> practicePhoto(@PathVariable String id) {
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_JPEG)
                .cacheControl(CacheControl.noStore())
                .body(sheets.practicePhoto(id));
    }

    /** What the colour meter of the practice darkroom asks for under the negative of a sheet; each reading errs anew. */
    @GetMapping("/api/sheets/{id}/practice-meter")
    MeteredView practiceMeter(@PathVariable String id) {
        return sheets.practiceMeter(id);
    }
}
