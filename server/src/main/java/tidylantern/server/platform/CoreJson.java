package tidylantern.server.platform;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.OptBoolean;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tidylantern.core.content.CategoryPath;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemId;
import tidylantern.core.design.Colour;
import tidylantern.core.design.box.Paint;
import tidylantern.core.design.card.CardPart;
import tidylantern.core.design.card.Format;
import tidylantern.core.design.card.PicturePart;
import tidylantern.core.design.filter.FilterSource;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.deser.std.FromStringDeserializer;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.jsontype.NamedType;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.StdSerializer;
import tools.jackson.databind.ser.std.ToStringSerializer;

/**
 * How the core's values stand in JSON: keys and ids as strings, choices in small letters; unknown keys are refused.
 * What may be one of several things says which, by the thing's name.
 */
@Configuration
public class CoreJson {
    /** The sealed types of a design, each with the property that tells which of its records stands there. */
    static final Map<Class<?>, String> TOLD_BY =
            Map.of(CardPart.class, "part", Format.class, "format", FilterSource.class, "of");

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "part", requireTypeIdForSubtypes = OptBoolean.FALSE)
    private interface ToldByPart {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "format", requireTypeIdForSubtypes = OptBoolean.FALSE)
    private interface ToldByFormat {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "of", requireTypeIdForSubtypes = OptBoolean.FALSE)
    private interface ToldByKind {}

    /**
     * What a record of a sealed type is called: {@code picture} for {@link PicturePart}, {@code yes-no} for its source.
     */
    static String nameOf(Class<?> type) {
        return type.getSimpleName()
                .replaceFirst("Part|Source$", "")
                .replaceAll("([a-z])([A-Z])", "$1-$2")
                .toLowerCase(Locale.ROOT);
    }

    /**
     * What to say where nobody said which of several things stands there, or one that there is not.
     *
     * @param named what was said; null for nothing
     */
    static String whichIsIt(Class<?> type, @Nullable String named) {
        String property = TOLD_BY.get(type);
        if (property == null) {
            return "Say with \"kind\" which it is; the API's description names the kinds.";
        }
        String known = Arrays.stream(type.getPermittedSubclasses())
                .map(CoreJson::nameOf)
                .collect(Collectors.joining(", "));
        return named == null
                ? "Say with \"%s\" which it is: one of %s.".formatted(property, known)
                : "There is no %s \"%s\"; choose one of %s.".formatted(property, named, known);
    }

    @Bean
    JsonMapperBuilderCustomizer coreValues() {
        SimpleModule module = new SimpleModule("core");
        named(module, FieldKey.class, FieldKey::new);
        named(module, CollectionKey.class, CollectionKey::new);
        named(module, ItemId.class, ItemId::new);
        named(module, FieldKind.class, FieldKind::of);
        named(module, Colour.class, Colour::of);
        named(module, Paint.class, Paint::new);
        // A value of a tree is the list of its names.
        module.addSerializer(CategoryPath.class, new StdSerializer<>(CategoryPath.class) {
            @Override
            public void serialize(CategoryPath path, JsonGenerator out, SerializationContext context) {
                out.writeArray(
                        path.names().toArray(String[]::new), 0, path.names().size());
            }
        });
        module.addDeserializer(CategoryPath.class, new StdDeserializer<CategoryPath>(CategoryPath.class) {
            @Override
            public CategoryPath deserialize(JsonParser in, DeserializationContext context) {
                return new CategoryPath(List.of(in.readValueAs(String[].class)));
            }
        });
        module.setMixInAnnotation(CardPart.class, ToldByPart.class);
        module.setMixInAnnotation(Format.class, ToldByFormat.class);
        module.setMixInAnnotation(FilterSource.class, ToldByKind.class);
        TOLD_BY.keySet().forEach(type -> Arrays.stream(type.getPermittedSubclasses())
                .forEach(one -> module.registerSubtypes(new NamedType(one, nameOf(one)))));
        // What is usual is written by a mapper of its own, since the one that is being built reads with it.
        JsonMapper writing = JsonMapper.builder()
                .addModule(module)
                .enable(EnumFeature.WRITE_ENUMS_USING_TO_STRING)
                .build();
        SimpleModule usual = new SimpleModule("usual values").setDeserializerModifier(new UsualValues(writing));
        return builder -> builder.addModule(module)
                .addModule(usual)
                .enable(EnumFeature.READ_ENUMS_USING_TO_STRING, EnumFeature.WRITE_ENUMS_USING_TO_STRING)
                .enable(
                        DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES,
                        DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES,
                        DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
                .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION);
    }

    private static <T> void named(SimpleModule module, Class<T> type, Function<String, T> from) {
        module.addSerializer(type, new ToStringSerializer(type));
        module.addDeserializer(type, new FromStringDeserializer<T>(type) {
            @Override
            protected T _deserialize(String value, DeserializationContext context) {
                return from.apply(value);
            }
        });
    }
}
