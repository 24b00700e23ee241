package keyslate.server;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import keyslate.server.print.EnlargerTimer;
import keyslate.server.print.EnlargerTimers;
import org.springframework.context.annotation.Primary;

/** Timers whose time passes when the test says so, one for each enlarger. No component: only who asks for it gets it. */
@Primary
public class HandTimer implements EnlargerTimers {
    private final Map<String, Lamp> lamps = new ConcurrentHashMap<>();

    @Override
    public EnlargerTimer of(String enlargerId) {
        return lamps.computeIfAbsent(enlargerId, id -> new Lamp());
    }

    /** Lets seconds pass for every lamp that is lit; each goes off by itself when its time is up. */
    public void pass(double seconds) {
        lamps.values().forEach(lamp -> lamp.pass(seconds));
    }

    /** Every lamp off, before its time. */
    public void off() {
        lamps.values().forEach(Lamp::off);
    }

    private static final class Lamp implements EnlargerTimer {
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
            end(elapsed, false);
        }

        private void pass(double seconds) {
            elapsed = Math.min(set, elapsed + seconds);
            if (elapsed >= set) {
                end(set, true);
            }
        }

        private void end(double given, boolean complete) {
            if (whenOff != null) {
                WhenOff told = whenOff;
                whenOff = null;
                told.off(given, complete);
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
}
