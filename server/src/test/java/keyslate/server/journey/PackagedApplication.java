package keyslate.server.journey;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** The packaged jar as a process of its own, as a user starts it; its lamp clock runs fast. */
final class PackagedApplication implements AutoCloseable {
    private static final long SOME_SLATES_BYTES = 12L << 20;
    private static final Path JAR = Path.of("target", "key-slate-app.jar");
    private final Process process;
    private final String address;

    private PackagedApplication(Process process, String address) {
        this.process = process;
        this.address = address;
    }

    /** Starts on a free port and returns when the application says where it is open. */
    static PackagedApplication start(Path data, String... options) {
        try {
            return startAt(freePort(), data, options);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Starts once more at the address it had; it must be closed or killed. */
    PackagedApplication again(Path data, String... options) {
        return startAt(Integer.parseInt(address.replaceFirst(".*:", "")), data, options);
    }

    private static PackagedApplication startAt(int port, Path data, String... options) {
        try {
            List<String> command =
                    new ArrayList<>(List.of(java(), "-Xmx512m", "-XX:+UseSerialGC", "-XX:TieredStopAtLevel=1", "-jar"));
            command.addAll(List.of(JAR.toString(), "--data", data.toString(), "--port", Integer.toString(port)));
            command.addAll(List.of(options));
            Process process = new ProcessBuilder(command)
                    .redirectError(
                            Files.createTempFile("key-slate-errors", ".txt").toFile())
                    .start();
            awaitOpen(process);
            return new PackagedApplication(process, "http://localhost:" + port);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Starts on an empty folder, and kills it when its data file has grown and the start is not over. */
    static void startAndKillWhileItOpens(Path data, Path file, String... options) {
        try {
            List<String> command = new ArrayList<>(List.of(java(), "-Xmx512m", "-jar", JAR.toString()));
            command.addAll(List.of("--data", data.toString(), "--port", Integer.toString(freePort())));
            command.addAll(List.of(options));
            Process process = new ProcessBuilder(command)
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start();
            Path log = file.resolveSibling(file.getFileName() + "-wal");
            while (process.isAlive() && (!Files.exists(log) || Files.size(log) < SOME_SLATES_BYTES)) {
                process.waitFor(20, java.util.concurrent.TimeUnit.MILLISECONDS);
            }
            process.destroyForcibly().waitFor();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Runs a command to its end; what it said. */
    static String says(String... arguments) {
        try {
            List<String> command = new ArrayList<>(List.of(java(), "-XX:TieredStopAtLevel=1", "-jar", JAR.toString()));
            command.addAll(List.of(arguments));
            Process process =
                    new ProcessBuilder(command).redirectErrorStream(true).start();
            String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            process.onExit().join();
            return said;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static Path emptyFolder() {
        try {
            return Files.createTempDirectory("key-slate-journey");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    String address() {
        return address;
    }

    /** {@code kill -9}: nothing gets a chance to tidy up. */
    void kill() {
        process.destroyForcibly();
        process.onExit().join();
    }

    @Override
    public void close() {
        process.destroy();
        process.onExit().join();
    }

    private static void awaitOpen(Process process) throws IOException {
        BufferedReader words = process.inputReader();
        for (String line = words.readLine(); line != null; line = words.readLine()) {
            if (line.startsWith("Key Slate is open at")) {
                Thread drain = new Thread(() -> words.lines().forEach(l -> {}));
                drain.setDaemon(true);
                drain.start();
                return;
            }
        }
        throw new IllegalStateException("The application ended before it was open; is " + JAR + " packaged?");
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    private static String java() {
        return Path.of(System.getProperty("java.home"), "bin", "java").toString();
    }
}
