package keyslate.server.attack;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Things nobody should send. */
final class Wild {
    private static final JsonNodeFactory MAKE = JsonNodeFactory.instance;
    private static final int LONG = 1_000_000;
    private static final int DEEP = 5_000;

    private final Random random;

    Wild(Random random) {
        this.random = random;
    }

    /** A body in which one thing is other than it was; the body itself stays. */
    JsonNode changed(JsonNode body) {
        JsonNode copy = body.deepCopy();
        List<Runnable> changes = new ArrayList<>();
        collect(copy, changes);
        if (changes.isEmpty()) {
            return value();
        }
        changes.get(random.nextInt(changes.size())).run();
        return copy;
    }

    private void collect(JsonNode node, List<Runnable> changes) {
        if (node instanceof ObjectNode object) {
            for (String name : List.copyOf(object.propertyNames())) {
                JsonNode now = object.get(name);
                changes.add(() -> object.set(name, near(now)));
                changes.add(() -> object.set(name, value()));
                changes.add(() -> object.remove(name));
                collect(now, changes);
            }
            changes.add(() -> object.set("more" + random.nextInt(9), value()));
        } else if (node instanceof ArrayNode array) {
            for (int i = 0; i < array.size(); i++) {
                int at = i;
                changes.add(() -> array.set(at, value()));
                collect(array.get(i), changes);
            }
            changes.add(() -> array.add(value()));
        }
    }

    /** Another value of the same kind: many of them are accepted. */
    private JsonNode near(JsonNode now) {
        if (now.isNumber()) {
            return MAKE.numberNode(now.asDouble() * random.nextDouble() * 2);
        }
        if (now.isBoolean()) {
            return MAKE.booleanNode(random.nextBoolean());
        }
        return now.isString() ? MAKE.stringNode(now.asString() + " " + random.nextInt(100)) : now;
    }

    JsonNode value() {
        return switch (random.nextInt(20)) {
            case 0 -> MAKE.nullNode();
            case 1 -> MAKE.stringNode("");
            case 2 -> MAKE.stringNode("NaN");
            case 3 -> MAKE.numberNode(-1);
            case 4 -> MAKE.numberNode(0);
            case 5 -> MAKE.numberNode(1e308);
            case 6 -> MAKE.numberNode(-1e308);
            case 7 -> MAKE.numberNode(1e-320);
            case 8 -> MAKE.numberNode(Long.MAX_VALUE);
            case 9 -> MAKE.booleanNode(true);
            case 10 -> MAKE.arrayNode();
            case 11 -> MAKE.objectNode();
            case 12 -> MAKE.stringNode("x".repeat(LONG));
            case 13 -> MAKE.stringNode("a\u0000b\u0007c");
            case 14 -> MAKE.stringNode("\u202Eright to left\u2066");
            case 15 -> MAKE.stringNode("PURPLE");
            case 16 -> MAKE.stringNode("00000000-0000-4000-8000-00000000000" + random.nextInt(10));
            case 17 -> MAKE.numberNode(random.nextGaussian() * Math.pow(10, random.nextInt(12)));
            case 18 -> deep(random.nextInt(200));
            default -> MAKE.stringNode("'; DROP TABLE recipe; --");
        };
    }

    private static JsonNode deep(int levels) {
        JsonNode node = MAKE.numberNode(1);
        for (int i = 0; i < levels; i++) {
            ArrayNode around = MAKE.arrayNode();
            around.add(node);
            node = around;
        }
        return node;
    }

    /** Bytes that are no request at all, or hardly. */
    byte[] bytes(JsonNode body) {
        String text = body.toString();
        return switch (random.nextInt(9)) {
            case 0 -> text.substring(0, text.length() / 2).getBytes(StandardCharsets.UTF_8);
            case 1 -> (text + text).getBytes(StandardCharsets.UTF_8);
            case 2 -> "[".repeat(DEEP).getBytes(StandardCharsets.UTF_8);
            case 3 -> "{\"a\":".repeat(DEEP).getBytes(StandardCharsets.UTF_8);
            case 4 -> new byte[] {(byte) 0xC3, 0x28, (byte) 0xFF, (byte) 0xFE, 0};
            case 5 -> text.getBytes(StandardCharsets.UTF_16);
            case 6 -> "null".getBytes(StandardCharsets.UTF_8);
            case 7 -> text.replace(":", ": NaN,").getBytes(StandardCharsets.UTF_8);
            default -> value().toString().getBytes(StandardCharsets.UTF_8);
        };
    }

    String contentType() {
        List<String> types = List.of(
                "application/json",
                "text/plain",
                "application/xml",
                "multipart/form-data; boundary=x",
                "application/x-www-form-urlencoded",
                "application/json; charset=utf-7",
                "*/*");
        return types.get(random.nextInt(types.size()));
    }

    String method() {
        List<String> methods = List.of("GET", "POST", "PUT", "PATCH", "DELETE", "HEAD", "OPTIONS", "BREW");
        return methods.get(random.nextInt(methods.size()));
    }
}
