package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** What hands do in a run besides giving light: a held foot switch, leaving, a word on how it went, white light asked too early, the alarm. */
class RunByHandIT extends JourneyTest {
    private static final int LONG_MS = 800;
    private static final int HELD_MS = 2300;

    private String begins(String title) {
        String slate = printer().startsSlate("9", title, "");
        printer().goesTo("Test");
        printer().presses("Expose strip");
        page().waitForURL("**/runs/**");
        assertThat(printer().runWords()).containsText("exposure 1 of");
        return slate;
    }

    private void holds(int milliseconds) {
        Keyboard keys = page().keyboard();
        keys.down(" ");
        page().waitForTimeout(milliseconds);
        keys.up(" ");
    }

    private Locator allTheSame() {
        return printer().button("Hang it all the same");
    }

    private String room() {
        return (String) page().evaluate("() => document.documentElement.dataset.room");
    }

    private void givesUp() {
        page().keyboard().press("Backspace");
        page().keyboard().press("Backspace");
        page().waitForURL("**/slates/**");
    }

    @Test
    void aHeldFootSwitchGivesNoLightAndTakesBackTheLastAnswer() {
        begins("By foot");
        holds(LONG_MS);
        holds(HELD_MS);
        assertThat(printer().runWords()).containsText("exposure 1 of");
        printer().givesLight(() -> page().keyboard().press(" "), Integer.MAX_VALUE);
        page().keyboard().press(" ");
        assertThat(printer().runWords()).containsText("in the stop");
        holds(HELD_MS);
        assertThat(printer().runWords()).containsText("in the developer");
        givesUp();
    }

    /** A box that was said to lie open outlasts its sheet: white light waits until it is shut. */
    @Test
    void noWhiteLightWhileTheBoxLiesOpen() {
        begins("Box open");
        page().keyboard().press("k");
        assertThat(printer().button("Box shut")).isVisible();
        givesUp();
        printer().presses("White");
        assertThat(page().getByText("lies open").first()).isVisible();
        assertThat(Pixels.firstAgainst(page().screenshot(), Pixels::isSafe)).isEmpty();
        printer().presses("The box is shut");
        assertThat(page().getByText("lies open")).isHidden();
        assertThat(page().request().get("/api/white-light").text()).doesNotContain("lies open");
    }

    @Test
    void whiteLightIsRefusedThenAllowedAndTheSheetSaysSo() {
        begins("Too early");
        // In another window of the same darkroom.
        Page other = page().context().newPage();
        other.navigate("/");
        Printer there = new Printer(other);
        there.presses("Safelight");
        there.presses("White");
        assertThat(other.getByText("White light would fog paper")).isVisible();
        assertThat(other.getByText("is out of its box").first()).isVisible();
        assertThat(Pixels.firstAgainst(other.screenshot(), Pixels::isSafe)).isEmpty();
        there.presses("Stay dark");
        assertThat(Pixels.firstAgainst(other.screenshot(), Pixels::isSafe)).isEmpty();
        other.close();
        printer().givesLight(() -> page().keyboard().press(" "), Integer.MAX_VALUE);
        page().keyboard().press("h");
        assertThat(allTheSame()).isVisible();
        assertThat(Pixels.firstAgainst(page().screenshot(), Pixels::isSafe)).isEmpty();
        printer().presses("Wait");
        assertThat(printer().button("Hang it, white")).isVisible();
        page().keyboard().press("h");
        page().keyboard().press("h");
        page().waitForURL("**/slates/**");
        assertThat(page().getByText("white light was put on").first()).isVisible();
    }

    @Test
    void whoeverLeavesFindsTheRunWhereItWasAfterAReload() {
        begins("Away");
        printer().givesLight(() -> page().keyboard().press(" "), 1);
        page().keyboard().press("s");
        page().keyboard().press("b");
        assertThat(page().getByRole(AriaRole.ALERTDIALOG)).containsText("Count the pieces");
        assertThat(Pixels.firstAgainst(page().screenshot(), Pixels::isSafe)).isEmpty();
        page().keyboard().press("b");
        assertThat(printer().runWords()).containsText("All paper is put away");
        page().reload();
        assertThat(printer().runWords()).containsText("All paper is put away");
        printer().presses("I am back");
        assertThat(printer().runWords()).containsText("exposure 2 of");
        givesUp();
    }

    /** The lamp is the server's: it goes off in time with nobody there, and the run waits where it stood. */
    @Test
    void aBrowserThatIsClosedInMidBurstLosesNothing() {
        begins("Closed");
        String run = page().url();
        page().keyboard().press(" ");
        assertThat(printer().runWords()).containsText("Now,");
        Printer there = otherWindow();
        page().close();
        Page again = there.page();
        again.navigate(run);
        assertThat(there.runWords()).containsText("exposure 2 of");
        again.keyboard().press("Backspace");
        again.keyboard().press("Backspace");
        again.waitForURL("**/slates/**");
    }

    @Test
    void theAlarmIsOneKeyHeldAndMarksTheSheet() {
        begins("Alarm");
        page().keyboard().press("a");
        assertThat(printer().runWords()).containsText("exposure 1 of");
        page().keyboard().down("a");
        assertThat(page().getByText("Leave. Paper is replaceable.")).isVisible();
        page().keyboard().up("a");
        assertThat(page().getByText("Marked as suspect").first()).isVisible();
        assertThat(room()).isEqualTo("white");
        // Nothing of the run takes a key while people leave.
        page().keyboard().press(" ");
        assertThat(page().getByText("Leave. Paper is replaceable.")).isVisible();
        page().getByText("It is over").click();
        assertThat(printer().runWords()).containsText("exposure 1 of");
        assertThat(room()).isEqualTo("safelight");
        givesUp();
    }
}
