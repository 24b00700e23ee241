package keyslate.server.bench;

/** The way from one's own darkroom to the practice one and back: each has a data file of its own in the same folder. */
@FunctionalInterface
public interface Switchboard {
    /** Closes this darkroom and opens the other one at the same address; returns before it is open. */
    void open(boolean practice);
}
