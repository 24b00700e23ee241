package keyslate.server.decide;

import java.util.List;
import java.util.Optional;
import keyslate.core.colour.Hue;
import keyslate.server.rig.LightView;
import keyslate.store.json.Look;
import keyslate.store.json.Pictured;
import org.jspecify.annotations.Nullable;

/** Verdicts and what is done with them. Positive stops = more light, a darker print; positive grades = harder. */
public final class DecisionViews {
    private DecisionViews() {}

    /**
     * One verdict: what to do, why, what it rests on, what would be set.
     *
     * @param asPatch the same as it fell on the patch that was marked, where that was in equal exposures
     * @param again whether the next step is another test, because the answer lies off this one
     * @param second the second part, where it is about a split as a whole
     */
    public record VerdictView(
            String headline,
            String why,
            List<String> restsOn,
            LightView light,
            double seconds,
            double keepSeconds,
            double uncertaintyStops,
            @Nullable CheckView check,
            @Nullable PressesView asPatch,
            boolean again,
            @Nullable SecondView second) {
        /** A verdict that ends the test. */
        public VerdictView(
                String headline,
                String why,
                List<String> restsOn,
                LightView light,
                double seconds,
                double keepSeconds,
                double uncertaintyStops,
                @Nullable CheckView check) {
            this(headline, why, restsOn, light, seconds, keepSeconds, uncertaintyStops, check, null, false, null);
        }

        /** The same with the exposures that the marked patch got. */
        public VerdictView withPatch(Optional<PressesView> given) {
            return new VerdictView(
                    headline,
                    why,
                    restsOn,
                    light,
                    seconds,
                    keepSeconds,
                    uncertaintyStops,
                    check,
                    given.orElse(null),
                    again,
                    second);
        }
    }

    /** The second part of a split. */
    public record SecondView(LightView light, double seconds) {}

    /** So many exposures of what the timer is set to, seconds, and what they give together. */
    public record PressesView(int count, double setSeconds, double seconds) {}

    /**
     * The strip that would settle what a reading leaves open: so many patches about the proposed time, and why.
     *
     * @param beside light of a second row, where it may turn out to be the one
     */
    public record CheckView(
            double stepStops, int patches, @Nullable LightView beside, String why) {}

    /**
     * Marks on a test, in patches from the first (0), halves between two.
     *
     * @param whitesAt where the whites hold
     * @param blacksAt the first true black
     * @param rightAt where the density is right: of a middle tone, or on colour paper
     * @param dry whether the strip was dry as it was read; wet, as it comes, when left out
     * @param moreStops how much more light one sheet needs, stops; negative = less
     * @param beyond LIGHTER when even the first patch is a little too dark, DARKER when even the last is too light; FAR_LIGHTER when all are as good as black, FAR_DARKER when all are bare
     * @param whitesTone the named tone that was looked at for the whites
     * @param rightTone the same in the middle
     * @param blacksTone the same for the black
     * @param lamp the light it is read by, in the user's words, up to 40 characters
     * @param second whether somebody else looked too and saw it alike
     * @param blackBeyond where the first true black lies off the test: DARKER when no patch of it is black, LIGHTER when even the lightest is; none where {@code blacksAt} marks it
     * @param row of a test in two rows: which one is read, 1 or 2; the first when left out
     * @param looks looked at several times, each with the marks before hidden: all looks, 2 to 5; the marks are then their means and not taken from the request
     * @param pictured read from a picture of the sheet: where to look; the marks of its tones, with times and limits, are measured and not taken from the request
     */
    public record Marks(
            @Nullable Double whitesAt,
            @Nullable Double blacksAt,
            @Nullable Double rightAt,
            @Nullable Boolean dry,
            @Nullable Double moreStops,
            @Nullable String beyond,
            @Nullable String whitesTone,
            @Nullable String rightTone,
            @Nullable String blacksTone,
            @Nullable String lamp,
            @Nullable Boolean second,
            @Nullable String blackBeyond,
            @Nullable Integer row,
            @Nullable List<Look> looks,
            @Nullable Pictured pictured) {
        /** Where the whites hold and the first true black, wet as it comes. */
        public static Marks of(@Nullable Double whites, @Nullable Double blacks) {
            return new Marks(
                    whites, blacks, null, null, null, null, null, null, null, null, null, null, null, null, null);
        }

        /** Where the density is right, wet as it comes. */
        public static Marks right(double at) {
            return new Marks(null, null, at, null, null, null, null, null, null, null, null, null, null, null, null);
        }
    }

    /** How a cast was seen. */
    public enum CastWay {
        VIEWING_FILTER,
        BY_NAME,
        /** Pieces of different packs side by side. */
        PIECES,
        /** A spot that is to be neutral, measured in a picture of the sheet; of pieces on each of them. */
        PICTURE,
        /** The pack that a colour meter asks for. */
        METER
    }

    /** What a print was compared with. */
    public enum Beside {
        NOTHING,
        /** A grey card in the same light. */
        CARD,
        /** A card whose own cast was measured. */
        MEASURED_CARD,
        /** A print that is known to be neutral. */
        REFERENCE
    }

    /** How strong a cast is, by name. */
    public enum Strength {
        SLIGHT,
        CLEAR,
        STRONG
    }

    /**
     * A viewing filter of a look.
     *
     * @param hue its colour
     * @param points its strength, 0 to 60
     * @param enough false where it is the strongest of the kit and the cast shows still
     */
    public record Filter(
            @Nullable Hue hue,
            @Nullable Double points,
            @Nullable Boolean enough) {}

    /**
     * A cast by its name.
     *
     * @param hue its colour
     * @param strength as the casts beside the picture show it
     */
    public record Named(@Nullable Hue hue, @Nullable Strength strength) {}

    /**
     * One look, the eye rested before it; without filters and names the grey is neutral.
     *
     * @param filters those through which it is grey, two at most, one on the other
     * @param named what it looks like, or the two casts between which it lies
     * @param pieces of a test in pieces, by their numbers: the neutral one, or two or three between which it lies; in other ways the one that was looked at
     * @param spot that is to be neutral, where it is measured in a picture
     * @param meter what a colour meter asks for
     * @param beside what it was compared with; nothing when left out
     * @param area name of a second neutral place, where that was looked at, up to 40 characters
     */
    public record ColourLook(
            @Nullable List<Filter> filters,
            @Nullable List<Named> named,
            @Nullable List<Integer> pieces,
            @Nullable Spot spot,
            @Nullable Meter meter,
            @Nullable Beside beside,
            @Nullable String area) {
        /** Through one filter, by itself. */
        public static ColourLook through(Filter filter) {
            return new ColourLook(List.of(filter), null, null, null, null, null, null);
        }
    }

    /**
     * What a colour meter through a diffuser says.
     *
     * @param pack that it asks for, "0/58/49"
     * @param scene the kind of scene, up to 40 characters: each has an offset of its own that own prints teach
     */
    public record Meter(@Nullable String pack, @Nullable String scene) {}

    /**
     * What a meter is off on a kind of scene, by own prints on this paper (COL-41).
     *
     * @param magentaPoints to add to what it asks for; yellowPoints alike
     * @param limitPoints 95 % limit of either
     * @param prints how many it rests on
     */
    public record SceneView(String scene, double magentaPoints, double yellowPoints, double limitPoints, int prints) {}

    /**
     * A spot in a picture of the sheet.
     *
     * @param scan number of the picture, from 1; the last one when left out
     * @param x across the picture as it was taken, 0 to 1
     * @param y down the picture, 0 to 1
     * @param card whether it is a grey card of 18 %, which tells the density of a print as well
     * @param white a place of bare paper, x and y like the spot's, for a picture that shows no white rim
     */
    public record Spot(
            @Nullable Integer scan,
            @Nullable Double x,
            @Nullable Double y,
            @Nullable Boolean card,
            @Nullable List<Double> white) {}

    /**
     * A cast as it was seen.
     *
     * @param way through filters, by name, pieces side by side, measured in a picture, or by a meter
     * @param looks 1 to 12, each made anew
     * @param factor how much a point of the viewing kit is said to move the pack, 0.2 to 1; half when left out
     * @param scale how many times as strong as usual the named casts were shown, 0.5 to 4; 1 when left out
     * @param densityStops how much more light the print needs, negative = less
     * @param alone whether these looks are to count by themselves and not together with those before, one cast after another
     * @param dry whether the print was dry, as it is when left out; a wet one is reckoned as it will dry (COL-39)
     * @param lamp the light it was looked at in, in the user's words, up to 40 characters
     * @param elsewhere whether it will hang in another light than that
     * @param kit the name of the kit that was looked through, which says what its points are worth; left out, factor says it
     */
    public record Cast(
            @Nullable CastWay way,
            @Nullable List<ColourLook> looks,
            @Nullable Double factor,
            @Nullable Double scale,
            @Nullable Double densityStops,
            @Nullable Boolean alone,
            @Nullable Boolean dry,
            @Nullable String lamp,
            @Nullable Boolean elsewhere,
            @Nullable String kit) {}

    /** How the next print should differ. */
    public record Wishes(
            @Nullable Double darkerStops, @Nullable Double harderGrades) {}

    /** What becomes of a verdict. */
    public enum Answer {
        /** It is taken. */
        PROPOSED,
        /** It is taken, and the check strip is planned. */
        CHECK,
        /** Its time is taken, with the light that was. */
        KEEP_LIGHT,
        /** Its patch is given again as it was: in as many exposures of the same setting. */
        AS_PATCH,
        /** Something else is set: light and seconds. */
        OWN
    }

    /** An answer to a verdict; light and seconds of one's own. */
    public record Taking(
            long version,
            @Nullable Answer answer,
            @Nullable String light,
            @Nullable Double seconds,
            @Nullable String remark) {}

    /** A reading with its answer. */
    public record Reading(Marks marks, Taking taking) {}

    /** A judgement of colour with its answer. */
    public record ColourJudgement(Cast cast, Taking taking) {}

    /** A judgement of a print with its answer. */
    public record Judgement(Wishes wishes, Taking taking) {}

    /** The print is the one. */
    public record Acceptance(long version, @Nullable String remark) {}

    /**
     * What all looks at the colour of a slate say so far, for the rose.
     *
     * @param looks one by one, the oldest first
     * @param neutral the pack that they speak for
     * @param settled whether more looks are not worth their paper
     * @param uncertaintyPoints one standard deviation of the filter that is known less well, as far as more looks can lessen it
     * @param region where neutral lies in 19 of 20, steady errors of eye and card included: an outline, point after point
     * @param kit what a point of the viewing filters has turned out to move the pack by; none before the first
     * @param steady what the eye adds to a neutral by itself, where something that is not of that eye tells
     * @param stepPoints how far apart pieces about this pack should lie
     * @param castScale how many times as strong as usual the casts should be shown that are named
     * @param apart what two places that should both be neutral differ by, in words; left out where they do not
     */
    public record ColourView(
            List<LookedView> looks,
            LightView neutral,
            double uncertaintyPoints,
            boolean settled,
            List<PackPoint> region,
            @Nullable KitView kit,
            @Nullable SteadyView steady,
            double stepPoints,
            double castScale,
            @Nullable String apart) {}

    /**
     * A pack on the plane of the rose.
     *
     * @param magenta points of magenta beyond those of cyan
     * @param yellow points of yellow beyond those of cyan
     */
    public record PackPoint(double magenta, double yellow) {}

    /**
     * A kit as its looks have taught it.
     *
     * @param name of the kit that was looked through last; empty where none was named
     * @param magentaFactor points of the pack for one point of magenta or green of a kit that says its strength
     * @param yellowFactor the same of yellow or blue
     * @param limitShare 95 % limits of either, share of it
     * @param looks through this kit, on this slate
     * @param near how many of them, each by itself, put neutral within 5 points of where all looks together do
     */
    public record KitView(
            String name, double magentaFactor, double yellowFactor, double limitShare, int looks, int near) {}

    /**
     * What an eye adds to every neutral, points of a viewing filter.
     *
     * @param magentaPoints negative = green
     * @param yellowPoints negative = blue
     * @param limitPoints its 95 % limit
     * @param found whether it exceeds that
     */
    public record SteadyView(double magentaPoints, double yellowPoints, double limitPoints, boolean found) {}

    /**
     * A look: at which sheet, and the cast that was seen in points of a viewing filter.
     *
     * @param at the pack that was looked at
     * @param towards where this look alone puts neutral, by what its way has turned out to show
     * @param words what was said
     */
    public record LookedView(
            String sheetId, PackPoint at, PackPoint towards, double magentaPoints, double yellowPoints, String words) {}

    /**
     * What a look at the colour would set.
     *
     * @param verdict what to do, why, and what it rests on
     * @param colour what all looks say together that the verdict rests on, this one among them
     */
    public record ColourProposal(VerdictView verdict, ColourView colour) {}

    /**
     * Two lamps.
     *
     * @param magentaPoints that the pack would need more in the second; yellowPoints alike
     * @param words what a print that is neutral in the first looks like in the second
     */
    public record LampsView(double magentaPoints, double yellowPoints, String words) {}
}
