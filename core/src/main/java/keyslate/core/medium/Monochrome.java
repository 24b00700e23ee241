package keyslate.core.medium;

import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Stream;
import keyslate.core.colour.Hue;
import keyslate.core.colour.Layers;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.GradeScale;
import keyslate.core.contrast.MixedBurn;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.darkroom.Look;
import keyslate.core.darkroom.MonoModel;
import keyslate.core.darkroom.MonoNegative;
import keyslate.core.darkroom.Negative;
import keyslate.core.darkroom.PrintModel;
import keyslate.core.darkroom.StandInPaper;
import keyslate.core.darkroom.StandIns;
import keyslate.core.film.FrameNeed;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.NextRecipe;
import keyslate.core.script.BaseExposure;

/** Variable-contrast paper through the filters of a set, and graded paper, which is printed with none. */
public final class Monochrome implements Medium {
    public static final String ID = "MONOCHROME";

    private static final double SHADOW = 1.54;

    private final VariableContrastPaper paper;
    private final MixedBurn burns;
    private final PrintModel model;
    private final StandInPaper standIn;

    public Monochrome(VariableContrastPaper paper) {
        this(paper, StandIns.mono(paper));
    }

    private Monochrome(VariableContrastPaper paper, StandInPaper standIn) {
        this.paper = paper;
        this.burns = new MixedBurn(paper);
        this.model = new MonoModel(paper);
        this.standIn = standIn;
    }

    /** The same paper through filters that are known better; the simulated sheet stays what it is. */
    public Monochrome through(VariableContrastPaper other) {
        return new Monochrome(other, standIn);
    }

    /** The paper with its filters. */
    public VariableContrastPaper paper() {
        return paper;
    }

    @Override
    public String id() {
        return ID;
    }

    @Override
    public boolean underSafelight() {
        return true;
    }

    @Override
    public Layers whiteInScan() {
        double white = Math.pow(10, -VariableContrastPaper.PAPER_WHITE);
        return new Layers(white, white, white);
    }

    @Override
    public Light plainLight() {
        return Light.filter(paper.isOfOneGrade() ? GradeFilter.NONE : GradeFilter.G2_5);
    }

    /** None: the grade is the negative's. */
    @Override
    public Optional<Light> usual(List<Light> kept) {
        return Optional.empty();
    }

    @Override
    public Light read(String notation) {
        GradeFilter filter = Light.of(notation).toFilter();
        if (paper.isOfOneGrade() && filter != GradeFilter.NONE) {
            throw Check.infeasible("light", "graded paper has one contrast and is printed with no filter");
        }
        return Light.filter(filter);
    }

    /** CON-08: the filter nearest to the grade that the parts are worth, with the time that keeps a light tone. */
    @Override
    public BaseExposure.Part asOne(BaseExposure base) {
        if (!base.isSplit()) {
            return base.main();
        }
        FilterLight together = paper.together(base.parts().stream()
                .map(p -> new VariableContrastPaper.Given(
                        p.light().toFilter(), p.time().inSeconds()))
                .toList());
        double range = Math.max(
                GradeScale.isoRangeOf(GradeFilter.G5.grade()),
                Math.min(GradeScale.isoRangeOf(GradeFilter.G00.grade()), paper.isoRange(together.ratio())));
        GradeFilter filter = paper.nearest(GradeScale.gradeOf(range));
        FilterLight light = paper.lightThrough(filter);
        double log = paper.logBlueFor(NextRecipe.HELD_NET, light.ratio())
                - light.blueLog()
                - paper.logBlueFor(NextRecipe.HELD_NET, together.ratio())
                + together.blueLog();
        return new BaseExposure.Part(Light.filter(filter), ExposureTime.ofSeconds(Math.pow(10, log)));
    }

    /** CON-05 at the light tone that is held from grade to grade. */
    @Override
    public double timeFactor(Light from, Light to) {
        return paper.pivotFactor(from.toFilter(), to.toFilter(), NextRecipe.HELD_NET);
    }

    /** To the nearest filter by its R (CON-01). */
    @Override
    public Light forContrast(Light light, double contrast) {
        double needed = contrast * paper.rangeThrough(light.toFilter());
        double softest = GradeScale.isoRangeOf(GradeFilter.G00.grade());
        double hardest = GradeScale.isoRangeOf(GradeFilter.G5.grade());
        return Light.filter(paper.nearest(GradeScale.gradeOf(Math.min(softest, Math.max(hardest, needed)))));
    }

    @Override
    public Light forCast(Light light, Hue cast, double points) {
        return light;
    }

    @Override
    public List<Light> beside(Light light) {
        if (paper.isOfOneGrade()) {
            return List.of(light);
        }
        double grade = light.toFilter().grade().onScale();
        return Stream.of(grade - 1, grade, grade + 1)
                .map(g -> Light.filter(GradeFilter.nearest(Grade.of(Math.max(-1, Math.min(5, g))))))
                .distinct()
                .toList();
    }

    @Override
    public Light between(Light one, Light other, double weight) {
        if (one.equals(other)) {
            return one;
        }
        double from = one.toFilter().grade().onScale();
        double to = other.toFilter().grade().onScale();
        return Light.filter(GradeFilter.nearest(Grade.of(from + weight * (to - from))));
    }

    @Override
    public Light shifted(Light light, FilterShift points) {
        return light;
    }

    @Override
    public Optional<FrameNeed> needByScan(Look frame, Look other, Look proof, Light light) {
        double black = ProofTones.black(proof, 0);
        double most = VariableContrastPaper.NET_MAXIMUM - ProofTones.LEAST_NET;
        return FrameNeed.byScan(
                ProofTones.net(frame, 0, black, VariableContrastPaper.NET_MAXIMUM),
                ProofTones.net(other, 0, black, VariableContrastPaper.NET_MAXIMUM),
                net -> paper.logTimeThrough(Math.max(ProofTones.LEAST_NET, Math.min(most, net)), light.toFilter()));
    }

    /** CON-16 at a mid tone. */
    @Override
    public double burnFactor(Light base, ExposureTime time, Stops change, Light burn) {
        return burns.timeFactor(
                paper.lightThrough(base.toFilter()),
                time,
                VariableContrastPaper.SPEED_NET,
                change,
                paper.lightThrough(burn.toFilter()));
    }

    @Override
    public List<Stops> burnAtTones(Light base, ExposureTime time, Stops change, Light burn) {
        FilterLight under = paper.lightThrough(base.toFilter());
        FilterLight over = paper.lightThrough(burn.toFilter());
        double seconds = time.inSeconds() * (change.toFactor() - 1) * burnFactor(base, time, change, burn);
        return Stream.of(NextRecipe.HELD_NET, VariableContrastPaper.SPEED_NET, SHADOW)
                .map(net -> burns.stopsAt(under, time, net, over, seconds))
                .toList();
    }

    /** CON-02 at the ratio of the filter's grade. */
    @Override
    public DoubleUnaryOperator curve(Light light) {
        double ratio = paper.lightThrough(light.toFilter()).ratio();
        return log -> paper.netDensityAt(log, ratio);
    }

    @Override
    public Negative negative(ColourRaster scene) {
        return new Negative.Mono(MonoNegative.of(scene.luminance(), 0));
    }

    @Override
    public PrintModel model() {
        return model;
    }

    @Override
    public StandInPaper standIn() {
        return standIn;
    }
}
