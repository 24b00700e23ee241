package keyslate.core.quantity;

/**
 * How many times larger the image on the easel is than on the film.
 *
 * @param inTimes ratio, 0.01 to 200
 */
public record Magnification(double inTimes) {
    public Magnification {
        Check.positive("magnification", inTimes, "×");
        Check.within("magnification", inTimes, 0.01, 200, "×");
    }

    public static Magnification of(double times) {
        return new Magnification(times);
    }
}
