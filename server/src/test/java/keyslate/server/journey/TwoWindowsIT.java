package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** Two windows on one slate never overwrite each other silently. */
class TwoWindowsIT extends JourneyTest {
    @Test
    void theSecondWindowIsToldAndLosesNothing() {
        Printer first = printer();
        String slate = first.startsSlate("3", "Two windows", "");
        Printer second = otherWindow().opens(slate + "/setup");
        assertThat(second.field("White border")).hasValue("6");

        first.enters("White border", "12");
        assertThat(first.page().getByText("Undo")).containsText("border");
        second.enters("White border", "20");

        assertThat(second.page().getByRole(AriaRole.ALERT)).containsText("another window");
        assertThat(second.field("White border")).hasValue("20");
        second.presses("Load the newer state");
        assertThat(second.page().getByRole(AriaRole.ALERT)).isHidden();
        second.field("White border").press("Escape");
        assertThat(second.field("White border")).hasValue("12");
        // What is undone is a border already: the answer tells that it is this one.
        second.page()
                .waitForResponse(answer -> answer.url().endsWith("/recipe"), () -> second.enters("White border", "20"));
        first.page().reload();
        assertThat(first.field("White border")).hasValue("20");
    }

    @Test
    void aSheetUnderTheLampIsSeenInBothWindows() {
        Printer first = printer();
        String slate = first.startsSlate("2", "One lamp", "");
        Printer second = otherWindow().opens(slate + "/test");
        first.opens(slate + "/test");
        first.presses("Expose strip");
        first.givesLight(() -> first.presses("Give the light"), 1);

        second.presses("Expose strip");
        assertThat(second.page().getByRole(AriaRole.ALERT).first()).isVisible();
        second.page().reload();
        second.presses("Continue");
        assertThat(second.runWords()).containsText("exposure 2 of");
        second.givesAllLightAndHangs();

        first.page().reload();
        assertThat(first.runWords()).containsText("This sheet hangs");
    }
}
