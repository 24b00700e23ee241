package keyslate.server.transfer;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.Phase;
import keyslate.server.Clocks;
import keyslate.server.medium.Media;
import keyslate.server.negative.PictureFiles;
import keyslate.server.sheet.SheetKinds;
import keyslate.server.slate.SlateAssembler;
import keyslate.server.slate.SlateViews.SlateView;
import keyslate.server.transfer.SlateFile.FileDecision;
import keyslate.server.transfer.SlateFile.FilePaper;
import keyslate.server.transfer.SlateFile.FilePicture;
import keyslate.server.transfer.SlateFile.FileRecipe;
import keyslate.server.transfer.SlateFile.FileSheet;
import keyslate.server.web.ConflictException;
import keyslate.server.web.NotFoundException;
import keyslate.server.web.RefusedException;
import keyslate.server.web.TemporaryFiles;
import keyslate.server.web.Texts;
import keyslate.store.Database;
import keyslate.store.bench.StoresRepository;
import keyslate.store.negative.Frame;
import keyslate.store.negative.Picture;
import keyslate.store.negative.PictureRepository;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.ExposedSheet;
import keyslate.store.slate.LampRecord;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.Scan;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateRepository;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.util.DefaultPrettyPrinter;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Slates out to a file and in again without loss, as streams: ids stay, so that a slate is never taken in twice. A file is checked whole, its
 * pictures decoded and its view built, before any of it is stored for good.
 */
@Service
class TransferService {
    private final Database database;
    private final SlateRepository slates;
    private final RecipeRepository recipes;
    private final SheetRepository sheets;
    private final RollRepository rolls;
    private final PictureRepository pictures;
    private final StoresRepository stores;
    private final SlateAssembler assembler;
    private final SheetKinds kinds;
    private final Media media;
    private final TemporaryFiles temporary;
    private final Clock clock;
    private final JsonMapper json;

    TransferService(
            Database database,
            SlateRepository slates,
            RecipeRepository recipes,
            SheetRepository sheets,
            RollRepository rolls,
            PictureRepository pictures,
            StoresRepository stores,
            SlateAssembler assembler,
            SheetKinds kinds,
            Media media,
            TemporaryFiles temporary,
            Clock clock,
            JsonMapper json) {
        this.database = database;
        this.slates = slates;
        this.recipes = recipes;
        this.sheets = sheets;
        this.rolls = rolls;
        this.pictures = pictures;
        this.stores = stores;
        this.assembler = assembler;
        this.kinds = kinds;
        this.media = media;
        this.temporary = temporary;
        this.clock = clock;
        this.json = json;
    }

    /** A slate as a file, but for the bytes of its pictures. */
    SlateFile export(String slateId) {
        return database.inSnapshot(() -> exportNow(slateId));
    }

    private SlateFile exportNow(String slateId) {
        Slate slate = slates.find(slateId).orElseThrow(NotFoundException.of("slate"));
        Frame frame = rolls.frame(slate.frameId()).orElseThrow();
        List<Recipe> all = recipes.of(slateId);
        List<ExposedSheet> cord = sheets.cord(slateId);
        Set<String> shown = new LinkedHashSet<>();
        Optional.ofNullable(frame.pictureId()).ifPresent(shown::add);
        cord.forEach(e -> e.scans().forEach(s -> shown.add(s.pictureId())));
        return new SlateFile(
                SlateFile.FORMAT,
                SlateFile.VERSION,
                FileMapping.toFile(rolls.roll(frame.rollId()).orElseThrow()),
                FileMapping.toFile(frame),
                named(
                        all,
                        r -> r.setup().enlargerId(),
                        id -> stores.enlarger(id).map(FileMapping::toFile)),
                named(all, r -> r.setup().lensId(), id -> stores.lens(id).map(FileMapping::toFile)),
                named(all, r -> r.setup().paperId(), id -> stores.paper(id).map(FileMapping::toFile)),
                FileMapping.toFile(slate),
                all.stream().map(FileMapping::toFile).toList(),
                cord.stream().map(FileMapping::toFile).toList(),
                cord.stream()
                        .flatMap(e -> e.decisions().stream())
                        .map(FileMapping::toFile)
                        .toList(),
                shown.stream()
                        .map(id -> pictures.find(id).orElseThrow())
                        .map(this::described)
                        .toList());
    }

    private FilePicture described(Picture p) {
        String working = pictures.working(p.id()).orElseThrow().mediaType();
        return new FilePicture(p.id(), p.mediaType(), p.encoding(), p.widthPx(), p.heightPx(), working);
    }

    private static <T> List<T> named(
            List<Recipe> recipes, Function<Recipe, String> id, Function<String, Optional<T>> find) {
        return recipes.stream()
                .map(id)
                .distinct()
                .map(find)
                .flatMap(Optional::stream)
                .toList();
    }

    /** Writes a file, the pictures one after another. */
    void write(SlateFile file, OutputStream to) {
        ObjectNode tree = json.valueToTree(file);
        tree.remove("pictures");
        try (JsonGenerator out = json.writer().with(new DefaultPrettyPrinter()).createGenerator(to)) {
            out.writeStartObject();
            tree.properties().forEach(p -> {
                out.writeName(p.getKey());
                out.writeTree(p.getValue());
            });
            out.writeArrayPropertyStart("pictures");
            for (FilePicture picture : file.pictures()) {
                out.writeStartObject();
                ((ObjectNode) json.valueToTree(picture)).properties().forEach(p -> {
                    out.writeName(p.getKey());
                    out.writeTree(p.getValue());
                });
                out.writeName("file");
                writeFile(out, picture.id());
                out.writeName("working");
                out.writeBinary(pictures.working(picture.id()).orElseThrow().bytes());
                out.writeEndObject();
            }
            out.writeEndArray();
            out.writeEndObject();
        }
    }

    private void writeFile(JsonGenerator out, String pictureId) {
        Path file = temporary.empty();
        try {
            try (OutputStream copy = Files.newOutputStream(file)) {
                pictures.copy(pictureId, copy);
            }
            try (InputStream in = Files.newInputStream(file)) {
                out.writeBinary(in, (int) Files.size(file));
            } finally {
                Files.deleteIfExists(file);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Takes a file in, all or nothing; refuses what is damaged, foreign or already here. */
    SlateView take(InputStream in) {
        try (FileReader reader = FileReader.read(in, temporary)) {
            SlateFile file = reader.file();
            if (slates.find(file.slate().id()).isPresent()) {
                throw new ConflictException(
                        "already-here", "“" + titleOf(file) + "” is already in this data folder. Nothing was changed.");
            }
            try {
                checkReferences(file);
                return store(file, reader, pictures(file, reader));
            } catch (ConflictException | RefusedException e) {
                throw e;
            } catch (DataIntegrityViolationException | IllegalArgumentException | NullPointerException e) {
                throw FileReader.damaged("its parts do not fit together");
            }
        }
    }

    private static String titleOf(SlateFile file) {
        return file.recipes().stream()
                .filter(r -> r.id().equals(file.slate().recipeId()))
                .findFirst()
                .orElseThrow(() -> FileReader.damaged("its standing recipe is missing"))
                .title();
    }

    /** Whatever the file points at must be in the file, and whatever is new in it must be new here. */
    private void checkReferences(SlateFile file) {
        Set<String> recipeIds =
                unique(file.recipes().stream().map(FileRecipe::id).toList());
        Set<String> sheetIds = unique(file.sheets().stream().map(FileSheet::id).toList());
        unique(file.decisions().stream().map(FileDecision::id).toList());
        Set<String> pictureIds =
                unique(file.pictures().stream().map(FilePicture::id).toList());
        within(recipeIds, file.slate().recipeId());
        within(recipeIds, file.slate().redoId());
        within(sheetIds, file.slate().acceptedSheetId());
        within(pictureIds, file.frame().pictureId());
        file.recipes().forEach(r -> within(recipeIds, r.previousId()));
        file.recipes().forEach(r -> checkTexts(r.title(), r.intent()));
        file.decisions().forEach(d -> within(sheetIds, d.sheetId()));
        for (FileSheet sheet : file.sheets()) {
            within(recipeIds, sheet.recipeId());
            sheet.scans().forEach(s -> within(pictureIds, s.pictureId()));
            if (!kinds.knows(sheet.kind())) {
                throw FileReader.damaged("it has a sheet of a kind that this program does not know");
            }
            checkScript(file, sheet);
        }
        boolean known = file.papers().stream().map(FilePaper::kind).allMatch(media::knows)
                && media.knows(file.roll().kind());
        if (!known) {
            throw FileReader.damaged("it has a kind of paper that this program does not know");
        }
        boolean taken = recipeIds.stream().anyMatch(id -> recipes.find(id).isPresent())
                || sheetIds.stream().anyMatch(id -> sheets.find(id).isPresent());
        if (taken) {
            throw FileReader.damaged("parts of it belong to another slate that is here");
        }
    }

    /** A script has steps in order, one lamp record at least for what was given, and areas that its recipe knows. */
    private static void checkScript(SlateFile file, FileSheet sheet) {
        FileRecipe recipe = file.recipes().stream()
                .filter(r -> r.id().equals(sheet.recipeId()))
                .findFirst()
                .orElseThrow();
        Set<String> areas = recipe.areas().stream().map(SlateFile.FileArea::key).collect(Collectors.toSet());
        if (sheet.steps().isEmpty() || sheet.pieces().isEmpty()) {
            throw FileReader.damaged("it has a sheet without a script");
        }
        ExposedSheet exposed = FileMapping.toStore(sheet, "");
        int place = 1;
        for (ExposureStep step : exposed.steps()) {
            boolean inOrder = step.place() == place++;
            boolean knows = areas.containsAll(step.held())
                    && step.burned().map(areas::contains).orElse(true);
            boolean lies = step.phases().stream()
                    .map(Phase::uncovered)
                    .flatMap(Optional::stream)
                    .allMatch(p -> p.left() >= -1e-9
                            && p.top() >= -1e-9
                            && p.left() + p.width() <= 1 + 1e-9
                            && p.top() + p.height() <= 1 + 1e-9);
            if (!inOrder || !knows || !lies) {
                throw FileReader.damaged("the script of a sheet in it cannot be");
            }
        }
        int steps = sheet.steps().size();
        if (sheet.lamp().stream().anyMatch(l -> l.step() < 1 || l.step() > steps)) {
            throw FileReader.damaged("its lamp was on for a step that is not there");
        }
    }

    private static void checkTexts(String... texts) {
        for (String text : texts) {
            if (text.codePoints().anyMatch(Texts::isHidden)) {
                throw FileReader.damaged("it holds characters that cannot be seen");
            }
        }
    }

    private static Set<String> unique(List<String> ids) {
        Set<String> found = new HashSet<>(ids);
        if (found.size() < ids.size() || found.contains("")) {
            throw FileReader.damaged("two of its parts have one name");
        }
        return found;
    }

    private static void within(Set<String> ids, String id) {
        if (id != null && !ids.contains(id)) {
            throw FileReader.damaged("it points at something that is not in it");
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
                    : PictureFiles.workingCopy(original);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private SlateView store(SlateFile file, FileReader reader, Map<String, Checked> checked) {
        Frame frame = FileMapping.toStore(file.frame(), file.roll().id());
        // Pictures first and by themselves, so that the negative can be decoded before the slate's own transaction.
        database.inTransaction(() -> file.pictures().stream()
                .filter(p -> pictures.find(p.id()).isEmpty())
                .forEach(p -> store(p, checked.get(p.id()))));
        return assembler.with(
                frame,
                () -> database.inTransaction(() -> {
                    if (rolls.roll(file.roll().id()).isEmpty()) {
                        rolls.add(FileMapping.toStore(file.roll()));
                    }
                    if (rolls.frame(frame.id()).isEmpty()) {
                        rolls.add(frame);
                    }
                    file.enlargers().stream()
                            .filter(e -> stores.enlarger(e.id()).isEmpty())
                            .forEach(e -> stores.add(FileMapping.toStore(e)));
                    file.lenses().stream()
                            .filter(l -> stores.lens(l.id()).isEmpty())
                            .forEach(l -> stores.add(FileMapping.toStore(l)));
                    file.papers().stream()
                            .filter(p -> stores.paper(p.id()).isEmpty())
                            .forEach(p -> stores.add(FileMapping.toStore(p)));
                    Slate slate = FileMapping.toStore(file.slate(), frame.id());
                    slates.add(slate);
                    inOrder(file.recipes()).forEach(r -> recipes.add(FileMapping.toStore(r, slate.id())));
                    file.sheets().forEach(s -> store(FileMapping.toStore(s, slate.id())));
                    file.decisions().forEach(d -> sheets.add(FileMapping.toStore(d, slate.id())));
                    return assembler.view(slate);
                }));
    }

    private void store(FilePicture p, Checked checked) {
        try (InputStream in = Files.newInputStream(checked.file())) {
            pictures.add(
                    new Picture(
                            p.id(), p.mediaType(), p.encoding(), p.widthPx(), p.heightPx(), Files.size(checked.file())),
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

    private static boolean isPractice(SlateFile file) {
        return file.sheets().stream().flatMap(s -> s.scans().stream()).anyMatch(s -> Scan.SIMULATED.equals(s.source()));
    }

    /** For a file's name: the title of what stands, and whether any scan in it is of simulated paper. */
    static String nameOf(SlateFile file) {
        return Objects.requireNonNull(titleOf(file))
                        .toLowerCase(java.util.Locale.ROOT)
                        .replaceAll("[^a-z0-9]+", "-")
                + (isPractice(file) ? ".practice" : "") + ".slate.json";
    }
}
