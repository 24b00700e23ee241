package keyslate.server.slate;

import java.util.ArrayList;
import java.util.List;
import keyslate.core.quantity.Stops;
import keyslate.server.Show;
import keyslate.server.slate.SlateViews.DifferenceView;
import keyslate.store.slate.Recipe.Strip;

/** What changed from one set-up to another, part by part. */
final class Differences {
    private static final double SAME_STOPS = 1.0 / 24;

    private Differences() {}

    /** One entry for each part of the enlarger that stands differently. */
    static List<DifferenceView> between(Rig before, Rig now) {
        List<DifferenceView> found = new ArrayList<>();
        if (before.filter() != now.filter()) {
            found.add(new DifferenceView("filter", "was " + before.filter().label()));
        }
        Stops light =
                before.aperture().trueNumber().lightChangeTo(now.aperture().trueNumber());
        if (Math.abs(light.inStops()) > SAME_STOPS) {
            found.add(new DifferenceView("aperture", Show.stops(light)));
        }
        Stops time = now.base().stopsFrom(before.base());
        if (Math.abs(time.inStops()) > SAME_STOPS) {
            found.add(new DifferenceView("base", Show.stops(time)));
        }
        if (!before.lens().id().equals(now.lens().id())) {
            found.add(new DifferenceView("lens", "changed"));
        }
        if (Math.abs(before.magnification().inTimes() / now.magnification().inTimes() - 1) > 0.005) {
            found.add(new DifferenceView(
                    "size", "was " + Show.number(before.magnification().inTimes()) + " ×"));
        }
        if (!before.paper().batch().equals(now.paper().batch())) {
            found.add(new DifferenceView("paper", "another box"));
        }
        if (!before.recipe().areas().equals(now.recipe().areas())) {
            int n = now.recipe().areas().size();
            found.add(new DifferenceView("local", n == 0 ? "none now" : n == 1 ? "1 area" : n + " areas"));
        }
        return found;
    }

    /** The same in a few words for the cord, and the strip's step where that changed. */
    static List<String> inWords(Rig before, Rig now) {
        List<String> words = new ArrayList<>();
        for (DifferenceView d : between(before, now)) {
            words.add(
                    switch (d.part()) {
                        case "filter" -> "grade " + now.filter().label();
                        case "aperture" -> Show.aperture(now.aperture().engraved());
                        case "size" -> Show.number(now.magnification().inTimes()) + " ×";
                        case "local" -> "local plan, " + d.text();
                        case "lens" -> now.lens().name();
                        default -> d.text();
                    });
        }
        Strip was = before.recipe().strip();
        Strip is = now.recipe().strip();
        if (was.stepStops() != is.stepStops() && "EQUAL_STOPS".equals(is.kind())) {
            words.add(Show.stopsApart(Stops.of(is.stepStops())) + " steps");
        }
        return words;
    }
}
