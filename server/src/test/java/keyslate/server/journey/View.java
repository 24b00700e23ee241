package keyslate.server.journey;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.LoadState;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A main view of the demo data: where it is, and how it is told that it stands. */
record View(String name, String path, String ready) {
    /** Every view but the run, from the slates that the demo data holds. */
    static List<View> all(Page page) {
        List<JsonNode> slates = slates(page);
        String worked = slate(slates, "Kiln under cloud");
        String kept = slate(slates, "Shelf by the window");
        String strip = slate(slates, "Yard in fog");
        String balanced = slate(slates, "Teapot, colour");
        String board = slate(slates, "Test board");
        String enlarger =
                read(page, "/api/stores").get("enlargers").get(0).get("id").asString();
        String paper = read(page, "/api/stores").get("papers").get(0).get("id").asString();
        return List.of(
                new View("bench", "/", ".verdict"),
                new View("stores", "/stores?thing=" + enlarger, ".constant"),
                new View("measure", "/stores/enlargers/" + enlarger + "/measure/LAG", ".readings"),
                new View("cut", "/stores/papers/" + paper + "/cut", ".cut-sheet"),
                new View("rolls", "/rolls", ".proof img"),
                new View("choose", "/slates/" + worked + "/choose", ".proof img"),
                new View("setup", "/slates/" + worked + "/setup", ".easel-picture"),
                new View("test-plan", "/slates/" + worked + "/test?sheet=plan", ".strip-overlay, .print-overlay"),
                new View("test-read", "/slates/" + strip + "/test", ".marks"),
                new View("contrast", "/slates/" + worked + "/contrast", ".threads .thread-end"),
                new View("colour-setup", "/slates/" + balanced + "/setup", ".easel-picture"),
                new View("colour-plan", "/slates/" + balanced + "/test?sheet=plan", ".strip-overlay, .print-overlay"),
                new View("colour", "/slates/" + balanced + "/colour", ".rose img"),
                new View("before-the-dark", "/slates/" + balanced + "/dark/PRINT", ".dark-script"),
                new View("rehearsal", "/slates/" + balanced + "/rehearsal/PRINT", ".rehearsal .run-now"),
                new View("colour-judge", "/slates/" + board + "/judge", ".wish"),
                new View("shape", "/slates/" + worked + "/shape", ".areas"),
                new View("print", "/slates/" + worked + "/print", ".preflight"),
                new View("judge", "/slates/" + kept + "/judge", ".wish"),
                new View("keep", "/slates/" + kept + "/keep", ".recipe-sheet dl"));
    }

    /** Goes there and waits until all that the view fetches is on it. */
    void open(Page page) {
        page.navigate(path);
        page.locator(ready).first().waitFor();
        page.waitForLoadState(LoadState.NETWORKIDLE);
        waitForPictures(page);
    }

    /** Those that are in sight; the others are fetched when they come there. */
    static void waitForPictures(Page page) {
        page.waitForFunction("() => [...document.images].every(i => i.complete"
                + " || i.getBoundingClientRect().top > window.innerHeight)");
    }

    /** All that are on the bench, page by page. */
    private static List<JsonNode> slates(Page page) {
        List<JsonNode> all = new ArrayList<>();
        JsonNode answer = read(page, "/api/slates");
        answer.get("slates").forEach(all::add);
        while (answer.get("moreSlates").asInt() > 0) {
            answer = read(
                    page,
                    "/api/slates?after=" + all.get(all.size() - 1).get("id").asString());
            answer.get("slates").forEach(all::add);
        }
        return all;
    }

    private static JsonNode read(Page page, String path) {
        return JsonMapper.shared().readTree(page.request().get(path).text());
    }

    /** By title: other journeys leave slates of their own on the bench. */
    private static String slate(List<JsonNode> slates, String title) {
        return slates.stream()
                .filter(s -> title.equals(s.get("title").asString()))
                .findFirst()
                .orElseThrow(() -> new AssertionError("The demo holds no slate “" + title + "”"))
                .get("id")
                .asString();
    }
}
