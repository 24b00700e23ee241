package keyslate.server.journey;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import keyslate.server.Http;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** No text lies on another one, none is cut, and none leaves the window, on every view and size it is made for. */
class TextFitsIT extends JourneyTest {
    private static final List<String> ON_A_PHONE = List.of("test-plan", "test-read", "colour-plan");
    private static final String LONG =
            "The long shelf by the north window of the packing room with every bowl of the last firing on it";
    private static final String LONG_AREA = "Underside of the second bowl from left";

    /** Every line of text that is seen, against its clips and against every other; words of what is wrong. */
    private static final String FIND = """
            () => {
              const found = [];
              const lines = [];
              const short = node => node.textContent.trim().slice(0, 40);
              const clipOf = element => {
                let clip = { left: 0, top: 0, right: innerWidth, bottom: innerHeight, scrolls: false };
                for (let e = element; e && e !== document.documentElement; e = e.parentElement) {
                  const style = getComputedStyle(e);
                  if (style.overflowX === 'visible' && style.overflowY === 'visible') continue;
                  const box = e.getBoundingClientRect();
                  const scrolls = ['auto', 'scroll'].includes(style.overflowY) || ['auto', 'scroll'].includes(style.overflowX);
                  clip = { left: Math.max(clip.left, box.left), top: Math.max(clip.top, box.top),
                    right: Math.min(clip.right, box.right), bottom: Math.min(clip.bottom, box.bottom),
                    scrolls: clip.scrolls || scrolls };
                }
                return clip;
              };
              const page = document.scrollingElement;
              const pageScrolls = page.scrollHeight > innerHeight + 1;
              if (page.scrollWidth > innerWidth + 1) found.push('the page is ' + page.scrollWidth + ' px wide');
              const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
              for (let node = walker.nextNode(); node; node = walker.nextNode()) {
                const element = node.parentElement;
                if (!node.textContent.trim() || !element.checkVisibility({ visibilityProperty: true, opacityProperty: true })) continue;
                if (element.closest('.visually-hidden, script, style, option, [aria-hidden=true]:not(svg *)')) continue;
                const range = document.createRange();
                range.selectNodeContents(node);
                const clip = clipOf(element);
                for (const box of range.getClientRects()) {
                  if (box.width < 2 || box.height < 2) continue;
                  const cut = Math.max(clip.left - box.left, box.right - clip.right, clip.top - box.top - 3, box.bottom - clip.bottom - 3);
                  const outside = box.right < clip.left || box.left > clip.right || box.bottom < clip.top || box.top > clip.bottom;
                  if (cut > 1.5 && !clip.scrolls && !pageScrolls) found.push('cut by ' + Math.round(cut) + ' px: ' + short(node));
                  if (outside) continue;
                  lines.push({ box, element, words: short(node) });
                }
                const style = getComputedStyle(element);
                if (style.textOverflow === 'ellipsis' && element.scrollWidth > element.clientWidth + 1)
                  found.push('shortened: ' + short(node));
              }
              const seen = (line, x, y) => {
                const top = document.elementFromPoint(x, y);
                return top !== null && (line.element.contains(top) || top.contains(line.element));
              };
              for (let i = 0; i < lines.length; i++) {
                for (let j = 0; j < i; j++) {
                  const a = lines[i].box, b = lines[j].box;
                  const across = Math.min(a.right, b.right) - Math.max(a.left, b.left);
                  const down = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
                  // Lines of print stand close: what overlaps by less than a third of a line is only their leading.
                  if (across < 3 || down < Math.min(a.height, b.height) / 3) continue;
                  const x = Math.max(a.left, b.left) + across / 2, y = Math.max(a.top, b.top) + down / 2;
                  const one = lines[i], other = lines[j];
                  const inOne = one.element === other.element;
                  if (inOne || (seen(one, x, y) && seen(other, (b.left + b.right) / 2, (b.top + b.bottom) / 2)))
                    found.push('on each other: ' + one.words + ' | ' + other.words);
                }
              }
              return [...new Set(found)];
            }
            """;

    private final List<String> wrong = new ArrayList<>();

    @ParameterizedTest
    @CsvSource({"1280, 800", "1024, 768"})
    void onEveryView(int width, int height) {
        page().navigate("/");
        page().setViewportSize(width, height);
        views().forEach(this::look);
        assertThat(wrong).isEmpty();
    }

    @Test
    void onAPhoneForThePlanTheReadingAndTheRun() {
        page().navigate("/");
        page().setViewportSize(390, 844);
        views().filter(v -> ON_A_PHONE.contains(v.name())).forEach(this::look);
        Http http = new Http(demo().address());
        String slate = http.newSlate("Window shelf");
        String sheet = begin(http, slate, "STRIP");
        look(new View("run", "/runs/" + sheet, ".run-words .run-now"));
        http.post("/api/sheets/" + sheet + "/abandon", Map.of("reason", ""));
        assertThat(wrong).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"1280, 800", "1024, 768"})
    void withLongNamesAndTwoDifferences(int width, int height) {
        page().navigate("/");
        page().setViewportSize(width, height);
        String slate = longNamed(new Http(demo().address()));
        for (String station : List.of("choose", "setup", "test?sheet=plan", "test", "shape", "print")) {
            look(new View("long " + station, "/slates/" + slate + "/" + station, ".station aside"));
        }
        look(new View("long bench", "/", ".verdict"));
        assertThat(wrong).isEmpty();
    }

    private Stream<View> views() {
        return View.all(page()).stream();
    }

    private void look(View view) {
        view.open(page());
        page().waitForFunction("() => document.fonts.status === 'loaded'");
        @SuppressWarnings("unchecked")
        List<String> found = (List<String>) page().evaluate(FIND);
        found.forEach(f -> wrong.add(view.name() + ": " + f));
        if (!found.isEmpty()) {
            page().screenshot(new Page.ScreenshotOptions()
                    .setPath(java.nio.file.Path.of(
                            "target",
                            "journeys",
                            "fits-" + view.name().replaceAll("\\W+", "-") + "-" + page().viewportSize().width
                                    + ".png")));
        }
    }

    /** A slate with a strip on the cord, and a recipe whose light, opening and time differ from it. */
    private static String longNamed(Http http) {
        String slate = http.newSlate("Window shelf");
        http.edit(slate, "naming/title", LONG.substring(0, 80));
        http.edit(slate, "naming/intent", (LONG + ". ").repeat(4).strip());
        String sheet = begin(http, slate, "STRIP");
        JsonNode run = http.get("/api/sheets/" + sheet + "/run").json();
        while (run.hasNonNull("step")) {
            if (!run.get("lampOn").asBoolean()) {
                http.post(
                        "/api/sheets/" + sheet + "/lamp",
                        Map.of("on", true, "step", run.get("step").asInt()));
            }
            run = http.get("/api/sheets/" + sheet + "/run").json();
        }
        http.post("/api/sheets/" + sheet + "/hang", Map.of());
        http.edit(slate, "base/light", "grade 3½");
        http.edit(slate, "setup/apertureMark", 11);
        http.edit(
                slate,
                "local/areas",
                List.of(Map.of(
                        "key",
                        "long",
                        "name",
                        LONG_AREA,
                        "shape",
                        Map.of("kind", "ellipse", "x", 0.5, "y", 0.5, "radiusX", 0.2, "radiusY", 0.2),
                        "softEdge",
                        0.05,
                        "changeStops",
                        -0.5,
                        "tool",
                        "wand")));
        return slate;
    }

    private static String begin(Http http, String slate, String kind) {
        return http.post("/api/slates/" + slate + "/sheets", Map.of("version", http.version(slate), "kind", kind))
                .json()
                .get("sheetId")
                .asString();
    }
}
