package keyslate.server.journey;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.LoadState;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A main view of the demo data: where it is, and how it is told that it stands. */
record View(String name, String path, String ready) {
    /** Every view but the run, from the slates that the demo data holds. */
    static List<View> all(Page page) {
        JsonNode slates = JsonMapper.shared()
                .readTree(page.request().get("/api/bench").text())
                .get("slates");
        String kept = slateWith(page, slates, "PRINT");
        String strip = slateWith(page, slates, "STRIP");
        String stripSheet = sheets(page, strip)
                .filter(s -> "STRIP".equals(s.get("kind").asString()))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asString();
        return List.of(
                new View("bench", "/", ".verdict"),
                new View("rolls", "/rolls", ".proof img"),
                new View("choose", "/slates/" + kept + "/choose", ".proof img"),
                new View("setup", "/slates/" + kept + "/setup", ".easel-picture"),
                new View("test-plan", "/slates/" + kept + "/test?sheet=plan", ".strip-overlay, .print-overlay"),
                new View("test-read", "/slates/" + strip + "/test?sheet=" + stripSheet, ".marks"),
                new View("shape", "/slates/" + kept + "/shape", ".areas"),
                new View("print", "/slates/" + kept + "/print", ".preflight"),
                new View("judge", "/slates/" + kept + "/judge", ".wish"),
                new View("keep", "/slates/" + kept + "/keep", ".keep-stage"));
    }

    /** Goes there and waits until all that the view fetches is on it. */
    void open(Page page) {
        page.navigate(path);
        page.locator(ready).first().waitFor();
        page.waitForLoadState(LoadState.NETWORKIDLE);
        page.waitForFunction("() => [...document.images].every(i => i.complete)");
    }

    private static Stream<JsonNode> sheets(Page page, String slate) {
        return JsonMapper.shared()
                .readTree(page.request().get("/api/slates/" + slate).text())
                .get("sheets")
                .valueStream();
    }

    private static String slateWith(Page page, JsonNode slates, String kind) {
        Map<String, Boolean> hung = slates.valueStream()
                .collect(java.util.stream.Collectors.toMap(
                        s -> s.get("id").asString(),
                        s -> sheets(page, s.get("id").asString())
                                .anyMatch(sheet -> kind.equals(sheet.get("kind").asString())
                                        && "HUNG".equals(sheet.get("state").asString())),
                        (a, b) -> a,
                        java.util.LinkedHashMap::new));
        return hung.entrySet().stream()
                .filter(Map.Entry::getValue)
                .map(Map.Entry::getKey)
                .findFirst()
                .orElseThrow(() -> new AssertionError("The demo data hold no hung " + kind));
    }
}
