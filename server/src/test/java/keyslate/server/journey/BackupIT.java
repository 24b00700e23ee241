package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.stream.Stream;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** A backup is taken, the data folder is lost, and everything comes back from the copy. */
class BackupIT extends JourneyTest {
    @Test
    void whatWasLostComesBack() {
        Path data = PackagedApplication.emptyFolder();
        Path otherDisk = PackagedApplication.emptyFolder();
        Path saved = otherDisk.resolve("saved-by-the-browser.db");
        try (PackagedApplication first = PackagedApplication.start(data, "--demo", "--clock-speed", FAST_LAMP);
                BrowserContext window = newContext(first.address())) {
            Printer printer = new Printer(window.newPage());
            printer.startsSlate("3", "Precious", "Not to be lost");
            Page page = printer.page();
            printer.opens("/backups");
            assertThat(page.getByText("Nothing is copied yet.")).isVisible();
            printer.field("Folder, on the machine where Key Slate runs")
                    .fill(otherDisk.resolve("none").toString());
            printer.presses("Use this folder");
            assertThat(page.getByText("There is no such folder on this machine."))
                    .isVisible();
            printer.field("Folder, on the machine where Key Slate runs").fill(otherDisk.toString());
            printer.presses("Use this folder");
            assertThat(page.locator(".folder-name")).hasText(otherDisk.toString());
            printer.presses("Back up now");
            assertThat(page.getByText("The last copy was just made.")).isVisible();
            Download download = page.waitForDownload(() -> printer.presses("Save elsewhere"));
            download.saveAs(saved);
            first.kill();
        }
        delete(data);
        String damaged =
                PackagedApplication.says("restore", "--demo", "--from", data.toString(), "--data", data.toString());
        Assertions.assertThat(damaged).contains("There is no file");
        String said =
                PackagedApplication.says("restore", "--demo", "--from", saved.toString(), "--data", data.toString());
        Assertions.assertThat(said).startsWith("Back are 8 slates");
        try (PackagedApplication again = PackagedApplication.start(data, "--demo", "--clock-speed", FAST_LAMP);
                BrowserContext window = newContext(again.address())) {
            Printer printer = new Printer(window.newPage());
            printer.opens("/");
            assertThat(printer.page().getByText("Not to be lost")).isVisible();
            printer.opens("/rolls");
            assertThat(printer.page().locator(".proof img").first()).isVisible();
        }
    }

    private static void delete(Path folder) {
        try (Stream<Path> files = Files.walk(folder)) {
            files.sorted(Comparator.reverseOrder()).forEach(f -> f.toFile().delete());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
