package tidylantern.server.source;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemReader;
import tidylantern.core.content.ItemRefused;
import tidylantern.core.content.KindGuess;
import tidylantern.core.content.SiteContent;
import tidylantern.core.mapping.Doubts;
import tidylantern.core.mapping.Mapper;
import tidylantern.core.mapping.Mapping;
import tidylantern.core.mapping.MappingGuess;
import tidylantern.core.place.Gazetteer;
import tidylantern.server.content.SiteContents;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;
import tidylantern.server.site.Sites;
import tidylantern.server.source.reading.CrawlReader;
import tidylantern.server.source.reading.FileReader;
import tidylantern.server.source.reading.Reading;
import tidylantern.server.source.reading.SourceProblem;
import tidylantern.server.source.reading.SourceSettings;

/** Shows what a source has, before anything of it is taken. */
@Component
class SourcePreviews {
    /** What only one record in thousands says, such as an address among texts, decides about a kind as well. */
    private static final int RECORDS_TO_GUESS_FROM = 20_000;

    private static final int RECORDS_KEPT = 200;
    /** Of all values together, so many letters are kept to guess from; of long ones their beginning. */
    private static final long MOST_LETTERS = 5_000_000;

    private static final int LONGEST_VALUE = 200;
    private static final int PAGES = 5;
    private static final int SHOWN = 12;
    private static final int SAMPLES = 3;
    private static final int LONGEST_SAMPLE = 160;
    private static final long LONGEST_NANOS = 25_000_000_000L;
    private static final long KEPT_NANOS = 600_000_000_000L;
    private static final int MOST_KEPT = 4;

    private final SourceReaders readers;
    private final SiteContents contents;
    private final Sites sites;
    private final Gazetteer gazetteer;
    private final Map<Asked, Read> kept = new LinkedHashMap<>(16, .75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Asked, Read> eldest) {
            return size() > MOST_KEPT;
        }
    };

    SourcePreviews(SourceReaders readers, SiteContents contents, Sites sites, Gazetteer gazetteer) {
        this.readers = readers;
        this.contents = contents;
        this.sites = sites;
        this.gazetteer = gazetteer;
    }

    /** @param samples the first different values, as text */
    record Column(String name, List<String> samples) {}

    /**
     * One of the first records, as the mapping makes an item of it.
     *
     * @param id null where it has none
     * @param values as text, by the mapped property
     * @param problem why it would be refused; null where it would be taken
     */
    record PreviewItem(
            String at,
            @Nullable String id,
            Map<String, String> values,
            @Nullable String problem) {}

    /** Something that the owner should know about one mapped field. */
    record FieldNote(String property, String note) {}

    record Problem(String at, String reason) {}

    /**
     * @param form how the file is read; null for other kinds
     * @param mapping the one that was given, or the one guessed; null where no column says anything
     * @param complete whether these are all records there are
     */
    record Preview(
            FileReader.@Nullable Form form,
            int records,
            boolean complete,
            List<Column> columns,
            @Nullable Mapping mapping,
            List<FieldNote> fieldNotes,
            List<PreviewItem> items,
            List<String> notes,
            List<Problem> problems) {}

    /** What was read of a source, kept for a while: an owner corrects a mapping in many small steps. */
    private record Read(
            First first,
            FileReader.@Nullable Form form,
            @Nullable Mapping guess,
            Map<String, String> doubts,
            long until) {}

    private record Asked(SiteKey site, SourceSettings settings) {}

    private Read read(SiteKey site, SourceSettings settings, boolean fresh) {
        Asked asked = new Asked(site, settings);
        synchronized (kept) {
            Read before = kept.get(asked);
            if (before != null && !fresh && System.nanoTime() < before.until()) {
                return before;
            }
        }
        First first = new First(settings instanceof SourceSettings.Crawl ? PAGES : RECORDS_TO_GUESS_FROM);
        try {
            FileReader.Form form = readers.read(site, settings, CrawlReader.Memory.NONE, first);
            Mapping guess = MappingGuess.of(first.values, null, gazetteer);
            Map<String, String> doubts = guess == null ? Map.of() : Doubts.of(guess, first.values, gazetteer);
            Read read = new Read(first, form, guess, doubts, System.nanoTime() + KEPT_NANOS);
            synchronized (kept) {
                kept.put(asked, read);
            }
            return read;
        } catch (SourceProblem problem) {
            throw Refusal.bad("settings", String.valueOf(problem.getMessage()));
        }
    }

    /**
     * @param fresh whether to read the source again though it was read a moment ago
     * @throws Refusal with the reason, if the source cannot be read
     */
    Preview of(
            SiteKey site,
            SourceSettings settings,
            @Nullable Mapping given,
            @Nullable String collectionKey,
            boolean fresh) {
        Collection existing =
                collectionKey == null || !known(site, collectionKey) ? null : contents.collection(site, collectionKey);
        Read read = read(site, settings, fresh);
        First first = read.first();
        if (first.records.isEmpty()) {
            String why = first.problems.isEmpty()
                    ? "There is nothing in it."
                    : "Nothing in it can be read; the first is %s: %s."
                            .formatted(
                                    first.problems.getFirst().at(),
                                    first.problems.getFirst().reason());
            throw Refusal.bad("settings", why);
        }
        Mapping mapping = given != null
                ? given
                : existing == null ? read.guess() : MappingGuess.of(first.values, existing, gazetteer);
        return new Preview(
                read.form(),
                first.read,
                !first.full(),
                columns(first.records),
                mapping,
                mapping == null ? List.of() : notes(site, mapping, existing, read),
                mapping == null ? List.of() : items(site, mapping, first.records),
                List.copyOf(first.notes),
                first.problems.stream().limit(SHOWN).toList());
    }

    private boolean known(SiteKey site, String collection) {
        return contents.of(site).collections().stream()
                .anyMatch(one -> one.key().value().equals(collection));
    }

    private static Map<String, List<Object>> samples(List<Rec> records) {
        Map<String, List<Object>> samples = new LinkedHashMap<>();
        for (Rec record : records) {
            record.columns().forEach((column, value) -> {
                List<Object> values = samples.computeIfAbsent(column, key -> new ArrayList<>());
                if (value != null && !(value instanceof String text && text.isBlank())) {
                    values.add(value);
                }
            });
        }
        return samples;
    }

    private static List<Column> columns(List<Rec> records) {
        return samples(records).entrySet().stream()
                .map(column -> new Column(
                        column.getKey(),
                        column.getValue().stream()
                                .map(SourcePreviews::text)
                                .distinct()
                                .limit(SAMPLES)
                                .toList()))
                .toList();
    }

    private static String text(Object value) {
        String text = value instanceof List<?> list
                ? String.join(" · ", list.stream().map(String::valueOf).toList())
                : value instanceof Map<?, ?> map
                        ? String.join(
                                " · ",
                                map.values().stream().map(String::valueOf).toList())
                        : String.valueOf(value);
        return text.length() <= LONGEST_SAMPLE ? text : text.substring(0, LONGEST_SAMPLE) + "…";
    }

    private List<PreviewItem> items(SiteKey site, Mapping mapping, List<Rec> records) {
        Mapper mapper = new Mapper(mapping, sites.get(site).address(), gazetteer);
        ItemReader reader = new ItemReader(new Collection(
                new CollectionKey("preview"),
                "Preview",
                "en",
                mapping.fields().stream()
                        .map(field -> new Field(
                                new FieldKey(field.property()), field.kind(), field.property(), field.label()))
                        .toList()));
        List<PreviewItem> items = new ArrayList<>();
        for (Rec record : records.subList(0, Math.min(SHOWN, records.size()))) {
            try {
                Mapper.Mapped mapped = mapper.map(record.columns());
                Map<String, String> values = new LinkedHashMap<>();
                mapped.properties().forEach((property, value) -> {
                    if (value != null) {
                        values.put(property, text(value));
                    }
                });
                reader.read(mapped.id(), mapped.properties());
                items.add(new PreviewItem(record.at(), mapped.id().value(), values, null));
            } catch (ItemRefused refused) {
                items.add(new PreviewItem(record.at(), null, Map.of(), String.valueOf(refused.getMessage())));
            }
        }
        return items;
    }

    /**
     * A field's key has one kind in a site; where a name is taken by another kind, the mapping says what becomes of it.
     * What was guessed with doubt says why.
     */
    private List<FieldNote> notes(SiteKey site, Mapping mapping, @Nullable Collection existing, Read read) {
        SiteContent content = contents.of(site);
        List<FieldNote> notes = new ArrayList<>();
        for (Mapping.MappedField field : mapping.fields()) {
            Field here = existing == null ? null : existing.byProperty().get(field.property());
            FieldKind elsewhere = content.kind(new FieldKey(field.property()));
            if (here != null && here.kind() != field.kind()) {
                notes.add(new FieldNote(
                        field.property(),
                        "%s keeps it as %s. Choose that kind, or correct the field first."
                                .formatted(Objects.requireNonNull(existing).label(), here.kind())));
            } else if (here == null && elsewhere != null && elsewhere != field.kind()) {
                notes.add(new FieldNote(
                        field.property(),
                        "Another collection has \"%s\" as %s, so this becomes a field of its own."
                                .formatted(field.property(), elsewhere)));
            } else if (here == null
                    && isGuess(field, read.guess())
                    && read.doubts().containsKey(field.property())) {
                notes.add(new FieldNote(
                        field.property(), String.valueOf(read.doubts().get(field.property()))));
            }
        }
        return notes;
    }

    /** Whether a field stands as it was guessed; what an owner has corrected is not doubted any more. */
    private static boolean isGuess(Mapping.MappedField field, @Nullable Mapping guess) {
        return guess != null
                && guess.fields().stream()
                        .anyMatch(one -> one.withLabel(field.label()).equals(field));
    }

    private record Rec(String at, Map<String, @Nullable Object> columns) {}

    /** Keeps the first records, and of many more what their columns say. */
    private static final class First implements Reading {
        private final int most;
        private final Map<String, List<Object>> values = new LinkedHashMap<>();
        private long letters;
        private int read;
        private final long end = System.nanoTime() + LONGEST_NANOS;
        private final List<Rec> records = new ArrayList<>();
        private final List<Problem> problems = new ArrayList<>();
        private final List<String> notes = new ArrayList<>();

        First(int most) {
            this.most = most;
        }

        boolean full() {
            return read >= most || letters >= MOST_LETTERS;
        }

        @Override
        public void record(String at, Map<String, @Nullable Object> columns) {
            read++;
            if (records.size() < RECORDS_KEPT) {
                records.add(new Rec(at, columns));
            }
            columns.forEach((column, value) -> {
                List<Object> said = values.computeIfAbsent(column, key -> new ArrayList<>());
                if (value != null && !(value instanceof String text && text.isBlank())) {
                    // An address without its end is none.
                    Object kept = value instanceof String text
                                    && text.length() > LONGEST_VALUE
                                    && !KindGuess.isWebAddress(text)
                            ? beginning(text)
                            : value;
                    letters += kept instanceof String text ? text.length() : LONGEST_VALUE;
                    said.add(kept);
                }
            });
        }

        /** Told from others that begin alike. */
        private static String beginning(String text) {
            return text.substring(0, LONGEST_VALUE) + "…" + text.hashCode();
        }

        @Override
        public void refuse(String at, String reason) {
            problems.add(new Problem(at, reason));
        }

        @Override
        public void gone(String at, String reason) {
            refuse(at, reason);
        }

        @Override
        public void asBefore(String at, String id) {
            throw new IllegalStateException("a preview remembers nothing");
        }

        @Override
        public void note(String note) {
            notes.add(note);
        }

        @Override
        public void incomplete(String why) {
            // A preview takes nothing away, so it does not matter.
        }

        @Override
        public void progress(int read, int known) {
            // It is over before anybody could look.
        }

        @Override
        public int wanted() {
            return most;
        }

        @Override
        public boolean enough() {
            return full() || problems.size() >= RECORDS_KEPT || System.nanoTime() > end;
        }
    }
}
