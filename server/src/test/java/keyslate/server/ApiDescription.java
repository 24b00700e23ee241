package keyslate.server;

import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.server.backup.BackupViews;
import keyslate.server.bench.BenchViews;
import keyslate.server.calculation.Calculates;
import keyslate.server.calibration.CalibrationViews;
import keyslate.server.calibration.FilterAsked;
import keyslate.server.contrast.ContrastViews;
import keyslate.server.cutting.CuttingViews;
import keyslate.server.decide.DecisionViews;
import keyslate.server.kit.KitViews;
import keyslate.server.local.LocalViews;
import keyslate.server.medium.MediumPart;
import keyslate.server.need.NeedViews;
import keyslate.server.negative.FrameViews;
import keyslate.server.negative.RollViews;
import keyslate.server.print.RunViews;
import keyslate.server.recipe.RecipeChange;
import keyslate.server.recipe.StartingTime;
import keyslate.server.rig.LightView;
import keyslate.server.scan.ScanViews;
import keyslate.server.search.SearchViews;
import keyslate.server.sheet.Differences;
import keyslate.server.sheet.SheetViews;
import keyslate.server.shelf.ShelfViews;
import keyslate.server.slate.GeometryViews;
import keyslate.server.slate.SlateViews;
import keyslate.server.sleeve.SleeveViews;
import keyslate.server.stores.StoresViews;
import keyslate.server.test.TestViews;
import keyslate.server.tone.ToneViews;
import keyslate.server.web.Quantities;
import keyslate.store.json.StoredMark;
import keyslate.store.json.StoredShape;
import keyslate.store.json.StoredTest;
import keyslate.store.json.StoredTone;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.aop.support.AopUtils;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.ApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.web.bind.annotation.RestController;

/** Makes the generated description say what the records say: a component is required unless it is {@code @Nullable}. */
@TestConfiguration
class ApiDescription {
    private static final List<Class<?>> HOLDERS = List.of(
            ContrastViews.class,
            BackupViews.class,
            BenchViews.class,
            classNamed("keyslate.server.calculation.CalculationViews"),
            DecisionViews.class,
            Differences.class,
            LightView.class,
            KitViews.class,
            LocalViews.class,
            NeedViews.class,
            MediumPart.class,
            RecipeChange.class,
            FrameViews.class,
            GeometryViews.class,
            RollViews.class,
            RunViews.class,
            ScanViews.class,
            SearchViews.class,
            SheetViews.class,
            ShelfViews.class,
            SlateViews.class,
            SleeveViews.class,
            StartingTime.class,
            StoresViews.class,
            CalibrationViews.class,
            FilterAsked.class,
            CuttingViews.class,
            StoredMark.class,
            StoredShape.class,
            StoredTest.class,
            StoredTone.class,
            TestViews.class,
            ToneViews.class);

    static {
        // Quantities are numbers in requests; a filter is its name; a pack its points.
        Quantities.numbers().forEach(type -> SpringDocUtils.getConfig().replaceWithClass(type, Double.class));
        SpringDocUtils.getConfig().replaceWithClass(GradeFilter.class, String.class);
        Class<?> points = classNamed("keyslate.server.calculation.CalculationViews$Points");
        SpringDocUtils.getConfig().replaceWithClass(FilterPack.class, points);
        SpringDocUtils.getConfig().replaceWithClass(FilterShift.class, points);
    }

    /** What a calculation tells. */
    @Bean
    OperationCustomizer calculations() {
        return (operation, handler) -> {
            Calculates says = handler.getMethodAnnotation(Calculates.class);
            if (says != null) {
                operation.setSummary(says.value());
            }
            return operation;
        };
    }

    @Bean
    OpenApiCustomizer nullableFromRecords(ApplicationContext context) {
        return api -> {
            Map<String, Class<?>> records = new HashMap<>();
            HOLDERS.forEach(holder -> register(records, holder));
            context.getBeansWithAnnotation(RestController.class)
                    .values()
                    .forEach(controller -> register(records, AopUtils.getTargetClass(controller)));
            api.setServers(List.of(new Server().url("/")));
            api.getInfo().title("Key Slate").version("1");
            api.getComponents().getSchemas().forEach((name, schema) -> {
                if (records.containsKey(name)) {
                    require(schema, records.get(name));
                }
            });
            new ApiTexts().addTo(api);
        };
    }

    private static void register(Map<String, Class<?>> records, Class<?> holder) {
        if (holder.isRecord()) {
            records.put(holder.getSimpleName(), holder);
        }
        for (Class<?> type : holder.getDeclaredClasses()) {
            if (type.isRecord()) {
                records.put(type.getSimpleName(), type);
            }
        }
    }

    /** A holder that only its package sees. */
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
