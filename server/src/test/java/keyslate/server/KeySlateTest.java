package keyslate.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Started wrongly, it says in one line what is wrong and ends with an error. */
class KeySlateTest {
    @TempDir
    private Path folder;

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    --colour           | It does not know “--colour”
                    --port eight       | --port needs a number from 1 to 65535
                    --port 70000       | --port needs a number from 1 to 65535
                    --data             | --data needs a value
                    --clock-speed 0    | --clock-speed needs a number from 1 to 1000
                    --data /proc/self  | cannot be written
                    """)
    void refusesToStart(String arguments, String message) throws Exception {
        assertThat(start(arguments.split(" ")))
                .contains("Key Slate cannot start.")
                .contains(message);
    }

    @Test
    void saysThatThePortIsTaken() throws Exception {
        try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getByName("127.0.0.1"))) {
            String port = Integer.toString(taken.getLocalPort());
            assertThat(start("--data", folder.toString(), "--port", port))
                    .contains("Port " + port + " is taken by another program");
        }
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    restore                        | --from FILE says which backup to put back.
                    restore --from none            | There is no file none.
                    backup --to                    | --to needs a value.
                    attack --part tea              | There is no part “tea” of the attack; there are kills,
                    trial --n 0                    | --n needs a number from 1
                    bench --loud                   | It does not know “--loud”
                    """)
    void refusesACommand(String arguments, String message) throws Exception {
        assertThat(start(arguments.split(" "))).startsWith(message);
    }

    /** Why a data file is not opened is one sentence, without a word of the machinery. */
    @Test
    void saysThatTheDataFileIsDamaged() throws Exception {
        Files.writeString(folder.resolve("key-slate.db"), "no data file ".repeat(1000));
        String port = Integer.toString(freePort());
        assertThat(start("--data", folder.toString(), "--port", port))
                .startsWith("Key Slate cannot start. The data file")
                .contains("is damaged")
                .hasLineCount(1);
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    private static String start(String... arguments) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty("java.class.path"),
                KeySlate.class.getName()));
        command.addAll(List.of(arguments));
        Process process = new ProcessBuilder(command)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        String errors = new String(process.getErrorStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).isEqualTo(1);
        return errors;
    }
}
