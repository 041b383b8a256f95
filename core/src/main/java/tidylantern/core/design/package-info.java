/**
 * A search as its owner designs it: one immutable {@link SearchDesign} and its parts, and the checks that tell an owner
 * what is still open ({@link DesignChecks}). Its JSON form is the records' own shape; reading and writing it is the
 * server's. A part that cannot hold refuses with a {@link DesignFault} that names the key at fault.
 */
@NullMarked
package tidylantern.core.design;

import org.jspecify.annotations.NullMarked;
