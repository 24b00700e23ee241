package keyslate.server.backup;

import keyslate.server.backup.BackupViews.BackupsView;
import keyslate.server.backup.BackupViews.NewPlan;
import org.springframework.core.io.FileSystemResource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Copies of the data file, and when they are made. */
@RestController
class BackupController {
    private final BackupService backups;

    BackupController(BackupService backups) {
        this.backups = backups;
    }

    /** The plan, and the copies that are there. */
    @GetMapping("/api/backups")
    BackupsView backups() {
        return backups.view();
    }

    /** Makes a copy now and checks it. */
    @PostMapping("/api/backups")
    @ResponseStatus(HttpStatus.CREATED)
    BackupsView make() {
        backups.make();
        return backups.view();
    }

    /** Changes when copies are made by themselves, how many are kept, and where. */
    @PutMapping("/api/backups/plan")
    BackupsView changePlan(@RequestBody NewPlan asked) {
        backups.change(asked);
        return backups.view();
    }

    /** A copy, to be kept elsewhere. */
    @GetMapping(path = "/api/backups/{name}", produces = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    ResponseEntity<FileSystemResource> file(@PathVariable String name) {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(new FileSystemResource(backups.file(name)));
    }
}
