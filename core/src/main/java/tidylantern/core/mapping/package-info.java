/**
 * From what a source says to what an item says: which column or property becomes which field, and how its values are
 * read. {@link Mapping} is what an owner decides, {@link MappingGuess} proposes one from what the records say,
 * {@link Doubts} says where that may be wrong, {@link Mapper} applies it. Knows nothing of files, feeds or pages: a
 * record is a map of loose values, as JSON has them. Start at {@link Mapping}.
 */
@NullMarked
package tidylantern.core.mapping;

import org.jspecify.annotations.NullMarked;
