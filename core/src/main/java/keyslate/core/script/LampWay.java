package keyslate.core.script;

/** How an enlarger's lamp is timed; plans, cues, lag and records follow it. */
public enum LampWay {
    /** The application switches it. */
    SWITCHED,
    /** The printer sets a timer and presses its button: one setting has to do for a whole strip. */
    MY_TIMER,
    /** It burns all through one long exposure, and a card moves in it on a tone. */
    BURNS;

    /** Whether the record of the light rests on the printer's word. */
    public boolean isTold() {
        return this != SWITCHED;
    }
}
