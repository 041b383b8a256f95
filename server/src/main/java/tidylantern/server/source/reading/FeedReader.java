package tidylantern.server.source.reading;

import com.rometools.rome.feed.synd.SyndCategory;
import com.rometools.rome.feed.synd.SyndContent;
import com.rometools.rome.feed.synd.SyndEnclosure;
import com.rometools.rome.feed.synd.SyndEntry;
import com.rometools.rome.feed.synd.SyndFeed;
import com.rometools.rome.feed.synd.SyndPerson;
import com.rometools.rome.io.FeedException;
import com.rometools.rome.io.SyndFeedInput;
import com.rometools.rome.io.XmlReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URI;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Date;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jdom2.Element;
import org.jspecify.annotations.Nullable;

/** Reads the entries of a feed: RSS 2.0, Atom 1.0. Document types are refused, and with them entities of any kind. */
public final class FeedReader {
    private final WebFetcher.Fetched answer;

    public FeedReader(WebFetcher.Fetched answer) {
        this.answer = answer;
    }

    public void read(Reading reading) throws SourceProblem {
        if (!answer.ok()) {
            throw new SourceProblem("%s answers with status %d. Check the address, or try again later."
                    .formatted(answer.address(), answer.status()));
        }
        if (answer.body().length == 0) {
            throw new SourceProblem(
                    "%s answers with nothing. Check the address, or try again later.".formatted(answer.address()));
        }
        SyndFeed feed = feed();
        List<SyndEntry> entries = feed.getEntries();
        if (entries.isEmpty()) {
            throw new SourceProblem("The feed at %s has no entries. Nothing was changed.".formatted(answer.address()));
        }
        int number = 0;
        for (SyndEntry entry : entries) {
            if (reading.enough()) {
                return;
            }
            number++;
            reading.record(entry.getLink() == null ? "entry " + number : entry.getLink(), columns(entry));
            reading.progress(number, entries.size());
        }
    }

    private SyndFeed feed() throws SourceProblem {
        SyndFeedInput input = new SyndFeedInput();
        input.setAllowDoctypes(false);
        try (XmlReader xml = new XmlReader(
                new ByteArrayInputStream(answer.body()),
                answer.type().isEmpty()
                        ? null
                        : answer.type() + (answer.charset() == null ? "" : "; charset=" + answer.charset()),
                true)) {
            return input.build(xml);
        } catch (FeedException | IOException | IllegalArgumentException wrong) {
            String reason = String.valueOf(wrong.getMessage()).contains("DOCTYPE")
                    ? "it has a document type, which feeds do not need and this service does not read"
                    : String.valueOf(wrong.getMessage());
            throw new SourceProblem(
                    "What %s answers is no RSS or Atom feed: %s".formatted(answer.address(), reason), wrong);
        }
    }

    private Map<String, @Nullable Object> columns(SyndEntry entry) {
        Map<String, @Nullable Object> columns = new LinkedHashMap<>();
        columns.put("id", entry.getUri() == null ? entry.getLink() : entry.getUri());
        columns.put("title", text(entry.getTitleEx()));
        columns.put("summary", text(entry.getDescription()));
        columns.put(
                "content",
                entry.getContents().isEmpty() ? null : text(entry.getContents().getFirst()));
        columns.put("link", absolute(entry.getLink()));
        columns.put("published", day(entry.getPublishedDate()));
        columns.put("updated", day(entry.getUpdatedDate()));
        String author = entry.getAuthors().isEmpty()
                ? entry.getAuthor()
                : String.join(
                        ", ",
                        entry.getAuthors().stream().map(SyndPerson::getName).toList());
        columns.put("author", author == null || author.isBlank() ? null : author);
        List<String> categories = entry.getCategories().stream()
                .map(SyndCategory::getName)
                .filter(name -> name != null && !name.isBlank())
                .toList();
        columns.put("categories", categories.isEmpty() ? null : categories);
        entry.getEnclosures().stream()
                .filter(enclosure ->
                        enclosure.getType() != null && enclosure.getType().startsWith("image/"))
                .map(SyndEnclosure::getUrl)
                .findFirst()
                .ifPresent(image -> columns.put("image", absolute(image)));
        entry.getForeignMarkup().forEach(element -> add(columns, element));
        return columns;
    }

    /** Elements of other vocabularies, by their prefix and name; of one that comes several times, a list. */
    private static void add(Map<String, @Nullable Object> columns, Element element) {
        String name = element.getNamespacePrefix().isEmpty()
                ? element.getName()
                : element.getNamespacePrefix() + ":" + element.getName();
        Object value = element.getTextTrim();
        if (String.valueOf(value).isEmpty()) {
            element.getAttributes()
                    .forEach(attribute -> columns.putIfAbsent(name + "." + attribute.getName(), attribute.getValue()));
            return;
        }
        Object before = columns.get(name);
        if (before == null) {
            columns.put(name, value);
        } else {
            List<Object> all = new ArrayList<>(before instanceof List<?> list ? list : List.of(before));
            all.add(value);
            columns.put(name, all);
        }
    }

    private @Nullable String absolute(@Nullable String address) {
        if (address == null || address.isBlank()) {
            return null;
        }
        URI whole = SiteAddresses.tidy(answer.address(), address);
        return whole == null ? address : whole.toString();
    }

    private static @Nullable String text(@Nullable SyndContent content) {
        if (content == null || content.getValue() == null || content.getValue().isBlank()) {
            return null;
        }
        String type = content.getType();
        boolean plain = "text".equals(type) || "text/plain".equals(type);
        // RSS does not say what its texts are; a tag or an entity in them says it.
        boolean html = "html".equals(type)
                || "xhtml".equals(type)
                || "text/html".equals(type)
                || (!plain && content.getValue().matches("(?s).*(</?[a-zA-Z][^>]*>|&[a-z#0-9]+;).*"));
        return html
                ? PageText.ofFragment(content.getValue())
                : content.getValue().strip();
    }

    private static @Nullable String day(@Nullable Date date) {
        return date == null
                ? null
                : date.toInstant().atOffset(ZoneOffset.UTC).toLocalDate().toString();
    }
}
