package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** From the proof to the print: a roll on one sheet, what a frame needs beside another, and negatives that lie on the paper. */
class ProofIT extends JourneyTest {
    /** Other journeys look for the demo's rolls on the first page. */
    @AfterEach
    void deletesItsRolls() {
        page().evaluate("""
                async () => {
                  const { rolls } = await (await fetch("/api/rolls")).json();
                  for (const roll of rolls.filter(r => /^Roll 5\\d$/.test(r.title))) {
                    await fetch(`/api/rolls/${roll.id}`, { method: "DELETE" });
                  }
                }""");
    }

    /** A roll with pictures of the demo's frames; their subjects as they are there, or none without pictures. */
    private void entersARoll(String title, boolean scanned) {
        printer().opens("/rolls");
        page().evaluate("""
                async ([title, scanned]) => {
                  const json = { "Content-Type": "application/json" };
                  const body = { title, film: "Medium film", longMm: 36, shortMm: 24, stripFrames: 6, frames: scanned ? 0 : 3 };
                  const roll = await (await fetch("/api/rolls", { method: "POST", headers: json, body: JSON.stringify(body) })).json();
                  if (!scanned) return;
                  const found = await (await fetch("/api/search?words=shelf")).json();
                  const wheel = await (await fetch("/api/search?words=wheel")).json();
                  const from = [found.frames[0].id, wheel.frames[0].id];
                  for (const [at, id] of from.entries()) {
                    const picture = await (await fetch(`/api/frames/${id}/positive?side=480`)).blob();
                    const form = new FormData();
                    form.append("number", String(at + 1));
                    form.append("file", picture, "scan.jpg");
                    await fetch(`/api/rolls/${roll.id}/frames`, { method: "POST", body: form });
                  }
                }""", List.of(title, scanned));
        page().reload();
        assertThat(roll(title)).isVisible();
    }

    private Locator roll(String title) {
        return page().getByRole(
                        AriaRole.REGION,
                        new Page.GetByRoleOptions().setName(title).setExact(true));
    }

    private Locator frame(String roll, String name) {
        return roll(roll)
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Frame " + name)));
    }

    private void startsAProof(String roll) {
        roll(roll)
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Proof in contact"))
                .click();
        page().waitForURL("**/setup");
        printer().enters("Lens above paper", "61");
        printer().enters("Column shows", "34.5");
    }

    /** Prints a frame and accepts it. */
    private void acceptsAPrintOf(String roll, String name) {
        frame(roll, name).click();
        printer().presses("Start slate");
        page().waitForURL("**/setup");
        printer().goesTo("Print");
        printer().presses("Expose print");
        printer().givesAllLightAndHangs();
        printer().presses("Accept");
        page().waitForURL("**/keep");
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void aProofIsReadAndWhatAFrameNeedsBecomesItsFirstStrip(boolean scanned) {
        entersARoll("Roll 51", scanned);
        acceptsAPrintOf("Roll 51", "1");
        printer().opens("/rolls");
        startsAProof("Roll 51");
        printer().goesTo("Test");
        printer().enters("Centre", "12");
        printer().presses("Expose strip");
        page().waitForURL("**/runs/**");
        assertThat(printer().runWords()).containsText("Paper emulsion up, film emulsion down on it, glass on top");
        printer().givesAllLightAndHangs();
        if (scanned) {
            printer().taps(page().getByTestId("strip-taps"), 0.7, 0.5);
        } else {
            page().getByRole(AriaRole.SLIDER).first().focus();
            page().keyboard().press("ArrowRight");
        }
        assertThat(printer().verdict()).containsText("Standard proof");
        printer().presses("Set grade");
        assertThat(printer().verdict()).containsText("This reading is on record");
        printer().goesTo("Print");
        printer().presses("Expose print");
        printer().givesAllLightAndHangs();
        printer().presses("Accept proof 1");
        page().waitForURL("**/keep");
        assertThat(page().getByText("61.0 cm, column 34.5").first()).isVisible();

        printer().opens("/rolls");
        assertThat(roll("Roll 51").getByText("Proof:")).isVisible();
        frame("Roll 51", "2").click();
        page().getByText("What it needs beside another frame").click();
        printer().enters("It needs, stops of light", "+1/2");
        assertThat(frame("Roll 51", "2").getByText("+½")).isVisible();
        printer().presses("From the proof's scan");
        assertThat(scanned ? page().getByRole(AriaRole.STATUS) : page().getByRole(AriaRole.ALERT))
                .containsText(scanned ? "beside frame 1" : "No proof of this roll has a scan");
        printer().presses("Start slate");
        page().waitForURL("**/setup");
        assertThat(printer().verdict()).containsText("The proof says what it needs");
        printer().presses("Three patches");
        page().waitForURL("**/test");
        assertThat(printer().field("Patches")).hasValue("3");
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void aBurnDrawnOnAProofFrameIsFoundAtShape(boolean scanned) {
        entersARoll("Roll 52", scanned);
        frame("Roll 52", "2").click();
        printer().presses("Draw on it");
        page().waitForURL("**/shape");
        if (scanned) {
            printer().presses("As print");
            printer().presses("As positive");
            assertThat(printer().button("As negative")).hasAttribute("aria-pressed", "true");
            assertThat(page().getByAltText(Pattern.compile("negative"))).isVisible();
        }
        printer().presses("Ellipse");
        printer().drags(page().getByTestId("area-canvas"), new double[] {0.1, 0.1}, new double[] {0.4, 0.5});
        printer().enters("Change", "+1/2");
        printer().goesTo("Test");
        page().reload();
        printer().goesTo("Shape");
        assertThat(printer().button("Area 1")).isVisible();
    }

    @Test
    void aProofIsMadeByKeysAloneWithoutAPicture() {
        entersARoll("Roll 53", false);
        roll("Roll 53")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Proof in contact"))
                .focus();
        page().keyboard().press("Enter");
        page().waitForURL("**/setup");
        assertThat(printer().field("Lens above paper")).isVisible();
        page().keyboard().press("3");
        page().waitForURL("**/test");
        assertThat(printer().button("Expose strip")).isVisible();
        page().keyboard().press("e");
        page().waitForURL("**/runs/**");
        printer().givesLight(() -> page().keyboard().press(" "), Integer.MAX_VALUE);
        page().keyboard().press("h");
        assertThat(printer().button("Hang it all the same")).isVisible();
        page().keyboard().press("h");
        page().waitForURL("**/test**");
        assertThat(printer().verdict()).containsText("film edge is full black");
        Locator mark = page().getByRole(AriaRole.SLIDER).first();
        mark.focus();
        page().keyboard().press("ArrowRight");
        assertThat(printer().verdict()).containsText("Standard proof");
    }

    @Test
    void aSheetFilmNegativeIsPrintedInContact() {
        printer().startsSlate("2", "Contact of the board", "");
        printer().chooses("Contact");
        assertThat(printer().field("Lens above paper")).hasValue("60.0");
        printer().enters("Lens above paper", "none");
        assertThat(page().getByText("“none” is not a number")).isVisible();
        printer().enters("Lens above paper", "20000");
        assertThat(page().getByRole(AriaRole.ALERT)).containsText("3000");
        page().keyboard().press("Escape");
        printer().goesTo("Print");
        assertThat(page().getByText("The stack: paper emulsion up, film emulsion down, glass on top"))
                .isVisible();
        printer().presses("Expose print");
        printer().givesAllLightAndHangs();
        assertThat(printer().button("Accept work print 1")).isVisible();
    }
}
