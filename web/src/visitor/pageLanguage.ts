/** By search: the language that the page names where its elements stand; empty for none. */
const languages = new Map<string, string>()

/** The language in which a search is asked. */
export const languageOf = (search: string): string => languages.get(search) ?? ''

/**
 * Learns in which language the page speaks where an element of a search stands.
 *
 * @returns it; empty where the page names none
 */
export function learnLanguage(search: string, element: Element): string {
  const language = languageAt(element)
  languages.set(search, language)
  return language
}

function languageAt(element: Element): string {
  for (let at: Element | null = element; at;) {
    const named = at.closest<HTMLElement>('[lang]')
    if (named) return named.lang
    const root: Node = at.getRootNode()
    at = root instanceof ShadowRoot ? root.host : null
  }
  return ''
}
