package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** In the safelight room every lit pixel is pure red, whatever is open on the page; nothing flashes between. */
class SafelightIT extends JourneyTest {
    private final List<String> unsafe = new ArrayList<>();

    /** The browser's own dialogs obey no room: what would open one waits for white light. */
    @Test
    void nothingOpensADialogOfTheBrowsersOwn() {
        page().navigate("/");
        printer().presses("Safelight");
        assertThat(printer().button("Take in a slate file")).isDisabled();
        View keep = View.all(page()).stream()
                .filter(v -> "keep".equals(v.name()))
                .findFirst()
                .orElseThrow();
        keep.open(page());
        assertThat(printer().button("Print this page")).isDisabled();
        page().navigate("/rolls");
        page().getByText("Add frames").click();
        assertThat(page().locator("#frame-file")).isDisabled();
        page().getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Frame 3 ")))
                .first()
                .click();
        assertThat(printer().button("Another scan")).isDisabled();
        printer().putsOnWhiteLight();
    }

    /** A reload while the server is gone shows no bright page of the browser's own. */
    @Test
    void aReloadWithoutAServerStaysDark() {
        try (PackagedApplication gone = PackagedApplication.start(PackagedApplication.emptyFolder());
                BrowserContext window = newContext(gone.address())) {
            Page lone = window.newPage();
            lone.navigate("/rolls");
            lone.waitForFunction("() => navigator.serviceWorker.controller !== null");
            lone.evaluate("() => localStorage.setItem('key-slate.dark', '')");
            gone.kill();
            lone.reload();
            assertThat(Pixels.firstAgainst(lone.screenshot(), Pixels::isBlack)).isEmpty();
            lone.evaluate("() => localStorage.removeItem('key-slate.dark')");
            lone.reload();
            assertThat(lone.getByText("Key Slate does not answer")).isVisible();
            assertThat(Pixels.firstAgainst(lone.screenshot(), Pixels::isSafe)).isEmpty();
        }
    }

    @Test
    void everyStationIsPureRed() {
        Page page = page();
        page.navigate("/");
        printer().presses("Safelight");
        for (View view : View.all(page)) {
            view.open(page);
            look(view.name());
        }
        assertThat(unsafe).isEmpty();
    }

    @Test
    void whateverIsOpenOnThePageIsPureRed() {
        Page page = page();
        printer().startsSlate("3", "In the dark", "");
        printer().presses("Safelight");
        printer().enters("White border", "-3");
        assertThat(page.getByRole(AriaRole.ALERT)).isVisible();
        look("a wrong number");
        page.getByLabel("Lens", new Page.GetByLabelOptions().setExact(true)).click();
        assertThat(page.getByRole(AriaRole.LISTBOX)).isAttached();
        look("an open list");
        page.keyboard().press("Escape");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Base exposure")))
                .click();
        assertThat(printer().field("Base exposure")).isVisible();
        look("an open handle");
        page.keyboard().press("Escape");
        printer().presses("? Keys");
        assertThat(page.getByRole(AriaRole.DIALOG)).isVisible();
        look("the list of keys");
        page.navigate("/slates/none/test");
        assertThat(page.getByText("cannot be shown")).isVisible();
        look("an address that leads nowhere");
        assertThat(unsafe).isEmpty();
    }

    @Test
    void theRunIsPureRedFromBeginningToEnd() {
        Page page = page();
        printer().startsSlate("2", "Run in the dark", "");
        printer().goesTo("Test");
        assertThat(printer().button("Expose strip")).isVisible();
        printer().presses("Expose strip");
        page.waitForURL("**/runs/**");
        assertThat(printer().runWords()).containsText("exposure 1 of");
        look("before the first burst");
        printer().givesLight(() -> page.keyboard().press(" "), 2);
        look("between two bursts");
        page.keyboard().press("Backspace");
        assertThat(page.getByText("Give this sheet up?").first()).isVisible();
        look("asking whether to give up");
        printer().presses("Go on");
        printer().givesLight(() -> page.keyboard().press(" "), Integer.MAX_VALUE);
        look("all light given");
        assertThat(unsafe).isEmpty();
    }

    @Test
    void changingPageOrReloadingInTheDarkFlashesNoOtherColour() {
        Page page = page();
        String slate = printer().startsSlate("3", "No flash", "");
        printer().presses("Safelight");
        look("before the first change");
        try (Screencast cast = new Screencast(page)) {
            for (String station : List.of("Test", "Shape", "Print", "Judge", "Keep", "Choose", "Set up")) {
                printer().goesTo(station);
            }
            page.reload();
            assertThat(printer().field("White border")).isVisible();
            page.navigate(slate + "/shape");
            assertThat(printer().button("Ellipse")).isVisible();
            check(cast.frames());
            assertThat(cast.frames()).hasSizeGreaterThan(5);
        }
        assertThat(unsafe).isEmpty();
    }

    @Test
    void goingIntoTheDarkIsOneStep() {
        Page page = page();
        printer().startsSlate("3", "Into the dark", "");
        printer().goesTo("Test");
        assertThat(printer().button("Expose strip")).isVisible();
        try (Screencast cast = new Screencast(page)) {
            printer().presses("Expose strip");
            page.waitForURL("**/runs/**");
            assertThat(printer().runWords()).containsText("exposure 1 of");
            page.reload();
            assertThat(printer().runWords()).containsText("exposure 1 of");
            List<byte[]> frames = cast.frames();
            int dark = firstSafe(frames);
            assertThat(dark).as("frames until the dark, of " + frames.size()).isBetween(0, frames.size() - 1);
            check(frames.subList(dark, frames.size()));
        }
        assertThat(unsafe).isEmpty();
    }

    private static int firstSafe(List<byte[]> frames) {
        for (int i = 0; i < frames.size(); i++) {
            if (Pixels.firstAgainst(frames.get(i), Pixels::isSafe).isEmpty()) {
                return i;
            }
        }
        return -1;
    }

    private void check(List<byte[]> frames) {
        for (int i = 0; i < frames.size(); i++) {
            String found = Pixels.firstAgainst(frames.get(i), Pixels::isSafe);
            if (!found.isEmpty()) {
                unsafe.add("frame " + i + " of " + frames.size() + ": " + found);
            }
        }
    }

    private void look(String at) {
        byte[] picture = page().screenshot();
        String found = Pixels.firstAgainst(picture, Pixels::isSafe);
        if (!found.isEmpty()) {
            unsafe.add(at + ": " + found);
        }
        if (!Pixels.isLit(picture)) {
            unsafe.add(at + ": nothing can be read");
        }
    }
}
