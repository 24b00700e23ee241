package keyslate.server;

import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import keyslate.server.bench.BenchViews;
import keyslate.server.judge.DecisionViews;
import keyslate.server.negative.RollViews;
import keyslate.server.print.RunViews;
import keyslate.server.slate.SlateRequests;
import keyslate.server.slate.SlateViews;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;

/** Makes the generated description say what the records say: a component is required unless it is {@code @Nullable}. */
@TestConfiguration
class ApiDescription {
    private static final List<Class<?>> HOLDERS = List.of(
            BenchViews.class,
            DecisionViews.class,
            RollViews.class,
            RunViews.class,
            SlateRequests.class,
            SlateViews.class);

    @Bean
    OpenApiCustomizer nullableFromRecords() {
        Map<String, Class<?>> records = new HashMap<>();
        for (Class<?> holder : HOLDERS) {
            register(records, holder);
        }
        register(records, classNamed("keyslate.server.local.LocalChangeController"));
        return api -> {
            api.setServers(List.of(new Server().url("/")));
            api.getInfo().title("Key Slate").version("1");
            api.getComponents().getSchemas().forEach((name, schema) -> {
                if (records.containsKey(name)) {
                    require(schema, records.get(name));
                }
            });
        };
    }

    private static void register(Map<String, Class<?>> records, Class<?> holder) {
        for (Class<?> type : holder.getDeclaredClasses()) {
            if (type.isRecord()) {
                records.put(type.getSimpleName(), type);
            }
        }
    }

    private static Class<?> classNamed(String name) {
        try {
            return Class.forName(name);
        } catch (ClassNotFoundException e) {
            throw new IllegalStateException(e);
        }
    }

    private static void require(Schema<?> schema, Class<?> type) {
        List<String> required = new ArrayList<>();
        for (RecordComponent c : type.getRecordComponents()) {
            if (!c.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
                required.add(c.getName());
            }
        }
        schema.setRequired(required.isEmpty() ? null : required);
    }
}
