package tidylantern.server.source.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

class FileReaderTest {
    @TempDir
    private Path folder;

    private static final SourceSettings.File AS_IT_IS =
            new SourceSettings.File("0123456789abcdef01234567", null, null, null, null, null);

    private FileReader reader(byte[] content, SourceSettings.File settings) {
        Path file = folder.resolve("file");
        try {
            Files.write(file, content);
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
        return new FileReader(
                file,
                settings,
                JsonMapper.builder()
                        .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
                        .build());
    }

    private Told read(String content) throws SourceProblem {
        return read(content.getBytes(StandardCharsets.UTF_8), AS_IT_IS);
    }

    private Told read(byte[] content, SourceSettings.File settings) throws SourceProblem {
        Told told = new Told();
        reader(content, settings).read(told);
        return told;
    }

    private static Map<String, Object> row(Object... pairs) {
        Map<String, Object> row = new LinkedHashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            row.put((String) pairs[i], pairs[i + 1]);
        }
        return row;
    }

    // RFC 4180, section 2: the examples of its rules 1 to 7, copied from memory of its text, and named by their rule.

    private static final SourceSettings.File WITHOUT_HEADER =
            new SourceSettings.File("0123456789abcdef01234567", null, SourceSettings.Format.CSV, ",", null, false);

    private List<List<Object>> cells(String csv) throws SourceProblem {
        return read(csv.getBytes(StandardCharsets.UTF_8), WITHOUT_HEADER).records.stream()
                .map(record -> List.<Object>copyOf(record.values()))
                .toList();
    }

    @Test
    void rule1AndRule2EachRecordIsALineAndTheLastNeedsNoBreak() throws Exception {
        List<List<Object>> expected = List.of(List.of("aaa", "bbb", "ccc"), List.of("zzz", "yyy", "xxx"));
        assertThat(cells("aaa,bbb,ccc\r\nzzz,yyy,xxx\r\n")).isEqualTo(expected);
        assertThat(cells("aaa,bbb,ccc\r\nzzz,yyy,xxx")).isEqualTo(expected);
    }

    @Test
    void rule3AHeaderLineNamesTheFields() throws Exception {
        assertThat(read("name,place,since\r\naaa,bbb,1790\r\nzzz,yyy,1812\r\n").records)
                .containsExactly(
                        row("name", "aaa", "place", "bbb", "since", "1790"),
                        row("name", "zzz", "place", "yyy", "since", "1812"));
    }

    @Test
    void rules5To7QuotedFieldsMayHoldCommasBreaksAndDoubledQuotes() throws Exception {
        assertThat(cells("\"aaa\",\"bbb\",\"ccc\"\r\nzzz,yyy,xxx"))
                .containsExactly(List.of("aaa", "bbb", "ccc"), List.of("zzz", "yyy", "xxx"));
        assertThat(cells("\"aaa\",\"b\r\nbb\",\"ccc\"\r\nzzz,yyy,xxx"))
                .containsExactly(List.of("aaa", "b\r\nbb", "ccc"), List.of("zzz", "yyy", "xxx"));
        assertThat(cells("\"aaa\",\"b\"\"bb\",\"ccc\"")).containsExactly(List.of("aaa", "b\"bb", "ccc"));
    }

    @ParameterizedTest
    @ValueSource(strings = {",", ";", "\t", "|"})
    void theDelimiterIsDetected(String delimiter) throws Exception {
        String csv = "id,name,note\na-1,Ropewalk,\"one, two; three\"\nb-2,Bakery,none\n"
                .replace(",", delimiter)
                .replace("one" + delimiter + " two", "one, two");
        FileReader reader = reader(csv.getBytes(StandardCharsets.UTF_8), AS_IT_IS);
        assertThat(reader.form()).isEqualTo(new FileReader.Form(SourceSettings.Format.CSV, "UTF-8", delimiter, true));
    }

    @Test
    void aByteOrderMarkIsNoPartOfTheFirstName() throws Exception {
        assertThat(read("\ufeffid,name\na,Café\n").records).containsExactly(row("id", "a", "name", "Café"));
        for (Charset encoding : List.of(StandardCharsets.UTF_16LE, StandardCharsets.UTF_16BE)) {
            assertThat(read("\ufeffid,name\na,Café\n".getBytes(encoding), AS_IT_IS).records)
                    .as("%s", encoding)
                    .containsExactly(row("id", "a", "name", "Café"));
        }
    }

    @Test
    void whatIsNoUtf8IsReadAsWindows1252AndSaid() throws Exception {
        Told told = read("id,name\na,Café\n".getBytes(Charset.forName("windows-1252")), AS_IT_IS);
        assertThat(told.records).containsExactly(row("id", "a", "name", "Café"));
        assertThat(told.notes)
                .singleElement()
                .asString()
                .contains("windows-1252")
                .contains("choose its encoding");
    }

    @Test
    void aRowOfAnotherLengthIsRefusedByItselfOrFilledUp() throws Exception {
        Told told = read("id,name,place\na,Ropewalk,Thrum\nb,Bakery\nc,Boats,Pell,extra\nd,Loft,Skarn\n");
        assertThat(told.records)
                .extracting(record -> record.get("id"))
                .contains("a", "d")
                .doesNotContain("c");
        assertThat(told.refusals)
                .hasEntrySatisfying(
                        "row 4", reason -> assertThat(reason).contains("4").contains("3"));
    }

    @Test
    void aQuoteThatNobodyClosesIsToldWhereItBegan() {
        String csv = "id,name\na,\"never ends\n" + "b,c\n".repeat(400_000);
        assertThatThrownBy(() -> read(csv))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("Row 2")
                .hasMessageContaining("quote");
    }

    @Test
    void twoColumnsOfOneNameAndOneWithoutStayApart() throws Exception {
        assertThat(read("id,name,name,\na,One,Two,Three\n").records.getFirst().keySet())
                .hasSize(4)
                .contains("id", "name");
    }

    @Test
    void aJsonListMayBeTheWholeOrStandInAnObject() throws Exception {
        assertThat(read("[{\"id\":1,\"a\":{\"b\":[2,3]}},{\"id\":2,\"price\":1.10}]").records)
                .containsExactly(
                        row("id", 1, "a.b", List.of(2, 3)), row("id", 2, "price", new java.math.BigDecimal("1.10")));
        assertThat(read("{\"meta\":{\"n\":[1]},\"tags\":[\"x\",[7]],\"items\":[{\"id\":1},{\"id\":2}]}").records)
                .hasSize(2);
        Told told = read("[{\"id\":1}, 7, {\"id\":2}]");
        assertThat(told.records).hasSize(2);
        assertThat(told.refusals).containsEntry("entry 2", "it is no JSON object, in braces");
        assertThatThrownBy(() -> read("[{\"id\":1}, {\"id\":"))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("broken");
    }

    @Test
    void jsonLinesRefuseALineByItself() throws Exception {
        Told told = read("{\"id\":1}\n\n{broken\n{\"id\":2}\n");
        assertThat(told.records).containsExactly(row("id", 1), row("id", 2));
        assertThat(told.refusals).containsOnlyKeys("line 3");
    }

    /** RFC 7946, section 1.5: the example of a feature collection, from memory of its text. */
    @Test
    void theExampleOfRfc7946GivesThePointAndTheCentresOfTheShapes() throws Exception {
        Told told = read("""
                {"type": "FeatureCollection", "features": [
                  {"type": "Feature", "geometry": {"type": "Point", "coordinates": [102.0, 0.5]}, "properties": {"prop0": "value0"}},
                  {"type": "Feature", "geometry": {"type": "LineString", "coordinates": [[102.0, 0.0], [103.0, 1.0], [104.0, 0.0], [105.0, 1.0]]}, "properties": {"prop0": "value0", "prop1": 0.0}},
                  {"type": "Feature", "geometry": {"type": "Polygon", "coordinates": [[[100.0, 0.0], [101.0, 0.0], [101.0, 1.0], [100.0, 1.0], [100.0, 0.0]]]},
                   "properties": {"prop0": "value0", "prop1": {"this": "that"}}}]}""");
        assertThat(told.records)
                .extracting(record -> record.get("geometry"))
                .containsExactly(
                        Map.of("lat", 0.5, "lon", 102.0),
                        Map.of("lat", 0.5, "lon", 103.5),
                        Map.of("lat", 0.5, "lon", 100.5));
        assertThat(told.records.getLast()).containsEntry("prop0", "value0").containsEntry("prop1.this", "that");
    }

    @Test
    void aPositionOutsideOfTheGlobeIsRefusedWithItsFeature() throws Exception {
        Told told = read(
                "{\"type\":\"FeatureCollection\",\"features\":[{\"type\":\"Feature\",\"geometry\":{\"type\":\"Point\",\"coordinates\":[47.4,-132.5]},\"properties\":{}},"
                        + "{\"type\":\"Feature\",\"geometry\":null,\"properties\":{\"id\":2}}]}");
        assertThat(told.refusals)
                .hasEntrySatisfying("feature 1", reason -> assertThat(reason).contains("longitude first"));
        assertThat(told.records).as("a feature may have no place").containsExactly(row("id", 2));
    }

    @Test
    void whatIsNoTextOrNothingIsSaid() {
        assertThatThrownBy(() -> read("   \n"))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("empty");
        byte[] picture = new byte[5_000];
        Arrays.fill(picture, (byte) 1);
        assertThatThrownBy(() -> read(picture, AS_IT_IS))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("no text file");
    }
}
