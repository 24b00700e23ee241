package keyslate.core.docs;

import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import keyslate.core.colour.AdditiveHead;
import keyslate.core.colour.CardSpot;
import keyslate.core.colour.CastCorrection;
import keyslate.core.colour.CastEvidence;
import keyslate.core.colour.CastLook;
import keyslate.core.colour.CastWay;
import keyslate.core.colour.ColourBalance;
import keyslate.core.colour.ColourDifference;
import keyslate.core.colour.ColourFilm;
import keyslate.core.colour.ColourPaper;
import keyslate.core.colour.DyeImage;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.FirstPack;
import keyslate.core.colour.GelPack;
import keyslate.core.colour.HeadDial;
import keyslate.core.colour.Hue;
import keyslate.core.colour.KitFactors;
import keyslate.core.colour.KitLook;
import keyslate.core.colour.Layers;
import keyslate.core.colour.NamedCast;
import keyslate.core.colour.NeutralRemoval;
import keyslate.core.colour.NeutralSpot;
import keyslate.core.colour.PackTimes;
import keyslate.core.colour.PackTimesFit;
import keyslate.core.colour.PiecePick;
import keyslate.core.colour.RingAround;
import keyslate.core.colour.SceneOffset;
import keyslate.core.colour.Taste;
import keyslate.core.colour.TwoAreas;
import keyslate.core.colour.TwoLamps;
import keyslate.core.colour.ViewingLight;
import keyslate.core.colour.WetPrint;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Stops;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.Phase;
import keyslate.core.script.Settings;
import keyslate.core.script.ThreeLights;
import keyslate.core.test.PacksAround;

/** The code behind the worked examples of docs/formulas/colour.md. */
final class ColourExamples {
    private ColourExamples() {}

    static Map<String, ToDoubleFunction<Example>> formulas() {
        Map<String, ToDoubleFunction<Example>> formulas = new HashMap<>();
        formulas.put("COL-01", e -> NeutralRemoval.of(shift(e)).timeFactor());
        formulas.put("COL-02", e -> NeutralRemoval.withoutCyan(shift(e)).pack().inMagenta());
        formulas.put("COL-03", e -> FilterSet.GEL.layerDensity(FilterPack.of(0, e.at("magenta"), e.at("yellow")), 1));
        formulas.put(
                "COL-04",
                e -> FilterSet.IDEAL.timeFactor(
                        FilterPack.of(0, e.at("magenta"), 0),
                        FilterPack.of(0, e.at("magenta") + e.at("more"), 0),
                        FilterSet.Weights.GREEN,
                        0,
                        0));
        formulas.put(
                "COL-05",
                e -> CastCorrection.of(Hue.R, e.at("points"), CastCorrection.Process.NEGATIVE, CastCorrection.Way.ADD)
                        .inYellow());
        formulas.put(
                "COL-06",
                e -> CastCorrection.byViewingFilter(Hue.G, e.at("strength"), e.at("gain"))
                        .inMagenta());
        formulas.put("COL-07", e -> ring(e, false).get(1).time().inSeconds());
        formulas.put("COL-08", e -> ring(e, true).get(2).time().inSeconds());
        formulas.put(
                "COL-09", e -> HeadDial.of(new double[][] {{0, 0}, {200, 150}}).pointsAt(e.at("dial")));
        formulas.put("COL-10", e -> HeadDial.partlyInserted(e.at("share"), e.at("full")));
        formulas.put("COL-11", e -> grey(e).red());
        formulas.put("COL-12", e -> ColourPaper.amount(e.at("log")));
        formulas.put("COL-13", e -> ColourPaper.castGain(e.at("amount"), e.at("points")));
        formulas.put("COL-14", e -> ColourPaper.castWeight(e.at("amount"), e.at("reference")));
        formulas.put("COL-15", e -> ColourPaper.lampShift(e.at("kelvin")).red());
        formulas.put("COL-17", e -> new ViewingLight(e.at("kelvin")).white()[0]);
        formulas.put("COL-18", e -> dyes(e).in(ViewingLight.USUAL).visualDensity());
        formulas.put("COL-19", e -> dyes(e).integralDensity().red());
        formulas.put(
                "COL-21",
                e -> DyeImage.looking(e.at("lightness"), 0, 0, ViewingLight.USUAL)
                        .amounts()
                        .red());
        formulas.put(
                "COL-22",
                e -> ColourBalance.of(grey(e), e.at("density"), 3200, FilterSet.DICHROIC)
                        .pack()
                        .inMagenta());
        formulas.put(
                "COL-24",
                e -> WetPrint.USUAL
                        .dryFromWet(new Layers(e.at("wet"), e.at("wet"), e.at("wet")))
                        .red());
        formulas.put(
                "COL-27",
                e -> ColourDifference.of(
                        e.at("lightness"), e.at("magenta"), e.at("yellow"), e.at("lightness"), 0, e.at("other")));
        formulas.put(
                "COL-28",
                e -> CastEvidence.weighed(
                                List.of(CastLook.of(
                                        FilterPack.of(0, e.at("magenta"), e.at("magenta")),
                                        e.at("cast"),
                                        0,
                                        CastWay.VIEWING_FILTER)),
                                List.of())
                        .pack()
                        .inMagenta());
        formulas.put(
                "COL-29",
                e -> KitLook.at(FilterPack.of(0, 0, 0), List.of(new KitLook.Through(Hue.G, e.at("strongest"), false)))
                        .magenta());
        formulas.put(
                "COL-30",
                e -> NamedCast.at(
                                FilterPack.of(0, 0, 0),
                                List.of(new NamedCast.Picture(Hue.M, NamedCast.STRONG)),
                                e.at("scale"))
                        .magenta());
        formulas.put(
                "COL-31",
                e -> PiecePick.of(
                                List.of(FilterPack.of(0, e.at("one"), 50), FilterPack.of(0, e.at("other"), 50)),
                                List.of(0, 1))
                        .pack()
                        .inMagenta());
        formulas.put(
                "COL-32",
                e -> FirstPack.of(List.of(FilterPack.of(0, e.at("one"), 50), FilterPack.of(0, e.at("other"), 50)))
                        .openPoints());
        formulas.put(
                "COL-33",
                e -> GelPack.of(FilterPack.of(0, e.at("magenta"), 0), GelPack.usualSet())
                        .pack()
                        .inMagenta());
        formulas.put(
                "COL-34",
                e -> AdditiveHead.USUAL
                        .white(new AdditiveHead.Times(
                                ExposureTime.ofSeconds(e.at("red")),
                                ExposureTime.ofSeconds(e.at("green")),
                                ExposureTime.ofSeconds(e.at("blue"))))
                        .pack()
                        .inCyan());
        formulas.put(
                "COL-35",
                e -> e.at("seconds")
                        * PackTimes.USUAL.timeFactor(FilterPack.of(0, 0, 0), FilterPack.of(0, e.at("magenta"), 0)));
        formulas.put(
                "COL-36",
                e -> PackTimesFit.of(
                                List.of(new PackTimesFit.Pair(
                                        FilterPack.of(0, 0, 0),
                                        ExposureTime.ofSeconds(10),
                                        FilterPack.of(0, e.at("magenta"), 0),
                                        ExposureTime.ofSeconds(e.at("seconds")))),
                                PackTimes.Following.ON)
                        .times()
                        .magenta());
        formulas.put(
                "COL-37",
                e -> NeutralSpot.of(
                                new DyeImage.Appearance(e.at("lightness"), e.at("a"), e.at("b"), 0.75),
                                FilterSet.DICHROIC)
                        .magenta());
        formulas.put(
                "COL-47",
                e -> CardSpot.of(
                                new DyeImage.Appearance(e.at("lightness"), e.at("a"), e.at("b"), 0.75),
                                FilterSet.DICHROIC)
                        .more()
                        .inStops());
        formulas.put(
                "COL-38",
                e -> Taste.of(Hue.M, e.at("points"))
                        .from(FilterPack.of(0, e.at("magenta"), e.at("magenta")))
                        .inMagenta());
        formulas.put("COL-39", e -> new WetPrint(new Layers(e.at("red"), e.at("red"), e.at("blue")), 1).yellowCast());
        formulas.put(
                "COL-40",
                e -> CastLook.of(FilterPack.of(0, 0, 0), 0, 0, CastWay.VIEWING_FILTER)
                        .open(e.at("open"))
                        .inAnotherLight()
                        .openPoints());
        formulas.put(
                "COL-41",
                e -> SceneOffset.of(Collections.nCopies((int) e.at("prints"), FilterShift.of(0, e.at("points"), 0)))
                        .openPoints());
        formulas.put(
                "COL-42",
                e -> TwoAreas.of(List.of(magenta(e.at("other"))), List.of(magenta(e.at("points"))), List.of())
                        .magenta());
        formulas.put(
                "COL-44",
                e -> TwoLamps.of(new ViewingLight(e.at("first")), new ViewingLight(e.at("second")), FilterSet.DICHROIC)
                        .magenta());
        formulas.put("COL-45", ColourExamples::green);
        formulas.put("COL-46", ColourExamples::onAnotherSlate);
        formulas.put("COL-43", e -> PacksAround.stepFor(e.at("open")));
        return formulas;
    }

    private static CastLook magenta(double points) {
        return CastLook.of(FilterPack.of(0, 50, 50), points, 0, CastWay.VIEWING_FILTER);
    }

    private static Layers grey(Example e) {
        return ColourFilm.printingDensity(new Layers(e.at("scene"), e.at("scene"), e.at("scene")), Stops.ZERO);
    }

    private static DyeImage dyes(Example e) {
        return new DyeImage(new Layers(e.at("cyan"), e.at("magenta"), e.at("yellow")));
    }

    private static List<RingAround.Patch> ring(Example e, boolean mixtures) {
        return RingAround.plan(
                FilterPack.of(0, e.at("magenta"), e.at("yellow")),
                ExposureTime.ofSeconds(10),
                e.at("step"),
                1,
                mixtures,
                List.of(),
                FilterSet.IDEAL,
                FilterSet.Weights.GREEN);
    }

    private static FilterShift shift(Example e) {
        return FilterShift.of(e.at("cyan"), e.at("magenta"), e.at("yellow"));
    }

    private static double onAnotherSlate(Example e) {
        KitFactors.Known own = new KitFactors.Known(e.at("figure"), e.at("spread"));
        KitFactors.Known side = new KitFactors.Known(0, 0.1);
        return new KitFactors(CastWay.VIEWING_FILTER, "", own, side, side, own)
                .onAnotherSlate()
                .magenta()
                .spread();
    }

    /** What green light is set to. */
    private static double green(Example e) {
        LampLag lag = LampLag.ofSeconds(e.at("lag"));
        ExposureTime set = lag.toSet(ExposureTime.ofSeconds(e.at("seconds")));
        ExposureStep step = new ExposureStep(
                1,
                1,
                Light.dials(FilterPack.of(0, e.at("magenta"), 0)),
                8,
                set,
                1,
                List.of(Phase.holding(set.inSeconds(), List.of())),
                List.of());
        AdditiveHead head = new AdditiveHead(0.25, e.at("share"), 0.25);
        return new ThreeLights(head, TimerSteps.tenths(), lag, Settings.SEEN)
                .split(List.of(step))
                .get(1)
                .set()
                .inSeconds();
    }
}
