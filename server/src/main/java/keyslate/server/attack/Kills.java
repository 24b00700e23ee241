package keyslate.server.attack;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import keyslate.server.attack.Calls.Answer;
import keyslate.store.Database;
import keyslate.store.FileHealth;
import tools.jackson.databind.JsonNode;

/**
 * Several clients edit, expose, hang, decide and import at full speed; at a random moment the program is killed, a third of the
 * times while a lamp that it switches is lit. After each kill the data file is sound, and after each start everything is there
 * that was acknowledged. Before that, files that are cut open again ({@link Cuts}).
 */
final class Kills implements Part {
    private static final int CLIENTS = 3;
    private static final int SHORTEST_MS = 150;
    private static final int LONGEST_MS = 2500;
    private static final int CUTS = 200;
    private static final int FEW_CUTS = 20;
    private static final double P95 = 0.95;
    private static final Pattern ID = Pattern.compile("[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}");

    @Override
    public String name() {
        return "kills";
    }

    @Override
    public double share() {
        return 0.5;
    }

    @Override
    public void run(Path folder, Random random, double minutes, Figures figures)
            throws IOException, InterruptedException {
        List.of("kills", "killsInBurst", "losses", "acknowledged").forEach(figures::count);
        Cuts.make(folder, random, minutes < 1 ? FEW_CUTS : CUTS, figures);
        Path data = Here.stocked(folder.resolve("data"));
        Ledger ledger = new Ledger();
        String file;
        try (Target first = start(data)) {
            file = someSlate(first.calls());
        }
        Clock until = new Clock(minutes);
        for (int round = 0; round == 0 || !until.isOver(); round++) {
            try (Target target = start(data)) {
                if (round > 0) {
                    figures.sample("start", target.startSeconds());
                }
                ledger.check(target.calls(), random, false, figures);
                giveUpWhatIsOpen(target.calls(), ledger);
                boolean inBurst = round % 3 == 2;
                press(target, new Client(target.calls(), ledger, file, figures), random, inBurst, figures);
            }
            checkCopy(data, folder, figures);
        }
        try (Target last = start(data)) {
            ledger.check(last.calls(), random, true, figures);
            figures.most("residentMaxMb", last.mostMegabytes());
        }
        figures.percentile("startAfterKillP95Seconds", "start", P95);
    }

    private static Target start(Path data) {
        return Target.start(data, "--demo", "--clock-speed", "20");
    }

    /** The smallest of the demo's slates, as a file that is taken in again under other ids. */
    static String someSlate(Calls calls) throws IOException {
        String smallest = null;
        for (JsonNode slate : calls.get("/api/bench").json().get("slates")) {
            String file = new String(
                    calls.get("/api/slates/" + slate.get("id").asString() + "/export")
                            .body(),
                    java.nio.charset.StandardCharsets.UTF_8);
            smallest = smallest == null || file.length() < smallest.length() ? file : smallest;
        }
        return smallest;
    }

    /** The same file as another slate. */
    static String underFreshIds(String file) {
        Map<String, String> fresh = new HashMap<>();
        Matcher ids = ID.matcher(file);
        return ids.replaceAll(
                id -> fresh.computeIfAbsent(id.group(), i -> UUID.randomUUID().toString()));
    }

    private static void giveUpWhatIsOpen(Calls calls, Ledger ledger) throws IOException {
        for (String sheet : ledger.open()) {
            Answer given = calls.post("/api/sheets/" + sheet + "/abandon", Map.of("reason", "killed"));
            if (given.isTaken()) {
                ledger.ended(sheet, "ABANDONED");
            } else {
                // It was hung or given up when the program died, and nobody heard.
                ledger.ended(
                        sheet,
                        calls.get("/api/sheets/" + sheet + "/run")
                                .json()
                                .get("state")
                                .asString());
            }
        }
    }

    private static void press(Target target, Client client, Random random, boolean inBurst, Figures figures)
            throws IOException, InterruptedException {
        List<Thread> clients = new ArrayList<>();
        for (int i = 0; i < CLIENTS; i++) {
            Random own = new Random(random.nextLong());
            Thread thread = new Thread(() -> client.work(own), "client");
            clients.add(thread);
            thread.start();
        }
        Thread.sleep(SHORTEST_MS + random.nextInt(LONGEST_MS - SHORTEST_MS));
        if (inBurst && client.lightsALamp()) {
            figures.add("killsInBurst");
        }
        target.kill();
        figures.add("kills");
        client.stop();
        for (Thread thread : clients) {
            thread.join();
        }
    }

    /** The file as it lies there, opened elsewhere, so that the program finds what the kill left. */
    private static void checkCopy(Path data, Path folder, Figures figures) throws IOException {
        Path copy = Files.createDirectories(folder.resolve("copy"));
        try (var files = Files.list(data)) {
            for (Path file : files.filter(f -> f.getFileName().toString().startsWith("practice"))
                    .toList()) {
                Files.copy(file, copy.resolve(file.getFileName()), StandardCopyOption.REPLACE_EXISTING);
            }
        }
        FileHealth.damage(copy.resolve(Database.PRACTICE_FILE_NAME))
                .ifPresent(found -> figures.fault("losses", "the data file is damaged: " + found));
        try (var files = Files.list(copy)) {
            for (Path file : files.toList()) {
                Files.delete(file);
            }
        }
    }

    /** What clients do; each write that is acknowledged goes into the ledger. */
    private static final class Client {
        private final Calls calls;
        private final Ledger ledger;
        private final String file;
        private final Figures figures;
        private final Map<String, Boolean> busy = new ConcurrentHashMap<>();
        private volatile boolean stopped;

        Client(Calls calls, Ledger ledger, String file, Figures figures) {
            this.calls = calls;
            this.ledger = ledger;
            this.file = file;
            this.figures = figures;
        }

        void stop() {
            stopped = true;
        }

        void work(Random random) {
            while (!stopped) {
                try {
                    act(random);
                } catch (IOException e) {
                    // The program is gone: what was under way was not acknowledged.
                    if (stopped || !answers()) {
                        return;
                    }
                }
            }
        }

        private boolean answers() {
            try {
                return calls.get("/api/bench").isTaken();
            } catch (IOException e) {
                return false;
            }
        }

        private void act(Random random) throws IOException {
            List<String> slates = ledger.slates();
            int what = random.nextInt(100);
            if (slates.isEmpty() || what < 6) {
                newSlate(random);
            } else if (what < 8) {
                takeIn();
            } else {
                String slate = slates.get(random.nextInt(slates.size()));
                if (busy.putIfAbsent(slate, true) == null) {
                    try {
                        if (what < 75) {
                            edit(slate, random);
                        } else {
                            expose(slate, random);
                        }
                    } finally {
                        busy.remove(slate);
                    }
                }
            }
        }

        private void newSlate(Random random) throws IOException {
            List<String> frames = new ArrayList<>();
            calls.rolls()
                    .forEach(r ->
                            r.get("frames").forEach(f -> frames.add(f.get("id").asString())));
            String frame = frames.get(random.nextInt(frames.size()));
            Answer made = calls.post("/api/slates", Map.of("frameId", frame, "title", "Kept", "intent", ""));
            if (made.isTaken()) {
                // A new slate is set as the last one was, which may have been that of the long light below.
                calls.patch(
                        "/api/slates/" + made.json().get("id").asString() + "/recipe",
                        Map.of("version", 1, "base", Map.of("seconds", 3), "setup", Map.of("enlargerId", enlarger(0))));
                acknowledged(made);
            }
        }

        private String enlarger(int place) throws IOException {
            return calls.get("/api/stores")
                    .json()
                    .get("enlargers")
                    .get(place)
                    .get("id")
                    .asString();
        }

        private void takeIn() throws IOException {
            acknowledged(calls.send("POST", "/api/imports", underFreshIds(file)));
        }

        private void edit(String slate, Random random) throws IOException {
            Map<String, Object> body = calls.atVersion(slate);
            switch (random.nextInt(4)) {
                case 0 -> body.put("base", Map.of("changeStops", (random.nextInt(5) - 2) / 12.0));
                case 1 -> body.put("naming", Map.of("intent", "Intent " + random.nextInt(1000)));
                case 2 -> body.put("test", Map.of("patches", 3 + random.nextInt(5)));
                default -> body.put("setup", Map.of("borderMm", random.nextInt(15)));
            }
            Answer answer = calls.patch("/api/slates/" + slate + "/recipe", body);
            if (answer.isTaken()) {
                figures.add("acknowledged");
                ledger.slate(slate, answer.json().get("version").asLong());
            }
        }

        private void expose(String slate, Random random) throws IOException {
            String sheet = begin(slate, random.nextBoolean() ? "STRIP" : "PRINT");
            if (sheet == null) {
                return;
            }
            JsonNode run = calls.get("/api/sheets/" + sheet + "/run").json();
            while (run.hasNonNull("step") && !stopped) {
                if (!run.get("lampOn").asBoolean()) {
                    lamp(sheet, run.get("step").asInt());
                }
                run = calls.get("/api/sheets/" + sheet + "/run").json();
            }
            if (random.nextInt(4) == 0) {
                end(sheet, "abandon", "ABANDONED");
            } else {
                end(sheet, "hang", "HUNG");
                Answer accepted = calls.post("/api/sheets/" + sheet + "/acceptance", calls.atVersion(slate));
                if (accepted.isTaken()) {
                    figures.add("acknowledged");
                    ledger.decided(sheet);
                }
            }
        }

        private String begin(String slate, String kind) throws IOException {
            Map<String, Object> body = calls.atVersion(slate);
            body.put("kind", kind);
            Answer begun = calls.post("/api/slates/" + slate + "/sheets", body);
            if (!begun.isTaken()) {
                return null;
            }
            figures.add("acknowledged");
            String sheet = begun.json().get("sheetId").asString();
            ledger.begun(slate, sheet, begun.json().get("script").toString());
            return sheet;
        }

        private Answer lamp(String sheet, int step) throws IOException {
            return calls.post("/api/sheets/" + sheet + "/lamp", Map.of("on", true, "step", step));
        }

        private void end(String sheet, String how, String state) throws IOException {
            Answer ended = calls.post("/api/sheets/" + sheet + "/" + how, Map.of());
            if (ended.isTaken()) {
                figures.add("acknowledged");
                ledger.ended(sheet, state);
            }
        }

        private void acknowledged(Answer made) {
            if (made.isTaken()) {
                figures.add("acknowledged");
                JsonNode slate = made.json();
                ledger.slate(
                        slate.get("id").asString(),
                        slate.get("standing").get("version").asLong());
            }
        }

        /** Lights a lamp that stays lit for seconds, whatever the others are doing; whether one is lit. */
        boolean lightsALamp() throws IOException {
            String frame = Races.frames(calls, "MONOCHROME").get(0);
            Answer made = calls.post("/api/slates", Map.of("frameId", frame, "title", "Lit", "intent", ""));
            String slate = made.json().get("id").asString();
            // Its light is long: a client that gave it would hold the lamp for rounds.
            ledger.isForNobody(slate);
            acknowledged(made);
            Map<String, Object> body = calls.atVersion(slate);
            // An enlarger that no client has: its lamp is free.
            body.put("setup", Map.of("enlargerId", enlarger(1)));
            body.put("base", Map.of("seconds", 600));
            calls.patch("/api/slates/" + slate + "/recipe", body);
            String sheet = begin(slate, "PRINT");
            for (int tries = 0; tries < 40 && sheet != null; tries++) {
                // Another sheet may have the lamp for a moment.
                if (lamp(sheet, 1).isTaken()) {
                    return true;
                }
            }
            return false;
        }
    }
}
