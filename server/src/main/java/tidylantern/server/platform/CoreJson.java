package tidylantern.server.platform;

import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemId;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.deser.std.FromStringDeserializer;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.ser.std.ToStringSerializer;
import java.util.function.Function;

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
        return builder -> builder.addModule(module)
                .enable(EnumFeature.READ_ENUMS_USING_TO_STRING, EnumFeature.WRITE_ENUMS_USING_TO_STRING)
                .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES, DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES,
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
