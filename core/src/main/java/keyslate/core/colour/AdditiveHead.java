package keyslate.core.colour;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;

/**
 * A head that prints with red, green and blue light one after another.
 *
 * <p>COL-34: a primary gives its layer the share ρ of what white light gives it. In place of white light of t seconds through a pack: t_b = t·10^(−a_b)/ρ_b, a_b the density the pack has over that layer. Back, for ideal bands: t = max(t_b·ρ_b), and each filter
 * −100·log10(t_b·ρ_b/t). Three exposures: the lamp's lag counts three times. Source: the layers' exposures by Beer and Lambert.
 *
 * @param red share ρ of the red light, above 0, 1 at most
 */
public record AdditiveHead(double red, double green, double blue) {
    /** A quarter of white light each, until it is measured. */
    public static final AdditiveHead USUAL = new AdditiveHead(0.25, 0.25, 0.25);

    private static final double POINTS = 100;

    public AdditiveHead {
        red = share("red share", red);
        green = share("green share", green);
        blue = share("blue share", blue);
    }

    private static double share(String name, double share) {
        return Check.within(name, Check.positive(name, share, ""), 0, 1, "");
    }

    /** The share of one of its lights. */
    public double share(Primary primary) {
        return switch (primary) {
            case RED -> red;
            case GREEN -> green;
            case BLUE -> blue;
        };
    }

    /** Received seconds of each light. */
    public record Times(ExposureTime red, ExposureTime green, ExposureTime blue) {
        /** Of one of them. */
        public ExposureTime of(Primary primary) {
            return switch (primary) {
                case RED -> red;
                case GREEN -> green;
                case BLUE -> blue;
            };
        }
    }

    /** A pack and the received time of white light through it. */
    public record White(FilterPack pack, ExposureTime time) {}

    /** The times that print as white light does through a pack of a filter set. */
    public Times times(FilterPack pack, ExposureTime white, FilterSet set) {
        return new Times(
                white.times(Math.pow(10, -set.layerDensity(pack, 0)) / red),
                white.times(Math.pow(10, -set.layerDensity(pack, 1)) / green),
                white.times(Math.pow(10, -set.layerDensity(pack, 2)) / blue));
    }

    /** The pack of ideal filters and the time that print as three times do. */
    public White white(Times times) {
        double ofRed = times.red().inSeconds() * red;
        double ofGreen = times.green().inSeconds() * green;
        double ofBlue = times.blue().inSeconds() * blue;
        double white = Math.max(ofRed, Math.max(ofGreen, ofBlue));
        return new White(
                FilterPack.of(points(ofRed, white), points(ofGreen, white), points(ofBlue, white)),
                ExposureTime.ofSeconds(white));
    }

    private static double points(double layer, double white) {
        return -POINTS * Math.log10(layer / white) + 0.0;
    }

    /** The times of its own pack: in ideal points, so that each filter is one light's (COL-34). */
    public Times times(FilterPack pack, ExposureTime white) {
        return times(pack, white, FilterSet.IDEAL);
    }

    /** The shares of a head on which three times match white light through a pack on a grey, as a test finds them; refused where a share comes out above 1. */
    public static AdditiveHead matching(FilterPack pack, ExposureTime white, FilterSet set, Times match) {
        double seconds = white.inSeconds();
        return new AdditiveHead(
                seconds * Math.pow(10, -set.layerDensity(pack, 0)) / match.red().inSeconds(),
                seconds
                        * Math.pow(10, -set.layerDensity(pack, 1))
                        / match.green().inSeconds(),
                seconds
                        * Math.pow(10, -set.layerDensity(pack, 2))
                        / match.blue().inSeconds());
    }
}
