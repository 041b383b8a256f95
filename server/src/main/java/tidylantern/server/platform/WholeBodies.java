package tidylantern.server.platform;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/**
 * Refuses bodies in which something is missing that has to be there: every part of a record that is not marked as one
 * that may be null. Whoever works with a body can so take its parts for what their types say.
 */
@RestControllerAdvice
class WholeBodies extends RequestBodyAdviceAdapter {
    private static final int MOST_LEVELS = 12;

    @Override
    public boolean supports(
            MethodParameter parameter, Type target, Class<? extends HttpMessageConverter<?>> converter) {
        return true;
    }

    @Override
    public Object afterBodyRead(
            Object body,
            HttpInputMessage message,
            MethodParameter parameter,
            Type target,
            Class<? extends HttpMessageConverter<?>> converter) {
        check(body, "", 0);
        return body;
    }

    private static void check(@Nullable Object value, String path, int level) {
        if (level > MOST_LEVELS) {
            return;
        }
        switch (value) {
            case null ->
                throw Refusal.bad(
                        path.isEmpty() ? null : path,
                        path.isEmpty() ? "Something is missing here." : "\"%s\" is missing.".formatted(path));
            case List<?> list -> {
                for (int at = 0; at < list.size(); at++) {
                    check(list.get(at), path + "[" + at + "]", level + 1);
                }
            }
            case Map<?, ?> map -> {
                // What a map says is its writer's own affair; of properties of items null means that they go.
            }
            case Record made -> {
                for (RecordComponent part : made.getClass().getRecordComponents()) {
                    Object inside = read(made, part);
                    if (inside != null || !part.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
                        check(inside, path.isEmpty() ? part.getName() : path + "." + part.getName(), level + 1);
                    }
                }
            }
            default -> {}
        }
    }

    private static @Nullable Object read(Record made, RecordComponent part) {
        try {
            part.getAccessor().setAccessible(true);
            return part.getAccessor().invoke(made);
        } catch (IllegalAccessException | InvocationTargetException impossible) {
            throw new IllegalStateException("a part of a record can always be read", impossible);
        }
    }
}
