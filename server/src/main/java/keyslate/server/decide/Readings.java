package keyslate.server.decide;

import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.PatchPick;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.Looks;
import keyslate.core.reading.SlateEvidence;
import keyslate.core.test.GuessPlan;
import keyslate.core.tone.NamedTone;
import keyslate.server.Show;
import keyslate.server.decide.DecisionViews.CheckView;
import keyslate.server.decide.DecisionViews.Marks;
import keyslate.server.rig.LightView;
import keyslate.server.test.CheckPlan;
import keyslate.server.tone.Tones;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.Texts;
import keyslate.store.json.Seen;
import org.jspecify.annotations.Nullable;

/** What the advisers of all kinds of paper share. */
final class Readings {
    private static final double SHORTEST_TOTAL_SECONDS = 0.001;
    private static final double MOST_STOPS = 5;
    private static final double AT_AN_END = 2;
    private static final int LONGEST_WORDS = 40;

    static final String HOW_MUCH_MORE = "Say how much more light it needs; 0 where it is right.";

    private Readings() {}

    /** What was seen, for the record: the marks that this reading rests on, and how it was looked at. */
    static Seen seen(Marks marks, @Nullable Double whites, @Nullable Double right, @Nullable Double blacks) {
        return new Seen(
                whites,
                blacks,
                right,
                null,
                null,
                null,
                null,
                null,
                null,
                marks.dry(),
                marks.moreStops(),
                marks.beyond(),
                whites == null ? null : marks.whitesTone(),
                right == null ? null : marks.rightTone(),
                blacks == null ? null : marks.blacksTone(),
                marks.lamp(),
                marks.second(),
                marks.row(),
                marks.looks(),
                marks.pictured(),
                blacks == null ? marks.blackBeyond() : null,
                null,
                null);
    }

    /** The marks with their texts as they are kept. */
    static Marks checked(Marks marks) {
        FieldErrors errors = new FieldErrors();
        String whites = text(errors, "/marks/whitesTone", marks.whitesTone());
        String right = text(errors, "/marks/rightTone", marks.rightTone());
        String blacks = text(errors, "/marks/blacksTone", marks.blacksTone());
        String lamp = text(errors, "/marks/lamp", marks.lamp());
        errors.throwIfAny();
        return new Marks(
                marks.whitesAt(),
                marks.blacksAt(),
                marks.rightAt(),
                marks.dry(),
                marks.moreStops(),
                marks.beyond(),
                whites,
                right,
                blacks,
                lamp,
                marks.second(),
                marks.blackBeyond(),
                marks.row(),
                marks.looks(),
                marks.pictured());
    }

    private static @Nullable String text(FieldErrors errors, String pointer, @Nullable String text) {
        if (text == null || text.isBlank()) {
            return null;
        }
        return Texts.checked(errors, pointer, text, 0, LONGEST_WORDS);
    }

    /** What is left open when everything is counted. */
    static String together(SlateEvidence.Estimate read) {
        return "In all ± " + Show.stopsApart(read.limit()) + " (95 %): marks, way, light and lag together (REA-16).";
    }

    /** A mark in words. */
    static void said(
            List<String> rests, String what, @Nullable Double at, Optional<Looks> looks, List<ExposureTime> totals) {
        if (at != null) {
            PatchPick pick = PatchPick.ofPosition(at);
            rests.add(what + Show.seconds(pick.timeOn(totals).inSeconds()) + ", "
                    + looks.map(l -> "the mean of " + l.places().size() + " looks")
                            .orElse("your mark") + ", ± "
                    + Show.stopsApart(limit(pick, looks, totals)) + ".");
        }
    }

    /** What was said that one sheet needs. */
    static void needs(List<String> rests, Hung sheet, Marks marks) {
        if (marks.moreStops() != null) {
            rests.add(sheet.view().label() + " needs " + Show.stops(Stops.of(marks.moreStops()))
                    + (marks.pictured() == null
                            ? ", your judgement of a whole sheet, ± " + Show.stopsApart(GuessPlan.JUDGED_TO) + "."
                            : ", measured in its picture over the paper's curve."));
        }
    }

    /** How far a mark may be off; on an end of the test it is a whole patch. */
    static Stops limit(PatchPick pick, Optional<Looks> looks, List<ExposureTime> totals) {
        boolean end = pick.weight() == 0 && (pick.index() == 0 || pick.index() == totals.size() - 1);
        Stops half = pick.uncertaintyOn(totals);
        Stops ofOne = end ? half.times(AT_AN_END) : half;
        return looks.map(l -> l.limit(ofOne)).orElse(ofOne);
    }

    /** What each patch of a strip really received. */
    static List<ExposureTime> totals(Hung strip) {
        return strip.view().patches().stream()
                .map(p -> ExposureTime.ofSeconds(Math.max(SHORTEST_TOTAL_SECONDS, p.givenSeconds())))
                .toList();
    }

    /** A mark, or nothing and an error of its field when it lies off the strip. */
    static Optional<PatchPick> mark(
            FieldErrors errors, String pointer, @Nullable Double at, List<ExposureTime> totals) {
        if (at == null) {
            return Optional.empty();
        }
        return errors.check(pointer, Optional.empty(), () -> {
            PatchPick pick = PatchPick.ofPosition(at);
            pick.timeOn(totals);
            return Optional.of(pick);
        });
    }

    static double stops(FieldErrors errors, String pointer, @Nullable Double stops) {
        return errors.check(
                pointer,
                0.0,
                () -> Check.within("change", stops == null ? 0 : stops, -MOST_STOPS, MOST_STOPS, "stops"));
    }

    /** Where on the strip the tones lie that the printer named. */
    static List<String> tones(Hung strip) {
        return strip.now().recipe().naming().tones().stream()
                .flatMap(tone -> where(tone, strip).stream())
                .toList();
    }

    private static Optional<String> where(NamedTone tone, Hung strip) {
        List<Integer> patches = Tones.holding(tone, strip.sheet());
        if (patches.isEmpty()) {
            return Optional.empty();
        }
        boolean all =
                patches.size() > 1 && patches.size() == strip.view().patches().size();
        String numbers = Show.listed(patches.stream().map(String::valueOf).toList());
        return Optional.of("“" + tone.name() + "” lies in "
                + (all ? "every patch." : (patches.size() == 1 ? "patch " : "patches ") + numbers + "."));
    }

    static CheckView check(CheckPlan plan) {
        CheckStrip strip = plan.strip();
        return new CheckView(
                strip.step().inStops(),
                strip.patches(),
                plan.beside().map(LightView::of).orElse(null),
                "The reading leaves more open than a print shows. A check strip is worth its paper: " + strip.patches()
                        + " patches, " + Show.stopsApart(strip.step()) + " apart (EXP-29)"
                        + plan.beside()
                                .map(l -> ", in two rows: " + l.notation()
                                        + " beside it, which may turn out to be the one")
                                .orElse("")
                        + ".");
    }
}
