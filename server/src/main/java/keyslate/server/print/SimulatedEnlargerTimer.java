package keyslate.server.print;

import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;

/** Stands in for a real timer: keeps time and tells when the lamp would go off. Its clock may run faster, for practice and tests. */
class SimulatedEnlargerTimer implements EnlargerTimer {
    private static final double NANOS = 1e9;

    private final double speed;
    private final ScheduledExecutorService clock;
    private long onSince;
    private double setSeconds;
    private WhenOff whenOff;
    private ScheduledFuture<?> end;

    /**
     * A timer.
     *
     * @param clock ends its bursts; nothing else may keep it busy
     */
    SimulatedEnlargerTimer(double speed, ScheduledExecutorService clock) {
        this.speed = speed;
        this.clock = clock;
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
}
