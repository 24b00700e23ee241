package keyslate.server;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.PathItem;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.responses.ApiResponse;
import io.swagger.v3.oas.models.tags.Tag;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.server.calculation.CalculationPages;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Texts, ranges, examples and error answers of the API's description: the words of a field stand in {@code
 * api/fields.tsv} unless its record's Javadoc says them, ranges follow from the quantity a field's name ends in.
 */
final class ApiTexts {
    private static final String PROBLEM = "Problem";
    private static final String FIELD_ERROR = "FieldError";
    private static final JsonMapper JSON = JsonMapper.shared();

    private static final Map<String, String> TAGS = tags();

    private static Map<String, String> tags() {
        Map<String, String> tags = new LinkedHashMap<>();
        tags.put("Bench", "what is on the bench");
        tags.put("Stores", "enlargers, lenses, papers");
        tags.put("Rolls", "rolls and their frames");
        tags.put("Frames", "pictures of frames");
        tags.put("Slates", "one picture on its way: recipe, edits, previews, export");
        tags.put("Sheets", "paper under the lamp and after it: light, events, scans, decisions");
        tags.put("Pictures", "pictures of sheets");
        tags.put("Imports", "slate files in");
        tags.put("Schemas", "schemas of slate files");
        tags.put("Calculations", "the craft's arithmetic, stateless; examples in docs/calculations.md");
        tags.put("Openapi", "this description");
        tags.put("Reference", "this description, to read");
        return tags;
    }

    private final Map<String, String> words = new LinkedHashMap<>();
    private final JsonNode requests;

    ApiTexts() {
        for (String line : text("api/fields.tsv").lines().toList()) {
            String[] parts = line.split("\t");
            words.put(parts[0], parts[1]);
        }
        requests = JSON.readTree(text("api/requests.json"));
    }

    void addTo(OpenAPI api) {
        problems(api);
        api.getComponents().getSchemas().forEach(this::describe);
        api.getPaths().forEach((path, item) -> operations(path, item));
        api.setTags(TAGS.entrySet().stream()
                .map(t -> new Tag().name(t.getKey()).description(t.getValue()))
                .toList());
        examples(api);
    }

    private void describe(String name, Schema<?> schema) {
        if (schema.getProperties() == null) {
            return;
        }
        boolean asked = name.endsWith("Request");
        if (name.endsWith("Answer") && schema.getProperties().containsKey("formulas")) {
            schema.addProperty("understood", new ObjectSchema());
            schema.addProperty("notes", new ArraySchema().items(new StringSchema()));
            schema.addRequiredItem("understood");
            schema.addRequiredItem("notes");
        }
        schema.getProperties().forEach((field, property) -> {
            if (property.getDescription() == null && property.get$ref() == null && words.containsKey(field)) {
                property.setDescription(words.get(field));
            } else if (property.get$ref() != null && words.containsKey(field)) {
                // In OpenAPI 3.1 words may stand beside a reference.
                property.setDescription(words.get(field));
            }
            if (asked && "number".equals(typeOf(property))) {
                range(field, property);
            }
        });
    }

    private static String typeOf(Schema<?> property) {
        if (property.getType() != null) {
            return property.getType();
        }
        return property.getTypes() == null || property.getTypes().isEmpty()
                ? ""
                : property.getTypes().iterator().next();
    }

    /** Fields that look like a quantity and may be more: a test asks each field for what lies beyond its range. */
    private static final Set<String> UNBOUNDED = Set.of(
            "strengthPoints",
            "longestSeconds",
            "lengthMm",
            "emergenceSeconds",
            "afterglowSeconds",
            "riseSeconds",
            "fromSeconds",
            "setSeconds");

    /** What the quantity behind a name allows; a field that allows less says so when it is asked. */
    private static void range(String field, Schema<?> property) {
        if (UNBOUNDED.contains(field)) {
            return;
        }
        if (field.endsWith("Stops")) {
            between(property, -30, 30);
        } else if (field.endsWith("FNumber")) {
            between(property, 0.5, 512);
        } else if (field.endsWith("Magnification") || "magnification".equals(field)) {
            between(property, 0.01, 200);
        } else if (field.endsWith("Grade") || "grade".equals(field)) {
            between(property, -1, 5);
        } else if (field.equals("seconds") || field.endsWith("Seconds") && !field.startsWith("change")) {
            between(property, 0, ExposureTime.LONGEST_SECONDS);
        } else if (field.endsWith("Mm")) {
            between(property, 0, 100_000);
        } else if (field.endsWith("Points")) {
            between(property, -FilterPack.MOST, FilterPack.MOST);
        }
    }

    private static void between(Schema<?> property, double low, double high) {
        property.setMinimum(BigDecimal.valueOf(low).stripTrailingZeros());
        property.setMaximum(
                new BigDecimal(BigDecimal.valueOf(high).stripTrailingZeros().toPlainString()));
    }

    private static void problems(OpenAPI api) {
        ObjectSchema error = new ObjectSchema();
        error.setDescription("A field that is wrong.");
        error.addProperty("pointer", said(new StringSchema(), "JSON pointer of the field; empty = the whole request"));
        error.addProperty(
                "code", said(new StringSchema(), "E_NAN, E_NONPOS, E_NEG, E_RANGE, E_SHAPE, E_INFEASIBLE or E_TYPE"));
        error.addProperty("message", said(new StringSchema(), "what is wrong, in a sentence"));
        ObjectSchema problem = new ObjectSchema();
        problem.setDescription("Why a request was refused (RFC 9457). Nothing was changed.");
        problem.addProperty("type", said(new StringSchema(), "urn:key-slate:problem: and the code"));
        problem.addProperty("title", said(new StringSchema(), "in a few words"));
        problem.addProperty("status", said(new Schema<Integer>().type("integer"), "the status of the answer"));
        problem.addProperty("code", said(new StringSchema(), "a word for programs, such as changed-meanwhile"));
        problem.addProperty("detail", said(new StringSchema(), "what is wrong and how to mend it"));
        problem.addProperty("instance", said(new StringSchema(), "the address that was asked"));
        problem.addProperty(
                "errors",
                said(
                        new ArraySchema().items(new Schema<>().$ref("#/components/schemas/" + FIELD_ERROR)),
                        "every field that is wrong"));
        api.getComponents().addSchemas(FIELD_ERROR, error);
        api.getComponents().addSchemas(PROBLEM, problem);
    }

    private static Schema<?> said(Schema<?> schema, String words) {
        schema.setDescription(words);
        return schema;
    }

    private void operations(String path, PathItem item) {
        item.readOperationsMap().forEach((method, operation) -> {
            String description = operation.getDescription();
            if (operation.getSummary() == null && description != null) {
                operation.setSummary(description.strip().replaceFirst("\\.$", ""));
                operation.setDescription(null);
            }
            operation.setTags(List.of(tag(path)));
            if (operation.getParameters() != null) {
                operation.getParameters().forEach(p -> p.setDescription(words.get("?" + p.getName())));
            }
            boolean body = operation.getRequestBody() != null;
            if (body) {
                refusal(operation, "400", "What was sent is not the JSON or the form that belongs here.");
                refusal(operation, "422", "A field is missing or wrong; each is named by its pointer.");
            }
            if (path.contains("{")) {
                refusal(operation, "404", "There is nothing with this id.");
            }
            boolean writes = method != PathItem.HttpMethod.GET && !path.contains("calculations");
            if (writes) {
                if (!path.endsWith("/proposal") && !path.endsWith("/rolls")) {
                    refusal(
                            operation,
                            "409",
                            "Something else came first, or it is not the time for it; code says which.");
                }
                refusal(operation, "507", "The disk is full or may not be written; nothing was changed.");
            }
            boolean file = body && !operation.getRequestBody().getContent().containsKey("application/json")
                    || path.endsWith("/imports");
            if (file) {
                refusal(operation, "413", "The file is larger than is taken in.");
            }
            JsonNode example = requests.get(method + " " + path);
            if (body && example != null) {
                each(operation.getRequestBody().getContent(), type -> type.setExample(example(example)));
            }
        });
    }

    private static String tag(String path) {
        String[] parts = path.split("/");
        String thing = parts[2].replaceFirst("-.*|\\..*", "");
        return thing.substring(0, 1).toUpperCase(Locale.ROOT) + thing.substring(1);
    }

    private static void refusal(Operation operation, String status, String words) {
        operation
                .getResponses()
                .addApiResponse(
                        status,
                        new ApiResponse()
                                .description(words)
                                .content(new Content()
                                        .addMediaType(
                                                "application/problem+json",
                                                new MediaType()
                                                        .schema(new Schema<>()
                                                                .$ref("#/components/schemas/" + PROBLEM)))));
    }

    /** The examples of docs/calculations.md, which are run as tests. */
    private static void examples(OpenAPI api) {
        CalculationPages.each((path, request, answer) -> {
            PathItem item = api.getPaths().get(path);
            if (item != null) {
                each(item.getPost().getRequestBody().getContent(), t -> t.setExample(example(JSON.readTree(request))));
                each(item.getPost().getResponses().get("200").getContent(), t -> t.setExample(example(answer)));
            }
        });
    }

    /** As plain maps and lists, which the writer of the description understands. */
    private static Object example(JsonNode node) {
        return JSON.treeToValue(node, Object.class);
    }

    private static void each(Content content, Consumer<MediaType> change) {
        content.values().forEach(change);
    }

    private static String text(String resource) {
        try (InputStream in = ApiTexts.class.getClassLoader().getResourceAsStream(resource)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
