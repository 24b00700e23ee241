package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.IntPredicate;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Both dark rooms pixel by pixel on desk, tablet and phone: every step of a run, its questions, its errors, and the way from one to the next. */
class EveryDarkScreenIT extends JourneyTest {
    /** Slow enough that a burst is seen lit. */
    private static final String SPEED = "6";

    private static PackagedApplication slow;

    private final List<String> wrong = new ArrayList<>();
    private Page page;
    private IntPredicate rule;

    @BeforeAll
    static void start() {
        slow = PackagedApplication.start(PackagedApplication.emptyFolder(), "--demo", "--clock-speed", SPEED);
    }

    @AfterAll
    static void stop() {
        slow.close();
    }

    @ParameterizedTest
    @CsvSource({
        "desk, 1280, 800, false, false",
        "tablet, 1024, 768, true, false",
        "phone, 390, 844, true, false",
        "desk, 1280, 800, false, true",
        "tablet, 1024, 768, true, true",
        "phone, 390, 844, true, true"
    })
    void staysDark(String name, int width, int height, boolean touch, boolean colour) {
        String run = begins(name, colour);
        BrowserContext device = browser()
                .newContext(new Browser.NewContextOptions()
                        .setBaseURL(slow.address())
                        .setViewportSize(width, height)
                        .setHasTouch(touch));
        device.setDefaultTimeout(10_000);
        page = device.newPage();
        rule = colour ? Pixels::isBlack : Pixels::isSafe;
        try (device) {
            page.navigate(run);
            assertThat(words()).containsText("exposure 1 of");
            try (Screencast cast = new Screencast(page)) {
                questions(colour);
                trouble();
                light(colour);
                wet(colour);
                cast.frames().forEach(frame -> check("on the way", frame));
            }
        }
        assertThat(wrong).as(name + (colour ? ", full dark" : ", safelight")).isEmpty();
    }

    /** The run is begun at the desk, and looked at on the device. */
    private String begins(String name, boolean colour) {
        try (BrowserContext desk = newContext(slow.address())) {
            Printer printer = new Printer(desk.newPage());
            printer.startsSlate(colour ? "5" : "2", "On the " + name, "");
            printer.goesTo("Test");
            if (colour) {
                printer.goesDark();
            } else {
                printer.presses("Expose strip");
            }
            printer.page().waitForURL("**/runs/**");
            return printer.page().url();
        }
    }

    private void questions(boolean colour) {
        look("opened");
        // The first key of a page only opens its sound and says where the run stands.
        keys().press("r");
        look("said again");
        keys().press("s");
        look("a slip is noted");
        keys().press("k");
        assertThat(words()).containsText("The box of paper lies open");
        look("the box lies open");
        keys().press("k");
        assertThat(words()).not().containsText("lies open");
        keys().press("b");
        asks("Leave the darkroom?");
        if (colour) {
            // With the paper closed away white light is safe, and comes on: that is no dark room.
            keys().press("u");
        } else {
            keys().press("b");
            assertThat(words()).containsText("put away");
            look("left");
            keys().press(" ");
        }
        assertThat(words()).containsText("exposure 1 of");
        look("back again");
        keys().press("Backspace");
        asks("Give this sheet up?");
        keys().press("u");
        assertThat(page.getByText("Give this sheet up?")).isHidden();
        look("not given up");
        keys().press("u");
        look("taken back");
        if (!colour) {
            // That one was back: once more.
            keys().press(" ");
        }
        assertThat(words()).containsText("exposure 1 of");
        keys().press("l");
        look("after a glance was asked for");
    }

    private void asks(String question) {
        Locator asked = page.locator("[role=alertdialog][aria-label='" + question + "']");
        assertThat(asked).isVisible();
        // All of it is on the screen, however small.
        asked.locator("button")
                .last()
                .evaluate(
                        "b => { if (b.getBoundingClientRect().bottom > innerHeight) throw new Error('below the screen'); }");
        look(question);
    }

    /** The server refuses, and is gone. */
    private void trouble() {
        page.route(
                "**/lamp",
                route -> route.fulfill(new Route.FulfillOptions()
                        .setStatus(409)
                        .setHeaders(
                                Map.of("Access-Control-Allow-Origin", "*", "Content-Type", "application/problem+json"))
                        .setBody("{\"title\":\"No\",\"detail\":\"The lamp does not answer.\",\"code\":\"x\"}")));
        keys().press(" ");
        assertThat(page.getByText("The lamp does not answer").first()).isVisible();
        look("refused");
        page.unroute("**/lamp");
        page.route("**/lamp", Route::abort);
        keys().press(" ");
        look("no answer");
        page.unroute("**/lamp");
    }

    private void light(boolean colour) {
        for (int step = 1; step <= 5; step++) {
            assertThat(words()).containsText("exposure " + step + " of");
            look("before exposure " + step);
            assertThat(printer("Give the light")).isVisible();
            keys().press(" ");
            look("exposure " + step);
            assertThat(words()).not().containsText("exposure " + step + " of");
        }
        assertThat(printer(colour ? "Drum closed" : "In the developer")).isVisible();
        look("all light given");
    }

    private void wet(boolean colour) {
        if (colour) {
            keys().press("h");
            look("hanging was asked for too early");
            return;
        }
        keys().press("h");
        asks("White light all the same?");
        keys().press("u");
        for (String bath : List.of("In the stop", "In the fixer", "Hang it")) {
            keys().press(" ");
            assertThat(printer(bath)).isVisible();
            look("before: " + bath);
        }
        keys().press("b");
        asks("Leave the darkroom?");
        keys().press("b");
        look("left while paper lies in a bath");
        keys().press(" ");
        look("back at the bath");
    }

    private Keyboard keys() {
        return page.keyboard();
    }

    private Locator printer(String words) {
        return new Printer(page).button(words);
    }

    private Locator words() {
        return page.locator(".run-words");
    }

    private void look(String at) {
        check(at, page.screenshot());
    }

    private void check(String at, byte[] picture) {
        String found = Pixels.firstAgainst(picture, rule);
        if (!found.isEmpty()) {
            wrong.add(at + ": " + found);
        }
    }
}
