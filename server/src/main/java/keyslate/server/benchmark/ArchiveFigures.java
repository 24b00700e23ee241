package keyslate.server.benchmark;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import keyslate.server.demo.Crowd;
import org.springframework.context.ApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Years of rolls: how fast a frame is found among them, how their proof sheets scroll, and how long a large scan takes to come in. */
final class ArchiveFigures {
    private static final List<String> LOOKED = List.of(
            "words=shelf",
            "words=shelf%2040/12",
            "words=window%20medium",
            "rating=NONE",
            "printed=true",
            "printed=false&words=roll",
            "lightFrom=grade%202&lightTo=grade%203",
            "lightFrom=0/0/0&lightTo=0/100/100",
            "fromDay=2020-01-01&toDay=2030-01-01&words=roll%20110",
            "words=nowhere");
    private static final int PAGES = 10;
    private static final int WIDTH = 6000;
    private static final int HEIGHT = 4000;
    private static final String BOUNDARY = "key-slate-bench";

    /** Asks for older rolls so many times, then scrolls by steps and answers the longest time between two frames, in ms. */
    private static final String SCROLL = """
            new Promise(async done => {
              const wait = ms => new Promise(r => setTimeout(r, ms));
              for (let i = 0; i < %d; i++) {
                let more;
                while (!(more = [...document.querySelectorAll('button.more')].find(b => !b.disabled))) await wait(50);
                const before = document.querySelectorAll('.proof').length;
                more.click();
                while (document.querySelectorAll('.proof').length === before) await wait(50);
              }
              await wait(1500);
              const main = document.querySelector('.rolls-main');
              let worst = 0, last = performance.now(), steps = 0;
              const step = () => {
                const now = performance.now();
                if (steps > 0) worst = Math.max(worst, now - last);
                last = now;
                main.scrollTop += 180;
                if (++steps < 200) requestAnimationFrame(step); else done(worst);
              };
              requestAnimationFrame(step);
            })
            """.formatted(PAGES);

    private ArchiveFigures() {}

    /** Makes the years of rolls in an application with demo data, and measures; it is not as it was afterwards. */
    static void add(ApplicationContext context, String base, Map<String, Double> figures)
            throws IOException, InterruptedException {
        HttpClient http = HttpClient.newHttpClient();
        figures.put("import24MpTiffSeconds", importOf(http, base));
        context.getBean(Crowd.class).make(Crowd.Size.YEARS);
        AtomicInteger turn = new AtomicInteger();
        RequestFigures.best("search5000Frames", figures, () -> {
            String looked = LOOKED.get(turn.getAndIncrement() % LOOKED.size());
            taken(http.send(
                    HttpRequest.newBuilder(URI.create(base + "/api/search?" + looked))
                            .build(),
                    HttpResponse.BodyHandlers.ofString()));
        });
        scroll(base, figures);
    }

    private static void scroll(String base, Map<String, Double> figures) throws IOException, InterruptedException {
        Optional<Chromium> opened = Chromium.open(1280, 887);
        if (opened.isEmpty()) {
            System.err.println("rollsScrollLongestFrameMs is skipped: Chromium is not installed.");
            return;
        }
        try (Chromium browser = opened.get()) {
            browser.ask("Page.navigate", Map.of("url", base + "/rolls"));
            figures.put("rollsScrollLongestFrameMs", browser.evaluate(SCROLL).asDouble());
        }
    }

    private static String taken(HttpResponse<String> response) throws IOException {
        if (response.statusCode() >= 300) {
            throw new IOException(response.uri() + " answered " + response.statusCode() + ": " + response.body());
        }
        return response.body();
    }

    /** From the first byte of a 16-bit colour TIFF of 24 megapixels to the frame it has become. */
    private static double importOf(HttpClient http, String base) throws IOException, InterruptedException {
        String roll = "{\"title\": \"Large\", \"film\": \"\", \"longMm\": 36, \"shortMm\": 24}";
        JsonNode made = JsonMapper.shared()
                .readTree(taken(http.send(
                        HttpRequest.newBuilder(URI.create(base + "/api/rolls"))
                                .header("Content-Type", "application/json")
                                .POST(BodyPublishers.ofString(roll))
                                .build(),
                        HttpResponse.BodyHandlers.ofString())));
        Path file = Files.createTempFile("key-slate-bench", ".tif");
        try {
            write(file);
            HttpRequest request = HttpRequest.newBuilder(
                            URI.create(base + "/api/rolls/" + made.get("id").asString() + "/frames"))
                    .header("Content-Type", "multipart/form-data; boundary=" + BOUNDARY)
                    .POST(BodyPublishers.concat(
                            BodyPublishers.ofString("--" + BOUNDARY + "\r\nContent-Disposition: form-data;"
                                    + " name=\"file\"; filename=\"large.tif\"\r\n\r\n"),
                            BodyPublishers.ofFile(file),
                            BodyPublishers.ofString("\r\n--" + BOUNDARY + "--\r\n")))
                    .build();
            long start = System.nanoTime();
            taken(http.send(request, HttpResponse.BodyHandlers.ofString()));
            return (System.nanoTime() - start) / 1e9;
        } finally {
            Files.deleteIfExists(file);
        }
    }

    /** Row by row, so that it need not be held: a soft ramp with grain. */
    private static void write(Path file) throws IOException {
        int depths = 8 + 2 + 9 * 12 + 4;
        // Tag, type (3 = short, 4 = long), count, value or place; see TIFF 6.0.
        int[][] entries = {
            {256, 4, 1, WIDTH},
            {257, 4, 1, HEIGHT},
            {258, 3, 3, depths},
            {259, 4, 1, 1},
            {262, 4, 1, 2},
            {273, 4, 1, depths + 6},
            {277, 4, 1, 3},
            {278, 4, 1, HEIGHT},
            {279, 4, 1, 6 * WIDTH * HEIGHT}
        };
        ByteBuffer head = ByteBuffer.allocate(depths + 6).order(ByteOrder.LITTLE_ENDIAN);
        head.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(8).putShort((short) entries.length);
        for (int[] entry : entries) {
            head.putShort((short) entry[0])
                    .putShort((short) entry[1])
                    .putInt(entry[2])
                    .putInt(entry[3]);
        }
        head.putInt(0).putShort((short) 16).putShort((short) 16).putShort((short) 16);
        Random grain = new Random(1);
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
            out.write(head.array());
            ByteBuffer row = ByteBuffer.allocate(6 * WIDTH).order(ByteOrder.LITTLE_ENDIAN);
            for (int y = 0; y < HEIGHT; y++) {
                row.clear();
                for (int x = 0; x < 3 * WIDTH; x++) {
                    row.putShort((short) (10 * (x / 3) % 60_000 + grain.nextInt(3000)));
                }
                out.write(row.array());
            }
        }
    }
}
