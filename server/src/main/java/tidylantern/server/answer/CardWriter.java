package tidylantern.server.answer;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Collection;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Tier;
import tidylantern.core.design.card.ButtonPart;
import tidylantern.core.design.card.CardPart;
import tidylantern.core.design.card.ExcerptPart;
import tidylantern.core.design.card.MentionPart;
import tidylantern.core.design.card.PartGroup;
import tidylantern.core.design.card.PicturePart;
import tidylantern.core.design.card.Place;
import tidylantern.core.design.card.TitlePart;
import tidylantern.core.design.card.ValuePart;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.text.DesignLabels;
import tidylantern.core.query.Hit;
import tidylantern.core.query.MarkedText;

/**
 * Writes what the card of a result says, part by part, in the order in which it is read; a part that has no value is
 * left out.
 */
public final class CardWriter {
    private final SiteContent content;
    private final SearchDesign design;
    private final Place place;
    private final AnswerTexts texts;
    private final ValueTexts values;
    private final String siteAddress;

    /** @param today where the site is */
    CardWriter(
            SiteContent content,
            SearchDesign design,
            Place place,
            AnswerTexts texts,
            LocalDate today,
            String siteAddress) {
        this.content = content;
        this.design = design;
        this.place = place;
        this.texts = texts;
        this.values = new ValueTexts(texts, today);
        this.siteAddress = siteAddress;
    }

    List<CardValue> of(Hit hit) {
        return design.card(place, hit.ref().collection())
                .leaves()
                .flatMap(part -> Stream.ofNullable(write(part, hit)))
                .toList();
    }

    /** What the item stands under in the filter of tags, as that filter has it; none where pictures open nothing. */
    List<SearchAnswers.Tag> tags(Hit hit) {
        CategorySource source = design.pictureTags();
        return source == null || !(hit.values().get(source.field()) instanceof FieldValue.Categories categories)
                ? List.of()
                : categories.paths().stream()
                        .map(path -> {
                            String value = source.offered().standsFor(path.key());
                            return new SearchAnswers.Tag(
                                    value, source.looks().labels().getOrDefault(value, path.label()));
                        })
                        .filter(tag -> source.offered().offers(tag.value()))
                        .distinct()
                        .toList();
    }

    private @Nullable CardValue write(CardPart part, Hit hit) {
        return switch (part) {
            case PicturePart picture -> picture(picture, hit);
            case TitlePart title ->
                new CardValue(title.key(), CardValue.As.TEXT, hit.title().runs(), null);
            case ExcerptPart excerpt -> excerpt(excerpt, hit);
            case MentionPart mention -> mention(mention, hit);
            case ValuePart shown -> value(shown, hit);
            case ButtonPart button -> button(button, hit);
            case PartGroup group -> throw new IllegalStateException("a group says nothing itself: " + group.key());
        };
    }

    private @Nullable CardValue picture(PicturePart part, Hit hit) {
        FieldValue.Image image = hit.image();
        if (image == null) {
            return standIn(part, hit);
        }
        String shows = Optional.ofNullable(image.alternative()).orElse("");
        return new CardValue(
                part.key(),
                CardValue.As.PICTURE,
                CardValue.plain(shows),
                Answering.absolute(image.address(), siteAddress));
    }

    private @Nullable CardValue standIn(PicturePart part, Hit hit) {
        return switch (part.standIn()) {
            case NONE -> null;
            case LETTER -> {
                String title = hit.title().plain().strip();
                yield title.isEmpty()
                        ? null
                        : new CardValue(
                                part.key(),
                                CardValue.As.LETTER,
                                CardValue.plain(title.substring(0, title.offsetByCodePoints(0, 1))),
                                null);
            }
            case SIGN ->
                new CardValue(
                        part.key(),
                        CardValue.As.SIGN,
                        List.of(),
                        Signs.pathOf(design.reach().signOf(hit.ref().collection())));
        };
    }

    private static @Nullable CardValue excerpt(ExcerptPart part, Hit hit) {
        List<MarkedText.Run> runs = hit.excerpt().runs();
        return runs.isEmpty() ? null : new CardValue(part.key(), CardValue.As.TEXT, runs, null);
    }

    private @Nullable CardValue mention(MentionPart part, Hit hit) {
        Tier tier = hit.tier();
        return switch (part.what()) {
            // Of one alone it would stand on every card and tell nobody anything.
            case COLLECTION ->
                design.reach().collections().size() == 1 ? null : CardValue.text(part.key(), hit.collectionLabel());
            case RIBBON ->
                tier == null || tier.looks().ribbon() == null
                        ? null
                        : CardValue.text(
                                part.key(),
                                texts.worded(
                                        DesignLabels.ribbonOf(tier.key()),
                                        tier.looks().ribbon().text()));
            case DISCLOSURE ->
                tier == null || tier.disclosure() == null
                        ? null
                        : CardValue.text(
                                part.key(), texts.worded(DesignLabels.disclosureOf(tier.key()), tier.disclosure()));
            case DISTANCE -> {
                if (hit.metres() == null) {
                    yield null;
                }
                double km = hit.metres() / 1_000;
                yield new CardValue(
                        part.key(), CardValue.As.TEXT, CardValue.plain(texts.away(km)), Double.toString(km));
            }
        };
    }

    private @Nullable CardValue value(ValuePart part, Hit hit) {
        FieldValue value = hit.values().get(part.field());
        Field field = field(hit, part.field());
        return value == null || field == null ? null : values.write(part, value, field, siteAddress);
    }

    private @Nullable CardValue button(ButtonPart part, Hit hit) {
        String address = hit.address();
        if (part.link() != null) {
            address = hit.values().get(part.link()) instanceof FieldValue.Link link ? link.address() : null;
        }
        return address == null
                ? null
                : new CardValue(
                        part.key(),
                        CardValue.As.LINK,
                        CardValue.plain(part.text()),
                        Answering.absolute(address, siteAddress));
    }

    private @Nullable Field field(Hit hit, FieldKey key) {
        Collection collection = content.collection(hit.ref().collection());
        return collection == null ? null : collection.field(key);
    }
}
