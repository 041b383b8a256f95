package tidylantern.server.source;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What of an address nobody should read who sees it: user and password, and parameters that are called as tokens and
 * keys usually are. In their place stands {@value #MASK}.
 */
final class AddressSecrets {
    static final String MASK = "***";
    /** Stands for user and password among the names of parameters. */
    private static final String USER = "@";

    private static final Pattern PARTS = Pattern.compile(
            "^(https?://)(?:([^@/?#]*)@)?([^?#]*)(?:\\?([^#]*))?(#.*)?$", Pattern.CASE_INSENSITIVE | Pattern.DOTALL);
    private static final Pattern SECRET = Pattern.compile(
            "(?i)(.*[-_.])?(token|apikey|key|secret|password|passwd|pwd|pass|auth|sig|signature)|accesstoken|authtoken");
    /** Shorter ones would be found by chance in any text. */
    private static final int SHORTEST_IN_TEXTS = 4;

    private AddressSecrets() {}

    /**
     * An address without its secrets.
     *
     * @param secrets as they are written in the address, by the names of their parameters
     */
    record Hidden(String address, Map<String, String> secrets) {}

    /** Takes the secrets out. What is masked already stays so, and is none of them. */
    static Hidden hide(String address) {
        Map<String, String> secrets = new LinkedHashMap<>();
        String hidden = changed(address, (name, value) -> {
            if (!value.equals(MASK)) {
                secrets.put(name, value);
            }
            return MASK;
        });
        return new Hidden(hidden, secrets);
    }

    /** Puts secrets back; where one is not known the mask stays. */
    static String reveal(String masked, Map<String, String> secrets) {
        return changed(masked, (name, value) -> value.equals(MASK) ? secrets.getOrDefault(name, MASK) : value);
    }

    /** The names of those that are masked. */
    static List<String> masked(String address) {
        List<String> names = new ArrayList<>();
        changed(address, (name, value) -> {
            if (value.equals(MASK)) {
                names.add(name);
            }
            return value;
        });
        return names;
    }

    /** A text in which the secrets may stand, without them. */
    static String without(String text, Map<String, String> secrets) {
        String clean = text;
        for (String secret : secrets.values()) {
            if (secret.length() >= SHORTEST_IN_TEXTS) {
                clean = clean.replace(secret, MASK);
            }
        }
        return clean;
    }

    @FunctionalInterface
    private interface Change {
        String of(String name, String value);
    }

    private static String changed(String address, Change change) {
        Matcher parts = PARTS.matcher(address);
        if (!parts.matches()) {
            return address;
        }
        StringBuilder made = new StringBuilder(parts.group(1));
        if (parts.group(2) != null) {
            made.append(change.of(USER, parts.group(2))).append('@');
        }
        made.append(parts.group(3));
        if (parts.group(4) != null) {
            made.append('?')
                    .append(String.join(
                            "&",
                            List.of(parts.group(4).split("&", -1)).stream()
                                    .map(parameter -> {
                                        int equals = parameter.indexOf('=');
                                        boolean secret = equals > 0
                                                && equals < parameter.length() - 1
                                                && SECRET.matcher(parameter.substring(0, equals))
                                                        .matches();
                                        return secret
                                                ? parameter.substring(0, equals + 1)
                                                        + change.of(
                                                                parameter.substring(0, equals),
                                                                parameter.substring(equals + 1))
                                                : parameter;
                                    })
                                    .toList()));
        }
        return made.append(parts.group(5) == null ? "" : parts.group(5)).toString();
    }
}
