package keyslate.server.attack;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import keyslate.server.Darkroom;
import keyslate.server.demo.Crowd;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;

/** The application in this very process: for bulk work through its use cases, and where its data file is put under a limit. */
final class Here implements AutoCloseable {
    private final ConfigurableApplicationContext context;

    private Here(ConfigurableApplicationContext context) {
        this.context = context;
    }

    /** Opens the practice darkroom of a folder on a free port, silently. */
    static Here start(Path folder) {
        List<String> arguments = List.of(
                "--keyslate.data=" + folder,
                "--keyslate.demo=true",
                "--keyslate.practice=true",
                "--keyslate.clock-speed=20",
                "--server.port=0",
                "--logging.level.root=off",
                "--logging.level.keyslate=off");
        return new Here(new SpringApplicationBuilder(Darkroom.class).run(arguments.toArray(String[]::new)));
    }

    /** Makes the demo data in an empty folder, with boxes that never end. */
    static Path stocked(Path folder) throws IOException {
        Files.createDirectories(folder);
        try (Here here = start(folder)) {
            here.part(Crowd.class).stock();
        }
        return folder;
    }

    Calls calls() {
        return new Calls("http://localhost:" + context.getEnvironment().getProperty("local.server.port"));
    }

    <T> T part(Class<T> type) {
        return context.getBean(type);
    }

    @Override
    public void close() {
        context.close();
    }
}
