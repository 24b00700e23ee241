package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The same print at another size: by the drawing, by numbers, by eye; and paper cut for it, heard in the dark. */
class SizeIT extends JourneyTest {
    private Locator head() {
        return page().getByRole(
                        AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Height of the lens above the easel"));
    }

    private Locator column() {
        return page().getByRole(
                        AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Enlarger: the standing recipe"));
    }

    /** A print with a hold and a burn, accepted small; its plan comes along and its time is carried. */
    @Test
    void aSmallPrintBecomesALargeOneWithItsHolds() {
        String slate = printer().startsSlate("9", "Small and large", "");
        printer().goesTo("Shape");
        printer().presses("Ellipse");
        printer().drags(page().getByTestId("area-canvas"), new double[] {0.55, 0.55}, new double[] {0.75, 0.8});
        assertThat(page().getByLabel("Name")).hasValue("Area 1");
        printer().opens(slate + "/print");
        printer().presses("Expose print");
        printer().givesAllLightAndHangs();
        page().waitForURL("**/judge?**");
        printer().opens(slate + "/setup");
        assertThat(column()).containsText("1 held back");

        BoundingBox box = head().boundingBox();
        page().mouse().move(box.x + 40, box.y + 60);
        page().mouse().down();
        page().mouse().move(box.x + 40, box.y + 10, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(6));
        page().mouse().up();
        assertThat(page().getByText("Sized by eye")).isVisible();
        assertThat(column()).containsText("was ");
        assertThat(printer().verdict()).containsText("Carried over from the last print of this frame.");
        assertThat(column()).containsText("1 held back");
        head().focus();
        String before = head().getAttribute("aria-valuenow");
        page().keyboard().press("Shift+ArrowUp");
        assertThat(head()).not().hasAttribute("aria-valuenow", before);

        printer().chooses("Whole picture");
        printer().enters("Sheet, long", "40.6");
        printer().enters("Sheet, short", "30.5");
        assertThat(printer().verdict()).containsText("Start at");
        page().getByText("What this rests on").click();
        assertThat(printer().verdict()).containsText("for the size");
        printer()
                .verdict()
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Set ")))
                .click();
        assertThat(printer().verdict()).containsText("Strip about");

        printer().goesTo("Print");
        assertThat(page().getByText("Look at focus and frame:")).isVisible();
        assertThat(page().getByText(Pattern.compile("the size was "))).isVisible();
        page().keyboard().press("f");
        assertThat(page().getByText("Look at focus and frame:")).hasCount(0);
        printer().opens(slate + "/print");
        assertThat(page().getByText("Look at focus and frame:")).hasCount(0);
        assertThat(page().getByText(Pattern.compile("old back Area 1")).first()).isVisible();
        printer().presses("Expose print");
        printer().givesAllLightAndHangs();
        page().waitForURL("**/judge?**");
    }

    /** A frame that was never scanned: the head is set by eye, one reading is typed, the rest follows; bad readings are said. */
    @Test
    void aSizeIsReadByEyeWithNoPicture() {
        printer().opens("/rolls");
        page().getByText("Add a roll").click();
        printer().field("Name of the roll").fill("Test roll by eye");
        printer().field("Frames").fill("1");
        printer().presses("Add roll");
        page().getByRole(
                        AriaRole.REGION,
                        new Page.GetByRoleOptions().setName("Test roll by eye").setExact(true))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Frame 1")))
                .click();
        printer().field("Title of the slate").fill("By eye");
        printer().presses("Start slate");
        page().waitForURL("**/setup");
        assertThat(page().getByText("nothing of it was scanned")).isVisible();
        printer().chooses("Sized by eye");
        printer().enters("It reads", "none");
        assertThat(page().getByText("“none” is not a number.")).isVisible();
        printer().enters("It reads", "2");
        assertThat(page().locator(".field-message").first()).isVisible();
        printer().enters("It reads", "300 mm");
        assertThat(column()).containsText("30.0 cm");
        page().reload();
        assertThat(column()).containsText("30.0 cm");
        assertThat(printer().field("It reads")).hasValue("30");
    }

    @Test
    void cutsAreHeardOneAfterAnotherAndTheBoxIsShutBeforeTheLight() {
        printer().opens("/stores");
        page().getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Colour gloss")))
                .click();
        printer().presses("Cut its sheets");
        page().waitForURL("**/cut");
        printer().field("Long").fill("20.3");
        printer().field("Short").fill("5");
        assertThat(printer().verdict()).containsText("5.");
        printer().presses("Say it in the dark");
        assertThat(page().locator("html")).hasAttribute("data-room", "blackout");
        assertThat(page().getByText("Fence to 5")).isAttached();
        page().keyboard().press("Escape");
        assertThat(page().getByText("Box shut?")).isAttached();
        assertThat(page().locator("html")).hasAttribute("data-room", "blackout");
        page().keyboard().press(" ");
        printer().takesWhiteLight();
        assertThat(page().locator("html")).hasAttribute("data-room", "white");
        assertThat(page().getByText("The box is shut")).isVisible();
        page().keyboard().press(" ");
        assertThat(printer().verdict()).containsText("It is cut");
    }
}
