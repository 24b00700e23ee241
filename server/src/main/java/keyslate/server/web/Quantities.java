package keyslate.server.web;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.DoubleFunction;
import java.util.function.ToDoubleFunction;
import keyslate.core.colour.ViewingLight;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.PatchPick;
import keyslate.core.local.LocalChange;
import keyslate.core.quantity.Density;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.Stops;
import keyslate.core.size.ThinLens;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.JacksonModule;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.StdSerializer;

/**
 * Quantities as they stand in requests: a number in, the factory called; units stand in the names of the fields. What cannot
 * be one is taken down in {@link Refusals} with its pointer, and the reading goes on, so that all of it is said at once.
 */
public final class Quantities {
    private static final Map<Class<?>, Quantity<?>> NUMBERS = new LinkedHashMap<>();

    static {
        number(ExposureTime.class, ExposureTime::ofSeconds, ExposureTime::inSeconds);
        number(Stops.class, Stops::of, Stops::inStops);
        number(FNumber.class, FNumber::of, FNumber::inFStops);
        number(Magnification.class, Magnification::of, Magnification::inTimes);
        number(Length.class, mm -> Length.ofPositiveMm("length", mm), Length::inMm);
        number(Grade.class, Grade::of, Grade::onScale);
        number(Density.class, Density::of, Density::inLog10);
        number(LampLag.class, LampLag::ofSeconds, LampLag::inSeconds);
        number(LocalChange.class, LocalChange::ofStops, c -> c.change().inStops());
        number(ThinLens.class, ThinLens::ofMm, l -> l.focalLength().inMm());
        number(PatchPick.class, PatchPick::ofPosition, PatchPick::toPosition);
        number(ViewingLight.class, ViewingLight::new, ViewingLight::kelvin);
    }

    private Quantities() {}

    private record Quantity<T>(Class<T> type, DoubleFunction<T> read, ToDoubleFunction<T> write) {
        void addTo(SimpleModule module) {
            module.addDeserializer(type, new Read<>(type, read));
        }

        void addWriterTo(SimpleModule module) {
            module.addSerializer(
                    type, new Written<>(type, (value, json) -> json.writeNumber(write.applyAsDouble(value))));
        }
    }

    private static <T> void number(Class<T> type, DoubleFunction<T> read, ToDoubleFunction<T> write) {
        NUMBERS.put(type, new Quantity<>(type, read, write));
    }

    /** Types that are a number in requests. */
    public static Iterable<Class<?>> numbers() {
        return NUMBERS.keySet();
    }

    /** Reads quantities. */
    static JacksonModule reading() {
        SimpleModule module = new SimpleModule("quantities, read");
        NUMBERS.values().forEach(q -> q.addTo(module));
        module.addDeserializer(GradeFilter.class, new ReadFilter());
        module.addDeserializer(FilterPack.class, new ReadPoints<>(FilterPack.class, FilterPack::of));
        module.addDeserializer(FilterShift.class, new ReadPoints<>(FilterShift.class, FilterShift::of));
        return module;
    }

    /** Writes a request as it was understood; never part of what reads and writes answers, which carry no type of the core. */
    public static JacksonModule writing() {
        SimpleModule module = new SimpleModule("quantities, as they were understood");
        NUMBERS.values().forEach(q -> q.addWriterTo(module));
        module.addSerializer(
                GradeFilter.class, new Written<>(GradeFilter.class, (f, json) -> json.writeString(f.label())));
        module.addSerializer(
                FilterPack.class,
                new Written<>(
                        FilterPack.class,
                        (p, json) -> json.writePOJO(new Points(p.inCyan(), p.inMagenta(), p.inYellow()))));
        module.addSerializer(
                FilterShift.class,
                new Written<>(
                        FilterShift.class,
                        (p, json) -> json.writePOJO(new Points(p.inCyan(), p.inMagenta(), p.inYellow()))));
        return module;
    }

    /** A pack or a change of one, in points. */
    private record Points(double cyan, double magenta, double yellow) {}

    @FunctionalInterface
    private interface OfPoints<T> {
        T of(double cyan, double magenta, double yellow);
    }

    private static String at(JsonParser json) {
        return json.streamReadContext().pathAsPointer().toString();
    }

    private static <T> T refusedOr(String pointer, java.util.function.Supplier<T> make) {
        return Refusals.current().errors().check(pointer, null, make);
    }

    private static final class Read<T> extends StdDeserializer<T> {
        private final DoubleFunction<T> make;

        Read(Class<T> type, DoubleFunction<T> make) {
            super(type);
            this.make = make;
        }

        @Override
        public T deserialize(JsonParser json, DeserializationContext context) {
            String pointer = at(json);
            if (!json.currentToken().isNumeric()) {
                json.skipChildren();
                Refusals.current().errors().add(pointer, "E_TYPE", "a number belongs here");
                return null;
            }
            double number = json.getDoubleValue();
            return refusedOr(pointer, () -> make.apply(number));
        }
    }

    private static final class ReadFilter extends StdDeserializer<GradeFilter> {
        ReadFilter() {
            super(GradeFilter.class);
        }

        @Override
        public GradeFilter deserialize(JsonParser json, DeserializationContext context) {
            String pointer = at(json);
            if (json.currentToken() != JsonToken.VALUE_STRING) {
                json.skipChildren();
                Refusals.current().errors().add(pointer, "E_TYPE", "the name of a filter belongs here, as “2½”");
                return null;
            }
            String label = json.getString();
            GradeFilter filter = refusedOr(pointer, () -> GradeFilter.ofLabel(label));
            if (filter != null && !filter.label().equals(label)) {
                Refusals.current().note("“" + label + "” is understood as “" + filter.label() + "”.");
            }
            return filter;
        }
    }

    private static final class ReadPoints<T> extends StdDeserializer<T> {
        private final OfPoints<T> make;

        ReadPoints(Class<T> type, OfPoints<T> make) {
            super(type);
            this.make = make;
        }

        @Override
        public T deserialize(JsonParser json, DeserializationContext context) {
            String pointer = at(json);
            Points points = context.readValue(json, Points.class);
            return refusedOr(pointer, () -> make.of(points.cyan(), points.magenta(), points.yellow()));
        }
    }

    @FunctionalInterface
    private interface Writer<T> {
        void write(T value, JsonGenerator json);
    }

    private static final class Written<T> extends StdSerializer<T> {
        private final Writer<T> writer;

        Written(Class<T> type, Writer<T> writer) {
            super(type);
            this.writer = writer;
        }

        @Override
        public void serialize(T value, JsonGenerator json, SerializationContext context) {
            writer.write(value, json);
        }
    }
}
