package keyslate.server.transfer;

import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import keyslate.server.local.Shapes;
import keyslate.server.transfer.SlateFile.ExposedSheet;
import keyslate.server.transfer.SlateFile.StoredPicture;
import keyslate.server.web.ConflictException;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.NotFoundException;
import keyslate.server.web.RefusedException;
import keyslate.store.Database;
import keyslate.store.bench.StoresRepository;
import keyslate.store.negative.Frame;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateRepository;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Slates out to a file and in again without loss: ids stay, so that a slate is never taken in twice. */
@Service
public class TransferService {
    private static final int MOST_ERRORS_TOLD = 5;

    private final Database database;
    private final SlateRepository slates;
    private final SheetRepository sheets;
    private final RollRepository rolls;
    private final StoresRepository stores;
    private final JsonMapper json;

    TransferService(
            Database database,
            SlateRepository slates,
            SheetRepository sheets,
            RollRepository rolls,
            StoresRepository stores,
            JsonMapper json) {
        this.database = database;
        this.slates = slates;
        this.sheets = sheets;
        this.rolls = rolls;
        this.stores = stores;
        this.json = json;
    }

    /** The published JSON Schema. */
    public static byte[] schema() {
        try (InputStream in = TransferService.class.getResourceAsStream("/schema/slate-1.schema.json")) {
            return Objects.requireNonNull(in).readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A slate as a file. */
    public SlateFile export(String slateId) {
        Slate slate = slates.find(slateId).orElseThrow(NotFoundException.of("slate"));
        Frame frame = rolls.frame(slate.frameId()).orElseThrow();
        List<Recipe> recipes = slates.recipesOf(slateId);
        List<ExposedSheet> exposed = sheets.of(slateId).stream()
                .map(s -> new ExposedSheet(s, sheets.burstsOf(s.id()), sheets.lampOf(s.id())))
                .toList();
        Set<String> pictures = new LinkedHashSet<>();
        Optional.ofNullable(frame.pictureId()).ifPresent(pictures::add);
        exposed.stream()
                .map(e -> e.sheet().pictureId())
                .filter(Objects::nonNull)
                .forEach(pictures::add);
        return new SlateFile(
                SlateFile.FORMAT,
                SlateFile.VERSION,
                rolls.roll(frame.rollId()).orElseThrow(),
                frame,
                named(recipes, r -> r.setup().enlargerId(), stores::enlarger),
                named(recipes, r -> r.setup().lensId(), stores::lens),
                named(recipes, r -> r.setup().paperId(), stores::paper),
                slate,
                recipes,
                exposed,
                sheets.decisionsOf(slateId),
                pictures.stream()
                        .map(id -> new StoredPicture(
                                rolls.picture(id).orElseThrow(),
                                rolls.pictureBytes(id).orElseThrow()))
                        .toList());
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

    /** Takes a file in, all or nothing; refuses what is damaged, foreign or already here. */
    public Slate take(byte[] file) {
        String text = new String(file, StandardCharsets.UTF_8);
        check(text);
        SlateFile in;
        try {
            in = json.readValue(text, SlateFile.class);
            in.recipes().forEach(r -> r.areas().forEach(a -> Shapes.toCore(Shapes.fromJson(a.shape()))));
        } catch (JacksonException | IllegalArgumentException e) {
            throw damaged("its contents do not fit together");
        }
        if (slates.find(in.slate().id()).isPresent()) {
            throw new ConflictException(
                    "already-here",
                    "“" + standing(in).title() + "” is already in this data folder. Nothing was changed.");
        }
        try {
            database.inTransaction(() -> store(in));
        } catch (DataIntegrityViolationException e) {
            throw damaged("its parts do not refer to each other as they should");
        }
        return slates.find(in.slate().id()).orElseThrow();
    }

    private static Recipe standing(SlateFile in) {
        return in.recipes().stream()
                .filter(r -> r.id().equals(in.slate().recipeId()))
                .findFirst()
                .orElseThrow(() -> damaged("its standing recipe is missing"));
    }

    private void store(SlateFile in) {
        in.pictures().stream()
                .filter(p -> rolls.picture(p.picture().id()).isEmpty())
                .forEach(p -> rolls.add(p.picture(), p.file()));
        if (rolls.roll(in.roll().id()).isEmpty()) {
            rolls.add(in.roll());
        }
        if (rolls.frame(in.frame().id()).isEmpty()) {
            rolls.add(in.frame());
        }
        in.enlargers().stream().filter(e -> stores.enlarger(e.id()).isEmpty()).forEach(stores::add);
        in.lenses().stream().filter(l -> stores.lens(l.id()).isEmpty()).forEach(stores::add);
        in.papers().stream().filter(p -> stores.paper(p.id()).isEmpty()).forEach(stores::add);
        slates.add(in.slate());
        in.recipes().forEach(slates::add);
        for (ExposedSheet e : in.sheets()) {
            Sheet sheet = e.sheet();
            sheets.add(sheet);
            e.script().forEach(sheets::add);
            e.lamp().forEach(sheets::add);
        }
        in.decisions().forEach(sheets::add);
    }

    private void check(String text) {
        List<FieldErrors.FieldError> told = new ArrayList<>();
        try {
            Schema schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                    .getSchema(new String(schema(), StandardCharsets.UTF_8), InputFormat.JSON);
            for (Error error : schema.validate(text, InputFormat.JSON)) {
                if (told.size() < MOST_ERRORS_TOLD) {
                    told.add(new FieldErrors.FieldError(
                            error.getInstanceLocation().toString(), "E_SHAPE", error.getMessage()));
                }
            }
        } catch (RuntimeException e) {
            throw damaged("it is not readable as JSON");
        }
        if (!told.isEmpty()) {
            String where =
                    told.get(0).pointer().isEmpty() ? "" : " at " + told.get(0).pointer();
            told.add(
                    0,
                    new FieldErrors.FieldError(
                            "/file",
                            "E_SHAPE",
                            "This is not a Key Slate file, or it is damaged" + where + ". Nothing was taken in."));
            throw new RefusedException(told);
        }
    }

    private static RefusedException damaged(String how) {
        return RefusedException.of(
                "/file",
                "E_SHAPE",
                String.format(
                        Locale.ROOT, "This is not a Key Slate file, or it is damaged: %s. Nothing was taken in.", how));
    }
}
