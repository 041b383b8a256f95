package tidylantern.core.index;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.Item;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRef;

class SiteIndexTest {
    private static SiteIndex.Changed item(String id, String title) {
        return new SiteIndex.Changed(new Item(new ItemRef(new CollectionKey("posts"), new ItemId(id)), Map.of(FieldKey.TITLE, new FieldValue.Text(title))), "en");
    }

    @Test
    void remembersTheLastChangeItHasOnDisk(@TempDir Path folder) throws IOException {
        try (SiteIndex index = SiteIndex.open(folder)) {
            index.apply(List.of(item("1", "tern"), item("2", "gull")), List.of(), 7);
            index.apply(List.of(item("1", "tern again")), List.of(new ItemRef(new CollectionKey("posts"), new ItemId("2"))), 8);
            assertThat(index.size()).isEqualTo(1);
        }
        try (SiteIndex again = SiteIndex.open(folder)) {
            assertThat(again.lastChange()).isEqualTo(8);
            assertThat(again.size()).isEqualTo(1);
        }
    }

    @Test
    void aDamagedIndexIsEmptiedNotFatal(@TempDir Path folder) throws IOException {
        try (SiteIndex index = SiteIndex.open(folder)) {
            index.apply(List.of(item("1", "tern")), List.of(), 3);
        }
        try (var files = Files.list(folder)) {
            for (Path file : files.filter(f -> f.getFileName().toString().startsWith("_") ).toList()) {
                byte[] bytes = Files.readAllBytes(file);
                bytes[bytes.length / 2] ^= 0x55;
                Files.write(file, bytes);
            }
        }
        try (SiteIndex again = SiteIndex.open(folder)) {
            assertThat(again.lastChange()).as("to be read again from the first change").isZero();
            assertThat(again.size()).isZero();
        }
    }

    @Test
    void aReaderKeepsTheStateItTook(@TempDir Path folder) throws IOException {
        try (SiteIndex index = SiteIndex.open(folder)) {
            index.apply(List.of(item("1", "tern")), List.of(), 1);
            index.read(searcher -> {
                index.apply(List.of(item("2", "gull")), List.of(), 2);
                assertThat(searcher.getIndexReader().numDocs()).isEqualTo(1);
                return null;
            });
            assertThat(index.size()).isEqualTo(2);
        }
    }
}
