/**
 * A complete search proposed for a site, from what its content says: what kind of site it is, which fields visitors
 * narrow by, in which order results stand, how they look. Every part says why it is proposed and can be left away.
 * Start at {@link SearchProposal}.
 */
@NullMarked
package tidylantern.core.proposal;

import org.jspecify.annotations.NullMarked;
