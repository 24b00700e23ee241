package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Wrong entries get their message beside the field; what was typed stays; what stood before still stands. */
class WrongNumbersIT extends JourneyTest {
    private String slate;

    @BeforeEach
    void startSlate() {
        slate = printer().startsSlate("3", "Wrong numbers", "");
    }

    @Test
    void textWhereANumberBelongs() {
        refused("White border", "wide", "“wide” is not a number.");
    }

    @Test
    void aNumberOutsideItsRange() {
        refused("White border", "-2", "must be");
        refused("Sheet, long", "9 m", "does not belong here");
        refused("Sheet, long", "1", "must be");
    }

    @Test
    void anOpeningTheLensLacks() {
        refused("Opening", "f7.3", "f/7.3");
        assertThat(page().getByRole(AriaRole.BUTTON, byName("Lens"))).containsText("f/8");
    }

    @Test
    void aZeroTime() {
        page().getByRole(AriaRole.BUTTON, byName("Base exposure")).click();
        String stood = printer().field("Base exposure").inputValue();
        printer().enters("Base exposure", "0");
        assertThat(page().getByRole(AriaRole.ALERT)).containsText("must be");
        assertThat(printer().field("Base exposure")).hasValue("0");
        page().reload();
        assertThat(page().getByRole(AriaRole.BUTTON, byName("Base exposure"))).containsText(stood);
    }

    @Test
    void aStripLongerThanThePaper() {
        page().navigate(slate + "/test");
        page().getByText("More", new Page.GetByTextOptions().setExact(true))
                .first()
                .click();
        refused("Patch", "90", "longer than the picture on this paper");
        refused("Breadth", "500", "mm");
    }

    @Test
    void zeroAndHundredPatches() {
        page().navigate(slate + "/test");
        refused("Patches", "0", "patches");
        refused("Patches", "100", "patches");
        refused("Step", "0", "must be");
    }

    @Test
    void aChangeBeyondWhatHandsCanDo() {
        page().navigate(slate + "/shape");
        assertThat(printer().button("Ellipse")).isVisible();
        page().keyboard().press("o");
        assertThat(printer().field("Change")).hasValue("−⅓");
        refused("Change", "-9", "stop");
        refused("Change", "-100 %", "%");
        refused("Soft edge", "300", "must be");
    }

    @Test
    void anAddressThatLeadsNowhere() {
        page().navigate("/slates/no-such-slate/test");
        assertThat(page().getByRole(AriaRole.HEADING)).containsText("cannot be shown");
        printer().presses("Go to the bench");
        assertThat(page().getByText("On the easel")).isVisible();
    }

    @Test
    void aDamagedAndAForeignFile() {
        page().navigate("/");
        takesIn("{\"format\":");
        assertThat(page().getByRole(AriaRole.ALERT)).isVisible();
        takesIn("{\"format\":\"another\"}");
        assertThat(page().getByRole(AriaRole.ALERT)).containsText("not a Key Slate file");
        assertThat(page().getByText("On the easel")).isVisible();
    }

    private void takesIn(String content) {
        page().getByLabel("Slate file")
                .setInputFiles(
                        new FilePayload("slate.json", "application/json", content.getBytes(StandardCharsets.UTF_8)));
    }

    private static Page.GetByRoleOptions byName(String begins) {
        return new Page.GetByRoleOptions().setName(java.util.regex.Pattern.compile("^" + begins));
    }

    /** Enters it, sees the message where the field is, finds the text still there, and takes it back with Escape. */
    private void refused(String label, String text, String message) {
        Locator field = printer().field(label);
        assertThat(field).isEnabled();
        String stood = field.inputValue();
        printer().enters(label, text);
        Locator said = page().locator(".field", new Page.LocatorOptions().setHas(page().getByRole(AriaRole.ALERT)))
                .filter(new Locator.FilterOptions().setHasText(label));
        assertThat(said.getByRole(AriaRole.ALERT)).containsText(message);
        assertThat(field).hasAttribute("aria-invalid", "true");
        assertThat(field).hasValue(text);
        field.press("Escape");
        assertThat(field).hasValue(stood);
    }
}
