package keyslate.server.recipe;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import keyslate.core.exposure.TimeEvidence;
import keyslate.core.film.NegativeReadings;
import keyslate.core.light.Light;
import keyslate.core.quantity.Density;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.size.Projection;
import keyslate.server.Show;
import keyslate.server.local.PrintKind;
import keyslate.server.rig.LightView;
import keyslate.server.rig.OwnPrints;
import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.server.subject.Subject;
import keyslate.store.negative.Frame;
import keyslate.store.negative.FrameNotes;
import keyslate.store.negative.Roll;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateRepository;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * A first base exposure for a new set-up, by the best that is on record: the last print of this frame; what the frame needs beside one that was
 * printed, by the proof or by readings; else a default that says it is one. A proof starts at the standard of its enlarger.
 */
@Component
public class StartingTime {
    private static final double DEFAULT_SECONDS = 10;
    /** A darkroom has a few enlargers and kinds of paper; what is older than these is no standard. */
    private static final int MOST_SHEETS = 100;

    private static final int MOST_OF_A_FILM = 6;

    private final SlateRepository slates;
    private final SheetRepository sheets;
    private final RecipeRepository recipes;
    private final RollRepository rolls;
    private final Rigs rigs;

    StartingTime(
            SlateRepository slates, SheetRepository sheets, RecipeRepository recipes, RollRepository rolls, Rigs rigs) {
        this.slates = slates;
        this.sheets = sheets;
        this.recipes = recipes;
        this.rolls = rolls;
        this.rigs = rigs;
    }

    /**
     * A proposed first exposure with its arithmetic; carried over, or a plain default that says so.
     *
     * @param limitStops 95 % limit of a time that is carried over; left out of a default
     * @param checkStepStops from patch to patch of three that check it, worth their paper or not, as its arithmetic says; left out where none are
     * @param differs whether it is another than what stands
     * @param others starts whose limits are wider, each in a line
     */
    public record Proposal(
            LightView light,
            double seconds,
            String source,
            String headline,
            List<String> arithmetic,
            @Nullable Double limitStops,
            @Nullable Double checkStepStops,
            boolean differs,
            List<String> others) {
        /** Before those whose limits are wider. */
        Proposal before(List<Proposal> wider) {
            return new Proposal(
                    light,
                    seconds,
                    source,
                    headline,
                    arithmetic,
                    limitStops,
                    checkStepStops,
                    differs,
                    wider.stream().map(Proposal::line).toList());
        }

        private String line() {
            return Show.seconds(seconds) + " with " + light.notation()
                    + (limitStops == null ? "" : ", ± " + Show.stopsApart(Stops.of(limitStops))) + ": " + headline;
        }

        Recipe.Base toBase(Rig rig) {
            return new Recipe.Base(
                    rig.recipe()
                            .base()
                            .exposure()
                            .with(rig.medium().core().read(light.notation()), ExposureTime.ofSeconds(seconds)),
                    source,
                    String.join("\n", arithmetic));
        }
    }

    /** The proposal for a rig. */
    public Proposal propose(Rig rig) {
        return propose(rig, Optional.empty());
    }

    /** The same where a meter was read at both boards. */
    public Proposal propose(Rig rig, Optional<MeterReadings> meter) {
        if (rig.subject() instanceof Subject.Single single) {
            return ofFrame(rig, single.frame(), meter);
        }
        return standardProof(rig)
                .map(p -> carried(rig, p).by(meter).propose("Carried over from the standard proof of this enlarger."))
                .orElseGet(() -> plain(rig, "No standard proof of this enlarger is on record."));
    }

    /** The one with the smallest limits; of two alike the one that rests on more of this very frame. */
    private Proposal ofFrame(Rig rig, Frame frame, Optional<MeterReadings> meter) {
        List<Proposal> found = Stream.of(
                        lastPrint(rig, frame.id())
                                .map(p -> carried(rig, p)
                                        .by(meter)
                                        .propose("Carried over from the last print of this frame.")),
                        byNeed(rig, frame.id()),
                        byReadings(rig, frame.id()),
                        byFilm(rig, frame))
                .flatMap(Optional::stream)
                .sorted(Comparator.comparingDouble(StartingTime::roundedLimit))
                .toList();
        return found.isEmpty()
                ? plain(rig, "No print of this frame is on record.")
                : found.get(0).before(found.subList(1, found.size()));
    }

    private static double roundedLimit(Proposal p) {
        return p.limitStops() == null ? Double.MAX_VALUE : Math.rint(p.limitStops() * 24) / 24;
    }

    /** From prints of other frames of this film that were accepted with this enlarger on this batch. */
    private Optional<Proposal> byFilm(Rig rig, Frame frame) {
        String film = rolls.roll(frame.rollId()).map(Roll::film).orElse("");
        if (film.isBlank()) {
            return Optional.empty();
        }
        List<Sheet> accepted = sheets.acceptedOfFilm(film, frame.id(), MOST_OF_A_FILM).stream()
                .filter(s -> comparable(rig, s) && isOfThisEnlargerAndPaper(rig, s))
                .toList();
        if (accepted.size() < 2) {
            return Optional.empty();
        }
        UsualLight usualLight = UsualLight.of(
                rig,
                accepted.stream()
                        .map(s -> recipes.get(s.recipeId())
                                .base()
                                .exposure()
                                .main()
                                .light())
                        .toList());
        Light light = usualLight.light();
        List<Proposal> prints = accepted.stream()
                .map(s -> carried(rig, s).through(light).propose("print " + s.number()))
                .toList();
        TimeEvidence.Reading usual = TimeEvidence.usual(
                prints.stream().map(p -> ExposureTime.ofSeconds(p.seconds())).toList());
        double limit = usual.uncertainty().inStops();
        double seconds = usual.time().inSeconds();
        return Optional.of(new Proposal(
                LightView.of(light),
                seconds,
                // A likelier guess than the plain one, and a guess still: nothing was measured of this negative.
                "default",
                "The usual time of " + film + " on this paper and enlarger.",
                Stream.of(
                                usualLight.words(),
                                prints.size() + " accepted prints of other frames, carried to this size and opening: "
                                        + Show.listed(prints.stream()
                                                .map(p -> Show.seconds(p.seconds()))
                                                .toList())
                                        + ".",
                                "The middle of them, and the limit of a further one (EXP-38): " + Show.seconds(seconds)
                                        + ", ± " + Show.stopsApart(usual.uncertainty()) + ".")
                        .filter(line -> !line.isEmpty())
                        .toList(),
                limit,
                null,
                Math.abs(seconds - rig.base().inSeconds()) > 0.05 || !light.equals(rig.light()),
                List.of()));
    }

    private static boolean isOfThisEnlargerAndPaper(Rig rig, Sheet sheet) {
        return sheet.stood() != null
                && sheet.stood().enlarger().id().equals(rig.enlarger().id())
                && sheet.stood().paper().id().equals(rig.paper().id());
    }

    /** From the accepted print of the frame it was compared with on their proof. */
    private Optional<Proposal> byNeed(Rig rig, String frameId) {
        return rolls.need(frameId)
                .flatMap(need -> acceptedPrint(rig, need.againstId())
                        .map(print -> carried(rig, print)
                                .needing(need, rolls.frame(need.againstId()).orElseThrow())
                                .propose("The proof says what it needs beside a frame that is printed.")));
    }

    /** From the accepted print of another negative that was read too. */
    private Optional<Proposal> byReadings(Rig rig, String frameId) {
        Optional<NegativeReadings> readings = readings(frameId);
        if (readings.isEmpty()) {
            return Optional.empty();
        }
        return sheets.acceptedOfReadNegatives(MOST_SHEETS).stream()
                .filter(print -> comparable(rig, print))
                .findFirst()
                .flatMap(print -> {
                    Frame other = rolls.frame(
                                    slates.find(print.slateId()).orElseThrow().frameId())
                            .orElseThrow();
                    return readings(other.id())
                            .map(read -> carried(rig, print)
                                    .reading(readings.get(), read, other)
                                    .propose("Its readings say what it needs beside a negative that is printed."));
                });
    }

    private Optional<NegativeReadings> readings(String frameId) {
        FrameNotes notes = rolls.notes(frameId);
        if (notes.shadowDensity() == null || notes.highlightDensity() == null) {
            return Optional.empty();
        }
        try {
            return Optional.of(
                    new NegativeReadings(Density.of(notes.shadowDensity()), Density.of(notes.highlightDensity())));
        } catch (QuantityException e) {
            return Optional.empty();
        }
    }

    /** The last print of the frame on this kind of paper. */
    private Optional<Sheet> lastPrint(Rig rig, String frameId) {
        return slates.ofFrame(frameId).stream()
                .map(Slate::id)
                .flatMap(id -> sheets.of(id).stream())
                .filter(s -> PrintKind.ID.equals(s.kind()) && s.isHung())
                .sorted(Comparator.comparing(Sheet::begunAt).reversed())
                .filter(s -> comparable(rig, s))
                .findFirst();
    }

    /** The print of a frame that was accepted last on this kind of paper. */
    private Optional<Sheet> acceptedPrint(Rig rig, String frameId) {
        return slates.ofFrame(frameId).stream()
                .map(Slate::acceptedSheetId)
                .filter(id -> id != null)
                .flatMap(id -> sheets.find(id).stream())
                .sorted(Comparator.comparing(Sheet::begunAt).reversed())
                .filter(s -> comparable(rig, s))
                .findFirst();
    }

    /** Whether a sheet is on this kind of paper; light from a bare lamp compares with nothing else. */
    private boolean comparable(Rig rig, Sheet sheet) {
        boolean samePaper = sheet.stood() == null
                || sheet.stood().paper().kind().equals(rig.medium().id());
        return samePaper && isByBareLamp(recipes.get(sheet.recipeId())) == rig.byBareLamp();
    }

    private static boolean isByBareLamp(Recipe recipe) {
        return recipe.setup()
                .contact()
                .map(c -> c.source() == Projection.Source.LAMP)
                .orElse(false);
    }

    /** The proof accepted last that this enlarger made on this kind of paper from the same source of light. */
    private Optional<Sheet> standardProof(Rig rig) {
        return sheets.acceptedProofs(MOST_SHEETS).stream()
                .filter(s -> s.stood() != null
                        && s.stood().enlarger().id().equals(rig.enlarger().id()))
                .filter(s -> comparable(rig, s))
                .findFirst();
    }

    private CarriedTime carried(Rig rig, Sheet print) {
        Rig stood = rigs.of(print, recipes.get(print.recipeId()), rig);
        return new CarriedTime(stood, rigs.asKnownToday(stood), rig, print.number());
    }

    /** The light that the paper of a rig begins with. */
    Light light(Rig rig) {
        return starting(rig).light();
    }

    private StartingLight starting(Rig rig) {
        return StartingLight.of(
                rig,
                rig.subject() instanceof Subject.Single single
                        ? readings(single.frame().id())
                        : Optional.empty(),
                OwnPrints.like(rig, sheets.lightsKeptOn(rig.paper().id())));
    }

    private Proposal plain(Rig rig, String headline) {
        StartingLight light = starting(rig);
        boolean standsAsDefault = "default".equals(rig.recipe().base().source());
        return new Proposal(
                LightView.of(light.light()),
                DEFAULT_SECONDS,
                "default",
                headline,
                List.of(
                        light.because(),
                        Show.seconds(DEFAULT_SECONDS)
                                + " is a plain default and not a measurement. The first strip finds the time."),
                null,
                null,
                standsAsDefault
                        && (Math.abs(rig.base().inSeconds() - DEFAULT_SECONDS) > 0.05
                                || !rig.light().equals(light.light())),
                List.of());
    }
}
