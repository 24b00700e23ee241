package keyslate.core.trial.world;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.GradeScale;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.core.darkroom.PaperTruth;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Stops;
import keyslate.core.trial.printer.LocalRecipe;
import keyslate.core.trial.printer.MonoDarkroom;
import keyslate.core.trial.printer.StripOnPaper;

/**
 * An unknown negative on unknown paper under a lamp of unknown lag and evenness. It answers with what is seen on
 * paper, and at the end with how far a recipe is from the best.
 */
public final class SimulatedMono implements MonoDarkroom {
    private static final double FIRST_GUESS_SECONDS = 10;
    private static final double GUESS_SPREAD_STOPS = 0.6;
    private static final double LAG_SPREAD_SECONDS = 0.02;
    private static final double SOFTEST = 0.25;
    private static final double HARDEST = 4.25;
    private static final double AREA_SPREAD_STOPS = 1;
    private static final double SHADOW_DENSITY = 0.3;
    private static final double LEAST_SECONDS = 0.01;

    private static final VariableContrastPaper PAPER = new VariableContrastPaper();
    private final PaperTruth truth;
    private final Eye eye;
    private final double lightLog;
    private final double highlight;
    private final double shadow;
    private final double area;

    public SimulatedMono(long seed) {
        Fate fate = new Fate(seed);
        double lag = StripOnPaper.KNOWN_LAG.inSeconds() + fate.even(-LAG_SPREAD_SECONDS, LAG_SPREAD_SECONDS);
        truth = PaperTruth.ofBatch(fate.seed(), lag);
        Grade wanted = Grade.of(fate.even(SOFTEST, HARDEST));
        shadow = SHADOW_DENSITY;
        highlight = shadow + GradeScale.isoRangeOf(wanted) / 100;
        area = highlight + Stops.of(fate.bell(AREA_SPREAD_STOPS)).toLogExposure();
        // The printer's first guess is off by about half a stop from all causes together.
        double guess = Math.log10(FIRST_GUESS_SECONDS)
                + Stops.of(fate.bell(GUESS_SPREAD_STOPS)).toLogExposure();
        FilterLight light = through(GradeFilter.G2.grade());
        lightLog = needed(highlight, VariableContrastPaper.HIGHLIGHT_NET, light) - guess;
        eye = new Eye(fate.seed());
    }

    /** Light through a filter as this batch sees it, per second of the model's lamp. */
    private FilterLight through(Grade grade) {
        FilterLight nominal = PAPER.lightAt(grade);
        double speed = truth.speedOffset().toLogExposure();
        return new FilterLight(nominal.blueLog() + speed, nominal.greenLog() + truth.ratioOffset() + speed);
    }

    /** log10 of the seconds of the model's lamp with which a tone of the negative prints at a net density. */
    private static double needed(double tone, double net, FilterLight light) {
        return PAPER.logBlueFor(net, light.ratio()) + tone - light.blueLog();
    }

    private double place(double tone, double net, GradeFilter filter, StripOnPaper strip) {
        List<Double> received = strip.receivedSeconds(truth.lagSeconds());
        List<Double> given = new ArrayList<>();
        for (int i = 0; i < received.size(); i++) {
            // The strip lies across the sheet; light falls off to both of its ends.
            double x = 2 * (i + 0.5) / received.size() - 1;
            given.add(Math.log10(received.get(i)) - truth.cornerLoss().toLogExposure() * x * x / 2);
        }
        return eye.place(given, needed(tone, net, through(filter.grade())) - lightLog);
    }

    @Override
    public double whites(GradeFilter filter, StripOnPaper strip) {
        return place(highlight, VariableContrastPaper.HIGHLIGHT_NET, filter, strip);
    }

    @Override
    public double blacks(GradeFilter filter, StripOnPaper strip) {
        return place(shadow, VariableContrastPaper.SHADOW_NET, filter, strip);
    }

    @Override
    public double area(GradeFilter filter, StripOnPaper strip) {
        return place(area, VariableContrastPaper.HIGHLIGHT_NET, filter, strip);
    }

    /** Stops by which a tone gets too much light (+) at a grade from so many seconds received. */
    private double stopsOver(double tone, Grade grade, double receivedSeconds) {
        double right = needed(tone, VariableContrastPaper.HIGHLIGHT_NET, through(grade)) - lightLog;
        return Stops.ofLogExposure(Math.log10(Math.max(LEAST_SECONDS, receivedSeconds)) - right)
                .inStops();
    }

    /**
     * How far the tone of the area is off in a print of the recipe, stops: a burn is a burst of its own with a lag of
     * its own.
     */
    public PrintError errorOf(LocalRecipe recipe) {
        double received = recipe.baseSetSeconds() - truth.lagSeconds();
        if (recipe.changeSeconds() > 0) {
            double set = recipe.changeSeconds() + StripOnPaper.KNOWN_LAG.inSeconds();
            received += set - truth.lagSeconds();
        } else {
            received += recipe.changeSeconds();
        }
        double stops = stopsOver(area, GradeFilter.G2.grade(), received);
        return new PrintError(Math.abs(stops), OptionalDouble.empty(), OptionalDouble.empty());
    }
}
