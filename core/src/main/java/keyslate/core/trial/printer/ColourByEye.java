package keyslate.core.trial.printer;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import keyslate.core.colour.CastEvidence;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.RingAround;
import keyslate.core.colour.RingAround.Exposed;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.PatchPick;
import keyslate.core.exposure.TimeEvidence;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.Stops;
import keyslate.core.trial.printer.ColourDarkroom.Cast;

/**
 * Density by strips and colour by eye. With viewing filters the right patch of every strip is looked at three times,
 * the eye rested in between; with ring-arounds the patch nearest to neutral and the six about it are judged for colour
 * and strength, and a row of density patches stands on the same sheet. All judgements and all readings are weighed
 * together.
 */
public final class ColourByEye {
    private static final double FACTOR = 0.5;
    private static final int LOOKS = 3;
    private static final double FIRST_STEP = 10;
    private static final int FIRST_RINGS = 3;
    private static final double LATER_STEP = 5;
    private static final int JUDGED = 7;
    private static final int ROW = 7;

    private final ColourDarkroom darkroom;
    private final List<CastEvidence.Judged> judged = new ArrayList<>();
    private final List<Read> read = new ArrayList<>();
    private final List<Exposed> stood = new ArrayList<>();
    private Exposed standing = ColourStart.usual();
    private CastEvidence.Estimate colour = new CastEvidence.Estimate(standing.pack(), Double.MAX_VALUE);
    private Stops open = Stops.of(1);

    /** A reading of the density on a strip of a pack. */
    private record Read(FilterPack pack, TimeEvidence.Reading reading) {
        TimeEvidence.Reading carriedTo(FilterPack other) {
            return new TimeEvidence.Reading(reading.time().times(factor(pack, other)), reading.uncertainty());
        }
    }

    private ColourByEye(ColourDarkroom darkroom) {
        this.darkroom = darkroom;
    }

    /** The setting that stands after each strip, times as set, until the advice says done. */
    public static List<Exposed> withViewingFilters(ColourDarkroom darkroom) {
        ColourByEye printer = new ColourByEye(darkroom);
        printer.strips(true, Printers.MOST_PIECES);
        return printer.stood;
    }

    /** The setting that stands after the first strip and each ring-around, times as set, until the advice says done. */
    public static List<Exposed> withRingArounds(ColourDarkroom darkroom) {
        ColourByEye printer = new ColourByEye(darkroom);
        printer.strips(false, 2);
        printer.rings();
        return printer.stood;
    }

    private boolean settled() {
        return colour.isSettled() && CheckStrip.isSettled(open);
    }

    private void strips(boolean looking, int most) {
        CheckStrip next = CheckStrip.first(standing.time());
        boolean found = false;
        while (stood.size() < most && !(looking ? settled() : found)) {
            StripOnPaper strip = StripOnPaper.covering(next);
            found = density(strip, looking);
            stood.add(ColourStart.set(standing));
            next = found ? finer() : new CheckStrip(standing.time(), next.step(), next.patches());
        }
    }

    private void rings() {
        boolean first = true;
        while (stood.size() < Printers.MOST_PIECES && !settled()) {
            ring(first ? FIRST_STEP : LATER_STEP, first ? FIRST_RINGS : 1);
            // The row is exposed through the centre of the ring, patch by patch.
            Stops step = first ? Stops.ofFraction(1, 6) : Stops.ofFraction(1, 12);
            density(StripOnPaper.patchByPatch(new CheckStrip(standing.time(), step, ROW)), false);
            restand();
            stood.add(ColourStart.set(standing));
            first = false;
        }
    }

    /** The strip after one that found its patch: what the reading leaves open, or the finest, about the new pack. */
    private CheckStrip finer() {
        Optional<CheckStrip> check = CheckStrip.after(standing.time(), open);
        return check.orElse(new CheckStrip(standing.time(), Stops.ofFraction(1, 12), ROW));
    }

    /** Marks the patch of the right density, and judges its cast when asked; false when it lies beyond an end. */
    private boolean density(StripOnPaper strip, boolean looking) {
        List<ExposureTime> totals = strip.totals();
        FilterPack pack = standing.pack();
        double seen = darkroom.density(pack, strip);
        if (Marks.beyond(seen, totals.size())) {
            standing = new Exposed(pack, CheckStrip.beyond(totals, seen > 0).centre());
            return false;
        }
        PatchPick mark = Marks.at(seen, totals.size());
        read.add(new Read(pack, new TimeEvidence.Reading(mark.timeOn(totals), mark.uncertaintyOn(totals))));
        if (looking) {
            Exposed patch = ColourStart.set(new Exposed(pack, totals.get((int) Math.round(seen(mark)))));
            for (int i = 0; i < LOOKS; i++) {
                judge(pack, darkroom.castWithKit(patch));
            }
        }
        restand();
        return true;
    }

    private static double seen(PatchPick mark) {
        return mark.index() + mark.weight();
    }

    /** The patch nearest to neutral and those about it, each judged. */
    private void ring(double step, int rings) {
        record Looked(Exposed patch, Cast cast) {}
        List<Looked> looked = RingAround.plan(
                        standing.pack(),
                        standing.time(),
                        step,
                        rings,
                        false,
                        List.of(),
                        FilterSet.DICHROIC,
                        FilterSet.Weights.VISUAL)
                .stream()
                .map(p -> new Looked(p.exposed(), darkroom.castByEye(ColourStart.set(p.exposed()))))
                .toList();
        FilterPack nearest = looked.stream()
                .min(Comparator.comparingDouble(l -> l.cast().strongest()))
                .orElseThrow()
                .patch()
                .pack();
        looked.stream()
                .sorted(Comparator.comparingDouble(l -> apart(l.patch().pack(), nearest)))
                .limit(JUDGED)
                .forEach(l -> judge(l.patch().pack(), l.cast()));
    }

    private static double apart(FilterPack one, FilterPack other) {
        double magenta = one.inMagenta() - one.inCyan() - other.inMagenta() + other.inCyan();
        double yellow = one.inYellow() - one.inCyan() - other.inYellow() + other.inCyan();
        // On a ring of hues red and cyan lie as near as magenta: M and Y count as sides of a triangle.
        return magenta * magenta + yellow * yellow - magenta * yellow;
    }

    private void judge(FilterPack pack, Cast cast) {
        judged.add(new CastEvidence.Judged(pack, cast.magenta(), cast.yellow()));
    }

    /** What all judgements and readings so far speak for. */
    private void restand() {
        if (!judged.isEmpty()) {
            colour = CastEvidence.weighed(judged, FACTOR);
        }
        if (read.isEmpty()) {
            standing = new Exposed(colour.pack(), standing.time().times(factor(standing.pack(), colour.pack())));
            return;
        }
        TimeEvidence.Reading time = TimeEvidence.weighed(
                read.stream().map(r -> r.carriedTo(colour.pack())).toList());
        standing = new Exposed(colour.pack(), time.time());
        open = time.uncertainty();
    }

    private static double factor(FilterPack from, FilterPack to) {
        return FilterSet.DICHROIC.timeFactor(from, to, FilterSet.Weights.VISUAL, 0, 0);
    }
}
