package keyslate.server.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import keyslate.core.colour.Hue;
import keyslate.core.colour.Layers;
import keyslate.core.film.FrameNeed;
import keyslate.core.film.NegativeReadings;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.PackedLights;
import keyslate.core.rescale.ExposureChain;
import keyslate.core.rescale.Known;
import keyslate.core.rescale.Link;
import keyslate.core.rescale.Links;
import keyslate.server.Show;
import keyslate.server.recipe.StartingTime.Proposal;
import keyslate.server.rig.Grades;
import keyslate.server.rig.LightView;
import keyslate.server.rig.Rig;
import keyslate.server.rig.WayBetween;
import keyslate.store.negative.Frame;
import keyslate.store.negative.Need;
import keyslate.store.slate.Recipe;

/**
 * The arithmetic that carries the time of a print over to another set-up, line by line: from one negative to another, size or distance, opening,
 * light. Limits add in squares (FLM-05).
 */
final class CarriedTime {
    private static final Stops BY_GRADE = Stops.ofFraction(1, 6);
    /** A lamp that was never compared. */
    private static final Stops BY_LAMP = Stops.of(1);
    /** A densitometer and two readings. */
    private static final Stops BY_READINGS = Stops.ofFraction(1, 6);

    private static final double SHORTEST_SECONDS = 0.05;
    /** The change of size that the craft allows for without a check. */
    private static final Stops LEAST_CHECK_STEP = Stops.ofFraction(1, 6);

    private static final double SAME_CONTRAST = 0.02;
    private static final double SAME_STOPS = 1e-6;

    private final Rig before;
    private final ExposureTime received;
    private final Rig now;
    private final WayBetween way;
    private final int sheetNumber;
    private final List<String> ofNegative = new ArrayList<>();
    private Optional<MeterReadings> meter = Optional.empty();
    private Stops more = Stops.ZERO;
    private Stops limit = Stops.ZERO;
    /** What it was printed through, its parts taken as one. */
    private final Light from;

    private Light right;

    /**
     * From a sheet with that rig to another one.
     *
     * @param stood the rig as it stood; {@code before} the same with what is known of its things today
     * @param sheetNumber of the sheet on its cord
     */
    CarriedTime(Rig stood, Rig before, Rig now, int sheetNumber) {
        this.before = before;
        // What was set stays; what the paper got of it is known better once the lag was measured.
        int presses = stood.exposure().presses();
        double set = stood.base().inSeconds() + presses * stood.lag().inSeconds();
        this.from = before.one().light();
        this.received = stood.exposure().isSplit()
                ? stood.one().time()
                : ExposureTime.ofSeconds(
                        Math.max(SHORTEST_SECONDS, set - presses * before.lag().inSeconds()));
        this.now = now;
        this.way = new WayBetween(before, now);
        this.sheetNumber = sheetNumber;
        this.right = from;
    }

    /** For a frame that was compared with the one that was printed. */
    CarriedTime needing(Need need, Frame other) {
        FrameNeed found = new FrameNeed(Stops.of(need.moreStops()), Stops.of(need.limitStops()), need.contrast());
        String how = Need.SCAN.equals(need.source()) ? "by the proof's scan" : "by eye on the proof";
        add(found, "frame " + other.number(), how);
        if (need.castHue() != null) {
            Light cast = now.medium().core().forCast(right, Hue.of(need.castHue()), need.castPoints());
            if (!cast.equals(right)) {
                ofNegative.add(cast.notation() + " instead of " + right.notation() + ": its cast beside it, "
                        + Show.number(need.castPoints()) + " points of a viewing filter");
            }
            right = cast;
        } else if (need.packMagenta() != null) {
            Light shifted =
                    now.medium().core().shifted(right, FilterShift.of(0, need.packMagenta(), need.packYellow()));
            if (!shifted.equals(right)) {
                ofNegative.add(shifted.notation() + " instead of " + right.notation() + ": "
                        + Show.lightChange(right, shifted) + " by the proof's scan");
            }
            right = shifted;
        }
        return this;
    }

    /** For a negative whose densities were read, as those of the printed one were. */
    CarriedTime reading(NegativeReadings readings, NegativeReadings ofOther, Frame other) {
        double contrast = readings.neededRange(NegativeReadings.USUAL_FLARE, 1)
                / ofOther.neededRange(NegativeReadings.USUAL_FLARE, 1);
        double held = Math.max(FrameNeed.LEAST_CONTRAST, Math.min(FrameNeed.MOST_CONTRAST, contrast));
        add(new FrameNeed(readings.needAgainst(ofOther, 1), BY_READINGS, held), "frame " + other.number(), "as read");
        return this;
    }

    /** By a meter at the board instead of by size, opening and lamp. */
    CarriedTime by(Optional<MeterReadings> readings) {
        meter = readings;
        return this;
    }

    /** With that light, whichever the print had. */
    CarriedTime through(Light light) {
        right = light;
        return this;
    }

    private void add(FrameNeed need, String other, String how) {
        more = need.more();
        limit = need.limit();
        ofNegative.add("× " + Show.factor(more.toFactor()) + ": it needs " + Show.stops(more) + " of light beside "
                + other + ", " + how + ", ± " + Show.stopsApart(need.limit()));
        if (Math.abs(need.contrast() - 1) > SAME_CONTRAST) {
            Light suited = now.medium().core().forContrast(right, need.contrast());
            if (!suited.equals(right)) {
                ofNegative.add(suited.notation() + " instead of " + right.notation() + ": its tones spread "
                        + Show.factor(need.contrast()) + " times as far");
            }
            right = suited;
        }
    }

    Proposal propose(String headline) {
        List<String> lines = new ArrayList<>();
        lines.add(Show.seconds(received.inSeconds()) + " at " + size(before) + ", "
                + (before.byBareLamp() ? "" : Show.aperture(before.aperture().engraved()) + ", ")
                + from.notation() + ": " + (now.subject().isProof() ? "sheet " : "print ")
                + sheetNumber + " of “" + before.recipe().naming().title() + "”");
        lines.addAll(ofNegative);
        // A default light gives way to the one that is right by the print; a light of one's own is kept, and the time
        // follows.
        Light light = "default".equals(now.recipe().base().source()) ? right : now.light();
        List<Told> told = new ArrayList<>(meter.map(m -> List.of(
                        new Told(m.link(), Optional.of(m.line())),
                        new Told(new Link(Link.Cause.LAMP, Stops.ZERO, lampByMeter()), Optional.empty())))
                .orElseGet(() -> List.of(size(), opening(), lamp())));
        told.add(light(light));
        told.add(batch());
        List<Link> links = new ArrayList<>(List.of(new Link(Link.Cause.NEGATIVE, more, limit)));
        told.forEach(t -> {
            links.add(t.link());
            t.line().ifPresent(lines::add);
        });
        ExposureChain factors = new ExposureChain(links);
        ExposureTime through = factors.apply(received, now.reciprocity());
        sayReciprocity(lines, received.plus(factors.more()), through);
        links.add(Links.lag(received, before.knownLag(), through, now.knownLag(), way.isSameEnlarger()));
        ExposureChain chain = new ExposureChain(links);
        Stops open = chain.limit();
        lines.add("= " + Show.seconds(through.inSeconds()) + ", " + Show.stops(through.stopsFrom(received))
                + " in all, ± "
                + Show.stopsApart(open) + ": "
                + Show.seconds(through.plus(open.negated()).inSeconds()) + " to "
                + Show.seconds(through.plus(open).inSeconds()));
        if (!way.isSamePaper()) {
            lines.add("Another paper or batch: make a strip of three patches first.");
        } else if (now.subject().isProof()) {
            lines.add(way.isMoved() ? "Approximate: the head stood elsewhere." : mark());
        }
        Optional<Stops> step = checkStep(chain);
        step.ifPresent(s -> lines.add(checkWords(s, through, chain.isWorthACheck(false))));
        boolean differs = Math.abs(through.inSeconds() - now.base().inSeconds()) > 0.05 || !light.equals(now.light());
        return new Proposal(
                LightView.of(light),
                through.inSeconds(),
                "rescaled",
                headline,
                lines,
                open.inStops(),
                step.map(Stops::inStops).orElse(null),
                differs,
                List.of());
    }

    /** How far apart three patches would be that check it: offered where it is worth its paper, and to who likes to see another size before a whole sheet. */
    private Optional<Stops> checkStep(ExposureChain chain) {
        if (!chain.isWorthACheck(false) && (!way.isMoved() || now.subject().isProof())) {
            return Optional.empty();
        }
        Stops open = chain.limit().toNearestTwelfth();
        return Optional.of(open.compareTo(LEAST_CHECK_STEP) < 0 ? LEAST_CHECK_STEP : open);
    }

    private static String checkWords(Stops step, ExposureTime time, boolean worth) {
        String patches = "hree patches " + Show.stopsApart(step) + " apart, "
                + Show.listed(List.of(
                        Show.seconds(time.plus(step.negated()).inSeconds()),
                        Show.seconds(time.inSeconds()),
                        Show.seconds(time.plus(step).inSeconds())));
        return worth
                ? "T" + patches + ", are worth their paper."
                : "By these limits no check is worth its paper; t" + patches + ", would be one.";
    }

    /** A factor with the line that tells it, where there is something to tell. */
    private record Told(Link link, Optional<String> line) {
        static Told nothing(Link.Cause cause) {
            return new Told(new Link(cause, Stops.ZERO, Stops.ZERO), Optional.empty());
        }
    }

    /** What the paper asks for beyond the factors, where its loss in long exposures was entered. */
    private void sayReciprocity(List<String> lines, ExposureTime without, ExposureTime with) {
        Stops extra = with.stopsFrom(without);
        if (Math.abs(extra.inStops()) > SAME_STOPS) {
            lines.add("× " + Show.factor(extra.toFactor()) + " for what the paper loses in long exposures, p "
                    + Show.number(now.reciprocity().exponent()));
        }
    }

    private Told size() {
        Link link = way.size();
        return new Told(link, way.isMoved() ? Optional.of(sizeLine(link.more().toFactor())) : Optional.empty());
    }

    private Told opening() {
        Link link = way.opening();
        if (before.byBareLamp() || way.isSameMark() || Math.abs(link.more().inStops()) < SAME_STOPS) {
            return new Told(link, Optional.empty());
        }
        String measured = now.openingOffset().source() == Known.Source.DEFAULT ? "" : ", openings as measured";
        return new Told(
                link,
                Optional.of("× " + Show.factor(link.more().toFactor()) + " for "
                        + Show.aperture(now.aperture().engraved()) + " instead of "
                        + Show.aperture(before.aperture().engraved()) + measured));
    }

    private Told light(Light light) {
        Optional<Link> sets = Grades.betweenSets(before, from, now, light);
        if (sets.isPresent()) {
            Link link = sets.get();
            return new Told(
                    link,
                    Optional.of("× " + Show.factor(link.more().toFactor()) + " for " + light.notation()
                            + " of this enlarger's own filters, ± " + Show.stopsApart(link.limit())));
        }
        if (light.equals(from) && !Grades.isOfOtherContrast(before, now)) {
            return Told.nothing(Link.Cause.LIGHT);
        }
        double factor = Grades.timeFactor(before, from, now, light);
        Stops limit = Grades.isOfOtherContrast(before, now) ? BY_GRADE : lightLimit(light);
        return new Told(
                new Link(Link.Cause.LIGHT, Stops.ofFactor(factor), limit),
                Optional.of("× " + Show.factor(factor) + " for "
                        + (now.paper().hasOneGrade() ? now.paper().type() : light.notation()) + ", as dark"
                        + (limit.compareTo(BY_GRADE) < 0 && light.points().isEmpty()
                                ? ", by filters that were measured, ± " + Show.stopsApart(limit)
                                : "")));
    }

    private Stops lightLimit(Light light) {
        List<Double> was = from.points();
        List<Double> to = light.points();
        if (was.isEmpty() || to.isEmpty()) {
            return Grades.limitBetween(now, from, light).orElse(BY_GRADE);
        }
        Optional<Layers> own = now.constants().packTimesLimits(now.enlarger().id());
        double points = 0;
        double squares = 0;
        for (int dial = 0; dial < was.size(); dial++) {
            double moved = Math.abs(to.get(dial) - was.get(dial));
            points += moved;
            squares += own.isPresent() ? Math.pow(own.get().at(dial) * moved / 100, 2) : 0;
        }
        return own.isPresent()
                ? Stops.of(Math.sqrt(squares) / Math.log10(2))
                : Stops.of(PackedLights.STOPS_A_POINT * points);
    }

    private Told batch() {
        if (way.isSamePaper()) {
            return Told.nothing(Link.Cause.BATCH);
        }
        Optional<Known> compared =
                now.constants().between(before.paper().id(), now.paper().id());
        return new Told(
                Links.batch(compared.orElse(Links.BATCH)),
                compared.map(k -> "× " + Show.factor(Stops.of(k.figure()).toFactor())
                        + " for this box, as it was compared, ± " + Show.stopsApart(Stops.of(k.limit()))));
    }

    /** What lamps of other colours are to paper that a meter does not see. */
    private Stops lampByMeter() {
        return way.isSameEnlarger() ? Stops.ZERO : Stops.of(Links.LAMPS.limit());
    }

    private Told lamp() {
        return way.isSameEnlarger()
                ? Told.nothing(Link.Cause.LAMP)
                : new Told(
                        new Link(Link.Cause.LAMP, Stops.ZERO, BY_LAMP),
                        Optional.of("× 1 for another enlarger: how its light compares is not known, ± "
                                + Show.stopsApart(BY_LAMP) + "; a meter at both boards tells it"));
    }

    /** Where the head has to stand, as the column's own scale shows it. */
    private String mark() {
        return now.recipe()
                .setup()
                .contact()
                .map(Recipe.Contact::columnReading)
                .filter(reading -> !reading.isEmpty())
                .map(reading -> "The head stands where it stood: the column shows " + reading + ".")
                .orElse("The head stands where it stood.");
    }

    private String sizeLine(double factor) {
        String shown = " = " + Show.factor(factor);
        if (before.inContact() && now.inContact()) {
            return "× (" + centimetres(now) + " ÷ " + centimetres(before) + ")²" + shown + " for the distance"
                    + (before.lens().focalMm() == now.lens().focalMm() ? "" : " and the lens");
        }
        if (before.inContact() || now.inContact()) {
            return "×" + shown.substring(2) + " for " + size(now) + " instead of " + size(before);
        }
        return "× (" + spread(now) + " ÷ " + spread(before) + ")²" + shown + " for the size";
    }

    /** "(1 + 8.00 ×)", or with what the lens's light makes of the size where that was measured. */
    private static String spread(Rig rig) {
        double q = rig.inversePupil().figure();
        return "(1 + " + (q == 1 ? "" : Show.factor(q) + " · ") + times(rig) + ")";
    }

    private static String size(Rig rig) {
        return rig.inContact() ? "contact from " + centimetres(rig) : times(rig);
    }

    private static String centimetres(Rig rig) {
        return String.format(Locale.ROOT, "%.1f cm", rig.lightToPaper().inMm() / 10);
    }

    private static String times(Rig rig) {
        return String.format(Locale.ROOT, "%.2f ×", rig.magnification().inTimes());
    }
}
