package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Packs: a ring about the one that stands, a neutral in a picture, and three dials cleaned of grey. */
class PacksIT extends JourneyTest {
    /** Seven pieces in the loop, by keys alone; the neutral one is picked, then a spot on all of them measured in their picture. */
    @Test
    void aRingIsMadeInTheLoopAndReadFromAPicture() {
        Printer printer = printer();
        Page page = printer.page();
        printer.startsSlate("5", "Ring", "");
        printer.enters("Pack, C/M/Y", "0/50/50");
        assertThat(page.getByText("to 0/50/50")).isVisible();
        printer.goesTo("Test");
        assertThat(printer.button("Before the dark")).isVisible();
        Keyboard keys = page.keyboard();
        keys.press("p");
        printer.chooses("Ring");
        assertThat(printer.verdict()).containsText("7 pieces round 0/50/50, 8 points apart.");
        assertThat(page.getByText("more cyan")).isVisible();
        printer.goesDark();
        new DrumLoop(printer).givesPieces(7);
        page.waitForURL("**/colour?**");
        assertThat(printer.verdict()).containsText("Touch the piece whose grey is grey.");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Piece 1 ")))
                .press("Enter");
        assertThat(printer.verdict()).containsText("One look: known to");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Piece 7 ")))
                .press("Enter");
        assertThat(printer.verdict()).containsText("The print turns");
        printer.presses("Start over");
        handsInAPicture(printer);
        keys.press("i");
        assertThat(printer.verdict()).containsText("Say which spot is to be neutral.");
        page.waitForFunction("() => document.querySelector('.spot-picture img')?.naturalWidth > 0");
        printer.taps(page.locator(".spot-picture"), 0.15, 0.43);
        page.getByText("What this rests on").click();
        assertThat(page.getByText(Pattern.compile("^Piece 7 measured"))).isVisible();
        page.waitForResponse(answer -> answer.url().endsWith("/casts"), () -> printer.presses("Set 0/"));
        assertThat(page.getByText("On record:")).isVisible();
    }

    /** The print hangs; its picture is handed in, and arrow keys say which spot is to be neutral. */
    @Test
    void aNeutralIsMarkedInAPictureByKeys() {
        Printer printer = printer();
        Page page = printer.page();
        printer.startsSlate("7", "Neutral by its picture", "");
        printer.enters("Pack, C/M/Y", "0/40/40");
        printer.goesTo("Print");
        printer.goesDark();
        page.waitForURL("**/runs/**");
        Keyboard keys = page.keyboard();
        assertThat(printer.runWords()).containsText("exposure 1 of 1");
        keys.press(" ");
        assertThat(printer.button("Drum closed")).isVisible();
        keys.press(" ");
        assertThat(printer.button("Hang it")).isVisible();
        keys.press(" ");
        page.waitForURL("**/judge?**");
        printer.goesTo("Colour");
        assertThat(printer.verdict()).containsText("Find the filter that makes grey grey.");
        keys.press("ArrowRight");
        keys.press("+");
        keys.press("+");
        assertThat(printer.verdict()).containsText("greener");
        handsInAPicture(printer);
        keys.press("i");
        Locator spot = page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName("The neutral spot; arrow keys move it"));
        spot.press("ArrowDown");
        spot.press("Shift+ArrowRight");
        assertThat(printer.verdict()).containsText("The print turns");
        // Said to be the grey card, it tells the density as well.
        Locator byEye = page.getByText("More light", new Page.GetByTextOptions().setExact(true));
        assertThat(byEye).isVisible();
        spot.press("y");
        assertThat(page.getByText("Tap the grey card: it tells the density too."))
                .isVisible();
        assertThat(byEye).not().isVisible();
        assertThat(printer.verdict()).containsText("The card is ");
        spot.press("w");
        Locator bare =
                page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Bare paper; arrow keys move it"));
        bare.press("ArrowDown");
        bare.press("w");
        assertThat(bare).not().isVisible();
        spot.press("y");
        assertThat(printer.verdict()).not().containsText("The card is ");
        assertThat(page.getByText("Beside it")).not().isVisible();
        page.waitForResponse(answer -> answer.url().endsWith("/casts"), () -> printer.presses("Set 0/"));
        assertThat(page.getByText("On record:")).isVisible();
    }

    private static void handsInAPicture(Printer printer) {
        printer.presses("Take one with the practice phone");
        printer.presses("Hang this picture");
        assertThat(printer.page().getByRole(AriaRole.DIALOG)).not().isVisible();
    }

    @Test
    void threeDialsAreCleanedOfGreyAndTheTimeFollowsAsItIsToldTo() {
        Printer printer = printer();
        Page page = printer.page();
        printer.startsSlate("11", "Three dials", "");
        printer.enters("Pack, C/M/Y", "14/66/52");
        assertThat(page.getByText("14 points of grey, 0.14 density, 0.47 stop")).isVisible();
        printer.presses("Take the grey out");
        assertThat(printer.field("Pack, C/M/Y")).hasValue("0/52/38");
        assertThat(printer.button("Take the grey out")).hasCount(0);
        page.keyboard().press("u");
        assertThat(printer.field("Pack, C/M/Y")).hasValue("14/66/52");
        printer.presses("Take the grey out");
        try {
            printer.chooses("Not");
            assertThat(page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("Not")))
                    .isChecked();
            printer.enters("Pack, C/M/Y", "0/92/38");
            assertThat(printer.field("Pack, C/M/Y")).hasValue("0/92/38");
        } finally {
            printer.chooses("All");
        }
        assertThat(page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("All")))
                .isChecked();
    }

    /** The gels that exist are entered at Stores; a pack is then said as the fewest of them, and taken back it is dials again. */
    @Test
    void aPackIsMadeOfGels() {
        Printer printer = printer();
        Page page = printer.page();
        String slate = printer.startsSlate("11", "Of gels", "");
        printer.enters("Pack, C/M/Y", "0/55/40");
        assertThat(page.getByText("to 0/55/40")).isVisible();
        String enlarger = (String) page.evaluate(
                "async path => (await (await fetch('/api' + path)).json()).standing.setup.enlargerId",
                slate.replaceFirst(".*(/slates/)", "$1"));
        printer.opens("/stores/enlargers/" + enlarger + "/measure/GELS");
        Locator lines = page.getByLabel("The gels that exist");
        lines.fill("M 5 10 twenty");
        assertThat(page.getByText("“twenty” in line 1 is no number").first()).isVisible();
        lines.fill("M 5 10 20 40\nY 5 10 20 40");
        assertThat(printer.verdict()).containsText("Packs are made of 8 gels.");
        try {
            printer.presses("Keep it");
            page.waitForURL("**/stores?**");
            assertThat(page.getByText("magenta 5, 10, 20, 40; yellow 5, 10, 20, 40"))
                    .isVisible();
            printer.opens(slate + "/setup");
            assertThat(page.getByText("magenta 40 + 10 + 5, yellow 40").first()).isVisible();
        } finally {
            printer.opens("/stores?thing=" + enlarger);
            page.locator(".constant")
                    .filter(new Locator.FilterOptions().setHasText("Packs are made of gels"))
                    .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Take back"))
                    .click();
        }
        assertThat(page.getByText("no, by its dials")).isVisible();
    }

    /** A head of three lights: told at Stores, its times typed, three exposures given in the dark by keys, and a verdict that says three times. */
    @Test
    void aPrintIsMadeWithThreeLights() {
        Printer printer = printer();
        Page page = printer.page();
        String slate = printer.startsSlate("11", "Three lights", "");
        String enlarger = (String) page.evaluate(
                "async path => (await (await fetch('/api' + path)).json()).standing.setup.enlargerId",
                slate.replaceFirst(".*(/slates/)", "$1"));
        printer.opens("/stores/enlargers/" + enlarger + "/measure/LIGHTS");
        Locator lines = page.getByLabel("Matches, or the shares of red, green and blue");
        lines.fill("0/48/58 14 = 1 1 1");
        assertThat(page.getByText("prints faster than white light does").first())
                .isVisible();
        lines.fill("0/48/58 14 = 56 16.4 14.5");
        assertThat(printer.verdict()).containsText("Red light gives its layer 0.245");
        try {
            printer.presses("Keep it");
            page.waitForURL("**/stores?**");
            assertThat(page.getByText("red 0.245, green 0.275, blue 0.240")).isVisible();
            printer.opens(slate + "/setup");
            printer.enters("Red light", "28");
            printer.enters("Green light", "9.5");
            printer.enters("Blue light", "9");
            assertThat(printer.field("Red light")).hasValue("28.0");
            assertThat(page.getByText("One time alone moves the pack.")).isVisible();
            printer.goesTo("Print");
            printer.goesDark();
            page.waitForURL("**/runs/**");
            Keyboard keys = page.keyboard();
            assertThat(printer.runWords()).containsText("exposure 1 of 3");
            keys.press(" ");
            assertThat(printer.runWords()).containsText("exposure 2 of 3");
            assertThat(printer.runWords()).containsText("Green light");
            keys.press(" ");
            assertThat(printer.runWords()).containsText("exposure 3 of 3");
            keys.press(" ");
            assertThat(printer.button("Drum closed")).isVisible();
            keys.press(" ");
            assertThat(printer.button("Hang it")).isVisible();
            keys.press(" ");
            page.waitForURL("**/judge?**");
            printer.goesTo("Colour");
            assertThat(printer.verdict()).containsText("Find the filter that makes grey grey.");
            keys.press("ArrowRight");
            keys.press("+");
            keys.press("+");
            assertThat(printer.verdict()).containsText(" s red, ");
            page.waitForResponse(answer -> answer.url().endsWith("/casts"), () -> printer.presses("Set 0/"));
            assertThat(page.getByText("On record:")).isVisible();
        } finally {
            printer.opens("/stores?thing=" + enlarger);
            page.locator(".constant")
                    .filter(new Locator.FilterOptions().setHasText("Prints with red, green and blue light"))
                    .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Take back"))
                    .click();
        }
    }
}
