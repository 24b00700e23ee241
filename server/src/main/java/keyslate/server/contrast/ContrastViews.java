package keyslate.server.contrast;

import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import keyslate.core.contrast.SplitByStrips;
import keyslate.core.test.CoverStripPlan.SecondLies;
import keyslate.server.rig.LightView;
import org.jspecify.annotations.Nullable;

/** What the page sees of the contrast of a print. Densities are net, over the paper's white. */
public final class ContrastViews {
    private ContrastViews() {}

    /**
     * How what stands puts the tones of the negative on the paper.
     *
     * @param curve of the light that stands
     * @param film what the part of the negative that prints spans; none where nothing was scanned
     * @param threads the named tones, or three that every print has where none was named
     * @param tones that lie off the paper's curve
     * @param parts of the base exposure as it stands
     * @param one what it is worth through a single filter
     * @param strips what strips of this slate showed, through each filter that was used
     * @param basis what the densities rest on
     */
    public record ContrastView(
            List<PointView> curve,
            @Nullable FilmView film,
            List<ThreadView> threads,
            OffCurveView tones,
            List<PartView> parts,
            PartView one,
            List<StripView> strips,
            String basis) {}

    /**
     * A place of the curve.
     *
     * @param stops light on the paper, from the tone that stands at 0.60
     * @param net density it gives
     */
    public record PointView(double stops, double net) {}

    /**
     * What the negative lets through, but for a hundredth of the picture at each end.
     *
     * @param fromStops least light, from the tone that stands at 0.60
     * @param toStops most light, alike
     */
    public record FilmView(double fromStops, double toStops) {}

    /**
     * A tone.
     *
     * @param stops light it lets to the paper, from the tone that stands at 0.60
     * @param net what it becomes, computed
     * @param wantedNet by what was named; none of a tone that nobody named
     * @param missed by how much it comes out darker than it was asked to be; 0 where nothing was asked, or where nobody would see it: up to 0.04, in light tones 0.02
     */
    public record ThreadView(
            String name, double stops, double net, @Nullable Double wantedNet, double missed) {}

    /**
     * How much of the picture lies off the paper's curve; none where nothing was scanned.
     *
     * @param bareShare of the picture that comes out as bare paper, 0 to 1
     * @param blockedShare of the picture that comes out as black as the paper gets, 0 to 1
     */
    public record OffCurveView(
            @Nullable Double bareShare, @Nullable Double blockedShare) {}

    /** A light and the seconds received through it. */
    public record PartView(LightView light, double seconds) {}

    /** Points of yellow and magenta on a head that has dials, by a generic set of filters, and the factor of time over white light. */
    public record DialsView(double yellow, double magenta, double timeFactor) {}

    /**
     * What strips through a filter showed.
     *
     * @param whitesSeconds time at which the whites hold; none where they were not marked
     * @param blacksSeconds time of the first true black; none where it was not
     */
    public record StripView(
            LightView light,
            @Nullable Double whitesSeconds,
            @Nullable Double blacksSeconds) {}

    /** Whether one filter prints it, or two one after the other. */
    public enum Way {
        ONE_FILTER,
        TWO_FILTERS
    }

    /**
     * A thread's end as it was moved.
     *
     * @param net density the tone is to have over the paper's white, 0 to 2.05
     */
    public record WantedTone(
            @Nullable String name, @Nullable Double net) {}

    /**
     * What is asked of the contrast; nothing at all asks for what stands.
     *
     * @param threads the ends that were moved; the first tone stays as it is where it was not
     * @param light a filter of one's own choice, or the grade that two filters are to be worth
     * @param moreStops more light for all of it, -3 to 3
     * @param soft filter of the soft part, grade 00 when left out
     * @param hard filter of the hard part, grade 5 when left out
     * @param school two filters as strips through them say, and how the two are put together; left out, by the threads or as what stands
     * @param hardFirst whether the hard part comes first
     */
    public record ContrastAsked(
            @Nullable Way way,
            @Nullable List<WantedTone> threads,
            @Nullable String light,
            @Nullable Double moreStops,
            @Nullable String soft,
            @Nullable String hard,
            SplitByStrips.@Nullable School school,
            @Nullable Boolean hardFirst) {}

    /**
     * The strips that a split starts from, or that settle it: one in two rows.
     *
     * @param soft filter of the soft part, grade 00 when left out
     * @param hard filter of the hard part, grade 5 when left out
     * @param lies BESIDE in a row of its own, as when left out; ON_TOP for a strip of both parts on the same patches, about the pair that stands or that strips gave; ON_WHOLE for the hard part in steps on the whole soft one
     */
    public record StripsAsked(
            long version,
            @Nullable String soft,
            @Nullable String hard,
            @Nullable SecondLies lies) {}

    /**
     * What is asked, to be set.
     *
     * @param asked as for the proposal
     */
    public record ContrastTaking(long version, @Nullable ContrastAsked asked) {}

    /**
     * What to set, why, and what becomes of the tones.
     *
     * @param parts in the order they are given
     * @param one the single filter they are worth, with its own time
     * @param dials of one filter on a head that has them
     * @param curve of the light that is proposed
     * @param threads in it
     * @param picture the straight print of it, a BMP in base64; none where none was asked for or nothing was scanned
     */
    public record ContrastProposal(
            String headline,
            String why,
            List<String> restsOn,
            List<PartView> parts,
            PartView one,
            @Nullable DialsView dials,
            List<PointView> curve,
            List<ThreadView> threads,
            OffCurveView tones,
            @Nullable String picture) {
        /** Without a picture. */
        ContrastProposal(
                String headline,
                String why,
                List<String> restsOn,
                List<PartView> parts,
                PartView one,
                @Nullable DialsView dials,
                List<PointView> curve,
                List<ThreadView> threads,
                OffCurveView tones) {
            this(headline, why, restsOn, parts, one, dials, curve, threads, tones, null);
        }

        /** The same with its print. */
        ContrastProposal shown(byte[] bmp) {
            String picture = Base64.getEncoder().encodeToString(bmp);
            return new ContrastProposal(headline, why, restsOn, parts, one, dials, curve, threads, tones, picture);
        }

        /** The same with one more sentence of why. */
        ContrastProposal because(String more) {
            return new ContrastProposal(
                    headline, (why + " " + more).strip(), restsOn, parts, one, dials, curve, threads, tones, picture);
        }

        /** The same with one more line of what it rests on. */
        ContrastProposal with(String line) {
            List<String> rests = new ArrayList<>(restsOn);
            rests.add(line);
            return new ContrastProposal(headline, why, rests, parts, one, dials, curve, threads, tones, picture);
        }
    }
}
