package keyslate.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.SpringBootTest.WebEnvironment;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.context.annotation.Import;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import tools.jackson.databind.json.JsonMapper;

/** The started application on demo data, its lamp clock a thousand times fast; one for all tests of this kind. */
@SpringBootTest(
        classes = Darkroom.class,
        webEnvironment = WebEnvironment.RANDOM_PORT,
        properties = {
            "keyslate.demo=true",
            "keyslate.clock-speed=1000",
            "springdoc.default-produces-media-type=application/json",
            "springdoc.writer-with-order-by-keys=true"
        })
@Import(ApiDescription.class)
abstract class ApplicationTest {
    private static final Path DATA = temporary();

    @LocalServerPort
    private int port;

    @Autowired
    private JsonMapper mapper;

    @DynamicPropertySource
    static void data(DynamicPropertyRegistry properties) {
        properties.add("keyslate.data", DATA::toString);
    }

    String base() {
        return "http://localhost:" + port;
    }

    JsonMapper mapper() {
        return mapper;
    }

    private static Path temporary() {
        try {
            return Files.createTempDirectory("key-slate-test");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
