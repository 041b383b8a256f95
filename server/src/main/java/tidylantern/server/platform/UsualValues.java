package tidylantern.server.platform;

import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.UsualParts;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.BeanDescription;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.DeserializationConfig;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.deser.ValueDeserializerModifier;
import tools.jackson.databind.deser.std.DelegatingDeserializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Lays under the parts of a design what a document leaves out of them: the values that {@link UsualParts} have. A key
 * that has no usual value must be said.
 */
final class UsualValues extends ValueDeserializerModifier {
    private final Map<Class<?>, UsualParts.Part> parts = new LinkedHashMap<>();
    private final JsonMapper json;

    /** @param json that writes parts as documents have them */
    UsualValues(JsonMapper json) {
        this.json = json;
        UsualParts.all().forEach(part -> parts.put(part.type(), part));
    }

    @Override
    public ValueDeserializer<?> modifyDeserializer(
            DeserializationConfig config, BeanDescription.Supplier bean, ValueDeserializer<?> reader) {
        UsualParts.Part part = parts.get(bean.getBeanClass());
        if (part == null) {
            return reader;
        }
        ObjectNode usual = json.createObjectNode();
        part.usual().forEach((key, value) -> usual.set(key, json.valueToTree(value)));
        return new Completing(reader, part, usual);
    }

    /** Reads a part with what is usual laid under it. */
    private static final class Completing extends DelegatingDeserializer {
        private final UsualParts.Part part;
        private final ObjectNode usual;

        Completing(ValueDeserializer<?> reader, UsualParts.Part part, ObjectNode usual) {
            super(reader);
            this.part = part;
            this.usual = usual;
        }

        @Override
        protected ValueDeserializer<?> newDelegatingInstance(ValueDeserializer<?> reader) {
            return new Completing(reader, part, usual);
        }

        @Override
        public @Nullable Object deserialize(JsonParser in, DeserializationContext context) {
            JsonNode said = context.readTree(in);
            if (said instanceof ObjectNode document) {
                complete(document, in);
            }
            try (JsonParser whole = said.traverse(context)) {
                whole.nextToken();
                return super.deserialize(whole, context);
            }
        }

        private void complete(ObjectNode document, JsonParser in) {
            for (String key : part.keys()) {
                if (document.path(key).isMissingNode() || document.path(key).isNull()) {
                    if (!usual.has(key)) {
                        String reason = "Say what \"%s\" is; it has no usual value.".formatted(key);
                        throw DatabindException.from(in, reason, new DesignFault(key, reason));
                    }
                    document.set(key, usual.get(key).deepCopy());
                }
            }
        }
    }
}
