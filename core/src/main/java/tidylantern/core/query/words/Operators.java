package tidylantern.core.query.words;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Reads visitors' operators: quotes, {@code AND}, {@code OR}, {@code NOT} or a minus before a word, and parentheses.
 * Words beside one another mean AND, which binds closer than OR. Whatever is not well formed is no operator but words.
 */
public final class Operators {
    private static final int MOST_LEVELS = 20;
    private final List<Token> tokens;
    private int at;
    private int level;

    /** A part of a query with operators. */
    sealed interface Node {
        record Words(String text) implements Node {}

        record Quoted(String text) implements Node {}

        record Not(Node part) implements Node {}

        record And(List<Node> parts) implements Node {}

        record Or(List<Node> parts) implements Node {}
    }

    private enum Kind {
        WORD,
        QUOTED,
        AND,
        OR,
        NOT,
        OPEN,
        CLOSE
    }

    private record Token(Kind kind, String text) {}

    private static final class NotWellFormed extends Exception {
        NotWellFormed() {
            super("not well formed", null, false, false);
        }
    }

    private Operators(List<Token> tokens) {
        this.tokens = tokens;
    }

    /** @return null where there is no operator in it, or they are not well formed */
    static @Nullable Node read(String text) {
        try {
            List<Token> tokens = tokens(text);
            if (tokens.stream().allMatch(token -> token.kind() == Kind.WORD)) {
                return null;
            }
            Operators reader = new Operators(tokens);
            Node whole = reader.either();
            return reader.at == tokens.size() ? whole : null;
        } catch (NotWellFormed plain) {
            return null;
        }
    }

    private static List<Token> tokens(String text) throws NotWellFormed {
        List<Token> tokens = new ArrayList<>();
        int i = 0;
        while (i < text.length()) {
            char c = text.charAt(i);
            if (Character.isWhitespace(c)) {
                i++;
            } else if (c == '(' || c == ')') {
                tokens.add(new Token(c == '(' ? Kind.OPEN : Kind.CLOSE, String.valueOf(c)));
                i++;
            } else if (quote(c)) {
                int end = i + 1;
                while (end < text.length() && !quote(text.charAt(end))) {
                    end++;
                }
                if (end == text.length()) {
                    throw new NotWellFormed();
                }
                tokens.add(new Token(Kind.QUOTED, text.substring(i + 1, end)));
                i = end + 1;
            } else if (c == '-'
                    && i + 1 < text.length()
                    && !Character.isWhitespace(text.charAt(i + 1))
                    && text.charAt(i + 1) != '-') {
                tokens.add(new Token(Kind.NOT, "-"));
                i++;
            } else {
                int end = i;
                while (end < text.length()
                        && !Character.isWhitespace(text.charAt(end))
                        && text.charAt(end) != '('
                        && text.charAt(end) != ')'
                        && !quote(text.charAt(end))) {
                    end++;
                }
                String word = text.substring(i, end);
                tokens.add(new Token(
                        switch (word) {
                            case "AND" -> Kind.AND;
                            case "OR" -> Kind.OR;
                            case "NOT" -> Kind.NOT;
                            default -> Kind.WORD;
                        },
                        word));
                i = end;
            }
        }
        return tokens;
    }

    private static boolean quote(char c) {
        return "\"\u201c\u201d\u201e\u00ab\u00bb".indexOf(c) >= 0;
    }

    private @Nullable Kind next() {
        return at < tokens.size() ? tokens.get(at).kind() : null;
    }

    private Node either() throws NotWellFormed {
        List<Node> parts = new ArrayList<>(List.of(all()));
        while (next() == Kind.OR) {
            at++;
            parts.add(all());
        }
        return parts.size() == 1 ? parts.getFirst() : new Node.Or(parts);
    }

    private Node all() throws NotWellFormed {
        List<Node> parts = new ArrayList<>(List.of(one()));
        while (next() != null && next() != Kind.OR && next() != Kind.CLOSE) {
            if (next() == Kind.AND) {
                at++;
            }
            parts.add(one());
        }
        return parts.size() == 1 ? parts.getFirst() : new Node.And(parts);
    }

    private Node one() throws NotWellFormed {
        Kind kind = next();
        if (kind == null || ++level > MOST_LEVELS) {
            throw new NotWellFormed();
        }
        Token token = tokens.get(at++);
        Node read =
                switch (kind) {
                    case NOT -> new Node.Not(one());
                    case WORD -> new Node.Words(token.text());
                    case QUOTED -> new Node.Quoted(token.text());
                    case OPEN -> {
                        Node inner = either();
                        if (next() != Kind.CLOSE) {
                            throw new NotWellFormed();
                        }
                        at++;
                        yield inner;
                    }
                    case AND, OR, CLOSE -> throw new NotWellFormed();
                };
        level--;
        return read;
    }
}
