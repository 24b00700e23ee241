package keyslate.server.calculation;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.Stops;
import keyslate.server.calculation.CalculationViews.Points;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.MediaType;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.http.server.ServerHttpRequest;
import org.springframework.http.server.ServerHttpResponse;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;
import org.springframework.web.servlet.mvc.method.annotation.ResponseBodyAdvice;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Adds to the answer of every calculation what was asked, as it was understood, and notes on it: a script that misspells a
 * unit or a label sees so in the answer.
 */
@RestControllerAdvice(basePackageClasses = Understood.class)
class Understood extends RequestBodyAdviceAdapter implements ResponseBodyAdvice<Object> {
    private static final String ASKED = Understood.class.getName() + ".asked";
    private static final String WORDS = Understood.class.getName() + ".words";

    private final JsonMapper json;

    Understood(JsonMapper json) {
        this.json = json;
    }

    /** What one request was taken for. */
    static final class Words {
        private final Map<String, Object> values = new TreeMap<>();
        private final List<String> notes = new ArrayList<>();

        /** A field as the quantity it became. */
        void put(String pointer, Object quantity) {
            Object plain = plain(quantity);
            if (plain != null) {
                values.put(pointer, plain);
            }
        }

        void note(String note) {
            notes.add(note);
        }

        private static Object plain(Object quantity) {
            if (quantity instanceof ExposureTime t) {
                return t.inSeconds();
            } else if (quantity instanceof Stops s) {
                return s.inStops();
            } else if (quantity instanceof FNumber f) {
                return f.inFStops();
            } else if (quantity instanceof Magnification m) {
                return m.inTimes();
            } else if (quantity instanceof Length l) {
                return l.inMm();
            } else if (quantity instanceof Grade g) {
                return g.onScale();
            } else if (quantity instanceof GradeFilter f) {
                return f.label();
            } else if (quantity instanceof FilterPack p) {
                return Points.of(p);
            } else {
                return quantity instanceof FilterShift s ? Points.of(s) : null;
            }
        }
    }

    /** The words of the request that is under way; words nobody reads outside of one. */
    static Words words() {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request == null) {
            return new Words();
        }
        Words words = (Words) request.getAttribute(WORDS, RequestAttributes.SCOPE_REQUEST);
        if (words == null) {
            words = new Words();
            request.setAttribute(WORDS, words, RequestAttributes.SCOPE_REQUEST);
        }
        return words;
    }

    @Override
    public boolean supports(
            MethodParameter parameter,
            java.lang.reflect.Type type,
            Class<? extends HttpMessageConverter<?>> converter) {
        return parameter.hasMethodAnnotation(Calculates.class);
    }

    @Override
    public Object afterBodyRead(
            Object body,
            HttpInputMessage message,
            MethodParameter parameter,
            java.lang.reflect.Type type,
            Class<? extends HttpMessageConverter<?>> converter) {
        RequestContextHolder.currentRequestAttributes().setAttribute(ASKED, body, RequestAttributes.SCOPE_REQUEST);
        return body;
    }

    @Override
    public boolean supports(MethodParameter answers, Class<? extends HttpMessageConverter<?>> converter) {
        return answers.hasMethodAnnotation(Calculates.class);
    }

    @Override
    public Object beforeBodyWrite(
            Object answer,
            MethodParameter answers,
            MediaType type,
            Class<? extends HttpMessageConverter<?>> converter,
            ServerHttpRequest request,
            ServerHttpResponse response) {
        Object asked =
                RequestContextHolder.currentRequestAttributes().getAttribute(ASKED, RequestAttributes.SCOPE_REQUEST);
        ObjectNode whole = json.valueToTree(answer);
        JsonNode understood = json.valueToTree(asked);
        Words words = words();
        words.values.forEach((pointer, value) -> overlay(understood, pointer, value, words));
        whole.set("understood", understood);
        ArrayNode notes = whole.putArray("notes");
        words.notes.forEach(notes::add);
        return whole;
    }

    /** Puts what a field became in the place of what was written; a label that reads otherwise is noted. */
    private void overlay(JsonNode asked, String pointer, Object value, Words words) {
        int slash = pointer.lastIndexOf('/');
        if (slash < 0) {
            return;
        }
        JsonNode parent = asked.at(pointer.substring(0, slash));
        String field = pointer.substring(slash + 1);
        JsonNode became = json.valueToTree(value);
        if (parent instanceof ObjectNode object && object.has(field)) {
            noteIfOther(object.get(field), became, words);
            object.set(field, became);
        } else if (parent instanceof ArrayNode array && field.chars().allMatch(Character::isDigit)) {
            int place = Integer.parseInt(field);
            if (place < array.size()) {
                noteIfOther(array.get(place), became, words);
                array.set(place, became);
            }
        }
    }

    private static void noteIfOther(JsonNode written, JsonNode became, Words words) {
        if (written.isString() && became.isString() && !written.equals(became)) {
            words.note("“" + written.asString() + "” is understood as “" + became.asString() + "”.");
        }
    }
}
