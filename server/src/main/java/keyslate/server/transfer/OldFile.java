package keyslate.server.transfer;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import keyslate.core.script.StripDirection;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reads a slate file of version 1 as one of today: monochrome, one filter, switched lamps, on simulated paper. What stood for a sheet was not
 * recorded then.
 */
final class OldFile {
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final String MONOCHROME = "MONOCHROME";

    private final ObjectNode old;
    private final Map<String, JsonNode> recipes = new HashMap<>();

    private OldFile(ObjectNode old) {
        this.old = old;
        old.get("recipes").forEach(r -> recipes.put(r.get("id").asString(), r));
    }

    /** The same slate in version 2; the bytes of the pictures are not looked at. */
    static ObjectNode read(ObjectNode old) {
        return new OldFile(old).today();
    }

    private ObjectNode today() {
        ObjectNode file = JSON.createObjectNode();
        file.put("format", SlateFile.FORMAT).put("formatVersion", SlateFile.VERSION);
        file.set("roll", copy(old.get("roll")).put("kind", MONOCHROME));
        ObjectNode frame = copy(old.get("frame"));
        frame.remove("rollId");
        file.set("frame", frame);
        file.set("enlargers", each("enlargers", OldFile::enlarger));
        file.set("lenses", each("lenses", OldFile::copy));
        file.set("papers", each("papers", p -> copy(p).put("kind", MONOCHROME)));
        ObjectNode slate = copy(old.get("slate"));
        slate.remove("frameId");
        file.set("slate", slate);
        file.set("recipes", each("recipes", this::recipe));
        file.set("sheets", each("sheets", this::sheet));
        file.set("decisions", each("decisions", OldFile::decision));
        file.set("pictures", each("pictures", p -> copy(p.get("picture"))));
        return file;
    }

    private interface Reading {
        ObjectNode of(JsonNode old);
    }

    private ArrayNode each(String name, Reading reading) {
        ArrayNode list = JSON.createArrayNode();
        old.get(name).forEach(o -> list.add(reading.of(o)));
        return list;
    }

    private static ObjectNode copy(JsonNode node) {
        return (ObjectNode) node.deepCopy();
    }

    private static ObjectNode enlarger(JsonNode e) {
        return copy(e).put("lamp", "SWITCHED").put("dials", false).put("columnSource", "default");
    }

    private static String light(JsonNode label) {
        return "grade " + label.asString();
    }

    private ObjectNode recipe(JsonNode r) {
        JsonNode setup = r.get("setup");
        ObjectNode recipe = JSON.createObjectNode();
        for (String field : List.of("id", "previousId", "madeAt", "edit", "title", "intent")) {
            set(recipe, field, r.get(field));
        }
        recipe.put("whiteWanted", true).put("blackWanted", true);
        for (String field : List.of(
                "enlargerId",
                "lensId",
                "apertureMark",
                "paperId",
                "sheetWidthMm",
                "sheetHeightMm",
                "borderMm",
                "fit",
                "cropPlace",
                "baseSource",
                "baseBecause")) {
            set(recipe, field, setup.get(field));
        }
        ObjectNode part = JSON.createObjectNode().put("light", light(setup.get("filter")));
        part.set("seconds", setup.get("baseSeconds"));
        recipe.set("base", JSON.createArrayNode().add(part));
        ObjectNode test = JSON.createObjectNode().put("kind", "STRIP");
        JsonNode strip = r.get("strip");
        test.set("series", strip.get("kind"));
        for (String field : List.of(
                "centreSeconds", "stepStops", "stepSeconds", "patches", "direction", "patchMm", "breadthMm", "place")) {
            set(test, field, strip.get(field));
        }
        recipe.set("test", test);
        recipe.put("localWay", "BURSTS");
        ArrayNode areas = JSON.createArrayNode();
        r.get("areas").forEach(a -> areas.add(area(a)));
        recipe.set("areas", areas);
        return recipe;
    }

    private static ObjectNode area(JsonNode a) {
        ObjectNode area = JSON.createObjectNode();
        area.set("key", a.get("areaKey"));
        area.set("name", a.get("name"));
        area.set("shape", JSON.readTree(a.get("shape").asString()));
        area.set("softEdge", a.get("softEdge"));
        area.set("changeStops", a.get("changeStops"));
        if (has(a, "filter")) {
            area.put("light", light(a.get("filter")));
        }
        area.set("tool", a.get("tool"));
        return area;
    }

    private ObjectNode sheet(JsonNode exposed) {
        JsonNode s = exposed.get("sheet");
        JsonNode recipe = recipes.get(s.get("recipeId").asString());
        ObjectNode sheet = JSON.createObjectNode();
        for (String field : List.of(
                "id",
                "number",
                "kind",
                "recipeId",
                "begunAt",
                "state",
                "endedAt",
                "paperUsed",
                "magnification",
                "note")) {
            set(sheet, field, s.get(field));
        }
        ObjectNode piece = JSON.createObjectNode().put("number", 1);
        piece.set("left", s.get("viewLeft"));
        piece.set("top", s.get("viewTop"));
        piece.set("width", s.get("viewWidth"));
        piece.set("height", s.get("viewHeight"));
        sheet.set("pieces", JSON.createArrayNode().add(piece));
        ArrayNode steps = JSON.createArrayNode();
        int patches = exposed.get("script").size();
        exposed.get("script").forEach(b -> steps.add(step(b, recipe, patches)));
        sheet.set("steps", steps);
        ArrayNode lamp = JSON.createArrayNode();
        exposed.get("lamp").forEach(l -> lamp.add(lamp(l)));
        sheet.set("lamp", lamp);
        sheet.set("events", JSON.createArrayNode());
        ArrayNode scans = JSON.createArrayNode();
        if (has(s, "pictureId")) {
            ObjectNode scan = JSON.createObjectNode().put("place", 1);
            scan.set("pictureId", s.get("pictureId"));
            scan.set("handedAt", has(s, "endedAt") ? s.get("endedAt") : s.get("begunAt"));
            ArrayNode offsets = JSON.createArrayNode();
            if (has(s, "speedOffsetStops")) {
                offsets.add(s.get("speedOffsetStops").asDouble());
            }
            scan.set("offsets", offsets);
            scan.put("source", "SIMULATED");
            scans.add(scan);
        }
        sheet.set("scans", scans);
        return sheet;
    }

    /** The light of an old burst was a label, and where it fell followed from the direction of the strip. */
    private static ObjectNode step(JsonNode b, JsonNode recipe, int patches) {
        ObjectNode step = JSON.createObjectNode();
        step.set("place", b.get("place"));
        step.put("piece", 1).put("light", light(b.get("filter")));
        step.set("opening", recipe.get("setup").get("apertureMark"));
        step.set("setSeconds", b.get("setSeconds"));
        step.put("presses", 1);
        ObjectNode phase = JSON.createObjectNode();
        phase.set("seconds", b.get("setSeconds"));
        JsonNode held = JSON.readTree(b.get("held").asString());
        phase.set("held", held);
        List<String> cues = new ArrayList<>();
        if (has(b, "burned")) {
            phase.set("burned", b.get("burned"));
            cues.add("BURN");
        } else if (!held.isEmpty()) {
            cues.add("HOLD");
        }
        if (has(b, "patch")) {
            StripDirection direction =
                    StripDirection.valueOf(recipe.get("strip").get("direction").asString());
            var part = direction.uncovered(b.get("patch").asInt(), patches);
            phase.set(
                    "uncovered",
                    JSON.createArrayNode()
                            .add(part.left())
                            .add(part.top())
                            .add(part.width())
                            .add(part.height()));
            if (b.get("patch").asInt() > 1) {
                cues.add("MOVE_CARD");
            }
        }
        step.set("phases", JSON.createArrayNode().add(phase));
        ArrayNode words = JSON.createArrayNode();
        cues.forEach(words::add);
        step.set("cues", words);
        return step;
    }

    private static ObjectNode lamp(JsonNode l) {
        ObjectNode lamp = JSON.createObjectNode();
        lamp.set("step", l.get("burstPlace"));
        for (String field : List.of("attempt", "setSeconds", "onAt", "offAt", "givenSeconds", "outcome")) {
            set(lamp, field, l.get(field));
        }
        return lamp.put("told", false);
    }

    private static ObjectNode decision(JsonNode d) {
        ObjectNode decision = JSON.createObjectNode();
        for (String field : List.of(
                "id",
                "sheetId",
                "kind",
                "madeAt",
                "remark",
                "headline",
                "why",
                "proposedSeconds",
                "overruled",
                "takenSeconds")) {
            set(decision, field, d.get(field));
        }
        ObjectNode seen = JSON.createObjectNode();
        for (String field : List.of("whitesAt", "blacksAt", "darkerStops", "harderGrades")) {
            set(seen, field, d.get(field));
        }
        decision.set("seen", seen);
        if (has(d, "proposedFilter")) {
            decision.put("proposedLight", light(d.get("proposedFilter")));
        }
        if (has(d, "takenFilter")) {
            decision.put("takenLight", light(d.get("takenFilter")));
        }
        return decision;
    }

    private static boolean has(JsonNode node, String field) {
        return node.get(field) != null && !node.get(field).isNull();
    }

    private static void set(ObjectNode to, String field, JsonNode value) {
        if (value != null && !value.isNull()) {
            to.set(field, value);
        }
    }
}
