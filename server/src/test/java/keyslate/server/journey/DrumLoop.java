package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.WaitForSelectorState;

/** Pieces of colour paper by the space bar alone: dark, into the drum, white light for the dials, dark again. */
final class DrumLoop {
    private static final int MOST_PRESSES = 8;
    private static final double LONGEST_ANSWER_MS = 5000;

    private final Printer printer;

    DrumLoop(Printer printer) {
        this.printer = printer;
    }

    /** From the first piece in the dark until all hang. */
    void givesPieces(int pieces) {
        Page page = printer.page();
        page.waitForURL("**/runs/**");
        for (int piece = 1; piece <= pieces; piece++) {
            assertThat(printer.runWords()).containsText("exposure " + piece + " of " + pieces);
            assertBlack(page);
            if (piece < pieces) {
                spaceLeadsTo(page.getByText(
                        "Piece " + piece + " into the drum, lid on", new Page.GetByTextOptions().setExact(true)));
                assertBlack(page);
                spaceLeadsTo(page.locator("html[data-room=white]"));
                assertThat(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("What to set")))
                        .isVisible();
                spaceLeadsTo(page.locator("html[data-room=blackout]"));
            }
        }
        spaceLeadsTo(printer.button("Drum closed"));
        assertBlack(page);
        spaceLeadsTo(printer.button("Hang it"));
        page.keyboard().press(" ");
    }

    /** A press while the program is still asked does nothing, as in the dark; then one presses again. */
    private static void spaceLeadsTo(Locator there) {
        // An answer may come late, and one press more would answer what it asks.
        for (int i = 0; i < MOST_PRESSES && there.count() == 0; i++) {
            there.page().keyboard().press(" ");
            try {
                there.waitFor(new Locator.WaitForOptions()
                        .setState(WaitForSelectorState.ATTACHED)
                        .setTimeout(LONGEST_ANSWER_MS));
            } catch (TimeoutError e) {
                // It was pressed too early.
            }
        }
        assertThat(there.count())
                .as("what comes after at most " + MOST_PRESSES + " presses")
                .isPositive();
    }

    private static void assertBlack(Page page) {
        assertThat(Pixels.firstAgainst(page.screenshot(), Pixels::isBlack)).isEmpty();
    }
}
