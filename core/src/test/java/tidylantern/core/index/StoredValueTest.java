package tidylantern.core.index;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tidylantern.core.content.CategoryPath;
import tidylantern.core.content.FieldValue;

class StoredValueTest {
    static List<FieldValue> values() {
        return List.of(
                new FieldValue.Text("two\nlines, and a T"),
                new FieldValue.Categories(List.of(CategoryPath.parse("A/B, c/D"), CategoryPath.parse("E"))),
                new FieldValue.Numeric(new BigDecimal("12.50")),
                new FieldValue.Money(new BigDecimal("480"), "EUR"),
                new FieldValue.Money(new BigDecimal("480"), null),
                new FieldValue.Dates(List.of(LocalDate.of(2026, 5, 1), LocalDate.of(2027, 1, 31))),
                new FieldValue.Place(-90, 180, null),
                new FieldValue.Place(1.5, 2, "Pell, harbour"),
                new FieldValue.YesNo(true),
                new FieldValue.YesNo(false),
                new FieldValue.Image("/a.svg", null),
                new FieldValue.Image("/a.svg", "A boat"),
                new FieldValue.Link("https://a.example/?b=c"),
                new FieldValue.Codes(List.of("QH-1", "MK/2")));
    }

    @ParameterizedTest
    @MethodSource("values")
    void whatIsWrittenIsReadBack(FieldValue value) {
        assertThat(StoredValue.read(StoredValue.write(value))).isEqualTo(value);
    }
}
