package keyslate.server.log;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.LoggerContext;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.encoder.LayoutWrappingEncoder;
import ch.qos.logback.core.rolling.FixedWindowRollingPolicy;
import ch.qos.logback.core.rolling.RollingFileAppender;
import ch.qos.logback.core.rolling.SizeBasedTriggeringPolicy;
import ch.qos.logback.core.util.Duration;
import ch.qos.logback.core.util.FileSize;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Writes the log beside the data while a darkroom is open; its older half lies in a second file. */
@Component
class LogFile {
    static final String NAME = "key-slate.log";
    private static final String OLDER = ".1";
    private static final long HALF_BYTES = 1_000_000;

    private final Path file;
    private final RollingFileAppender<ILoggingEvent> appender = new RollingFileAppender<>();

    LogFile(@Value("${keyslate.data}") String data) {
        this.file = Path.of(data).resolve(NAME);
        LoggerContext context = (LoggerContext) LoggerFactory.getILoggerFactory();
        DiscreetLayout layout = new DiscreetLayout();
        layout.setContext(context);
        layout.start();
        LayoutWrappingEncoder<ILoggingEvent> encoder = new LayoutWrappingEncoder<>();
        encoder.setContext(context);
        encoder.setCharset(StandardCharsets.UTF_8);
        encoder.setLayout(layout);
        encoder.start();
        appender.setContext(context);
        appender.setName(file.toString());
        appender.setFile(file.toString());
        appender.setEncoder(encoder);
        FixedWindowRollingPolicy window = new FixedWindowRollingPolicy();
        window.setContext(context);
        window.setParent(appender);
        window.setMinIndex(1);
        window.setMaxIndex(1);
        window.setFileNamePattern(file + ".%i");
        window.start();
        SizeBasedTriggeringPolicy<ILoggingEvent> size = new SizeBasedTriggeringPolicy<>();
        size.setContext(context);
        // Looked at with every line: a flood of them must not be written past the limit.
        size.setCheckIncrement(Duration.buildByMilliseconds(0));
        size.setMaxFileSize(new FileSize(HALF_BYTES));
        size.start();
        appender.setRollingPolicy(window);
        appender.setTriggeringPolicy(size);
        appender.start();
        root().addAppender(appender);
    }

    private static Logger root() {
        return (Logger) LoggerFactory.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME);
    }

    /** Writes all of it, the older lines first. */
    void copy(OutputStream to) throws IOException {
        for (Path part : List.of(file.resolveSibling(NAME + OLDER), file)) {
            if (Files.exists(part)) {
                Files.copy(part, to);
            }
        }
    }

    @PreDestroy
    void close() {
        root().detachAppender(appender);
        appender.stop();
    }
}
