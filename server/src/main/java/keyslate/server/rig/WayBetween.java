package keyslate.server.rig;

import keyslate.core.quantity.Stops;
import keyslate.core.rescale.Known;
import keyslate.core.rescale.Link;
import keyslate.core.rescale.Links;

/**
 * What leads from one set-up to another: how the time follows size and opening, and what each step leaves open (EXP-34 to 36).
 *
 * @param before where a time was right
 * @param now where it is wanted
 */
public record WayBetween(Rig before, Rig now) {
    /** Between a contact and an enlargement, where lens and heights all differ. */
    private static final Stops BY_CONTACT = Stops.ofFraction(1, 6);
    /** How surely a height above the paper is read. */
    private static final double DISTANCE_MM = 3;

    private static final double SAME_FACTOR = 0.005;

    public boolean isSameEnlarger() {
        return before.enlarger().id().equals(now.enlarger().id());
    }

    public boolean isSamePaper() {
        return before.paper().id().equals(now.paper().id());
    }

    public boolean isSameLens() {
        return before.lens().id().equals(now.lens().id());
    }

    /** Whether the light falls from elsewhere, by more than nobody sees. */
    public boolean isMoved() {
        return Math.abs(before.projection().timeFactor(now.projection()) - 1) > SAME_FACTOR;
    }

    /** Size or distance (SIZ-02, SIZ-14). */
    public Link size() {
        return new Link(Link.Cause.SIZE, before.projection().stopsMoreTime(now.projection()), sizeLimit());
    }

    private Stops sizeLimit() {
        if (before.inContact() && now.inContact()) {
            double off = 2 * Math.log(1 + DISTANCE_MM / now.lightToPaper().inMm()) / Math.log(2);
            return isMoved() ? Stops.of(off * Math.sqrt(2)) : Stops.ZERO;
        }
        if (before.inContact() || now.inContact()) {
            return BY_CONTACT;
        }
        Known pupil = before.inversePupil();
        return (isSameLens()
                        ? Links.size(before.magnification(), 0, now.magnification(), 0, pupil)
                        : Links.sizeThroughAnother(
                                before.magnification(), pupil, now.magnification(), 0, now.inversePupil()))
                .limit();
    }

    /** Whether the same mark of the same lens stands, which is never off against itself. */
    public boolean isSameMark() {
        return isSameLens() && before.mark().equals(now.mark());
    }

    /** The opening (EXP-36); nothing without a lens in the way. */
    public Link opening() {
        return before.byBareLamp()
                ? new Link(Link.Cause.OPENING, Stops.ZERO, Stops.ZERO)
                : Links.opening(
                        before.mark().trueNumber(),
                        before.openingOffset(),
                        now.mark().trueNumber(),
                        now.openingOffset(),
                        isSameMark());
    }
}
