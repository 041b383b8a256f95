package tidylantern.server.platform;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.IntegerSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.security.SecurityRequirement;
import io.swagger.v3.oas.models.security.SecurityScheme;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.GlobalOpenApiCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tidylantern.core.content.CategoryPath;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.ItemId;
import tidylantern.core.design.Colour;
import tidylantern.core.design.box.Paint;
import tidylantern.core.design.filter.Control;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.key.SourceId;
import tidylantern.server.key.SyncId;
import tools.jackson.databind.json.JsonMapper;

/** The API's description at {@code /v3/api-docs}, from which the front end's types are made. */
@Configuration
public class ApiDescription {
    static {
        for (Class<?> key : List.of(
                FieldKey.class,
                CollectionKey.class,
                ItemId.class,
                Colour.class,
                Paint.class,
                SiteKey.class,
                SearchKey.class)) {
            SpringDocUtils.getConfig().replaceWithSchema(key, new StringSchema());
        }
        for (Class<?> number : List.of(SourceId.class, SyncId.class)) {
            SpringDocUtils.getConfig().replaceWithSchema(number, new IntegerSchema().format("int64"));
        }
        SpringDocUtils.getConfig().replaceWithSchema(CategoryPath.class, new ArraySchema().items(new StringSchema()));
    }

    private static final String ACCESS_KEY = "accessKey";
    private static final String SESSION = "session";
    /** Asked by whoever is not signed in yet. */
    private static final Set<String> OPEN = Set.of(
            "/api/owner/session", "/api/owner/first-start", "/api/owner/invitation", "/api/owner/invitation/accept");

    /**
     * Two records of one name, of which the second would silently take the place of the first. What a converter throws
     * is logged and passed over, so it is said once the description is whole.
     */
    private final Set<String> clashes = ConcurrentHashMap.newKeySet();

    @Bean
    OpenAPI description() {
        // One server, wherever it runs: the description is the same on every machine, and can be kept beside the code.
        return new OpenAPI()
                .addServersItem(new Server().url("/"))
                .info(
                        new Info()
                                .title("Tidy Lantern")
                                .version("1")
                                .description(
                                        "Public, read-only answers for visitors under /api/public; everything an owner can do under /api/owner."));
    }

    /** Who may ask what, and the values of a part of an address that takes two. */
    @Bean
    GlobalOpenApiCustomizer accessAndChoices() {
        return api -> {
            if (!clashes.isEmpty()) {
                throw new IllegalStateException(String.join(" ", clashes));
            }
            api.getComponents()
                    .addSecuritySchemes(
                            ACCESS_KEY,
                            new SecurityScheme()
                                    .type(SecurityScheme.Type.HTTP)
                                    .scheme("bearer")
                                    .description("A key made under Site › Access keys."));
            api.getComponents()
                    .addSecuritySchemes(
                            SESSION,
                            new SecurityScheme()
                                    .type(SecurityScheme.Type.APIKEY)
                                    .in(SecurityScheme.In.COOKIE)
                                    .name("tidy-lantern-session")
                                    .description(
                                            "Of whoever is signed in. Changes need the header X-XSRF-TOKEN too, with the value of the cookie XSRF-TOKEN."));
            api.getPaths().forEach((path, item) -> item.readOperations().forEach(operation -> {
                if (path.startsWith("/api/owner/") && !OPEN.contains(path)) {
                    operation.setSecurity(List.of(
                            new SecurityRequirement().addList(ACCESS_KEY), new SecurityRequirement().addList(SESSION)));
                }
                if (operation.getParameters() != null) {
                    operation.getParameters().stream()
                            .filter(parameter -> parameter.getName().equals("which"))
                            .forEach(parameter -> parameter.setSchema(
                                    new StringSchema().addEnumItem("draft").addEnumItem("live-version")));
                }
            }));
        };
    }

    /**
     * Records say what is there: every part of a record is always present, but for those that are left out where they
     * are empty, and one that may be null says so. Choices are described as they are written, in small letters.
     */
    @Bean
    ModelConverter recordParts(JsonMapper json) {
        Map<String, Class<?>> described = new ConcurrentHashMap<>();
        return new ModelConverter() {
            @Override
            public @Nullable Schema<?> resolve(
                    AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
                JavaType java = Json.mapper().constructType(type.getType());
                Class<?> raw = java == null ? Object.class : java.getRawClass();
                if (CoreJson.TOLD_BY.containsKey(raw)) {
                    return oneOf(raw, context);
                }
                if (raw == Control.class) {
                    StringSchema choices = new StringSchema();
                    Control.all().forEach(control -> choices.addEnumItem(control.toString()));
                    return choices;
                }
                Schema<?> resolved = chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
                if (raw.isRecord()) {
                    Class<?> other = described.putIfAbsent(raw.getSimpleName(), raw);
                    if (other != null && other != raw) {
                        clashes.add("%s and %s would have one name in the API; call one of them otherwise."
                                .formatted(other.getName(), raw.getName()));
                    }
                    Schema<?> model = context.getDefinedModels().get(raw.getSimpleName());
                    if (model != null) {
                        describe(model, raw, json);
                    }
                } else if (raw.isEnum() && resolved != null && resolved.getEnum() != null) {
                    @SuppressWarnings("unchecked")
                    Schema<Object> choices = (Schema<Object>) resolved;
                    choices.setEnum(new ArrayList<>(Arrays.stream(raw.getEnumConstants())
                            .map(Object::toString)
                            .toList()));
                }
                return resolved;
            }
        };
    }

    private static void describe(Schema<?> model, Class<?> type, JsonMapper json) {
        if (model.getProperties() == null) {
            if (type.getRecordComponents().length > 0) {
                return;
            }
            model.setProperties(new LinkedHashMap<>());
        }
        List<String> names = new ArrayList<>();
        for (RecordComponent part : type.getRecordComponents()) {
            Schema<?> property = (Schema<?>) model.getProperties().get(part.getName());
            if (property == null) {
                continue;
            }
            if (isLeftOutWhereEmpty(part, json)) {
                continue;
            }
            names.add(part.getName());
            if (part.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
                model.getProperties().put(part.getName(), orNull(property));
            }
        }
        CoreJson.TOLD_BY.forEach((told, property) -> {
            if (told.isAssignableFrom(type)) {
                model.getProperties().put(property, new StringSchema().addEnumItem(CoreJson.nameOf(type)));
                names.add(property);
            }
        });
        model.setRequired(names);
    }

    /** Whether a part says so, or what stands for the annotations of its record does. */
    private static boolean isLeftOutWhereEmpty(RecordComponent part, JsonMapper json) {
        if (part.getAccessor().isAnnotationPresent(JsonInclude.class)) {
            return true;
        }
        Class<?> stands = json.serializationConfig().findMixInClassFor(part.getDeclaringRecord());
        return stands != null
                && Arrays.stream(stands.getDeclaredMethods())
                        .anyMatch(method -> method.getName().equals(part.getName())
                                && method.isAnnotationPresent(JsonInclude.class));
    }

    /** A sealed type is one of its records; each says which it is. */
    private static Schema<?> oneOf(Class<?> told, ModelConverterContext context) {
        Schema<Object> either = new Schema<>();
        for (Class<?> one : told.getPermittedSubclasses()) {
            context.resolve(new AnnotatedType(one).resolveAsRef(true));
            either.addOneOfItem(new Schema<>().$ref("#/components/schemas/" + one.getSimpleName()));
        }
        return either;
    }

    private static Schema<?> orNull(Schema<?> schema) {
        if (schema.get$ref() != null) {
            Schema<Object> either = new Schema<>();
            either.addAnyOfItem(new Schema<>().$ref(schema.get$ref()));
            Schema<Object> none = new Schema<>();
            none.setTypes(new LinkedHashSet<>(Set.of("null")));
            either.addAnyOfItem(none);
            return either;
        }
        Set<String> types = new LinkedHashSet<>();
        if (schema.getTypes() != null) {
            types.addAll(schema.getTypes());
        } else if (schema.getType() != null) {
            types.add(schema.getType());
        }
        if (!types.isEmpty()) {
            types.add("null");
            schema.setTypes(types);
        }
        return schema;
    }
}
