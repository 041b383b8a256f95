package tidylantern.core.embedding;

import java.net.URI;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * One content security policy, as far as it decides what an embedded search may load and ask (Content Security Policy
 * Level 3: 2.2 for directives, 6.8.3 for what stands in for one that is not there, 6.7.2.6 to 6.7.2.13 for how an
 * address is matched). Hashes are taken for a yes, since they would have to be those of the script.
 */
final class ContentPolicy {
    private static final Pattern HOST_SOURCE =
            Pattern.compile("(?:([a-z][a-z0-9+.-]*)://)?(\\*|(?:\\*\\.)?[a-z0-9._-]+)(?::(\\d+|\\*))?(/.*)?");

    private final Map<String, List<String>> directives = new LinkedHashMap<>();

    ContentPolicy(String policy) {
        for (String directive : policy.split(";")) {
            String[] parts = directive.strip().split("\\s+");
            // Of one that stands there twice the first holds.
            directives.putIfAbsent(
                    parts[0].toLowerCase(Locale.ROOT), Arrays.asList(parts).subList(1, parts.length));
        }
    }

    /** The directive that decides over scripts; the most general where there is none. */
    String scriptDirective() {
        return deciding("script-src-elem", "script-src", "default-src");
    }

    /** The directive that decides over what is asked. */
    String askingDirective() {
        return deciding("connect-src", "default-src");
    }

    private String deciding(String... names) {
        return Arrays.stream(names).filter(directives::containsKey).findFirst().orElse(names[names.length - 1]);
    }

    boolean allowsScript(PageSeen.Script script, URI page) {
        List<String> sources = directives.get(scriptDirective());
        if (sources == null) {
            return true;
        }
        boolean byToken = sources.stream()
                .anyMatch(source -> source.equals("'nonce-" + script.nonce() + "'") || source.startsWith("'sha"));
        // With strict-dynamic, addresses count for nothing.
        return byToken || (!sources.contains("'strict-dynamic'") && names(sources, script.address(), page));
    }

    boolean allowsAsking(URI service, URI page) {
        List<String> sources = directives.get(askingDirective());
        return sources == null || names(sources, service, page);
    }

    private static boolean names(List<String> sources, URI address, URI page) {
        return sources.stream().anyMatch(source -> matches(source.toLowerCase(Locale.ROOT), address, page));
    }

    private static boolean matches(String source, URI address, URI page) {
        String scheme = String.valueOf(address.getScheme()).toLowerCase(Locale.ROOT);
        if (source.equals("'self'")) {
            return EmbeddingCheck.originOf(address).equals(EmbeddingCheck.originOf(page));
        }
        if (source.equals("*")) {
            return scheme.equals("https") || scheme.equals("http");
        }
        if (source.endsWith(":")) {
            return isScheme(source.substring(0, source.length() - 1), scheme);
        }
        Matcher host = HOST_SOURCE.matcher(source);
        return host.matches()
                && isScheme(host.group(1) == null ? String.valueOf(page.getScheme()) : host.group(1), scheme)
                && isHost(host.group(2), String.valueOf(address.getHost()).toLowerCase(Locale.ROOT))
                && isPort(host.group(3), address, scheme)
                && isPath(host.group(4), address);
    }

    /** What allows http allows https as well. */
    private static boolean isScheme(String allowed, String scheme) {
        return allowed.equals(scheme) || (allowed.equals("http") && scheme.equals("https"));
    }

    private static boolean isHost(String allowed, String host) {
        return allowed.equals("*")
                || allowed.equals(host)
                || (allowed.startsWith("*.") && host.endsWith(allowed.substring(1)));
    }

    private static boolean isPort(@Nullable String allowed, URI address, String scheme) {
        int usual = scheme.equals("https") ? 443 : 80;
        int port = address.getPort() < 0 ? usual : address.getPort();
        return allowed == null ? port == usual : allowed.equals("*") || allowed.equals(String.valueOf(port));
    }

    private static boolean isPath(@Nullable String allowed, URI address) {
        String path = String.valueOf(address.getRawPath());
        // Whoever is asked has no path yet.
        return allowed == null
                || allowed.equals("/")
                || path.isEmpty()
                || (allowed.endsWith("/") ? path.startsWith(allowed) : path.equals(allowed));
    }
}
