package keyslate.server.benchmark;

import java.io.File;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * One colour lookup (-clut) of a 960 × 640 RGB picture by ImageMagick, in one thread. Start and reading are taken out:
 * a run with many lookups less a run with one, over their number, the least of several.
 */
final class ImageMagickLookup {
    private static final int WIDTH = 960;
    private static final int HEIGHT = 640;
    private static final int LOOKUPS = 21;
    private static final int REPEATS = 5;
    private static final double NANOS_PER_MS = 1e6;

    private ImageMagickLookup() {}

    /** Milliseconds a lookup; empty where ImageMagick is not installed. */
    static OptionalDouble milliseconds() throws IOException, InterruptedException {
        Optional<String> program = program();
        if (program.isEmpty()) {
            return OptionalDouble.empty();
        }
        Path folder = Files.createTempDirectory("key-slate-lookup");
        Path picture = pixels(folder.resolve("picture.ppm"), WIDTH, HEIGHT);
        Path table = pixels(folder.resolve("table.ppm"), 256, 1);
        try {
            double best = Double.MAX_VALUE;
            for (int i = 0; i < REPEATS; i++) {
                double one = run(program.get(), picture, table, 1);
                double many = run(program.get(), picture, table, LOOKUPS);
                best = Math.min(best, (many - one) / (LOOKUPS - 1));
            }
            return OptionalDouble.of(best);
        } finally {
            Files.delete(picture);
            Files.delete(table);
            Files.delete(folder);
        }
    }

    /** ImageMagick under either of its names; other programs of these names do not say so. */
    private static Optional<String> program() throws IOException, InterruptedException {
        List<String> candidates = Stream.of("magick", "convert")
                .flatMap(name -> Arrays.stream(System.getenv("PATH").split(File.pathSeparator))
                        .map(folder -> Path.of(folder, name)))
                .filter(Files::isExecutable)
                .map(Path::toString)
                .toList();
        for (String candidate : candidates) {
            Process process = new ProcessBuilder(candidate, "-version")
                    .redirectErrorStream(true)
                    .start();
            String says = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            if (process.waitFor() == 0 && says.startsWith("Version: ImageMagick")) {
                return Optional.of(candidate);
            }
        }
        return Optional.empty();
    }

    private static double run(String program, Path picture, Path table, int lookups)
            throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(program, picture.toString()));
        Collections.nCopies(lookups, List.of(table.toString(), "-clut")).forEach(command::addAll);
        command.add("null:");
        ProcessBuilder builder = new ProcessBuilder(command).inheritIO();
        builder.environment().put("MAGICK_THREAD_LIMIT", "1");
        long start = System.nanoTime();
        if (builder.start().waitFor() != 0) {
            throw new IOException(program + " failed");
        }
        return (System.nanoTime() - start) / NANOS_PER_MS;
    }

    /** A portable pixmap (PPM) whose bytes wander over all codes. */
    private static Path pixels(Path file, int width, int height) throws IOException {
        byte[] rgb = new byte[3 * width * height];
        for (int i = 0; i < rgb.length; i++) {
            rgb[i] = (byte) (128 + 100 * Math.sin(i / 37.0) + i % 27);
        }
        try (OutputStream out = Files.newOutputStream(file)) {
            out.write(("P6\n" + width + " " + height + "\n255\n").getBytes(StandardCharsets.US_ASCII));
            out.write(rgb);
        }
        return file;
    }
}
