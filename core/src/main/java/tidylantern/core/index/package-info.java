/**
 * Items made searchable with Lucene. The index holds what items say and nothing of any design: every searchable field
 * word by word, as typed and by stem, so that weights and strictness are decided when a query is answered. It is
 * readable while it is written. Start at {@link SiteIndex}; what a word is, is {@link WordForms}' to say.
 */
@NullMarked
package tidylantern.core.index;

import org.jspecify.annotations.NullMarked;
