package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** An empty folder becomes a bench of one's own in three answers; its lamp is told and never switched, and nothing about it is made up. */
class FirstRunIT extends JourneyTest {
    /** The practice darkroom's first opening exposes all its sheets: 12 s on a quiet machine, and the page waits for it two minutes. */
    private static final double AS_LONG_AS_THE_PAGE_WAITS_MS = 120_000;

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
            assertThat(page.locator(".practice-mark")).hasCount(0);
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

    /** The questions can wait; the practice darkroom is one switch away, in a file of its own, and says so on every page. */
    @Test
    void theQuestionsCanWaitAndThePracticeDarkroomIsOneSwitchAway() {
        Path folder = PackagedApplication.emptyFolder();
        try (PackagedApplication own = PackagedApplication.start(folder, "--clock-speed", FAST_LAMP);
                BrowserContext window = newContext(own.address())) {
            Printer printer = new Printer(window.newPage());
            Page page = printer.page();
            page.navigate("/");
            printer.presses("Skip for now");
            assertThat(page.getByText("The bench is clear.")).isVisible();
            printer.presses("Say what stands in your darkroom");
            assertThat(page.getByText("What stands in your darkroom?")).isVisible();
            assertThat(page.locator(".wet-side svg.tray")).hasCount(0);

            printer.presses("To the practice darkroom");
            assertThat(page.getByText("Practice darkroom."))
                    .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(AS_LONG_AS_THE_PAGE_WAITS_MS));
            assertThat(page.getByText("Kiln under cloud")).isVisible();
            page.navigate("/rolls");
            assertThat(page.locator(".practice-note")).isVisible();
            page.navigate("/");
            printer.presses("To my own darkroom");
            assertThat(page.getByText("What stands in your darkroom?")).isVisible();
            assertThat(page.locator(".practice-note")).hasCount(0);
            org.assertj.core.api.Assertions.assertThat(
                            folder.resolve("practice.db").toFile().exists())
                    .isTrue();
            org.assertj.core.api.Assertions.assertThat(
                            folder.resolve("key-slate.db").toFile().exists())
                    .isTrue();
        }
    }

    /** Nothing stands there: enlarger, lens, paper, easel and drum are entered, each in a few words, by one who prints at once. */
    @Test
    void anOwnBenchIsEnteredFromNothing() {
        try (PackagedApplication own =
                        PackagedApplication.start(PackagedApplication.emptyFolder(), "--clock-speed", FAST_LAMP);
                BrowserContext window = newContext(own.address())) {
            Printer printer = new Printer(window.newPage());
            Page page = printer.page();
            printer.opens("/stores");
            enters(printer, "an enlarger", "Name", "My enlarger", "Lens above easel at most", "90");
            enters(printer, "a lens", "Focal length", "75", "Widest mark, f/", "4.5", "Smallest mark, f/", "22");
            enters(
                    printer,
                    "a box of paper",
                    "Name",
                    "My paper",
                    "Long side",
                    "8 in",
                    "Short side",
                    "10 in",
                    "Box and batch",
                    "first",
                    "Sheets left",
                    "25");
            assertThat(page.getByText("25 of").first()).isVisible();
            enters(printer, "a drum", "Name", "My drum", "Long side", "30", "Short side", "25");
            enters(printer, "a room", "Name", "Cellar");
            page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("The chosen thing"))
                    .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Enter a value"))
                    .click();
            assertThat(page.getByText("Wait five minutes and look for leaks.")).isVisible();
            printer.field("Value").fill("12");
            printer.field("From what").fill("coins, all lights out");
            printer.presses("Keep it");
            assertThat(page.getByText("12 min")).isVisible();
            page.reload();
            assertThat(page.getByRole(
                            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^My drum"))))
                    .isVisible();
        }
    }

    private static void enters(Printer printer, String what, String... fields) {
        printer.presses("Add " + what);
        for (int i = 0; i < fields.length; i += 2) {
            printer.field(fields[i]).fill(fields[i + 1]);
        }
        printer.presses("Put it on the shelf");
        assertThat(printer.page()
                        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Put it on the shelf")))
                .hasCount(0);
    }

    private static void addsAFrame(Printer printer, Page page) {
        printer.presses("Go to Rolls");
        printer.field("Name of the roll").fill("Roll 1");
        printer.field("Frames").fill("0");
        printer.presses("Add roll");
        page.getByText("Add frames").click();
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
        handsAPictureIn(page);
        printer.presses("Accept work print 1");
        page.waitForURL("**/keep");
        assertThat(printer.verdict()).containsText("Work print 1 is the print");
    }

    /** A phone picture of the print, with one corner moved by pointer and one by keys. */
    private static void handsAPictureIn(Page page) {
        page.locator(".hand-in input").last().setInputFiles(new FilePayload("phone.png", "image/png", phonePicture()));
        Locator corners = page.getByTestId("corners");
        Locator first = corners.getByRole(AriaRole.BUTTON).first();
        BoundingBox box = corners.boundingBox();
        first.hover();
        page.mouse().down();
        page.mouse().move(box.x + 0.2 * box.width, box.y + 0.1 * box.height, new Mouse.MoveOptions().setSteps(5));
        page.mouse().up();
        corners.getByRole(AriaRole.BUTTON).nth(2).focus();
        page.keyboard().press("Shift+ArrowLeft");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Hang this picture"))
                .click();
        assertThat(corners).hasCount(0);
        assertThat(page.locator(".side-by-side img")).hasCount(1);
        assertThat(page.locator(".hung img")).hasCount(1);
    }

    private static byte[] phonePicture() {
        BufferedImage image = new BufferedImage(400, 300, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        pen.setColor(Color.LIGHT_GRAY);
        pen.fillRect(80, 30, 300, 250);
        pen.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /** The printer's own hand gives the light and says so, as often as the lamp goes on. */
    private static void tellsTheLight(Printer printer, int exposures) {
        printer.page().waitForURL("**/runs/**");
        for (int i = 1; i <= exposures; i++) {
            assertThat(printer.runWords()).containsText("exposure " + i + " of " + exposures);
            printer.presses("Give the light");
            printer.presses("It is given");
        }
        printer.hangs();
    }
}
