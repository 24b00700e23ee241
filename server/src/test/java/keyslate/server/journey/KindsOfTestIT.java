package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.Locale;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every kind of test: chosen by its key, exposed in the right room, read, decided. */
class KindsOfTestIT extends JourneyTest {

    @ParameterizedTest
    @CsvSource({
        "t, same-spot strip, Same-spot strip 1, 0.5, 0.5",
        "o, openings, Openings 1, 0.5, 0.25",
        "d, wedge disc, Wedge disc 1, 0.15, 0.5",
        "p, pieces, Pieces 1, 0.5, 0.5"
    })
    void isPlannedExposedReadAndDecided(String key, String name, String label, double x, double y) {
        Printer printer = printer();
        Page page = printer.page();
        printer.startsSlate("9", "By " + name, "");
        printer.goesTo("Test");
        assertThat(printer.button("Expose strip")).isVisible();
        page.keyboard().press(key);
        assertThat(printer.button("Expose " + name)).isEnabled();
        assertThat(page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setChecked(true))
                        .first())
                .containsText(key.toUpperCase(Locale.ROOT));
        page.keyboard().press("e");
        printer.givesAllLightAndHangs();
        assertThat(page.getByText("Read " + label.toLowerCase(Locale.ROOT)).first())
                .isVisible();
        page.keyboard().press("m");
        printer.taps(page.getByTestId("strip-taps"), x, y);
        assertThat(printer.verdict()).containsText("The middle is right there");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Set grade")))
                .click();
        assertThat(printer.verdict()).containsText("on record");
        page.reload();
        if ("o".equals(key)) {
            // Openings are gone through in two rows: the one that is not read yet comes first.
            assertThat(page.getByText("Not read yet: the lower one.")).isVisible();
            page.keyboard().press("r");
        }
        assertThat(printer.verdict()).containsText("on record");
    }

    /** The second look hides the marks of the first; both are on record, and count together. */
    @Test
    void aTestIsLookedAtAgainWithTheMarksHidden() {
        Printer printer = printer();
        Page page = printer.page();
        printer.startsSlate("9", "Looked at twice", "");
        printer.goesTo("Test");
        printer.presses("Expose strip");
        printer.givesAllLightAndHangs();
        Locator mark = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Middle right at"));
        assertThat(mark).containsText("not marked");
        page.keyboard().press("m");
        printer.taps(page.getByTestId("strip-taps"), 0.5, 0.5);
        assertThat(printer.verdict()).containsText("The middle is right there");
        page.keyboard().press("g");
        assertThat(page.getByText("Look 2: the marks before are hidden")).isVisible();
        assertThat(mark).containsText("not marked");
        page.keyboard().press("m");
        printer.taps(page.getByTestId("strip-taps"), 0.7, 0.5);
        page.getByText("What this rests on").click();
        assertThat(printer.verdict()).containsText("the mean of 2 looks");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Set grade")))
                .click();
        assertThat(printer.verdict()).containsText("on record");
        page.reload();
        assertThat(printer.verdict()).containsText("on record");
        printer.presses("Drop this look");
        assertThat(page.getByText("Look again, marks hidden")).isVisible();
    }

    @Test
    void oneSheetIsCorrectedThenTakenAsThePrint() {
        Printer printer = printer();
        Page page = printer.page();
        String slate = printer.startsSlate("9", "On a hunch", "");
        printer.goesTo("Test");
        assertThat(printer.button("Expose strip")).isVisible();
        page.keyboard().press("g");
        assertThat(printer.button("Expose one sheet")).isEnabled();
        page.keyboard().press("e");
        printer.givesAllLightAndHangs();
        assertThat(printer.verdict()).containsText("How much more light does it need?");
        printer.enters("It needs more light", "x");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("not a number");
        printer.enters("It needs more light", "1/2");
        assertThat(printer.verdict()).containsText("Set ");
        printer.enters("It needs more light", "0");
        printer.presses("It is right: accept it");
        page.waitForURL("**/keep");
        assertThat(printer.verdict()).containsText("One sheet 1 is the print");
        // A kept print would be offered as a start to every slate of the film, those of other journeys too.
        assertThat(page.request()
                        .delete(slate.replaceFirst("/slates/", "/api/slates/"))
                        .ok())
                .isTrue();
    }

    @Test
    void whatLiesOffTheTestPlansTheNextOne() {
        Printer printer = printer();
        Page page = printer.page();
        printer.startsSlate("9", "Too dark", "");
        printer.goesTo("Test");
        printer.chooses("My times");
        printer.enters("Times, s", "10 14 20 x");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("“x” is not a number");
        printer.enters("Times, s", "10 14 20");
        assertThat(page.getByRole(AriaRole.ROW)).hasCount(4);
        printer.presses("Expose strip");
        printer.givesAllLightAndHangs();
        page.getByLabel("Or it lies off this test").click();
        page.getByText("even the lightest is a little too dark").click();
        assertThat(printer.verdict()).containsText("Every patch is too dark. Next: 5.0 to 10.0 s.");
        printer.presses("Plan it");
        page.waitForURL("**/test?sheet=plan");
        assertThat(page.getByRole(AriaRole.ROW).last()).containsText("10.0 s");
    }

    /** Seven pieces of colour paper, each in its own pack, by keys alone: dark, into the drum, white light for the dials, dark again. */
    @Test
    void sevenPiecesGoInTheLoop() {
        Printer printer = printer();
        Page page = printer.page();
        printer.startsSlate("5", "Seven pieces", "");
        printer.goesTo("Test");
        assertThat(printer.button("Before the dark")).isVisible();
        page.keyboard().press("p");
        printer.chooses("My own");
        printer.enters(
                "Filter packs, with commas between", "0/50/50, 0/60/50, 0/40/50, 0/50/60, 0/50/40, 0/60/60, 0/40/40");
        assertThat(page.getByRole(AriaRole.ROW)).hasCount(8);
        printer.goesDark();
        new DrumLoop(printer).givesPieces(7);
        page.waitForURL("**/colour?**");
        printer.goesTo("Test");
        printer.taps(page.getByTestId("strip-taps"), 0.1, 0.25);
        assertThat(printer.verdict()).containsText("Piece 1 is right");
        page.getByText("Which piece is in my hand?").click();
        printer.presses("upper left: whole");
        assertThat(page.getByText("It is piece 1.")).isVisible();
        printer.presses("upper right: whole");
        printer.presses("upper right: clipped");
        assertThat(page.getByText("It can be piece 1 or 5")).isVisible();
    }

    /** A picture by the practice phone, handed in with the corners that were found; read from it by taps alone, and taken. */
    @Test
    void aStripIsReadFromItsPicture() {
        Printer printer = printer();
        Page page = printer.page();
        String slate = printer.startsSlate("9", "By its picture", "");
        printer.goesTo("Test");
        printer.presses("Expose strip");
        printer.givesAllLightAndHangs();
        printer.presses("Take one with the practice phone");
        assertThat(page.getByText("The paper was found")).isVisible();
        printer.presses("Hang this picture");
        assertThat(page.getByRole(AriaRole.DIALOG)).not().isVisible();
        page.keyboard().press("i");
        assertThat(page.getByText("the paper's rim")).isVisible();
        Locator picture = page.locator(".read-picture");
        page.waitForFunction("() => document.querySelector('.read-picture img')?.naturalWidth > 0");
        Locator spots = page.locator(".picture-spots span");
        printer.taps(picture, 0.35, 0.5);
        assertThat(spots).hasCount(1);
        printer.taps(picture, 0.5, 0.5);
        assertThat(spots).hasCount(2);
        assertThat(page.getByText("Every patch").or(printer.button("Set grade")))
                .isVisible();
        page.waitForResponse(
                answer -> answer.url().endsWith("/readings"),
                () -> printer.button("Set grade").or(printer.button("Plan it")).click());
        String kept = page.request()
                .get(slate.replaceFirst("/slates/", "/api/slates/"))
                .text();
        assertThat(kept).contains("\"fromPicture\":true");
    }
}
