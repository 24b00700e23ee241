package keyslate.server.print;

/** The timers that switch lamps, one for each enlarger. */
@FunctionalInterface
public interface EnlargerTimers {
    /** The timer of an enlarger; the same one every time. */
    EnlargerTimer of(String enlargerId);
}
