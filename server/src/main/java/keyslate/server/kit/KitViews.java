package keyslate.server.kit;

import java.util.List;
import keyslate.store.bench.Kit;
import org.jspecify.annotations.Nullable;

/** Kits of viewing filters as they are asked and shown. */
public final class KitViews {
    private KitViews() {}

    /** What stands on the filters of a kit. */
    public enum Says {
        /** How strong each is: its points move the pack by half, to begin with. */
        STRENGTH,
        /** By how much to change the pack. */
        CORRECTION
    }

    /**
     * A kit.
     *
     * @param name the only one of its name, in whatever case
     * @param says what stands on its filters; left out where nobody said
     * @param strengths points that stand on them, the weakest first; empty where nobody said
     */
    public record ViewingKit(String name, @Nullable Says says, List<Double> strengths) {
        static ViewingKit of(Kit kit) {
            return new ViewingKit(kit.name(), kit.says() == null ? null : Says.valueOf(kit.says()), kit.strengths());
        }
    }

    /**
     * The kits of a bench.
     *
     * @param kits those in use, the one in hand first
     */
    public record ViewingKits(List<ViewingKit> kits) {}

    /**
     * A kit as it is entered, or taken in hand again.
     *
     * @param name 1 to 40 characters; a kit that has it already becomes this one
     * @param says what stands on its filters
     * @param strengths 1 to 8 of them, 1 to 60 points each
     */
    public record KitAsked(
            @Nullable String name,
            @Nullable Says says,
            @Nullable List<@Nullable Double> strengths) {}
}
