package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** A slate that is not needed is put away by keys alone, found again, and deleted after one more question. */
class ShelfIT extends JourneyTest {
    @Test
    void aSlateIsPutAwayTakenOutAndDeleted() {
        Printer printer = printer();
        String slate = printer.startsSlate("3", "Passing thought", "");
        Page page = printer.page();
        printer.opens("/");
        Locator away = printer.button("Put away Passing thought");
        away.focus();
        page.keyboard().press("Enter");
        assertThat(away).hasCount(0);
        Locator shelf = page.locator("summary").filter(new Locator.FilterOptions().setHasText("Put away"));
        shelf.focus();
        page.keyboard().press("Enter");
        Locator out = printer.button("Take out Passing thought");
        assertThat(out).isVisible();
        out.focus();
        page.keyboard().press("Enter");
        assertThat(printer.button("Put away Passing thought")).isVisible();

        printer.opens(slate + "/keep");
        printer.presses("Delete Passing thought");
        assertThat(page.getByText("Delete “Passing thought” for good?")).isVisible();
        printer.presses("Keep it");
        printer.presses("Delete Passing thought");
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Delete").setExact(true))
                .click();
        page.waitForURL("**/");
        assertThat(page.getByText("Passing thought")).hasCount(0);
        printer.opens(slate + "/keep");
        assertThat(page.getByText("This page cannot be shown")).isVisible();
    }
}
