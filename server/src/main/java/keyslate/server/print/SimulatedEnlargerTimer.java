package keyslate.server.print;

import jakarta.annotation.PreDestroy;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Stands in for a real timer: keeps time and tells when the lamp would go off. Its clock may run faster, for practice and tests. */
@Component
class SimulatedEnlargerTimer implements EnlargerTimer {
    private static final double NANOS = 1e9;

    private final double speed;
    private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "enlarger-timer");
        thread.setDaemon(true);
        return thread;
    });
    private long onSince;
    private double setSeconds;
    private WhenOff whenOff;
    private ScheduledFuture<?> end;

    SimulatedEnlargerTimer(@Value("${keyslate.clock-speed:1}") double speed) {
        this.speed = speed;
    }

    @Override
    public synchronized void on(double seconds, WhenOff told) {
        if (whenOff != null) {
            throw new IllegalStateException("the lamp is on already");
        }
        setSeconds = seconds;
        whenOff = told;
        onSince = System.nanoTime();
        end = clock.schedule(this::finish, (long) (seconds / speed * NANOS), TimeUnit.NANOSECONDS);
    }

    @Override
    public void off() {
        WhenOff told;
        double given;
        synchronized (this) {
            if (whenOff == null) {
                return;
            }
            end.cancel(false);
            given = Math.min(setSeconds, elapsedSeconds());
            told = clear();
        }
        told.off(given, given >= setSeconds);
    }

    @Override
    public synchronized double elapsedSeconds() {
        return whenOff == null ? 0 : (System.nanoTime() - onSince) / NANOS * speed;
    }

    @Override
    public double clockSpeed() {
        return speed;
    }

    private void finish() {
        WhenOff told;
        double given;
        synchronized (this) {
            if (whenOff == null) {
                return;
            }
            given = setSeconds;
            told = clear();
        }
        told.off(given, true);
    }

    private WhenOff clear() {
        WhenOff told = whenOff;
        whenOff = null;
        return told;
    }

    @PreDestroy
    void close() {
        clock.shutdownNow();
    }
}
