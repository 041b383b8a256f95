package tidylantern.core.query.filter;

import java.util.List;

/**
 * How many items have a value of a category field.
 *
 * @param value key of the path
 * @param names from the top; where a value is written in several ways, the most frequent
 * @param count of distinct items
 */
public record CategoryCount(String value, List<String> names, int count) {}
