package keyslate.core.trial.printer;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import keyslate.core.colour.CastEvidence;
import keyslate.core.colour.CastEvidence.Estimate;
import keyslate.core.colour.CastLook;
import keyslate.core.colour.CastLook.Against;
import keyslate.core.colour.CastWay;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.FirstPack;
import keyslate.core.colour.KitFactors;
import keyslate.core.colour.KitLook;
import keyslate.core.colour.NamedCast;
import keyslate.core.colour.NeutralSpot;
import keyslate.core.colour.PiecePick;
import keyslate.core.colour.RingAround;
import keyslate.core.colour.RingAround.Exposed;
import keyslate.core.colour.SceneOffset;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.PatchPick;
import keyslate.core.exposure.TimeEvidence;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.ScanColour;
import keyslate.core.test.PacksAround;

/**
 * Density by strips and colour by eye. The right patch of every strip is looked at several times, the eye rested in between: through viewing filters, through them beside a grey card, or against the six casts. With pieces the
 * first strip is looked at by name, and from then on the neutral one of a sheet of pieces is picked, or the place between two or three, with a row of densities on the same sheet. All looks and all readings are weighed together.
 */
public final class ColourByEye {
    private static final int LOOKS = 4;
    /** A touch each, with no filter to hold. */
    private static final int NAMED_LOOKS = 8;

    private static final int ROW = 7;

    private final ColourDarkroom darkroom;
    private final Way way;
    private final Bench bench;
    private final List<CastLook> looks = new ArrayList<>();
    private final List<Read> read = new ArrayList<>();
    private final List<Exposed> stood = new ArrayList<>();
    private Exposed standing;
    private Estimate colour;
    private Stops open = Stops.of(1);

    /** How colour is told. */
    public enum Way {
        VIEWING_FILTERS,
        BESIDE_A_CARD,
        BY_NAME,
        /** Nine pieces: three of magenta by three of yellow. */
        PIECES,
        /** Seven: the pack and six about it. */
        RING_AROUND,
        /** A meter at the board before the first strip, then viewing filters. */
        METER,
        /** A spot measured in a picture of each strip, at the patch of the right density. */
        PICTURE
    }

    /**
     * What a bench knows before a slate: the pack and time that it begins with, how far that pack is open, and what kits and eyes have turned out to be.
     */
    public record Bench(Exposed start, double openPoints, List<KitFactors> known) {
        /** Nothing yet. */
        public static final Bench NEW = new Bench(ColourStart.usual(), CastWay.GUESSED_POINTS, List.of());

        /** By the slates before: the median of their packs and times, and what the last of them knew of the kit. */
        public static Bench after(List<Slate> before) {
            if (before.isEmpty()) {
                return NEW;
            }
            FirstPack first =
                    FirstPack.of(before.stream().map(s -> s.standing().pack()).toList());
            double[] seconds = before.stream()
                    .mapToDouble(s -> s.standing()
                            .time()
                            .times(factor(s.standing().pack(), first.pack()))
                            .inSeconds())
                    .sorted()
                    .toArray();
            List<KitFactors> known = before.get(before.size() - 1).found().stream()
                    .filter(f -> f.way() != CastWay.START)
                    .map(KitFactors::onAnotherSlate)
                    .toList();
            return new Bench(
                    new Exposed(first.pack(), ExposureTime.ofSeconds(seconds[seconds.length / 2])),
                    first.openPoints(),
                    known);
        }

        CastLook firstPack() {
            return CastLook.of(start.pack(), 0, 0, CastWay.START).open(openPoints);
        }
    }

    /** A reading of the density on a strip of a pack. */
    private record Read(FilterPack pack, TimeEvidence.Reading reading) {
        TimeEvidence.Reading carriedTo(FilterPack other) {
            return new TimeEvidence.Reading(reading.time().times(factor(pack, other)), reading.uncertainty());
        }
    }

    /**
     * A slate that was followed.
     *
     * @param stood the setting after each piece, times as set
     * @param standing what stood at last, times as received
     * @param found what was found of kits and eyes
     */
    public record Slate(List<Exposed> stood, Exposed standing, List<KitFactors> found) {}

    private ColourByEye(ColourDarkroom darkroom, Way way, Bench bench) {
        this.darkroom = darkroom;
        this.way = way;
        this.bench = bench;
        this.standing = bench.start();
        looks.add(bench.firstPack());
        colour = CastEvidence.weighed(looks, bench.known());
        if (way == Way.METER) {
            looks.add(metered());
            restand();
        }
    }

    /** Until the advice says done. */
    public static Slate follow(ColourDarkroom darkroom, Way way, Bench bench) {
        ColourByEye printer = new ColourByEye(darkroom, way, bench);
        boolean pieces = way == Way.PIECES || way == Way.RING_AROUND;
        printer.strips(pieces ? 2 : Printers.MOST_PIECES, pieces);
        if (pieces) {
            printer.sheets();
        }
        return new Slate(printer.stood, printer.standing, printer.colour.factors());
    }

    private boolean settled() {
        return colour.isSettled() && CheckStrip.isSettled(open);
    }

    private void strips(int most, boolean oneIsEnough) {
        CheckStrip next = CheckStrip.first(standing.time());
        boolean found = false;
        while (stood.size() < most && !(oneIsEnough ? found : settled())) {
            StripOnPaper strip = StripOnPaper.covering(next);
            found = density(strip, true);
            stood.add(ColourStart.set(standing));
            next = found ? finer() : new CheckStrip(standing.time(), next.step(), next.patches());
        }
    }

    private void sheets() {
        boolean first = true;
        while (stood.size() < Printers.MOST_PIECES && !settled()) {
            pick();
            // The row is exposed through the centre, patch by patch.
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
            Exposed patch =
                    ColourStart.set(new Exposed(pack, totals.get((int) Math.round(mark.index() + mark.weight()))));
            for (int i = 0; i < timesLooked(); i++) {
                looks.add(look(patch));
            }
        }
        restand();
        return true;
    }

    /** A picture that is measured again says the same. */
    private int timesLooked() {
        return switch (way) {
            case BY_NAME -> NAMED_LOOKS;
            case PICTURE -> 1;
            default -> LOOKS;
        };
    }

    private CastLook look(Exposed patch) {
        return switch (way) {
            case PICTURE -> measured(patch);
            case VIEWING_FILTERS, METER -> KitLook.at(patch.pack(), darkroom.throughKit(patch));
            case BESIDE_A_CARD ->
                KitLook.at(patch.pack(), darkroom.throughKitBesideCard(patch)).against(Against.CARD);
            default -> named(patch);
        };
    }

    /** As the station takes it (COL-41), with no print of such a scene yet. */
    private CastLook metered() {
        FilterPack asked = darkroom.metered();
        FilterPack stood = standing.pack();
        SceneOffset offset = SceneOffset.of(List.of());
        return CastLook.of(
                        stood,
                        asked.inMagenta() - asked.inCyan() - (stood.inMagenta() - stood.inCyan()),
                        asked.inYellow() - asked.inCyan() - (stood.inYellow() - stood.inCyan()),
                        CastWay.METER)
                .open(offset.openPoints());
    }

    private CastLook measured(Exposed patch) {
        ColourDarkroom.Scanned scanned = darkroom.scan(patch);
        NeutralSpot spot = NeutralSpot.of(ScanColour.of(scanned.card(), scanned.white()), FilterSet.DICHROIC);
        return CastLook.of(patch.pack(), spot.magenta(), spot.yellow(), CastWay.PICTURE);
    }

    private CastLook named(Exposed patch) {
        double scale = NamedCast.scaleFor(colour.uncertaintyPoints());
        return NamedCast.at(patch.pack(), darkroom.named(patch, scale), scale);
    }

    /** Pieces about the pack that stands, as far apart as it is open. */
    private void pick() {
        double step = PacksAround.stepFor(colour.uncertaintyPoints());
        List<Exposed> pieces = way == Way.RING_AROUND ? ring(step) : grid(step);
        List<Exposed> set = pieces.stream().map(ColourStart::set).toList();
        List<FilterPack> packs = pieces.stream().map(Exposed::pack).toList();
        List<CastLook> found = new ArrayList<>();
        for (int i = 0; i < LOOKS; i++) {
            List<Integer> neutral = darkroom.neutralOf(set);
            found.add(PiecePick.of(packs, neutral));
            found.add(named(set.get(neutral.get(0))));
        }
        looks.addAll(found);
    }

    private List<Exposed> ring(double step) {
        return RingAround.plan(
                        standing.pack(),
                        standing.time(),
                        step,
                        1,
                        false,
                        List.of(),
                        FilterSet.DICHROIC,
                        FilterSet.Weights.VISUAL)
                .stream()
                .map(RingAround.Patch::exposed)
                .toList();
    }

    private List<Exposed> grid(double step) {
        List<Double> steps = List.of(-step, 0.0, step);
        return RingAround.grid(
                        standing.pack(), standing.time(), steps, steps, FilterSet.DICHROIC, FilterSet.Weights.VISUAL)
                .stream()
                .flatMap(List::stream)
                .toList();
    }

    /** What all looks and readings so far speak for. */
    private void restand() {
        colour = CastEvidence.weighed(looks, bench.known());
        FilterPack pack = colour.pack();
        if (read.isEmpty()) {
            standing = new Exposed(pack, standing.time().times(factor(standing.pack(), pack)));
            return;
        }
        TimeEvidence.Reading time =
                TimeEvidence.weighed(read.stream().map(r -> r.carriedTo(pack)).toList());
        standing = new Exposed(pack, time.time());
        open = time.uncertainty();
    }

    private static double factor(FilterPack from, FilterPack to) {
        return FilterSet.DICHROIC.timeFactor(from, to, FilterSet.Weights.VISUAL, 0, 0);
    }
}
