package keyslate.server.slate;

import java.util.List;
import keyslate.core.colour.Taste;
import keyslate.server.PrintTurns;
import keyslate.server.local.LocalViews.LocalView;
import keyslate.server.medium.MediumPart;
import keyslate.server.negative.RollViews.FrameView;
import keyslate.server.recipe.StartingTime;
import keyslate.server.rig.Follows;
import keyslate.server.rig.LightView;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.Differences.Difference;
import keyslate.server.sheet.SheetViews.NextStepView;
import keyslate.server.sheet.SheetViews.RectView;
import keyslate.server.sheet.SheetViews.SheetView;
import keyslate.server.slate.GeometryViews.GeometryView;
import keyslate.server.subject.PositivePath;
import keyslate.server.subject.Subject;
import keyslate.server.test.TestViews.TestView;
import keyslate.server.tone.ToneViews.ToneView;
import keyslate.store.json.StoredTone;
import org.jspecify.annotations.Nullable;

/** What the page sees of a slate. Units stand in the names; a null is left out of the JSON. */
public final class SlateViews {
    private SlateViews() {}

    /**
     * The whole slate: what never changes, what an edit can change, and the sheets.
     *
     * @param subject what it prints
     * @param putAwayAt since when it is left out of the Bench
     * @param deletable whether no paper was exposed for it
     */
    public record SlateView(
            String id,
            SubjectView subject,
            StandingView standing,
            List<SheetView> sheets,
            @Nullable String putAwayAt,
            boolean deletable) {}

    /**
     * What a slate prints: a frame, or without one a whole roll on one sheet.
     *
     * @param rollTitle of its roll
     * @param name where the roll is known: "frame 15" or "proof"
     * @param widthMm of the negative as its picture stands; heightMm alike
     * @param positivePath where its positive is asked for, without a size; left out when nothing of it was scanned
     * @param toBeAsked whether someone is in it who has not agreed to be shown
     */
    public record SubjectView(
            String rollId,
            String rollTitle,
            String film,
            String name,
            boolean proof,
            double widthMm,
            double heightMm,
            @Nullable String positivePath,
            boolean toBeAsked,
            @Nullable FrameView frame) {
        static SubjectView of(Subject subject, boolean toBeAsked, @Nullable FrameView frame) {
            return new SubjectView(
                    subject.roll().id(),
                    subject.roll().title(),
                    subject.roll().film(),
                    subject.name(),
                    subject.isProof(),
                    subject.width().inMm(),
                    subject.height().inMm(),
                    PositivePath.of(subject),
                    toBeAsked,
                    frame);
        }
    }

    /**
     * What an edit can change; also the answer of an edit.
     *
     * @param geometry what follows from size, lens and opening
     * @param otherBox that the last test that was read is of another box than the one that stands, in a sentence; none where it is not
     * @param otherNegative that another negative may still be in the carrier, in a sentence; none where it is not
     * @param byHand what of the equipment is looked at by hand once an evening, in words
     * @param previewKey names what the preview shows: the same key, the same picture
     * @param castsKey alike for the print with each cast, which hangs on negative and crop alone
     */
    public record StandingView(
            long version,
            String recipeId,
            MediumView medium,
            NamingView naming,
            List<ToneView> tones,
            SetupView setup,
            GeometryView geometry,
            BaseView base,
            TestView test,
            LocalView local,
            List<Difference> differences,
            List<String> byHand,
            @Nullable String otherBox,
            @Nullable String otherNegative,
            NextStepView next,
            PreviewBasisView previewBasis,
            String previewKey,
            String castsKey,
            @Nullable String acceptedSheetId,
            @Nullable String undoLabel,
            @Nullable String redoLabel) {}

    /**
     * The kind of paper: MONOCHROME or COLOUR, its stations, the room it is exposed in, the lights to choose from where they are few, the marks that
     * a reading of a strip asks for, and whether contrast can be chosen.
     */
    public record MediumView(
            String kind,
            List<MediumPart.Station> stations,
            String room,
            String lightName,
            List<String> lights,
            List<MediumPart.Mark> marks,
            boolean choosesContrast) {
        static MediumView of(Rig rig) {
            MediumPart part = rig.medium();
            List<MediumPart.Mark> marks = rig.subject().isProof()
                    ? List.of(MediumPart.FILM_EDGE)
                    : part.marksFor(rig.recipe().naming().blackWanted());
            return new MediumView(
                    part.id(),
                    part.stations(),
                    part.room(),
                    part.lightName(),
                    part.lights(),
                    marks,
                    part.choosesContrast());
        }
    }

    /** What the print is to be. */
    public record NamingView(
            String title,
            String intent,
            boolean whiteWanted,
            boolean blackWanted,
            List<StoredTone> tones,
            TasteView taste) {}

    /** What another frame of the roll is meant to be like. */
    public record SisterTaste(String slateId, String title, TasteView taste) {}

    /**
     * How far off neutral a colour print is meant to be.
     *
     * @param magenta points that the pack has beyond the neutral one
     * @param yellow alike
     * @param words "neutral", "5 redder"
     */
    public record TasteView(double magenta, double yellow, String words) {
        public static TasteView of(Taste taste) {
            return new TasteView(taste.magenta(), taste.yellow(), PrintTurns.meant(taste));
        }
    }

    /**
     * The base exposure: light, received seconds, what the timer is set to for it, and where it comes from.
     *
     * @param pack of a pack, how the time follows it and what grey is in it; left out where the light is none
     * @param dials what the dials of the head stand at for it, such as "magenta 31"; left out where grades are made by filters
     * @param parts all lights with their seconds in the order they are given; one as a rule, which {@code light} and {@code seconds} are of
     * @param presses how many equal exposures of {@code setSeconds} it is given in
     */
    public record BaseView(
            LightView light,
            @Nullable String dials,
            @Nullable PackView pack,
            double seconds,
            double setSeconds,
            List<BasePartView> parts,
            int presses,
            String source,
            String because) {}

    /**
     * How time follows the pack of a head (COL-35).
     *
     * @param cyan factor of cyan
     * @param magenta factor of magenta
     * @param yellow factor of yellow
     * @param follows how much of it the time follows
     * @param source of the factors: default, entered or measured
     * @param grey what grey is in the pack; left out where there is none
     * @param thirds the three lights that it is given in; left out where a head has dials or gels
     * @param note what is to be known before paper is spent on it; left out as a rule
     */
    public record PackView(
            double cyan,
            double magenta,
            double yellow,
            Follows follows,
            String source,
            @Nullable GreyView grey,
            @Nullable List<ThirdView> thirds,
            @Nullable String note) {}

    /**
     * One of the lights of a head that prints with red, green and blue.
     *
     * @param light its colour
     * @param seconds received of the base
     * @param setSeconds what is set for it, lag included
     */
    public record ThirdView(String light, double seconds, double setSeconds) {}

    /**
     * Grey in a pack: light for nothing.
     *
     * @param points of it
     * @param light without it
     * @param seconds that are as dark without it
     * @param words what it costs
     * @param unequal what the factors of the head say of it, where they do not add up to 1
     */
    public record GreyView(
            double points,
            LightView light,
            double seconds,
            String words,
            @Nullable String unequal) {}

    /** A part of the base exposure: its light, the seconds received, and what the timer is set to for each press. */
    public record BasePartView(LightView light, double seconds, double setSeconds) {}

    /**
     * What stands on enlarger and easel: what was chosen, and what follows from it.
     *
     * @param borderMm the narrowest white
     * @param blades the white on each side
     * @param fit WHOLE_PICTURE or FILL_SHEET, where the size was not set by eye
     * @param overfillPercent how much larger than the sheet a picture that fills it is made
     * @param cropPlace where the kept part of the negative lies, 0 = at its left, 1 = at its right
     * @param cropDown the same from its top, 0, to its bottom, 1
     * @param sizedBy what told the size that was set by eye: COLUMN, HEIGHT or PICTURE; left out where it follows from the sheet
     * @param sizedReading what was read, mm
     * @param projection ENLARGED, or in contact from LENS or LAMP
     * @param columnReading what the column's own scale shows, in contact; empty where it was not read
     * @param driesDownPercent by how much of its time the paper dries darker; left out where nobody tried it
     * @param lensToPaperMm lens or bare lamp to paper
     * @param filmToLensMm left out in contact: the carrier is empty
     */
    public record SetupView(
            String enlargerId,
            String enlargerName,
            String head,
            String lamp,
            String lensId,
            String lensName,
            double focalMm,
            double apertureMark,
            String paperId,
            String paperName,
            String paperBatch,
            double paperSheetsLeft,
            boolean paperCounted,
            double sheetWidthMm,
            double sheetHeightMm,
            double borderMm,
            BladesView blades,
            String fit,
            double overfillPercent,
            double cropPlace,
            double cropDown,
            @Nullable String sizedBy,
            @Nullable Double sizedReading,
            double turnedWidthMm,
            double turnedHeightMm,
            double imageWidthMm,
            double imageHeightMm,
            double magnification,
            String projection,
            String columnReading,
            double lensToPaperMm,
            @Nullable Double filmToLensMm,
            double columnMm,
            double trueFNumber,
            double stopsFromOpen,
            RectView crop,
            double lostFraction,
            double lostMm,
            double lagSeconds,
            String lagSource,
            @Nullable Double driesDownPercent,
            List<String> warnings,
            StartingTime.@Nullable Proposal startingTime) {}

    /**
     * The white that each blade leaves on the sheet as it lies.
     *
     * @param leftMm in mm
     * @param topMm in mm
     * @param rightMm in mm
     * @param bottomMm in mm
     */
    public record BladesView(double leftMm, double topMm, double rightMm, double bottomMm) {}

    /** A sheet's own recipe and the enlarger as it stood for it. */
    public record KeptRecipeView(NamingView naming, SetupView setup, BaseView base, boolean recorded) {}

    /** What the preview rests on. */
    public record PreviewBasisView(boolean measured, String text) {}

    /**
     * A slate on the bench.
     *
     * @param positivePath where its positive is asked for, without a size; left out when nothing of it was scanned
     */
    public record SlateCard(
            String id,
            String title,
            String intent,
            @Nullable String positivePath,
            double aspect,
            NextStepView next,
            int sheets,
            @Nullable String lastPictureId,
            boolean deletable) {}

    /** A slate for a frame, or for the proof of a roll. */
    public record NewSlate(
            @Nullable String frameId,
            @Nullable String rollId,
            @Nullable String title,
            @Nullable String intent) {}

    /** Nothing but the version: for undo, redo and the like. */
    public record AtVersion(long version) {}
}
