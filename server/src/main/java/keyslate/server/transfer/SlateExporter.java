package keyslate.server.transfer;

import java.io.OutputStream;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import keyslate.server.subject.Subject;
import keyslate.server.subject.Subjects;
import keyslate.server.transfer.SlateFile.FileFrame;
import keyslate.server.transfer.SlateFile.FilePicture;
import keyslate.server.web.NotFoundException;
import keyslate.store.Database;
import keyslate.store.bench.StoresRepository;
import keyslate.store.json.Json;
import keyslate.store.negative.Frame;
import keyslate.store.negative.Picture;
import keyslate.store.negative.PictureRepository;
import keyslate.store.negative.Roll;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.ExposedSheet;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.Scan;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateRepository;
import org.springframework.stereotype.Service;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.util.DefaultPrettyPrinter;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Slates out to a file without loss, as a stream: ids stay, so that a slate is never taken in twice. */
@Service
class SlateExporter {
    private static final int UNKNOWN_LENGTH = -1;

    private final Database database;
    private final SlateRepository slates;
    private final RecipeRepository recipes;
    private final SheetRepository sheets;
    private final RollRepository rolls;
    private final Subjects subjects;
    private final PictureRepository pictures;
    private final StoresRepository stores;
    private final JsonMapper json;

    SlateExporter(
            Database database,
            SlateRepository slates,
            RecipeRepository recipes,
            SheetRepository sheets,
            RollRepository rolls,
            Subjects subjects,
            PictureRepository pictures,
            StoresRepository stores,
            JsonMapper json) {
        this.database = database;
        this.slates = slates;
        this.recipes = recipes;
        this.sheets = sheets;
        this.rolls = rolls;
        this.subjects = subjects;
        this.pictures = pictures;
        this.stores = stores;
        this.json = json;
    }

    /** A slate as a file, but for the bytes of its pictures. */
    SlateFile export(String slateId) {
        return database.inSnapshot(() -> exportNow(slateId));
    }

    private SlateFile exportNow(String slateId) {
        Slate slate = slates.find(slateId).orElseThrow(NotFoundException.of("slate"));
        Subject subject = subjects.of(slate);
        Roll roll = subject.roll();
        List<Recipe> all = recipes.of(slateId);
        List<ExposedSheet> cord = sheets.cord(slateId);
        Set<String> shown = new LinkedHashSet<>();
        subject.pictureIds().stream().filter(Objects::nonNull).forEach(shown::add);
        cord.forEach(e -> e.scans().forEach(s -> shown.add(s.pictureId())));
        return new SlateFile(
                SlateFile.FORMAT,
                SlateFile.VERSION,
                FilmMapping.toFile(roll, rolls.history(roll.id())),
                subject instanceof Subject.Single single ? file(single.frame()) : null,
                subject instanceof Subject.Proof proof
                        ? proof.frames().stream().map(this::file).toList()
                        : null,
                named(
                        all,
                        r -> r.setup().enlargerId(),
                        id -> stores.enlarger(id).map(FileEquipment::toFile)),
                named(all, r -> r.setup().lensId(), id -> stores.lens(id).map(FileEquipment::toFile)),
                named(all, r -> r.setup().paperId(), id -> stores.paper(id).map(FileEquipment::toFile)),
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

    private FileFrame file(Frame frame) {
        return FilmMapping.toFile(frame, rolls.notes(frame.id()));
    }

    private FilePicture described(Picture p) {
        String working = pictures.working(p.id()).orElseThrow().mediaType();
        return new FilePicture(
                p.id(),
                p.mediaType(),
                p.encoding(),
                p.widthPx(),
                p.heightPx(),
                working,
                p.profiled(),
                p.negative(),
                p.corners() == null ? null : Json.numbers(p.corners()));
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
                out.writeBinary(pictures.open(picture.id()), UNKNOWN_LENGTH);
                out.writeName("working");
                out.writeBinary(pictures.working(picture.id()).orElseThrow().bytes());
                out.writeEndObject();
            }
            out.writeEndArray();
            out.writeEndObject();
        }
    }

    /** Whether anything in a file comes from the practice darkroom. */
    static boolean isPractice(SlateFile file) {
        return Boolean.TRUE.equals(file.slate().practice())
                || file.sheets().stream()
                        .flatMap(s -> s.scans().stream())
                        .anyMatch(s -> Scan.SIMULATED.equals(s.source()));
    }

    /** For a file's name: the title of what stands, and whether any scan in it is of simulated paper. */
    static String nameOf(SlateFile file) {
        return Objects.requireNonNull(file.title())
                        .toLowerCase(java.util.Locale.ROOT)
                        .replaceAll("[^a-z0-9]+", "-")
                + (isPractice(file) ? ".practice" : "") + ".slate.json";
    }
}
