package keyslate.server.contrast;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.DoubleStream;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.SplitByStrips;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.core.darkroom.DensityCounts;
import keyslate.core.darkroom.Negative;
import keyslate.core.darkroom.PrintEnds;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.NextRecipe;
import keyslate.core.script.BaseExposure;
import keyslate.core.script.Part;
import keyslate.core.tone.NamedTone;
import keyslate.core.tone.ToneWish;
import keyslate.server.contrast.ContrastViews.FilmView;
import keyslate.server.contrast.ContrastViews.OffCurveView;
import keyslate.server.contrast.ContrastViews.PointView;
import keyslate.server.preview.Previews;
import keyslate.server.rig.Rig;

/**
 * The tones of a print on the paper's curve, before anything is asked: the straight print, without local work.
 *
 * @param stands the light of the whole base exposure, all its parts together
 * @param film densities of the part that prints; none where nothing was scanned
 * @param threads named tones, or three of every print
 * @param strips what strips through a filter showed
 */
record ToneGround(
        VariableContrastPaper paper,
        Rig rig,
        FilterLight stands,
        double level,
        Optional<DensityCounts> film,
        List<Thread> threads,
        Function<GradeFilter, SplitByStrips.Marks> strips) {
    private static final double STOP = Math.log10(2);
    private static final double FEWEST_STOPS = -6;
    private static final double MOST_STOPS = 5;
    private static final double CURVE_STEP = 0.125;
    private static final double END = 0.01;

    /**
     * A tone.
     *
     * @param lightLog log10 of light at the paper through it, for each second
     * @param wish what it should become; none of a tone that nobody named
     */
    record Thread(String name, double lightLog, Optional<NamedTone> wish) {
        boolean orDarker() {
            return wish.map(w -> w.wish() == ToneWish.TRUE_BLACK).orElse(false);
        }
    }

    static ToneGround of(
            VariableContrastPaper paper,
            Rig rig,
            Previews.Basis basis,
            Optional<Negative> small,
            Function<GradeFilter, SplitByStrips.Marks> strips) {
        FilterLight stands = light(paper, rig.exposure());
        double level = rig.logPerSecond() + Stops.of(basis.offsets().get(0)).toLogExposure();
        List<Thread> threads = new ArrayList<>();
        small.ifPresent(negative -> rig.recipe()
                .naming()
                .tones()
                .forEach(t -> threads.add(new Thread(t.name(), level - t.densityOn(negative), Optional.of(t)))));
        ToneGround ground = new ToneGround(paper, rig, stands, level, small.map(n -> film(rig, n)), threads, strips);
        if (threads.isEmpty()) {
            threads.add(ground.pivot("a light tone", NextRecipe.HELD_NET));
            threads.add(ground.pivot("a middle", ToneWish.MIDDLE.net()));
            threads.add(ground.pivot("a shadow", ToneWish.TRUE_BLACK.net()));
        }
        return new ToneGround(paper, rig, stands, level, ground.film, List.copyOf(threads), strips);
    }

    /** All the light of an exposure as if it were one second of one lamp. */
    static FilterLight light(VariableContrastPaper paper, BaseExposure base) {
        return paper.together(base.parts().stream()
                .map(p -> new VariableContrastPaper.Given(
                        p.light().toFilter(), p.time().inSeconds()))
                .toList());
    }

    private static DensityCounts film(Rig rig, Negative negative) {
        Part crop = rig.crop();
        return DensityCounts.of(negative.cropped(crop.left(), crop.top(), crop.width(), crop.height())
                .firstPlane()
                .samples());
    }

    private Thread pivot(String name, double net) {
        return new Thread(name, paper.logBlueFor(net, stands.ratio()) - stands.blueLog(), Optional.empty());
    }

    /** What a tone becomes in a light. */
    double net(double lightLog, FilterLight light) {
        return paper.netDensityAt(lightLog + light.blueLog(), light.ratio());
    }

    /** Light of the tone that stands at 0.60: where the stops are counted from. */
    private double zero() {
        return paper.logBlueFor(VariableContrastPaper.SPEED_NET, stands.ratio()) - stands.blueLog();
    }

    double stops(double lightLog) {
        return (lightLog - zero()) / STOP;
    }

    List<PointView> curve(FilterLight light) {
        double zero = zero();
        return DoubleStream.iterate(FEWEST_STOPS, s -> s <= MOST_STOPS, s -> s + CURVE_STEP)
                .mapToObj(s -> new PointView(s, net(zero + s * STOP, light)))
                .toList();
    }

    Optional<FilmView> span() {
        return film.map(f -> new FilmView(stops(level - f.at(1 - END)), stops(level - f.at(END))));
    }

    /** How much of the picture lies off the curve in a light. */
    OffCurveView off(FilterLight light) {
        double bare = level - (paper.logBlueFor(PrintEnds.BARE_NET, light.ratio()) - light.blueLog());
        double blocked = level - (paper.logBlueFor(PrintEnds.BLOCKED_NET, light.ratio()) - light.blueLog());
        return film.map(f -> new OffCurveView(f.denser(bare), f.thinner(blocked)))
                .orElseGet(() -> new OffCurveView(null, null));
    }
}
