package keyslate.server.transfer;

import java.util.List;
import java.util.Optional;
import keyslate.core.colour.Taste;
import keyslate.core.light.Light;
import keyslate.core.local.LocalChange;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Magnification;
import keyslate.core.script.BaseExposure;
import keyslate.core.script.Cue;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.LocalWork;
import keyslate.core.script.Part;
import keyslate.core.size.Blades;
import keyslate.core.size.Placement;
import keyslate.core.size.PrintFit;
import keyslate.core.size.Projection;
import keyslate.server.transfer.SlateFile.FileArea;
import keyslate.server.transfer.SlateFile.FileBath;
import keyslate.server.transfer.SlateFile.FileBlades;
import keyslate.server.transfer.SlateFile.FileContact;
import keyslate.server.transfer.SlateFile.FileDecision;
import keyslate.server.transfer.SlateFile.FileEvent;
import keyslate.server.transfer.SlateFile.FileFilm;
import keyslate.server.transfer.SlateFile.FileLamp;
import keyslate.server.transfer.SlateFile.FilePart;
import keyslate.server.transfer.SlateFile.FilePiece;
import keyslate.server.transfer.SlateFile.FileRecipe;
import keyslate.server.transfer.SlateFile.FileScan;
import keyslate.server.transfer.SlateFile.FileSheet;
import keyslate.server.transfer.SlateFile.FileSized;
import keyslate.server.transfer.SlateFile.FileSlate;
import keyslate.server.transfer.SlateFile.FileStep;
import keyslate.server.transfer.SlateFile.FileStood;
import keyslate.store.json.Stood;
import keyslate.store.json.StoredPhase;
import keyslate.store.json.StoredShape;
import keyslate.store.json.StoredTaste;
import keyslate.store.json.StoredTest;
import keyslate.store.json.StoredTone;
import keyslate.store.slate.Decision;
import keyslate.store.slate.ExposedSheet;
import keyslate.store.slate.LampRecord;
import keyslate.store.slate.Piece;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.Scan;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetEvent;
import keyslate.store.slate.Slate;
import org.jspecify.annotations.Nullable;

/** The records of the file to those of the store and back. */
final class FileMapping {
    private FileMapping() {}

    static FileSlate toFile(Slate s) {
        return new FileSlate(
                s.id(),
                s.createdAt(),
                s.version(),
                s.recipeId(),
                s.redoId(),
                s.acceptedSheetId(),
                s.touchedAt(),
                s.practice() ? Boolean.TRUE : null);
    }

    /** On the Bench, wherever it was when it was saved. */
    static Slate toStore(SlateFile file, boolean practice) {
        FileSlate s = file.slate();
        return new Slate(
                s.id(),
                file.frame() == null ? null : file.frame().id(),
                file.frame() == null ? file.roll().id() : null,
                s.createdAt(),
                s.version(),
                s.recipeId(),
                s.redoId(),
                s.acceptedSheetId(),
                s.touchedAt(),
                null,
                practice);
    }

    static FileRecipe toFile(Recipe r) {
        return new FileRecipe(
                r.id(),
                r.previousId(),
                r.madeAt(),
                r.edit(),
                r.naming().title(),
                r.naming().intent(),
                r.naming().whiteWanted(),
                r.naming().blackWanted(),
                r.naming().tones().stream().map(StoredTone::of).toList(),
                r.naming().taste().equals(Taste.NEUTRAL)
                        ? null
                        : StoredTaste.of(r.naming().taste()),
                r.setup().enlargerId(),
                r.setup().lensId(),
                r.setup().apertureMark(),
                r.setup().paperId(),
                r.setup().sheetWidthMm(),
                r.setup().sheetHeightMm(),
                Math.min(Blades.WIDEST_EVEN_MM, r.setup().placement().blades().narrowestMm()),
                r.setup().placement().way().name(),
                r.setup().placement().across(),
                r.setup().placement().down(),
                r.setup().placement().overfillPercent(),
                blades(r.setup().placement().blades()),
                r.setup().placement().sized().map(FileMapping::toFile).orElse(null),
                r.setup().contact().map(FileMapping::toFile).orElse(null),
                r.base().exposure().parts().stream()
                        .map(p -> new FilePart(p.light().notation(), p.time().inSeconds()))
                        .toList(),
                r.base().source(),
                r.base().because(),
                r.base().exposure().presses(),
                StoredTest.of(r.test()),
                r.local().way().name(),
                r.local().areas().stream().map(FileMapping::toFile).toList());
    }

    private static @Nullable FileBlades blades(Blades b) {
        return b.areEven() ? null : new FileBlades(b.leftMm(), b.topMm(), b.rightMm(), b.bottomMm());
    }

    private static FileSized toFile(Placement.Sized s) {
        return new FileSized(s.by().name(), s.reading(), s.magnification().inTimes());
    }

    /** What older files do not say: the kept part lay in one place both ways, and the sheet was not overfilled. */
    private static Placement placement(FileRecipe r) {
        FileBlades b = r.blades();
        return new Placement(
                b == null ? Blades.even(r.borderMm()) : new Blades(b.leftMm(), b.topMm(), b.rightMm(), b.bottomMm()),
                PrintFit.Way.valueOf(r.fit()),
                r.overfillPercent() == null ? 0 : r.overfillPercent(),
                Optional.ofNullable(r.sized())
                        .map(s -> new Placement.Sized(
                                Placement.By.valueOf(s.by()), s.reading(), Magnification.of(s.times()))),
                r.cropPlace(),
                r.cropDown() == null ? r.cropPlace() : r.cropDown());
    }

    private static FileContact toFile(Recipe.Contact c) {
        return new FileContact(c.source().name(), c.distanceMm(), c.columnReading());
    }

    private static Recipe.Contact toStore(FileContact c) {
        return new Recipe.Contact(
                Projection.Source.valueOf(c.source()),
                c.distanceMm(),
                c.columnReading() == null ? "" : c.columnReading());
    }

    private static FileArea toFile(Recipe.Area a) {
        return new FileArea(
                a.key(),
                a.name(),
                StoredShape.of(a.shape()),
                a.softEdge(),
                a.change().change().inStops(),
                a.light().map(Light::notation).orElse(null),
                a.tool());
    }

    static Recipe toStore(FileRecipe r, String slateId) {
        return new Recipe(
                r.id(),
                slateId,
                r.previousId(),
                r.madeAt(),
                r.edit(),
                new Recipe.Naming(
                        r.title(),
                        r.intent(),
                        r.whiteWanted(),
                        r.blackWanted(),
                        Optional.ofNullable(r.tones()).orElse(List.of()).stream()
                                .map(StoredTone::toCore)
                                .toList(),
                        r.taste() == null ? Taste.NEUTRAL : r.taste().toCore()),
                new Recipe.Setup(
                        r.enlargerId(),
                        r.lensId(),
                        r.apertureMark(),
                        r.paperId(),
                        r.sheetWidthMm(),
                        r.sheetHeightMm(),
                        placement(r),
                        Optional.ofNullable(r.contact()).map(FileMapping::toStore)),
                new Recipe.Base(
                        new BaseExposure(
                                r.base().stream()
                                        .map(p -> new BaseExposure.Part(
                                                Light.of(p.light()), ExposureTime.ofSeconds(p.seconds())))
                                        .toList(),
                                Optional.ofNullable(r.presses()).orElse(1)),
                        r.baseSource(),
                        r.baseBecause()),
                r.test().toCore(),
                new Recipe.Local(
                        r.areas().stream().map(FileMapping::toStore).toList(), LocalWork.Way.valueOf(r.localWay())));
    }

    private static Recipe.Area toStore(FileArea a) {
        return new Recipe.Area(
                a.key(),
                a.name(),
                a.shape().toCore(),
                a.softEdge(),
                LocalChange.ofStops(a.changeStops()),
                Optional.ofNullable(a.light()).map(Light::of),
                a.tool());
    }

    static FileSheet toFile(ExposedSheet e) {
        Sheet s = e.sheet();
        return new FileSheet(
                s.id(),
                s.number(),
                s.kind(),
                s.recipeId(),
                s.begunAt(),
                s.state(),
                s.endedAt(),
                s.paperUsed(),
                s.magnification(),
                s.stood() == null ? null : toFile(s.stood()),
                s.note(),
                e.pieces().stream()
                        .map(p -> new FilePiece(
                                p.number(),
                                p.view().left(),
                                p.view().top(),
                                p.view().width(),
                                p.view().height()))
                        .toList(),
                e.steps().stream().map(FileMapping::toFile).toList(),
                e.lamp().stream()
                        .map(l -> new FileLamp(
                                l.stepPlace(),
                                l.attempt(),
                                l.setSeconds(),
                                l.onAt(),
                                l.offAt(),
                                l.givenSeconds(),
                                l.outcome(),
                                l.told()))
                        .toList(),
                e.events().stream()
                        .map(v -> new FileEvent(v.place(), v.kind(), v.happenedAt()))
                        .toList(),
                e.scans().stream()
                        .map(c -> new FileScan(c.place(), c.pictureId(), c.handedAt(), c.offsets(), c.source()))
                        .toList());
    }

    private static FileStood toFile(Stood s) {
        return new FileStood(
                FileEquipment.toFile(s.enlarger()),
                FileEquipment.toFile(s.lens()),
                FileEquipment.toFile(s.paper()),
                s.frameWidthMm(),
                s.frameHeightMm(),
                s.baths().stream()
                        .map(b -> new FileBath(b.name(), b.capacityM2(), b.usedM2()))
                        .toList(),
                s.room(),
                s.film() == null
                        ? null
                        : new FileFilm(s.film().frameIds(), s.film().strips()),
                FileConstants.toFile(s.constants()));
    }

    private static FileStep toFile(ExposureStep s) {
        return new FileStep(
                s.place(),
                s.piece(),
                s.light().notation(),
                s.opening(),
                s.set().inSeconds(),
                s.presses(),
                s.phases().stream().map(StoredPhase::of).toList(),
                s.cues().stream().map(Cue::name).toList());
    }

    /** A sheet with all that belongs to it but its decisions. */
    static ExposedSheet toStore(FileSheet s, String slateId) {
        Sheet sheet = new Sheet(
                s.id(),
                slateId,
                s.number(),
                s.kind(),
                s.recipeId(),
                s.begunAt(),
                s.state(),
                s.endedAt(),
                s.paperUsed(),
                s.magnification(),
                s.stood() == null ? null : toStore(s.stood()),
                s.note());
        return new ExposedSheet(
                sheet,
                s.pieces().stream()
                        .map(p -> new Piece(p.number(), new Part(p.left(), p.top(), p.width(), p.height())))
                        .toList(),
                s.steps().stream().map(FileMapping::toStore).toList(),
                s.lamp().stream()
                        .map(l -> new LampRecord(
                                s.id(),
                                l.step(),
                                l.attempt(),
                                l.setSeconds(),
                                l.onAt(),
                                l.offAt(),
                                l.givenSeconds(),
                                l.outcome(),
                                l.told()))
                        .toList(),
                s.events().stream()
                        .map(v -> new SheetEvent(s.id(), v.place(), v.kind(), v.happenedAt()))
                        .toList(),
                s.scans().stream()
                        .map(c -> new Scan(s.id(), c.place(), c.pictureId(), c.handedAt(), c.offsets(), c.source()))
                        .toList(),
                List.of());
    }

    private static Stood toStore(FileStood s) {
        return new Stood(
                FileEquipment.toStore(s.enlarger()),
                FileEquipment.toStore(s.lens()),
                FileEquipment.toStore(s.paper()),
                s.frameWidthMm(),
                s.frameHeightMm(),
                s.baths().stream()
                        .map(b -> new Stood.StoodBath(b.name(), b.capacityM2(), b.usedM2()))
                        .toList(),
                s.room(),
                s.film() == null
                        ? null
                        : new Stood.StoodFilm(s.film().frameIds(), s.film().strips()),
                FileConstants.toStore(s.constants()));
    }

    private static ExposureStep toStore(FileStep s) {
        return new ExposureStep(
                s.place(),
                s.piece(),
                Light.of(s.light()),
                s.opening(),
                ExposureTime.ofSeconds(s.setSeconds()),
                s.presses(),
                s.phases().stream().map(StoredPhase::toCore).toList(),
                s.cues().stream().map(Cue::valueOf).toList());
    }

    static FileDecision toFile(Decision d) {
        return new FileDecision(
                d.id(),
                d.sheetId(),
                d.kind(),
                d.madeAt(),
                d.seen().untaught(),
                d.remark(),
                d.headline(),
                d.why(),
                d.proposedLight(),
                d.proposedSeconds(),
                d.overruled(),
                d.takenLight(),
                d.takenSeconds());
    }

    static Decision toStore(FileDecision d, String slateId) {
        return new Decision(
                d.id(),
                slateId,
                d.sheetId(),
                d.kind(),
                d.madeAt(),
                d.seen(),
                d.remark(),
                d.headline(),
                d.why(),
                d.proposedLight() == null ? null : Light.of(d.proposedLight()).notation(),
                d.proposedSeconds(),
                d.overruled(),
                d.takenLight() == null ? null : Light.of(d.takenLight()).notation(),
                d.takenSeconds());
    }
}
