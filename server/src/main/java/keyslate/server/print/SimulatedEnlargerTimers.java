package keyslate.server.print;

import jakarta.annotation.PreDestroy;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Simulated timers, one for each enlarger of the practice darkroom. */
@Component
class SimulatedEnlargerTimers implements EnlargerTimers {
    private final double speed;
    private final Map<String, EnlargerTimer> timers = new ConcurrentHashMap<>();
    private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "enlarger-timer");
        thread.setDaemon(true);
        thread.setPriority(Thread.MAX_PRIORITY);
        return thread;
    });

    SimulatedEnlargerTimers(@Value("${keyslate.clock-speed:1}") double speed) {
        this.speed = speed;
    }

    @Override
    public EnlargerTimer of(String enlargerId) {
        return timers.computeIfAbsent(enlargerId, id -> new SimulatedEnlargerTimer(speed, clock));
    }

    @PreDestroy
    void close() {
        clock.shutdownNow();
    }
}
