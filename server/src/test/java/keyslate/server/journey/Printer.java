package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A person at the page: finds things by role and label, never by markup. */
final class Printer {
    private static final Pattern EXPOSURE = Pattern.compile("exposure \\d+ of \\d+");
    private final Page page;

    Printer(Page page) {
        this.page = page;
    }

    Page page() {
        return page;
    }

    Printer opens(String path) {
        page.navigate(path);
        return this;
    }

    /** Starts a slate for a frame of the oldest roll that has one of this number, and ends up at Set up. */
    String startsSlate(String frame, String title, String intent) {
        opens("/rolls");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Frame " + frame + " ")))
                .last()
                .click();
        field("Title of the slate").fill(title);
        field("Intent, in a line").fill(intent);
        presses("Start slate");
        page.waitForURL("**/setup");
        assertThat(field("White border")).isVisible();
        return page.url().replaceFirst("/setup$", "");
    }

    /** Presses a button or a link whose words begin so; the key shown beside it is part of its words. */
    void presses(String words) {
        button(words).click();
    }

    /** Takes one of several ways that stand side by side. */
    void chooses(String way) {
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(way)).click();
    }

    Locator button(String words) {
        Pattern begins = Pattern.compile("^" + literally(words));
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(begins))
                .or(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(begins)))
                .first();
    }

    /** The words as a pattern of the browser, which does not know Java's quoting. */
    static String literally(String words) {
        return words.replaceAll("[.*+?^${}()|\\[\\]\\\\/]", "\\\\$0");
    }

    Locator field(String label) {
        return page.getByRole(
                AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(label).setExact(true));
    }

    void enters(String label, String text) {
        Locator field = field(label);
        field.fill(text);
        field.press("Enter");
    }

    void goesTo(String station) {
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Stations"))
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(Pattern.compile("^" + station)))
                .click();
        page.waitForURL(Pattern.compile("/" + station.toLowerCase().replace(" ", "") + "(\\?.*)?$"));
    }

    Locator verdict() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Verdict"))
                .last();
    }

    /** Gives every exposure by the button of the run and hangs the sheet. */
    void givesAllLightAndHangs() {
        givesLight(() -> light().click(), Integer.MAX_VALUE);
        hangs();
    }

    /** Gives every exposure, takes the sheet through the trays as long as the fixer wants, and hangs it: it is no doubtful one. */
    void givesAllLightAndFixes() {
        givesLight(() -> light().click(), Integer.MAX_VALUE);
        for (String bath : List.of("In the developer", "In the stop", "In the fixer")) {
            presses(bath);
        }
        assertThat(runWords()).containsText("White light is safe.");
        hang().click();
        page.waitForURL("**/slates/**");
    }

    /** White light in this room; where paper of another journey still lies under the lamp, all the same. */
    void putsOnWhiteLight() {
        presses("White");
        takesWhiteLight();
    }

    /** White light was asked for: it comes on, all the same where paper of another journey is out. */
    void takesWhiteLight() {
        Locator allTheSame = button("White light all the same");
        page.waitForCondition(
                () -> "white".equals(page.evaluate("() => document.documentElement.dataset.room ?? 'white'"))
                        || allTheSame.isVisible());
        if (allTheSame.isVisible()) {
            allTheSame.click();
        }
    }

    /** Hangs the sheet; before it was in the fixer long enough this is white light against advice, and asked once. */
    void hangs() {
        hang().click();
        Locator allTheSame = button("Hang it all the same");
        page.waitForCondition(() -> page.url().contains("/slates/") || allTheSame.isVisible());
        if (allTheSame.isVisible()) {
            allTheSame.click();
        }
        page.waitForURL("**/slates/**");
    }

    /** Gives exposures one after another, at most so many; returns when the lamp is off after the last. */
    void givesLight(Runnable give, int atMost) {
        page.waitForURL("**/runs/**");
        assertThat(light().or(hang())).isVisible();
        for (int given = 0; given < atMost && !hang().isVisible(); given++) {
            Matcher place = EXPOSURE.matcher(runWords().innerText());
            if (!place.find()) {
                throw new AssertionError(
                        "No exposure is named in: " + runWords().innerText());
            }
            give.run();
            assertThat(runWords()).not().containsText(place.group());
            assertThat(light().or(hang())).isVisible();
        }
    }

    private Locator light() {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Give the light")));
    }

    private Locator hang() {
        return button("Hang it, white");
    }

    Locator runWords() {
        return page.locator(".run-words");
    }

    /** Taps a place on a picture, given as shares of its width and height. */
    void taps(Locator picture, double x, double y) {
        BoundingBox box = picture.boundingBox();
        page.mouse().click(box.x + x * box.width, box.y + y * box.height);
    }

    /** Drags over a picture from one place to another by way of others, all as shares of width and height. */
    void drags(Locator picture, double[]... places) {
        BoundingBox box = picture.boundingBox();
        page.mouse().move(box.x + places[0][0] * box.width, box.y + places[0][1] * box.height);
        page.mouse().down();
        for (double[] to : places) {
            page.mouse()
                    .move(
                            box.x + to[0] * box.width,
                            box.y + to[1] * box.height,
                            new com.microsoft.playwright.Mouse.MoveOptions().setSteps(5));
        }
        page.mouse().up();
    }

    /** Colour paper: the list before the dark, then black. */
    void goesDark() {
        presses("Before the dark");
        presses("Go dark");
    }
}
