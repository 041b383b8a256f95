package tidylantern.server.draft;

import io.swagger.v3.oas.annotations.Operation;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.util.LinkedMultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.design.Reach;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.card.Card;
import tidylantern.core.design.card.Place;
import tidylantern.core.design.results.Arranged;
import tidylantern.core.design.results.ResultsPage;
import tidylantern.server.answer.Answering;
import tidylantern.server.answer.Answering.SearchInLanguage;
import tidylantern.server.answer.SearchAnswers.CardFace;
import tidylantern.server.answer.SearchAnswers.HitShape;
import tidylantern.server.answer.SearchAnswers.Results;
import tidylantern.server.answer.SearchAnswers.TierFace;
import tidylantern.server.design.Searches;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.PageNumber;

/** One item as the cards of a draft show it, in every place: what owners look at while they compose a card. */
@RestController
class DraftSpecimenController {
    private final Searches searches;
    private final Answering answering;

    DraftSpecimenController(Searches searches, Answering answering) {
        this.searches = searches;
        this.answering = answering;
    }

    /** @param hit as its card shows it there */
    record PlacedCard(Place place, CardFace card, HitShape hit) {}

    /**
     * @param collection whose item it is; null where nothing is searched
     * @param at which of them in the search's own order, from 1
     * @param total how many there are to choose from
     * @param placed none where there are no items
     */
    record Specimen(
            @Nullable CollectionKey collection, int at, int total, List<TierFace> tiers, List<PlacedCard> placed) {}

    @Operation(summary = "One item as the draft's cards show it, in every place.")
    @GetMapping("/api/owner/searches/{key}/draft/specimen")
    Specimen specimen(
            @PathVariable SearchKey key,
            @RequestParam(defaultValue = "") String collection,
            @RequestParam(defaultValue = "1") String at) {
        Searches.Draft draft = searches.draft(key);
        SearchDesign design = draft.design();
        Reach.Searched searched = chosen(design, collection);
        if (searched == null) {
            return new Specimen(null, 1, 0, List.of(), List.of());
        }
        SearchDesign alone = design.withReach(new Reach(List.of(searched)))
                .withFilters(List.of())
                .withPins(List.of())
                .withPage(ResultsPage.of(null, 1, Arranged.LIST));
        int number = PageNumber.of(at);
        Map<Place, Results> answers = new EnumMap<>(Place.class);
        for (Place place : Place.values()) {
            answers.put(place, answer(draft.site(), key, alone, design.card(place, searched.collection()), number));
        }
        Results list = Objects.requireNonNull(answers.get(Place.LIST));
        List<PlacedCard> placed = answers.entrySet().stream()
                .flatMap(answer -> answer.getValue().hits().stream()
                        .map(hit -> new PlacedCard(
                                answer.getKey(),
                                CardFace.of(
                                        design.card(answer.getKey(), searched.collection()),
                                        List.of(searched.collection())),
                                hit)))
                .toList();
        return new Specimen(searched.collection(), list.page(), list.total(), list.tiers(), placed);
    }

    /** The collection that is meant or, where none is, the first whose results have the card that all share. */
    private static Reach.@Nullable Searched chosen(SearchDesign design, String collection) {
        List<Reach.Searched> all = design.reach().collections();
        return all.stream()
                .filter(one -> one.collection().value().equals(collection))
                .findFirst()
                .or(() -> all.stream()
                        .filter(one -> design.card(Place.LIST, one.collection()).collection() == null)
                        .findFirst())
                .or(() -> all.stream().findFirst())
                .orElse(null);
    }

    /** A list with the card of any place in it, since an answer reads just the fields that its own cards show. */
    private Results answer(SiteKey site, SearchKey search, SearchDesign alone, Card card, int at) {
        Card asList = new Card(Place.LIST, null, card.body());
        return answering.results(
                new SearchInLanguage(site, search, alone.withCards(List.of(asList)), null),
                "",
                at,
                new LinkedMultiValueMap<>(),
                false);
    }
}
