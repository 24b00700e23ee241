package keyslate.server.attack;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Predicate;
import keyslate.server.attack.Calls.Answer;
import tools.jackson.databind.JsonNode;

/** The kinds of write, each with what must stand before it. */
final class Writes {
    private static final int FULL = 507;
    private static final int OUT = 503;
    /** Looks at a sheet, 20 ms apart, until its burst must have ended. */
    private static final int MOST_LOOKS = 500;

    private final Calls calls;
    private final Ledger ledger;
    private final Figures figures;
    private final Map<String, Kind> kinds = new LinkedHashMap<>();
    private final String frame;
    /** Counts on from trouble to trouble: a frame's number is taken once. */
    private static final AtomicInteger NUMBER = new AtomicInteger();

    @FunctionalInterface
    private interface Kind {
        /** Prepares, and gives what is to be tried. */
        Attempt prepared() throws IOException, InterruptedException;
    }

    @FunctionalInterface
    private interface Attempt {
        Answer make() throws IOException;
    }

    Writes(Calls calls, Ledger ledger, Figures figures) throws IOException {
        this.calls = calls;
        this.ledger = ledger;
        this.figures = figures;
        this.frame = Races.frames(calls, "MONOCHROME").get(0);
        kinds.put("slate", () -> () -> {
            Answer made =
                    calls.post("/api/slates", Map.of("frameId", frame, "title", "Full", "intent", "x".repeat(390)));
            if (made.isTaken()) {
                ledger.slate(made.json().get("id").asString(), 1);
            }
            return made;
        });
        kinds.put("edit", () -> {
            String slate = slate();
            return () -> edit(slate);
        });
        kinds.put("undo", () -> {
            String slate = slate();
            edit(slate);
            return () -> calls.post("/api/slates/" + slate + "/undo", calls.atVersion(slate));
        });
        kinds.put("put away", () -> {
            String slate = slate();
            return () -> calls.post("/api/slates/" + slate + "/put-away", Map.of("away", true));
        });
        kinds.put(
                "roll",
                () -> () -> calls.post("/api/rolls", Map.of("title", "Full", "film", "", "longMm", 36, "shortMm", 24)));
        kinds.put("frame", () -> {
            String roll = calls.rolls().get(0).get("id").asString();
            byte[] picture =
                    calls.get("/api/frames/" + frame + "/positive?side=960").body();
            return () -> calls.upload(
                    "/api/rolls/" + roll + "/frames",
                    picture,
                    Map.of("number", "d" + NUMBER.getAndIncrement(), "title", "Full"));
        });
        kinds.put("import", () -> {
            String file = Kills.underFreshIds(Kills.someSlate(calls));
            return () -> {
                Answer taken = calls.send("POST", "/api/imports", file);
                if (taken.isTaken()) {
                    ledger.slate(
                            taken.json().get("id").asString(),
                            taken.json().get("standing").get("version").asLong());
                }
                return taken;
            };
        });
        kinds.put("begin", () -> {
            String slate = slate();
            return () -> begin(slate);
        });
        kinds.put("lamp on", () -> {
            String sheet = sheet();
            return () -> lamp(sheet, true);
        });
        kinds.put("hang", () -> {
            String sheet = given();
            return () -> ended(sheet, "hang", "HUNG");
        });
        kinds.put("give up", () -> {
            String sheet = sheet();
            return () -> ended(sheet, "abandon", "ABANDONED");
        });
        kinds.put("accept", () -> {
            String sheet = given();
            String slate = slateOf(sheet);
            ended(sheet, "hang", "HUNG");
            return () -> {
                Answer accepted = calls.post("/api/sheets/" + sheet + "/acceptance", calls.atVersion(slate));
                if (accepted.isTaken()) {
                    ledger.decided(sheet);
                }
                return accepted;
            };
        });
        kinds.put("backup", () -> () -> calls.send("POST", "/api/backups", ""));
        kinds.put(
                "plan of backups",
                () -> () -> calls.send(
                        "PUT", "/api/backups/plan", "{\"kept\": " + (5 + NUMBER.getAndIncrement() % 20) + "}"));
    }

    Set<String> kinds() {
        return kinds.keySet();
    }

    /** Tries one write while there is trouble, and once more after it. */
    void meet(String kind, Disk.Trouble trouble) throws IOException, InterruptedException {
        Attempt attempt = kinds.get(kind).prepared();
        Answer met;
        trouble.begin();
        try {
            met = attempt.make();
        } finally {
            trouble.end();
        }
        judge(kind, met);
        if (!met.isTaken()) {
            Answer again = attempt.make();
            if (!again.isTaken()) {
                figures.fault("diskFaultsUnsaid", kind + " does not recover: " + again.status() + " " + text(again));
            }
        }
        tidy();
    }

    private void judge(String kind, Answer met) {
        if (met.isTaken()) {
            return;
        }
        boolean said = (met.status() == FULL || met.status() == OUT)
                && met.type().startsWith("application/problem+json")
                && met.json().path("code").asString("").startsWith("storage")
                && !met.json().path("detail").asString("").isBlank();
        if (said) {
            figures.add("diskFaults");
        } else {
            figures.fault("diskFaultsUnsaid", kind + ": " + met.status() + " " + text(met));
        }
    }

    private static String text(Answer answer) {
        return new String(answer.body(), StandardCharsets.UTF_8).replaceAll("\\s+", " ");
    }

    /** The disk goes while the lamp is lit: it goes out when it is due or asked to, and how long it was lit is known afterwards. */
    void burst(Disk.Trouble trouble, boolean stopped) throws IOException, InterruptedException {
        String sheet = sheet();
        lamp(sheet, true);
        trouble.begin();
        try {
            if (stopped) {
                judge("lamp off", lamp(sheet, false));
            }
            if (!settles(sheet, run -> !run.get("lampOn").asBoolean())) {
                figures.fault("diskFaultsUnsaid", "the lamp stays lit while the disk is out");
            }
        } finally {
            trouble.end();
        }
        boolean known = settles(
                sheet,
                run -> !run.get("lampOn").asBoolean()
                        && !run.get("powerLost").asBoolean()
                        && (stopped || run.get("stepsDone").asInt() > 0));
        if (!known) {
            figures.fault("losses", "a burst of which the disk missed the end is not on record");
        }
        figures.add("diskFaults");
        tidy();
    }

    private boolean settles(String sheet, Predicate<JsonNode> as) throws IOException, InterruptedException {
        for (int looks = 0; looks < MOST_LOOKS; looks++) {
            if (as.test(calls.get("/api/sheets/" + sheet + "/run").json())) {
                return true;
            }
            Thread.sleep(20);
        }
        return false;
    }

    /** Frees the lamp for the next one. */
    private void tidy() throws IOException {
        for (String sheet : ledger.open()) {
            ended(sheet, "abandon", "ABANDONED");
        }
    }

    private String slate() throws IOException {
        Answer made = calls.post("/api/slates", Map.of("frameId", frame, "title", "Full", "intent", ""));
        if (!made.isTaken()) {
            throw new IllegalStateException("no slate with a sound disk: " + made.status() + " " + text(made));
        }
        String id = made.json().get("id").asString();
        ledger.slate(id, 1);
        return id;
    }

    private Answer edit(String slate) throws IOException {
        Map<String, Object> body = calls.atVersion(slate);
        body.put("naming", Map.of("intent", Integer.toString(NUMBER.getAndIncrement()) + "y".repeat(380)));
        Answer edited = calls.patch("/api/slates/" + slate + "/recipe", body);
        if (edited.isTaken()) {
            ledger.slate(slate, edited.json().get("version").asLong());
        }
        return edited;
    }

    private Answer begin(String slate) throws IOException {
        Map<String, Object> body = calls.atVersion(slate);
        body.put("kind", "PRINT");
        Answer begun = calls.post("/api/slates/" + slate + "/sheets", body);
        if (begun.isTaken()) {
            ledger.begun(
                    slate,
                    begun.json().get("sheetId").asString(),
                    begun.json().get("script").toString());
        }
        return begun;
    }

    private String sheet() throws IOException {
        return begin(slate()).json().get("sheetId").asString();
    }

    private String slateOf(String sheet) throws IOException {
        return calls.get("/api/sheets/" + sheet + "/run").json().get("slateId").asString();
    }

    private String given() throws IOException, InterruptedException {
        String sheet = sheet();
        lamp(sheet, true);
        settles(sheet, run -> !run.hasNonNull("step"));
        return sheet;
    }

    private Answer lamp(String sheet, boolean on) throws IOException {
        return calls.post("/api/sheets/" + sheet + "/lamp", on ? Map.of("on", true, "step", 1) : Map.of("on", false));
    }

    private Answer ended(String sheet, String how, String state) throws IOException {
        Answer ended = calls.post(
                "/api/sheets/" + sheet + "/" + how, "abandon".equals(how) ? Map.of("reason", "disk") : Map.of());
        if (ended.isTaken()) {
            ledger.ended(sheet, state);
        }
        return ended;
    }
}
