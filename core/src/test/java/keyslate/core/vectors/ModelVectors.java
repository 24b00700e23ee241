package keyslate.core.vectors;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.stream.StreamSupport;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Reads the model's test table. */
final class ModelVectors {
    /** One row: a function, its arguments, and what must come out or which error. */
    record Row(String id, String function, JsonNode args, JsonNode expect, String error, double abs, double rel) {
        @Override
        public String toString() {
            return id + " " + function + args;
        }

        double number(int i) {
            return toNumber(args.get(i));
        }

        double number(int i, double otherwise) {
            return i < args.size() ? number(i) : otherwise;
        }

        double[] numbers(int i) {
            return StreamSupport.stream(args.get(i).spliterator(), false)
                    .mapToDouble(ModelVectors::toNumber)
                    .toArray();
        }

        boolean close(double found, double expected) {
            return Math.abs(found - expected) <= abs + rel * Math.abs(expected);
        }
    }

    private ModelVectors() {}

    static double toNumber(JsonNode node) {
        if (node.isString()) {
            return Double.parseDouble(node.asString());
        }
        return node.isNumber() ? node.asDouble() : Double.NaN;
    }

    static List<Row> all() {
        try (InputStream in = ModelVectors.class.getResourceAsStream("/vectors/vectors.json")) {
            JsonNode root = JsonMapper.shared().readTree(in);
            return StreamSupport.stream(root.get("vectors").spliterator(), false)
                    .map(ModelVectors::row)
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Row row(JsonNode v) {
        JsonNode tol = v.path("tol");
        return new Row(
                v.get("id").asString(),
                v.get("fn").asString(),
                v.get("args"),
                v.path("expect"),
                v.path("error").asString(""),
                tol.path("abs").asDouble(1e-9),
                tol.path("rel").asDouble(1e-9));
    }
}
