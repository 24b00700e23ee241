package keyslate.core.script;

import java.util.List;
import java.util.Optional;
import keyslate.core.light.Light;
import keyslate.core.local.LocalChange;

/**
 * The local work of a sheet.
 *
 * @param areas in the order they were drawn
 * @param way how holds are given
 */
public record LocalWork(List<Area> areas, Way way) {
    /** One area; {@code light} of a burn, none = the base's. */
    public record Area(String key, LocalChange change, Optional<Light> light) {}

    /** How holds are given. */
    public enum Way {
        /** All inside one exposure, after a lead in which the tool finds its place by the picture. */
        ONE_EXPOSURE,
        /** The base in bursts, cut where a hold begins or ends. */
        BURSTS
    }

    public LocalWork {
        areas = List.copyOf(areas);
    }

    /** A straight sheet. */
    public static LocalWork none() {
        return new LocalWork(List.of(), Way.ONE_EXPOSURE);
    }
}
