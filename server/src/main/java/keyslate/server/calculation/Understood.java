package keyslate.server.calculation;

import java.lang.reflect.Type;
import keyslate.server.web.Quantities;
import keyslate.server.web.Refusals;
import org.jspecify.annotations.Nullable;
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
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What every calculation has in common: a request that is wrong is refused with everything that is wrong with it, and an
 * answer carries what was asked, as it was understood, and notes on it, so that a script that misspells a unit or a label
 * sees so.
 */
@RestControllerAdvice(basePackageClasses = Understood.class)
class Understood extends RequestBodyAdviceAdapter implements ResponseBodyAdvice<Object> {
    private static final String ASKED = Understood.class.getName() + ".asked";

    private final JsonMapper json;
    private final JsonMapper quantities;

    Understood(JsonMapper json) {
        this.json = json;
        this.quantities = json.rebuild().addModule(Quantities.writing()).build();
    }

    @Override
    public boolean supports(MethodParameter parameter, Type type, Class<? extends HttpMessageConverter<?>> converter) {
        return parameter.hasMethodAnnotation(Calculates.class);
    }

    @Override
    public @Nullable Object afterBodyRead(
            @Nullable Object body,
            HttpInputMessage message,
            MethodParameter parameter,
            Type type,
            Class<? extends HttpMessageConverter<?>> converter) {
        if (body == null) {
            // "null" is no request at all; that is refused where the body is asked for.
            return null;
        }
        Refusals refusals = Refusals.current();
        refusals.missing(body);
        refusals.errors().throwIfAny();
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
        whole.set("understood", quantities.valueToTree(asked));
        ArrayNode notes = whole.putArray("notes");
        Refusals.current().notes().forEach(notes::add);
        return whole;
    }
}
