package tidylantern.server.answer;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.util.MultiValueMap;
import tidylantern.core.design.SearchDesign;
import tidylantern.server.answer.Answering.SearchInLanguage;
import tidylantern.server.answer.SearchAnswers.LiveResults;
import tidylantern.server.answer.SearchAnswers.Results;
import tidylantern.server.platform.PageNumber;
import tidylantern.server.platform.Settings;
import tools.jackson.databind.json.JsonMapper;

/**
 * Answers to visitors, written out. One that was given is given again to whoever asks the same, for as long as all that
 * it was made of stays as it is: a bounded number of them, those that are asked most.
 */
@Component
public class KeptAnswers {
    private static final Duration UNASKED = Duration.ofMinutes(10);
    private static final int MOST_DESIGNS = 1_000;
    /** Of what is kept beside the answer itself; an estimate. */
    private static final int BYTES_BESIDE = 500;

    private final Answering answering;
    private final JsonMapper json;
    private final Cache<Question, KeptAnswer> kept;
    /** By the design that is asked, the very object: a search that is split has two. */
    private final Cache<SearchDesign, Numbered> standings = Caffeine.newBuilder()
            .weakKeys()
            .maximumSize(MOST_DESIGNS)
            .expireAfterAccess(UNASKED)
            .build();

    private final AtomicLong numbers = new AtomicLong();
    /** No answer of another start is taken for one of this. */
    private final String start = UUID.randomUUID().toString();

    private final boolean keeps;

    KeptAnswers(Answering answering, JsonMapper json, Settings settings) {
        this.answering = answering;
        this.json = json;
        keeps = settings.keptAnswers().toBytes() > 0;
        kept = Caffeine.newBuilder()
                .maximumWeight(settings.keptAnswers().toBytes())
                .weigher((Question question, KeptAnswer answer) ->
                        answer.bytes() + question.toString().length() + BYTES_BESIDE)
                .expireAfterAccess(UNASKED)
                .build();
    }

    private enum Kind {
        RESULTS,
        LIVE
    }

    /** What the answers of a design are made of now, and a number that stands for it. */
    private record Numbered(AnswerStanding standing, long number) {}

    /** @param standing its number */
    private record Question(
            long standing, Kind kind, @Nullable String language, Map<String, List<String>> parameters) {}

    /**
     * A page of results.
     *
     * @param early whether it is for somebody who looks at a draft, so that it is not kept
     * @param parameters all of the request
     */
    public KeptAnswer results(
            SearchInLanguage search, boolean early, String q, String page, MultiValueMap<String, String> parameters) {
        return answer(search, early, Kind.RESULTS, parameters, tag -> {
            Results results = answering.results(search, q, PageNumber.of(page), parameters, false);
            return new KeptAnswer(
                    json.writeValueAsBytes(results), tag, results.query(), results.startingList(), results.total());
        });
    }

    /** The short list while somebody types; see {@link #results}. */
    public KeptAnswer live(SearchInLanguage search, boolean early, String q, MultiValueMap<String, String> parameters) {
        return answer(search, early, Kind.LIVE, parameters, tag -> {
            LiveResults live = answering.live(search, q, parameters);
            return new KeptAnswer(json.writeValueAsBytes(live), tag, live.query(), live.startingList(), live.total());
        });
    }

    private KeptAnswer answer(
            SearchInLanguage search,
            boolean early,
            Kind kind,
            MultiValueMap<String, String> parameters,
            Function<@Nullable String, KeptAnswer> reckoned) {
        if (early || !keeps) {
            return reckoned.apply(null);
        }
        // Looked at before the answer is reckoned: one that is made of something newer is never asked for again.
        Question question = new Question(number(search), kind, search.language(), Map.copyOf(parameters));
        KeptAnswer known = kept.getIfPresent(question);
        if (known != null) {
            return known;
        }
        KeptAnswer answer = reckoned.apply("W/\"%s-%d\"".formatted(start, numbers.incrementAndGet()));
        kept.put(question, answer);
        return answer;
    }

    /** The same for as long as answers of the search are made of the same. */
    private long number(SearchInLanguage search) {
        AnswerStanding now = answering.standing(search);
        return standings
                .asMap()
                .compute(
                        search.design(),
                        (design, before) -> before != null && before.standing().isSame(now)
                                ? before
                                : new Numbered(now, numbers.incrementAndGet()))
                .number();
    }
}
