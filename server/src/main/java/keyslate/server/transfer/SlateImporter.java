package keyslate.server.transfer;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import keyslate.server.Clocks;
import keyslate.server.picture.PictureFiles;
import keyslate.server.picture.WorkingCopy;
import keyslate.server.slate.SlateAssembler;
import keyslate.server.slate.SlateViews.SlateView;
import keyslate.server.subject.Subject;
import keyslate.server.transfer.SlateFile.FilePicture;
import keyslate.server.transfer.SlateFile.FileRecipe;
import keyslate.server.web.ConflictException;
import keyslate.server.web.RefusedException;
import keyslate.server.web.TemporaryFiles;
import keyslate.store.Database;
import keyslate.store.bench.StoresRepository;
import keyslate.store.json.Json;
import keyslate.store.negative.Frame;
import keyslate.store.negative.Picture;
import keyslate.store.negative.PictureRepository;
import keyslate.store.negative.Roll;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.ExposedSheet;
import keyslate.store.slate.LampRecord;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateRepository;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;

/**
 * Slates in from a file without loss. A file is checked whole, its pictures decoded and its view built, before any of it is
 * stored for good.
 */
@Service
class SlateImporter {
    private final Database database;
    private final SlateRepository slates;
    private final RecipeRepository recipes;
    private final SheetRepository sheets;
    private final RollRepository rolls;
    private final PictureRepository pictures;
    private final StoresRepository stores;
    private final SlateAssembler assembler;
    private final FileChecks checks;
    private final TemporaryFiles temporary;
    private final Clock clock;
    /** Files are stored one after another: of two that are the same, the second finds the first. */
    private final Object turn = new Object();

    SlateImporter(
            Database database,
            SlateRepository slates,
            RecipeRepository recipes,
            SheetRepository sheets,
            RollRepository rolls,
            PictureRepository pictures,
            StoresRepository stores,
            SlateAssembler assembler,
            FileChecks checks,
            TemporaryFiles temporary,
            Clock clock) {
        this.database = database;
        this.slates = slates;
        this.recipes = recipes;
        this.sheets = sheets;
        this.rolls = rolls;
        this.pictures = pictures;
        this.stores = stores;
        this.assembler = assembler;
        this.checks = checks;
        this.temporary = temporary;
        this.clock = clock;
    }

    /** Takes a file in, all or nothing; refuses what is damaged, foreign or already here. */
    SlateView take(InputStream in) {
        try (FileReader reader = FileReader.read(in, temporary)) {
            SlateFile file = reader.file();
            refuseTwice(file);
            try {
                checks.check(file);
                Map<String, Checked> checked = pictures(file, reader);
                synchronized (turn) {
                    refuseTwice(file);
                    refuseWhatIsHere(file);
                    return store(file, checked);
                }
            } catch (ConflictException | RefusedException e) {
                throw e;
            } catch (DataIntegrityViolationException | IllegalArgumentException | NullPointerException e) {
                throw FileReader.damaged("its parts do not fit together");
            }
        }
    }

    private void refuseTwice(SlateFile file) {
        if (slates.find(file.slate().id()).isPresent()) {
            throw new ConflictException(
                    "already-here", "“" + file.title() + "” is already in this data folder. Nothing was changed.");
        }
    }

    /** Whatever is new in the file must be new here. */
    private void refuseWhatIsHere(SlateFile file) {
        boolean taken = file.recipes().stream()
                        .anyMatch(r -> recipes.find(r.id()).isPresent())
                || file.sheets().stream().anyMatch(s -> sheets.find(s.id()).isPresent());
        if (taken) {
            throw FileReader.damaged("parts of it belong to another slate that is here");
        }
    }

    private record Checked(Path file, byte[] working, String workingType) {}

    /** Decodes every picture: a damaged one is refused before anything is stored. */
    private Map<String, Checked> pictures(SlateFile file, FileReader reader) {
        Map<String, Checked> checked = new LinkedHashMap<>();
        for (FilePicture picture : file.pictures()) {
            Path original = reader.picture(picture.id());
            if (original == null) {
                throw FileReader.damaged("a picture in it has no file");
            }
            PictureFiles.describe(original);
            byte[] working = working(picture, original, reader.working(picture.id()));
            PictureFiles.toScene(working, picture.encoding());
            String type = picture.workingMediaType() != null
                    ? picture.workingMediaType()
                    : Picture.LINEAR_16.equals(picture.encoding()) ? picture.mediaType() : "image/jpeg";
            checked.put(picture.id(), new Checked(original, working, type));
        }
        return checked;
    }

    private static byte[] working(FilePicture picture, Path original, Path working) {
        try {
            if (working != null) {
                return Files.readAllBytes(working);
            }
            return Picture.LINEAR_16.equals(picture.encoding())
                    ? Files.readAllBytes(original)
                    : WorkingCopy.of(original).bytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private SlateView store(SlateFile file, Map<String, Checked> checked) {
        List<FilePicture> fresh = file.pictures().stream()
                .filter(p -> pictures.find(p.id()).isEmpty())
                .toList();
        // Pictures first and by themselves, so that the negative can be decoded before the slate's own transaction.
        database.inTransaction(() -> fresh.forEach(p -> store(p, checked.get(p.id()))));
        try {
            return storeSlate(file);
        } catch (RuntimeException e) {
            database.inTransaction(() ->
                    pictures.deleteUnused(fresh.stream().map(FilePicture::id).toList()));
            throw e;
        }
    }

    private SlateView storeSlate(SlateFile file) {
        return assembler.with(
                subject(file),
                () -> database.inTransaction(() -> {
                    if (rolls.roll(file.roll().id()).isEmpty()) {
                        rolls.add(FilmMapping.toStore(file.roll()));
                        FilmMapping.historyOf(file.roll()).ifPresent(rolls::put);
                    }
                    file.allFrames().stream()
                            .filter(f -> rolls.frame(f.id()).isEmpty())
                            .forEach(f -> {
                                rolls.add(FilmMapping.toStore(f, file.roll().id()));
                                FilmMapping.notesOf(f).ifPresent(rolls::put);
                            });
                    file.enlargers().stream()
                            .filter(e -> stores.enlarger(e.id()).isEmpty())
                            .forEach(e -> stores.add(FileEquipment.toStore(e)));
                    file.lenses().stream()
                            .filter(l -> stores.lens(l.id()).isEmpty())
                            .forEach(l -> stores.add(FileEquipment.toStore(l)));
                    file.papers().stream()
                            .filter(p -> stores.paper(p.id()).isEmpty())
                            .forEach(p -> stores.add(FileEquipment.toStore(p)));
                    Slate slate = FileMapping.toStore(file, SlateExporter.isPractice(file));
                    slates.add(slate);
                    inOrder(file.recipes()).forEach(r -> recipes.add(FileMapping.toStore(r, slate.id())));
                    file.sheets().forEach(s -> store(FileMapping.toStore(s, slate.id())));
                    file.decisions().forEach(d -> sheets.add(FileMapping.toStore(d, slate.id())));
                    return assembler.view(slate);
                }));
    }

    /** What the file's slate prints, as the file has it. */
    private static Subject subject(SlateFile file) {
        Roll roll = FilmMapping.toStore(file.roll());
        List<Frame> frames = file.allFrames().stream()
                .map(f -> FilmMapping.toStore(f, roll.id()))
                .toList();
        return file.frame() == null ? new Subject.Proof(roll, frames) : new Subject.Single(frames.get(0), roll);
    }

    private void store(FilePicture p, Checked checked) {
        try (InputStream in = Files.newInputStream(checked.file())) {
            pictures.add(
                    new Picture(
                            p.id(),
                            p.mediaType(),
                            p.encoding(),
                            p.widthPx(),
                            p.heightPx(),
                            Files.size(checked.file()),
                            p.profiled() == null || p.profiled(),
                            Boolean.TRUE.equals(p.negative()),
                            p.corners() == null ? null : Json.write(p.corners())),
                    in,
                    new PictureRepository.Working(checked.workingType(), checked.working()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A sheet that was under the lamp when it was saved is no more: nobody here can go on with it. */
    private void store(ExposedSheet e) {
        String now = Clocks.now(clock);
        Sheet sheet = e.sheet().isExposing()
                ? e.sheet().ended(Sheet.ABANDONED, now, "Saved while it was under the lamp.")
                : e.sheet();
        sheets.add(sheet, e.pieces(), e.steps());
        e.lamp().stream()
                .map(l -> l.isOn() ? l.ended(now, null, LampRecord.POWER_LOST) : l)
                .forEach(sheets::add);
        e.events().forEach(sheets::add);
        e.scans().forEach(sheets::add);
    }

    /** Each recipe after the one it follows; a circle is refused. */
    private static List<FileRecipe> inOrder(List<FileRecipe> all) {
        Map<String, FileRecipe> left = new LinkedHashMap<>();
        all.forEach(r -> left.put(r.id(), r));
        List<FileRecipe> order = new java.util.ArrayList<>();
        while (!left.isEmpty()) {
            List<FileRecipe> ready = left.values().stream()
                    .filter(r -> r.previousId() == null || !left.containsKey(r.previousId()))
                    .toList();
            if (ready.isEmpty()) {
                throw FileReader.damaged("its recipes follow each other in a circle");
            }
            ready.forEach(r -> {
                order.add(r);
                left.remove(r.id());
            });
        }
        return order;
    }
}
