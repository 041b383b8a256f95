package tidylantern.core.reference;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * The entries of WordNet 3.0 (Princeton University; Debian package wordnet-base), read from its data files as wndb(5WN)
 * describes them: one entry a synset, with its words, its gloss and what stands above it.
 */
public final class WordNet {
    /** As the package has them: nouns, verbs, adjectives, adverbs together. */
    public static final int ENTRIES = 117_659;

    private static final Path FOLDER = Path.of("/usr/share/wordnet");

    /**
     * One synset.
     *
     * @param id part of speech and offset, such as {@code noun-00001740}
     * @param words in their order, spaces within them
     * @param file number of the lexicographers' file it stands in, such as 05 for animals
     * @param above ids of the more general synsets (hypernyms, of instances too)
     */
    public record Entry(String id, String file, List<String> words, String gloss, List<String> above) {
        /** Part of speech: noun, verb, adj or adv. */
        public String part() {
            return id.substring(0, id.indexOf('-'));
        }

        public boolean noun() {
            return id.startsWith("noun-");
        }
    }

    private WordNet() {}

    public static boolean installed() {
        return Files.exists(FOLDER.resolve("data.noun"));
    }

    /** @throws UncheckedIOException if the package is not installed */
    public static List<Entry> entries() {
        List<Entry> entries = new ArrayList<>(ENTRIES);
        for (String part : List.of("noun", "verb", "adj", "adv")) {
            for (String line : lines("data." + part)) {
                entries.add(entry(part, line));
            }
        }
        if (entries.size() != ENTRIES) {
            throw new IllegalStateException(
                    "WordNet 3.0 has " + ENTRIES + " entries; these files have " + entries.size());
        }
        return entries;
    }

    /** Each noun, spaces as underscores, with the ids of its senses; in the order of the alphabet. */
    public static Map<String, List<String>> nounSenses() {
        Map<String, List<String>> senses = new TreeMap<>();
        for (String line : lines("index.noun")) {
            String[] fields = line.strip().split(" ");
            int count = Integer.parseInt(fields[2]);
            List<String> ids = new ArrayList<>();
            for (int i = fields.length - count; i < fields.length; i++) {
                ids.add("noun-" + fields[i]);
            }
            senses.put(fields[0], ids);
        }
        return senses;
    }

    /** Without the licence, which every file begins with in indented lines. */
    private static List<String> lines(String file) {
        try {
            return Files.readAllLines(FOLDER.resolve(file), StandardCharsets.ISO_8859_1).stream()
                    .filter(line -> !line.startsWith("  "))
                    .toList();
        } catch (IOException missing) {
            throw new UncheckedIOException(
                    "WordNet's " + file + " is needed: install the package wordnet-base", missing);
        }
    }

    private static Entry entry(String part, String line) {
        String[] fields = line.split(" ");
        int count = Integer.parseInt(fields[3], 16);
        List<String> words = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            words.add(fields[4 + 2 * i].replace('_', ' ').replaceAll("\\((a|p|ip)\\)$", ""));
        }
        List<String> above = new ArrayList<>();
        int pointers = 4 + 2 * count;
        for (int i = 0; i < Integer.parseInt(fields[pointers]); i++) {
            int at = pointers + 1 + 4 * i;
            if (fields[at].equals("@") || fields[at].equals("@i")) {
                above.add(part + "-" + fields[at + 1]);
            }
        }
        int bar = line.indexOf('|');
        return new Entry(
                part + "-" + fields[0],
                fields[1],
                words,
                bar < 0 ? "" : line.substring(bar + 1).strip(),
                above);
    }
}
