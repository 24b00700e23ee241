package keyslate.core.trial;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import keyslate.core.colour.CastEvidence;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.RingAround;
import keyslate.core.colour.RingAround.Exposed;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.PatchPick;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.Stops;

/**
 * Density by strips and colour by eye. With viewing filters the cast of the right patch of every strip is judged and all judgements are weighed; with ring-arounds two rings of
 * patches are looked at and the two nearest to neutral are named.
 */
final class ColourByEye implements Method {
    private static final double GAIN = 0.5;
    private static final int PATCHES = 9;
    private static final Stops STEP = Stops.ofFraction(1, 3);
    private static final double SETTLED_POINTS = 5;
    private static final double FIRST_RING = 10;
    private static final double SECOND_RING = 5;
    private static final int RINGS = 3;

    private final boolean ring;

    ColourByEye(boolean ring) {
        this.ring = ring;
    }

    @Override
    public Outcome run(long seed) {
        return new Session(new ColourWorld(seed), new Eye(seed)).run();
    }

    /** One negative. */
    private final class Session {
        private final ColourWorld world;
        private final Eye eye;
        private final List<CastEvidence.Judged> judged = new ArrayList<>();
        private Exposed standing = ColourWorld.firstGuess();
        private Stops open = Stops.of(1);
        private double lastCast = Double.MAX_VALUE;
        private boolean withinGoal;

        Session(ColourWorld world, Eye eye) {
            this.world = world;
            this.eye = eye;
        }

        Outcome run() {
            CheckStrip next = new CheckStrip(standing.time(), STEP, PATCHES);
            int pieces = 0;
            while (pieces < MOST_PIECES) {
                pieces++;
                boolean found = strip(next);
                count(pieces);
                if (found && ring) {
                    pieces++;
                    around(pieces == 2 ? FIRST_RING : SECOND_RING);
                    count(pieces);
                }
                Optional<CheckStrip> check = CheckStrip.after(standing.time(), open);
                if (found && check.isEmpty() && lastCast <= SETTLED_POINTS) {
                    break;
                }
                // A strip that found its patch is followed by the finest one, about the new pack.
                next = found ? check.orElse(new CheckStrip(standing.time(), Stops.ofFraction(1, 12), 7)) : beyond(next);
            }
            return new Outcome(
                    pieces,
                    Math.abs(world.stopsTooDark(standing)),
                    OptionalDouble.empty(),
                    OptionalDouble.of(world.castDeltaE(standing.pack())),
                    withinGoal);
        }

        private void count(int pieces) {
            if (pieces <= Outcome.COLOUR_PIECES) {
                withinGoal = Outcome.colourGoal(world.stopsTooDark(standing), world.castDeltaE(standing.pack()));
            }
        }

        /** Prints a strip, marks the patch of the right density and judges its cast; false when it lies beyond an end. */
        private boolean strip(CheckStrip plan) {
            StripOnPaper strip = StripOnPaper.expose(plan);
            List<ExposureTime> totals = strip.totals();
            double seen = eye.place(
                    world.densityPlace(standing.pack(), strip), plan.step().inStops());
            if (Eye.beyond(seen, totals.size())) {
                standing = new Exposed(
                        standing.pack(), CheckStrip.beyond(totals, seen > 0).centre());
                return false;
            }
            PatchPick mark = Eye.mark(seen, totals.size());
            open = mark.uncertaintyOn(totals);
            standing = new Exposed(standing.pack(), mark.timeOn(totals));
            if (!ring) {
                Exposed patch = set(standing);
                double magenta = eye.castWithKit(world.magentaCast(patch));
                double yellow = eye.castWithKit(world.yellowCast(patch));
                judged.add(new CastEvidence.Judged(standing.pack(), magenta, yellow));
                lastCast = Math.max(Math.abs(magenta), Math.abs(yellow));
                repack(CastEvidence.weighed(judged, GAIN));
            }
            return true;
        }

        /** Two patches of a ring look nearest to neutral: half way between them. */
        private void around(double step) {
            List<RingAround.Patch> patches = RingAround.plan(
                    standing.pack(),
                    standing.time(),
                    step,
                    RINGS,
                    false,
                    List.of(),
                    FilterSet.DICHROIC,
                    FilterSet.Weights.VISUAL);
            List<Looked> looked = patches.stream()
                    .map(p -> new Looked(
                            p.exposed(),
                            Math.hypot(
                                    eye.cast(world.magentaCast(set(p.exposed()))),
                                    eye.cast(world.yellowCast(set(p.exposed()))))))
                    .sorted((a, b) -> Double.compare(a.cast(), b.cast()))
                    .toList();
            standing = RingAround.between(looked.get(0).patch(), looked.get(1).patch());
            lastCast = step > SECOND_RING ? Double.MAX_VALUE : 0;
            open = step > SECOND_RING ? Stops.ofFraction(1, 6) : open;
        }

        private void repack(FilterPack pack) {
            double factor = FilterSet.DICHROIC.timeFactor(standing.pack(), pack, FilterSet.Weights.VISUAL, 0, 0);
            standing = new Exposed(pack, standing.time().times(factor));
        }

        private CheckStrip beyond(CheckStrip missed) {
            return new CheckStrip(standing.time(), missed.step(), missed.patches());
        }
    }

    private record Looked(Exposed patch, double cast) {}

    /** What the timer is set to for a time to be received. */
    static Exposed set(Exposed received) {
        return new Exposed(received.pack(), MonoWorld.KNOWN_LAG.toSet(received.time()));
    }
}
