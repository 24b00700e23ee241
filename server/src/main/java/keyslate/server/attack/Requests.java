package keyslate.server.attack;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import keyslate.server.attack.Calls.Answer;
import keyslate.store.Database;
import keyslate.store.FileCounts;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Every operation of the API description, with half of the bodies one change away from its example and the others wild: a
 * refusal is a problem document that says why and changes nothing, and nothing is a fault of the server or hangs.
 */
final class Requests implements Part {
    private static final double HANGS_SECONDS = 2;
    private static final int UNPROCESSABLE = 422;
    /** So often it is looked which slates there are. */
    private static final int LOOKED_AGAIN = 20;
    /** The other darkroom is another application: nobody would be there to ask. */
    private static final String SWITCH = "/api/bench/darkroom";

    private static final String BACKUP = "/api/backups";

    private record Operation(String method, String path, JsonNode example) {
        boolean changes() {
            return !"GET".equals(method);
        }
    }

    @Override
    public String name() {
        return "requests";
    }

    @Override
    public double share() {
        return 0.2;
    }

    @Override
    public void run(Path folder, Random random, double minutes, Figures figures) throws IOException {
        for (String count : List.of("requests", "accepted", "serverErrors", "hangs", "unsaid", "changedByRefusal")) {
            figures.count(count);
        }
        Path data = Here.stocked(folder.resolve("data"));
        try (Target target = Target.start(data, "--demo", "--clock-speed", "50")) {
            Clock until = new Clock(minutes);
            Attacker attacker =
                    new Attacker(target.calls(), data.resolve(Database.PRACTICE_FILE_NAME), random, figures);
            while (!until.isOver()) {
                attacker.ask();
            }
            figures.most("residentMaxMb", target.mostMegabytes());
            if (!target.calls().get("/api/bench").isTaken()) {
                figures.fault("serverErrors", "the bench does not open after it");
            }
        }
        figures.put("acceptedShare", figures.counted("accepted") / (double) Math.max(1, figures.counted("requests")));
    }

    private static final class Attacker {
        private final Calls calls;
        private final Random random;
        private final Wild wild;
        private final Path file;
        private JsonNode slates;
        private int asked;
        private final Figures figures;
        private final List<Operation> operations = new ArrayList<>();
        private final List<String> frames = new ArrayList<>();
        private final List<String> rolls = new ArrayList<>();

        Attacker(Calls calls, Path file, Random random, Figures figures) throws IOException {
            this.calls = calls;
            this.file = file;
            this.random = random;
            this.wild = new Wild(random);
            this.figures = figures;
            JsonNode paths = calls.get("/api/openapi.json").json().get("paths");
            paths.properties()
                    .forEach(path -> path.getValue().properties().forEach(operation -> {
                        JsonNode example = operation.getValue().at("/requestBody/content/application~1json/example");
                        if (!SWITCH.equals(path.getKey())) {
                            operations.add(new Operation(
                                    operation.getKey().toUpperCase(java.util.Locale.ROOT), path.getKey(), example));
                        }
                    }));
            calls.rolls().forEach(roll -> {
                rolls.add(roll.get("id").asString());
                roll.get("frames").forEach(f -> frames.add(f.get("id").asString()));
            });
        }

        /** One request, looked at from all sides. */
        void ask() throws IOException {
            Operation operation = operations.get(random.nextInt(operations.size()));
            if (BACKUP.equals(operation.path()) && operation.changes() && random.nextInt(10) > 0) {
                // Each one that is made takes the room of the data once more.
                return;
            }
            if ("DELETE".equals(operation.method())) {
                delete(operation.path());
                return;
            }
            if (asked++ % LOOKED_AGAIN == 0) {
                slates = calls.get("/api/bench").json().get("slates");
            }
            String looked = any(slates).get("id").asString();
            Answer there = calls.get("/api/slates/" + looked);
            if (!there.isTaken()) {
                // Nothing that the trial does takes a slate of the bench away.
                figures.fault("unsaid", there.status() + " to a look at slate " + looked + ": " + shown(there.body()));
                asked = 0;
                return;
            }
            JsonNode slate = there.json();
            String path = path(operation.path(), slate);
            JsonNode body = filled(operation.example(), slate);
            boolean near = random.nextBoolean();
            String type = "application/json";
            String method = operation.method();
            byte[] bytes = new byte[0];
            if (near && !body.isMissingNode()) {
                // Some as they are, so that the accepted ways are walked too.
                bytes = (random.nextInt(4) == 0 ? body : wild.changed(body))
                        .toString()
                        .getBytes(StandardCharsets.UTF_8);
            } else if (!near && operation.changes()) {
                bytes = wild.bytes(body);
                type = random.nextInt(3) == 0 ? wild.contentType() : type;
            }
            if (random.nextInt(20) == 0) {
                method = wild.method();
                // What is attacked must stay: practice data may always be deleted.
                path = "DELETE".equals(method) ? filled(operation.path(), "none") : path;
            }
            Map<String, Long> before = FileCounts.of(file);
            Answer answer = calls.send(method, path, bytes, type);
            judge(method + " " + path, bytes, answer);
            if (answer.isTaken() && path.endsWith("/put-away")) {
                // What is put away would be attacked no more.
                calls.post(path, Map.of("away", false));
            }
            if (answer.isRefused() && operation.changes()) {
                JsonNode after =
                        calls.get("/api/slates/" + slate.get("id").asString()).json();
                if (!FileCounts.of(file).equals(before) || !isAsItWas(slate, after)) {
                    figures.fault("changedByRefusal", method + " " + path + " " + shown(bytes));
                }
            }
        }

        /** A sheet under a lamp may have gone on by itself meanwhile. */
        private static boolean isAsItWas(JsonNode before, JsonNode after) {
            boolean runs = before.get("sheets")
                    .valueStream()
                    .anyMatch(s -> "EXPOSING".equals(s.get("state").asString()));
            return runs || fingerprint(before).equals(fingerprint(after));
        }

        /** Only what was made for it, so that there is something left; or what is not there. */
        private void delete(String template) throws IOException {
            String id = "none";
            if (random.nextInt(3) > 0) {
                boolean roll = template.startsWith("/api/rolls");
                Answer made = roll
                        ? calls.post("/api/rolls", Map.of("title", "To go", "film", "", "longMm", 36, "shortMm", 24))
                        : calls.post("/api/slates", Map.of("frameId", any(frames), "title", "To go", "intent", ""));
                judge("POST before DELETE " + template, new byte[0], made);
                if (!made.isTaken()) {
                    figures.fault(
                            "unsaid",
                            "nothing could be made to be deleted: " + new String(made.body(), StandardCharsets.UTF_8));
                    return;
                }
                id = made.json().get("id").asString();
            }
            String path = template.replace("{id}", id);
            judge("DELETE " + path, new byte[0], calls.send("DELETE", path, ""));
        }

        private String any(List<String> list) {
            return list.get(random.nextInt(list.size()));
        }

        private void judge(String asked, byte[] body, Answer answer) {
            figures.add("requests");
            if (answer.isTaken()) {
                figures.add("accepted");
            }
            if (answer.isFault()) {
                figures.fault("serverErrors", answer.status() + " to " + asked + " " + shown(body));
            }
            if (answer.seconds() > HANGS_SECONDS) {
                figures.fault("hangs", answer.seconds() + " s for " + asked + " " + shown(body));
            }
            if (answer.isRefused() && !asked.startsWith("HEAD") && !isSaid(answer)) {
                figures.fault("unsaid", answer.status() + " to " + asked + " " + shown(body));
            }
        }

        /** A refusal has a code, and where a field is wrong its pointer. */
        private static boolean isSaid(Answer answer) {
            if (!answer.type().startsWith("application/problem+json")) {
                return false;
            }
            JsonNode problem = answer.json();
            boolean named = problem.hasNonNull("code")
                    && !problem.path("detail").asString("").isBlank();
            return named
                    && (answer.status() != UNPROCESSABLE
                            || !problem.path("errors").isEmpty());
        }

        private String path(String path, JsonNode slate) {
            return filled(path, random.nextInt(12) == 0 ? "none" : id(path, slate));
        }

        private String filled(String path, String id) {
            return path.replace("{id}", id)
                    .replace("{name}", "key-slate-backup-none.db")
                    .replace("{scan}", "1")
                    .replace("{piece}", "1")
                    .replace("{version}", Integer.toString(1 + random.nextInt(3)));
        }

        private String id(String path, JsonNode slate) {
            JsonNode sheets = slate.get("sheets");
            if (path.startsWith("/api/sheets") && !sheets.isEmpty()) {
                return any(sheets).get("id").asString();
            }
            if (path.startsWith("/api/frames")) {
                return any(frames);
            }
            return path.startsWith("/api/rolls") ? any(rolls) : slate.get("id").asString();
        }

        /** The example as it would be asked of this slate now. */
        private JsonNode filled(JsonNode example, JsonNode slate) {
            JsonNode body = example.deepCopy();
            JsonNode version = slate.get("standing").get("version");
            for (JsonNode place : List.of(body, body.path("taking"))) {
                if (place instanceof ObjectNode object && object.has("version")) {
                    object.set("version", version);
                }
            }
            if (body instanceof ObjectNode object && object.has("frameId")) {
                object.put("frameId", any(frames));
            }
            return body;
        }

        private JsonNode any(JsonNode list) {
            return list.get(random.nextInt(list.size()));
        }

        /** What a refusal must leave as it is. */
        private static String fingerprint(JsonNode slate) {
            StringBuilder print =
                    new StringBuilder(slate.get("standing").get("version").toString());
            slate.get("sheets")
                    .forEach(s -> print.append(' ')
                            .append(s.get("id").asString())
                            .append(s.get("state").asString())
                            .append(s.get("decisions").size()));
            return print.toString();
        }

        private static String shown(byte[] body) {
            String text = new String(body, StandardCharsets.UTF_8).replaceAll("\\p{Cntrl}", "?");
            return text.length() > 200 ? text.substring(0, 200) + " … " + text.length() : text;
        }
    }
}
