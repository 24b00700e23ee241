package keyslate.server;

import keyslate.server.print.EnlargerTimer;
import org.springframework.context.annotation.Primary;
import org.springframework.stereotype.Component;

/** A timer whose time passes when the test says so. */
@Component
@Primary
public class HandTimer implements EnlargerTimer {
    private double set;
    private double elapsed;
    private WhenOff whenOff;

    @Override
    public void on(double seconds, WhenOff told) {
        if (whenOff != null) {
            throw new IllegalStateException("the lamp is on already");
        }
        set = seconds;
        elapsed = 0;
        whenOff = told;
    }

    @Override
    public void off() {
        if (whenOff != null) {
            WhenOff told = whenOff;
            whenOff = null;
            told.off(elapsed, false);
        }
    }

    /** Lets seconds pass; the lamp goes off by itself when its time is up. */
    public void pass(double seconds) {
        elapsed = Math.min(set, elapsed + seconds);
        if (whenOff != null && elapsed >= set) {
            WhenOff told = whenOff;
            whenOff = null;
            told.off(set, true);
        }
    }

    @Override
    public double elapsedSeconds() {
        return whenOff == null ? 0 : elapsed;
    }

    @Override
    public double clockSpeed() {
        return 1;
    }
}
