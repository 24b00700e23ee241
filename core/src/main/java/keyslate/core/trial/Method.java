package keyslate.core.trial;

/** A way to a good print. */
interface Method {
    /** Most pieces anybody would make before giving up. */
    int MOST_PIECES = 8;

    /** One negative from the first strip until the advice says done; the same for the same seed. */
    Outcome run(long seed);
}
