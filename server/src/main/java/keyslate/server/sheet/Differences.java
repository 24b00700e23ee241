package keyslate.server.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import keyslate.core.light.Light;
import keyslate.core.quantity.Stops;
import keyslate.core.test.CoverStripPlan;
import keyslate.server.Show;
import keyslate.server.rig.Rig;

/** What changed from one set-up to another, part by part. */
public final class Differences {
    private static final double SAME_STOPS = 1.0 / 24;
    private static final double SAME_SPREAD = 0.005;

    private Differences() {}

    /** A difference between two set-ups: the part of the enlarger, and in words for it and for the cord. */
    public record Difference(String part, String text, String words) {}

    /** One entry for each part of the enlarger that stands differently. */
    public static List<Difference> between(Rig before, Rig now) {
        List<Difference> found = new ArrayList<>();
        if (before.exposure().isSplit() || now.exposure().isSplit()) {
            split(found, before, now);
        } else if (!before.light().equals(now.light())) {
            String change = Show.lightChange(before.light(), now.light());
            String words = now.light().points().isEmpty() ? now.light().notation() : change;
            found.add(new Difference("light", change, words));
        }
        Stops light = before.opening().lightChangeTo(now.opening());
        if (Math.abs(light.inStops()) > SAME_STOPS && !now.byBareLamp()) {
            String mark = Show.aperture(now.aperture().engraved());
            found.add(new Difference("aperture", Show.stops(light), mark));
        }
        Stops time = now.base().stopsFrom(before.base());
        boolean oneFilter = !before.exposure().isSplit() && !now.exposure().isSplit();
        if (oneFilter && Math.abs(time.inStops()) > SAME_STOPS) {
            found.add(new Difference("base", Show.stops(time), Show.stops(time)));
        }
        if (!before.enlarger().id().equals(now.enlarger().id())) {
            found.add(new Difference("lamp", "another", now.enlarger().name()));
        }
        if (!before.lens().id().equals(now.lens().id())) {
            found.add(new Difference("lens", "changed", now.lens().name()));
        }
        if (Math.abs(before.projection().spread() / now.projection().spread() - 1) > SAME_SPREAD) {
            found.add(new Difference("size", "was " + size(before), size(now)));
        }
        if (!before.paper().id().equals(now.paper().id())) {
            found.add(new Difference("paper", "another box", "another box"));
        }
        if (!before.recipe().local().equals(now.recipe().local())) {
            int n = now.recipe().local().areas().size();
            String plan = n == 0 ? "none now" : n == 1 ? "1 area" : n + " areas";
            found.add(new Difference("local", plan, "local plan, " + plan));
        }
        return found;
    }

    /** Parts of a base that were changed: by name where the filters are others, else by the time of the first and the second. */
    private static void split(List<Difference> found, Rig before, Rig now) {
        if (before.exposure().equals(now.exposure())) {
            return;
        }
        boolean sameFilters = lights(before).equals(lights(now));
        String change = sameFilters
                ? IntStream.range(0, now.exposure().parts().size())
                        .mapToObj(i -> Show.stops(now.exposure()
                                .parts()
                                .get(i)
                                .time()
                                .stopsFrom(before.exposure().parts().get(i).time())))
                        .collect(Collectors.joining(" and "))
                : "was " + String.join(" and ", lights(before)).replace(" and grade ", " and ");
        found.add(new Difference(
                sameFilters ? "base" : "light", change, sameFilters ? change : String.join(" and ", lights(now))));
    }

    private static List<String> lights(Rig rig) {
        return rig.exposure().parts().stream().map(p -> p.light().notation()).toList();
    }

    /** How large, or in contact from how far. */
    private static String size(Rig rig) {
        return rig.inContact()
                ? Show.number(rig.lightToPaper().inMm() / 10) + " cm"
                : Show.number(rig.magnification().inTimes()) + " ×";
    }

    /** The same in a few words for the cord, and the strip's step where that changed. */
    public static List<String> inWords(Rig before, Rig now) {
        List<String> words = new ArrayList<>();
        between(before, now).forEach(d -> words.add(d.words()));
        List<Light> lights = now.recipe().test().otherLights();
        if (!lights.equals(before.recipe().test().otherLights())) {
            boolean onTop = now.recipe().test() instanceof CoverStripPlan strip && strip.isOfBothLights();
            words.add(
                    lights.isEmpty()
                            ? "one light again"
                            : Show.listed(lights.stream().map(Light::notation).toList())
                                    + (onTop ? " on the same patches" : " beside it"));
        }
        now.recipe()
                .test()
                .stepUnlike(before.recipe().test())
                .ifPresent(step -> words.add(Show.stopsApart(step) + " steps"));
        return words;
    }
}
