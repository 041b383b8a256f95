package tidylantern.server.visitor;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.card.ButtonPart;
import tidylantern.core.design.card.CardPart;
import tidylantern.core.design.card.ExcerptPart;
import tidylantern.core.design.card.Lettering;
import tidylantern.core.design.card.MentionPart;
import tidylantern.core.design.card.PartGroup;
import tidylantern.core.design.card.PicturePart;
import tidylantern.core.design.card.TitlePart;
import tidylantern.core.design.card.ValuePart;
import tidylantern.core.query.MarkedText;
import tidylantern.server.answer.CardValue;
import tidylantern.server.answer.SearchAnswers.CardFace;
import tidylantern.server.answer.SearchAnswers.HitShape;
import tidylantern.server.answer.SearchAnswers.TierFace;

/**
 * A card as the page without script draws it.
 *
 * @param looks the classes by which it is drawn beside what all cards have, each with a blank before it
 */
record PageCard(String looks, Piece body) {
    static PageCard of(HitShape hit, List<CardFace> cards, List<TierFace> tiers) {
        CardFace face = cards.stream()
                .filter(card -> card.collections().contains(hit.collection()))
                .findFirst()
                .orElseThrow();
        Map<String, CardValue> values =
                hit.card().stream().collect(Collectors.toMap(CardValue::key, Function.identity()));
        Piece whole = Objects.requireNonNull(Piece.of(face.body(), values, hit.url()), "a card has a title");
        String frame = face.frame() == null ? "" : " " + face.frame();
        return new PageCard(
                frame + looks(hit, tiers), new Piece("card-body " + whole.looks(), 0, null, null, whole.group()));
    }

    private static String looks(HitShape hit, List<TierFace> tiers) {
        return tiers.stream()
                .filter(tier -> tier.key().equals(hit.tier()))
                .map(tier -> " tiered tier-%s edge-%s"
                        .formatted(tier.key(), tier.looks().edge()))
                .collect(Collectors.joining());
    }

    /**
     * A part that has something to show, or a group of such parts.
     *
     * @param looks the classes by which style sheets draw it
     * @param heading its level where it is the title; 0 for the others
     * @param url where a title leads; null for others, and where the item has no page
     * @param group the parts of a group; empty for the others
     */
    record Piece(
            String looks,
            int heading,
            @Nullable String url,
            @Nullable CardValue shown,
            List<Piece> group) {
        static @Nullable Piece of(CardPart part, Map<String, CardValue> values, @Nullable String url) {
            if (part instanceof PartGroup group) {
                List<Piece> pieces = group.parts().stream()
                        .map(one -> of(one, values, url))
                        .filter(Objects::nonNull)
                        .toList();
                return pieces.isEmpty() ? null : new Piece(looks(part), 0, null, null, pieces);
            }
            CardValue value = values.get(part.key());
            if (value == null) {
                return null;
            }
            return part instanceof TitlePart title
                    ? new Piece(looks(part), title.level(), url, value, List.of())
                    : new Piece(looks(part), 0, null, value, List.of());
        }

        public boolean isGroup() {
            return !group.isEmpty();
        }

        public boolean isTitle() {
            return heading > 0;
        }

        public boolean isText() {
            return is(CardValue.As.TEXT) && heading == 0;
        }

        public boolean isLink() {
            return is(CardValue.As.LINK);
        }

        public boolean isChips() {
            return is(CardValue.As.CHIPS);
        }

        public boolean isSigns() {
            return is(CardValue.As.SIGNS);
        }

        public boolean isPicture() {
            return is(CardValue.As.PICTURE);
        }

        public boolean isLetter() {
            return is(CardValue.As.LETTER);
        }

        public boolean isSign() {
            return is(CardValue.As.SIGN);
        }

        public List<MarkedText.Run> text() {
            return shown == null ? List.of() : shown.text();
        }

        public @Nullable String value() {
            return shown == null ? null : shown.value();
        }

        private boolean is(CardValue.As as) {
            return shown != null && shown.as() == as;
        }

        /** The same that the elements give, so that one style sheet serves both. */
        private static String looks(CardPart part) {
            return switch (part) {
                case PartGroup group ->
                    "in-%s gap-%s at-%s%s%s%s%s"
                            .formatted(
                                    group.direction() == PartGroup.Direction.FLOW ? "row wraps" : group.direction(),
                                    group.gap(),
                                    group.align(),
                                    group.grows() ? " grows" : "",
                                    group.dots() ? " dots" : "",
                                    group.width() == PartGroup.Width.FITTING ? "" : " takes-" + group.width(),
                                    group.shrinks() ? "" : " keeps");
                case PicturePart picture ->
                    "picture shape-%s width-%s%s%s"
                            .formatted(
                                    picture.shape(),
                                    picture.size(),
                                    picture.whole() ? " whole" : "",
                                    picture.corners() == null ? "" : " corners-" + picture.corners());
                case TitlePart title -> "title lines-" + title.lines() + set(title.lettering());
                case ExcerptPart excerpt -> "excerpt lines-" + excerpt.lines() + set(excerpt.lettering());
                case MentionPart mention -> mention.what() + set(mention.lettering());
                case ValuePart value -> "value" + set(value.lettering());
                case ButtonPart button -> "button";
            };
        }

        private static String set(Lettering lettering) {
            return " text-%s%s tone-%s".formatted(lettering.size(), lettering.bold() ? " bold" : "", lettering.tone());
        }
    }
}
