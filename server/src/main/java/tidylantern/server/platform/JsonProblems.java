package tidylantern.server.platform;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collection;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CategoryPath;
import tidylantern.core.content.Require;
import tidylantern.core.design.DesignFault;
import tidylantern.core.mapping.MappingFault;
import tools.jackson.core.JacksonException;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.InvalidTypeIdException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/** Says what is wrong with JSON in words of ours: the parser's own tell how it is made, and not what to do. */
public final class JsonProblems {
    private static final Pattern TWICE = Pattern.compile("^Duplicate [^\"']*[\"']([^\"']{1,80})");

    private JsonProblems() {}

    /** Names the key at fault in a JSON document, down to the part that refused. */
    public static Refusal of(JacksonException wrong) {
        String path = path(wrong);
        for (Throwable cause = wrong.getCause(); cause != null; cause = cause.getCause()) {
            switch (cause) {
                case DesignFault fault -> {
                    return below(path, fault.key(), fault);
                }
                case MappingFault fault -> {
                    return below(path, fault.key(), fault);
                }
                case Refusal refusal -> {
                    return below(path, refusal.field(), refusal);
                }
                case NumberFormatException number -> {
                    return Refusal.bad(path.isEmpty() ? null : path, "This is no number.");
                }
                case IllegalArgumentException refused -> {
                    return below(path, null, refused);
                }
                default -> {}
            }
        }
        String field = path.isEmpty() ? null : path;
        return switch (wrong) {
            case UnrecognizedPropertyException unknown ->
                Refusal.bad(
                        path,
                        "There is no key \"%s\" here; known are %s."
                                .formatted(unknown.getPropertyName(), unknown.getKnownPropertyIds()));
            case InvalidTypeIdException type ->
                Refusal.bad(field, CoreJson.whichIsIt(type.getBaseType().getRawClass(), type.getTypeId()));
            case InvalidFormatException form ->
                Refusal.bad(
                        field,
                        "This value does not fit: write %s, not %s."
                                .formatted(expected(form.getTargetType()), Require.shown(form.getValue())));
            case MismatchedInputException mismatch ->
                Refusal.bad(field, "This value does not fit: write %s.".formatted(expected(mismatch.getTargetType())));
            case DatabindException other ->
                Refusal.bad(field, "This value does not fit. The API's description says what may stand here.");
            default -> Refusal.bad(null, "This is no JSON: " + where(wrong));
        };
    }

    /** Where a document is broken. */
    public static String where(JacksonException wrong) {
        Matcher twice = TWICE.matcher(String.valueOf(wrong.getOriginalMessage()));
        if (twice.find()) {
            return "the key \"%s\" stands twice in it.".formatted(twice.group(1));
        }
        TokenStreamLocation at = wrong.getLocation();
        return at == null || at.getLineNr() < 1
                ? "it is broken, or ends too early."
                : "it is broken at line %d, character %d, or ends too early there."
                        .formatted(at.getLineNr(), at.getColumnNr());
    }

    private static Refusal below(String path, @Nullable String key, Throwable fault) {
        String whole = key == null || key.isEmpty() ? path : path.isEmpty() ? key : path + "." + key;
        return Refusal.bad(whole.isEmpty() ? null : whole, String.valueOf(fault.getMessage()));
    }

    private static String expected(@Nullable Class<?> type) {
        if (type == null) {
            return "what the API's description says";
        }
        if (type.isEnum()) {
            return "one of " + Arrays.toString(type.getEnumConstants());
        }
        if (type == String.class
                || type.getSimpleName().endsWith("Key")
                || type.getSimpleName().endsWith("Id")) {
            return "a text";
        }
        if (type == Boolean.class || type == boolean.class) {
            return "true or false";
        }
        if (type == int.class
                || type == long.class
                || type == Integer.class
                || type == Long.class
                || type == BigInteger.class) {
            return "a whole number";
        }
        if (type == double.class || type == Double.class || type == BigDecimal.class || type == Number.class) {
            return "a number";
        }
        if (type == LocalDate.class) {
            return "a day such as 2026-05-31";
        }
        if (Collection.class.isAssignableFrom(type) || type.isArray() || type == CategoryPath.class) {
            return "a list";
        }
        return type.isRecord() || Map.class.isAssignableFrom(type) || type.isInterface()
                ? "an object, in braces"
                : "what the API's description says";
    }

    private static String path(JacksonException wrong) {
        StringBuilder path = new StringBuilder();
        for (JacksonException.Reference reference : wrong.getPath()) {
            if (reference.getPropertyName() != null) {
                path.append(path.isEmpty() ? "" : ".").append(reference.getPropertyName());
            } else if (reference.getIndex() >= 0) {
                path.append('[').append(reference.getIndex()).append(']');
            }
        }
        return path.toString();
    }
}
