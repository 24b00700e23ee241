package keyslate.server.rig;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import keyslate.core.colour.AdditiveHead;
import keyslate.core.colour.Primary;
import keyslate.core.darkroom.EnlargerLight;
import keyslate.core.darkroom.Evenness;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.Reciprocity;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.light.Light;
import keyslate.core.local.AreaMask;
import keyslate.core.medium.Colour;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.rescale.Known;
import keyslate.core.script.BaseExposure;
import keyslate.core.script.Cue;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.LampWay;
import keyslate.core.script.Part;
import keyslate.core.script.Settings;
import keyslate.core.script.ThreeLights;
import keyslate.core.size.Placement;
import keyslate.core.size.PrintFit;
import keyslate.core.size.Projection;
import keyslate.core.size.ThinLens;
import keyslate.core.test.TestRig;
import keyslate.server.Show;
import keyslate.server.medium.MediumPart;
import keyslate.server.subject.Subject;
import keyslate.store.bench.Enlarger;
import keyslate.store.bench.Lens;
import keyslate.store.bench.Paper;
import keyslate.store.slate.Recipe;

/**
 * A recipe with the things it names. The one place that answers what timer, lag, paper and geometry are.
 *
 * @param subject what it prints, as it is today
 * @param frameWidth of the negative as its picture stands; {@code frameHeight} alike
 * @param constants what is known of enlarger, lens and paper
 */
public record Rig(
        Recipe recipe,
        Subject subject,
        Length frameWidth,
        Length frameHeight,
        Enlarger enlarger,
        Lens lens,
        Paper paper,
        MediumPart medium,
        Constants constants) {
    private static final TimerSteps TIMER = TimerSteps.tenths();
    private static final TimerSteps UNROUNDED = TimerSteps.everywhere(0.001, 999.9);
    private static final Length NARROWEST_PICTURE = Length.ofMm(10);

    /** Width of the whole frame over its height. */
    public double frameAspect() {
        return frameWidth.inMm() / frameHeight.inMm();
    }

    /** The sheet is turned so that its long side follows the picture's. */
    public Length sheetWidth() {
        double a = recipe.setup().sheetWidthMm();
        double b = recipe.setup().sheetHeightMm();
        return Length.ofMm(frameAspect() > 1 ? Math.max(a, b) : Math.min(a, b));
    }

    public Length sheetHeight() {
        double a = recipe.setup().sheetWidthMm();
        double b = recipe.setup().sheetHeightMm();
        return Length.ofMm(frameAspect() > 1 ? Math.min(a, b) : Math.max(a, b));
    }

    /** How the negative meets the sheet inside its borders. */
    public PrintFit fit() {
        return inContact()
                ? PrintFit.inContact(frameWidth, frameHeight, freeWidth(), freeHeight())
                : placement().fit(frameWidth, frameHeight, sheetWidth(), sheetHeight(), NARROWEST_PICTURE);
    }

    /** What the blades leave free of the sheet, across. */
    public Length freeWidth() {
        return Placement.free(sheetWidth(), placement().blades().acrossMm(), NARROWEST_PICTURE);
    }

    /** What the blades leave free, down. */
    public Length freeHeight() {
        return Placement.free(sheetHeight(), placement().blades().downMm(), NARROWEST_PICTURE);
    }

    /** How picture and sheet meet. */
    public Placement placement() {
        return recipe.setup().placement();
    }

    /** Whether the borders leave a picture at all. */
    public boolean bordersFit() {
        double least = NARROWEST_PICTURE.inMm();
        return sheetWidth().inMm() - placement().blades().acrossMm() >= least
                && sheetHeight().inMm() - placement().blades().downMm() >= least;
    }

    /** The part of the frame that prints, in fractions of it. */
    public Part crop() {
        PrintFit fit = fit();
        double width = fit.cropWidth().inMm() / frameWidth.inMm();
        double height = fit.cropHeight().inMm() / frameHeight.inMm();
        return new Part(
                (1 - width) * placement().across(), (1 - height) * placement().down(), width, height);
    }

    /** A part of the frame as the masks want it. */
    public AreaMask.View view(Part part) {
        return new AreaMask.View(part.left(), part.top(), part.width(), part.height(), frameAspect());
    }

    public Magnification magnification() {
        return fit().magnification();
    }

    /** How the light comes to the paper. */
    public Projection projection() {
        return recipe.setup()
                .contact()
                .<Projection>map(c ->
                        new Projection.Contact(c.source(), Length.ofMm(lens.focalMm()), Length.ofMm(c.distanceMm())))
                .orElseGet(() ->
                        new Projection.Enlarged(magnification(), inversePupil().figure()));
    }

    /** Whether the negative lies on the paper. */
    public boolean inContact() {
        return recipe.setup().contact().isPresent();
    }

    /** Whether the light comes from a lamp without a lens, so that there is no opening. */
    public boolean byBareLamp() {
        return recipe.setup()
                .contact()
                .map(c -> c.source() == Projection.Source.LAMP)
                .orElse(false);
    }

    /** The f-number that counts for the light. */
    public FNumber opening() {
        return projection().opening(aperture().trueNumber());
    }

    /** Lens or lamp to paper. */
    public Length lightToPaper() {
        return recipe.setup()
                .contact()
                .map(c -> Length.ofMm(c.distanceMm()))
                .orElseGet(() -> thinLens().lensToPaper(magnification()));
    }

    /** The steps of a sheet as they are given there: in three lights where its head has them, and in contact the stack is laid first. */
    public List<ExposureStep> atEnlarger(List<ExposureStep> steps) {
        List<ExposureStep> given = new ArrayList<>(inLights(steps));
        if (inContact() && !given.isEmpty()) {
            given.set(0, given.get(0).after(Cue.LAY_STACK));
        }
        return given;
    }

    /** The steps of a sheet in red, green and blue light, where the head prints with them (COL-45). */
    public List<ExposureStep> inLights(List<ExposureStep> steps) {
        return lights().map(head -> new ThreeLights(head, TIMER, lag(), settings()).split(steps))
                .orElse(steps);
    }

    /** The three lights of its head, where colour paper is printed with them. */
    public Optional<AdditiveHead> lights() {
        return medium.core() instanceof Colour colour ? colour.lights() : Optional.empty();
    }

    /** What each of them gives of the base, where its head has them: received seconds. */
    public Optional<AdditiveHead.Times> thirds() {
        return lights().map(head -> head.times(light().toPack(), base()));
    }

    public ThinLens thinLens() {
        return ThinLens.ofMm(lens.focalMm());
    }

    /** What is engraved, and what it truly is as far as that was measured. */
    public ApertureMark aperture() {
        ApertureMark mark = mark();
        return new ApertureMark(mark.engraved(), trueNumber(mark));
    }

    /** What a mark of the ring truly is, as far as that was measured. */
    public FNumber trueNumber(ApertureMark mark) {
        double off = constants.opening(lens.id(), mark).figure();
        return off == 0 ? mark.trueNumber() : FNumber.of(mark.trueNumber().inFStops() * Math.pow(2, -off / 2));
    }

    /** How much less light than its centre the darkest corner of the board has; none where it was not measured. */
    public Optional<Stops> darkestCorner() {
        return constants.corners(enlarger.id()).stream().min(Comparator.comparingDouble(Stops::inStops));
    }

    /** How the light lies over the picture as far as it was measured; else even. */
    public Evenness evenness() {
        List<Stops> corners = constants.corners(enlarger.id());
        return corners.isEmpty() ? Evenness.EVEN : new Evenness(corners, crop());
    }

    /** What is engraved, taken at its word. */
    public ApertureMark mark() {
        return mark(recipe.setup().apertureMark());
    }

    /** A mark of the ring, taken at its word. */
    public ApertureMark mark(double engraved) {
        try {
            return ApertureMark.onRing(engraved, lens.openMark(), lens.marksPerStop());
        } catch (QuantityException e) {
            // The ring was said to be another since: the slate stays open, at the mark that is nearest.
            return ApertureMark.nearest(FNumber.of(engraved), lens.marksPerStop());
        }
    }

    /** Stops more light at the mark that is set than engraved. */
    public Known openingOffset() {
        return constants.opening(lens.id(), mark());
    }

    /** Entrance over exit pupil of the lens with how well it is known. */
    public Known inversePupil() {
        return constants.inversePupil(lens.id());
    }

    /** What the paper loses in long exposures; nothing where its owner did not say. */
    public Reciprocity reciprocity() {
        return constants.reciprocity(paper.id());
    }

    /** How much darker the paper dries, in percent of its time; none where it was not tried. */
    public Optional<Known> dryDown() {
        return constants.dryDown(paper.id());
    }

    /** Dead time of the lamp with how well it is known. */
    public Known knownLag() {
        return constants.lag(enlarger);
    }

    /** The light of the base exposure. */
    public Light light() {
        return recipe.base().exposure().main().light();
    }

    /** The base exposure through one light: itself, or what its parts are worth together. */
    public BaseExposure.Part one() {
        return medium.core().asOne(exposure());
    }

    /** The base exposure in words: "grade 3, 11.4 s", or "6.2 s through grade 00, then 9.8 s through grade 5". */
    public String exposureInWords() {
        return exposure().isSplit()
                ? exposure().parts().stream()
                        .map(p -> Show.seconds(p.time().inSeconds()) + " through "
                                + p.light().notation())
                        .collect(Collectors.joining(", then "))
                : light().notation() + ", " + timeInWords(light(), base());
    }

    /** A time received through a light as it is given there: "11.4 s", or "40.3 s red, 22.1 s green, 30 s blue". */
    public String timeInWords(Light through, ExposureTime time) {
        return lights().map(head -> head.times(through.toPack(), time))
                .map(t -> Stream.of(Primary.values())
                        .map(p -> Show.seconds(t.of(p).inSeconds()) + " " + p.word())
                        .collect(Collectors.joining(", ")))
                .orElseGet(() -> Show.seconds(time.inSeconds()));
    }

    /** The time of the base exposure, as received, exact. */
    public ExposureTime base() {
        return recipe.base().exposure().main().time();
    }

    /** The base as this lamp gives it: one that burns all the time knows no presses. */
    public BaseExposure exposure() {
        BaseExposure base = recipe.base().exposure();
        return way() == LampWay.BURNS ? base.inPresses(1) : base;
    }

    public LampLag lag() {
        return LampLag.ofSeconds(knownLag().figure());
    }

    /** The same as they are set for each press, lag included; beyond the timer's end the time itself. */
    public Optional<AdditiveHead.Times> thirdsSet() {
        double share = 1.0 / exposure().presses();
        return thirds().map(t -> new AdditiveHead.Times(
                set(t.red().times(share)),
                set(t.green().times(share)),
                set(t.blue().times(share))));
    }

    private ExposureTime set(ExposureTime received) {
        ExposureTime set = lag().toSet(received);
        return TIMER.reaches(set) ? TIMER.nearest(set).time() : set;
    }

    /** The settings the timer has; of three lights each is rounded by itself, and what they are made from is not. */
    public TimerSteps timer() {
        return lights().isPresent() ? UNROUNDED : TIMER;
    }

    public LampWay way() {
        return LampWay.valueOf(enlarger.lamp());
    }

    /** How the lamp's settings are changed between two exposures. */
    public Settings settings() {
        return new Settings(medium.isBlackout(), enlarger.dials(), way() == LampWay.MY_TIMER);
    }

    /** log10 light per second through clear film. */
    public double logPerSecond() {
        return new EnlargerLight(enlarger.strengthLog10())
                .logPerSecond(aperture().trueNumber(), projection());
    }

    /** The marks of the lens from the widest on, with their true numbers as far as they were measured; none where no lens stands in the way. */
    public List<ApertureMark> ring() {
        if (byBareLamp()) {
            return List.of();
        }
        return ApertureMark.ring(lens.openMark(), lens.smallestMark(), lens.marksPerStop()).stream()
                .map(m -> new ApertureMark(m.engraved(), trueNumber(m)))
                .toList();
    }

    /** How many times the light of the standing opening another engraved one gives, as far as it is known. */
    public double openingFactor(double engraved) {
        return otherThanStands(engraved)
                .map(m -> aperture().trueNumber().lightChangeTo(m.trueNumber()).toFactor())
                .orElse(1.0);
    }

    /** A mark of the ring other than the one that stands; none for the standing one. */
    private Optional<ApertureMark> otherThanStands(double engraved) {
        return engraved == recipe.setup().apertureMark()
                ? Optional.empty()
                : ring().stream().filter(m -> m.engraved() == engraved).findFirst();
    }

    /** What stands for a test. */
    public TestRig testRig() {
        TestRig rig = new TestRig(
                        light(),
                        aperture(),
                        ring(),
                        way(),
                        timer(),
                        lag(),
                        settings(),
                        (base, to) -> base.times(medium.core().timeFactor(light(), to)))
                .on(light -> {
                    medium.core().checkReach(light);
                    return medium.core().settable(light);
                });
        return exposure().isSplit() ? rig.with(split()) : rig;
    }

    private TestRig.Split split() {
        BaseExposure.Part one = one();
        double times = one.time().inSeconds() / base().inSeconds();
        return new TestRig.Split(
                exposure().parts().get(1),
                (first, to) -> first.times(times * medium.core().timeFactor(one.light(), to)));
    }
}
