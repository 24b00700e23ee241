package keyslate.server.print;

/** The port to a timer that switches an enlarger's lamp. One lamp; times in seconds on the timer's own clock. */
public interface EnlargerTimer {
    /** Told once when the lamp goes off. */
    @FunctionalInterface
    interface WhenOff {
        void off(double givenSeconds, boolean complete);
    }

    /**
     * Switches the lamp on for {@code seconds}; refused with {@link IllegalStateException} while it is on.
     *
     * @param whenOff told on the timer's own thread; it must not block
     */
    void on(double seconds, WhenOff whenOff);

    /** Switches the lamp off now, before its time; does nothing when it is off. */
    void off();

    /** Seconds since the lamp went on, 0 when it is off. */
    double elapsedSeconds();

    /** How many seconds of this timer pass in a second of real time; 1 for a real enlarger. */
    double clockSpeed();
}
