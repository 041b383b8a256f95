package tidylantern.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The entries of WordNet 3.0 (Princeton University; Debian package wordnet-base), read from its data files as wndb(5WN)
 * describes them: one entry a synset, with its words and its gloss.
 */
final class WordNet {
    /** As the package has them: nouns, verbs, adjectives, adverbs together. */
    static final int ENTRIES = 117_659;
    private static final Path FOLDER = Path.of("/usr/share/wordnet");

    record Entry(String id, String words, String gloss) {}

    private WordNet() {}

    static List<Entry> entries() {
        List<Entry> entries = new ArrayList<>(ENTRIES);
        for (String part : List.of("noun", "verb", "adj", "adv")) {
            try {
                for (String line : Files.readAllLines(FOLDER.resolve("data." + part), StandardCharsets.ISO_8859_1)) {
                    if (!line.startsWith("  ")) {
                        entries.add(entry(part, line));
                    }
                }
            } catch (IOException missing) {
                throw new UncheckedIOException("WordNet's data." + part + " is needed: install the package wordnet-base", missing);
            }
        }
        if (entries.size() != ENTRIES) {
            throw new IllegalStateException("WordNet 3.0 has " + ENTRIES + " entries; these files have " + entries.size());
        }
        return entries;
    }

    private static Entry entry(String part, String line) {
        String[] fields = line.split(" ");
        int count = Integer.parseInt(fields[3], 16);
        List<String> words = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            words.add(fields[4 + 2 * i].replace('_', ' ').replaceAll("\\((a|p|ip)\\)$", ""));
        }
        int bar = line.indexOf('|');
        return new Entry(part + "-" + fields[0], String.join(", ", words), bar < 0 ? "" : line.substring(bar + 1).strip());
    }

    /**
     * A fixed list: of every 1200th entry its first word; two words of its gloss; its first word half typed; and for a
     * tenth of them its first word with two neighbours swapped.
     */
    static List<String> queries(List<Entry> entries) {
        List<String> queries = new ArrayList<>();
        for (int i = 0, n = 0; i < entries.size(); i += 1_200, n++) {
            String word = entries.get(i).words().split(",")[0];
            queries.add(word);
            List<String> gloss = Arrays.stream(entries.get(i).gloss().split("[^\\p{L}]+")).filter(w -> w.length() >= 5).limit(2).toList();
            queries.add(String.join(" ", gloss.isEmpty() ? List.of(word) : gloss));
            queries.add(word.substring(0, Math.max(2, word.length() * 2 / 3)));
            if (n % 3 == 0 && word.length() > 5) {
                queries.add(word.substring(0, 3) + word.charAt(4) + word.charAt(3) + word.substring(5));
            }
        }
        return queries;
    }
}
