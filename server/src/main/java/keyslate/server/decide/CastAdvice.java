package keyslate.server.decide;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import keyslate.core.colour.CastEvidence.Estimate;
import keyslate.core.colour.CastEvidence.Region;
import keyslate.core.colour.CastEvidence.SteadyError;
import keyslate.core.colour.CastLook;
import keyslate.core.colour.CastLook.Against;
import keyslate.core.colour.CastWay;
import keyslate.core.colour.KitFactors;
import keyslate.core.colour.PackTimes;
import keyslate.core.colour.Taste;
import keyslate.core.light.Light;
import keyslate.core.medium.Colour;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.Stops;
import keyslate.server.PrintTurns;
import keyslate.server.Show;
import keyslate.server.decide.CastLooks.Told;
import keyslate.server.decide.DecisionViews.PackPoint;
import keyslate.server.decide.DecisionViews.VerdictView;
import keyslate.server.rig.LightView;
import keyslate.store.json.SeenCast;
import keyslate.store.slate.Recipe;

/**
 * What to do about a cast. All looks of the slate at one box of paper are weighed together (COL-28); a strong cast moves pack and time in one
 * verdict, fine steps wait until the density is right; the pack has no neutral density, and the time follows the pack.
 */
final class CastAdvice {
    /** From here on a cast is strong. */
    static final double STRONG_POINTS = 15;

    private static final double DENSITY_FIRST_STOPS = 0.25;
    /** A change of less than half a point cannot be set. */
    private static final double SAME_POINTS = 0.5;

    private static final double SAME_STOPS = 1.0 / 120;

    private static final int CORNERS = 32;
    /** Of two figures together: the root of chi square of two at 95 %. */
    private static final double NINETEEN_IN_TWENTY = 2.448;

    private CastAdvice() {}

    /** The verdict on looks at a sheet, by all that count. */
    static VerdictView verdict(Hung sheet, Told told, List<CastLook> all, Estimate estimate) {
        Taste taste = taste(sheet);
        ExposureTime same = sheet.carried(sheet.time()).plus(Stops.of(told.densityStops()));
        // What is measured on a card went through the paper's curve: both move at once.
        boolean densityFirst = !told.byCard()
                && told.strongest() < STRONG_POINTS
                && Math.abs(told.densityStops()) > DENSITY_FIRST_STOPS;
        Light light = densityFirst
                ? sheet.before().light()
                : sheet.onItsPaper().medium().core().settable(Light.dials(taste.from(estimate.pack())));
        double factor =
                sheet.onItsPaper().medium().core().timeFactor(sheet.before().light(), light);
        ExposureTime time = same.times(factor);
        Words words = densityFirst ? density(sheet, told, time) : change(sheet, light, time, factor, all, estimate);
        return new VerdictView(
                words.headline(),
                ofCard(told) + words.why() + lookAgain(told),
                rests(sheet, told, all, estimate),
                LightView.of(light),
                time.inSeconds(),
                same.inSeconds(),
                0,
                null);
    }

    /** What is reckoned and was not seen is looked at again. */
    private static String lookAgain(Told told) {
        LookedIn in = told.in();
        if (CastWay.METER.name().equals(told.way())) {
            return "";
        }
        return (in.dry() ? "" : " Seen wet: look again once it is dry.")
                + (in.elsewhere() ? " Not the light it will hang in: look again there." : "");
    }

    /** What the density was off by, where a card told. */
    private static String ofCard(Told told) {
        double stops = told.densityStops();
        return told.byCard() && Math.abs(stops) >= SAME_STOPS
                ? "The card is " + hundredths(stops) + " stop too " + (stops > 0 ? "light. " : "dark. ")
                : "";
    }

    private static Taste taste(Hung sheet) {
        return sheet.now().recipe().naming().taste();
    }

    private record Words(String headline, String why) {}

    private static Words density(Hung sheet, Told look, ExposureTime time) {
        return new Words(
                "Density first: give " + Show.stops(Stops.of(look.densityStops())) + ", "
                        + sheet.onItsPaper().timeInWords(sheet.before().light(), time) + ".",
                "A slight cast is judged when the density is within a quarter of a stop. The pack stays; this look is kept.");
    }

    private static Words change(
            Hung sheet, Light light, ExposureTime time, double factor, List<CastLook> all, Estimate estimate) {
        List<String> moves = moves(sheet.before().light().points(), light.points());
        String seconds = sheet.onItsPaper().timeInWords(light, time);
        if (moves.isEmpty()) {
            return new Words(
                    "Keep " + light.notation() + ". Expose " + seconds + ".",
                    (taste(sheet).isNeutral()
                                    ? "What is seen is less than a point of filter. "
                                    : "It is " + PrintTurns.meant(taste(sheet)) + " than neutral, as it is meant. ")
                            + agreement(all, estimate));
        }
        String turns = PrintTurns.words(sheet.before().light().toPack(), light.toPack());
        Taste taste = taste(sheet);
        String meant = taste.isNeutral() ? "" : "It is meant " + PrintTurns.meant(taste) + " than neutral. ";
        return new Words(
                Show.listed(moves) + ". Expose " + seconds + ".",
                meant + "The print turns " + turns + ". " + follows(sheet, light, factor) + " "
                        + agreement(all, estimate));
    }

    /** What the time does, and where it does not follow wholly what becomes of the density. */
    private static String follows(Hung sheet, Light light, double factor) {
        double stops = Math.log(factor) / Math.log(2);
        double left = sheet.onItsPaper().medium().core() instanceof Colour colour
                ? colour.times()
                        .notFollowed(sheet.before().light().toPack(), light.toPack())
                        .inStops()
                : 0;
        String time = Math.abs(stops) < SAME_STOPS
                ? "The time stays"
                : "Time " + (stops > 0 ? "rises " : "falls ") + hundredths(stops) + " stop";
        if (Math.abs(left) >= SAME_STOPS) {
            return time + ", as you have it: density may move, about " + hundredths(left) + " stop "
                    + (left > 0 ? "lighter." : "darker.");
        }
        return time + (Math.abs(stops) < SAME_STOPS ? "." : " so that it stays as dark.");
    }

    private static String hundredths(double stops) {
        return String.format(Locale.ROOT, "%.2f", Math.abs(stops));
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

    private static String agreement(List<CastLook> all, Estimate estimate) {
        String known = "± " + Show.number(Math.max(0.1, 2 * estimate.uncertaintyPoints())) + " points";
        long looks = looks(all);
        return looks == 1
                ? "One look: known to " + known + "."
                : looks + " looks together: known to " + known + (estimate.isSettled() ? ", enough." : ".");
    }

    /** Those that somebody had. */
    private static long looks(List<CastLook> all) {
        return all.stream().filter(l -> l.way() != CastWay.START).count();
    }

    private static List<String> rests(Hung sheet, Told told, List<CastLook> all, Estimate estimate) {
        List<String> rests = new ArrayList<>();
        rests.add(sheet.view().label() + ": " + sheet.before().light().notation() + ", "
                + Show.seconds(sheet.time().inSeconds()) + ", on record.");
        if (!told.byCard()) {
            rests.add(densityFound(sheet));
        }
        all.stream().filter(l -> l.way() == CastWay.START).findFirst().ifPresent(start -> rests.add(beginning(start)));
        for (SeenCast cast : told.casts()) {
            rests.add(Show.sentence(cast.words() + beside(cast) + from(cast)));
        }
        long looks = looks(all);
        rests.add(looks + (looks == 1 ? " look" : " looks") + " weighed together (COL-28); neutral at "
                + Light.dials(estimate.pack()).notation() + ".");
        if (!taste(sheet).isNeutral()) {
            rests.add("Meant " + PrintTurns.meant(taste(sheet)) + " than neutral, your taste (COL-38): "
                    + Light.dials(taste(sheet).from(estimate.pack())).notation() + ".");
        }
        if (sheet.onItsPaper().medium().core() instanceof Colour colour) {
            colour.beyond(Light.dials(taste(sheet).from(estimate.pack())))
                    .ifPresent(words -> rests.add(Show.capital(words)
                            + ": they are set as far as they go, and a gel under the lens gives the rest."));
            PackTimes times = colour.times();
            rests.add(String.format(
                    Locale.ROOT,
                    "Time by the factors of the head, C %.2f, M %.2f, Y %.2f, %s (COL-35).",
                    times.cyan(),
                    times.magenta(),
                    times.yellow(),
                    sheet.onItsPaper()
                            .constants()
                            .packTimesSource(sheet.onItsPaper().enlarger().id())
                            .name()
                            .toLowerCase(Locale.ROOT)));
        }
        estimate.of(CastWay.VIEWING_FILTER, ColourSoFar.lastKit(all))
                .ifPresent(kit -> rests.add(factors(kit, told.factor() / CastLooks.USUAL_FACTOR)));
        estimate.steady().filter(SteadyError::isFound).ifPresent(steady -> rests.add(steady(steady)));
        if (told.densityStops() != 0) {
            rests.add("Density needs " + Show.stops(Stops.of(told.densityStops()))
                    + (told.byCard()
                            ? ", measured on the grey card, which is to be of density 0.75 (COL-47)."
                            : ", your judgement; the cast is reckoned at the gradient the paper has there (COL-14)."));
        }
        return rests;
    }

    private static String beginning(CastLook start) {
        return "Before any look: neutral at " + Light.dials(start.pack()).notation() + ", ± "
                + Show.number(2 * start.openPoints())
                + (start.openPoints() < CastWay.GUESSED_POINTS
                        ? ", the middle of own prints on this paper (COL-32)."
                        : ", a guess.");
    }

    /** Who found the density right that the colour is judged at. */
    private static String densityFound(Hung sheet) {
        boolean onIt = sheet.view().patches().size() > 1
                && sheet.sheet().exposed().decisions().stream()
                        .anyMatch(d -> d.seen().rightAt() != null);
        if (onIt) {
            return "Density right by your reading of " + sheet.view().label() + ".";
        }
        Recipe.Base base = sheet.before().recipe().base();
        return switch (base.source()) {
            case "read", "judged" ->
                "Density by what was found before: "
                        + base.because().lines().findFirst().orElse("");
            case "own" -> "Density by your own time.";
            default -> "Nobody has found this density right yet: say how much more light it needs, if any.";
        };
    }

    private static String beside(SeenCast cast) {
        return switch (Against.valueOf(cast.against())) {
            case NOTHING -> "";
            case REFERENCE -> ", beside a print that is neutral";
            case CARD, MEASURED_CARD -> ", beside a grey card";
        };
    }

    private static String from(SeenCast cast) {
        return switch (CastWay.valueOf(cast.way())) {
            case PICTURE -> ", in the picture";
            case METER -> "";
            default -> ", your look";
        };
    }

    /** In points as they stand on the filters: looks are weighed as if all kits said their strength. */
    private static String factors(KitFactors kit, double points) {
        return "A point of the viewing filters moves the pack by " + Show.factor(points * kit.magentaFactor())
                + " of magenta or green and by " + Show.factor(points * kit.yellowFactor()) + " of yellow or blue, ± "
                + Math.round(100 * limitShare(kit)) + " %.";
    }

    /** How far open the factors of a kit are, 95 %, as a share. */
    static double limitShare(KitFactors kit) {
        return 2
                * Math.max(
                        kit.magenta().spread() / kit.magenta().figure(),
                        kit.yellow().spread() / kit.yellow().figure());
    }

    private static String steady(SteadyError steady) {
        return "This eye in this light sees a neutral as " + Show.number(Math.abs(steady.magenta()))
                + (steady.magenta() > 0 ? " magenta" : " green") + " and " + Show.number(Math.abs(steady.yellow()))
                + (steady.yellow() > 0 ? " yellow" : " blue") + ", ± " + Show.number(2 * steady.spread())
                + ": taken off.";
    }

    /** Where neutral is taken to lie before anybody looked. */
    static CastLook start(FilterPack pack, double openPoints) {
        return CastLook.of(pack, 0, 0, CastWay.START).open(openPoints);
    }

    /** The outline of where neutral lies in 19 of 20. */
    static List<PackPoint> outline(Region region) {
        // A root of the covariance by Cholesky's way; both variances are above 0.
        double a = Math.sqrt(region.ofMagenta());
        double b = region.both() / a;
        double c = Math.sqrt(Math.max(0, region.ofYellow() - b * b));
        List<PackPoint> outline = new ArrayList<>();
        for (int i = 0; i < CORNERS; i++) {
            double angle = 2 * Math.PI * i / CORNERS;
            double x = NINETEEN_IN_TWENTY * Math.cos(angle);
            double y = NINETEEN_IN_TWENTY * Math.sin(angle);
            outline.add(new PackPoint(region.magenta() + a * x, region.yellow() + b * x + c * y));
        }
        return outline;
    }
}
