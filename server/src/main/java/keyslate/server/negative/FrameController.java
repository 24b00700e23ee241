package keyslate.server.negative;

import java.io.IOException;
import java.util.List;
import keyslate.server.negative.FrameViews.FrameChange;
import keyslate.server.negative.FrameViews.FrameDetail;
import keyslate.server.negative.FrameViews.ScanReading;
import keyslate.server.web.RefusedException;
import keyslate.server.web.TemporaryFiles;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Single frames. */
@RestController
@RequestMapping("/api/frames/{id}")
class FrameController {
    private final FrameService frames;
    private final RollService rolls;
    private final TemporaryFiles temporary;

    FrameController(FrameService frames, RollService rolls, TemporaryFiles temporary) {
        this.frames = frames;
        this.rolls = rolls;
        this.temporary = temporary;
    }

    /** A frame with all that is known of it. */
    @GetMapping
    FrameDetail frame(@PathVariable String id) {
        return frames.detail(id);
    }

    /** Changes what is said of a frame: only what is given. */
    @PatchMapping
    FrameDetail change(@PathVariable String id, @RequestBody FrameChange change) {
        return frames.change(id, change);
    }

    /**
     * Gives a frame another picture, or its first one: a scan of the positive or of the negative, or, with corners, a photograph of
     * the projected picture or of a print.
     */
    @PostMapping(path = "/scan", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    FrameDetail scan(
            @PathVariable String id,
            @RequestParam(required = false) @Nullable Boolean negative,
            @RequestParam(required = false) @Nullable Boolean upright,
            @RequestParam(required = false) @Nullable List<Double> corners,
            @RequestPart MultipartFile file)
            throws IOException {
        try (UploadedScan scan = UploadedScan.of(temporary, file, negative, corners, Boolean.TRUE.equals(upright))) {
            if (scan.given() == null) {
                throw RefusedException.of("/file", "E_SHAPE", "The file is empty.");
            }
            rolls.scan(id, scan.given());
        }
        return frames.detail(id);
    }

    /** Takes the scan of a frame for that of its negative, or of its positive. */
    @PostMapping("/scan/reading")
    FrameDetail read(@PathVariable String id, @RequestBody ScanReading asked) {
        rolls.read(id, asked.negative());
        return frames.detail(id);
    }
}
