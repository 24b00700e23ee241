package keyslate.server.local;

import java.util.List;
import keyslate.core.light.Light;
import keyslate.server.sheet.SheetViews.StepView;
import keyslate.store.json.StoredShape;
import keyslate.store.slate.Recipe;
import org.jspecify.annotations.Nullable;

/** What the page sees and sends of local work. */
public final class LocalViews {
    private LocalViews() {}

    /** An area; {@code light} of a burn, none = the base's; positive stops burn, negative hold back. */
    public record AreaView(
            @Nullable String key,
            @Nullable String name,
            @Nullable StoredShape shape,
            double softEdge,
            double changeStops,
            @Nullable String light,
            @Nullable String tool) {
        public static AreaView of(Recipe.Area a) {
            return new AreaView(
                    a.key(),
                    a.name(),
                    StoredShape.of(a.shape()),
                    a.softEdge(),
                    a.change().change().inStops(),
                    a.light().map(Light::notation).orElse(null),
                    a.tool());
        }
    }

    /** The local plan with its script; a problem instead of a script when the holds do not fit. */
    public record LocalView(
            List<AreaView> areas,
            String way,
            List<AreaTimeView> times,
            List<StepView> script,
            double totalSetSeconds,
            @Nullable String problem,
            @Nullable StopDownView advice) {}

    /** One area in all three ways of saying it. */
    public record AreaTimeView(
            String key, double changeStops, double seconds, double percent, boolean workable, String note) {}

    /** Advice to close the lens so that a hold becomes long enough for a hand. */
    public record StopDownView(String headline, String why, double apertureMark, double baseSeconds) {}
}
