package keyslate.core.process;

import java.util.List;
import keyslate.core.quantity.Check;

/**
 * Whether white light may come on, by where a sheet's paper is.
 *
 * <p>PRO-10: safe in its box, in a closed drum, and from the fixer's least time on; never before. What was taken back did not happen; glances, slips and alarms move no
 * paper. The least time of a fixer counts on the clock of the wall, sped up in practice.
 *
 * @param where the paper is
 * @param safe whether white light harms nothing
 * @param waitSeconds until it is safe, where waiting is enough; 0 else
 */
public record WhiteLight(Where where, boolean safe, double waitSeconds) {
    /** How long paper lies in a fixer before white light is safe, where nothing else is entered: about half of a usual fixing time. */
    public static final double USUAL_FIXER_SECONDS = 60;

    /** Where paper can be. */
    public enum Where {
        UNDER_THE_LAMP,
        IN_ITS_BOX,
        IN_THE_DRUM,
        IN_THE_DEVELOPER,
        IN_THE_STOP,
        IN_THE_FIXER,
        /** Closed away while the printer is out. */
        PUT_AWAY
    }

    /** What moves paper. */
    public enum Move {
        BOXED,
        TAKEN,
        DRUM_CLOSED,
        DEVELOPER,
        STOP,
        FIXER,
        LEFT,
        CAME_BACK
    }

    /**
     * A move with its moment.
     *
     * @param atSeconds on the clock of the wall, from any one moment
     */
    public record Moved(Move move, double atSeconds) {}

    /**
     * As it stands now.
     *
     * @param moves in their order, without those that were taken back
     * @param fixerSeconds the least time in the fixer
     * @param nowSeconds on the same clock as the moves
     * @param clockSpeed seconds of the craft in a second of the wall
     */
    public static WhiteLight of(List<Moved> moves, double fixerSeconds, double nowSeconds, double clockSpeed) {
        Check.positive("fixer", fixerSeconds, "s");
        Check.positive("clock", clockSpeed, "");
        Where where = Where.UNDER_THE_LAMP;
        Where before = where;
        double inFixer = nowSeconds;
        for (Moved moved : moves) {
            switch (moved.move()) {
                case BOXED -> where = Where.IN_ITS_BOX;
                case TAKEN -> where = Where.UNDER_THE_LAMP;
                case DRUM_CLOSED -> where = Where.IN_THE_DRUM;
                case DEVELOPER -> where = Where.IN_THE_DEVELOPER;
                case STOP -> where = Where.IN_THE_STOP;
                case FIXER -> {
                    where = Where.IN_THE_FIXER;
                    inFixer = moved.atSeconds();
                }
                case LEFT -> {
                    before = where;
                    // What lies in a bath stays there, and its clock runs on.
                    where = where == Where.UNDER_THE_LAMP ? Where.PUT_AWAY : where;
                }
                case CAME_BACK -> where = before;
            }
        }
        return switch (where) {
            case IN_ITS_BOX, IN_THE_DRUM, PUT_AWAY -> new WhiteLight(where, true, 0);
            case IN_THE_FIXER -> {
                double lain = (nowSeconds - inFixer) * clockSpeed;
                yield new WhiteLight(where, lain >= fixerSeconds, Math.max(0, fixerSeconds - lain));
            }
            default -> new WhiteLight(where, false, 0);
        };
    }
}
