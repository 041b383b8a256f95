import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api } from '../../ownerApi'

/** The draft on pages of the owner's site, for whoever has the link. */
export interface ShownDraft {
  /** When the link ends. */
  ends: string
  /** The address of a page with the draft on it. */
  to: (address: string) => string
  /** The address of a bookmark that puts a box with the draft into the page it is pressed on. */
  bookmark: string
}

/** Runs on a page of the owner's site, so it needs nothing but the browser. */
const inPage = (origin: string, search: string, token: string) =>
  `(() => {
    history.replaceState(history.state, '', '#tidy-draft=${search}.${token}');
    const script = document.createElement('script');
    script.type = 'module';
    script.src = '${origin}/elements/tidy-lantern.js';
    document.head.append(script);
    if (document.querySelector('tidy-search')) return;
    const box = document.createElement('tidy-search');
    box.setAttribute('search', '${search}');
    box.style.cssText = 'max-width: 640px; margin: 12px auto; padding: 0 12px';
    document.body.prepend(box);
  })()`.replace(/\n\s*/g, ' ')

/** A link to the draft of a search; one is made for each time the workbench is opened. */
export function useDraftLink(search: string) {
  const queries = useQueryClient()
  const key = ['draft-link', search]
  const { data } = useQuery({ queryKey: key, queryFn: () => api.makeDraftLink(search), staleTime: Infinity })
  const link = computed<ShownDraft | null>(() => {
    const made = data.value
    return made
      ? {
          ends: made.ends,
          to: address => `${address.replace(/#.*/, '')}#tidy-draft=${search}.${made.token}`,
          bookmark: `javascript:${encodeURIComponent(inPage(location.origin, search, made.token))}`,
        }
      : null
  })
  async function makeAgain() {
    await api.endDraftLinks(search)
    await queries.invalidateQueries({ queryKey: key })
  }
  return { link, makeAgain }
}
