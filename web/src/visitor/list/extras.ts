import css from './extras.css?inline'
import CopyLink from './CopyLink.vue'
import LeadsOn from './LeadsOn.vue'
import MoreResults from './MoreResults.vue'
import NothingFound from './NothingFound.vue'

/** What stands around a list in few answers, in one script, which comes with the first of these. */
export { css, CopyLink, LeadsOn, MoreResults, NothingFound }
