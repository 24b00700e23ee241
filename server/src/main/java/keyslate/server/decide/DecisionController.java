package keyslate.server.decide;

import java.time.Duration;
import java.util.List;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.Taste;
import keyslate.core.colour.TwoLamps;
import keyslate.core.colour.ViewingLight;
import keyslate.server.PrintTurns;
import keyslate.server.decide.DecisionViews.Acceptance;
import keyslate.server.decide.DecisionViews.Cast;
import keyslate.server.decide.DecisionViews.ColourJudgement;
import keyslate.server.decide.DecisionViews.ColourProposal;
import keyslate.server.decide.DecisionViews.ColourView;
import keyslate.server.decide.DecisionViews.Judgement;
import keyslate.server.decide.DecisionViews.LampsView;
import keyslate.server.decide.DecisionViews.Marks;
import keyslate.server.decide.DecisionViews.Reading;
import keyslate.server.decide.DecisionViews.SceneView;
import keyslate.server.decide.DecisionViews.VerdictView;
import keyslate.server.decide.DecisionViews.Wishes;
import keyslate.server.scan.ScanViews.PictureView;
import keyslate.server.slate.SlateViews.SlateView;
import keyslate.store.json.Pictured;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Readings of strips, judgements of colour and of prints, acceptance. A proposal stores nothing. */
@RestController
class DecisionController {
    private final DecisionService decisions;

    DecisionController(DecisionService decisions) {
        this.decisions = decisions;
    }

    /** What a reading of a strip would set; nothing is stored. */
    @PostMapping("/api/sheets/{id}/readings/proposal")
    VerdictView proposeReading(@PathVariable String id, @RequestBody Marks marks) {
        return decisions.proposeReading(id, marks);
    }

    /** A picture of a test, measured: patches, densities, and the time of each tone that is asked for; nothing is stored. */
    @PostMapping("/api/sheets/{id}/readings/picture")
    PictureView measure(
            @PathVariable String id,
            @RequestBody Pictured asked,
            @RequestParam(required = false) @Nullable Integer row) {
        return decisions.measure(id, asked, row);
    }

    /** Takes a reading of a strip down, and what was taken of the verdict. */
    @PostMapping("/api/sheets/{id}/readings")
    SlateView read(@PathVariable String id, @RequestBody Reading asked) {
        return decisions.read(id, asked);
    }

    /** One piece of a test, cut out of a picture of all. */
    @GetMapping(path = "/api/sheets/{id}/scans/{scan}/pieces/{piece}", produces = MediaType.IMAGE_JPEG_VALUE)
    ResponseEntity<byte[]> piece(@PathVariable String id, @PathVariable int scan, @PathVariable int piece) {
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_JPEG)
                .cacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable())
                .body(decisions.piece(id, scan, piece));
    }

    /** What a look at the colour would set; nothing is stored. */
    @PostMapping("/api/sheets/{id}/casts/proposal")
    ColourProposal proposeColour(@PathVariable String id, @RequestBody Cast cast) {
        return decisions.proposeColour(id, cast);
    }

    /** Takes a look at the colour down, and what was taken of the verdict. */
    @PostMapping("/api/sheets/{id}/casts")
    SlateView judgeColour(@PathVariable String id, @RequestBody ColourJudgement asked) {
        return decisions.judgeColour(id, asked);
    }

    /** What a judgement would set; nothing is stored. */
    @PostMapping("/api/sheets/{id}/judgements/proposal")
    VerdictView proposeJudgement(@PathVariable String id, @RequestBody Wishes wishes) {
        return decisions.proposeJudgement(id, wishes);
    }

    /** Takes a judgement of a print down, and what was taken of the verdict. */
    @PostMapping("/api/sheets/{id}/judgements")
    SlateView judge(@PathVariable String id, @RequestBody Judgement asked) {
        return decisions.judge(id, asked);
    }

    /** Accepts a print. */
    @PostMapping("/api/sheets/{id}/acceptance")
    SlateView accept(@PathVariable String id, @RequestBody Acceptance asked) {
        return decisions.accept(id, asked);
    }

    /** What a colour meter is off on each kind of scene, by other slates on the same paper. */
    @GetMapping("/api/slates/{id}/metered-scenes")
    List<SceneView> scenes(@PathVariable String id) {
        return decisions.scenes(id);
    }

    /** What all looks at the colour of a slate say together; nothing before its first sheet. */
    @GetMapping("/api/slates/{id}/colour")
    ResponseEntity<ColourView> colour(@PathVariable String id) {
        return decisions
                .colourOf(id)
                .map(ResponseEntity::ok)
                .orElseGet(() -> ResponseEntity.noContent().build());
    }

    /** What a neutral of one lamp is in another (COL-44). */
    @GetMapping("/api/lamps")
    LampsView lamps(@RequestParam double first, @RequestParam double second) {
        TwoLamps lamps = TwoLamps.of(new ViewingLight(first), new ViewingLight(second), FilterSet.DICHROIC);
        Taste needs = new Taste(lamps.magenta(), lamps.yellow());
        return new LampsView(
                lamps.magenta(),
                lamps.yellow(),
                needs.isNeutral() ? "neutral too" : PrintTurns.meant(new Taste(-lamps.magenta(), -lamps.yellow())));
    }
}
