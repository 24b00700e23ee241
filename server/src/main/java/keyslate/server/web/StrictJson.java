package keyslate.server.web;

import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.cfg.CoercionAction;
import tools.jackson.databind.cfg.CoercionInputShape;
import tools.jackson.databind.cfg.EnumFeature;

/**
 * What is read is what was written: no fraction is cut to a whole number, no number stands for a choice, no empty text for
 * something left out, no text for a number, and no field comes twice.
 */
@Configuration
class StrictJson {
    @Bean
    JsonMapperBuilderCustomizer strictly() {
        return builder -> builder.enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
                .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
                .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS)
                .addModule(Quantities.reading())
                .disable(MapperFeature.ALLOW_COERCION_OF_SCALARS)
                .withCoercionConfigDefaults(
                        coercion -> coercion.setCoercion(CoercionInputShape.EmptyString, CoercionAction.Fail));
    }
}
