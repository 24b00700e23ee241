package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.List;
import keyslate.server.Http;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Killed in the middle of the work and started again on the same folder: everything said and done is there. */
class RestartIT extends JourneyTest {
    /** Slow enough that the lamp is surely on when the program is killed. */
    private static final String SLOW_LAMP = "1";

    @Test
    void killedBetweenTwoBurstsAndWithTheLampOn() {
        Path data = PackagedApplication.emptyFolder();
        String slate;
        try (PackagedApplication killed = PackagedApplication.start(data, "--demo", "--clock-speed", FAST_LAMP);
                BrowserContext window = newContext(killed.address())) {
            Printer printer = new Printer(window.newPage());
            slate = printer.startsSlate("2", "Restarted", "Clay dry, kiln black");
            printer.enters("White border", "14");
            assertThat(printer.page().getByText("Undo")).containsText("border");
            printer.goesTo("Test");
            printer.presses("Expose strip");
            printer.givesLight(() -> printer.presses("Give the light"), 2);
            killed.kill();
        }
        String path = slate.replaceFirst("https?://[^/]+", "");
        try (PackagedApplication killed = PackagedApplication.start(data, "--demo", "--clock-speed", SLOW_LAMP);
                BrowserContext window = newContext(killed.address())) {
            Printer printer = new Printer(window.newPage());
            printer.opens(path + "/setup");
            assertThat(printer.field("White border")).hasValue("14");
            printer.opens(path + "/test");
            printer.presses("Continue");
            assertThat(printer.runWords()).containsText("exposure 3 of 5");
            printer.presses("Give the light");
            assertThat(printer.button("Stop the lamp")).isVisible();
            killed.kill();
        }
        try (PackagedApplication again = PackagedApplication.start(data, "--demo", "--clock-speed", FAST_LAMP);
                BrowserContext window = newContext(again.address())) {
            Printer printer = new Printer(window.newPage());
            printer.opens(path + "/test");
            printer.presses("Continue");
            assertThat(printer.runWords()).containsText("The power was lost");
            printer.presses("Give the sheet up");
            printer.presses("Give up");
            printer.page().waitForURL("**/test");
            assertThat(printer.page().getByRole(AriaRole.LINK).filter(given())).isVisible();
            printer.presses("Expose strip");
            printer.givesAllLightAndHangs();
            assertThat(printer.verdict()).containsText("Look for the patch where the whites just hold");
        }
    }

    /** A first start that is killed leaves no slate in pieces: the next one makes what is missing, and only that. */
    @Test
    void aFirstStartThatIsKilledIsMadeWholeByTheNext() {
        Path data = PackagedApplication.emptyFolder();
        PackagedApplication.startAndKillWhileItOpens(data, data.resolve("practice.db"), "--demo");
        try (PackagedApplication again = PackagedApplication.start(data, "--demo")) {
            Http http = new Http(again.address());
            List<JsonNode> slates = http.slates();
            org.assertj.core.api.Assertions.assertThat(slates)
                    .extracting(s -> s.get("title").asString())
                    .doesNotHaveDuplicates()
                    .hasSize(7);
            for (JsonNode slate : slates) {
                JsonNode sheets = http.slate(slate.get("id").asString()).get("sheets");
                org.assertj.core.api.Assertions.assertThat(sheets.findValuesAsString("state"))
                        .doesNotContain("EXPOSING");
            }
        }
    }

    private static com.microsoft.playwright.Locator.FilterOptions given() {
        return new com.microsoft.playwright.Locator.FilterOptions().setHasText("given up");
    }

    /** A window that was open when the program died says so, loses nothing that was typed, and goes on when it is there again. */
    @Test
    void aSecondWindowGoesOnAfterAKill() {
        Path data = PackagedApplication.emptyFolder();
        PackagedApplication killed = PackagedApplication.start(data, "--demo", "--clock-speed", FAST_LAMP);
        try (BrowserContext windows = newContext(killed.address())) {
            Printer first = new Printer(windows.newPage());
            String slate = first.startsSlate("2", "Two windows and a kill", "");
            first.enters("White border", "14");
            assertThat(first.page().getByText("Undo")).containsText("border");
            Printer second = new Printer(windows.newPage()).opens(slate + "/setup");
            assertThat(second.field("White border")).hasValue("14");
            killed.kill();
            second.enters("White border", "20");
            assertThat(second.page().getByRole(AriaRole.ALERT)).containsText("does not answer");
            assertThat(second.field("White border")).hasValue("20");
            try (PackagedApplication again = killed.again(data, "--demo", "--clock-speed", FAST_LAMP)) {
                second.page()
                        .waitForResponse(
                                r -> "PATCH".equals(r.request().method()) && r.ok(),
                                () -> second.enters("White border", "20"));
                assertThat(second.page().getByRole(AriaRole.ALERT)).isHidden();
                org.assertj.core.api.Assertions.assertThat(again.address()).isEqualTo(killed.address());
                first.page().reload();
                assertThat(first.field("White border")).hasValue("20");
            }
        }
    }
}
