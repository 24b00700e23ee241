package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.LoadState;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Contrast by threads: with the mouse, by keys alone under the safelight, in one filter and in two. */
class ContrastIT extends JourneyTest {
    private static final int UP = 40;

    private Locator end(String tone) {
        return page().getByRole(
                        AriaRole.SLIDER,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^" + tone + ": density in the print")));
    }

    private Locator set() {
        return page().getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Set ")));
    }

    private String part(String label) {
        return page().getByLabel("Enlarger: the standing recipe")
                .getByText(label)
                .locator("..")
                .innerText();
    }

    @Test
    void aThreadsEndIsMovedAndTheFilterFollows() {
        Printer printer = printer();
        printer.startsSlate("9", "By threads", "");
        printer.goesTo("Contrast");
        assertThat(printer.verdict()).containsText("Move a thread's end");
        // The threads lie under the pictures: their place stands once those do.
        page().waitForLoadState(LoadState.NETWORKIDLE);
        Locator end = end("a shadow");
        BoundingBox box = end.boundingBox();
        page().mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page().mouse().down();
        page().mouse().move(box.x + box.width / 2, box.y + box.height / 2 + UP);
        page().mouse().up();
        assertThat(printer.verdict()).containsText("Set grade");
        set().click();
        assertThat(printer.verdict()).containsText("Move a thread's end");
        assertThat(part("Filter")).doesNotContain("2½");
        page().reload();
        assertThat(printer.verdict()).containsText("Move a thread's end");
        assertThat(part("Filter")).doesNotContain("2½");
        page().keyboard().press("u");
        assertThat(page().getByLabel("Enlarger: the standing recipe")).containsText("2½");
    }

    @Test
    void twoFiltersByKeysAloneUnderTheSafelight() {
        Printer printer = printer();
        printer.startsSlate("9", "In two parts", "");
        printer.goesTo("Contrast");
        printer.presses("Safelight");
        assertThat(page().locator("html")).hasAttribute("data-room", "safelight");
        end("a shadow").focus();
        page().keyboard().press("Shift+ArrowDown");
        assertThat(printer.verdict()).containsText("Set grade");
        page().keyboard().press("Escape");
        page().keyboard().press("t");
        assertThat(printer.verdict()).containsText("Give ");
        assertThat(Pixels.firstAgainst(page().screenshot(), Pixels::isSafe)).isEmpty();
        page().keyboard().press("e");
        assertThat(page().getByLabel("Enlarger: the standing recipe")).containsText("00 and 5");
        // Both parts beside the one filter that they are worth, and both are kept.
        printer.goesTo("Contrast");
        page().getByText(Pattern.compile("^Both parts and grade .*, half and half on one sheet$"))
                .click();
        assertThat(printer.verdict()).containsText("One sheet, both parts, ");
        printer.presses("Expose one sheet");
        printer.givesAllLightAndHangs();
        printer.taps(page().getByTestId("strip-taps"), 0.25, 0.5);
        assertThat(printer.verdict()).containsText("Keep both parts");
        printer.presses("Set grade 00");
        printer.goesTo("Print");
        printer.presses("Expose print");
        assertThat(printer.runWords()).containsText("Base 1 of 2");
        assertThat(printer.runWords()).containsText("Then");
        assertThat(printer.runWords()).containsText("Set grade 5");
        printer.givesAllLightAndHangs();
        assertThat(page().getByText("through grade 00, then").first()).isVisible();
    }

    @Test
    void barePaperAndFullBlackAreMarkedOnRequest() {
        Printer printer = printer();
        printer.startsSlate("9", "Ends marked", "");
        printer.goesTo("Contrast");
        assertThat(printer.verdict()).containsText("Move a thread's end");
        Locator now = page().getByAltText("The straight print as it stands");
        assertThat(now).hasAttribute("src", Pattern.compile("side=960$"));
        page().keyboard().press("m");
        assertThat(now).hasAttribute("src", Pattern.compile("ends=true"));
        assertThat(page().getByText("Leave them unmarked")).isVisible();
        page().getByText("Leave them unmarked").click();
        assertThat(now).hasAttribute("src", Pattern.compile("side=960$"));
    }

    /** Two boxes of a graded paper: put on the shelf, taken at Set up, and a harder one by a key, the time going along. */
    @Test
    void onGradedPaperHarderIsAnotherBox() {
        Printer printer = printer();
        printer.opens("/stores");
        for (String grade : new String[] {"2", "4"}) {
            page().getByText("Add a box of paper").click();
            printer.field("Name").fill("Loam graded");
            page().getByLabel("Contrast", new Page.GetByLabelOptions().setExact(true))
                    .click();
            page().getByTitle("one: paper grade " + grade).click();
            printer.field("Long side").fill("25.4");
            printer.field("Short side").fill("20.3");
            printer.field("Sheets left").fill("15");
            printer.presses("Put it on the shelf");
            assertThat(page().getByText("R " + ("2".equals(grade) ? "110" : "66") + ", by its grade")
                            .first())
                    .isVisible();
        }
        printer.startsSlate("9", "On graded paper", "");
        page().getByLabel("Paper", new Page.GetByLabelOptions().setExact(true)).click();
        page().getByTitle(Pattern.compile("^Loam graded, paper grade 2")).click();
        assertThat(page().getByLabel("Enlarger: the standing recipe")).containsText("No filter");
        printer.goesTo("Contrast");
        assertThat(page().getByText("Two filters")).hasCount(0);
        Locator boxes = page().getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Boxes of this paper"));
        assertThat(boxes.getByRole(AriaRole.BUTTON)).hasCount(2);
        page().keyboard().press("h");
        assertThat(page().getByLabel("Enlarger: the standing recipe")).containsText("paper grade 4");
        assertThat(boxes.getByText("Paper grade 4").locator("..")).hasAttribute("aria-pressed", "true");
        page().keyboard().press("u");
        assertThat(page().getByLabel("Enlarger: the standing recipe")).containsText("paper grade 2");
    }

    /** Two strips on one paper say both times of a split, which is printed in two parts. */
    @Test
    void aSplitIsReadFromItsTwoStripsAndPrinted() {
        Printer printer = printer();
        String slate = printer.startsSlate("9", "Split by strips", "");
        printer.goesTo("Contrast");
        assertThat(printer.verdict()).containsText("Move a thread's end");
        page().keyboard().press("t");
        page().getByText("Plan one strip in two rows").click();
        assertThat(printer.verdict()).containsText("Two rows of");
        printer.presses("Expose strip");
        printer.givesAllLightAndFixes();
        Locator strip = page().getByTestId("strip-taps");
        printer.taps(strip, 0.45, 0.25);
        printer.presses("Set grade 00");
        assertThat(page().getByText("Not read yet: the lower one.")).isVisible();
        page().keyboard().press("r");
        page().keyboard().press("k");
        printer.taps(strip, 0.65, 0.75);
        printer.presses("Set grade");
        assertThat(page().getByText("Both are read, and both count.")).isVisible();
        printer.goesTo("Contrast");
        assertThat(page().getByText("Computed from")).isVisible();
        page().keyboard().press("t");
        page().getByLabel("Put together").click();
        page().getByTitle("both tones exact").click();
        assertThat(printer.verdict()).containsText("Give ");
        printer.verdict().getByText("What this rests on").click();
        assertThat(printer.verdict()).containsText("(CON-21)");
        // The sum is checked on one strip that gets both parts on the same patches.
        page().getByText("Check the sum: a strip of both parts").click();
        assertThat(printer.verdict()).containsText("Grade 00 and grade 5 in");
        printer.presses("Expose strip");
        printer.givesAllLightAndHangs();
        printer.taps(page().getByTestId("strip-taps"), 0.5, 0.5);
        page().keyboard().press("k");
        printer.taps(page().getByTestId("strip-taps"), 0.6, 0.5);
        assertThat(printer.verdict()).containsText("through grade 00, then");
        printer.verdict().getByText("What this rests on").click();
        assertThat(printer.verdict()).containsText("so that it cancels (CON-27)");
        printer.presses("Set grade 00");
        assertThat(page().getByLabel("Enlarger: the standing recipe")).containsText("00 and 5");
        printer.goesTo("Print");
        printer.presses("Expose print");
        printer.givesAllLightAndFixes();
        assertThat(page().getByText("through grade 00, then").first()).isVisible();
        // Other slates of this frame would begin with its print.
        page().evaluate("id => fetch(`/api/slates/${id}`, { method: 'DELETE' })", slate.replaceFirst(".*/", ""));
    }

    @Test
    void twoGradesAreLaidHalfAndHalfOnOneSheet() {
        Printer printer = printer();
        printer.startsSlate("9", "Half and half", "");
        printer.goesTo("Contrast");
        assertThat(printer.verdict()).containsText("Move a thread's end");
        page().keyboard().press("h");
        assertThat(printer.verdict()).containsText("Set grade 3");
        printer.presses("Half and half on one sheet");
        assertThat(printer.verdict()).containsText("on the left, grade 3 for");
        printer.presses("Expose one sheet");
        printer.givesAllLightAndHangs();
        printer.taps(page().getByTestId("strip-taps"), 0.75, 0.5);
        assertThat(printer.verdict()).containsText("Set grade 3");
    }
}
