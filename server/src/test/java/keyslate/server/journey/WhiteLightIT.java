package keyslate.server.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** White-light views: the page has no colour of its own, keeps the accessibility rules, and can be walked by Tab. */
class WhiteLightIT extends JourneyTest {
    private final List<String> found = new ArrayList<>();

    @Test
    void thePageIsAchromatic() {
        for (View view : View.all(openedPage())) {
            view.open(page());
            // Pictures have the colours of their negative, and filters are shown in their own, with a letter.
            page().addStyleTag(new Page.AddStyleTagOptions()
                    .setContent("img, .swatch { visibility: hidden !important; }"));
            String coloured = Pixels.firstAgainst(page().screenshot(), Pixels::isGrey);
            if (!coloured.isEmpty()) {
                found.add(view.name() + ": " + coloured);
            }
        }
        assertThat(found).isEmpty();
    }

    @Test
    void accessibilityRulesHoldOnEveryView() {
        for (View view : View.all(openedPage())) {
            view.open(page());
            axe(view.name());
        }
        assertThat(found).isEmpty();
    }

    @Test
    void accessibilityRulesHoldForWhatOpens() {
        printer().startsSlate("3", "Rules", "");
        printer().enters("White border", "-3");
        assertThat(page().getByRole(AriaRole.ALERT)).isVisible();
        axe("a wrong number");
        printer().presses("Base exposure");
        assertThat(printer().field("Base exposure")).isVisible();
        axe("an open handle");
        page().keyboard().press("Escape");
        page().navigate("/");
        printer().presses("? Keys");
        assertThat(page().getByRole(AriaRole.DIALOG)).isVisible();
        page().waitForFunction("() => document.getAnimations().every(a => a.playState !== 'running')");
        axe("the list of keys");
        assertThat(found).isEmpty();
    }

    @Test
    void everyTargetIsReachedByTabWithVisibleFocus() {
        for (View view : View.all(openedPage())) {
            view.open(page());
            Object missed = page().evaluate(MARK_TARGETS);
            for (int i = 0; i < (int) missed * 2 + 20; i++) {
                page().keyboard().press("Tab");
                page().evaluate(NOTE_FOCUS);
            }
            @SuppressWarnings("unchecked")
            Map<String, List<String>> walk = (Map<String, List<String>>) page().evaluate(REPORT);
            walk.get("unreached").forEach(t -> found.add(view.name() + ": Tab never reaches " + t));
            walk.get("unseen").forEach(t -> found.add(view.name() + ": no visible focus on " + t));
            assertThat((int) missed).as("targets of " + view.name()).isGreaterThan(1);
        }
        assertThat(found).isEmpty();
    }

    private Page openedPage() {
        page().navigate("/");
        return page();
    }

    private void axe(String at) {
        page().evaluate(axeSource());
        @SuppressWarnings("unchecked")
        List<String> violations = (List<String>) page().evaluate("""
                        async () => (await axe.run(document)).violations.flatMap(v =>
                          v.nodes.map(n => v.id + ": " + n.html.slice(0, 160) + " " + (n.any[0]?.message ?? "")))""");
        violations.forEach(v -> found.add(at + ": " + v));
    }

    private static String axeSource() {
        try {
            return Files.readString(Path.of("..", "web", "node_modules", "axe-core", "axe.min.js"));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    /** Radio buttons and tabs are one stop of Tab together; arrow keys go on from there. */
    private static final String MARK_TARGETS = """
            () => {
              const all = "a[href], button, input, select, textarea, summary, [role=slider], [role=button], [role=combobox]";
              const targets = [...document.querySelectorAll(all)].filter(e =>
                !e.disabled && e.tabIndex >= 0 && e.checkVisibility({ visibilityProperty: true }));
              window.unreached = new Set(targets);
              window.unseen = new Set();
              return targets.length;
            }""";

    private static final String NOTE_FOCUS = """
            () => {
              const at = document.activeElement;
              if (!at || at === document.body) return;
              window.unreached.delete(at);
              let seen = false;
              for (let e = at, i = 0; e && i < 4; e = e.parentElement, i++) {
                const style = getComputedStyle(e);
                if (style.outlineStyle !== "none" && parseFloat(style.outlineWidth) >= 2) seen = true;
              }
              // An area on the picture shows the focus on its own line.
              const line = at.querySelector(":scope > .under");
              if (line && parseFloat(getComputedStyle(line).strokeWidth) >= 6) seen = true;
              if (!seen) window.unseen.add(at);
            }""";

    private static final String REPORT = """
            () => {
              const words = set => [...set].map(e => e.outerHTML.slice(0, 140));
              return { unreached: words(window.unreached), unseen: words(window.unseen) };
            }""";
}
