package tidylantern.server.source.reading;

import java.io.BufferedInputStream;
import java.io.FilterReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.Charset;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import tidylantern.server.platform.JsonProblems;
import tidylantern.server.source.reading.SourceSettings.Format;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.ObjectReader;
import tools.jackson.databind.json.JsonMapper;

/**
 * Reads the records of a file: CSV (RFC 4180, with other delimiters too), a JSON array, JSON Lines, GeoJSON (RFC 7946).
 * Holds one record at a time. Encoding: a byte-order mark, else UTF-8 if all of it is, else windows-1252 (common
 * practice).
 */
public final class FileReader {
    /** A record with more is refused, and in a CSV nothing after it can be told apart. */
    static final int MOST_CHARACTERS = 1_000_000;

    private static final int HEAD = 1 << 16;
    private static final char[] DELIMITERS = {',', ';', '\t', '|'};
    private static final TypeReference<LinkedHashMap<String, @Nullable Object>> OBJECT = new TypeReference<>() {};
    private static final TypeReference<List<@Nullable Object>> LIST = new TypeReference<>() {};

    private final Path file;
    private final SourceSettings.File settings;
    private final JsonMapper json;

    public FileReader(Path file, SourceSettings.File settings, JsonMapper json) {
        this.file = file;
        this.settings = settings;
        this.json = json;
    }

    /**
     * How the file is read.
     *
     * @param delimiter null for other formats than CSV
     * @param header null for other formats than CSV
     */
    public record Form(
            Format format,
            String encoding,
            @Nullable String delimiter,
            @Nullable Boolean header) {}

    public Form form() throws SourceProblem {
        try {
            byte[] head = head();
            Charset encoding = settings.encoding() == null ? encoding(head) : Charset.forName(settings.encoding());
            String text = text(head, encoding);
            if (text.isBlank()) {
                throw new SourceProblem("The file is empty. Choose another.");
            }
            if (text.chars()
                            .limit(4_000)
                            .filter(c -> c < ' ' && c != '\n' && c != '\r' && c != '\t')
                            .count()
                    > 4) {
                throw new SourceProblem("This is no text file. Save it as CSV or JSON first.");
            }
            Format format = settings.format() == null ? format(text) : settings.format();
            if (format != Format.CSV) {
                return new Form(format, encoding.name(), null, null);
            }
            char delimiter = settings.delimiter() == null
                    ? delimiter(text)
                    : settings.delimiter().charAt(0);
            boolean header = settings.header() == null ? header(text, delimiter) : settings.header();
            return new Form(format, encoding.name(), String.valueOf(delimiter), header);
        } catch (IOException failure) {
            throw new SourceProblem("The file cannot be read: " + failure.getMessage(), failure);
        }
    }

    public void read(Reading reading) throws SourceProblem {
        Form form = form();
        if (settings.encoding() == null && form.encoding().equals("windows-1252")) {
            reading.note(
                    "The file is not UTF-8, so it was read as windows-1252. If letters look wrong, choose its encoding.");
        }
        try (Reader text = open(Charset.forName(form.encoding()))) {
            switch (form.format()) {
                case CSV -> csv(text, form, reading);
                case JSON_LINES -> jsonLines(text, reading);
                case JSON -> jsonArray(text, reading, false);
                case GEOJSON -> jsonArray(text, reading, true);
            }
        } catch (TooLong wrong) {
            throw new SourceProblem(String.valueOf(wrong.getMessage()), wrong);
        } catch (IOException failure) {
            throw new SourceProblem("The file cannot be read: " + failure.getMessage(), failure);
        }
    }

    // Encoding

    private byte[] head() throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return in.readNBytes(HEAD);
        }
    }

    private Charset encoding(byte[] head) throws IOException {
        if (head.length >= 2 && (head[0] & 0xff) == 0xff && (head[1] & 0xff) == 0xfe) {
            return StandardCharsets.UTF_16LE;
        }
        if (head.length >= 2 && (head[0] & 0xff) == 0xfe && (head[1] & 0xff) == 0xff) {
            return StandardCharsets.UTF_16BE;
        }
        return allUtf8() ? StandardCharsets.UTF_8 : Charset.forName("windows-1252");
    }

    private boolean allUtf8() throws IOException {
        CharsetDecoder decoder = StandardCharsets.UTF_8
                .newDecoder()
                .onMalformedInput(CodingErrorAction.REPORT)
                .onUnmappableCharacter(CodingErrorAction.REPORT);
        ByteBuffer bytes = ByteBuffer.allocate(HEAD);
        CharBuffer characters = CharBuffer.allocate(HEAD);
        try (InputStream in = Files.newInputStream(file)) {
            while (true) {
                int n = in.read(bytes.array(), bytes.position(), bytes.remaining());
                boolean end = n < 0;
                bytes.position(bytes.position() + Math.max(0, n)).flip();
                characters.clear();
                if (decoder.decode(bytes, characters, end).isError()) {
                    return false;
                }
                bytes.compact();
                if (end) {
                    return true;
                }
            }
        }
    }

    private static String text(byte[] head, Charset encoding) {
        String text = new String(head, encoding);
        return text.startsWith("\uFEFF") ? text.substring(1) : text;
    }

    private Reader open(Charset encoding) throws IOException {
        InputStreamReader reader = new InputStreamReader(
                new BufferedInputStream(Files.newInputStream(file), HEAD),
                encoding.newDecoder()
                        .onMalformedInput(CodingErrorAction.REPLACE)
                        .onUnmappableCharacter(CodingErrorAction.REPLACE));
        java.io.PushbackReader pushback = new java.io.PushbackReader(reader, 1);
        int first = pushback.read();
        if (first >= 0 && first != '\uFEFF') {
            pushback.unread(first);
        }
        return pushback;
    }

    // Format

    private static Format format(String text) {
        String start = text.stripLeading();
        if (start.startsWith("[")) {
            return Format.JSON;
        }
        if (start.startsWith("{")) {
            boolean geo = start.matches("(?s)\\{[^\\[]{0,400}\"type\"\\s*:\\s*\"(FeatureCollection|Feature)\".*")
                    || (start.contains("\"FeatureCollection\"") && start.contains("\"features\""));
            return geo ? Format.GEOJSON : lines(start) ? Format.JSON_LINES : Format.JSON;
        }
        return Format.CSV;
    }

    /** Whether each line is an object; one line alone is the only item, unless it holds a list of objects. */
    private static boolean lines(String start) {
        List<String> first = start.lines()
                .filter(line -> !line.isBlank())
                .map(String::strip)
                .limit(2)
                .toList();
        return first.size() == 2
                ? first.getFirst().endsWith("}") && first.getLast().startsWith("{")
                : first.getFirst().endsWith("}") && !first.getFirst().matches(".*:\\s*\\[\\s*\\{.*");
    }

    /** The one that gives the first records the same number of columns, and the most of them. */
    private static char delimiter(String head) {
        char best = ',';
        double most = 0;
        for (char candidate : DELIMITERS) {
            Map<Integer, Integer> widths = new TreeMap<>();
            int rows = 0;
            for (List<String> row : rows(head, candidate, 25)) {
                widths.merge(row.size(), 1, Integer::sum);
                rows++;
            }
            int width = widths.entrySet().stream()
                    .max(Map.Entry.comparingByValue())
                    .map(Map.Entry::getKey)
                    .orElse(1);
            double score = width < 2 || rows == 0
                    ? 0
                    : (double) widths.getOrDefault(width, 0) / rows * (1 + Math.min(width, 50) / 50.0);
            if (score > most) {
                most = score;
                best = candidate;
            }
        }
        return best;
    }

    /**
     * A first row names the columns if its cells are distinct, brief words while numbers, days or addresses stand
     * below.
     */
    private static boolean header(String head, char delimiter) {
        List<List<String>> rows = rows(head, delimiter, 25);
        if (rows.isEmpty()) {
            return true;
        }
        List<String> first = rows.getFirst().stream().map(String::strip).toList();
        // A column without a name, or two of one name, are slips that happen; many are no names.
        List<String> named = first.stream().filter(cell -> !cell.isEmpty()).toList();
        boolean names = named.stream()
                        .allMatch(cell -> cell.length() <= 60
                                && cell.chars().anyMatch(Character::isLetter)
                                && !cell.matches("(?i)https?://.*|.*@.*|\\d{4}-\\d{2}-\\d{2}.*"))
                && new HashSet<>(named).size() * 2 > named.size();
        return names && !rows.stream().skip(1).anyMatch(row -> row.equals(rows.getFirst()));
    }

    private static List<List<String>> rows(String head, char delimiter, int most) {
        List<List<String>> rows = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(head, csvFormat(delimiter))) {
            Iterator<CSVRecord> records = parser.iterator();
            while (rows.size() < most && records.hasNext()) {
                rows.add(records.next().toList());
            }
        } catch (IOException | UncheckedIOException | IllegalStateException brokenQuote) {
            // What came before the broken place is enough to judge by.
            return rows;
        }
        return rows.size() > 1 && head.length() >= HEAD / 2 ? rows.subList(0, rows.size() - 1) : rows;
    }

    private static CSVFormat csvFormat(char delimiter) {
        return CSVFormat.RFC4180
                .builder()
                .setDelimiter(delimiter)
                .setIgnoreEmptyLines(true)
                .setLenientEof(true)
                .setTrailingData(true)
                .get();
    }

    // CSV

    private void csv(Reader text, Form form, Reading reading) throws SourceProblem, IOException {
        Bounded bounded = new Bounded(text);
        try (CSVParser parser = CSVParser.builder()
                .setReader(bounded)
                .setFormat(csvFormat(String.valueOf(form.delimiter()).charAt(0)))
                .get()) {
            Iterator<CSVRecord> records = parser.iterator();
            List<String> columns = null;
            int row = 0;
            while (!reading.enough() && next(records, row + 1)) {
                CSVRecord record = records.next();
                bounded.newRecord();
                row++;
                if (columns == null) {
                    columns = columns(record, Boolean.TRUE.equals(form.header()));
                    if (Boolean.TRUE.equals(form.header())) {
                        continue;
                    }
                }
                if (record.size() > columns.size()) {
                    reading.refuse(
                            "row " + row,
                            "the row has %d columns, and there are %d; perhaps a text with the delimiter in it stands without quotes"
                                    .formatted(record.size(), columns.size()));
                    continue;
                }
                if (record.size() < columns.size()) {
                    if (record.size() == 1 && record.get(0).isBlank()) {
                        continue;
                    }
                    reading.refuse(
                            "row " + row,
                            "the row has %d columns, and there are %d; perhaps it was cut off"
                                    .formatted(record.size(), columns.size()));
                    continue;
                }
                Map<String, @Nullable Object> values = new LinkedHashMap<>();
                for (int i = 0; i < columns.size(); i++) {
                    values.put(columns.get(i), cell(record.get(i)));
                }
                reading.record("row " + row, values);
                reading.progress(row, 0);
            }
        }
    }

    private static boolean next(Iterator<CSVRecord> records, int row) throws SourceProblem {
        try {
            return records.hasNext();
        } catch (UncheckedIOException wrong) {
            if (wrong.getCause() instanceof TooLong tooLong) {
                throw new SourceProblem(
                        "Row %d has more than %,d characters; perhaps a quote was never closed. Close it and try again."
                                .formatted(row, MOST_CHARACTERS),
                        tooLong);
            }
            throw new SourceProblem(
                    "Row %d cannot be read: %s"
                            .formatted(
                                    row,
                                    Objects.requireNonNull(wrong.getCause()).getMessage()),
                    wrong);
        }
    }

    private static List<String> columns(CSVRecord first, boolean header) {
        List<String> columns = new ArrayList<>();
        Map<String, Integer> seen = new HashMap<>();
        for (int i = 0; i < first.size(); i++) {
            String name = header ? first.get(i).strip() : "";
            name = name.isEmpty() ? "column " + (i + 1) : name;
            int times = seen.merge(name, 1, Integer::sum);
            columns.add(times == 1 ? name : name + " " + times);
        }
        return columns;
    }

    /** A cell that is a JSON list stands for its values: so are lists exported whose values hold a semicolon. */
    private @Nullable Object cell(String text) {
        if (text.startsWith("[\"") && text.endsWith("\"]")) {
            try {
                return json.readValue(text, LIST);
            } catch (JacksonException justText) {
                return text;
            }
        }
        return text.isEmpty() ? null : text;
    }

    // JSON

    private void jsonLines(Reader text, Reading reading) throws SourceProblem, IOException {
        int number = 0;
        StringBuilder line = new StringBuilder();
        boolean end = false;
        while (!end && !reading.enough()) {
            line.setLength(0);
            int c = text.read();
            for (; c >= 0 && c != '\n'; c = text.read()) {
                if (line.length() <= MOST_CHARACTERS) {
                    line.append((char) c);
                }
            }
            end = c < 0;
            number++;
            if (line.toString().isBlank()) {
                continue;
            }
            String at = "line " + number;
            if (line.length() > MOST_CHARACTERS) {
                reading.refuse(at, "the line has more than %,d characters".formatted(MOST_CHARACTERS));
                continue;
            }
            try {
                reading.record(at, Records.flat(json.readValue(line.toString(), OBJECT)));
            } catch (JacksonException wrong) {
                reading.refuse(at, "this is no JSON object: " + JsonProblems.where(wrong));
            }
            reading.progress(number, 0);
        }
    }

    /** The objects of the outermost list; where the whole is an object, of the first list of objects in it. */
    private void jsonArray(Reader text, Reading reading, boolean geo) throws SourceProblem, IOException {
        int number = 0;
        // What follows an element of a list is the next one.
        ObjectReader element = json.readerFor(OBJECT).without(DeserializationFeature.FAIL_ON_TRAILING_TOKENS);
        try (JsonParser parser = json.createParser(text)) {
            JsonToken token = parser.nextToken();
            boolean found = token == JsonToken.START_ARRAY
                    ? parser.nextToken() != null
                    : token == JsonToken.START_OBJECT && toList(parser, geo ? "features" : null);
            if (!found) {
                throw new SourceProblem(
                        geo
                                ? "This is no GeoJSON with features. Its outermost object needs a list \"features\"."
                                : "There is no list of objects in this JSON.");
            }
            for (token = parser.currentToken();
                    !reading.enough() && token != JsonToken.END_ARRAY;
                    token = parser.nextToken()) {
                number++;
                String at = (geo ? "feature " : "entry ") + number;
                if (parser.currentToken() != JsonToken.START_OBJECT) {
                    parser.skipChildren();
                    reading.refuse(at, "it is no JSON object, in braces");
                    continue;
                }
                long from = parser.currentLocation().getCharOffset();
                Map<String, @Nullable Object> object = element.readValue(parser);
                if (parser.currentLocation().getCharOffset() - from > MOST_CHARACTERS) {
                    reading.refuse(at, "it has more than %,d characters".formatted(MOST_CHARACTERS));
                } else if (geo) {
                    feature(at, object, reading);
                } else {
                    reading.record(at, Records.flat(object));
                }
                reading.progress(number, 0);
            }
        } catch (JacksonException wrong) {
            throw new SourceProblem(
                    "The JSON is broken after %d entries: %s".formatted(number, JsonProblems.where(wrong)), wrong);
        }
    }

    /**
     * Goes to the first element of a list within an object.
     *
     * @param name of the list; null for the first that holds objects
     */
    private static boolean toList(JsonParser parser, @Nullable String name) {
        while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
            String property = parser.currentName();
            JsonToken value = parser.nextToken();
            if (value == JsonToken.START_ARRAY && (name == null || name.equals(property))) {
                JsonToken first = parser.nextToken();
                if (name != null || first == JsonToken.START_OBJECT) {
                    return true;
                }
                for (int open = 1 + opens(first); open > 0; ) {
                    open += opens(parser.nextToken());
                }
            } else {
                parser.skipChildren();
            }
        }
        return false;
    }

    private static int opens(@Nullable JsonToken token) {
        return token == null || token.isStructEnd() ? -1 : token.isStructStart() ? 1 : 0;
    }

    private static void feature(String at, Map<String, @Nullable Object> feature, Reading reading)
            throws SourceProblem {
        Map<String, @Nullable Object> columns = new LinkedHashMap<>();
        if (feature.get("id") != null) {
            columns.put("id", feature.get("id"));
        }
        if (feature.get("properties") instanceof Map<?, ?> properties) {
            Map<String, @Nullable Object> named = new LinkedHashMap<>();
            properties.forEach((name, value) -> named.put(String.valueOf(name), value));
            Records.flat(named).forEach(columns::putIfAbsent);
        }
        if (feature.get("geometry") instanceof Map<?, ?> geometry) {
            try {
                columns.put("geometry", Geometry.centre(geometry));
            } catch (IllegalArgumentException wrong) {
                reading.refuse(at, String.valueOf(wrong.getMessage()));
                return;
            }
        }
        reading.record(at, columns);
    }

    /** Stops a record that never ends, as after a quote that nobody closed. */
    private static final class Bounded extends FilterReader {
        private long since;

        Bounded(Reader in) {
            super(in);
        }

        void newRecord() {
            since = 0;
        }

        @Override
        public int read() throws IOException {
            int c = super.read();
            count(1);
            return c;
        }

        @Override
        public int read(char[] buffer, int offset, int length) throws IOException {
            int n = super.read(buffer, offset, length);
            count(Math.max(0, n));
            return n;
        }

        private void count(int characters) throws TooLong {
            since += characters;
            if (since > MOST_CHARACTERS + HEAD) {
                throw new TooLong();
            }
        }
    }

    private static final class TooLong extends IOException {
        TooLong() {
            super("a record has more than %,d characters".formatted(MOST_CHARACTERS));
        }
    }
}
