/** Everything the workbench asks of the service. */
import { fetchJson } from '../shared/http'
import type {
  AccessKey, CollectionShape, FieldKind, ItemPage, NewKey, SearchDesign, SearchSummary, Session, Site,
} from '../shared/contract'

const root = '/api/owner'
const path = (...parts: string[]) => parts.map(encodeURIComponent).join('/')

/** The session's token against forged requests, which the service hands out as a cookie. */
function token(): string {
  return document.cookie.split('; ').find(cookie => cookie.startsWith('XSRF-TOKEN='))?.slice('XSRF-TOKEN='.length) ?? ''
}

async function get<Body>(address: string): Promise<Body> {
  return (await fetchJson<Body>(root + address)).body
}

function change(method: string, body: unknown, headers: Record<string, string> = {}): RequestInit {
  return { method, headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token(), ...headers }, body: body === undefined ? null : JSON.stringify(body) }
}

async function send<Body>(method: string, address: string, body?: unknown, headers?: Record<string, string>): Promise<Body> {
  return (await fetchJson<Body>(root + address, change(method, body, headers))).body
}

/** A draft with the tag that a change of it must carry. */
export interface TaggedDraft { design: SearchDesign, tag: string }

const tagged = async (request: Promise<{ body: SearchDesign, headers: Headers }>): Promise<TaggedDraft> => {
  const { body, headers } = await request
  return { design: body, tag: headers.get('ETag') ?? '' }
}

export const api = {
  session: () => get<Session>('/session'),
  signIn: (name: string, password: string) => send<Session>('POST', '/session', { name, password }),
  signOut: () => send<null>('DELETE', '/session'),
  firstStart: (given: { name: string, password: string, siteName: string, siteAddress: string }) => send<Session>('POST', '/first-start', given),

  sites: () => get<Site[]>('/sites'),
  changeSite: (site: string, given: { name: string, address: string, origins: string[] }) => send<Site>('PUT', `/sites/${path(site)}`, given),
  accessKeys: () => get<AccessKey[]>('/access-keys'),
  addAccessKey: (name: string) => send<NewKey>('POST', '/access-keys', { name }),
  removeAccessKey: (id: number) => send<null>('DELETE', `/access-keys/${id}`),

  collections: (site: string) => get<CollectionShape[]>(`/sites/${path(site)}/collections`),
  putCollection: (site: string, key: string, given: { label: string, language: string }) =>
    send<CollectionShape>('PUT', `/sites/${path(site)}/collections/${path(key)}`, given),
  correctField: (site: string, collection: string, field: string, given: { kind: FieldKind, label: string }) =>
    send<CollectionShape>('PUT', `/sites/${path(site)}/collections/${path(collection)}/fields/${path(field)}`, given),
  items: (site: string, collection: string, q: string, page: number, perPage: number) =>
    get<ItemPage>(`/sites/${path(site)}/collections/${path(collection)}/items?${new URLSearchParams({ q, page: String(page), perPage: String(perPage) })}`),

  searches: (site: string) => get<SearchSummary[]>(`/sites/${path(site)}/searches`),
  addSearch: (site: string, name: string) => send<SearchSummary>('POST', `/sites/${path(site)}/searches`, { name }),
  search: (key: string) => get<SearchSummary>(`/searches/${path(key)}`),
  draft: (key: string) => tagged(fetchJson<SearchDesign>(`${root}/searches/${path(key)}/draft`)),
  changeDraft: (key: string, design: SearchDesign, tag: string) =>
    tagged(fetchJson<SearchDesign>(`${root}/searches/${path(key)}/draft`, change('PUT', design, { 'If-Match': tag }))),
  publish: (key: string, tag: string) => send<SearchSummary>('POST', `/searches/${path(key)}/publish`, undefined, { 'If-Match': tag }),
}
