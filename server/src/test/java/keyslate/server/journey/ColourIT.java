package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.options.AriaRole;
import java.net.URI;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A colour negative from choosing to a kept print, through a room in which no pixel may be lit. */
class ColourIT extends JourneyTest {
    /** More stops of the Tab key than any page has. */
    private static final int MOST_TABS = 80;

    @Test
    void aColourNegativeBecomesAKeptPrint() {
        Page page = page();
        printer().startsSlate("7", "In colour", "Sky neutral, brick warm");
        setsPack("0/48/57");
        printer().goesTo("Test");
        printer().goesDark();
        exposesInTheDark();
        page.waitForURL("**/test?**");
        assertThat(page.locator("html")).hasAttribute("data-room", "white");

        assertThat(printer().verdict()).containsText("Look for the patch with the right density");
        printer().taps(page.getByTestId("strip-taps"), 0.3, 0.5);
        assertThat(printer().verdict()).containsText("The density is right there");
        printer().presses("Set 0/48/57");
        assertThat(printer().verdict()).containsText("on record");

        printer().goesTo("Colour");
        printer().presses("blue");
        printer().presses("10");
        assertThat(printer().verdict()).containsText("The print turns a little bluer");
        printer().presses("Set 0/48/62");
        assertThat(page.getByText("On record:")).containsText("Add 5 Y");

        printer().goesTo("Shape");
        printer().presses("Ellipse");
        printer().drags(page.getByTestId("area-canvas"), new double[] {0.55, 0.6}, new double[] {0.75, 0.9});
        assertThat(page.getByLabel("Name")).hasValue("Area 1");
        printer().goesTo("Print");
        assertThat(page.getByText("Base; hold back Area 1")).isVisible();
        printer().goesDark();
        exposesInTheDark();
        page.waitForURL("**/judge?**");
        assertThat(page.getByText("Harder or softer")).hasCount(0);
        printer().presses("Accept work print 1");
        page.waitForURL("**/keep");
        assertThat(printer().verdict()).containsText("Work print 1 is the print");
        assertThat(page.getByText("0/48/62").first()).isVisible();
    }

    @Test
    void fromTestToKeepByKeysAlone() {
        Page page = page();
        printer().startsSlate("11", "In colour by keys", "");
        setsPack("0/48/57");
        Keyboard keys = page.keyboard();
        printer().goesTo("Test");
        goesDarkByKeys();
        exposesInTheDark();
        page.waitForURL("**/test?**");
        tabsTo("Right density at");
        keys.press("ArrowRight");
        assertThat(page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Right density at")))
                .hasAttribute("aria-valuetext", Pattern.compile("patch 1"));
        tabsTo("Set 0/48/57");
        keys.press("Enter");
        assertThat(printer().verdict()).containsText("on record");
        keys.press("4");
        assertThat(printer().button("cyan")).isVisible();
        keys.press("a");
        assertThat(printer().button("too yellow")).isVisible();
        tabsTo("too yellow");
        keys.press("Enter");
        tabsTo("clear");
        keys.press("Enter");
        tabsTo("Set 0/4");
        keys.press("Enter");
        assertThat(page.getByText("On record:")).containsText("Y");
        keys.press("6");
        goesDarkByKeys();
        exposesInTheDark();
        page.waitForURL("**/judge?**");
        tabsTo("Accept work print 1");
        keys.press("Enter");
        page.waitForURL("**/keep");
        assertThat(printer().verdict()).containsText("Work print 1 is the print");
    }

    /** Film on the paper under glass, in a room in which no pixel may be lit; the stack is told before and spoken. */
    @Test
    void aProofOfAColourRollIsMadeInTheDark() {
        Page page = page();
        printer().opens("/rolls");
        String roll = (String) page.evaluate("""
                async () => {
                  const body = { title: "Roll 59", film: "", kind: "COLOUR", longMm: 36, shortMm: 24, stripFrames: 6, frames: 3 };
                  const made = await fetch("/api/rolls",
                    { method: "POST", headers: { "Content-Type": "application/json" }, body: JSON.stringify(body) });
                  return (await made.json()).id;
                }""");
        try {
            page.reload();
            page.getByRole(
                            AriaRole.REGION,
                            new Page.GetByRoleOptions().setName("Roll 59").setExact(true))
                    .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Proof in contact"))
                    .click();
            page.waitForURL("**/setup");
            printer().goesTo("Print");
            printer().presses("Before the dark");
            assertThat(page.getByText("Film emulsion down on the paper, glass on top: all by touch"))
                    .isVisible();
            printer().presses("Go dark");
            exposesInTheDark();
            page.waitForURL("**/judge?**");
            printer().presses("Accept proof 1");
            page.waitForURL("**/keep");
        } finally {
            page.evaluate("id => fetch(`/api/rolls/${id}`, { method: 'DELETE' })", roll);
        }
    }

    @Test
    void slipsOfTheFingerDoNothingAndALostLampIsSaid() {
        Path data = PackagedApplication.emptyFolder();
        String run;
        try (PackagedApplication killed = PackagedApplication.start(data, "--demo", "--clock-speed", "1");
                BrowserContext window = newContext(killed.address())) {
            Printer printer = new Printer(window.newPage());
            printer.startsSlate("5", "Slips", "");
            // So long that the lamp still burns when the application is killed, however slow the machine.
            printer.presses("Base exposure");
            printer.enters("Base exposure", "90");
            assertThat(printer.button("Base exposure")).containsText("90");
            printer.page().keyboard().press("Escape");
            printer.goesTo("Test");
            printer.goesDark();
            printer.page().waitForURL("**/runs/**");
            assertThat(printer.runWords()).containsText("exposure 1 of");
            Keyboard keys = printer.page().keyboard();
            keys.down(" ");
            keys.down(" ");
            keys.down(" ");
            keys.up(" ");
            keys.press(" ");
            assertThat(printer.button("Stop the lamp")).isVisible();
            keys.press(" ");
            keys.press("g");
            keys.press("l");
            assertThat(printer.runWords()).containsText("Now, exposure 1 of");
            assertBlack(printer.page().screenshot());
            run = printer.page().url().replaceFirst("https?://[^/]+", "");
            killed.kill();
        }
        try (PackagedApplication again = PackagedApplication.start(data, "--demo", "--clock-speed", FAST_LAMP);
                BrowserContext window = newContext(again.address())) {
            Printer printer = new Printer(window.newPage());
            printer.opens(run);
            assertThat(printer.runWords()).containsText("The power was lost");
            assertBlack(printer.page().screenshot());
            // The first key after a reload opens the sound, says where the run stands, and does nothing else.
            printer.page().keyboard().press("Backspace");
            printer.page().keyboard().press("Backspace");
            assertThat(printer.button("Go on")).isVisible();
            printer.page().keyboard().press("Backspace");
            printer.page().waitForURL("**/test");
            assertThat(printer.page()
                            .getByRole(AriaRole.LINK)
                            .filter(new Locator.FilterOptions().setHasText("given up")))
                    .isVisible();
        }
    }

    @Test
    void aGlanceIsRefusedWhilePaperIsOutUnlessForced() {
        Page page = page();
        printer().startsSlate("5", "A glance", "");
        printer().goesTo("Test");
        printer().goesDark();
        page.waitForURL("**/runs/**");
        assertThat(printer().runWords()).containsText("exposure 1 of");
        page.keyboard().press("l");
        page.keyboard().press("g");
        page.keyboard().press("l");
        assertBlack(page.screenshot());
        page.keyboard().press("g");
        page.keyboard().press("Shift+L");
        page.waitForFunction("() => document.documentElement.dataset.room === 'safelight'");
        page.waitForFunction("() => document.documentElement.dataset.room === 'blackout'");
        assertBlack(page.screenshot());
        leavingFullScreenIsAnAlarm(page);
        printer().page().keyboard().press("Backspace");
        printer().page().keyboard().press("Backspace");
        page.waitForURL("**/test");
        assertThat(page.getByText("doubtful").first()).isVisible();
        // Giving the sheet up gives the screen back: no alarm for that.
        page.waitForFunction("() => document.fullscreenElement === null");
        assertThat(page.locator("html")).hasAttribute("data-room", "safelight");
        assertThat((boolean) page.evaluate("() => window.heard.includes(1175)")).isFalse();
    }

    /** Dials are never set unseen: the paper lies in its box while the page shows the pack in white light. */
    @Test
    void aBurnInAPackOfItsOwnIsSetWithThePaperInItsBox() {
        Page page = page();
        printer().startsSlate("5", "A burn of its own", "");
        setsPack("0/48/57");
        printer().goesTo("Shape");
        printer().presses("Ellipse");
        printer().drags(page.getByTestId("area-canvas"), new double[] {0.55, 0.6}, new double[] {0.75, 0.9});
        assertThat(page.getByLabel("Name")).hasValue("Area 1");
        printer().enters("Change", "+1/2");
        printer().enters("Burn in, else 0/48/57", "0/48/77");
        printer().goesTo("Print");
        printer().presses("Before the dark");
        assertThat(page.getByText("the paper is boxed while 0/48/77 is set")).isVisible();
        printer().presses("Go dark");
        page.waitForURL("**/runs/**");
        assertThat(printer().runWords()).containsText("exposure 1 of 2");
        Keyboard keys = page.keyboard();
        // The lamp is asked by its own port, which no picture shares.
        Request lamp = page.waitForRequest("**/lamp", () -> keys.press(" "));
        assertThat(URI.create(lamp.url()).getPort())
                .isNotEqualTo(URI.create(page.url()).getPort());
        assertThat(lamp.response().status()).isEqualTo(200);
        assertThat(printer().runWords()).containsText("Paper into its box");
        assertBlack(page.screenshot());
        keys.press(" ");
        assertThat(page.locator("html")).hasAttribute("data-room", "white");
        assertThat(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("What to set")))
                .containsText("77");
        // The program dies here: the paper is safe, and the run goes on where it stood.
        page.reload();
        assertThat(printer().runWords()).containsText("Set this, then the light out");
        keys.press(" ");
        assertThat(page.locator("html")).hasAttribute("data-room", "blackout");
        assertThat(printer().runWords()).containsText("exposure 2 of 2");
        assertBlack(page.screenshot());
        keys.press(" ");
        assertThat(printer().button("Drum closed")).isVisible();
        assertBlack(page.screenshot());
        keys.press(" ");
        assertThat(printer().button("Hang it")).isVisible();
        keys.press(" ");
        page.waitForURL("**/judge?**");
    }

    /** The browser's own bars obey no room: a wail is heard, and F brings the whole screen back. */
    private static void leavingFullScreenIsAnAlarm(Page page) {
        page.evaluate(
                "() => { window.heard = []; const start = OscillatorNode.prototype.start;"
                        + " OscillatorNode.prototype.start = function (at) { window.heard.push(this.frequency.value); return start.call(this, at); }; }");
        page.evaluate("() => document.exitFullscreen()");
        page.waitForFunction("() => window.heard.filter(f => f === 1175).length === 3");
        page.keyboard().press("f");
        page.waitForFunction("() => document.fullscreenElement !== null");
        page.evaluate("() => { window.heard = []; }");
    }

    /** The run in white light, by the same keys, and back to the list. */
    @Test
    void aRehearsalTakesNoPaper() {
        Page page = page();
        printer().startsSlate("5", "Rehearsed", "");
        printer().goesTo("Test");
        printer().presses("Before the dark");
        assertThat(page.getByText("The first sheet of this slate.")).isVisible();
        page.keyboard().press("r");
        page.waitForURL("**/rehearsal/**");
        assertThat(printer().runWords()).containsText("exposure 1 of 5");
        page.keyboard().press("+");
        page.keyboard().press("+");
        assertThat(page.getByText("Clock 10 ×")).isVisible();
        for (int step = 1; step <= 5; step++) {
            assertThat(printer().runWords()).containsText("exposure " + step + " of 5");
            page.keyboard().press(" ");
            assertThat(printer().runWords()).not().containsText("exposure " + step + " of");
        }
        page.keyboard().press(" ");
        page.keyboard().press(" ");
        assertThat(page.getByText("The rehearsal is over")).isVisible();
        assertThat(page.locator("html")).hasAttribute("data-room", "white");
        page.keyboard().press(" ");
        assertThat(printer().button("Go dark")).isVisible();
        assertThat(page.locator(".hung:not(.next)")).hasCount(0);
    }

    /** Every frame from the first press to the closed drum is black, and there is one for each step. */
    private void exposesInTheDark() {
        Page page = page();
        page.waitForURL("**/runs/**");
        assertThat(printer().runWords()).containsText("exposure 1 of");
        // A screencast begins with the frame shown last, which may still be the light page's until one of the dark was
        // drawn.
        assertBlack(page.screenshot());
        int steps = 0;
        try (Screencast cast = new Screencast(page)) {
            while (!printer().button("Drum closed").isVisible()) {
                steps++;
                assertBlack(page.screenshot());
                page.keyboard().press(" ");
                assertThat(printer().runWords()).not().containsText("exposure " + steps + " of");
            }
            assertBlack(page.screenshot());
            page.keyboard().press("h");
            assertBlack(page.screenshot());
            List<byte[]> frames = cast.frames();
            frames.forEach(ColourIT::assertBlack);
            assertThat(frames.size()).as("frames of the dark").isGreaterThanOrEqualTo(steps);
        }
        page.keyboard().press(" ");
        assertThat(printer().button("Hang it")).isVisible();
        page.keyboard().press(" ");
    }

    /** Through the list before the dark, which is answered in white light. */
    private void goesDarkByKeys() {
        Page page = page();
        assertThat(printer().button("Before the dark")).isEnabled();
        page.keyboard().press("e");
        page.waitForURL("**/dark/**");
        assertThat(printer().button("Go dark")).isEnabled();
        assertThat(page.locator("html")).hasAttribute("data-room", "white");
        page.keyboard().press("e");
    }

    /** Other journeys keep prints, and the start follows what was kept. */
    private void setsPack(String pack) {
        printer().enters("Pack, C/M/Y", pack);
        assertThat(printer().field("Pack, C/M/Y")).hasValue(pack);
    }

    private static void assertBlack(byte[] picture) {
        assertThat(Pixels.firstAgainst(picture, Pixels::isBlack)).isEmpty();
    }

    private void tabsTo(String name) {
        for (int i = 0; i < MOST_TABS; i++) {
            String focused = (String) page().evaluate(PathByKeyboardIT.FOCUSED_NAME);
            if (focused.startsWith(name)) {
                return;
            }
            page().keyboard().press("Tab");
        }
        throw new AssertionError("Tab never reaches “" + name + "”");
    }
}
