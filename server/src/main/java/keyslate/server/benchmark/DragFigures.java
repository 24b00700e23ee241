package keyslate.server.benchmark;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/** How many pictures a second are painted while an area, or the end of a thread, is dragged; counted in a browser. */
final class DragFigures {
    private static final int WIDTH = 1280;
    private static final int HEIGHT = 887;
    private static final long DRAG_MS = 4000;
    private static final long MOVE_EVERY_MS = 16;
    private static final double CIRCLE_PX = 60;
    private static final double TURNS = 3;

    /**
     * Something that is dragged.
     *
     * @param figure its name
     * @param page of a slate
     * @param held what is taken hold of; {@code picture} the image that follows it
     * @param circle whether it is led round; else up and down
     */
    private record Dragged(String figure, String page, String held, String picture, boolean circle) {
        /** Resolves when the page has both; the middle of what is taken hold of. */
        String find() {
            return """
                    new Promise(found => {
                      const look = () => {
                        const held = document.querySelector('%s');
                        const picture = document.querySelector('%s');
                        if (!held || !picture || !picture.complete) return setTimeout(look, 50);
                        const box = held.getBoundingClientRect();
                        found({ x: box.left + box.width / 2, y: box.top + box.height / 2 });
                      };
                      look();
                    })
                    """.formatted(held, picture);
        }

        /** Counts each draft, which has no address on the server, when the frame after its being shown has been drawn; it was decoded before. */
        String count() {
            return """
                    window.painted = 0;
                    new MutationObserver(() => {
                      if (document.querySelector('%1$s').src.startsWith('http')) return;
                      requestAnimationFrame(() => requestAnimationFrame(() => { window.painted += 1; }));
                    }).observe(document.querySelector('%1$s'), { attributes: true, attributeFilter: ['src'] });
                    """.formatted(picture);
        }
    }

    private static final List<Dragged> ALL = List.of(
            new Dragged("dragPicturesPerSecond", "shape", ".area", ".stage-print > img", true),
            new Dragged(
                    "threadPicturesPerSecond",
                    "contrast",
                    ".thread-end",
                    ".contrast-pictures figure:last-child .stage-print > img",
                    false));

    private DragFigures() {}

    /** Adds the figures of a slate with local work; says so and adds none where Chromium is missing. */
    static void add(String base, String slateId, Map<String, Double> figures) throws IOException, InterruptedException {
        for (Dragged dragged : ALL) {
            add(base + "/slates/" + slateId + "/" + dragged.page(), dragged, figures);
        }
    }

    private static void add(String url, Dragged dragged, Map<String, Double> figures)
            throws IOException, InterruptedException {
        Optional<Chromium> opened = Chromium.open(WIDTH, HEIGHT);
        if (opened.isEmpty()) {
            System.err.println(dragged.figure() + " is skipped: Chromium is not installed.");
            return;
        }
        try (Chromium browser = opened.get()) {
            browser.ask("Page.navigate", Map.of("url", url));
            JsonNode held = browser.evaluate(dragged.find());
            double x = held.get("x").asDouble();
            double y = held.get("y").asDouble();
            browser.evaluate(dragged.count());
            // Once to warm up, once to count.
            drag(browser, x, y, dragged.circle());
            browser.evaluate("window.painted = 0");
            double seconds = drag(browser, x, y, dragged.circle());
            figures.put(dragged.figure(), browser.evaluate("window.painted").asDouble() / seconds);
        }
    }

    /** Takes hold, leads it round or up and down, and lets go where it was; how long it was under the pointer. */
    private static double drag(Chromium browser, double x, double y, boolean circle)
            throws IOException, InterruptedException {
        browser.pointer("mousePressed", x, y);
        long start = System.nanoTime();
        long passed = 0;
        while (passed < DRAG_MS) {
            double angle = 2 * Math.PI * TURNS * passed / DRAG_MS;
            double across = circle ? CIRCLE_PX * Math.sin(angle) : 0;
            browser.pointer("mouseMoved", x + across, y + CIRCLE_PX * (1 - Math.cos(angle)) * (circle ? 1 : -0.5));
            Thread.sleep(MOVE_EVERY_MS);
            passed = (System.nanoTime() - start) / 1_000_000;
        }
        browser.pointer("mouseReleased", x, y);
        return passed / 1000.0;
    }
}
