package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** An empty folder becomes a bench of one's own in three answers; its lamp is told and never switched, and nothing about it is made up. */
class FirstRunIT extends JourneyTest {
    @ParameterizedTest
    @CsvSource({"A timer of my own, 3", "'Nothing: it burns, I use a card', 1"})
    void aPrintOnABenchOfOnesOwn(String lamp, int exposures) {
        try (PackagedApplication own =
                        PackagedApplication.start(PackagedApplication.emptyFolder(), "--clock-speed", FAST_LAMP);
                BrowserContext window = newContext(own.address())) {
            Printer printer = new Printer(window.newPage());
            Page page = printer.page();
            printer.opens("/");
            assertThat(page.getByText("What stands in your darkroom?")).isVisible();
            printer.chooses("Diffusion");
            printer.chooses(lamp);
            printer.presses("Set the bench up");
            assertThat(page.getByText("The bench is clear.")).isVisible();
            assertThat(page.getByText("Practice darkroom")).hasCount(0);
            assertThat(page.locator(".wet-side svg.tray")).hasCount(1);

            addsAFrame(printer, page);
            String slate = printer.startsSlate("1", "Own bench", "");
            printer.goesTo("Test");
            printer.enters("Patches", "3");
            printer.presses("Expose strip");
            tellsTheLight(printer, exposures);
            readsAndPrints(printer, page, slate);
        }
    }

    private static void addsAFrame(Printer printer, Page page) {
        printer.presses("Go to Rolls");
        printer.field("Name of the roll").fill("Roll 1");
        printer.presses("Add roll");
        page.getByText("Add a frame").click();
        printer.field("Number").fill("1");
        printer.field("Subject").fill("Clay pit");
        printer.presses("Add frame");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Frame 1 "))))
                .isVisible();
    }

    private static void readsAndPrints(Printer printer, Page page, String slate) {
        page.waitForURL("**/test?**");
        assertThat(page.getByText("Read the paper in your hand")).isVisible();
        printer.taps(page.getByTestId("strip-taps"), 0.5, 0.5);
        printer.taps(page.getByTestId("strip-taps"), 0.85, 0.5);
        printer.presses("Set grade");
        assertThat(printer.verdict()).containsText("on record");
        printer.opens(slate + "/print");
        printer.presses("Expose print");
        tellsTheLight(printer, 1);
        page.waitForURL("**/judge?**");
        assertThat(page.getByText("no scan").first()).isVisible();
        printer.presses("Accept work print 1");
        page.waitForURL("**/keep");
        assertThat(printer.verdict()).containsText("Work print 1 is the print");
    }

    /** The printer's own hand gives the light and says so, as often as the lamp goes on. */
    private static void tellsTheLight(Printer printer, int exposures) {
        printer.page().waitForURL("**/runs/**");
        for (int i = 1; i <= exposures; i++) {
            assertThat(printer.runWords()).containsText("exposure " + i + " of " + exposures);
            printer.presses("Give the light");
            printer.presses("It is given");
        }
        printer.presses("Hang it");
    }
}
