package keyslate.core.colour;

import java.util.List;
import keyslate.core.numeric.StudentT;
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
    private static final double FINEST = 1e4;

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

    /**
     * Shares by several matches.
     *
     * @param limit 95 % limit of the share that is known least, as a part of it; 0 where one match alone cannot tell
     */
    public record Found(AdditiveHead head, double limit) {}

    /**
     * What several matches say together: the mean of their logarithms, the limit by their spread with Student's t, as in CAL-07.
     *
     * @param matches at least one
     */
    public static Found together(List<AdditiveHead> matches) {
        Check.count("matches", matches.size(), 1, 100);
        double[] means = new double[Primary.values().length];
        double limit = 0;
        for (Primary primary : Primary.values()) {
            double mean = matches.stream()
                    .mapToDouble(m -> Math.log(m.share(primary)))
                    .average()
                    .orElseThrow();
            means[primary.ordinal()] = Math.exp(mean);
            int freedom = matches.size() - 1;
            if (freedom > 0) {
                double squares = matches.stream()
                        .mapToDouble(m -> Math.pow(Math.log(m.share(primary)) - mean, 2))
                        .sum();
                limit = Math.max(limit, StudentT.limit(freedom) * Math.sqrt(squares / freedom / matches.size()));
            }
        }
        return new Found(new AdditiveHead(means[0], means[1], means[2]).asKept(), limit);
    }

    /** To a ten-thousandth, as the record of a sheet has them. */
    public AdditiveHead asKept() {
        return new AdditiveHead(kept(red), kept(green), kept(blue));
    }

    private static double kept(double share) {
        return Math.rint(share * FINEST) / FINEST;
    }
}
