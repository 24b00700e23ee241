package keyslate.server.preview;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import keyslate.server.web.ConflictException;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

/** One preview of a slate runs, one waits, the newest takes the place of the one that waits. */
@Timeout(30)
class NewestWinsTest {
    private final NewestWins newest = new NewestWins();
    private final ExecutorService browsers = Executors.newCachedThreadPool();
    private final CountDownLatch mayEnd = new CountDownLatch(1);

    @AfterEach
    void close() {
        browsers.shutdownNow();
    }

    @Test
    void aQuietSlateAnswersAtOnceAndKeepsNothing() {
        assertThat(newest.run("kiln", "a", () -> 7)).isEqualTo(7);
        assertThat(newest.inside()).isZero();
    }

    @Test
    void ofManyThatComeMeanwhileOnlyTheNewestRuns() {
        AtomicInteger ran = new AtomicInteger();
        CompletableFuture<Integer> first = running("kiln");
        List<CompletableFuture<Integer>> dragged = new ArrayList<>();
        for (int i = 1; i <= 50; i++) {
            int number = i;
            dragged.add(ask("kiln", "drag " + i, () -> {
                ran.incrementAndGet();
                return number;
            }));
            waitUntilTakenIn(dragged, i);
            assertThat(newest.inside()).isEqualTo(2);
        }
        mayEnd.countDown();
        assertThat(first.join()).isZero();
        assertThat(dragged.get(49).join()).isEqualTo(50);
        assertThat(ran).hasValue(1);
        for (CompletableFuture<Integer> older : dragged.subList(0, 49)) {
            assertThatThrownBy(older::join)
                    .hasCauseInstanceOf(ConflictException.class)
                    .hasMessageContaining("newer preview");
        }
        assertThat(newest.inside()).isZero();
    }

    @Test
    void whoAsksForTheSameSharesTheResult() throws InterruptedException {
        CompletableFuture<Integer> first = running("kiln");
        AtomicInteger shared = new AtomicInteger(-2);
        Thread same = new Thread(() -> shared.set(newest.run("kiln", "running", () -> -1)));
        same.start();
        // It waits for the result of the one that runs, and only then may that one end.
        while (same.getState() != Thread.State.WAITING) {
            Thread.onSpinWait();
        }
        mayEnd.countDown();
        same.join();
        assertThat(first.join()).isZero();
        assertThat(shared).hasValue(0);
    }

    @Test
    void anotherSlateDoesNotWait() {
        CompletableFuture<Integer> first = running("kiln");
        if (Runtime.getRuntime().availableProcessors() > 1) {
            assertThat(newest.run("loft", "a", () -> 5)).isEqualTo(5);
        }
        mayEnd.countDown();
        assertThat(first.join()).isZero();
    }

    @Test
    void workThatFailsSaysSoAndMakesRoomForTheNext() {
        assertThatThrownBy(() -> newest.run("kiln", "a", () -> {
                    throw new IllegalStateException("no scan");
                }))
                .isInstanceOf(IllegalStateException.class)
                .hasMessage("no scan");
        assertThat(newest.inside()).isZero();
        assertThat(newest.run("kiln", "a", () -> 3)).isEqualTo(3);
    }

    /** A request that has begun and ends when the test lets it. */
    private CompletableFuture<Integer> running(String slate) {
        CountDownLatch begun = new CountDownLatch(1);
        CompletableFuture<Integer> first = ask(slate, "running", () -> {
            begun.countDown();
            await(mayEnd);
            return 0;
        });
        await(begun);
        return first;
    }

    private CompletableFuture<Integer> ask(String slate, String request, java.util.function.Supplier<Integer> work) {
        return CompletableFuture.supplyAsync(() -> newest.run(slate, request, work), browsers);
    }

    /** A request has been taken in when the one before it was told that it is superseded, or when two are inside. */
    private void waitUntilTakenIn(List<CompletableFuture<Integer>> asked, int count) {
        if (count > 1) {
            asked.get(count - 2).handle((result, failed) -> result).join();
        }
        while (newest.inside() < 2) {
            Thread.onSpinWait();
        }
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
