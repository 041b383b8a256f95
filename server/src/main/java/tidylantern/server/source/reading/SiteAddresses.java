package tidylantern.server.source.reading;

import java.net.URI;
import java.net.URISyntaxException;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import org.jspecify.annotations.Nullable;

/** Addresses as a crawl compares them. */
public final class SiteAddresses {
    /** What servers give for a folder, by common practice. */
    private static final List<String> FOLDERS_PAGES =
            List.of("index.html", "index.htm", "index.xhtml", "index.php", "default.html", "default.htm");

    private SiteAddresses() {}

    /** Whether two addresses are of one host and port; https counts as the same site as http. */
    public static boolean sameSite(URI a, URI b) {
        return a.getHost() != null
                && a.getHost().equalsIgnoreCase(b.getHost())
                && (port(a) == port(b) || (a.getPort() < 0 && b.getPort() < 0));
    }

    private static int port(URI address) {
        return address.getPort() > 0 ? address.getPort() : "https".equalsIgnoreCase(address.getScheme()) ? 443 : 80;
    }

    /**
     * One form for each page: no fragment, no default port, small letters in the host, a path; null if it is no web
     * address.
     */
    public static @Nullable URI tidy(String address) {
        try {
            URI uri = new URI(address.strip().replace(" ", "%20").replaceAll("[\\x00-\\x20<>\"{}|\\\\^`]", ""))
                    .normalize();
            String scheme = uri.getScheme() == null ? "" : uri.getScheme().toLowerCase(Locale.ROOT);
            if (!scheme.matches("https?") || uri.getHost() == null) {
                return null;
            }
            int port = uri.getPort() == (scheme.equals("https") ? 443 : 80) ? -1 : uri.getPort();
            String path = uri.getRawPath() == null || uri.getRawPath().isEmpty() ? "/" : uri.getRawPath();
            String query = uri.getRawQuery() == null ? "" : "?" + uri.getRawQuery();
            String host = uri.getHost().toLowerCase(Locale.ROOT);
            return URI.create(scheme + "://" + host + (port < 0 ? "" : ":" + port) + path + query);
        } catch (URISyntaxException | IllegalArgumentException noAddress) {
            return null;
        }
    }

    /**
     * A page of the site, asked by the user that the site's first address names; the page itself where it names none.
     */
    public static URI signedIn(URI start, URI page) {
        String user = start.getRawUserInfo();
        return user == null || !sameSite(start, page)
                ? page
                : URI.create(page.toString()
                        .replaceFirst("://(?:[^@/?#]*@)?", Matcher.quoteReplacement("://" + user + "@")));
    }

    /**
     * Of {@code /x/} the address {@code /x/index.html} and its like, and the other way round: where many servers have
     * one page; none of others.
     */
    static List<URI> samePagePerhaps(URI page) {
        String path = page.getRawPath() == null ? "" : page.getRawPath();
        if (page.getRawQuery() != null) {
            return List.of();
        }
        if (path.endsWith("/")) {
            return FOLDERS_PAGES.stream().map(name -> page.resolve(path + name)).toList();
        }
        String name = path.substring(path.lastIndexOf('/') + 1);
        return FOLDERS_PAGES.contains(name)
                ? List.of(page.resolve(path.substring(0, path.length() - name.length())))
                : List.of();
    }

    public static @Nullable URI tidy(URI base, String reference) {
        try {
            return tidy(base.resolve(reference.strip().replace(" ", "%20")).toString());
        } catch (IllegalArgumentException noAddress) {
            return null;
        }
    }
}
