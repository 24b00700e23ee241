package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.RequestOptions;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import keyslate.core.colour.Hue;
import keyslate.core.quantity.FilterShift;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Balancing colour: by viewing filters from a pack that is far off, with a taste that a sister takes over, by casts and lamps and a meter. */
class BalanceIT extends JourneyTest {
    /** Round the rose from its top, as the arrow keys walk. */
    private static final List<Hue> ROUND = List.of(Hue.G, Hue.C, Hue.B, Hue.M, Hue.R, Hue.Y);
    /** Strengths of a kit and between them, as + walks through them. */
    private static final List<Double> STEPS = List.of(2.5, 5.0, 7.5, 10.0, 15.0, 20.0);
    /** The cloth before the pot. */
    private static final double CLOTH_X = 0.5;

    private static final double CLOTH_Y = 0.72;

    private String slate;

    /** From the pack that stands to a print on the cord, by keys. */
    private void prints() {
        Page page = page();
        page.keyboard().press("6");
        page.waitForURL("**/print");
        printer().button("Before the dark").press("Enter");
        printer().button("Go dark").press("Enter");
        page.waitForURL("**/runs/**");
        assertThat(printer().runWords()).containsText("exposure 1 of 1");
        page.keyboard().press(" ");
        assertThat(printer().button("Drum closed")).isVisible();
        page.keyboard().press(" ");
        assertThat(printer().button("Hang it")).isVisible();
        page.keyboard().press(" ");
        page.waitForURL("**/judge?**");
        assertThat(printer().button("Accept")).isVisible();
        page.keyboard().press("4");
        assertThat(page.locator(".rose")).isVisible();
    }

    private JsonNode slateNow() {
        String id = slate.replaceFirst(".*/", "");
        return JsonMapper.shared()
                .readTree(page().request().get("/api/slates/" + id).text());
    }

    /** The cast of the cloth on the last print in points of the pack that it lacks, as the practice phone's picture has it. */
    private FilterShift castOfTheCloth() {
        printer().button("Take one with the practice phone").press("Enter");
        printer().button("Hang this picture").press("Enter");
        assertThat(page().getByRole(AriaRole.DIALOG)).not().isVisible();
        JsonNode sheets = slateNow().get("sheets");
        String sheet = sheets.get(sheets.size() - 1).get("id").asString();
        Map<String, ?> asked =
                Map.of("way", "PICTURE", "looks", List.of(Map.of("spot", Map.of("x", CLOTH_X, "y", CLOTH_Y))));
        String answer = page().request()
                .post(
                        "/api/sheets/" + sheet + "/casts/proposal",
                        RequestOptions.create().setData(asked))
                .text();
        assertThat(answer).contains("\"colour\"");
        JsonNode looks = JsonMapper.shared().readTree(answer).get("colour").get("looks");
        JsonNode last = looks.get(looks.size() - 1);
        return FilterShift.of(
                0,
                last.get("magentaPoints").asDouble(),
                last.get("yellowPoints").asDouble());
    }

    private static double far(FilterShift cast) {
        return Math.hypot(cast.inMagenta(), cast.inYellow());
    }

    /** Holds up the filter of a kit that clears most of a cast; a filter of 10 clears what 5 in the pack would. */
    private void looksThroughTheFilterFor(FilterShift cast) {
        int hue = 0;
        int step = 0;
        double least = Double.MAX_VALUE;
        for (int h = 0; h < ROUND.size(); h++) {
            for (int s = 0; s < STEPS.size(); s++) {
                FilterShift cleared = ROUND.get(h).complement().byMagentaAndYellow(STEPS.get(s) / 2);
                double left = far(cast.minus(cleared));
                if (left < least) {
                    least = left;
                    hue = h;
                    step = s;
                }
            }
        }
        Keyboard keys = page().keyboard();
        keys.press("v");
        for (int i = 0; i <= hue; i++) {
            keys.press("ArrowRight");
        }
        for (int i = 0; i <= step; i++) {
            keys.press("+");
        }
    }

    private void takes() {
        // Not the station of that name.
        assertThat(printer().button("Set 0/")).isVisible();
        page().waitForResponse(
                        answer -> answer.url().endsWith("/casts"),
                        () -> page().keyboard().press("Enter"));
        assertThat(page().getByText("On record:")).isVisible();
    }

    /** A pack some twenty points off comes right in three prints, and no mouse is touched. */
    @Test
    void anUnknownBalanceIsFoundByViewingFiltersAndKeysAlone() {
        slate = printer().startsSlate("5", "Unknown balance", "");
        printer().enters("Pack, C/M/Y", "0/35/65");
        assertThat(page().getByText("to 0/35/65")).isVisible();
        // Out of the field, where a number is a number.
        printer().button("Undo").focus();
        prints();
        FilterShift first = castOfTheCloth();
        assertThat(far(first)).isGreaterThan(10);
        looksThroughTheFilterFor(first);
        takes();
        for (int i = 0; i < 2; i++) {
            prints();
            FilterShift left = castOfTheCloth();
            if (far(left) > 2) {
                looksThroughTheFilterFor(left);
                takes();
            }
        }
        prints();
        assertThat(far(castOfTheCloth())).isLessThan(4);
        assertThat(page().locator(".rose .region")).isVisible();
    }

    /** A print that is meant redder than neutral, and the next frame of the roll that is to be like it. */
    @Test
    void aTasteIsCarriedToASisterFrame() {
        slate = printer().startsSlate("5", "Meant warm", "warm as the kiln");
        prints();
        printer().presses("Change: what the print is meant to be");
        page().getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("What the print is meant to be"))
                .getByText("redder")
                .click();
        assertThat(page().getByText("4 redder than neutral")).isVisible();
        printer().presses("Done: what the print is meant to be");
        page().getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("green").setExact(true))
                .click();
        page().keyboard().press("+");
        assertThat(printer().verdict()).containsText("It is meant 4 redder than neutral.");
        assertThat(page().locator(".rose .meant")).isVisible();
        assertThat(page().locator(".lying.next")).isVisible();
        page().waitForResponse(
                        answer -> answer.url().endsWith("/casts"),
                        () -> printer().presses("Set "));
        slate = printer().startsSlate("7", "Its sister", "");
        prints();
        assertThat(page().getByText(Pattern.compile("“Meant warm” on this roll is meant 4 redder\\.")))
                .isVisible();
        printer().button("Mean the same").press("Enter");
        assertThat(page().getByText("4 redder than neutral")).isVisible();
        page().reload();
        assertThat(page().getByText("4 redder than neutral")).isVisible();
        page().keyboard().press("u");
        assertThat(page().getByText("4 redder than neutral")).not().isVisible();
    }

    /** Named by the picture with each cast; then a meter, the print's state and light, two lamps, and colours that look alike. */
    @Test
    void aCastIsNamedByThePictureItselfAndAMeterCounts() {
        slate = printer().startsSlate("11", "Named", "");
        prints();
        Keyboard keys = page().keyboard();
        page().waitForResponse(answer -> answer.url().contains("/casts-of-it") && answer.ok(), () -> keys.press("a"));
        Locator clear = page().locator(".cast-ring")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("clear too red"));
        clear.press("Enter");
        assertThat(clear).hasAttribute("aria-pressed", "true");
        assertThat(printer().verdict()).containsText("more cyan");
        page().getByText("Looked at dry").click();
        printer().chooses("Wet: reckoned as it will dry");
        printer().field("Under which light").fill("the tube");
        page().getByText("What this rests on").click();
        assertThat(page().getByText(Pattern.compile("wet, under the tube"))).isVisible();
        printer().presses("Two lamps");
        assertThat(page().locator(".two-lamps img")).hasCount(2);
        assertThat(page().getByText("once the eye is used to it")).isVisible();
        keys.press("Escape");
        page().locator("h1").first().focus();
        keys.press("t");
        printer().field("Cyan/magenta/yellow, through the diffuser").fill("0/x");
        assertThat(page().getByRole(AriaRole.ALERT).first()).isVisible();
        printer().field("Cyan/magenta/yellow, through the diffuser").fill("0/58/49");
        printer().presses("night");
        page().getByText("What this rests on").click();
        assertThat(page().getByText("the meter asks for 0/58/49", new Page.GetByTextOptions().setExact(false)))
                .isVisible();
        page().getByText("Some colours look alike to me").click();
        assertThat(page().locator("html[data-vision=patterns]")).isAttached();
        page().reload();
        assertThat(page().locator("html[data-vision=patterns]")).isAttached();
        assertThat(printer().verdict()).containsText("Say which spot is to be neutral.");
    }
}
