package keyslate.server.negative;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import keyslate.core.film.FilmFormat;
import keyslate.server.negative.RollViews.FormatView;
import keyslate.server.negative.RollViews.FrameView;
import keyslate.server.negative.RollViews.HistoryView;
import keyslate.server.negative.RollViews.NewRoll;
import keyslate.server.negative.RollViews.RollChange;
import keyslate.server.negative.RollViews.RollPage;
import keyslate.server.negative.RollViews.RollView;
import keyslate.server.web.TemporaryFiles;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
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
    private final TemporaryFiles temporary;

    RollController(RollService rolls, TemporaryFiles temporary) {
        this.rolls = rolls;
        this.temporary = temporary;
    }

    /** Some rolls with their frames, the newest first: the first ones, or those that follow one; in use, or put away. */
    @GetMapping("/api/rolls")
    RollPage rolls(
            @RequestParam(required = false) @Nullable String after,
            @RequestParam(defaultValue = "false") boolean putAway) {
        return rolls.page(putAway, after);
    }

    /** A roll with its frames. */
    @GetMapping("/api/rolls/{id}")
    RollView roll(@PathVariable String id) {
        return rolls.rollWithFrames(id);
    }

    /** Adds a roll. */
    @PostMapping("/api/rolls")
    @ResponseStatus(HttpStatus.CREATED)
    RollView add(@RequestBody NewRoll asked) {
        return rolls.view(rolls.add(asked));
    }

    /** Adds a frame to a roll, with its scan where there is one (JPEG, PNG or TIFF, up to 200 MB and 100 megapixel). */
    @PostMapping(path = "/api/rolls/{id}/frames", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    FrameView addFrame(
            @PathVariable String id,
            @RequestParam(required = false) @Nullable String number,
            @RequestParam(required = false) @Nullable String title,
            @RequestParam(required = false) @Nullable String caption,
            @RequestParam(required = false) @Nullable Boolean upright,
            @RequestParam(required = false) @Nullable Boolean negative,
            @RequestPart(required = false) @Nullable MultipartFile file)
            throws IOException {
        boolean stands = Boolean.TRUE.equals(upright);
        try (UploadedScan scan = UploadedScan.of(temporary, file, negative, null, stands)) {
            return rolls.view(rolls.add(id, new RollService.NewFrame(number, title, caption, stands, scan.given())));
        }
    }

    /** Changes what a roll is called, how it is cut, and what is known of it: only what is given. */
    @PatchMapping("/api/rolls/{id}")
    RollView change(@PathVariable String id, @RequestBody RollChange change) {
        return rolls.change(id, change);
    }

    /** What is known of a whole film. */
    @GetMapping("/api/rolls/{id}/history")
    HistoryView history(@PathVariable String id) {
        return rolls.history(id);
    }

    /** Usual film formats. */
    @GetMapping("/api/formats")
    List<FormatView> formats() {
        return Arrays.stream(FilmFormat.values()).map(FormatView::of).toList();
    }
}
