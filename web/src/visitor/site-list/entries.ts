/** One piece of a list that the site draws itself. */
export interface Entry {
  element: HTMLElement
  /** Where its links lead, each with and without what stands behind the path. */
  addresses: readonly LinkAddress[]
}

/** Where a link leads, in the two forms by which one knows it. */
export interface LinkAddress {
  /** With its query, without its fragment. */
  whole: string
  /** Without both. */
  path: string
}

/**
 * An address in the form in which two of one page are the same: without protocol, `www.`, fragment and a slash at the
 * end; with the query and without it.
 *
 * @returns null for what is no address of a page
 */
export function linkAddress(written: string, base: string): LinkAddress | null {
  let url: URL
  try {
    url = new URL(written, base)
  } catch {
    return null
  }
  if (url.protocol !== 'http:' && url.protocol !== 'https:') return null
  const path = url.host.replace(/^www\./, '') + decoded(url.pathname).replace(/\/+$/, '')
  return { path, whole: path + url.search }
}

/** A path as it is read, since one site writes `é` and another `%C3%A9`. */
function decoded(path: string): string {
  try {
    return decodeURI(path).normalize()
  } catch {
    return path // no UTF-8; compared as it stands
  }
}

/**
 * Which addresses are which: by the whole address first, since some sites tell entries by the query alone; by the path
 * where no two of them share it.
 */
export class KnownAddresses {
  private readonly wholes = new Map<string, number>()
  /** Null for a path that several have. */
  private readonly paths = new Map<string, number | null>()
  private readonly asWritten = new Map<string, number>()

  /** @param addresses in some order, whose numbers {@link find} gives */
  constructor(addresses: readonly string[], base: string) {
    addresses.forEach((written, number) => {
      const address = linkAddress(written, base)
      if (!address) return
      if (!this.wholes.has(address.whole)) this.wholes.set(address.whole, number)
      this.asWritten.set(written, this.wholes.get(address.whole)!)
      this.paths.set(address.path, this.paths.has(address.path) ? null : number)
    })
  }

  /** The number of one of these addresses, written as it was given. */
  numberOf(written: string): number | null {
    return this.asWritten.get(written) ?? null
  }

  /** The number of the first of these links that is known; null where none is. */
  find(links: readonly LinkAddress[]): number | null {
    for (const link of links) {
      const found = this.wholes.get(link.whole) ?? this.paths.get(link.path)
      if (found !== undefined && found !== null) return found
    }
    return null
  }
}

/** The element whose children are the entries: a list within, where there is nothing else. */
export function containerOf(list: HTMLElement): HTMLElement {
  let container = list
  while (container.children.length === 1 && container.firstElementChild instanceof HTMLElement) {
    container = container.firstElementChild
  }
  return container
}

export function entryOf(element: HTMLElement): Entry {
  const links = element instanceof HTMLAnchorElement ? [element] : [...element.querySelectorAll('a')]
  const addresses = links.flatMap(link => {
    const written = link.getAttribute('href')
    const address = written === null ? null : linkAddress(written, document.baseURI)
    return address ? [address] : []
  })
  return { element, addresses }
}
