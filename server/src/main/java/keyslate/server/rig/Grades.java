package keyslate.server.rig;

import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import keyslate.core.colour.GelPack;
import keyslate.core.colour.Primary;
import keyslate.core.contrast.FilterTable;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.PaperGrades;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.light.Light;
import keyslate.core.medium.Colour;
import keyslate.core.medium.Monochrome;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.GradedLights;
import keyslate.core.reading.HeadLights;
import keyslate.core.reading.NextRecipe;
import keyslate.core.reading.SlateEvidence;
import keyslate.core.rescale.Link;
import keyslate.core.rescale.Links;
import keyslate.server.Show;
import keyslate.server.web.ConflictException;

/** The filters or dials of a rig on its paper, with what is known of them; of variable-contrast paper alone. */
public final class Grades {
    private Grades() {}

    /** The paper of a rig through its own filters. */
    public static VariableContrastPaper paper(Rig rig) {
        if (rig.medium().core() instanceof Monochrome mono) {
            return mono.paper();
        }
        throw new ConflictException("wrong-paper", "Contrast is chosen on variable-contrast paper.");
    }

    /** How time follows its filters, and how well that is known: dials that nobody measured are off together. */
    public static SlateEvidence.LightModel lights(Rig rig) {
        Constants constants = rig.constants();
        return constants
                .head(rig.enlarger().id())
                .filter(head -> !rig.paper().hasOneGrade())
                .filter(head -> constants
                        .measured(rig.paper().id(), rig.enlarger().id())
                        .isEmpty())
                .<SlateEvidence.LightModel>map(head -> HeadLights.of(new VariableContrastPaper(), head))
                .orElseGet(() -> GradedLights.usual(paper(rig)));
    }

    /** What is set on a rig's head for its base: the dials of a grade, the gels of a pack, or the seconds of three lights, lag included; none where the light says it all. */
    public static Optional<String> ofBase(Rig rig) {
        return rig.thirdsSet()
                .map(t -> Stream.of(Primary.values())
                                .map(p -> p.name().substring(0, 1) + " "
                                        + Show.seconds(t.of(p).inSeconds()).replace(" s", ""))
                                .collect(Collectors.joining(", "))
                        + " s")
                .or(() -> dials(rig, rig.light()));
    }

    /** What the dials of a rig's head stand at for a light, such as "magenta 31", or the gels of a pack; none where grades are made by filters, or a pack by dials. */
    public static Optional<String> dials(Rig rig, Light light) {
        if (rig.medium().core() instanceof Colour colour && !light.points().isEmpty()) {
            return colour.gels(light.toPack()).map(g -> gels(g, light));
        }
        if (!(rig.medium().core() instanceof Monochrome) || rig.paper().hasOneGrade()) {
            return Optional.empty();
        }
        return rig.constants()
                .head(rig.enlarger().id())
                .flatMap(head -> head.of(light.toFilter()))
                .map(s -> {
                    String yellow = s.yellow() > 0 ? "yellow " + Math.round(s.yellow()) : "";
                    String magenta = s.magenta() > 0 ? "magenta " + Math.round(s.magenta()) : "";
                    String both = String.join(
                            ", ",
                            Stream.of(yellow, magenta).filter(t -> !t.isEmpty()).toList());
                    return both.isEmpty() ? "dials at 0" : both;
                });
    }

    /** The gels of a pack; where they make another one only nearly, which. */
    private static String gels(GelPack gels, Light light) {
        Light made = Light.dials(gels.pack());
        return gels.words() + (made.equals(light) ? "" : ", which make " + made.notation());
    }

    /** A light as it is set: with its dials, where grades are made by them. */
    public static String written(Rig rig, Light light) {
        return light.notation() + dials(rig, light).map(d -> ", " + d).orElse("");
    }

    /** How far the factor of time between two of its filters may be off, where both were measured or learned; none else. */
    public static Optional<Stops> limitBetween(Rig rig, Light from, Light to) {
        if (!(rig.medium().core() instanceof Monochrome mono)) {
            return Optional.empty();
        }
        FilterTable table = mono.paper().measured();
        return table.of(from.toFilter())
                .flatMap(a -> table.of(to.toFilter()).map(b -> Stops.of(Math.hypot(a.limitStops(), b.limitStops()))));
    }

    /** The factor of time from a light on one rig's paper to a light on another's that keeps a print as dark; a light tone is held where one of them has but one grade. */
    public static double timeFactor(Rig before, Light from, Rig now, Light to) {
        return isOfOtherContrast(before, now)
                ? PaperGrades.timeFactor(paper(before), from.toFilter(), paper(now), to.toFilter(), NextRecipe.HELD_NET)
                : now.medium().core().timeFactor(from, to);
    }

    /**
     * From a filter of one enlarger's set to a filter of another's (EXP-44): by what each costs against no filter where both were measured, else as sets are matched, with what that leaves open; none where it is one
     * set, or no filters at all.
     */
    public static Optional<Link> betweenSets(Rig before, Light from, Rig now, Light to) {
        boolean sets = before.medium().core() instanceof Monochrome
                && now.medium().core() instanceof Monochrome
                && !before.enlarger().id().equals(now.enlarger().id())
                && !isOfOtherContrast(before, now);
        if (!sets || now.paper().hasOneGrade()) {
            return Optional.empty();
        }
        Optional<FilterTable.Entry> first = alone(before, from);
        Optional<FilterTable.Entry> second = alone(now, to);
        return Optional.of(
                first.isPresent() && second.isPresent()
                        ? Links.filter(
                                second.get().whitesLog() - first.get().whitesLog(),
                                Stops.of(first.get().limitStops()),
                                Stops.of(second.get().limitStops()))
                        : Links.filter(
                                Math.log10(now.medium().core().timeFactor(from, to)),
                                open(before, from),
                                open(now, to)));
    }

    /** What is known of a filter against no filter. */
    private static Optional<FilterTable.Entry> alone(Rig rig, Light light) {
        return paper(rig).measured().against(GradeFilter.NONE).flatMap(t -> t.of(light.toFilter()));
    }

    private static Stops open(Rig rig, Light light) {
        double matched = GradedLights.usual(paper(rig)).limitStops(light);
        return Stops.of(Math.hypot(matched, Links.UNMEASURED_FILTER.inStops()));
    }

    /** Whether the paper has another contrast than it had, or had one and has many. */
    public static boolean isOfOtherContrast(Rig before, Rig now) {
        return before.medium().core() instanceof Monochrome
                && now.medium().core() instanceof Monochrome
                && !Objects.equals(before.paper().grade(), now.paper().grade());
    }

    /** What is known of the lag besides the figure that times are reckoned with. */
    public static SlateEvidence.Lag lag(Rig rig) {
        return rig.constants()
                .learnedLag(rig.paper().id(), rig.enlarger().id())
                .orElseGet(() -> new SlateEvidence.Lag(0, rig.knownLag().limit()));
    }
}
