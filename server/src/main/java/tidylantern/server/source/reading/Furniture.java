package tidylantern.server.source.reading;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;

/**
 * What stands on many pages of a site alike and is therefore no text of any of them: rows of 'Prev Up Next', a licence,
 * a banner. Pages are compared with one another block by block; common practice in taking templates off pages
 * (Bar-Yossef and Rajagopalan, "Template detection via data mining and its applications", WWW 2002).
 *
 * <p>Sentences that recur go wherever they stand. Short blocks that recur ("Returns", "Example") belong to the text
 * between others, and go only where it begins or ends; so do parts there that hold links which recur, and no sentence.
 */
final class Furniture {
    /** On fewer pages nothing recurs. */
    private static final int FEWEST_PAGES = 3;

    private static final int SHARE_OF_PAGES = 4;
    /** Shorter blocks may be labels. */
    private static final int SENTENCE = 40;

    private static final int PROSE = 80;
    private static final int LONGEST_LABEL = 60;
    private static final int FEWEST_LINKS = 2;
    private static final int MOST_REMEMBERED = 5_000;
    private static final int MOST_COUNTED = 300_000;
    private static final Set<String> BLOCKS = Set.of(
            "p",
            "div",
            "section",
            "article",
            "li",
            "dt",
            "dd",
            "td",
            "th",
            "caption",
            "pre",
            "blockquote",
            "h1",
            "h2",
            "h3",
            "h4",
            "h5",
            "h6",
            "figcaption",
            "address",
            "summary",
            "label",
            "legend");
    private static final Set<String> LABELS = Set.of(
            "h1", "h2", "h3", "h4", "h5", "h6", "th", "dt", "td", "pre", "caption", "legend", "label", "summary");

    private final Map<Long, Integer> pagesWith = new HashMap<>();
    private final Set<Long> known;
    private int pages;

    /** @param known what recurred when the site was last read, as {@link #recurring} told it */
    Furniture(Set<Long> known) {
        this.known = Set.copyOf(known);
    }

    /** Takes note of one page more. */
    void learn(Element main) {
        Set<Long> here = new HashSet<>();
        blocks(main, Set.of()).forEach(block -> here.add(key(block)));
        main.select("a[href]").forEach(link -> here.add(key(link)));
        main.getAllElements().stream().filter(element -> element != main).forEach(element -> here.add(shape(element)));
        here.forEach(key -> pagesWith.merge(key, 1, Integer::sum));
        pages++;
        if (pagesWith.size() > MOST_COUNTED) {
            // What stood on one page of so many is hardly on every fourth.
            pagesWith.values().removeIf(count -> count == 1);
        }
    }

    /**
     * What recurs, to be known when the site is read again. What was known stays so while no page that was read says
     * otherwise: most pages are as they were, and are not read.
     */
    Set<Long> recurring() {
        boolean fewRead = pages < SHARE_OF_PAGES * FEWEST_PAGES;
        Stream<Long> still = known.stream().filter(key -> fewRead || !pagesWith.containsKey(key));
        return Stream.concat(pagesWith.keySet().stream().filter(this::recursHere), still)
                .limit(MOST_REMEMBERED)
                .collect(Collectors.toSet());
    }

    /**
     * The parts of a main text that recur on other pages.
     *
     * @param apart what is no part of the text anyway
     */
    Set<Element> in(Element main, Set<Element> apart) {
        Set<Element> furniture = new HashSet<>();
        List<Element> blocks = blocks(main, apart);
        blocks.stream()
                .filter(block ->
                        !LABELS.contains(block.normalName()) && block.text().length() >= SENTENCE && recurs(key(block)))
                .forEach(furniture::add);
        edge(main, blocks, furniture);
        List<Element> backwards = new ArrayList<>(blocks);
        Collections.reverse(backwards);
        edge(main, backwards, furniture);
        return furniture;
    }

    /**
     * Takes what is furniture from one end of the text, up to the first block that is none. Headings may stand among
     * it.
     */
    private void edge(Element main, List<Element> blocks, Set<Element> furniture) {
        for (Element block : blocks) {
            if (MainText.inside(block, furniture) || heading(block)) {
                continue;
            }
            Element part = partOfLinks(main, block);
            boolean label =
                    !block.normalName().equals("pre") && block.text().length() <= LONGEST_LABEL && recurs(key(block));
            if (part == null && !label) {
                return;
            }
            furniture.add(part == null ? block : part);
        }
    }

    /**
     * The largest part around a block that is made alike on many pages, has links that recur, and no sentence and no
     * heading; null if there is none.
     */
    private @Nullable Element partOfLinks(Element main, Element block) {
        Element largest = null;
        for (Element part = block; part != null && part != main; part = part.parent()) {
            if (part.selectFirst("h1, h2, h3, pre") != null || prose(part)) {
                return largest;
            }
            if (recurs(shape(part))
                    && part.select("a[href]").stream()
                                    .filter(link -> link.text().length() <= LONGEST_LABEL && recurs(key(link)))
                                    .map(Element::text)
                                    .distinct()
                                    .count()
                            >= FEWEST_LINKS) {
                largest = part;
            }
        }
        return largest;
    }

    private static boolean prose(Element part) {
        int linked = part.select("a[href]").stream()
                .mapToInt(link -> link.text().length())
                .sum();
        return blocks(part, Set.of()).stream()
                .anyMatch(block -> block.text().length() >= PROSE
                        && linked * 2 < part.text().length());
    }

    private static boolean heading(Element block) {
        return block.normalName().matches("h[1-6]");
    }

    private boolean recurs(long key) {
        return known.contains(key) || recursHere(key);
    }

    private boolean recursHere(long key) {
        return pagesWith.getOrDefault(key, 0) >= Math.max(FEWEST_PAGES, pages / SHARE_OF_PAGES);
    }

    /** The elements that hold text and no other block that does, in their order. */
    private static List<Element> blocks(Element root, Set<Element> apart) {
        List<Element> blocks = new ArrayList<>();
        for (Element element : root.getAllElements()) {
            boolean block =
                    BLOCKS.contains(element.normalName()) && element.hasText() && !MainText.inside(element, apart);
            if (block
                    && element.getAllElements().stream()
                            .noneMatch(inner ->
                                    inner != element && BLOCKS.contains(inner.normalName()) && inner.hasText())) {
                blocks.add(element);
            }
        }
        return blocks;
    }

    private static long key(Element element) {
        return hash(element.normalName() + "|" + element.text());
    }

    /** What a part is, whatever it says. Numbers in names count its like. */
    private static long shape(Element element) {
        return hash("<" + element.normalName() + " " + element.className() + " "
                + element.id().replaceAll("\\d+", ""));
    }

    /**
     * FNV-1a, 64 bits (Fowler, Noll, Vo): one text in {@value #MOST_REMEMBERED} meets another by chance once in a
     * million million sites.
     */
    private static long hash(String text) {
        long hash = 0xcbf29ce484222325L;
        for (int i = 0; i < text.length(); i++) {
            hash = (hash ^ text.charAt(i)) * 0x100000001b3L;
        }
        return hash;
    }
}
