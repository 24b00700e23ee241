package keyslate.server.attack;

import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.management.ManagementFactory;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import keyslate.server.KeySlate;

/** The application as a process of its own on a folder of its own, listening on loopback. */
final class Target implements AutoCloseable {
    private static final double BYTES_PER_MB_IN_KB = 1024;

    private final Process process;
    private final Calls calls;
    private final double startSeconds;

    private Target(Process process, Calls calls, double startSeconds) {
        this.process = process;
        this.calls = calls;
        this.startSeconds = startSeconds;
    }

    /**
     * Starts it, and returns when it says where it is open.
     *
     * @throws IllegalStateException when it ends before
     */
    static Target start(Path folder, String... options) {
        long begun = System.nanoTime();
        try {
            int port = freePort();
            List<String> command = new ArrayList<>(program());
            command.addAll(List.of("--data", folder.toString(), "--port", Integer.toString(port)));
            command.addAll(List.of(options));
            File errors =
                    folder.resolveSibling(folder.getFileName() + ".errors").toFile();
            Process process = new ProcessBuilder(command)
                    .redirectError(ProcessBuilder.Redirect.appendTo(errors))
                    .start();
            awaitOpen(process, errors.toPath());
            return new Target(process, new Calls("http://localhost:" + port), (System.nanoTime() - begun) / 1e9);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** How this very program is started once more. */
    private static List<String> program() {
        String java = Path.of(System.getProperty("java.home"), "bin", "java").toString();
        // Where tests run it, their own parts must not take the place of the application's.
        String from = Arrays.stream(System.getProperty("java.class.path").split(File.pathSeparator))
                .filter(entry -> !entry.endsWith("test-classes"))
                .collect(Collectors.joining(File.pathSeparator));
        boolean packed = KeySlate.class
                .getProtectionDomain()
                .getCodeSource()
                .getLocation()
                .toString()
                .startsWith("jar:nested");
        // With the same memory and the same archive of classes; agents that measure this program have no business
        // there.
        List<String> command = new ArrayList<>(List.of(java));
        ManagementFactory.getRuntimeMXBean().getInputArguments().stream()
                .filter(a -> a.startsWith("-X"))
                .forEach(command::add);
        command.addAll(packed ? List.of("-jar", from) : List.of("-cp", from, KeySlate.class.getName()));
        return command;
    }

    private static void awaitOpen(Process process, Path errors) throws IOException {
        BufferedReader words = process.inputReader();
        for (String line = words.readLine(); line != null; line = words.readLine()) {
            if (line.startsWith("Key Slate is open at")) {
                Thread drain = new Thread(() -> words.lines().forEach(l -> {}), "output of a target");
                drain.setDaemon(true);
                drain.start();
                return;
            }
        }
        throw new IllegalStateException("The application did not open: " + Files.readString(errors));
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    Calls calls() {
        return calls;
    }

    double startSeconds() {
        return startSeconds;
    }

    /** The most memory it ever held, where the system tells. */
    OptionalDouble mostMegabytes() {
        try {
            return Files.readAllLines(Path.of("/proc", Long.toString(process.pid()), "status")).stream()
                    .filter(line -> line.startsWith("VmHWM:"))
                    .mapToDouble(line -> Double.parseDouble(line.replaceAll("\\D", "")) / BYTES_PER_MB_IN_KB)
                    .findFirst();
        } catch (IOException e) {
            return OptionalDouble.empty();
        }
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
}
