package keyslate.server.benchmark;

import java.io.IOException;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/** How many pictures a second are painted while an area is dragged, counted in a browser. */
final class DragFigures {
    private static final int WIDTH = 1280;
    private static final int HEIGHT = 887;
    private static final long DRAG_MS = 4000;
    private static final long MOVE_EVERY_MS = 16;
    private static final double CIRCLE_PX = 60;
    private static final double TURNS = 3;

    /** Resolves when the page has an area to take hold of; its middle. */
    private static final String FIND_AREA = """
            new Promise(found => {
              const look = () => {
                const area = document.querySelector('.area');
                const picture = document.querySelector('.stage-print > img');
                if (!area || !picture || !picture.complete) return setTimeout(look, 50);
                const box = area.getBoundingClientRect();
                found({ x: box.left + box.width / 2, y: box.top + box.height / 2 });
              };
              look();
            })
            """;

    /** Counts each draft when the frame after its being shown has been drawn; it was decoded before it was shown. */
    private static final String COUNT = """
            window.painted = 0;
            new MutationObserver(() => {
              if (!document.querySelector('.stage-print > img').src.startsWith('blob:')) return;
              requestAnimationFrame(() => requestAnimationFrame(() => { window.painted += 1; }));
            }).observe(document.querySelector('.stage-print > img'), { attributes: true, attributeFilter: ['src'] });
            """;

    private DragFigures() {}

    /** Adds the figure of a slate with local work; says so and adds none where Chromium is missing. */
    static void add(String base, String slateId, Map<String, Double> figures) throws IOException, InterruptedException {
        Optional<Chromium> opened = Chromium.open(WIDTH, HEIGHT);
        if (opened.isEmpty()) {
            System.err.println("dragPicturesPerSecond is skipped: Chromium is not installed.");
            return;
        }
        try (Chromium browser = opened.get()) {
            browser.ask("Page.navigate", Map.of("url", base + "/slates/" + slateId + "/shape"));
            JsonNode area = browser.evaluate(FIND_AREA);
            double x = area.get("x").asDouble();
            double y = area.get("y").asDouble();
            browser.evaluate(COUNT);
            // Once to warm up, once to count.
            drag(browser, x, y);
            browser.evaluate("window.painted = 0");
            double seconds = drag(browser, x, y);
            figures.put(
                    "dragPicturesPerSecond", browser.evaluate("window.painted").asDouble() / seconds);
        }
    }

    /** Takes hold of the area, leads it round, and lets go; how long it was under the pointer. */
    private static double drag(Chromium browser, double x, double y) throws IOException, InterruptedException {
        browser.pointer("mousePressed", x, y);
        long start = System.nanoTime();
        long passed = 0;
        while (passed < DRAG_MS) {
            double angle = 2 * Math.PI * TURNS * passed / DRAG_MS;
            browser.pointer("mouseMoved", x + CIRCLE_PX * Math.sin(angle), y + CIRCLE_PX * (1 - Math.cos(angle)));
            Thread.sleep(MOVE_EVERY_MS);
            passed = (System.nanoTime() - start) / 1_000_000;
        }
        browser.pointer("mouseReleased", x, y);
        return passed / 1000.0;
    }
}
