package keyslate.server.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import keyslate.server.Http;
import keyslate.server.Http.Answer;
import keyslate.server.Started;
import keyslate.store.BackupPlanRepository;
import keyslate.store.Database;
import keyslate.store.FileHealth;
import keyslate.store.StorageException;
import keyslate.store.slate.SheetRepository;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Copies by request, by themselves and by command. */
class BackupHttpTest {
    @TempDir
    private Path folder;

    @TempDir
    private Path elsewhere;

    private Started started;

    @BeforeEach
    void start() {
        started = Started.on(folder, false);
    }

    @AfterEach
    void close() {
        started.close();
    }

    @Test
    void aCopyThatIsAskedForIsSoundAndCanBeSavedElsewhere() throws IOException {
        roll();
        assertThat(backups().get("backups").size()).isZero();
        JsonNode made =
                http().send("POST", "/api/backups", "").json().get("backups").get(0);
        assertThat(made.get("byItself").asBoolean()).isFalse();
        String name = made.get("name").asString();
        Path saved = Files.write(elsewhere.resolve("saved.db"), http().bytes("/api/backups/" + name));
        assertThat(Files.size(saved)).isEqualTo(made.get("sizeBytes").asLong());
        assertThat(FileHealth.damage(saved)).isEmpty();
        assertThat(http().get("/api/backups/..%2Fkey-slate.db").status()).isGreaterThanOrEqualTo(400);
        assertThat(http().get("/api/backups/key-slate.db").status()).isEqualTo(404);
    }

    @Test
    void thePlanTakesWhatCanBeAndSaysWhatCannot() {
        Answer changed = plan(Map.of("everyDays", 7, "kept", 3, "folder", elsewhere.toString()));
        assertThat(changed.status()).isEqualTo(200);
        assertThat(changed.json().get("folder").asString()).isEqualTo(elsewhere.toString());
        Map<String, Object> wrong = new HashMap<>(Map.of("everyDays", 400, "kept", 0, "folder", "backups"));
        assertThat(plan(wrong).pointers()).containsExactlyInAnyOrder("/everyDays", "/kept", "/folder");
        assertThat(plan(Map.of("folder", elsewhere.resolve("none").toString())).pointers())
                .containsExactly("/folder");
        assertThat(plan(Map.of("folder", "/a\u0000b")).pointers()).containsExactly("/folder");
        assertThat(plan(Map.of("folder", " ")).json().hasNonNull("plannedFolder"))
                .isFalse();
        assertThat(backups().get("everyDays").asInt()).isEqualTo(7);
    }

    @Test
    void aCopyIsMadeByItselfWhenOneIsDueAndSomethingHasChanged() {
        started.part(BackupService.class).makeIfDue();
        assertThat(made()).isZero();
        roll();
        Instant now = Instant.now(Clock.systemUTC());
        service(now).makeIfDue();
        assertThat(made()).isEqualTo(1);
        service(now.plus(Duration.ofHours(23))).makeIfDue();
        service(now.plus(Duration.ofHours(25))).makeIfDue();
        // Nothing has changed since.
        assertThat(made()).isEqualTo(1);
        plan(Map.of("everyDays", 0));
        roll();
        service(now.plus(Duration.ofHours(50))).makeIfDue();
        assertThat(made()).isEqualTo(1);
    }

    @Test
    void whatHindersTheCopyThatIsDueIsSaidUntilOneIsMade() throws IOException {
        Path disk = Files.createDirectory(elsewhere.resolve("disk"));
        plan(Map.of("folder", disk.toString()));
        roll();
        Files.delete(disk);
        BackupService service = started.part(BackupService.class);
        service.makeIfDue();
        assertThat(backups().get("problem").asString()).contains("is not there");
        assertThat(http().get("/api/bench").json().get("backupProblem").asString())
                .contains("is not there");
        assertThat(http().send("POST", "/api/backups", "").status()).isEqualTo(503);
        Files.createDirectory(disk);
        service.makeIfDue();
        assertThat(backups().hasNonNull("problem")).isFalse();
        assertThat(made()).isEqualTo(1);
    }

    @Test
    void theCommandsCopyWhileItRunsAndPutBackWhenItDoesNot() {
        roll();
        String said = BackupCommands.backup(folder, false, Optional.of(elsewhere));
        assertThat(said).contains("is checked and lies at " + elsewhere);
        Path copy = Path.of(said.replaceFirst(".*lies at ", "").replaceFirst(", \\d+ MB\\.$", ""));
        roll();
        assertThatThrownBy(() -> BackupCommands.restore(copy, folder, false)).hasMessageContaining("open in another");
        started.close();
        assertThat(BackupCommands.restore(copy, folder, false))
                .contains("Back are 0 slates")
                .contains("is kept as");
        started = Started.on(folder, false);
        assertThat(http().get("/api/rolls").json().get("rolls").size()).isEqualTo(1);
    }

    @Test
    void theCommandsSayWhatIsNotThere() {
        for (Path missing : List.of(elsewhere, elsewhere.resolve("none"))) {
            assertThatThrownBy(() -> BackupCommands.backup(missing, false, Optional.empty()))
                    .isInstanceOf(StorageException.class)
                    .hasMessageContaining("There is no data file");
        }
        assertThatThrownBy(() -> BackupCommands.backup(folder, false, Optional.of(elsewhere.resolve("none"))))
                .hasMessageContaining("There is no folder");
        assertThatThrownBy(() -> BackupCommands.restore(elsewhere, folder, false))
                .hasMessageContaining("There is no file");
    }

    private BackupService service(Instant now) {
        return new BackupService(
                started.part(Database.class),
                started.part(BackupPlanRepository.class),
                started.part(SheetRepository.class),
                Clock.fixed(now, ZoneOffset.UTC),
                false);
    }

    private Http http() {
        return started.http();
    }

    private JsonNode backups() {
        return http().get("/api/backups").json();
    }

    private int made() {
        return backups().get("backups").size();
    }

    private Answer plan(Map<String, ?> body) {
        return http().send(
                        "PUT",
                        "/api/backups/plan",
                        tools.jackson.databind.json.JsonMapper.shared().writeValueAsString(body));
    }

    private void roll() {
        Answer added = http().post(
                        "/api/rolls",
                        Map.of("title", "Roll", "film", "", "kind", "MONOCHROME", "longMm", 36, "shortMm", 24));
        assertThat(added.status()).isEqualTo(201);
    }
}
