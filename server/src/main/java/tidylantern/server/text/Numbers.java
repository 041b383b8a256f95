package tidylantern.server.text;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.ibm.icu.number.LocalizedNumberFormatter;
import com.ibm.icu.number.NumberFormatter;
import com.ibm.icu.number.Precision;
import com.ibm.icu.util.Currency;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * Numbers and amounts as a language writes them, by CLDR. Working out how a language does that takes far longer than
 * writing a number, so it is done once for each.
 */
public final class Numbers {
    /** Visitors' browsers name languages, and could name any number of them. */
    private static final int MOST_LANGUAGES = 64;

    private static final Cache<Locale, Numbers> KNOWN =
            Caffeine.newBuilder().maximumSize(MOST_LANGUAGES).build();
    /** As the formats of languages have it where nothing else is said. */
    private static final int USUAL_DIGITS = 3;
    /** A value is told as it came; only what nobody reads is rounded. */
    private static final int DIGITS_OF_VALUES = 6;
    /** Of an amount whose currency nobody says. */
    private static final Precision PART_OF_UNIT = Precision.maxFraction(2);

    private final LocalizedNumberFormatter plain;
    private final LocalizedNumberFormatter values;
    private final Map<Integer, LocalizedNumberFormatter> rounded = new ConcurrentHashMap<>();
    private final Map<Amount, LocalizedNumberFormatter> amounts = new ConcurrentHashMap<>();

    /** How an amount is written. */
    private record Amount(@Nullable String currency, boolean whole) {}

    private Numbers(Locale language) {
        LocalizedNumberFormatter all = NumberFormatter.withLocale(language);
        plain = all.precision(Precision.maxFraction(USUAL_DIGITS));
        values = all.precision(Precision.maxFraction(DIGITS_OF_VALUES));
    }

    public static Numbers in(Locale language) {
        return KNOWN.get(language, Numbers::new);
    }

    /** With three digits after the point at most. */
    public String write(Number number) {
        return plain.format(number).toString();
    }

    /** @param digits after the point at most */
    public String write(double number, int digits) {
        return rounded.computeIfAbsent(digits, most -> plain.precision(Precision.maxFraction(most)))
                .format(number)
                .toString();
    }

    /** A field's value, with all digits that anybody reads. */
    public String value(BigDecimal number) {
        return values.format(number).toString();
    }

    /**
     * @param currency as ISO 4217 has it; null where nobody says it
     * @param whole whether parts of the unit are left away
     */
    public String amount(BigDecimal amount, @Nullable String currency, boolean whole) {
        boolean isWhole = whole || amount.stripTrailingZeros().scale() <= 0;
        return amounts.computeIfAbsent(new Amount(currency, isWhole), this::format)
                .format(amount)
                .toString();
    }

    private LocalizedNumberFormatter format(Amount how) {
        LocalizedNumberFormatter halfUp = plain.roundingMode(RoundingMode.HALF_UP);
        if (how.currency() == null) {
            return halfUp.precision(how.whole() ? Precision.integer() : PART_OF_UNIT);
        }
        return halfUp.unit(Currency.getInstance(how.currency()))
                .precision(how.whole() ? Precision.integer() : Precision.currency(Currency.CurrencyUsage.STANDARD));
    }
}
