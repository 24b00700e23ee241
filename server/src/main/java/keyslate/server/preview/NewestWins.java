package keyslate.server.preview;

import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.Semaphore;
import java.util.function.Supplier;
import keyslate.server.web.ConflictException;
import org.springframework.stereotype.Component;

/**
 * Work on a subject of which only the newest request matters: one runs, one waits, and a newer one takes the place of
 * the one that waits. So no queue grows, whatever a drag or a second window asks for.
 *
 * <p>A request like the one that runs or waits shares its result. Over all subjects as much runs at once as there are
 * processors.
 */
@Component
public class NewestWins {
    private final Object lock = new Object();
    private final Map<String, Turns> subjects = new HashMap<>();
    private final Semaphore processors = new Semaphore(Runtime.getRuntime().availableProcessors());

    /** One request; those that ask for the same share its result. */
    private static final class Ticket {
        private final Object request;
        private final CompletableFuture<Object> result = new CompletableFuture<>();
        /** Done when it may run, failed when a newer one took its place. */
        private final CompletableFuture<Void> turn = new CompletableFuture<>();

        Ticket(Object request) {
            this.request = request;
        }
    }

    private static final class Turns {
        private Ticket running;
        private Ticket waiting;
    }

    /**
     * Runs the work when its turn comes.
     *
     * @param subject such as a slate
     * @param request what is asked of it; equal requests are the same work
     * @throws ConflictException with the code "superseded" when a newer request came before this one ran
     */
    public <T> T run(String subject, Object request, Supplier<T> work) {
        Ticket mine = new Ticket(request);
        Ticket ticket = enter(subject, mine);
        if (ticket == mine) {
            perform(subject, mine, work);
        }
        @SuppressWarnings("unchecked") // equal requests of one subject are asked by the same caller
        T result = (T) join(ticket.result);
        return result;
    }

    /** How many requests run and wait at this moment. */
    int inside() {
        synchronized (lock) {
            return subjects.values().stream()
                    .mapToInt(t -> t.waiting == null ? 1 : 2)
                    .sum();
        }
    }

    /** The ticket whose result answers this request: its own, or one that asks for the same. */
    private Ticket enter(String subject, Ticket mine) {
        synchronized (lock) {
            Turns turns = subjects.computeIfAbsent(subject, s -> new Turns());
            if (turns.running == null) {
                turns.running = mine;
                mine.turn.complete(null);
                return mine;
            }
            if (turns.waiting != null) {
                if (turns.waiting.request.equals(mine.request)) {
                    return turns.waiting;
                }
                turns.waiting.turn.completeExceptionally(superseded());
                turns.waiting = null;
            }
            if (turns.running.request.equals(mine.request)) {
                return turns.running;
            }
            turns.waiting = mine;
            return mine;
        }
    }

    private void perform(String subject, Ticket mine, Supplier<?> work) {
        try {
            join(mine.turn);
        } catch (ConflictException e) {
            mine.result.completeExceptionally(e);
            return;
        }
        processors.acquireUninterruptibly();
        try {
            mine.result.complete(work.get());
        } catch (RuntimeException | Error e) {
            mine.result.completeExceptionally(e);
        } finally {
            processors.release();
            leave(subject);
        }
    }

    private void leave(String subject) {
        synchronized (lock) {
            Turns turns = subjects.get(subject);
            turns.running = turns.waiting;
            turns.waiting = null;
            if (turns.running == null) {
                subjects.remove(subject);
            } else {
                turns.running.turn.complete(null);
            }
        }
    }

    private static Object join(CompletableFuture<?> future) {
        try {
            return future.join();
        } catch (CompletionException e) {
            if (e.getCause() instanceof RuntimeException cause) {
                throw cause;
            }
            throw e;
        }
    }

    private static ConflictException superseded() {
        return new ConflictException("superseded", "A newer preview of this slate was asked for meanwhile.");
    }
}
