package keyslate.server.attack;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import javax.imageio.ImageIO;
import keyslate.server.attack.Calls.Answer;
import tools.jackson.databind.JsonNode;

/**
 * The same thing asked many times at once: one wins, the others hear 409. And lamps that are put out while large pictures come
 * in, requests stay half sent and connections stay open: measured from when the request was sent, or from when the timer
 * was due, to the end that stands on record.
 */
final class Races implements Part {
    private static final int RUNNERS = 8;
    private static final int CONFLICT = 409;
    private static final int SPEED = 20;
    private static final int HALF_SENT = 150;
    private static final int OPEN = 200;
    private static final int PICTURES = 60;
    private static final int UPLOADERS = 6;
    private static final int BURSTS = 40;
    private static final double P99 = 0.99;
    /** Looks at a sheet, 20 ms apart, until its light must be given. */
    private static final int MOST_LOOKS = 500;

    @Override
    public String name() {
        return "races";
    }

    @Override
    public double share() {
        return 0.07;
    }

    @Override
    public void run(Path folder, Random random, double minutes, Figures figures)
            throws IOException, InterruptedException {
        List.of("races", "racesLost").forEach(figures::count);
        ExecutorService runners = Executors.newFixedThreadPool(RUNNERS);
        String speed = Integer.toString(SPEED);
        try (Target target = Target.start(Here.stocked(folder.resolve("data")), "--demo", "--clock-speed", speed)) {
            Clock until = new Clock(minutes);
            Racing racing = new Racing(target.calls(), runners, figures);
            do {
                racing.round();
            } while (!until.isOver());
            new UnderLoad(target.calls(), random, figures).run();
            figures.most("residentMaxMb", target.mostMegabytes());
        } finally {
            runners.shutdownNow();
        }
        figures.percentile("lampOffP99Ms", "lampOffMs", P99);
    }

    /** The frames of the films of a kind. */
    static List<String> frames(Calls calls, String kind) throws IOException {
        List<String> frames = new ArrayList<>();
        for (JsonNode roll : calls.rolls()) {
            if (kind.equals(roll.get("kind").asString())) {
                roll.get("frames").forEach(f -> frames.add(f.get("id").asString()));
            }
        }
        return frames;
    }

    private static String newSlate(Calls calls, String frame) throws IOException {
        Answer made = calls.post("/api/slates", Map.of("frameId", frame, "title", "Race", "intent", ""));
        return made.json().get("id").asString();
    }

    private static Map<String, Object> atVersion(Calls calls, String slate, Map<String, Object> more)
            throws IOException {
        Map<String, Object> body = calls.atVersion(slate);
        body.putAll(more);
        return body;
    }

    private static final class Racing {
        private final Calls calls;
        private final ExecutorService runners;
        private final Figures figures;
        private final List<String> frames;
        private final List<String> enlargers = new ArrayList<>();
        private final String slateFile;
        private int rounds;

        Racing(Calls calls, ExecutorService runners, Figures figures) throws IOException {
            this.calls = calls;
            this.runners = runners;
            this.figures = figures;
            this.frames = frames(calls, "MONOCHROME");
            this.slateFile = Kills.someSlate(calls);
            calls.get("/api/stores")
                    .json()
                    .get("enlargers")
                    .forEach(e -> enlargers.add(e.get("id").asString()));
        }

        void round() throws IOException, InterruptedException {
            String file = Kills.underFreshIds(slateFile);
            race("import", i -> calls.send("POST", "/api/imports", file));
            twoEnlargers();
            String one = newSlate(calls, frames.get(0));
            String other = newSlate(calls, frames.get(1));
            // By turns, and never added to what stands: a new slate starts with the time of the print accepted last.
            int seconds = rounds++ % 2 == 0 ? 6 : 9;
            Map<String, Object> edit = atVersion(calls, one, Map.of("base", Map.of("seconds", seconds)));
            race("edit", i -> calls.patch("/api/slates/" + one + "/recipe", edit));
            String sheet = begun(one);
            String rival = begun(other);
            // One enlarger, two sheets that want its lamp.
            race("lamp on", i -> lamp(i % 2 == 0 ? sheet : rival, true));
            for (String each : List.of(sheet, rival)) {
                lamp(each, false);
                JsonNode run = calls.get("/api/sheets/" + each + "/run").json();
                if (run.get("lampOn").asBoolean()) {
                    figures.fault("racesLost", "a lamp is lit after it was put out");
                }
            }
            race("give up", i -> calls.post("/api/sheets/" + rival + "/abandon", Map.of("reason", "race")));
            giveAll(sheet);
            race("hang", i -> calls.post("/api/sheets/" + sheet + "/hang", Map.of()));
            Map<String, Object> accepted = atVersion(calls, one, Map.of());
            race("accept", i -> calls.post("/api/sheets/" + sheet + "/acceptance", accepted));
        }

        /** Two lamps at once: each has a winner of its own. */
        private void twoEnlargers() throws IOException, InterruptedException {
            List<String> sheets = new ArrayList<>();
            for (int i = 0; i < 2; i++) {
                String slate = newSlate(calls, frames.get(i));
                calls.patch(
                        "/api/slates/" + slate + "/recipe",
                        atVersion(calls, slate, Map.of("setup", Map.of("enlargerId", enlargers.get(i)))));
                sheets.add(begun(slate));
            }
            race("lamps of two enlargers", 2, i -> lamp(sheets.get(i % 2), true));
            for (String sheet : sheets) {
                lamp(sheet, false);
                calls.post("/api/sheets/" + sheet + "/abandon", Map.of("reason", "race"));
            }
        }

        private String begun(String slate) throws IOException, InterruptedException {
            Map<String, Object> asked = atVersion(calls, slate, Map.of("kind", "PRINT"));
            List<Answer> answers = race("begin", i -> calls.post("/api/slates/" + slate + "/sheets", asked));
            return answers.stream()
                    .filter(Answer::isTaken)
                    .findFirst()
                    .orElseThrow(() -> new IllegalStateException("no sheet was begun"))
                    .json()
                    .get("sheetId")
                    .asString();
        }

        private Answer lamp(String sheet, boolean on) throws IOException {
            return calls.post(
                    "/api/sheets/" + sheet + "/lamp", on ? Map.of("on", true, "step", 1) : Map.of("on", false));
        }

        private void giveAll(String sheet) throws IOException, InterruptedException {
            JsonNode run = calls.get("/api/sheets/" + sheet + "/run").json();
            for (int looks = 0; run.hasNonNull("step"); looks++) {
                if (looks > MOST_LOOKS) {
                    figures.fault("racesLost", "an exposure never came to its end");
                    return;
                }
                if (!run.get("lampOn").asBoolean()) {
                    calls.post(
                            "/api/sheets/" + sheet + "/lamp",
                            Map.of("on", true, "step", run.get("step").asInt()));
                }
                Thread.sleep(20);
                run = calls.get("/api/sheets/" + sheet + "/run").json();
            }
        }

        @FunctionalInterface
        private interface Runner {
            Answer run(int number) throws IOException;
        }

        /** All at once; one of them must win. */
        private List<Answer> race(String what, Runner runner) throws InterruptedException {
            return race(what, 1, runner);
        }

        private List<Answer> race(String what, int wins, Runner runner) throws InterruptedException {
            figures.add("races");
            CountDownLatch go = new CountDownLatch(1);
            List<Future<Answer>> started = new ArrayList<>();
            for (int i = 0; i < RUNNERS; i++) {
                int number = i;
                Callable<Answer> waiting = () -> {
                    go.await();
                    return runner.run(number);
                };
                started.add(runners.submit(waiting));
            }
            go.countDown();
            List<Answer> answers = new ArrayList<>();
            for (Future<Answer> each : started) {
                try {
                    answers.add(each.get());
                } catch (ExecutionException e) {
                    figures.fault("racesLost", what + ": " + e.getCause());
                }
            }
            long winners = answers.stream().filter(Answer::isTaken).count();
            long told = answers.stream().filter(a -> a.status() == CONFLICT).count();
            if (winners != wins || told != RUNNERS - wins) {
                figures.fault(
                        "racesLost",
                        what + ": " + answers.stream().map(Answer::status).toList());
            }
            return answers;
        }
    }

    /** Lamps put out while everything else is under way. */
    private static final class UnderLoad {
        private final Calls calls;
        private final Random random;
        private final Figures figures;
        private final List<Instant> sent = new ArrayList<>();
        private final java.time.Clock clock = java.time.Clock.systemUTC();

        UnderLoad(Calls calls, Random random, Figures figures) {
            this.calls = calls;
            this.random = random;
            this.figures = figures;
        }

        void run() throws IOException, InterruptedException {
            String slate = newSlate(calls, frames(calls, "MONOCHROME").get(2));
            String roll = calls.rolls().get(0).get("id").asString();
            byte[] picture = picture();
            ExecutorService uploads = Executors.newFixedThreadPool(UPLOADERS);
            List<Socket> sockets = new ArrayList<>();
            try {
                for (int i = 0; i < PICTURES; i++) {
                    int number = i;
                    uploads.submit(() -> upload(roll, number, picture));
                }
                for (int i = 0; i < HALF_SENT + OPEN; i++) {
                    Socket socket = new Socket("localhost", calls.port());
                    sockets.add(socket);
                    if (i < HALF_SENT) {
                        socket.getOutputStream()
                                .write(("POST /api/slates HTTP/1.1\r\nHost: localhost\r\n"
                                                + "Content-Type: application/json\r\nContent-Length: 500\r\n\r\n{\"ti")
                                        .getBytes(StandardCharsets.US_ASCII));
                    }
                }
                bursts(slate);
            } finally {
                uploads.shutdownNow();
                uploads.awaitTermination(1, TimeUnit.MINUTES);
                for (Socket socket : sockets) {
                    socket.close();
                }
            }
            measure(calls.get("/api/slates/" + slate + "/export").json());
        }

        private void bursts(String slate) throws IOException, InterruptedException {
            Answer begun =
                    calls.post("/api/slates/" + slate + "/sheets", atVersion(calls, slate, Map.of("kind", "PRINT")));
            String path = "/api/sheets/" + begun.json().get("sheetId").asString();
            Calls lamp =
                    new Calls("http://localhost:" + begun.json().get("lampPort").asInt());
            for (int burst = 0; burst < BURSTS; burst++) {
                JsonNode run = lamp.get(path + "/run").json();
                if (!run.hasNonNull("step")) {
                    return;
                }
                lamp.post(
                        path + "/lamp",
                        Map.of("on", true, "step", run.get("step").asInt()));
                Thread.sleep(5 + random.nextInt(15));
                sent.add(clock.instant());
                lamp.post(path + "/lamp", Map.of("on", false));
            }
        }

        /** What the record says, against what was asked and what was due. */
        private void measure(JsonNode file) {
            int asked = 0;
            for (JsonNode record : file.get("sheets").get(0).get("lamp")) {
                Instant off = Instant.parse(record.get("offAt").asString());
                boolean stopped = "STOPPED".equals(record.get("outcome").asString());
                Instant due = Instant.parse(record.get("onAt").asString())
                        .plusNanos((long) (record.get("setSeconds").asDouble() / SPEED * 1e9));
                Instant wanted = stopped ? sent.get(asked) : due;
                asked++;
                figures.sample(
                        "lampOffMs", Math.max(0, Duration.between(wanted, off).toMillis()));
            }
        }

        private Answer upload(String roll, int number, byte[] picture) throws IOException {
            return calls.upload(
                    "/api/rolls/" + roll + "/frames",
                    picture,
                    Map.of("number", "a" + number, "title", "Load " + number));
        }

        private byte[] picture() throws IOException {
            BufferedImage image = new BufferedImage(6000, 4000, BufferedImage.TYPE_BYTE_GRAY);
            byte[] noise = new byte[6000];
            for (int y = 0; y < 4000; y++) {
                random.nextBytes(noise);
                image.getRaster().setDataElements(0, y, 6000, 1, noise);
            }
            ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
            ImageIO.write(image, "jpeg", jpeg);
            return jpeg.toByteArray();
        }
    }
}
