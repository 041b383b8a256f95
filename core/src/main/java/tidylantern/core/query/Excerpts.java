package tidylantern.core.query;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Pattern;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.Item;
import tidylantern.core.design.Words;
import tidylantern.core.index.Stemming;
import tidylantern.core.index.WordForms;
import tidylantern.core.index.WordSigns;
import tidylantern.core.query.compiled.Phrase;
import tidylantern.core.query.words.Match;

/** What is shown of an item's texts: its title, and an excerpt, with the words marked that the query met. */
public final class Excerpts {
    private static final String GAP = " … ";
    /** So many words of its sentence may stand before a match: it has to be in view where there is little room. */
    private static final int BEFORE = 15;

    private static final int BEFORE_IN_A_LINE = 9;
    /** On a line of a phone's width, and on one as long as texts are read well. */
    private static final int WORDS_ON_A_SHORT_LINE = 7;

    private static final int WORDS_ON_A_LONG_LINE = 18;
    /** What stands around a match has to make sense. */
    private static final int FEWEST_AROUND = 8;
    /** Between two words: a stop, what closes with it, and a blank. */
    private static final Pattern SENTENCE_ENDS = Pattern.compile("[.!?…][\"'”’)»]*\\s+.*");

    private final List<? extends Match> matches;
    private final Words.Excerpt shape;
    private final boolean oneLine;

    /** @param oneLine whether there is room for one stretch of text only, as in live results */
    Excerpts(List<? extends Match> matches, Words.Excerpt shape, boolean oneLine) {
        this.matches = matches;
        this.shape = shape;
        this.oneLine = oneLine;
    }

    /** One word of a text: where it stands, what of it to mark, and which part of the query (a bit each) met it. */
    private record Spot(int start, int end, int markFrom, int markTo, long met) {
        Spot whole(int match) {
            return new Spot(start, end, start, end, met | 1L << match);
        }
    }

    MarkedText whole(String text, Stemming stemming) {
        List<Spot> spots = spots(text, stemming, Integer.MAX_VALUE);
        MarkedText.Builder made = new MarkedText.Builder();
        append(made, text, spots, 0, text.length());
        return made.build();
    }

    /**
     * How many words are shown.
     *
     * @param sure in whatever room
     * @param most where there is the most room
     */
    private record Room(int sure, int most) {}

    private Room room(int lines) {
        Integer words = shape.words();
        return words == null
                ? new Room(lines * WORDS_ON_A_SHORT_LINE, lines * WORDS_ON_A_LONG_LINE)
                : new Room(words, words);
    }

    /**
     * The item's summary (or, without one, how its text begins); where that is short or holds none of the words, text
     * around them follows from the field that counts most.
     *
     * @param fields the searched fields with prose in them, the one that counts most first
     * @param lines so many at the most have room on the item's card
     */
    MarkedText excerpt(Item item, List<FieldKey> fields, Stemming stemming, int lines) {
        Room room = room(lines);
        String summary = item.text(FieldKey.SUMMARY);
        FieldKey lead = summary.isBlank() ? FieldKey.BODY : FieldKey.SUMMARY;
        String text = item.text(lead);
        List<Spot> spots = spots(text, stemming, room.most() + 1);
        int shown = Math.min(spots.size(), room.most());
        boolean holds = spots.subList(0, Math.min(shown, room.sure())).stream().anyMatch(spot -> spot.met() != 0);
        MarkedText.Builder made = new MarkedText.Builder();
        boolean lookFurther = oneLine
                ? !holds && !met(item.title(), stemming)
                : !holds || lead == FieldKey.BODY || shown < room.most() / 2;
        if (!matches.isEmpty() && lookFurther) {
            for (FieldKey field : headingsLast(fields)) {
                String other = item.text(field);
                if (field.equals(FieldKey.SUMMARY) || field.equals(FieldKey.TITLE) || other.isBlank()) {
                    continue;
                }
                List<Spot> found = spots(other, stemming, Integer.MAX_VALUE);
                if (found.stream().anyMatch(spot -> spot.met() != 0)) {
                    boolean inView = holds || met(item.title(), stemming);
                    int kept = oneLine || lead != FieldKey.SUMMARY ? 0 : kept(text, spots, room, inView);
                    if (kept > 0) {
                        append(
                                made,
                                text,
                                spots.subList(0, kept),
                                0,
                                kept < spots.size()
                                        ? spots.get(kept - 1).end()
                                        : text.stripTrailing().length());
                        made.add(GAP, false);
                    }
                    appendAroundMatches(
                            made,
                            other,
                            found,
                            new Room(Math.max(room.sure() - kept, FEWEST_AROUND), room.most() - kept),
                            kept > 0);
                    return made.build();
                }
            }
        }
        appendWords(made, text, spots, 0, shown, false);
        return made.build();
    }

    /**
     * How much of a summary stays before text around the matches. Where a match is in view already that is much; else
     * little, which ends where something of the sentence ends.
     */
    private static int kept(String text, List<Spot> spots, Room room, boolean inView) {
        int most = Math.min(spots.size(), (inView ? room.most() : room.sure()) / 2);
        if (inView || most == spots.size()) {
            return most;
        }
        for (int at = most; at > most / 2; at--) {
            if (!text.substring(spots.get(at - 1).end(), spots.get(at).start()).isBlank()) {
                return at;
            }
        }
        return most;
    }

    /** A list of headings says what a page has, not what it says. */
    private static List<FieldKey> headingsLast(List<FieldKey> fields) {
        return fields.stream()
                .sorted(Comparator.comparing(FieldKey.HEADINGS::equals))
                .toList();
    }

    private boolean met(String text, Stemming stemming) {
        return spots(text, stemming, Integer.MAX_VALUE).stream().anyMatch(spot -> spot.met() != 0);
    }

    private void appendAroundMatches(
            MarkedText.Builder made, String text, List<Spot> spots, Room around, boolean follows) {
        int room = around.most();
        int match = richest(spots, around.sure());
        int from = sentenceOf(
                text,
                spots,
                match,
                Math.max(0, match - Math.min(around.sure() / 2, oneLine ? BEFORE_IN_A_LINE : BEFORE)));
        boolean sentence = from >= 0;
        // At the end of a text there is room for what stands before, as long as the match stays in view.
        int farthest = Math.max(spots.size() - room, match - around.sure() * 2 / 3);
        if (sentence) {
            int earlier = sentenceOf(text, spots, from - 1, farthest);
            while (earlier >= 0) {
                from = earlier;
                earlier = sentenceOf(text, spots, from - 1, farthest);
            }
        } else {
            from = Math.max(0, Math.min(match - Math.min(shape.wordsBefore(), around.sure() / 2), farthest));
        }
        appendWords(made, text, spots, from, Math.min(spots.size(), from + room), from > 0 && !sentence && !follows);
    }

    /**
     * The word that begins the sentence of a word, no further back than the farthest; below 0 where it begins before
     * that.
     */
    private static int sentenceOf(String text, List<Spot> spots, int word, int farthest) {
        for (int at = word; at >= farthest && at >= 0; at--) {
            String between = at == 0
                    ? "\n"
                    : text.substring(spots.get(at - 1).end(), spots.get(at).start());
            if (between.indexOf('\n') >= 0 || SENTENCE_ENDS.matcher(between).matches()) {
                return at;
            }
        }
        return -1;
    }

    /** The first matched word from which {@code room} words hold the most different words of the query. */
    private static int richest(List<Spot> spots, int room) {
        int best = 0;
        int most = 0;
        for (int i = 0; i < spots.size(); i++) {
            if (spots.get(i).met() == 0) {
                continue;
            }
            long met = 0;
            for (int j = i; j < Math.min(spots.size(), i + room); j++) {
                met |= spots.get(j).met();
            }
            if (Long.bitCount(met) > most) {
                most = Long.bitCount(met);
                best = i;
            }
        }
        return best;
    }

    private void appendWords(
            MarkedText.Builder made, String text, List<Spot> spots, int from, int to, boolean cutBefore) {
        if (from >= to) {
            return;
        }
        if (cutBefore) {
            made.add("… ", false);
        }
        boolean goesOn = to < spots.size();
        // Up to the next word, so that the closing stop or bracket stays; but not into it.
        int end = goesOn
                ? WordSigns.after(text, spots.get(to - 1).end())
                : text.stripTrailing().length();
        append(
                made,
                text,
                spots.subList(from, to),
                from == 0 ? 0 : WordSigns.before(text, spots.get(from).start()),
                end);
        if (goesOn) {
            made.add("…", false);
        }
    }

    private static void append(MarkedText.Builder made, String text, List<Spot> spots, int from, int to) {
        int at = from;
        for (Spot spot : spots) {
            // Two words may share the sign between them ('AT&T'), and a sign may stand beyond what is shown.
            int markFrom = Math.max(at, spot.markFrom());
            int markTo = Math.min(to, spot.markTo());
            if (spot.markTo() > spot.markFrom() && markTo > markFrom) {
                made.add(text.substring(at, markFrom), false);
                made.add(text.substring(markFrom, markTo), true);
                at = markTo;
            }
        }
        made.add(text.substring(at, to), false);
    }

    private List<Spot> spots(String text, Stemming stemming, int most) {
        List<Spot> spots = new ArrayList<>();
        boolean phrases = matches.stream().anyMatch(match -> !match.phrases().isEmpty());
        List<String> words = new ArrayList<>();
        WordForms.each(text, (lower, start, end) -> {
            Match.Seen seen = new Match.Seen(text, start, end, lower);
            Match.Mark best = null;
            long met = 0;
            for (int i = 0; i < matches.size(); i++) {
                Match.Mark mark = matches.get(i).mark(seen, stemming);
                if (mark != null) {
                    best = best == null || mark.length() > best.length() ? mark : best;
                    met |= 1L << i;
                }
            }
            spots.add(
                    best == null
                            ? new Spot(start, end, start, start, met)
                            : new Spot(start, end, start + best.from(), start + best.from() + best.length(), met));
            if (phrases) {
                words.add(lower);
                markPhrases(spots, words, stemming);
            }
            return spots.size() < most;
        });
        return spots;
    }

    /** Marks the last words if a phrase ends with them. */
    private void markPhrases(List<Spot> spots, List<String> words, Stemming stemming) {
        for (int i = 0; i < matches.size(); i++) {
            for (Phrase phrase : matches.get(i).phrases()) {
                if (phrase.endsAt(words, words.size() - 1, stemming)) {
                    for (int back = 1; back <= phrase.words().size(); back++) {
                        int place = spots.size() - back;
                        spots.set(place, spots.get(place).whole(i));
                    }
                }
            }
        }
    }
}
