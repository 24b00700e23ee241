package keyslate.server.benchmark;

import java.io.IOException;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicBoolean;
import keyslate.server.print.EnlargerTimer;

/** How exactly the timer switches the lamp off: alone, and while previews are computed all the time. */
final class TimerFigures {
    static final int BURSTS = 500;
    private static final int BURSTS_ALONE = 100;
    private static final double SET_SECONDS = 0.5;
    private static final double NANOS_PER_MS = 1e6;
    private static final double MS_PER_SECOND = 1000;

    private TimerFigures() {}

    static void add(EnlargerTimer timer, RequestFigures requests, Map<String, Double> figures)
            throws InterruptedException {
        double[] alone = errors(timer, BURSTS_ALONE);
        figures.put("timerErrorMedianMs", RequestFigures.rank(alone, 0.5));
        figures.put("timerErrorP99Ms", RequestFigures.rank(alone, 0.99));
        AtomicBoolean enough = new AtomicBoolean();
        Thread busy = new Thread(() -> askUntil(enough, requests), "previews");
        busy.start();
        double[] beside = errors(timer, BURSTS);
        enough.set(true);
        busy.join();
        figures.put("timerErrorBesidePreviewsP99Ms", RequestFigures.rank(beside, 0.99));
    }

    private static void askUntil(AtomicBoolean enough, RequestFigures requests) {
        while (!enough.get()) {
            try {
                requests.preview();
            } catch (IOException e) {
                throw new java.io.UncheckedIOException(e);
            } catch (InterruptedException e) {
                return;
            }
        }
    }

    /** By how many milliseconds each burst was longer or shorter than set, without sign. */
    private static double[] errors(EnlargerTimer timer, int bursts) {
        double[] errors = new double[bursts];
        for (int i = 0; i < bursts; i++) {
            CompletableFuture<Long> off = new CompletableFuture<>();
            long on = System.nanoTime();
            timer.on(SET_SECONDS, (given, complete) -> off.complete(System.nanoTime()));
            errors[i] = Math.abs((off.join() - on) / NANOS_PER_MS - SET_SECONDS * MS_PER_SECOND);
        }
        return errors;
    }
}
