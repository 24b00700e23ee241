package keyslate.server.decide;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import keyslate.core.colour.CastEvidence;
import keyslate.core.colour.CastEvidence.Estimate;
import keyslate.core.colour.CastEvidence.Judged;
import keyslate.core.colour.Hue;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Stops;
import keyslate.server.Show;
import keyslate.server.decide.DecisionViews.Cast;
import keyslate.server.decide.DecisionViews.CastWay;
import keyslate.server.decide.DecisionViews.VerdictView;
import keyslate.server.rig.LightView;
import keyslate.server.web.FieldErrors;
import keyslate.store.json.Seen;

/**
 * What to do about a cast. All looks of the slate at one box of paper are weighed together (COL-28); a strong cast moves pack and time in one
 * verdict, fine steps wait until the density is right; the pack has no neutral density, and the time follows the pack.
 */
final class CastAdvice {
    /** From here on a cast is strong. */
    static final double STRONG_POINTS = 15;

    private static final double MOST_POINTS = 60;
    private static final double USUAL_FACTOR = 0.5;
    private static final double DENSITY_FIRST_STOPS = 0.25;
    private static final double WHOLE_POINT = 0.5;
    /** A change of less than half a point cannot be set. */
    private static final double SAME_POINTS = 0.5;

    private CastAdvice() {}

    /** A look as it is weighed: magenta and yellow cast in points of a viewing filter, negative = green and blue. */
    record Look(double magenta, double yellow, double factor, double densityStops, String way) {
        Judged at(FilterPack pack) {
            return new Judged(pack, magenta, yellow);
        }

        Seen seen() {
            return Seen.cast(magenta, yellow, way, densityStops);
        }

        double strongest() {
            return Math.max(Math.abs(magenta), Math.abs(yellow));
        }
    }

    /** Reads what was asked; refuses what is missing or out of range, field by field. */
    static Look look(Cast cast) {
        FieldErrors errors = new FieldErrors();
        if (cast.way() == null) {
            errors.add("/cast/way", "E_SHAPE", "Say how the cast was seen.");
        }
        double points = errors.check(
                "/cast/points",
                0.0,
                () -> Check.within("strength", cast.points() == null ? 0 : cast.points(), 0, MOST_POINTS, "points"));
        double factor = errors.check(
                "/cast/factor",
                USUAL_FACTOR,
                () -> Check.within(
                        "viewing-filter factor", cast.factor() == null ? USUAL_FACTOR : cast.factor(), 0.2, 1, ""));
        double density = Readings.stops(errors, "/cast/densityStops", cast.densityStops());
        errors.throwIfAny();
        // A filter clears the cast of the opposite colour; a cast by name is what it says.
        Hue seen = cast.hue() == null
                ? null
                : cast.way() == CastWay.VIEWING_FILTER ? cast.hue().complement() : cast.hue();
        // A kit that prints the correction on its filters and one that prints their own strength are weighed together:
        // everything counts as strength, of which half is the usual correction (COL-06).
        double strength = points * factor / USUAL_FACTOR;
        FilterShift shift = seen == null ? FilterShift.NONE : seen.byMagentaAndYellow(strength);
        return new Look(
                shift.inMagenta(),
                shift.inYellow(),
                USUAL_FACTOR,
                density,
                cast.way().name());
    }

    /** The verdict on a look at a sheet, with the looks before it. */
    static VerdictView verdict(Hung sheet, Look look, List<Judged> before) {
        FilterPack stood = sheet.before().light().toPack();
        List<Judged> all = new ArrayList<>(before);
        all.add(look.at(stood));
        Estimate estimate = CastEvidence.weighed(all, look.factor());
        ExposureTime same = sheet.carried(sheet.time()).plus(Stops.of(look.densityStops()));
        boolean densityFirst = look.strongest() < STRONG_POINTS && Math.abs(look.densityStops()) > DENSITY_FIRST_STOPS;
        Light light = densityFirst ? sheet.before().light() : Light.dials(whole(estimate.pack()));
        double factor = sheet.before().medium().core().timeFactor(sheet.before().light(), light);
        ExposureTime time = same.times(factor);
        Words words = densityFirst ? density(look, time) : change(sheet, light, time, factor, all, estimate);
        return new VerdictView(
                words.headline(),
                words.why(),
                rests(sheet, look, all, estimate),
                LightView.of(light),
                time.inSeconds(),
                same.inSeconds(),
                0,
                null);
    }

    /** What can be set: whole points. */
    private static FilterPack whole(FilterPack pack) {
        return FilterPack.of(
                Math.floor(pack.inCyan() + WHOLE_POINT),
                Math.floor(pack.inMagenta() + WHOLE_POINT),
                Math.floor(pack.inYellow() + WHOLE_POINT));
    }

    private record Words(String headline, String why) {}

    private static Words density(Look look, ExposureTime time) {
        return new Words(
                "Density first: give " + Show.stops(Stops.of(look.densityStops())) + ", "
                        + Show.seconds(time.inSeconds()) + ".",
                "A slight cast is judged when the density is within a quarter of a stop. The pack stays; this look is kept.");
    }

    private static Words change(
            Hung sheet, Light light, ExposureTime time, double factor, List<Judged> all, Estimate estimate) {
        List<String> moves = moves(sheet.before().light().points(), light.points());
        String seconds = Show.seconds(time.inSeconds());
        if (moves.isEmpty()) {
            return new Words(
                    "Keep " + light.notation() + ". Expose " + seconds + ".",
                    "What is seen is less than a point of filter. " + agreement(all, estimate));
        }
        String turns = turns(sheet.before().light().toPack(), light.toPack());
        double stops = Math.log(factor) / Math.log(2);
        String follows = Math.abs(stops) < 1.0 / 120
                ? "The time stays."
                : "Time " + (stops > 0 ? "rises " : "falls ")
                        + String.format(Locale.ROOT, "%.2f", Math.abs(stops))
                        + " stop so that it stays as dark.";
        return new Words(
                Show.listed(moves) + ". Expose " + seconds + ".",
                "The print turns " + turns + ". " + follows + " " + agreement(all, estimate));
    }

    /** "Add 8 M", "take out 3 Y". */
    private static List<String> moves(List<Double> before, List<Double> now) {
        List<String> names = List.of("C", "M", "Y");
        List<String> moves = new ArrayList<>();
        for (int i = 0; i < names.size(); i++) {
            double change = now.get(i) - before.get(i);
            if (Math.abs(change) >= SAME_POINTS) {
                String verb = change > 0 ? "add " : "take out ";
                moves.add((moves.isEmpty() ? Show.sentence(verb).replace(".", "") : verb)
                        + Show.number(Math.abs(change)) + " " + names.get(i));
            }
        }
        return moves;
    }

    /** What a change of the pack does to the print: filter in, and it turns to the opposite colour. */
    static String turns(FilterPack before, FilterPack now) {
        double magenta = now.inMagenta() - now.inCyan() - before.inMagenta() + before.inCyan();
        double yellow = now.inYellow() - now.inCyan() - before.inYellow() + before.inCyan();
        if (Math.abs(magenta) < SAME_POINTS) {
            return size(yellow) + (yellow > 0 ? "bluer" : "yellower");
        }
        if (Math.abs(yellow) < SAME_POINTS) {
            return size(magenta) + (magenta > 0 ? "greener" : "more magenta");
        }
        boolean alike = magenta > 0 == yellow > 0;
        double share = Math.min(Math.abs(magenta), Math.abs(yellow)) / Math.max(Math.abs(magenta), Math.abs(yellow));
        if (alike && share > 0.5) {
            return size(Math.max(Math.abs(magenta), Math.abs(yellow))) + (magenta > 0 ? "more cyan" : "redder");
        }
        return (magenta > 0 ? "greener" : "more magenta") + " and " + (yellow > 0 ? "bluer" : "yellower");
    }

    private static String size(double points) {
        return Math.abs(points) <= 5 ? "a little " : "";
    }

    private static String agreement(List<Judged> all, Estimate estimate) {
        String known = "± " + Show.number(Math.max(0.1, 2 * estimate.uncertaintyPoints())) + " points";
        return all.size() == 1
                ? "One look: known to " + known + "."
                : all.size() + " looks together: known to " + known + (estimate.isSettled() ? ", enough." : ".");
    }

    private static List<String> rests(Hung sheet, Look look, List<Judged> all, Estimate estimate) {
        List<String> rests = new ArrayList<>();
        rests.add(sheet.view().label() + ": " + sheet.before().light().notation() + ", "
                + Show.seconds(sheet.time().inSeconds()) + ", on record.");
        rests.add(cast(look) + " by the strength of a filter, your look.");
        rests.add(all.size() + (all.size() == 1 ? " look" : " looks")
                + " weighed together (COL-28), a point of the viewing"
                + " filter counted as " + Show.factor(look.factor()) + " of the pack; neutral at "
                + Light.dials(estimate.pack()).notation() + ".");
        if (look.densityStops() != 0) {
            rests.add("Density needs " + Show.stops(Stops.of(look.densityStops())) + ", your judgement.");
        }
        return rests;
    }

    private static String cast(Look look) {
        if (look.strongest() == 0) {
            return "Neutral";
        }
        List<String> parts = new ArrayList<>();
        if (look.magenta() != 0) {
            parts.add(Show.number(Math.abs(look.magenta())) + (look.magenta() > 0 ? " magenta" : " green"));
        }
        if (look.yellow() != 0) {
            parts.add(Show.number(Math.abs(look.yellow())) + (look.yellow() > 0 ? " yellow" : " blue"));
        }
        return "A cast of " + Show.listed(parts);
    }

    /** What the looks of a slate say together, when there are any. */
    static Optional<Estimate> together(List<Judged> looks) {
        return looks.isEmpty() ? Optional.empty() : Optional.of(CastEvidence.weighed(looks, USUAL_FACTOR));
    }
}
