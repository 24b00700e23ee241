package keyslate.core.script;

/** What the hands do before or during an exposure; words and sounds are made from it elsewhere. */
public enum Cue {
    /** The paper, the film on it and the glass on both: before the first light of a contact print. */
    LAY_STACK,
    /** Another light into the beam. */
    CHANGE_LIGHT,
    /** The paper into its box and out again, and what follows is set in white light between: nothing is set where it cannot be seen. */
    SET_IN_LIGHT,
    /** Another setting on the timer that the printer sets. */
    SET_TIMER,
    /** The card over one patch more. */
    MOVE_CARD,
    /** The half that was exposed under one card, the other half free of it; of three rows all under cards but the next one. */
    OTHER_HALF,
    /** The card with a slot, or two cards: one patch alone is free. */
    ONE_PATCH_FREE,
    /** The paper on by one patch, the window where it is. */
    MOVE_PAPER,
    /** The exposed piece away, the next one from its box to its place, marked. */
    TAKE_PIECE,
    /** The lens by so many clicks. */
    CHANGE_OPENING,
    /** A tool in, hold back. */
    HOLD,
    /** The card with the hole: let an area through. */
    BURN,
    /** The hands out of the light. */
    HANDS_OUT
}
