package tidylantern.server.platform;

import java.util.List;
import java.util.function.Function;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tidylantern.core.content.CategoryPath;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemId;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.deser.std.FromStringDeserializer;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.StdSerializer;
import tools.jackson.databind.ser.std.ToStringSerializer;

/** How the core's values stand in JSON: keys and ids as strings, choices in small letters; unknown keys are refused. */
@Configuration
public class CoreJson {
    @Bean
    JsonMapperBuilderCustomizer coreValues() {
        SimpleModule module = new SimpleModule("core");
        named(module, FieldKey.class, FieldKey::new);
        named(module, CollectionKey.class, CollectionKey::new);
        named(module, ItemId.class, ItemId::new);
        named(module, FieldKind.class, FieldKind::of);
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
        return builder -> builder.addModule(module)
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
