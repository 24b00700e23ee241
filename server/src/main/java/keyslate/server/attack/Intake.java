package keyslate.server.attack;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import keyslate.server.attack.Calls.Answer;
import keyslate.store.Database;
import keyslate.store.FileCounts;
import tools.jackson.databind.JsonNode;

/**
 * Pictures and slate files that are damaged, foreign, newer or too large: refused with a sentence and nothing of them kept, or taken in whole
 * so that they can be opened.
 */
final class Intake implements Part {
    private static final double HANGS_SECONDS = 20;
    private static final int TOO_LARGE = 413;
    private static final int TAKEN_IN = 201;
    private static final List<Double> CUT = List.of(0.1, 0.1, 0.9, 0.2, 0.8, 0.9, 0.2, 0.8);
    private static final int MOST_IN_A_ROLL = 90;
    private static final long MOST_OF_A_PICTURE = 200L << 20;
    private static final long MOST_OF_A_SLATE = 1L << 30;

    @Override
    public String name() {
        return "files";
    }

    @Override
    public double share() {
        return 0.1;
    }

    @Override
    public void run(Path folder, Random random, double minutes, Figures figures)
            throws IOException, InterruptedException {
        List.of("files", "filesTaken", "halfTaken", "serverErrors", "hangs", "unsaid")
                .forEach(figures::count);
        Path data = Files.createDirectory(folder.resolve("data"));
        try (Target target = Target.start(data, "--demo")) {
            Clock until = new Clock(minutes);
            Handing handing = new Handing(target.calls(), data, random, figures);
            while (!until.isOver()) {
                handing.picture();
                handing.sleeve();
                handing.slateFile();
            }
            if (minutes >= 1) {
                handing.oneByteTooMany();
            }
            handing.lookAround();
            figures.most("residentMaxMb", target.mostMegabytes());
        }
    }

    private static final class Handing {
        private final Calls calls;
        private final Path data;
        private final Figures figures;
        private final Bad bad;
        private final String slate;
        private String roll;
        private int inRoll;
        private int number;

        Handing(Calls calls, Path data, Random random, Figures figures) throws IOException {
            this.calls = calls;
            this.data = data;
            this.figures = figures;
            this.bad = new Bad(random);
            this.slate = Kills.someSlate(calls);
            this.roll = freshRoll();
        }

        private String freshRoll() throws IOException {
            return calls.post("/api/rolls", Map.of("title", "Files", "film", "", "longMm", 36, "shortMm", 24))
                    .json()
                    .get("id")
                    .asString();
        }

        /** A roll holds a hundred frames; one that is full would refuse good pictures. */
        private void makeRoom() throws IOException {
            if (inRoll++ == MOST_IN_A_ROLL) {
                roll = freshRoll();
                inRoll = 1;
            }
        }

        private Map<String, Long> rows() {
            return FileCounts.of(data.resolve(Database.PRACTICE_FILE_NAME));
        }

        void picture() throws IOException {
            makeRoom();
            Map<String, Long> before = rows();
            byte[] file = bad.picture();
            Answer answer = calls.upload(
                    "/api/rolls/" + roll + "/frames", file, Map.of("number", "f" + number++, "title", "File"));
            judge("picture of " + file.length + " bytes", answer, before);
            if (answer.isTaken()) {
                String frame = answer.json().get("id").asString();
                opens("/api/frames/" + frame + "/positive");
            }
        }

        /** The scan of a whole sheet; of one that is taken in, a frame is cut. */
        void sleeve() throws IOException {
            Map<String, Long> before = rows();
            byte[] file = bad.picture();
            Answer answer = calls.upload("/api/rolls/" + roll + "/sleeve", file, Map.of());
            judge("scan of a sheet of " + file.length + " bytes", answer, before);
            if (answer.isTaken()) {
                opens("/api/pictures/" + answer.json().get("pictureId").asString());
                JsonNode frames = calls.get("/api/rolls/" + roll).json().get("frames");
                if (!frames.isEmpty()) {
                    String frame = frames.get(frames.size() - 1).get("id").asString();
                    judge(
                            "frame cut from a sheet",
                            calls.post("/api/frames/" + frame + "/scan/from-sleeve", Map.of("corners", CUT)),
                            rows());
                    opens("/api/frames/" + frame);
                }
            }
        }

        void slateFile() throws IOException {
            Map<String, Long> before = rows();
            byte[] file = bad.slate(Kills.underFreshIds(slate));
            Answer answer = calls.send("POST", "/api/imports", file, "application/json");
            judge("slate file of " + file.length + " bytes", answer, before);
            if (answer.isTaken()) {
                JsonNode taken = answer.json();
                String id = taken.get("id").asString();
                opens("/api/slates/" + id);
                opens("/api/slates/" + id + "/export");
                opens("/api/bench");
                for (JsonNode sheet : taken.get("sheets")) {
                    opens("/api/sheets/" + sheet.get("id").asString() + "/run");
                }
                calls.send("DELETE", "/api/slates/" + id, "");
                calls.send(
                        "DELETE",
                        "/api/rolls/" + taken.get("subject").get("rollId").asString(),
                        "");
            }
        }

        private void opens(String path) throws IOException {
            Answer answer = calls.get(path);
            if (!answer.isTaken()) {
                figures.fault("halfTaken", path + " answers " + answer.status() + " after it was taken in");
            }
        }

        private void judge(String what, Answer answer, Map<String, Long> before) throws IOException {
            figures.add("files");
            if (answer.isTaken()) {
                figures.add("filesTaken");
            }
            if (answer.isFault()) {
                figures.fault("serverErrors", answer.status() + " to a " + what);
            }
            if (answer.seconds() > HANGS_SECONDS) {
                figures.fault("hangs", answer.seconds() + " s for a " + what);
            }
            if (answer.isRefused() && !isSaid(answer)) {
                figures.fault("unsaid", answer.status() + " to a " + what);
            }
            if (!answer.isTaken() && !rows().equals(before)) {
                figures.fault("halfTaken", "something of a " + what + " stays: " + before + " became " + rows());
            }
            try (Stream<Path> left = Files.list(data.resolve("temporary"))) {
                left.forEach(file -> figures.fault("halfTaken", "a temporary file stays after a " + what));
            }
        }

        private static boolean isSaid(Answer answer) {
            return answer.type().startsWith("application/problem+json")
                    && answer.json().hasNonNull("code")
                    && !answer.json().path("detail").asString("").isBlank();
        }

        /** The limits in force, passed by one byte. */
        void oneByteTooMany() throws IOException, InterruptedException {
            Map<String, Long> before = rows();
            String head = "----attack\r\nContent-Disposition: form-data; name=\"number\"\r\n\r\nlarge\r\n"
                    + "----attack\r\nContent-Disposition: form-data; name=\"title\"\r\n\r\nLarge\r\n"
                    + "----attack\r\nContent-Disposition: form-data; name=\"file\"; filename=\"a.png\"\r\n\r\n";
            long most = MOST_OF_A_PICTURE + 1;
            int picture = stream(
                    "/api/rolls/" + roll + "/frames",
                    "multipart/form-data; boundary=--attack",
                    new Flood(head, most, "\r\n----attack--\r\n"));
            int slateFile = stream("/api/imports", "application/json", new Flood("{", MOST_OF_A_SLATE + 1, "}"));
            for (int status : new int[] {picture, slateFile}) {
                figures.add("files");
                if (status != TOO_LARGE) {
                    figures.fault("unsaid", status + " to a file of one byte too many");
                }
            }
            if (!rows().equals(before)) {
                figures.fault("halfTaken", "something of a file that is too large stays");
            }
            roll = freshRoll();
            Answer largest = calls.upload(
                    "/api/rolls/" + roll + "/frames",
                    Bad.png(10_000, 10_000, 0, 10_000 * 10_001),
                    Map.of("number", "largest", "title", "Largest"));
            figures.add("files");
            if (largest.status() != TAKEN_IN) {
                figures.fault(
                        "unsaid",
                        largest.status() + " to a picture of just 100 megapixels: "
                                + largest.json().path("detail").asString(""));
            }
        }

        private int stream(String path, String type, InputStream body) throws IOException, InterruptedException {
            HttpRequest request = HttpRequest.newBuilder(URI.create(calls.address() + path))
                    .header("Content-Type", type)
                    .POST(BodyPublishers.ofInputStream(() -> body))
                    .build();
            try {
                return HttpClient.newHttpClient()
                        .send(request, BodyHandlers.discarding())
                        .statusCode();
            } catch (IOException e) {
                // It may answer and close before the last byte; what counts is that nothing of it stays.
                return TOO_LARGE;
            }
        }

        void lookAround() throws IOException {
            opens("/api/bench");
            opens("/api/rolls");
            opens("/api/rolls/" + roll);
        }
    }

    /** A head, very many blanks, and an end, without holding them. */
    private static final class Flood extends InputStream {
        private final byte[] head;
        private final byte[] end;
        private final long blanks;
        private long at;

        Flood(String head, long blanks, String end) {
            this.head = head.getBytes(StandardCharsets.US_ASCII);
            this.blanks = blanks;
            this.end = end.getBytes(StandardCharsets.US_ASCII);
        }

        @Override
        public int read() {
            long now = at++;
            if (now < head.length) {
                return head[(int) now];
            }
            if (now < head.length + blanks) {
                return ' ';
            }
            long past = now - head.length - blanks;
            return past < end.length ? end[(int) past] : -1;
        }

        @Override
        public int read(byte[] to, int from, int length) {
            if (at < head.length || at + length >= head.length + blanks) {
                int one = read();
                if (one < 0) {
                    return -1;
                }
                to[from] = (byte) one;
                return 1;
            }
            java.util.Arrays.fill(to, from, from + length, (byte) ' ');
            at += length;
            return length;
        }
    }
}
