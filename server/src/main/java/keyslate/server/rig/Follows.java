package keyslate.server.rig;

import keyslate.core.colour.PackTimes.Following;

/** How much of the change of a pack the time follows, as it is sent. */
public enum Follows {
    /** By the factors of the head, so that density does not hide the colour. */
    ON(Following.ON),
    /** Half as much. */
    SMALL(Following.SMALL),
    /** The time stays. */
    OFF(Following.OFF);

    private final Following following;

    Follows(Following following) {
        this.following = following;
    }

    public Following toCore() {
        return following;
    }

    public static Follows of(Following following) {
        return values()[following.ordinal()];
    }
}
