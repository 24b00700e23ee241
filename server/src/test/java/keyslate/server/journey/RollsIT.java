package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.util.regex.Pattern;
import keyslate.server.picture.SleeveFile;
import keyslate.server.picture.TiffFile;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** From the sleeve to a frame that is to be printed: a roll entered and cut, its frames looked through, found again later. */
class RollsIT extends JourneyTest {
    /** Other journeys look for the demo's rolls on the first page. */
    @AfterEach
    void deletesItsRoll() {
        page().evaluate("""
                async () => {
                  const { rolls } = await (await fetch("/api/rolls")).json();
                  for (const roll of rolls.filter(r => /^Roll 4\\d$/.test(r.title))) {
                    const slates = roll.frames.flatMap(f => f.printedBefore.map(b => b.slateId));
                    for (const id of slates) await fetch(`/api/slates/${id}`, { method: "DELETE" });
                    await fetch(`/api/rolls/${roll.id}`, { method: "DELETE" });
                  }
                }""");
    }

    private Locator roll(String title) {
        return page().getByRole(
                        AriaRole.REGION,
                        new Page.GetByRoleOptions().setName(title).setExact(true));
    }

    private Locator frame(Locator in, String name) {
        return in.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Frame " + name)));
    }

    private void entersARoll(String title, String frames) {
        printer().opens("/rolls");
        page().getByText("Add a roll").click();
        printer().field("Name of the roll").fill(title);
        printer().field("Frames").fill(frames);
        printer().field("In a strip").fill("5");
        printer().presses("Add roll");
        assertThat(roll(title)).isVisible();
    }

    @Test
    void aRollIsEnteredAndCutIntoStrips() {
        entersARoll("Roll 41", "12");
        Locator strips = roll("Roll 41").getByRole(AriaRole.LIST);
        assertThat(strips).hasCount(3);
        assertThat(strips.nth(2).getByRole(AriaRole.LISTITEM)).hasCount(2);
        roll("Roll 41").getByText("About this roll").click();
        roll("Roll 41").getByLabel("Frames in a strip").fill("none");
        roll("Roll 41").getByText("Keep it").click();
        assertThat(roll("Roll 41").getByRole(AriaRole.ALERT)).isVisible();
        roll("Roll 41").getByLabel("Frames in a strip").fill("4");
        roll("Roll 41").getByLabel("Where the sleeve lies").fill("Folder 3");
        roll("Roll 41").getByText("Keep it").click();
        assertThat(roll("Roll 41").getByText("Kept.")).isVisible();
        assertThat(strips.nth(2).getByRole(AriaRole.LISTITEM)).hasCount(4);
        page().reload();
        roll("Roll 41").getByText("About this roll").click();
        assertThat(roll("Roll 41").getByLabel("Where the sleeve lies")).hasValue("Folder 3");
    }

    @Test
    void aFrameIsChosenAndFoundAgainByKeysAlone() {
        entersARoll("Roll 42", "10");
        frame(roll("Roll 42"), "1$").focus();
        page().keyboard().press("ArrowRight");
        page().keyboard().press("ArrowDown");
        assertThat(frame(roll("Roll 42"), "7$")).isFocused();
        page().keyboard().press("Enter");
        assertThat(page().getByRole(
                                AriaRole.HEADING,
                                new Page.GetByRoleOptions().setName("Frame 7").setExact(true)))
                .isVisible();
        page().keyboard().press("p");
        assertThat(printer().button("Print it")).hasAttribute("aria-pressed", "true");
        assertThat(frame(roll("Roll 42"), "7 print$")).isVisible();
        page().keyboard().press("Enter");
        page().keyboard().press("Tab");
        assertThat(printer().button("Print it")).isFocused();
        printer().field("Intent, in a line").fill("Smoke must stand out");
        page().keyboard().press("Tab");
        page().keyboard().press("/");
        page().keyboard().type("smoke stand");
        Locator found = roll("Frames found");
        assertThat(found.getByRole(AriaRole.BUTTON)).hasCount(1);
        assertThat(found).containsText("Roll 42");
        page().keyboard().press("Escape");
        assertThat(roll("Roll 42")).isVisible();
    }

    /** A tall black wedge on clear film, 16 bit. */
    private static byte[] negative(int dark) {
        int wide = 90;
        int high = 60;
        byte[] pixels = new byte[2 * wide * high];
        for (int i = 0; i < wide * high; i++) {
            boolean edge = i % wide < 5 || i % wide >= wide - 5 || i / wide < 5 || i / wide >= high - 5;
            pixels[2 * i + 1] = (byte) (edge ? 250 : i % wide < 45 ? dark : 180);
        }
        return new TiffFile(wide, high, 1, 16, 1, pixels).bytes();
    }

    @Test
    void scansOfNegativesAreTakenInAndASlateIsMade() {
        entersARoll("Roll 44", "0");
        page().getByText("Add frames").click();
        page().getByLabel(Pattern.compile("^Scans, JPEG")).setInputFiles(new FilePayload[] {
            new FilePayload("one.tif", "image/tiff", negative(60)),
            new FilePayload("broken.tif", "image/tiff", new byte[] {'I', 'I', 42, 0, 1, 2}),
            new FilePayload("two.tif", "image/tiff", negative(90))
        });
        printer().presses("Take in 3 scans");
        assertThat(page().getByRole(AriaRole.STATUS)).containsText("3 of 3 taken in");
        assertThat(page().getByRole(AriaRole.ALERT))
                .containsText("broken.tif: This is not a JPEG, PNG or TIFF picture");
        assertThat(roll("Roll 44").getByRole(AriaRole.IMG).or(roll("Roll 44").locator("img")))
                .hasCount(2);
        frame(roll("Roll 44"), "2$").click();
        assertThat(page().getByText("Taken for a negative and turned.")).isVisible();
        printer().chooses("shows the positive");
        assertThat(page().getByText("Taken for a negative and turned.")).isHidden();
        printer().chooses("shows the negative");
        assertThat(page().getByText("Taken for a negative and turned.")).isVisible();
        printer().presses("Start slate");
        page().waitForURL("**/setup");
        assertThat(page().getByAltText(Pattern.compile("as it falls on the sheet")))
                .isVisible();
    }

    @Test
    void aScannedProofSheetIsCutIntoItsFrames() {
        entersARoll("Roll 45", "5");
        roll("Roll 45").getByText("About this roll").click();
        roll("Roll 45").getByLabel("Frames in a strip").fill("3");
        roll("Roll 45").getByText("Keep it").click();
        assertThat(roll("Roll 45").getByRole(AriaRole.LIST)).hasCount(2);
        roll("Roll 45")
                .getByLabel("Cut a scan of the sheet")
                .setInputFiles(new FilePayload("sheet.png", "image/png", SleeveFile.png(5)));
        Locator sheet = page().getByRole(AriaRole.DIALOG);
        assertThat(sheet.locator(".grid-frame")).hasCount(5);
        Locator corner =
                sheet.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Corner 1")));
        corner.focus();
        page().keyboard().press("Shift+ArrowRight");
        page().keyboard().press("Shift+ArrowDown");
        sheet.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Cut 5 frames"))
                .click();
        assertThat(sheet.getByRole(AriaRole.STATUS)).containsText("5 of 5 cut");
        sheet.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Done"))
                .click();
        frame(roll("Roll 45"), "5").scrollIntoViewIfNeeded();
        assertThat(roll("Roll 45").locator("img")).hasCount(5);
    }

    @Test
    void aPhotographOfTheProjectionServesAsTheFramesPicture() {
        entersARoll("Roll 46", "1");
        frame(roll("Roll 46"), "1$").click();
        page().getByText("A photograph of it").waitFor();
        page().locator("input[accept='image/jpeg,image/png']")
                .setInputFiles(new FilePayload("photo.png", "image/png", SleeveFile.png(1)));
        Locator photo = page().getByRole(AriaRole.DIALOG);
        photo.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Corner 3")))
                .focus();
        page().keyboard().press("Shift+ArrowLeft");
        photo.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Take this picture"))
                .click();
        assertThat(roll("Roll 46").locator("img")).hasCount(1);
    }

    @Test
    void whatIsKnownOfANegativeSaysWhereItBegins() {
        entersARoll("Roll 43", "1");
        frame(roll("Roll 43"), "1$").click();
        page().getByText("More: subject").click();
        printer().field("Persons on it").fill("Ada");
        printer().field("Shadow density").fill("1,3");
        printer().field("Highlight density").fill("0.4");
        page().getByText("Keep it").click();
        assertThat(page().getByRole(AriaRole.ALERT)).containsText("must read more than the shadow");
        printer().field("Shadow density").fill("0.38");
        printer().field("Highlight density").fill("1,3");
        page().getByText("Keep it").click();
        assertThat(page().getByText("By its readings it begins at grade 3.")).isVisible();
        assertThat(page().getByText("A person on it has not agreed to be shown."))
                .isVisible();
        printer().presses("Start slate");
        page().waitForURL("**/setup");
        page().navigate(page().url().replace("/setup", "/keep"));
        assertThat(page().getByText("A person on it has not agreed to be shown."))
                .isVisible();
    }
}
