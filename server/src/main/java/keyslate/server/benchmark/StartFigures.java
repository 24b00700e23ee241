package keyslate.server.benchmark;

import java.io.BufferedReader;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/**
 * How long a start takes with data that is there: a second program of the same kind, from its call to its word that it
 * is open.
 */
final class StartFigures {
    private static final String OPEN = "Key Slate is open";
    private static final double NANOS_PER_SECOND = 1e9;

    private StartFigures() {}

    /** Adds nothing where the system does not tell how this program was called. */
    static void add(Path data, Map<String, Double> figures) throws IOException, InterruptedException {
        ProcessHandle.Info self = ProcessHandle.current().info();
        if (self.command().isEmpty() || self.arguments().isEmpty()) {
            return;
        }
        List<String> command = new ArrayList<>(List.of(self.command().get()));
        Arrays.stream(self.arguments().get())
                .takeWhile(argument -> !"bench".equals(argument))
                .forEach(command::add);
        command.addAll(List.of("--demo", "--data", data.toString(), "--port", Integer.toString(freePort())));
        long start = System.nanoTime();
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        try (BufferedReader says = process.inputReader()) {
            boolean open = says.lines().anyMatch(line -> line.startsWith(OPEN));
            if (!open) {
                throw new IOException("the second program did not start");
            }
            figures.put("startSeconds", (System.nanoTime() - start) / NANOS_PER_SECOND);
        } finally {
            process.destroy();
            process.waitFor();
        }
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }
}
