package tidylantern.server.content;

import java.util.List;
import tidylantern.core.design.SearchDesign;
import tidylantern.server.key.SiteKey;

/**
 * By which designs visitors are answered. Told by whoever keeps designs, so that a new state of an index can be made
 * ready for them.
 */
public interface DesignsInUse {
    /** Of the searches of a site that are live. */
    List<SearchDesign> designsInUse(SiteKey site);
}
