package keyslate.server.slate;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.util.List;
import keyslate.server.ApplicationTest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.JdbcTemplate;

/** How often the data file is asked: as often for a slate with many sheets as for one with few. */
class QueriesHttpTest extends ApplicationTest {
    private final Logger statements = (Logger) LoggerFactory.getLogger(JdbcTemplate.class);
    private final ListAppender<ILoggingEvent> told = new ListAppender<>();
    private Level before;

    @BeforeEach
    void listen() {
        before = statements.getLevel();
        statements.setLevel(Level.DEBUG);
        told.start();
        statements.addAppender(told);
    }

    @AfterEach
    void stopListening() {
        statements.detachAppender(told);
        statements.setLevel(before);
    }

    @Test
    void moreSheetsDoNotMeanMoreQueries() {
        String slate = http().newSlate("Window shelf");
        exposeAndHang(begin(slate, "STRIP"));
        exposeAndHang(begin(slate, "PRINT"));
        List<Integer> few = List.of(asked(() -> http().slate(slate)), asked(() -> edit(slate, 8)));
        for (int i = 0; i < 3; i++) {
            exposeAndHang(begin(slate, "STRIP"));
            exposeAndHang(begin(slate, "PRINT"));
        }
        assertThat(List.of(asked(() -> http().slate(slate)), asked(() -> edit(slate, 9))))
                .isEqualTo(few);
        assertThat(few).allSatisfy(n -> assertThat(n).isPositive());
    }

    private void edit(String slate, int border) {
        assertThat(http().edit(slate, "setup/borderMm", border).status()).isEqualTo(200);
    }

    private int asked(Runnable request) {
        told.list.clear();
        request.run();
        return (int) told.list.stream()
                .filter(e -> e.getFormattedMessage().startsWith("Executing prepared SQL"))
                .filter(e -> e.getFormattedMessage().contains("["))
                .count();
    }
}
