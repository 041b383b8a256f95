package tidylantern.core.index;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import org.apache.lucene.document.Document;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.store.ByteBuffersDirectory;
import org.junit.jupiter.api.Test;

class IndexPartsTest {
    @Test
    void whatIsKeptOfAPartGoesWithIt() throws IOException {
        IndexParts parts = new IndexParts();
        try (ByteBuffersDirectory directory = new ByteBuffersDirectory();
                IndexWriter writer = new IndexWriter(directory, new IndexWriterConfig())) {
            writer.addDocument(new Document());
            DirectoryReader first = DirectoryReader.open(writer);
            Kept kept = parts.of(first.leaves().getFirst());
            writer.addDocument(new Document());
            DirectoryReader second = DirectoryReader.openIfChanged(first);
            assertThat(parts.of(second.leaves().getFirst()))
                    .as("the part that both states have")
                    .isSameAs(kept);
            second.leaves().forEach(parts::of);
            assertThat(parts.size()).isEqualTo(2);
            writer.forceMerge(1);
            DirectoryReader merged = DirectoryReader.openIfChanged(second);
            first.close();
            assertThat(parts.size()).as("the second state has both").isEqualTo(2);
            second.close();
            assertThat(parts.size()).as("they are merged into another").isZero();
            parts.of(merged.leaves().getFirst());
            assertThat(parts.size()).isEqualTo(1);
            merged.close();
        }
    }
}
