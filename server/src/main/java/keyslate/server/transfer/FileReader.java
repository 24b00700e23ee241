package keyslate.server.transfer;

import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.RefusedException;
import keyslate.server.web.TemporaryFiles;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.exc.JacksonIOException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A slate file on its way in: read as a stream, the bytes of its pictures put aside in files one by one, the rest checked against the schema of
 * its version and turned into today's.
 */
final class FileReader implements AutoCloseable {
    private static final int MOST_ERRORS_TOLD = 5;
    private static final int OLD_VERSION = 1;
    /** What stands in the tree where bytes were put aside. */
    private static final String PUT_ASIDE = "";

    /** Values are read one by one, so what follows one is no mistake. */
    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    private final TemporaryFiles temporary;
    private final List<Path> aside = new ArrayList<>();
    private final Map<String, Path> files = new HashMap<>();
    private final Map<String, Path> workings = new HashMap<>();
    private SlateFile file;

    private FileReader(TemporaryFiles temporary) {
        this.temporary = temporary;
    }

    /**
     * Reads a file; close it to let go of the pictures.
     *
     * @throws RefusedException when it is damaged, foreign, or of a version that this program does not know
     */
    static FileReader read(InputStream in, TemporaryFiles temporary) {
        FileReader reader = new FileReader(temporary);
        try {
            reader.read(in);
            return reader;
        } catch (JacksonIOException e) {
            // The disk, or whoever sends it: nothing is known of the file.
            reader.close();
            throw new UncheckedIOException(e.getCause());
        } catch (JacksonException | IllegalArgumentException | NullPointerException e) {
            reader.close();
            throw damaged("it is not readable as a slate");
        } catch (RuntimeException e) {
            reader.close();
            throw e;
        }
    }

    SlateFile file() {
        return file;
    }

    /** The file of a picture, or null. */
    Path picture(String id) {
        return files.get(id);
    }

    /** The working copy of a picture, or null. */
    Path working(String id) {
        return workings.get(id);
    }

    private void read(InputStream in) {
        ObjectNode tree = JSON.createObjectNode();
        try (JsonParser parser = JSON.createParser(in)) {
            if (parser.nextToken() != JsonToken.START_OBJECT) {
                throw damaged("it is not a JSON object");
            }
            while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
                String name = parser.currentName();
                parser.nextToken();
                if (tree.has(name)) {
                    throw damaged("it says “" + name + "” twice");
                }
                tree.set(name, "pictures".equals(name) ? pictures(parser) : JSON.readTree(parser));
            }
            if (parser.nextToken() != null) {
                throw damaged("something follows after its end");
            }
        }
        int version = tree.path("formatVersion").asInt(0);
        if (!SlateFile.FORMAT.equals(tree.path("format").asString(""))
                || version < OLD_VERSION
                || version > SlateFile.VERSION) {
            throw damaged(
                    version > SlateFile.VERSION
                            ? "it is of version " + version + ", which a newer Key Slate has written"
                            : "its format is not named");
        }
        check(tree, version);
        ObjectNode today = version == OLD_VERSION ? OldFile.read(tree) : tree;
        today.get("pictures").forEach(p -> ((ObjectNode) p).remove(List.of("file", "working")));
        file = JSON.treeToValue(today, SlateFile.class);
    }

    /** The list of pictures, their bytes put aside. */
    private ArrayNode pictures(JsonParser parser) {
        ArrayNode list = JSON.createArrayNode();
        if (parser.currentToken() != JsonToken.START_ARRAY) {
            throw damaged("its pictures are no list");
        }
        while (parser.nextToken() != JsonToken.END_ARRAY) {
            if (parser.currentToken() != JsonToken.START_OBJECT) {
                throw damaged("a picture in it is none");
            }
            ObjectNode picture = JSON.createObjectNode();
            Map<String, Path> found = new HashMap<>();
            while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
                String name = parser.currentName();
                parser.nextToken();
                if ("file".equals(name) || "working".equals(name)) {
                    found.put(name, putAside(parser));
                    picture.put(name, PUT_ASIDE);
                } else {
                    picture.set(name, JSON.readTree(parser));
                }
            }
            String id = picture.has("picture")
                    ? picture.get("picture").path("id").asString("")
                    : picture.path("id").asString("");
            files.put(id, found.get("file"));
            workings.put(id, found.get("working"));
            list.add(picture);
        }
        return list;
    }

    private Path putAside(JsonParser parser) {
        Path to = temporary.empty();
        aside.add(to);
        try (OutputStream out = Files.newOutputStream(to)) {
            parser.readBinaryValue(out);
            return to;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void check(ObjectNode tree, int version) {
        Schema schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(new String(schema(version), StandardCharsets.UTF_8), InputFormat.JSON);
        List<FieldErrors.FieldError> told = new ArrayList<>();
        for (Error error : schema.validate(tree.toString(), InputFormat.JSON)) {
            if (told.size() < MOST_ERRORS_TOLD) {
                told.add(new FieldErrors.FieldError(
                        error.getInstanceLocation().toString(), "E_SHAPE", error.getMessage()));
            }
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

    /** The published JSON Schema of a version. */
    static byte[] schema(int version) {
        try (InputStream in = FileReader.class.getResourceAsStream("/schema/slate-" + version + ".schema.json")) {
            return Objects.requireNonNull(in).readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static RefusedException damaged(String how) {
        return RefusedException.of(
                "/file",
                "E_SHAPE",
                String.format(
                        Locale.ROOT, "This is not a Key Slate file, or it is damaged: %s. Nothing was taken in.", how));
    }

    @Override
    public void close() {
        aside.forEach(path -> {
            try {
                Files.deleteIfExists(path);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }
}
