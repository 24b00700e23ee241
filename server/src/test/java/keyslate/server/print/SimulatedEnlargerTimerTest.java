package keyslate.server.print;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

/** The stand-in for a timer: one lamp, off by itself when its time is up, off at once when told. */
class SimulatedEnlargerTimerTest {
    private static final ScheduledExecutorService CLOCK = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "timer of a test");
        thread.setDaemon(true);
        return thread;
    });
    private static final long PATIENCE_SECONDS = 20;
    private final SimulatedEnlargerTimer timer = new SimulatedEnlargerTimer(1000, CLOCK);
    private final CompletableFuture<Double> given = new CompletableFuture<>();
    private final CompletableFuture<Boolean> complete = new CompletableFuture<>();

    @Test
    void goesOffByItselfAfterTheSetSeconds() throws Exception {
        timer.on(5, this::off);
        assertThat(complete.get(PATIENCE_SECONDS, TimeUnit.SECONDS)).isTrue();
        assertThat(given.get()).isEqualTo(5);
        assertThat(timer.elapsedSeconds()).isZero();
    }

    @Test
    void goesOffAtOnceWhenToldAndSaysWhatItGave() throws Exception {
        timer.on(36_000, this::off);
        assertThat(timer.elapsedSeconds()).isBetween(0.0, 36_000.0);
        timer.off();
        assertThat(complete.get()).isFalse();
        assertThat(given.get()).isBetween(0.0, 36_000.0);
        timer.off();
    }

    @Test
    void refusesASecondBurstWhileItIsOn() {
        timer.on(36_000, this::off);
        assertThatThrownBy(() -> timer.on(1, this::off)).hasMessageContaining("on already");
    }

    private void off(double seconds, boolean all) {
        given.complete(seconds);
        complete.complete(all);
    }
}
