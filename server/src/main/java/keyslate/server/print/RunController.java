package keyslate.server.print;

import java.net.URI;
import java.time.Duration;
import keyslate.server.print.RunViews.Abandon;
import keyslate.server.print.RunViews.LampRequest;
import keyslate.server.print.RunViews.NewSheet;
import keyslate.server.print.RunViews.RunView;
import keyslate.server.slate.SlateAssembler;
import keyslate.server.slate.SlateService;
import keyslate.server.slate.SlateViews.KeptRecipeView;
import keyslate.server.slate.SlateViews.SlateView;
import keyslate.server.web.NotFoundException;
import keyslate.server.web.RefusedException;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.Sheet;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Sheets under the lamp and after it. */
@RestController
class RunController {
    private final RunService sheets;
    private final RunAssembler runs;
    private final LampService lamp;
    private final SlateService slates;
    private final SlateAssembler assembler;
    private final RollRepository pictures;

    RunController(
            RunService sheets,
            RunAssembler runs,
            LampService lamp,
            SlateService slates,
            SlateAssembler assembler,
            RollRepository pictures) {
        this.sheets = sheets;
        this.runs = runs;
        this.lamp = lamp;
        this.slates = slates;
        this.assembler = assembler;
        this.pictures = pictures;
    }

    @PostMapping("/api/slates/{id}/sheets")
    ResponseEntity<RunView> begin(@PathVariable String id, @RequestBody NewSheet asked) {
        Sheet sheet = sheets.begin(id, asked);
        return ResponseEntity.created(URI.create("/api/sheets/" + sheet.id() + "/run"))
                .body(runs.view(sheet));
    }

    @GetMapping("/api/sheets/{id}/run")
    RunView run(@PathVariable String id) {
        return runs.view(runs.find(id));
    }

    /** The recipe as it stood when the sheet was exposed. */
    @GetMapping("/api/sheets/{id}/recipe")
    KeptRecipeView recipe(@PathVariable String id) {
        return assembler.kept(runs.find(id));
    }

    @PostMapping("/api/sheets/{id}/lamp")
    RunView lamp(@PathVariable String id, @RequestBody LampRequest asked) {
        if (!asked.on()) {
            return lamp.off(id);
        }
        if (asked.burst() == null) {
            throw RefusedException.of("/burst", "E_SHAPE", "Say which burst the lamp is for.");
        }
        return lamp.on(id, asked.burst());
    }

    @PostMapping("/api/sheets/{id}/hang")
    SlateView hang(@PathVariable String id) {
        return assembler.view(slates.find(sheets.hang(id).slateId()));
    }

    @PostMapping("/api/sheets/{id}/abandon")
    SlateView abandon(@PathVariable String id, @RequestBody Abandon asked) {
        return assembler.view(slates.find(sheets.abandon(id, asked.reason()).slateId()));
    }

    @GetMapping(path = "/api/sheets/{id}/picture", produces = MediaType.IMAGE_JPEG_VALUE)
    ResponseEntity<byte[]> picture(@PathVariable String id) {
        Sheet sheet = runs.find(id);
        if (sheet.pictureId() == null) {
            throw new NotFoundException("This sheet has no picture.");
        }
        return ResponseEntity.ok()
                .cacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable())
                .body(pictures.pictureBytes(sheet.pictureId()).orElseThrow());
    }
}
