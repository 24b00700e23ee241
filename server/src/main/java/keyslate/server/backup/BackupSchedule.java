package keyslate.server.backup;

import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/** Looks every few minutes whether a copy is due. */
@Component
class BackupSchedule implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(BackupSchedule.class);
    private static final int FIRST_SECONDS = 60;
    private static final int EVERY_SECONDS = 600;

    private final BackupService backups;
    private ScheduledExecutorService clockwork;

    BackupSchedule(BackupService backups) {
        this.backups = backups;
    }

    @Override
    public void start() {
        clockwork = Executors.newSingleThreadScheduledExecutor(work -> {
            Thread thread = new Thread(work, "backups");
            thread.setDaemon(true);
            return thread;
        });
        clockwork.scheduleWithFixedDelay(this::look, FIRST_SECONDS, EVERY_SECONDS, TimeUnit.SECONDS);
    }

    /** What is thrown here would end the schedule for good. */
    private void look() {
        try {
            backups.makeIfDue();
        } catch (RuntimeException e) {
            LOG.error("No backup could be made", e);
        }
    }

    @Override
    public void stop() {
        clockwork.shutdownNow();
        clockwork = null;
    }

    @Override
    public boolean isRunning() {
        return clockwork != null;
    }
}
