/**
 * Quillhaven Isles: made-up content ({@link tidylantern.demo.Quillhaven}), the stand-in website that shows it
 * ({@link tidylantern.demo.StandInSite}), its illustrations, and the loader that brings it into a service as any
 * owner's script would. Knows the service by its HTTP contract alone.
 */
@NullMarked
package tidylantern.demo;

import org.jspecify.annotations.NullMarked;
