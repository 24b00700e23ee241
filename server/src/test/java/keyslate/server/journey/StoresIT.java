package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** The shelves: a thing entered with a few words, measured with the simulated meter, retired. */
class StoresIT extends JourneyTest {
    /** Other journeys choose from what stands on the shelves. */
    @AfterEach
    void leavesTheShelvesAsTheyWere() {
        page().evaluate("""
                async () => {
                  const stores = await (await fetch("/api/stores")).json();
                  const all = [...stores.enlargers, ...stores.lenses, ...stores.papers, ...stores.things];
                  for (const c of all.flatMap(t => t.constants).filter(c => c.id)) {
                    await fetch(`/api/stores/constants/${c.id}`, { method: "DELETE" });
                  }
                  for (const t of all.filter(t => t.name.startsWith("Test "))) {
                    await fetch(`/api/stores/${t.id}/retired`,
                      { method: "POST", headers: { "Content-Type": "application/json" }, body: '{"retired": true}' });
                  }
                  await fetch("/api/stores/units",
                    { method: "PUT", headers: { "Content-Type": "application/json" }, body: '{"length": "cm"}' });
                }""");
    }

    private Locator panel() {
        return page().getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("The chosen thing"));
    }

    private Locator shelf(String name) {
        return page().getByRole(
                        AriaRole.REGION,
                        new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private Locator thing(String shelf, String name) {
        return shelf(shelf)
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^" + name)));
    }

    @Test
    void aLensIsEnteredFoundAtSetUpAndRetired() {
        printer().opens("/stores");
        printer().presses("Add a lens");
        printer().field("Focal length").fill("about a hundred");
        printer().presses("Put it on the shelf");
        assertThat(page().getByText("“about a hundred” is not a number.")).isVisible();
        printer().field("Focal length").fill("105");
        printer().field("Widest mark, f/").fill("5.6");
        printer().field("Smallest mark, f/").fill("4");
        printer().presses("Put it on the shelf");
        assertThat(page().getByText("The smallest opening has the larger number."))
                .isVisible();
        printer().field("Smallest mark, f/").fill("32");
        page().getByText("More", new Page.GetByTextOptions().setExact(true)).click();
        printer().field("Name").fill("Test lens 105");
        printer().presses("Put it on the shelf");
        assertThat(panel().getByRole(AriaRole.HEADING).first()).hasText("Test lens 105");
        assertThat(panel()).containsText("as engraved");
        printer().startsSlate("9", "With a new lens", "");
        page().getByLabel("Lens", new Page.GetByLabelOptions().setExact(true)).click();
        page().getByTitle("Test lens 105").click();
        assertThat(page().getByText("Lens, 105 mm")).isVisible();
        String slate = page().url();
        printer().opens("/stores");
        thing("Lenses", "Test lens 105").click();
        page().getByText("Change what is said of it").click();
        printer().presses("Retire it");
        printer().presses("Retire Test lens 105");
        assertThat(thing("Lenses", "Test lens 105")).hasCount(0);
        page().getByText("Retired (").click();
        assertThat(page().getByText("Test lens 105").first()).isVisible();
        printer().opens(slate);
        assertThat(page().getByText("Lens, 105 mm")).isVisible();
    }

    /** A step negative of 21 steps of 0.15 through grade 2 and 4, as a densitometer wrote them down. */
    @Test
    void filtersAreReadFromAStepNegativeAndUsedAtContrast() {
        printer().startsSlate("9", "Filters read", "");
        String slate = page().url();
        printer().opens("/stores");
        thing("Paper", "Pearl").click();
        panel().getByText("By a step negative").first().click();
        assertThat(page().getByRole(AriaRole.HEADING).first()).hasText("Filters by a step negative");
        Locator lines = page().getByLabel("Prints of the step negative");
        lines.fill("grade 2; 40");
        assertThat(page().getByText("line 1 needs a light, seconds and densities")
                        .first())
                .isVisible();
        lines.fill(print(GradeFilter.G2, 40, 0) + "\n" + print(GradeFilter.G4, 60, 0.12));
        assertThat(printer().verdict()).containsText("2 lights on this paper");
        printer().presses("Keep it");
        assertThat(panel()).containsText("grade 2 R 1");
        assertThat(panel()).containsText("grade 4 +");
        printer().opens(slate);
        printer().goesTo("Contrast");
        assertThat(printer().verdict()).containsText("Move a thread's end");
        page().keyboard().press("h");
        page().keyboard().press("h");
        page().keyboard().press("h");
        assertThat(printer().verdict()).containsText("Set grade 4");
        printer().verdict().getByText("What this rests on").click();
        assertThat(printer().verdict()).containsText("as sheets of this bench told");
        assertThat(printer().verdict()).containsText("Doubling for each grade from 3 on would take × 2.00");
    }

    /** A head's dials stand for grades by a table; its own step negative then says what they really print. */
    @Test
    void aHeadIsCalibratedByItsOwnStepNegative() {
        printer().opens("/stores");
        thing("Enlargers and heads", "Kiln colour").click();
        panel().getByText("Dials for each grade")
                .locator("..")
                .locator("..")
                .getByText("Measure it")
                .click();
        assertThat(page().getByRole(AriaRole.HEADING).first()).hasText("Grades by the dials");
        assertThat(printer().verdict()).containsText("by the dials of this head");
        printer().presses("Keep it");
        assertThat(panel()).containsText("one filter alone");
        thing("Paper", "Pearl").click();
        panel().getByText("Filters in Kiln colour")
                .locator("..")
                .locator("..")
                .getByText("By a step negative")
                .click();
        page().getByLabel("Prints of the step negative")
                .fill(print(GradeFilter.G2, 40, 0) + "\n" + print(GradeFilter.G3, 60, 0.1));
        assertThat(printer().verdict()).containsText("2 lights on this paper");
        printer().presses("Keep it");
        assertThat(panel()).containsText("grade 3 +");
        printer().startsSlate("9", "By dials", "");
        page().getByLabel("Enlarger", new Page.GetByLabelOptions().setExact(true))
                .click();
        page().getByTitle("Kiln colour").click();
        assertThat(page().getByLabel("Enlarger: the standing recipe")).containsText("Dichroic head");
        printer().goesTo("Contrast");
        assertThat(printer().verdict()).containsText("Move a thread's end");
        page().keyboard().press("h");
        assertThat(printer().verdict()).containsText("Set grade 3, magenta ");
        page().keyboard().press("e");
        assertThat(page().getByLabel("Enlarger: the standing recipe")).containsText("magenta ");
        // Beyond what the dials reach nothing is offered.
        page().keyboard().press("h");
        page().keyboard().press("h");
        page().keyboard().press("h");
        page().keyboard().press("h");
        assertThat(printer().verdict()).not().containsText("Set grade 5");
    }

    private static String print(GradeFilter filter, double seconds, double slower) {
        VariableContrastPaper paper = new VariableContrastPaper();
        VariableContrastPaper.FilterLight light = paper.lightThrough(filter);
        return filter.written() + "; " + seconds + "; "
                + IntStream.range(0, 21)
                        .mapToObj(i -> String.format(
                                Locale.ROOT,
                                "%.2f",
                                0.06
                                        + paper.netDensityAt(
                                                Math.log10(seconds) - i * 0.15 - slower + light.blueLog(),
                                                light.ratio())))
                        .collect(Collectors.joining("; "));
    }

    /** A new box is compared with another one by one grey; a print of that one made on this box takes its time along. */
    @Test
    void aNewBoxIsComparedWithTheOneBefore() {
        printer().opens("/stores");
        printer().presses("Add a box of paper");
        printer().field("Name").fill("Test Pearl, box 4");
        printer().field("Long side").fill("25.4");
        printer().field("Short side").fill("20.3");
        printer().presses("Put it on the shelf");
        assertThat(panel().getByRole(AriaRole.HEADING).first()).hasText("Test Pearl, box 4");
        printer().presses("Compare with another box");
        assertThat(page().getByRole(AriaRole.HEADING).first()).hasText("This box beside another");
        page().getByLabel("Grey 1, This box, s").fill("much");
        assertThat(page().getByText("“much” is not a number.").first()).isVisible();
        page().getByLabel("Grey 1, This box, s").fill("12.6");
        assertThat(printer().verdict()).containsText("+0.33 stop");
        page().keyboard().press("Tab");
        printer().presses("Keep it");
        assertThat(panel()).containsText("Needs more light than the other box");
        panel().getByText("Take back").click();
        assertThat(panel()).not().containsText("Needs more light than the other box");
    }

    @Test
    void theLagIsMeasuredAndAnEarlierSheetStays() {
        printer().startsSlate("9", "Before the lag was known", "");
        printer().goesTo("Print");
        printer().presses("Expose print");
        printer().givesAllLightAndHangs();
        printer().opens("/stores");
        thing("Enlargers and heads", "Yard enlarger").click();
        assertThat(panel()).containsText("Lamp lag");
        panel().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Measure it"))
                .first()
                .click();
        page().waitForURL("**/measure/LAG");
        for (int reading = 6; reading > 0; reading--) {
            assertThat(printer().verdict()).containsText(reading + " readings to go");
            printer().presses("Read the simulated meter");
        }
        assertThat(printer().verdict()).containsText("The lamp is dead for 0.1");
        printer().presses("Keep it");
        page().waitForURL("**/stores?thing=**");
        assertThat(panel()).containsText("bursts repeat within");
        assertThat(panel().getByText("measured").first()).isVisible();
        assertThat(thing("Enlargers and heads", "Yard enlarger")).containsText("measured");
        printer().presses("Take back");
        assertThat(thing("Enlargers and heads", "Yard enlarger")).containsText("default");
    }

    @Test
    void everyMeterTestIsGuidedAndCanBeLeft() {
        printer().opens("/stores");
        thing("Lenses", "80 mm lens").click();
        panel().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Measure it"))
                .nth(1)
                .click();
        page().waitForURL("**/measure/PUPIL");
        for (int reading = 5; reading > 0; reading--) {
            assertThat(printer().verdict()).containsText(reading + " readings to go");
            printer().presses("Read the simulated meter");
        }
        assertThat(printer().verdict()).containsText("Light follows 1 +");
        printer().field("Height 2, Shows, lx").fill("many");
        assertThat(page().getByText("“many” is not a number.")).isVisible();
        printer().presses("Not now");
        page().waitForURL("**/stores?thing=**");
        thing("Enlargers and heads", "Yard enlarger").click();
        panel().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Measure it"))
                .last()
                .click();
        page().waitForURL("**/measure/COLUMN?**");
        for (int reading = 4; reading > 0; reading--) {
            assertThat(printer().verdict()).containsText(reading + " readings to go");
            printer().presses("Read the simulated meter");
        }
        assertThat(printer().verdict()).containsText("8 × stands at");
    }

    /** True openings count for what comes; a sheet that was exposed before keeps its numbers. */
    @Test
    void openingsAndColumnAreMeasuredAndAnEarlierSheetStays() {
        String slate = printer().startsSlate("9", "Before the openings were known", "");
        printer().goesTo("Print");
        printer().presses("Expose print");
        printer().givesAllLightAndHangs();
        page().waitForURL("**/judge?**");
        printer().presses("Accept work print 1");
        page().waitForURL("**/keep");
        assertThat(printer().verdict()).containsText("Work print 1 is the print");
        String kept = page().locator("main").innerText();
        printer().opens("/stores");
        for (String lens : new String[] {"50 mm lens", "80 mm lens", "150 mm lens"}) {
            thing("Lenses", lens).click();
            panel().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Measure it"))
                    .first()
                    .click();
            page().waitForURL("**/measure/OPENINGS**");
            Locator read = printer().button("Read the simulated meter");
            for (int left = toGo(); left > 0; left--) {
                assertThat(printer().verdict()).containsText(left + " reading");
                read.click();
            }
            printer().presses("Keep it");
            page().waitForURL("**/stores?thing=**");
            assertThat(panel()).containsText("True openings, farthest off");
        }
        thing("Enlargers and heads", "Yard enlarger").click();
        for (String lens : new String[] {"50 mm lens", "80 mm lens", "150 mm lens"}) {
            panel().locator(".constant")
                    .filter(new Locator.FilterOptions().setHasText("Column scale, " + lens))
                    .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Measure it"))
                    .click();
            page().waitForURL("**/measure/COLUMN?**");
            for (int left = toGo(); left > 0; left--) {
                assertThat(printer().verdict()).containsText(left + " reading");
                printer().presses("Read the simulated meter");
            }
            printer().presses("Keep it");
            page().waitForURL("**/stores?thing=**");
        }
        printer().opens(slate + "/keep");
        assertThat(page().locator("main")).hasText(kept, new LocatorAssertions.HasTextOptions().setUseInnerText(true));
        printer().opens(slate + "/setup");
        assertThat(page().getByText(Pattern.compile(", column \\d+ mm"))).isVisible();
        page().getByText("Other openings").click();
        assertThat(page().getByText("clicks closed").first()).isVisible();
    }

    /** How many readings the guided test still asks for. */
    private int toGo() {
        assertThat(printer().verdict()).containsText("to go");
        Matcher words = Pattern.compile("(\\d+) readings? to go")
                .matcher(printer().verdict().innerText());
        org.assertj.core.api.Assertions.assertThat(words.find()).isTrue();
        return Integer.parseInt(words.group(1));
    }

    @Test
    void paperIsCutAndItsPiecesLieInTheBox() {
        printer().opens("/stores");
        thing("Paper", "Satin RC 24 × 30").click();
        printer().presses("Cut its sheets");
        page().waitForURL("**/cut");
        printer().field("Long").fill("30 cm");
        printer().field("Short").fill("6");
        printer().field("Of each sheet").fill("6");
        assertThat(printer().verdict()).containsText("These do not come out");
        printer().field("Of each sheet").fill("4");
        assertThat(printer().verdict()).containsText("6.");
        assertThat(page().getByRole(AriaRole.IMG)).containsText("strip");
        printer().presses("It is cut");
        page().waitForURL("**/stores?thing=**");
        assertThat(thing("Paper", "Satin RC 24 × 30")).containsText("4 pieces 300 × 60");
        assertThat(thing("Paper", "Satin RC 24 × 30")).containsText("26 of 50");
    }

    @Test
    void shelvesByKeysAlone() {
        printer().opens("/stores");
        assertThat(thing("Easels", "Add an easel")).isVisible();
        thing("Easels", "Add an easel").focus();
        page().keyboard().press("Enter");
        assertThat(printer().field("Name")).isVisible();
        printer().field("Name").focus();
        page().keyboard().type("Test easel");
        page().keyboard().press("Tab");
        page().keyboard().type("12 in");
        page().keyboard().press("Tab");
        page().keyboard().type("24");
        page().keyboard().press("Enter");
        assertThat(thing("Easels", "Test easel")).containsText("304.8 × 240 mm");
        assertThat(panel().getByRole(AriaRole.HEADING).first()).hasText("Test easel");
        page().keyboard().press("?");
        assertThat(page().getByRole(AriaRole.DIALOG)).isVisible();
        page().keyboard().press("Escape");
        // What lies before the page takes its keys until it is gone altogether.
        assertThat(page().locator(".ant-modal-wrap")).isHidden();
        page().keyboard().press("b");
        page().waitForURL(Pattern.compile("/$"));
    }

    /** A kit that came to the shelf by its name alone is asked at a print what stands on it, by keys. */
    @Test
    void aKitOfTheShelfIsTakenInHandAtAPrint() {
        printer().opens("/stores");
        printer().button("Add a viewing kit").press("Enter");
        printer().field("Name").fill("Test kit");
        printer().field("Which strengths are there").fill("5, red");
        printer().button("Put it on the shelf").press("Enter");
        assertThat(page().getByText("“red” is not a number.")).isVisible();
        printer().field("Which strengths are there").fill("5,10,20");
        printer().button("Put it on the shelf").press("Enter");
        assertThat(thing("Viewing kits", "Test kit")).containsText("5, 10, 20");
        View colour = View.all(page()).stream()
                .filter(view -> "colour".equals(view.name()))
                .findFirst()
                .orElseThrow();
        printer().opens(colour.path());
        assertThat(page().getByText("What stands on the filters of Test kit?")).isVisible();
        printer().chooses("The correction");
        assertThat(page().getByText("Test kit says the correction: 10 on it moves the pack by 10 at first."))
                .isVisible();
        printer().opens("/stores");
        assertThat(thing("Viewing kits", "Test kit")).containsText("they say the correction");
    }
}
