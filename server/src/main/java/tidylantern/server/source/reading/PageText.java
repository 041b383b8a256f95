package tidylantern.server.source.reading;

import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.jsoup.select.NodeVisitor;

/** The words of a piece of HTML as plain text: paragraphs apart, spaces as they are read, nothing that is not shown. */
final class PageText {
    private static final Set<String> UNSEEN = Set.of(
            "script", "style", "noscript", "template", "svg", "math", "iframe", "object", "canvas", "select", "head");
    private static final Set<String> PARAGRAPHS = Set.of(
            "p",
            "div",
            "section",
            "article",
            "main",
            "h1",
            "h2",
            "h3",
            "h4",
            "h5",
            "h6",
            "ul",
            "ol",
            "dl",
            "table",
            "blockquote",
            "pre",
            "figure",
            "figcaption",
            "header",
            "footer",
            "aside",
            "nav",
            "form",
            "fieldset",
            "hr",
            "address",
            "details",
            "summary",
            "body");
    private static final Set<String> LINES = Set.of("li", "tr", "dt", "dd", "br", "option");

    private PageText() {}

    static String ofFragment(String html) {
        return of(Jsoup.parseBodyFragment(html).body());
    }

    static String of(Element element) {
        StringBuilder text = new StringBuilder();
        // A visitor instead of recursion: pages can be nested deeper than any stack.
        element.traverse(new NodeVisitor() {
            private int hidden;

            @Override
            public void head(Node node, int depth) {
                if (node instanceof Element tag) {
                    if (unseen(tag)) {
                        hidden++;
                    }
                    breakBefore(tag, text);
                } else if (node instanceof TextNode words && hidden == 0) {
                    append(text, words.getWholeText());
                }
            }

            @Override
            public void tail(Node node, int depth) {
                if (node instanceof Element tag) {
                    if (unseen(tag)) {
                        hidden--;
                    }
                    if (PARAGRAPHS.contains(tag.normalName())) {
                        breakLines(text, 2);
                    } else if (tag.normalName().equals("td") || tag.normalName().equals("th")) {
                        append(text, " ");
                    }
                }
            }
        });
        return text.toString().strip();
    }

    private static boolean unseen(Element tag) {
        return UNSEEN.contains(tag.normalName()) || tag.hasAttr("hidden") || "true".equals(tag.attr("aria-hidden"));
    }

    private static void breakBefore(Element tag, StringBuilder text) {
        if (PARAGRAPHS.contains(tag.normalName())) {
            breakLines(text, 2);
        } else if (LINES.contains(tag.normalName())) {
            breakLines(text, 1);
        }
    }

    private static void breakLines(StringBuilder text, int lines) {
        while (!text.isEmpty() && text.charAt(text.length() - 1) == ' ') {
            text.setLength(text.length() - 1);
        }
        int there = 0;
        while (there < text.length() && text.charAt(text.length() - 1 - there) == '\n') {
            there++;
        }
        if (!text.isEmpty()) {
            text.append("\n".repeat(Math.max(0, lines - there)));
        }
    }

    private static void append(StringBuilder text, String words) {
        for (int i = 0; i < words.length(); i++) {
            char c = words.charAt(i);
            boolean space = c == ' ' || c == '\n' || c == '\t' || c == '\r' || c == '\f' || c == '\u00a0';
            if (!space) {
                text.append(c);
            } else if (!text.isEmpty()
                    && text.charAt(text.length() - 1) != ' '
                    && text.charAt(text.length() - 1) != '\n') {
                text.append(' ');
            }
        }
    }
}
