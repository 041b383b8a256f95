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
        return new SiteIndex.Changed(
                new Item(
                        new ItemRef(new CollectionKey("posts"), new ItemId(id)),
                        Map.of(FieldKey.TITLE, new FieldValue.Text(title))),
                "en");
    }

    @Test
    void anItemThatCannotBeIndexedIsPassedOverAndKeptInMindUntilItCan(@TempDir Path folder) throws IOException {
        Item bad =
                new Item(ItemRef.parse("posts/bad"), Map.of(FieldKey.AUTHOR, new FieldValue.Text("x".repeat(40_000))));
        try (SiteIndex index = SiteIndex.open(folder)) {
            index.apply(List.of(titled("bad", "As it was"), titled("before", "Before")), List.of(), 1);
            index.apply(
                    List.of(titled("one", "One"), new SiteIndex.Changed(bad, "en"), titled("two", "Two")),
                    List.of(),
                    2);
            assertThat(index.size())
                    .as("without what is no longer true of the bad one")
                    .isEqualTo(3);
            assertThat(index.passedOver()).containsOnlyKeys(bad.ref());
            assertThat(index.passedOver().get(bad.ref())).contains("40,000 bytes");
            assertThat(index.lastChange()).isEqualTo(2);
        }
        try (SiteIndex again = SiteIndex.open(folder)) {
            assertThat(again.passedOver()).containsOnlyKeys(bad.ref());
            again.apply(List.of(titled("bad", "Corrected")), List.of(), 3);
            assertThat(again.passedOver()).isEmpty();
            assertThat(again.size()).isEqualTo(4);
            again.passOver(bad.ref(), "once more");
            again.apply(List.of(), List.of(bad.ref()), 4);
            assertThat(again.passedOver()).as("gone is gone").isEmpty();
        }
    }

    private static SiteIndex.Changed titled(String id, String title) {
        return new SiteIndex.Changed(
                new Item(ItemRef.parse("posts/" + id), Map.of(FieldKey.TITLE, new FieldValue.Text(title))), "en");
    }

    @Test
    void remembersTheLastChangeItHasOnDisk(@TempDir Path folder) throws IOException {
        try (SiteIndex index = SiteIndex.open(folder)) {
            index.apply(List.of(item("1", "tern"), item("2", "gull")), List.of(), 7);
            index.apply(
                    List.of(item("1", "tern again")),
                    List.of(new ItemRef(new CollectionKey("posts"), new ItemId("2"))),
                    8);
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
            for (Path file : files.filter(f -> f.getFileName().toString().startsWith("_"))
                    .toList()) {
                byte[] bytes = Files.readAllBytes(file);
                bytes[bytes.length / 2] ^= 0x55;
                Files.write(file, bytes);
            }
        }
        try (SiteIndex again = SiteIndex.open(folder)) {
            assertThat(again.lastChange())
                    .as("to be read again from the first change")
                    .isZero();
            assertThat(again.size()).isZero();
        }
    }

    @Test
    void aFewThousandItemsStandInOnePartOnceNothingChanges(@TempDir Path folder) throws IOException {
        try (SiteIndex index = SiteIndex.open(folder)) {
            for (int change = 1; change <= 3; change++) {
                index.apply(List.of(titled("of-" + change, "Tern")), List.of(), change);
                index.commit();
            }
            index.apply(List.of(), List.of(ItemRef.parse("posts/of-2")), 4);
            index.settle();
            index.showSettled();
            assertThat(index.<Integer>read(state -> state.parts().size())).isEqualTo(1);
            assertThat(index.size()).isEqualTo(2);
        }
    }

    @Test
    void aReaderKeepsTheStateItTook(@TempDir Path folder) throws IOException {
        try (SiteIndex index = SiteIndex.open(folder)) {
            index.apply(List.of(item("1", "tern")), List.of(), 1);
            index.read(state -> {
                index.apply(List.of(item("2", "gull")), List.of(), 2);
                assertThat(state.searcher().getIndexReader().numDocs()).isEqualTo(1);
                return null;
            });
            assertThat(index.size()).isEqualTo(2);
        }
    }
}
