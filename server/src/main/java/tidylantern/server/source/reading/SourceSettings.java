package tidylantern.server.source.reading;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import io.swagger.v3.oas.annotations.media.DiscriminatorMapping;
import io.swagger.v3.oas.annotations.media.Schema;
import java.net.URI;
import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.UnsupportedCharsetException;
import java.util.List;
import java.util.Objects;
import org.jsoup.select.QueryParser;
import org.jsoup.select.Selector;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Addresses;
import tidylantern.server.platform.Refusal;

/** Where a source's records are and how they are read; a shape a kind of source. */
@Schema(
        discriminatorProperty = "kind",
        discriminatorMapping = {
            @DiscriminatorMapping(value = "file", schema = SourceSettings.File.class),
            @DiscriminatorMapping(value = "feed", schema = SourceSettings.Feed.class),
            @DiscriminatorMapping(value = "crawl", schema = SourceSettings.Crawl.class)
        })
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
    @JsonSubTypes.Type(value = SourceSettings.File.class, name = "file"),
    @JsonSubTypes.Type(value = SourceSettings.Feed.class, name = "feed"),
    @JsonSubTypes.Type(value = SourceSettings.Crawl.class, name = "crawl")
})
public sealed interface SourceSettings {
    /** What it is asked of: an address, or the name of what was uploaded. */
    String from();

    /** Where it is asked; null for an upload. */
    @Nullable String address();

    /** The same, asked at another address. */
    SourceSettings withAddress(String other);

    /**
     * A file, uploaded or at an address.
     *
     * @param upload the token of an upload; null where there is an address
     * @param format null to tell it from the file
     * @param delimiter of a CSV, one character; null to tell it from the file
     * @param encoding of a text; null to tell it from the file
     * @param header whether a CSV's first row names its columns; null to tell it from the file
     */
    record File(
            @Nullable String upload,
            @Nullable String address,
            @Nullable Format format,
            @Nullable String delimiter,
            @Nullable String encoding,
            @Nullable Boolean header)
            implements SourceSettings {
        public File {
            upload = given(upload);
            address = given(address);
            Refusals.unless(
                    (upload == null) != (address == null), "address", "Upload a file, or give the address of one.");
            if (address != null) {
                address = web(address, "address");
            }
            delimiter = delimiter == null || delimiter.isEmpty() ? null : delimiter;
            Refusals.unless(
                    delimiter == null || delimiter.length() == 1,
                    "delimiter",
                    "Between columns stands one character, such as ; or a tab.");
            encoding = given(encoding);
            if (encoding != null) {
                try {
                    encoding = Charset.forName(encoding).name();
                } catch (IllegalCharsetNameException | UnsupportedCharsetException unknown) {
                    throw Refusal.bad(
                            "encoding",
                            "\"%s\" is no encoding known here. Choose UTF-8, windows-1252 or UTF-16."
                                    .formatted(encoding));
                }
            }
        }

        @Override
        public String from() {
            return address == null ? "an uploaded file" : address;
        }

        @Override
        public File withAddress(String other) {
            return new File(upload, other, format, delimiter, encoding, header);
        }
    }

    /** How a file holds its records. */
    enum Format {
        CSV,
        JSON,
        JSON_LINES,
        GEOJSON;

        @Override
        public String toString() {
            return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
        }
    }

    /** A feed, RSS 2.0 or Atom 1.0. */
    record Feed(String address) implements SourceSettings {
        public Feed {
            address = web(address, "address");
        }

        @Override
        public String from() {
            return address;
        }

        @Override
        public Feed withAddress(String other) {
            return new Feed(other);
        }
    }

    /**
     * The pages of a website.
     *
     * @param address of a sitemap, or of the page to begin at
     * @param way how pages are found
     * @param prefix only pages whose addresses begin so are items; null for those of the whole site
     * @param pauseMillis between two requests
     * @param mostPages that are read
     * @param mainText CSS selector of the main text; null to tell it from the page
     * @param leaveOut CSS selectors of parts that belong to no text
     * @param parts of the page that become fields of their own
     */
    record Crawl(
            String address,
            Way way,
            @Nullable String prefix,
            Integer pauseMillis,
            Integer mostPages,
            @Nullable String mainText,
            List<String> leaveOut,
            List<Part> parts)
            implements SourceSettings {
        static final int USUAL_PAUSE = 500;
        static final int USUAL_PAGES = 2_000;
        static final int MOST_PAGES = 50_000;

        /** Of a sitemap, all else as usual. */
        // Null takes its default here, as it does where a document leaves a key out.
        @SuppressWarnings("NullAway")
        public static Crawl of(String sitemap, @Nullable String prefix) {
            return new Crawl(sitemap, Way.SITEMAP, prefix, null, null, null, null, null);
        }

        public Crawl {
            address = web(address, "address");
            Refusals.unless(way != null, "way", "Say how pages are found: by sitemap or by links.");
            prefix = given(prefix);
            if (prefix != null) {
                prefix = prefix.startsWith("/")
                        ? URI.create(address.replaceFirst("(?i)^(https?://)[^@/?#]*@", "$1"))
                                .resolve(prefix)
                                .toString()
                        : web(prefix, "prefix");
            }
            pauseMillis = Objects.requireNonNullElse(pauseMillis, USUAL_PAUSE);
            Refusals.unless(
                    pauseMillis >= 0 && pauseMillis <= 60_000,
                    "pauseMillis",
                    "A pause of %d ms is not possible; choose 0 to 60,000.",
                    pauseMillis);
            mostPages = Objects.requireNonNullElse(mostPages, USUAL_PAGES);
            Refusals.unless(
                    mostPages >= 1 && mostPages <= MOST_PAGES,
                    "mostPages",
                    "%d pages are not possible; choose 1 to %d.",
                    mostPages,
                    MOST_PAGES);
            mainText = given(mainText);
            if (mainText != null) {
                selector(mainText, "mainText");
            }
            leaveOut = leaveOut == null ? List.of() : List.copyOf(leaveOut);
            leaveOut.forEach(selector -> selector(selector, "leaveOut"));
            parts = parts == null ? List.of() : List.copyOf(parts);
            Refusals.unless(
                    parts.stream().map(Part::name).distinct().count() == parts.size(),
                    "parts",
                    "Two parts of the page have one name. Give each its own.");
        }

        @Override
        public String from() {
            return address;
        }

        @Override
        public Crawl withAddress(String other) {
            return new Crawl(other, way, prefix, pauseMillis, mostPages, mainText, leaveOut, parts);
        }
    }

    /** How a crawl finds its pages. */
    enum Way {
        SITEMAP,
        LINKS;

        @Override
        public String toString() {
            return name().toLowerCase(java.util.Locale.ROOT);
        }
    }

    /** A part of a page, by a CSS selector; all that it selects. */
    record Part(String name, String selector) {
        public Part {
            name = given(name);
            Refusals.unless(
                    name != null && name.length() <= 60,
                    "parts",
                    "Give each part of the page a name of 1 to 60 characters.");
            SourceSettings.selector(selector, "parts");
        }
    }

    private static @Nullable String given(@Nullable String text) {
        return text == null || text.isBlank() ? null : text.strip();
    }

    private static String web(@Nullable String address, String field) {
        String tidy = address == null ? "" : address.strip();
        boolean whole =
                (tidy.startsWith("https://") || tidy.startsWith("http://")) && Addresses.safe(tidy) && host(tidy);
        Refusals.unless(whole, field, "\"%s\" is no web address; write the whole of it, from https:// on.", tidy);
        return tidy;
    }

    private static boolean host(String address) {
        try {
            return URI.create(address).getHost() != null;
        } catch (IllegalArgumentException wrong) {
            return false;
        }
    }

    private static void selector(String selector, String field) {
        try {
            QueryParser.parse(selector);
        } catch (Selector.SelectorParseException | IllegalArgumentException wrong) {
            throw Refusal.bad(
                    field, "\"%s\" is no CSS selector; write one such as .price or #headline.".formatted(selector));
        }
    }
}
