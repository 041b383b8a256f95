package tidylantern.server.ownpage;

import com.helger.css.decl.CSSDeclaration;
import com.helger.css.decl.CSSMediaRule;
import com.helger.css.decl.CSSStyleRule;
import com.helger.css.decl.CascadingStyleSheet;
import com.helger.css.decl.ICSSTopLevelRule;
import com.helger.css.reader.CSSReader;
import com.helger.css.reader.CSSReaderSettings;
import com.helger.css.reader.errorhandler.DoNothingCSSParseErrorHandler;
import com.helger.css.writer.CSSWriterSettings;
import java.net.URI;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tidylantern.core.design.look.SeenStyle;
import tidylantern.server.platform.Refusal;
import tidylantern.server.source.reading.PageReader;
import tidylantern.server.source.reading.SiteAddresses;
import tidylantern.server.source.reading.SourceProblem;
import tidylantern.server.source.reading.WebFetcher;

/** Looks at a page and its style sheets, as somebody would who wants to dress something like it. */
@Component
public class PageStyles {
    private static final WebFetcher.Limits PAGE = new WebFetcher.Limits(5_000_000, Duration.ofSeconds(30), true);
    private static final WebFetcher.Limits SHEET = new WebFetcher.Limits(2_000_000, Duration.ofSeconds(20), false);
    private static final int MOST_SHEETS = 8;
    private static final CSSWriterSettings PLAIN = new CSSWriterSettings();

    private final WebFetcher fetcher;

    PageStyles(WebFetcher fetcher) {
        this.fetcher = fetcher;
    }

    /**
     * @param address of a page of the site
     * @throws Refusal with the reason, if the page cannot be read, or nothing of its style was understood
     */
    public SeenStyle of(String siteAddress, String address) {
        URI at = SiteAddresses.tidy(address);
        if (at == null || !SiteAddresses.sameSite(URI.create(siteAddress), at)) {
            throw Refusal.bad("address", "\"%s\" is no page of this site, %s.".formatted(address, siteAddress));
        }
        try {
            WebFetcher.Fetched answer = fetcher.fetch(at, WebFetcher.Known.NOTHING, PAGE);
            if (!answer.ok()) {
                throw Refusal.bad("address", "%s answers with status %d.".formatted(at, answer.status()));
            }
            Document page = PageReader.parse(answer);
            SeenStyle seen = new StyledPage(page, rules(page)).seen();
            if (seen.isEmpty()) {
                throw Refusal.bad("address", "No style was understood on %s. Choose colours yourself.".formatted(at));
            }
            return seen;
        } catch (SourceProblem problem) {
            throw Refusal.bad("address", String.valueOf(problem.getMessage()));
        }
    }

    /** In the order in which they hold; a sheet that cannot be had is passed over, as a browser passes over it. */
    private List<StyledPage.Rule> rules(Document page) {
        List<StyledPage.Rule> rules = new ArrayList<>();
        int fetched = 0;
        for (Element sheet : page.select("style, link[rel~=(?i)\\bstylesheet\\b][href]")) {
            String media = sheet.attr("media");
            if (!media.isEmpty() && !holds(media)) {
                continue;
            }
            if (sheet.normalName().equals("style")) {
                rules.addAll(rules(sheet.data()));
            } else if (fetched++ < MOST_SHEETS) {
                rules.addAll(rules(fetched(sheet.absUrl("href"))));
            }
        }
        return rules;
    }

    private String fetched(String address) {
        URI at = SiteAddresses.tidy(address);
        if (at == null) {
            return "";
        }
        try {
            WebFetcher.Fetched answer = fetcher.fetch(at, WebFetcher.Known.NOTHING, SHEET);
            Charset charset = answer.charset() == null ? StandardCharsets.UTF_8 : Charset.forName(answer.charset());
            return answer.ok() ? new String(answer.body(), charset) : "";
        } catch (SourceProblem | IllegalArgumentException unread) {
            return "";
        }
    }

    /** Of one style sheet, those that hold on a wide screen in the day. */
    static List<StyledPage.Rule> rules(String css) {
        List<StyledPage.Rule> rules = new ArrayList<>();
        CascadingStyleSheet sheet = CSSReader.readFromStringStream(
                css,
                new CSSReaderSettings()
                        .setBrowserCompliantMode(true)
                        .setCustomErrorHandler(new DoNothingCSSParseErrorHandler())
                        .setCustomExceptionHandler(broken -> {
                            // Whatever comes before is used, as browsers do.
                        }));
        if (sheet != null) {
            sheet.getAllRules().forEach(rule -> add(rules, rule));
        }
        return rules;
    }

    private static void add(List<StyledPage.Rule> rules, ICSSTopLevelRule rule) {
        if (rule instanceof CSSMediaRule media) {
            boolean holds =
                    media.getAllMediaQueries().stream().anyMatch(query -> holds(query.getAsCSSString(PLAIN, 0)));
            if (holds) {
                media.getAllRules().forEach(one -> add(rules, one));
            }
        } else if (rule instanceof CSSStyleRule style) {
            style.getAllSelectors().forEach(selector -> {
                for (CSSDeclaration declaration : style.getAllDeclarations()) {
                    rules.add(new StyledPage.Rule(
                            selector.getAsCSSString(PLAIN, 0),
                            declaration.getProperty().toLowerCase(Locale.ROOT),
                            Objects.toString(declaration.getExpressionAsCSSString(), ""),
                            declaration.isImportant()));
                }
            });
        }
    }

    /** What somebody sees on a wide screen in the day. */
    private static boolean holds(@Nullable String media) {
        String query = Objects.requireNonNullElse(media, "").toLowerCase(Locale.ROOT);
        return !query.contains("print") && !query.contains("dark") && !query.contains("max-width");
    }
}
