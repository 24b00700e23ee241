package keyslate.server.negative;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import keyslate.core.quantity.Check;
import keyslate.server.negative.RollViews.FrameView;
import keyslate.server.negative.RollViews.NewRoll;
import keyslate.server.negative.RollViews.RollView;
import keyslate.server.web.NotFoundException;
import keyslate.server.web.TemporaryFiles;
import keyslate.store.negative.Frame;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Rolls and frames. */
@RestController
class RollController {
    private final RollService rolls;
    private final Negatives negatives;
    private final TemporaryFiles temporary;

    RollController(RollService rolls, Negatives negatives, TemporaryFiles temporary) {
        this.rolls = rolls;
        this.negatives = negatives;
        this.temporary = temporary;
    }

    /** All rolls with their frames. */
    @GetMapping("/api/rolls")
    List<RollView> rolls() {
        return rolls.rolls();
    }

    /** Adds a roll. */
    @PostMapping("/api/rolls")
    @ResponseStatus(HttpStatus.CREATED)
    RollView add(@RequestBody NewRoll asked) {
        return rolls.view(rolls.add(asked));
    }

    /** Adds a frame to a roll, with its positive where there is one (PNG or JPEG, up to 200 MB and 100 megapixel). */
    @PostMapping(path = "/api/rolls/{id}/frames", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    FrameView addFrame(
            @PathVariable String id,
            @RequestParam String number,
            @RequestParam String title,
            @RequestParam(required = false) @Nullable String caption,
            @RequestParam(required = false) @Nullable Boolean upright,
            @RequestPart(required = false) @Nullable MultipartFile file)
            throws IOException {
        Path kept = file == null || file.isEmpty() ? null : temporary.of(file);
        try {
            Frame frame =
                    rolls.add(id, new RollService.NewFrame(number, title, caption, Boolean.TRUE.equals(upright), kept));
            return rolls.view(frame);
        } finally {
            if (kept != null) {
                Files.deleteIfExists(kept);
            }
        }
    }

    /** The positive of a frame as a JPEG. */
    @GetMapping(path = "/api/frames/{id}/positive", produces = MediaType.IMAGE_JPEG_VALUE)
    ResponseEntity<byte[]> positive(@PathVariable String id, @RequestParam(defaultValue = "960") int side) {
        Frame frame = rolls.frame(id);
        byte[] jpeg = negatives
                .positive(frame, Check.count("side", side, 16, PictureFiles.WORKING_SIDE), rolls.isColour(frame))
                .orElseThrow(() -> new NotFoundException("Frame " + frame.number() + " was never scanned."));
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(Duration.ofDays(1)).cachePrivate())
                .body(jpeg);
    }
}
