package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import keyslate.server.Darkroom;
import keyslate.store.Database;
import org.junit.jupiter.api.Test;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;

/** The disk goes in the middle of a burst: the lamp goes out, the page says what is kept and what to do, and the sheet is finished when the disk is back. */
class DiskTroubleIT extends JourneyTest {
    @Test
    void theSheetUnderTheLampIsNotLost() {
        try (ConfigurableApplicationContext here = new SpringApplicationBuilder(Darkroom.class)
                        .run(
                                "--keyslate.data=" + PackagedApplication.emptyFolder(),
                                "--keyslate.demo=true",
                                "--keyslate.practice=true",
                                "--keyslate.clock-speed=3",
                                "--server.port=0");
                BrowserContext window =
                        newContext("http://localhost:" + here.getEnvironment().getProperty("local.server.port"))) {
            Database database = here.getBean(Database.class);
            Printer printer = new Printer(window.newPage());
            printer.startsSlate("3", "Full disk", "");
            printer.goesTo("Test");
            printer.presses("Expose strip");
            printer.page().waitForURL("**/runs/**");
            printer.presses("Give the light");
            assertThat(printer.button("Stop the lamp")).isVisible();
            database.setForWriter("query_only = 1");
            Locator alert = printer.page().getByRole(AriaRole.ALERT);
            assertThat(alert).containsText("The disk does not take the record");
            assertThat(printer.runWords()).containsText("exposure 2 of");

            printer.presses("Give the light");
            assertThat(alert).containsText("cannot be written");
            assertThat(printer.button("Give the light")).isVisible();

            database.setForWriter("query_only = 0");
            // A page opened anew knows of no press before, so that the next one cannot count as a slip of the last.
            printer.page().reload();
            printer.givesAllLightAndHangs();
            assertThat(printer.verdict()).containsText("Look for the patch where the whites just hold");
        }
    }
}
