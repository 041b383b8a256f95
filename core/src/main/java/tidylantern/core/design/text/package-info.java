/** What visitors read around the content, in which language, and where an owner words it otherwise. */
@NullMarked
package tidylantern.core.design.text;

import org.jspecify.annotations.NullMarked;
