package keyslate.server;

import java.nio.file.Path;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;

/** An application of its own on a folder of its own, for tests that need more than one or start one anew. */
public final class Started implements AutoCloseable {
    private final ConfigurableApplicationContext context;

    private Started(ConfigurableApplicationContext context) {
        this.context = context;
    }

    public static Started on(Path folder, boolean demo) {
        return new Started(new SpringApplicationBuilder(Darkroom.class, HandTimer.class)
                .run(
                        "--keyslate.data=" + folder,
                        "--keyslate.demo=" + demo,
                        "--keyslate.practice=" + demo,
                        "--server.port=0",
                        "--spring.main.banner-mode=off",
                        "--spring.jmx.enabled=false"));
    }

    public Http http() {
        return new Http("http://localhost:" + context.getEnvironment().getProperty("local.server.port"));
    }

    public <T> T part(Class<T> type) {
        return context.getBean(type);
    }

    @Override
    public void close() {
        context.close();
    }
}
