package tidylantern.server.source.reading;

import jakarta.annotation.PreDestroy;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.URI;
import java.net.UnknownHostException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.hc.client5.http.classic.methods.HttpGet;
import org.apache.hc.client5.http.config.ConnectionConfig;
import org.apache.hc.client5.http.config.RequestConfig;
import org.apache.hc.client5.http.impl.classic.CloseableHttpClient;
import org.apache.hc.client5.http.impl.classic.HttpClients;
import org.apache.hc.client5.http.impl.io.PoolingHttpClientConnectionManagerBuilder;
import org.apache.hc.core5.http.ClassicHttpResponse;
import org.apache.hc.core5.http.ContentType;
import org.apache.hc.core5.http.Header;
import org.apache.hc.core5.http.HttpEntity;
import org.apache.hc.core5.http.HttpHost;
import org.apache.hc.core5.io.CloseMode;
import org.apache.hc.core5.util.Timeout;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;
import tidylantern.server.platform.Settings;

/**
 * Asks websites for pages, feeds and files, with every answer bounded in size and time. Redirects are followed by hand,
 * a few at most, so that each can be refused; private addresses are refused unless the operator allows the host.
 */
@Component
public class WebFetcher {
    /** How this service names itself to sites; also what their robots.txt may call it. */
    static final String ROBOT = "TidyLantern";

    private static final String USER_AGENT = ROBOT + "/0.1 (+site search)";
    private static final int MOST_REDIRECTS = 5;
    /** Whoever sends less holds a run that others wait for. Counted once the sender had time to begin. */
    private static final int LEAST_BYTES_A_SECOND = 1_000;

    private static final Duration BEFORE_SPEED_COUNTS = Duration.ofSeconds(10);

    private final Duration beforeSpeedCounts;
    private final PublicHosts hosts;
    private final CloseableHttpClient client;
    /** By the thread that waits for the answer. */
    private final Map<Thread, HttpGet> underWay = new ConcurrentHashMap<>();

    private final ScheduledExecutorService deadlines = Executors.newSingleThreadScheduledExecutor(
            Thread.ofPlatform().name("fetch-deadlines").daemon().factory());

    @Autowired
    WebFetcher(Settings settings) {
        this(settings, BEFORE_SPEED_COUNTS);
    }

    WebFetcher(Settings settings, Duration beforeSpeedCounts) {
        this.beforeSpeedCounts = beforeSpeedCounts;
        hosts = new PublicHosts(settings.allowedHosts());
        client = HttpClients.custom()
                .disableRedirectHandling()
                .disableCookieManagement()
                .disableAuthCaching()
                .disableAutomaticRetries()
                .setUserAgent(USER_AGENT)
                .setDefaultRequestConfig(RequestConfig.custom()
                        .setResponseTimeout(Timeout.ofSeconds(20))
                        .build())
                .setConnectionManager(PoolingHttpClientConnectionManagerBuilder.create()
                        .setDnsResolver(hosts)
                        .setDefaultConnectionConfig(ConnectionConfig.custom()
                                .setConnectTimeout(Timeout.ofSeconds(10))
                                .setSocketTimeout(Timeout.ofSeconds(20))
                                .build())
                        .build())
                .build();
    }

    /** Breaks off what a thread is fetching; nothing, where it fetches nothing just now. */
    public void abort(Thread waiting) {
        HttpGet request = underWay.get(waiting);
        if (request != null) {
            request.abort();
        }
    }

    /** Breaks off whatever is under way; nothing can be fetched afterwards. */
    @PreDestroy
    public void stop() {
        deadlines.shutdownNow();
        client.close(CloseMode.IMMEDIATE);
    }

    /**
     * What may come back at most.
     *
     * @param bytes after unpacking, so that a small answer cannot grow without end
     * @param time from the first request to the last byte
     * @param sameSite whether redirects must stay on the host that was asked
     */
    public record Limits(long bytes, Duration time, boolean sameSite) {}

    /** What was known before, so that an unchanged answer need not be sent; both null to ask for all. */
    public record Known(
            @Nullable String entityTag, @Nullable String lastModified) {
        public static final Known NOTHING = new Known(null, null);
    }

    /**
     * An answer.
     *
     * @param address where it came from in the end
     * @param notModified whether it is as it was known; there is no body then
     * @param type media type in small letters, without parameters; empty where none was said
     * @param charset that the header names; null where it names none
     * @param framed whether a page of another origin may show it in a frame, as its headers say
     * @param policies its content security policies, as its headers have them
     */
    // Read once, compared with nothing.
    @SuppressWarnings("ArrayRecordComponent")
    public record Fetched(
            URI address,
            int status,
            boolean notModified,
            String type,
            @Nullable String charset,
            @Nullable String entityTag,
            @Nullable String lastModified,
            boolean framed,
            List<String> policies,
            byte[] body) {
        public boolean ok() {
            return status >= 200 && status < 300;
        }

        boolean gone() {
            return status == 404 || status == 410;
        }
    }

    /**
     * Fetches into memory. An answer of any status comes back; only what is no answer at all, or too large, is a
     * problem.
     */
    public Fetched fetch(URI address, Known known, Limits limits) throws SourceProblem {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        Fetched head = fetch(address, known, limits, body);
        return new Fetched(
                head.address(),
                head.status(),
                head.notModified(),
                head.type(),
                head.charset(),
                head.entityTag(),
                head.lastModified(),
                head.framed(),
                head.policies(),
                body.toByteArray());
    }

    /** Like {@link #fetch(URI, Known, Limits)}, with the body going elsewhere. */
    public Fetched fetch(URI address, Known known, Limits limits, OutputStream body) throws SourceProblem {
        URI first = withoutUser(address);
        URI at = first;
        AtomicBoolean late = new AtomicBoolean();
        long end = System.nanoTime() + limits.time().toNanos();
        for (int redirects = 0; ; redirects++) {
            HttpGet request = new HttpGet(at);
            // Whoever is led elsewhere takes no password along.
            if (address.getUserInfo() != null
                    && first.getScheme().equals(at.getScheme())
                    && first.getRawAuthority().equals(at.getRawAuthority())) {
                request.setHeader(
                        "Authorization",
                        "Basic "
                                + Base64.getEncoder()
                                        .encodeToString(address.getUserInfo().getBytes(StandardCharsets.UTF_8)));
            }
            if (known.entityTag() != null) {
                request.setHeader("If-None-Match", known.entityTag());
            }
            if (known.lastModified() != null) {
                request.setHeader("If-Modified-Since", known.lastModified());
            }
            ScheduledFuture<?> deadline = deadlines.schedule(
                    () -> {
                        late.set(true);
                        request.abort();
                    },
                    Math.max(1, end - System.nanoTime()),
                    TimeUnit.NANOSECONDS);
            URI asked = at;
            underWay.put(Thread.currentThread(), request);
            try {
                Answer answer = ask(request, target(at), asked, limits, body);
                if (answer.redirect() == null) {
                    return answer.fetched();
                }
                at = next(asked, answer.redirect(), limits, redirects);
            } catch (TooSlow slow) {
                throw new SourceProblem(
                        "%s sends fewer than %d bytes a second, so it was given up. Try again later."
                                .formatted(first, LEAST_BYTES_A_SECOND),
                        slow);
            } catch (TooLarge large) {
                throw new SourceProblem(
                        "%s has more than %s. Bring in a smaller one.".formatted(first, size(limits.bytes())), large);
            } catch (PublicHosts.Refused refused) {
                throw new SourceProblem(String.valueOf(refused.getMessage()), refused);
            } catch (UnknownHostException unknown) {
                throw new SourceProblem(
                        "There is no host \"%s\". Check the address.".formatted(asked.getHost()), unknown);
            } catch (IOException | RuntimeException failure) {
                if (late.get()) {
                    throw new SourceProblem(
                            "%s took longer than %d s, so it was given up."
                                    .formatted(first, limits.time().toSeconds()),
                            failure);
                }
                throw new SourceProblem(
                        "%s does not answer (%s). Try again later."
                                .formatted(
                                        first,
                                        failure.getMessage() == null
                                                ? failure.getClass().getSimpleName()
                                                : failure.getMessage()),
                        failure);
            } finally {
                underWay.remove(Thread.currentThread());
                deadline.cancel(false);
            }
        }
    }

    private static URI withoutUser(URI address) {
        return address.getRawUserInfo() == null
                ? address
                : URI.create(address.toString().replaceFirst("://[^@/?#]*@", "://"));
    }

    private HttpHost target(URI at) throws SourceProblem {
        int port = at.getPort() > 0 ? at.getPort() : at.getScheme().equalsIgnoreCase("https") ? 443 : 80;
        try {
            boolean onlyOtherPortsAllowed = !hosts.allowed(at.getHost(), port)
                    && PublicHosts.special(java.net.InetAddress.getByName(at.getHost()));
            if (onlyOtherPortsAllowed) {
                throw new SourceProblem(
                        String.valueOf(new PublicHosts.Refused(at.getHost() + ":" + port).getMessage()));
            }
        } catch (UnknownHostException unknown) {
            throw new SourceProblem("There is no host \"%s\". Check the address.".formatted(at.getHost()), unknown);
        }
        return new HttpHost(at.getScheme(), at.getHost(), port);
    }

    private record Answer(Fetched fetched, @Nullable String redirect) {}

    private Answer ask(HttpGet request, HttpHost target, URI at, Limits limits, OutputStream body) throws IOException {
        try {
            return client.execute(target, request, response -> read(request, at, response, limits, body));
        } catch (EndlessErrorPage unwanted) {
            return unwanted.answer;
        }
    }

    private Answer read(HttpGet request, URI at, ClassicHttpResponse response, Limits limits, OutputStream body)
            throws IOException {
        int status = response.getCode();
        Header location = response.getFirstHeader("Location");
        HttpEntity entity = response.getEntity();
        ContentType type = entity == null || entity.getContentType() == null
                ? null
                : ContentType.parseLenient(entity.getContentType());
        Fetched head = new Fetched(
                at,
                status,
                status == 304,
                type == null || type.getMimeType() == null
                        ? ""
                        : type.getMimeType().toLowerCase(Locale.ROOT),
                type == null || type.getCharset() == null
                        ? null
                        : type.getCharset().name(),
                header(response, "ETag"),
                header(response, "Last-Modified"),
                framed(response),
                policies(response),
                new byte[0]);
        boolean redirected = status >= 300 && status < 400 && status != 304 && location != null;
        Answer answer = new Answer(head, redirected ? location.getValue() : null);
        if (entity == null) {
            return answer;
        }
        if (head.ok()) {
            copy(request, entity, limits, body);
            return answer;
        }
        try {
            copy(request, entity, limits, OutputStream.nullOutputStream());
            return answer;
        } catch (TooLarge | TooSlow unwanted) {
            throw new EndlessErrorPage(answer, unwanted);
        }
    }

    /**
     * Copies a body within the limits. Beyond them the connection is cut first: closing a stream of HttpClient would
     * read the rest to its end.
     */
    private void copy(HttpGet request, HttpEntity entity, Limits limits, OutputStream body) throws IOException {
        try (InputStream in = entity.getContent()) {
            byte[] some = new byte[1 << 14];
            long all = 0;
            long begun = System.nanoTime();
            for (int n = in.read(some); n >= 0; n = in.read(some)) {
                all += n;
                Duration since = Duration.ofNanos(System.nanoTime() - begun);
                if (all > limits.bytes()) {
                    request.abort();
                    throw new TooLarge();
                }
                if (since.compareTo(beforeSpeedCounts) >= 0 && all < since.toSeconds() * LEAST_BYTES_A_SECOND) {
                    request.abort();
                    throw new TooSlow();
                }
                body.write(some, 0, n);
            }
        }
    }

    private static URI next(URI asked, @Nullable String location, Limits limits, int redirects) throws SourceProblem {
        if (redirects >= MOST_REDIRECTS) {
            throw new SourceProblem("%s leads from one address to the next without end. Give the address where it ends."
                    .formatted(asked));
        }
        URI next;
        try {
            next = asked.resolve(String.valueOf(location));
        } catch (IllegalArgumentException wrong) {
            throw new SourceProblem("%s leads to \"%s\", which is no address.".formatted(asked, location), wrong);
        }
        String scheme = String.valueOf(next.getScheme()).toLowerCase(Locale.ROOT);
        if (!scheme.matches("https?") || next.getHost() == null) {
            throw new SourceProblem("%s leads to \"%s\", which is no web address.".formatted(asked, location));
        }
        if (limits.sameSite() && !SiteAddresses.sameSite(asked, next)) {
            throw new SourceProblem(
                    "%s leads to another site, %s, which is not followed.".formatted(asked, next.getHost()));
        }
        return next;
    }

    /** By `X-Frame-Options` (RFC 7034), which `frame-ancestors` (CSP 3, 6.4.2) overrules where both are there. */
    private static boolean framed(ClassicHttpResponse response) {
        String policy = policies(response).stream()
                .flatMap(header -> Stream.of(header.split(";")))
                .map(directive -> directive.strip().toLowerCase(Locale.ROOT))
                .filter(directive -> directive.startsWith("frame-ancestors"))
                .collect(Collectors.joining(" "));
        return policy.isEmpty()
                ? header(response, "X-Frame-Options") == null
                : List.of(policy.split("\\s+")).contains("*");
    }

    /** Several of one header are separate policies, and so are those that commas part (CSP 3, 3.1). */
    private static List<String> policies(ClassicHttpResponse response) {
        return Stream.of(response.getHeaders("Content-Security-Policy"))
                .flatMap(header -> Stream.of(header.getValue().split(",")))
                .toList();
    }

    private static @Nullable String header(ClassicHttpResponse response, String name) {
        Header header = response.getFirstHeader(name);
        return header == null
                        || header.getValue().isBlank()
                        || header.getValue().length() > 300
                ? null
                : header.getValue();
    }

    public static String size(long bytes) {
        return bytes >= 1_000_000 ? "%d MB".formatted(bytes / 1_000_000) : "%d kB".formatted(bytes / 1_000);
    }

    private static final class TooSlow extends IOException {
        TooSlow() {
            super("slower than allowed");
        }
    }

    private static final class TooLarge extends IOException {
        TooLarge() {
            super("larger than allowed");
        }
    }

    /** The answer is known, and the rest of a body that nobody wants was not waited for. */
    private static final class EndlessErrorPage extends IOException {
        private final transient Answer answer;

        EndlessErrorPage(Answer answer, IOException cause) {
            super("more of an unwanted body than is read", cause);
            this.answer = answer;
        }
    }
}
