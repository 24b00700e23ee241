package keyslate.server.rig;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import keyslate.core.colour.AdditiveHead;
import keyslate.core.colour.GelPack;
import keyslate.core.colour.GelPack.Gel;
import keyslate.core.colour.Layers;
import keyslate.core.colour.PackTimes;
import keyslate.core.colour.PackTimes.Following;
import keyslate.core.colour.Primary;
import keyslate.core.quantity.QuantityException;
import keyslate.store.json.StoredConstant;
import keyslate.store.json.StoredConstant.Place;

/** How time follows the pack of a head, as it is kept among the constants: three factors with their limits, and the following by its place in the list. */
public final class PackConstants {
    private static final List<String> FILTERS = List.of("cyan", "magenta", "yellow");

    private PackConstants() {}

    public static StoredConstant of(PackTimes times, Layers limits) {
        return new StoredConstant(
                null,
                null,
                (double) times.following().ordinal(),
                List.of(
                        new Place(FILTERS.get(0), times.cyan(), limits.red()),
                        new Place(FILTERS.get(1), times.magenta(), limits.green()),
                        new Place(FILTERS.get(2), times.yellow(), limits.blue())),
                null);
    }

    /**
     * What was kept.
     *
     * @throws QuantityException when it is not complete
     */
    public static PackTimes times(StoredConstant value) {
        List<Place> places = value.places() == null ? List.of() : value.places();
        boolean whole = places.stream().map(Place::at).toList().equals(FILTERS);
        int following = value.second() == null ? 0 : (int) Math.round(value.second());
        if (!whole || following < 0 || following >= Following.values().length) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE, "constant", "the factors of a head are not complete");
        }
        return new PackTimes(
                places.get(0).value(), places.get(1).value(), places.get(2).value(), Following.values()[following]);
    }

    /** The gels that packs are made of. */
    public static StoredConstant ofGels(List<Gel> gels) {
        return new StoredConstant(
                null,
                null,
                null,
                gels.stream()
                        .map(g -> new Place(g.colour().name().toLowerCase(Locale.ROOT), g.points(), 0))
                        .toList(),
                null);
    }

    /**
     * What was kept of them.
     *
     * @throws QuantityException when it is no set of gels
     */
    public static List<Gel> gels(StoredConstant value) {
        List<Place> places = value.places() == null ? List.of() : value.places();
        if (places.isEmpty()
                || places.size() > GelPack.MOST_GELS
                || !places.stream().allMatch(PackConstants::isGel)) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE, "constant", "a set has 1 to " + GelPack.MOST_GELS + " gels");
        }
        return places.stream()
                .map(p -> new Gel(GelPack.Colour.valueOf(p.at().toUpperCase(Locale.ROOT)), p.value()))
                .toList();
    }

    /** The shares of three lights, each with how far off it may be, 95 %. */
    public static StoredConstant ofLights(AdditiveHead lights, double limit) {
        return new StoredConstant(
                null,
                null,
                null,
                Stream.of(Primary.values())
                        .map(p -> new Place(p.word(), lights.share(p), limit * lights.share(p)))
                        .toList(),
                null);
    }

    /**
     * What was kept of them.
     *
     * @throws QuantityException when they are not three shares
     */
    public static AdditiveHead lights(StoredConstant value) {
        List<Place> places = value.places() == null ? List.of() : value.places();
        if (!places.stream()
                .map(Place::at)
                .toList()
                .equals(Stream.of(Primary.values()).map(Primary::word).toList())) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE, "constant", "the lights of a head are red, green and blue");
        }
        return new AdditiveHead(
                places.get(0).value(), places.get(1).value(), places.get(2).value());
    }

    private static boolean isGel(Place place) {
        return FILTERS.contains(place.at());
    }

    /** Their limits. */
    public static Layers limits(StoredConstant value) {
        List<Place> places = value.places();
        return new Layers(
                places.get(0).limit(), places.get(1).limit(), places.get(2).limit());
    }
}
