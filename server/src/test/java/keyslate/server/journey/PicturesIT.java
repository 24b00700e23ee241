package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.MethodOrderer.MethodName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/** Takes the pictures of {@code docs/screenshots} anew from fresh demo data: {@code ./slate pictures}. */
@EnabledIfSystemProperty(named = "pictures", matches = "true")
@TestMethodOrder(MethodName.class)
class PicturesIT extends JourneyTest {
    private static final Path FOLDER = Path.of("..", "docs", "screenshots");

    @Test
    void aTheMainViews() {
        page().navigate("/");
        for (View view : View.all(page())) {
            view.open(page());
            if ("test-read".equals(view.name())) {
                Locator strip = page().getByTestId("strip-taps");
                printer().taps(strip, 0.5, 0.5);
                printer().taps(strip, 0.9, 0.5);
                assertThat(printer().button("Set grade")).isVisible();
            }
            if ("colour".equals(view.name())) {
                printer().presses("blue");
                printer().presses("5");
                assertThat(printer().button("Set 0/")).isVisible();
            }
            if ("contrast".equals(view.name())) {
                page().keyboard().press("w");
                assertThat(printer().button("Set grade")).isVisible();
            }
            // These are looked at by the rules of every view; one picture of colour and one of stores are enough.
            if (!List.of("colour-setup", "colour-plan", "colour-judge", "measure", "cut", "rehearsal")
                    .contains(view.name())) {
                take(view.name());
            }
        }
    }

    @Test
    void cTheFirstRun() {
        try (PackagedApplication own = PackagedApplication.start(PackagedApplication.emptyFolder());
                BrowserContext window = newContext(own.address())) {
            Page page = window.newPage();
            page.navigate("/");
            page.getByText("What stands in your darkroom?").waitFor();
            page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve("first-run.png")));
            page.navigate("/backups");
            new Printer(page).presses("Back up now");
            page.getByText("The last copy was just made.").waitFor();
            page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve("backups.png")));
        }
    }

    @Test
    void bTheRun() {
        page().navigate("/");
        List<View> views = View.all(page());
        View shape =
                views.stream().filter(v -> "shape".equals(v.name())).findFirst().orElseThrow();
        printer().presses("Safelight");
        shape.open(page());
        printer().goesTo("Print");
        printer().presses("Expose print");
        page().waitForURL("**/runs/**");
        assertThat(printer().runWords()).containsText("exposure 1 of");
        take("run");
    }

    @Test
    void eAStripFromItsPicture() {
        page().navigate("/");
        printer().startsSlate("9", "By its picture", "The wall behind the racks, mid grey.");
        printer().goesTo("Test");
        printer().presses("Expose strip");
        printer().givesAllLightAndHangs();
        printer().presses("Take one with the practice phone");
        printer().presses("Hang this picture");
        assertThat(printer().button("Hang this picture")).not().isVisible();
        printer().presses("From a picture");
        page().waitForFunction("() => document.querySelector('.read-picture img')?.naturalWidth > 0");
        page().keyboard().press("m");
        Locator spots = page().locator(".picture-spots span");
        double[] across = {0.26, 0.42, 0.58};
        for (int i = 0; i < across.length; i++) {
            printer().taps(page().locator(".read-picture"), across[i], 0.5);
            assertThat(spots).hasCount(i + 1);
        }
        take("test-picture");
    }

    @Test
    void dAProof() {
        page().navigate("/rolls");
        page().getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Roll 14, last firing"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Proof in contact"))
                .click();
        page().waitForURL("**/setup");
        printer().enters("Lens above paper", "58");
        printer().enters("Column shows", "34.5");
        assertThat(page().getByText("58.0 cm, column 34.5")).isVisible();
        take("proof");
    }

    private void take(String name) {
        page().mouse().move(0, 0);
        View.waitForPictures(page());
        page().screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve(name + ".png")));
    }
}
