package tidylantern.server.answer;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tidylantern.core.query.MarkedText;
import tidylantern.core.query.filter.FilterAnswer;

/**
 * Parts of the core's records that are not written where they are empty, false or 0, since an answer has hundreds of
 * such records and most have nothing there. The service's own records say so of a part themselves, by
 * {@link JsonInclude}; the core's know nothing of JSON, so what stands for their annotations stands here: Jackson takes
 * those of methods that are called the same.
 */
@Configuration
class LeftOutWhereEmpty {
    @Bean
    JsonMapperBuilderCustomizer leanAnswers() {
        return builder -> builder.addMixIn(FilterAnswer.Offered.class, ValueOnOffer.class)
                .addMixIn(MarkedText.Run.class, Run.class);
    }

    interface ValueOnOffer {
        @JsonInclude(JsonInclude.Include.NON_DEFAULT)
        boolean selected();

        @JsonInclude(JsonInclude.Include.NON_DEFAULT)
        int below();

        @JsonInclude(JsonInclude.Include.NON_EMPTY)
        List<FilterAnswer.Offered> children();

        @JsonInclude(JsonInclude.Include.NON_EMPTY)
        String picture();

        @JsonInclude(JsonInclude.Include.NON_EMPTY)
        String heading();
    }

    interface Run {
        @JsonInclude(JsonInclude.Include.NON_DEFAULT)
        boolean marked();
    }
}
