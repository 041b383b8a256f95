/**
 * Answers a visitor's query under a design: what is found, in which order, and what of it is shown. Live results, the
 * results page, the stage and the page without script all come from here. Start at {@link SearchEngine}, which puts the
 * rooms together; each knows those before it alone:
 *
 * <ol>
 *   <li>{@code compiled}: what of a search no query changes ({@code CompiledSearch});
 *   <li>{@code words}: what a query means ({@code ReadQuery}, {@code WordMatch});
 *   <li>{@code place}: where visitors are ({@code VisitorPlace});
 *   <li>{@code filter}: what is set, and how many items each value has ({@code NarrowedQuery});
 *   <li>{@code order}: in which order results stand ({@code Ordering});
 *   <li>{@code help}, {@code listing}, {@code why}: ways on, the owner's table, and why an item is found.
 * </ol>
 */
@NullMarked
package tidylantern.core.query;

import org.jspecify.annotations.NullMarked;
