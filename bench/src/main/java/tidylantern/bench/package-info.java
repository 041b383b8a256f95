/** Benchmarks: what answers cost, beside the same work done by general-purpose peers in the same run. */
@NullMarked
package tidylantern.bench;

import org.jspecify.annotations.NullMarked;
