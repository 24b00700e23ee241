package keyslate.server.log;

import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.classic.spi.IThrowableProxy;
import ch.qos.logback.classic.spi.StackTraceElementProxy;
import ch.qos.logback.classic.spi.ThrowableProxy;
import ch.qos.logback.core.LayoutBase;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import keyslate.store.StorageException;

/**
 * What happened and where in the program, but no text that came from outside it: this program's own lines as they are, of other
 * libraries' lines only who said something, and of an error its class and its frames. A message of an error is kept where only the disk or
 * the data file can have written it.
 */
final class DiscreetLayout extends LayoutBase<ILoggingEvent> {
    private static final String OWN = "keyslate.";
    /** They speak of the data file and of connections only. */
    private static final List<String> TRUSTED = List.of(OWN, "org.flywaydb.", "com.zaxxer.hikari.");

    private static final int MOST_FRAMES = 30;

    @Override
    public String doLayout(ILoggingEvent event) {
        StringBuilder line = new StringBuilder();
        String logger = event.getLoggerName();
        boolean trusted = TRUSTED.stream().anyMatch(logger::startsWith);
        line.append(Instant.ofEpochMilli(event.getTimeStamp()))
                .append(' ')
                .append(event.getLevel())
                .append(' ')
                .append(logger.substring(logger.lastIndexOf('.') + 1))
                .append(trusted ? ": " + event.getFormattedMessage() : "")
                .append('\n');
        for (IThrowableProxy error = event.getThrowableProxy(); error != null; error = error.getCause()) {
            line.append("  ")
                    .append(error.getClassName())
                    .append(message(error))
                    .append('\n');
            StackTraceElementProxy[] frames = error.getStackTraceElementProxyArray();
            for (int i = 0; i < Math.min(MOST_FRAMES, frames.length); i++) {
                line.append("    ").append(frames[i].getSTEAsString()).append('\n');
            }
        }
        return line.toString();
    }

    private static String message(IThrowableProxy proxy) {
        Throwable error = proxy instanceof ThrowableProxy known ? known.getThrowable() : null;
        boolean plain = isOfTheDataFile(error) || error instanceof IOException || error instanceof StorageException;
        return plain ? ": " + error.getMessage() : "";
    }

    private static boolean isOfTheDataFile(Throwable error) {
        return error != null && error.getClass().getName().startsWith("org.sqlite.");
    }
}
