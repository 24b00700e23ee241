package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** One negative from choosing to a kept print, with the mouse. */
class PathByMouseIT extends JourneyTest {
    @Test
    void aNegativeBecomesAKeptPrint() {
        Printer printer = printer();
        Page page = printer.page();
        printer.opens("/");
        printer.presses("New slate from a frame");
        page.waitForURL("**/rolls");
        String slate = printer.startsSlate("4", "By mouse", "Sky just holds, door black");

        setsUp(printer, page);
        exposesAndReadsAStrip(printer, page);
        shapes(printer, page);
        prints(printer, page, slate);
        judges(printer, page, slate);
        keeps(printer, page);
    }

    @Test
    void aReadingThatIsNotSureEnoughIsCheckedOnAFinerStrip() {
        Printer printer = printer();
        Page page = printer.page();
        printer.startsSlate("8", "Checked", "");
        printer.goesTo("Test");
        printer.presses("Wide strip for an unknown negative");
        assertThat(printer.field("Patches")).hasValue("15");
        assertThat(printer.field("Step")).hasValue("⅓");
        assertThat(page.getByText("stop down 2 stops")).isVisible();
        printer.enters("Patches", "5");
        printer.presses("Expose strip");
        printer.givesAllLightAndHangs();
        Locator strip = page.getByTestId("strip-taps");
        printer.taps(strip, 0.5, 0.5);
        printer.taps(strip, 0.7, 0.5);
        printer.presses("Check it on 15 × 1/12 stop");
        page.waitForURL("**/test?sheet=plan");
        assertThat(printer.field("Patches")).hasValue("15");
        assertThat(printer.field("Step")).hasValue("1/12");
        // Two rows: the filter that was chosen, and its neighbour that may turn out to be the one.
        assertThat(page.getByRole(AriaRole.ROW)).hasCount(31);
        assertThat(printer.verdict()).containsText("Two rows of 15");
    }

    private void setsUp(Printer printer, Page page) {
        printer.chooses("Fill the sheet");
        assertThat(page.getByText("of the negative fall beside the paper")).isVisible();
        printer.enters("White border", "10 mm");
        assertThat(page.getByText("Picture on paper")).isVisible();
        printer.presses("Undo");
        assertThat(printer.field("White border")).not().hasValue("10");
        printer.presses("Redo");
        assertThat(printer.field("White border")).hasValue("10");
        printer.presses("Plan strip");
        page.waitForURL("**/test");
    }

    private void exposesAndReadsAStrip(Printer printer, Page page) {
        assertThat(page.getByText("not measured").first()).isVisible();
        printer.chooses("Seconds");
        assertThat(printer.field("Step")).hasValue(Pattern.compile("\\d+(\\.\\d)?"));
        printer.chooses("Stops");
        printer.enters("Patches", "6");
        assertThat(page.getByRole(AriaRole.ROW)).hasCount(7);
        printer.presses("Expose strip");
        printer.givesAllLightAndHangs();
        Locator strip = page.getByTestId("strip-taps");
        assertThat(printer.verdict()).containsText("Look for the patch where the whites just hold");
        printer.taps(strip, 0.42, 0.5);
        printer.taps(strip, 0.92, 0.5);
        assertThat(page.getByText("whites hold", new Page.GetByTextOptions().setExact(true))
                        .first())
                .isVisible();
        overrules(printer, page);
        printer.presses("Shape first");
        page.waitForURL("**/shape");
    }

    /**
     * One's own time against the verdict: nothing is refused at the field, nine seconds are taken and stay on record.
     */
    private void overrules(Printer printer, Page page) {
        assertThat(printer.button("Set grade")).isVisible();
        printer.presses("My own");
        printer.field("Time").fill("0");
        printer.presses("Set these");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("must be more than 0 s");
        printer.field("Time").fill("9 s");
        printer.presses("Set these");
        assertThat(printer.verdict()).containsText("on record");
        assertThat(printer.button("Base exposure")).containsText("9.0");
    }

    private void shapes(Printer printer, Page page) {
        Locator picture = page.getByTestId("area-canvas");
        printer.presses("Ellipse");
        printer.drags(picture, new double[] {0.55, 0.55}, new double[] {0.75, 0.8});
        assertThat(page.getByLabel("Name")).hasValue("Area 1");
        printer.presses("Card edge");
        printer.drags(picture, new double[] {0.1, 0.3}, new double[] {0.9, 0.32});
        assertThat(page.getByLabel("Name")).hasValue("Area 2");
        printer.enters("Change", "+40 %");
        assertThat(printer.field("Change")).hasValue("+½");
        printer.presses("Lasso");
        printer.drags(picture, new double[] {0.2, 0.6}, new double[] {0.3, 0.6}, new double[] {0.3, 0.8}, new double[] {
            0.2, 0.8
        });
        assertThat(page.getByLabel("Name")).hasValue("Area 3");
        printer.presses("Remove");
        assertThat(page.locator(".area-line")).hasCount(2);
        printer.presses("Show without");
        assertThat(page.getByAltText("Preview without local work")).isVisible();
        printer.goesTo("Print");
    }

    private void prints(Printer printer, Page page, String slate) {
        assertThat(page.getByText("Hold back Area 1").first()).isVisible();
        assertThat(page.getByText("Burn Area 2").first()).isVisible();
        printer.presses("Expose print");
        printer.givesAllLightAndHangs();
        page.waitForURL(Pattern.compile(Printer.literally(slate) + "/judge.*"));
    }

    private void judges(Printer printer, Page page, String slate) {
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Darker or lighter"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("+⅓"))
                .click();
        page.getByLabel("Remark, by area").fill("Wall a touch light");
        printer.presses("Set grade");
        assertThat(page.getByText("On record:")).isVisible();
        printer.goesTo("Print");
        printer.presses("Expose print");
        printer.givesAllLightAndHangs();
        page.waitForURL(Pattern.compile(Printer.literally(slate) + "/judge.*"));
        assertThat(page.getByRole(
                        AriaRole.HEADING,
                        new Page.GetByRoleOptions()
                                .setName("Judge work print 2")
                                .setLevel(2)))
                .isVisible();
        printer.presses("Accept work print 2");
        page.waitForURL("**/keep");
    }

    private void keeps(Printer printer, Page page) {
        assertThat(printer.verdict()).containsText("Work print 2 is the print");
        assertThat(page.getByText("Wall a touch light")).isVisible();
        Download file = page.waitForDownload(() -> printer.presses("Save slate as a file"));
        takesInOnAnEmptyBench(file.path());
    }

    private void takesInOnAnEmptyBench(Path file) {
        try (PackagedApplication other = PackagedApplication.start(PackagedApplication.emptyFolder());
                var context = newContext(other.address())) {
            Printer there = new Printer(context.newPage());
            there.opens("/");
            assertThat(there.page().getByText("What stands in your darkroom?")).isVisible();
            there.page().getByLabel("Slate file").setInputFiles(file);
            there.page().waitForURL("**/keep");
            assertThat(there.verdict()).containsText("Work print 2 is the print");
            assertThat(there.page().getByText("Wall a touch light")).isVisible();
        }
    }
}
