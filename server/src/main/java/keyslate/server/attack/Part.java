package keyslate.server.attack;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Random;

/** One way to attack. */
interface Part {
    String name();

    /** How much of the time it gets where all parts run; together 1. */
    double share();

    /**
     * Attacks for as long, on applications of its own, once the first of them is open.
     *
     * @param folder empty; everything the part makes lies in it
     */
    void run(Path folder, Random random, double minutes, Figures figures) throws IOException, InterruptedException;

    /** How much time is left. */
    final class Clock {
        private final long end;

        Clock(double minutes) {
            this.end = System.nanoTime() + (long) (minutes * 60e9);
        }

        boolean isOver() {
            return System.nanoTime() - end >= 0;
        }
    }
}
