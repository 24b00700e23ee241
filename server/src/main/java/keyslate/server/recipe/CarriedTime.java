package keyslate.server.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import keyslate.core.colour.Hue;
import keyslate.core.exposure.ApertureTrade;
import keyslate.core.film.FrameNeed;
import keyslate.core.film.NegativeReadings;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Stops;
import keyslate.server.Show;
import keyslate.server.recipe.StartingTime.Proposal;
import keyslate.server.rig.LightView;
import keyslate.server.rig.Rig;
import keyslate.store.negative.Frame;
import keyslate.store.negative.Need;
import keyslate.store.slate.Recipe;

/**
 * The arithmetic that carries the time of a print over to another set-up, line by line: from one negative to another, size or distance, opening,
 * light. Limits add in squares (FLM-05).
 */
final class CarriedTime {
    private static final Stops BY_SIZE = Stops.ofFraction(1, 6);
    /** A densitometer and two readings. */
    private static final Stops BY_READINGS = Stops.ofFraction(1, 6);

    /** From here on three patches cost less than a sheet that is thrown away (model, section 14). */
    private static final double WORTH_A_CHECK = 1.0 / 6 - 1e-9;

    private static final double SAME_FACTOR = 0.005;
    private static final double SAME_CONTRAST = 0.02;

    private final Rig before;
    private final Rig now;
    private final int sheetNumber;
    private final List<String> ofNegative = new ArrayList<>();
    private Stops more = Stops.ZERO;
    private Stops limit = BY_SIZE;
    private Light right;

    /** From a sheet with that rig, the number of the sheet on its cord, to another rig. */
    CarriedTime(Rig before, Rig now, int sheetNumber) {
        this.before = before;
        this.now = now;
        this.sheetNumber = sheetNumber;
        this.right = before.light();
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
            Light shifted = now.medium().core().shifted(right, FilterShift.of(0, need.packMagenta(), need.packYellow()));
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

    private void add(FrameNeed need, String other, String how) {
        more = need.more();
        limit = need.limitWith(BY_SIZE);
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
        lines.add(Show.seconds(before.base().inSeconds()) + " at " + size(before) + ", "
                + (before.byBareLamp() ? "" : Show.aperture(before.aperture().engraved()) + ", ")
                + before.light().notation() + ": " + (now.subject().isProof() ? "sheet " : "print ")
                + sheetNumber + " of “" + before.recipe().naming().title() + "”");
        lines.addAll(ofNegative);
        ExposureTime time = before.base().plus(more);
        double size = before.projection().timeFactor(now.projection());
        boolean moved = Math.abs(size - 1) > SAME_FACTOR;
        if (moved) {
            lines.add(sizeLine(size));
        }
        time = time.times(size);
        ExposureTime opened = ApertureTrade.timeAt(time, before.opening(), now.opening());
        if (!opened.equals(time)) {
            lines.add("× " + Show.factor(opened.inSeconds() / time.inSeconds()) + " for "
                    + Show.aperture(now.aperture().engraved()) + " instead of "
                    + Show.aperture(before.aperture().engraved()));
        }
        // A default light gives way to the one that is right by the print; a light of one's own is kept, and the time
        // follows.
        Light light = "default".equals(now.recipe().base().source()) ? right : now.light();
        double factor = now.medium().core().timeFactor(before.light(), light);
        ExposureTime through = opened.times(factor);
        if (!light.equals(before.light())) {
            lines.add("× " + Show.factor(factor) + " for " + light.notation() + ", as dark");
        }
        lines.add("= " + Show.seconds(through.inSeconds()) + ", ± " + Show.stopsApart(limit) + ": "
                + Show.seconds(through.plus(limit.negated()).inSeconds()) + " to "
                + Show.seconds(through.plus(limit).inSeconds()));
        if (!before.paper().id().equals(now.paper().id())) {
            lines.add("Another paper or batch: make a strip of three patches first.");
        } else if (now.subject().isProof()) {
            lines.add(moved ? "Approximate: the head stood elsewhere." : mark());
        }
        boolean check = limit.inStops() >= WORTH_A_CHECK;
        Stops step = limit.toNearestTwelfth();
        if (check) {
            lines.add("Three patches " + Show.stopsApart(step) + " apart are worth their paper.");
        }
        boolean differs = Math.abs(through.inSeconds() - now.base().inSeconds()) > 0.05 || !light.equals(now.light());
        return new Proposal(
                LightView.of(light),
                through.inSeconds(),
                "rescaled",
                headline,
                lines,
                limit.inStops(),
                check ? step.inStops() : null,
                differs);
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
        return "× ((1 + " + times(now) + ") ÷ (1 + " + times(before) + "))²" + shown + " for the size";
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
