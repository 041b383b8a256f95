/** Everything the workbench asks of the service. */
import { request } from './request'
import type {
  DesignRules,
  AccessKey,
  CardChoices,
  CategoryValue,
  CollectionShape,
  Comparison,
  CountedValue,
  CrawlSettings,
  Deletion,
  DraftLink,
  Explanation,
  Featured,
  FeaturedShare,
  FieldCount,
  FieldKind,
  Filter,
  FilterProposal,
  FilterToday,
  FirstStart,
  Finding,
  FoundBy,
  Installation,
  Invitation,
  Invited,
  ItemPage,
  ItemRef,
  ItemWhole,
  Look,
  LookChoices,
  Mapping,
  NamedItem,
  NewKey,
  NewSearch,
  OpenPointState,
  Outline,
  OwnAccess,
  OwnPage,
  OwnPlace,
  OwnerChange,
  OwnerMark,
  PageCheck,
  Person,
  PlaceChoices,
  PlacementShape,
  Preview,
  ProposalChoices,
  ProposedSearch,
  ReachCounts,
  ReachedPage,
  RefusedOrigin,
  Results,
  Role,
  SearchDesign,
  SearchSummary,
  SeenPage,
  Session,
  SetUpMade,
  Site,
  SourceGiven,
  SourceSettings,
  SourceShape,
  Split,
  SplitState,
  Survey,
  Sync,
  SynonymEffect,
  SynonymsRead,
  TestPages,
  TextChoices,
  Trial,
  TrialsRun,
  Version,
} from '../shared/contract'

const root = '/api/owner'
const path = (...parts: string[]) => parts.map(encodeURIComponent).join('/')

/** The session's token against forged requests, which the service hands out as a cookie. */
function token(): string {
  return (
    document.cookie
      .split('; ')
      .find(cookie => cookie.startsWith('XSRF-TOKEN='))
      ?.slice('XSRF-TOKEN='.length) ?? ''
  )
}

async function get<Body>(address: string): Promise<Body> {
  return (await request<Body>(root + address)).body
}

function change(method: string, body: unknown, headers: Record<string, string> = {}): RequestInit {
  return {
    method,
    headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token(), ...headers },
    body: body === undefined ? null : JSON.stringify(body),
  }
}

async function send<Body>(
  method: string,
  address: string,
  body?: unknown,
  headers?: Record<string, string>,
): Promise<Body> {
  return (await request<Body>(root + address, change(method, body, headers))).body
}

/** A draft with the tag that a change of it must carry. */
export interface TaggedDraft {
  design: SearchDesign
  tag: string
}

const tagged = async (asked: Promise<{ body: SearchDesign; headers: Headers }>): Promise<TaggedDraft> => {
  const { body, headers } = await asked
  return { design: body, tag: headers.get('ETag') ?? '' }
}

export const api = {
  session: () => get<Session>('/session'),
  signIn: (name: string, password: string) => send<Session>('POST', '/session', { name, password }),
  signOut: () => send<null>('DELETE', '/session'),
  firstStart: (given: FirstStart) => send<Session>('POST', '/first-start', given),

  access: () => get<OwnAccess>('/access'),
  people: (site: string) => get<Person[]>(`/sites/${path(site)}/people`),
  changePerson: (site: string, name: string, role: Role) =>
    send<Person[]>('PUT', `/sites/${path(site, 'people', name)}`, { role }),
  removePerson: (site: string, name: string) => send<Person[]>('DELETE', `/sites/${path(site, 'people', name)}`),
  invitations: (site: string) => get<Invitation[]>(`/sites/${path(site)}/invitations`),
  invite: (site: string, role: Role) =>
    send<{ token: string; until: string }>('POST', `/sites/${path(site)}/invitations`, { role }),
  takeInvitationBack: (site: string, id: number) => send<null>('DELETE', `/sites/${path(site)}/invitations/${id}`),
  invited: (token: string) => send<Invited>('POST', '/invitation', { token }),
  joinSite: (given: { token: string; name?: string; password?: string }) =>
    send<{ site: string; name: string }>('POST', '/invitation/accept', given),

  sites: () => get<Site[]>('/sites'),
  addSite: (given: { name: string; address: string }) => send<Site>('POST', '/sites', given),
  changeSite: (site: string, given: { name: string; address: string; origins: string[]; timeZone: string | null }) =>
    send<Site>('PUT', `/sites/${path(site)}`, given),
  survey: (site: string) => get<Survey>(`/sites/${path(site)}/survey`),
  refusedOrigins: (site: string) => get<RefusedOrigin[]>(`/sites/${path(site)}/refused-origins`),
  setUpFile: (site: string) => `${root}/sites/${path(site)}/set-up`,
  /** @param document the text of a set-up's file */
  addSetUp: async (document: string) =>
    (await request<SetUpMade>(`${root}/set-ups`, { ...change('POST', undefined), body: document })).body,
  designFile: (search: string) => `${root}/searches/${path(search)}/design-file`,
  /** @param document the text of a design's file */
  addDesign: async (site: string, document: string) =>
    (
      await request<SearchSummary>(`${root}/sites/${path(site)}/designs`, {
        ...change('POST', undefined),
        body: document,
      })
    ).body,
  accessKeys: () => get<AccessKey[]>('/access-keys'),
  addAccessKey: (given: { name: string; site: string | null; rights: AccessKey['rights'] }) =>
    send<NewKey>('POST', '/access-keys', given),
  removeAccessKey: (id: number) => send<null>('DELETE', `/access-keys/${id}`),

  changePassword: (old: string, password: string) => send<Session>('PUT', '/password', { old, password }),
  installation: () => get<Installation>('/installation'),
  installationCopy: `${root}/installation/copy`,
  /** Puts a copy, a ZIP file, in place of the database. */
  restore: async (copy: File) => {
    await request<null>(`${root}/installation/restore`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/zip', 'X-XSRF-TOKEN': token() },
      body: copy,
    })
  },

  collections: (site: string) => get<CollectionShape[]>(`/sites/${path(site)}/collections`),
  putCollection: (site: string, key: string, given: { label: string; language: string }) =>
    send<CollectionShape>('PUT', `/sites/${path(site)}/collections/${path(key)}`, given),
  correctField: (
    site: string,
    collection: string,
    field: string,
    given: { kind: FieldKind; label: string; unit: string | null },
  ) =>
    send<CollectionShape>('PUT', `/sites/${path(site)}/collections/${path(collection)}/fields/${path(field)}`, given),
  deleteCollection: (site: string, collection: string, name: string) =>
    send<Deletion>('DELETE', `/sites/${path(site)}/collections/${path(collection)}?${new URLSearchParams({ name })}`),
  changeAbout: (search: string, given: { key: string; purpose: string }) =>
    send<SearchSummary>('PUT', `/searches/${path(search)}/about`, given),
  formerKeys: (search: string) => get<string[]>(`/searches/${path(search)}/former-keys`),
  endFormerKey: (search: string, former: string) =>
    send<null>('DELETE', `/searches/${path(search)}/former-keys/${path(former)}`),
  deleteSearch: (search: string, name: string) =>
    send<Deletion>('DELETE', `/searches/${path(search)}?${new URLSearchParams({ name })}`),
  deleteSite: (site: string, name: string) =>
    send<Deletion>('DELETE', `/sites/${path(site)}?${new URLSearchParams({ name })}`),
  /** One page of what owners changed, the newest first, and whether there is more. */
  changes: async (site: string, page: number): Promise<{ changes: OwnerChange[]; goesOn: boolean }> => {
    const { body, headers } = await request<OwnerChange[]>(`${root}/sites/${path(site)}/changes?page=${page}`)
    return { changes: body, goesOn: headers.get('Link')?.includes('rel="next"') ?? false }
  },
  takeBack: (site: string, id: number) => send<null>('POST', `/sites/${path(site)}/changes/${id}/take-back`),
  takeSample: () => send<Site>('POST', '/sample-site'),
  deletedSites: () => get<Deletion[]>('/deleted-sites'),
  bringSiteBack: (id: number) => send('POST', `/deleted-sites/${id}/bring-back`),
  stopCorrection: (site: string, collection: string) =>
    send<CollectionShape>('DELETE', `/sites/${path(site)}/collections/${path(collection)}/correction`),
  merge: (site: string, collection: string, field: string, from: string[], into: string[]) =>
    send<CollectionShape>('POST', `/sites/${path(site)}/collections/${path(collection)}/fields/${path(field)}/merges`, {
      from,
      into,
    }),
  part: (site: string, collection: string, field: string, from: string[]) =>
    send<CollectionShape>(
      'DELETE',
      `/sites/${path(site)}/collections/${path(collection)}/fields/${path(field)}/merges`,
      { from },
    ),
  values: (site: string, collection: string, field: string, q: string) =>
    get<CategoryValue[]>(
      `/sites/${path(site)}/collections/${path(collection)}/fields/${path(field)}/values?${new URLSearchParams({ q })}`,
    ),
  /** @param asked page, order and filters, as the address of the request has them */
  items: (site: string, collection: string, asked: URLSearchParams) =>
    get<ItemPage>(`/sites/${path(site)}/collections/${path(collection)}/items?${asked}`),
  item: (site: string, collection: string, id: string) =>
    get<ItemWhole>(`/sites/${path(site)}/collections/${path(collection)}/item?${new URLSearchParams({ id })}`),
  foundBy: (site: string, collection: string, id: string) =>
    get<FoundBy[]>(`/sites/${path(site)}/collections/${path(collection)}/item/searches?${new URLSearchParams({ id })}`),
  mark: (site: string, collection: string, id: string, mark: OwnerMark) =>
    send<ItemWhole>(
      'PUT',
      `/sites/${path(site)}/collections/${path(collection)}/item/mark?${new URLSearchParams({ id })}`,
      mark,
    ),
  markSeveral: (site: string, collection: string, ids: string[], change: { keptOut?: boolean; addKeywords?: string }) =>
    send<{ items: number }>('POST', `/sites/${path(site)}/collections/${path(collection)}/items/marks`, {
      ids,
      keptOut: change.keptOut ?? null,
      addKeywords: change.addKeywords ?? null,
    }),
  exported: (site: string, collection: string, format: 'csv' | 'jsonl') =>
    `${root}/sites/${path(site)}/collections/${path(collection)}/export.${format}`,
  health: (site: string) => get<Finding[]>(`/sites/${path(site)}/health`),

  async upload(site: string, file: File): Promise<{ upload: string; bytes: number }> {
    const sent: RequestInit = {
      method: 'POST',
      headers: { 'Content-Type': 'application/octet-stream', 'X-XSRF-TOKEN': token() },
      body: file,
    }
    return (await request<{ upload: string; bytes: number }>(`${root}/sites/${path(site)}/uploads`, sent)).body
  },
  preview: (
    site: string,
    given: { settings: SourceSettings; mapping: Mapping | null; collection: string | null; fresh: boolean },
  ) => send<Preview>('POST', `/sites/${path(site)}/source-previews`, given),
  outline: (site: string, settings: CrawlSettings, address: string) =>
    send<Outline>('POST', `/sites/${path(site)}/page-outlines`, { settings, address }),
  sources: (site: string) => get<SourceShape[]>(`/sites/${path(site)}/sources`),
  source: (id: number) => get<SourceShape>(`/sources/${id}`),
  addSource: (site: string, given: SourceGiven) => send<SourceShape>('POST', `/sites/${path(site)}/sources`, given),
  changeSource: (id: number, given: SourceGiven) => send<SourceShape>('PUT', `/sources/${id}`, given),
  removeSource: (id: number) => send<null>('DELETE', `/sources/${id}`),
  syncs: (source: number) => get<Sync[]>(`/sources/${source}/syncs`),
  sync: (id: number) => get<Sync>(`/syncs/${id}`),
  runSource: (id: number) => send<Sync>('POST', `/sources/${id}/syncs`),
  stopSync: (id: number) => send<Sync>('POST', `/syncs/${id}/stop`),
  goOn: (id: number) => send<Sync>('POST', `/syncs/${id}/go-on`),

  /** @param ticked values by the filters' keys */
  why: (
    search: string,
    which: 'draft' | 'live-version',
    q: string,
    item: { collection: string; id: string },
    ticked: Readonly<Record<string, readonly string[]>>,
  ) => {
    const filters = Object.entries(ticked).flatMap(([key, values]) => values.map(value => [key, value]))
    return get<Explanation>(
      `/searches/${path(search)}/${which}/why?${new URLSearchParams([['q', q], ['collection', item.collection], ['id', item.id], ...filters])}`,
    )
  },
  anyItems: (search: string, q: string) =>
    get<NamedItem[]>(`/searches/${path(search)}/draft/items?${new URLSearchParams({ q })}`),
  draftResults: (search: string, q: string) =>
    get<Results>(`/searches/${path(search)}/draft/results?${new URLSearchParams({ q })}`),
  fieldCounts: (search: string) => get<FieldCount[]>(`/searches/${path(search)}/draft/fields`),
  stopWords: (language: string) => get<string[]>(`/stop-words?${new URLSearchParams({ language })}`),
  synonymsFile: (search: string) => `${root}/searches/${path(search)}/draft/synonyms.csv`,
  /** @param csv the text of a table of synonyms */
  readSynonyms: async (csv: string) =>
    (
      await request<SynonymsRead>(`${root}/synonym-tables`, {
        ...change('POST', undefined, { 'Content-Type': 'text/csv' }),
        body: csv,
      })
    ).body,
  /** What each synonym does for the trials; those that no trial brings into play are missing. */
  synonymEffects: (search: string) => get<SynonymEffect[]>(`/searches/${path(search)}/draft/synonym-effects`),
  /** The trials, run on draft and live version. */
  trials: (search: string) => get<TrialsRun>(`/searches/${path(search)}/trials`),
  addTrial: (search: string, trial: Trial) => send<{ id: number }>('POST', `/searches/${path(search)}/trials`, trial),
  changeTrial: (search: string, id: number, trial: Trial) =>
    send<{ id: number }>('PUT', `/searches/${path(search)}/trials/${id}`, trial),
  removeTrial: (search: string, id: number) => send<null>('DELETE', `/searches/${path(search)}/trials/${id}`),
  trialsFile: (search: string) => `${root}/searches/${path(search)}/trials.csv`,
  /** @param csv the text of a table of trials */
  addTrials: async (search: string, csv: string) =>
    (
      await request<{ added: number }>(`${root}/searches/${path(search)}/trials.csv`, {
        ...change('POST', undefined, { 'Content-Type': 'text/csv' }),
        body: csv,
      })
    ).body,
  /** What the tiers and pins of the draft come to today. */
  cardChoices: (search: string) => get<CardChoices>(`/searches/${path(search)}/draft/cards`),
  standardTexts: (search: string, language: string) =>
    get<TextChoices>(`/searches/${path(search)}/draft/standard-texts?language=${language}`),
  lookChoices: (search: string) => get<LookChoices>(`/searches/${path(search)}/draft/look`),
  siteLook: (site: string) => get<LookChoices>(`/sites/${path(site)}/look`),
  /** What a look would come to; nothing is kept. */
  tryLook: (site: string, look: Look) => send<LookChoices>('POST', `/sites/${path(site)}/look/tried`, look),
  /** A look that goes with a page of the site. */
  lookLike: (site: string, address: string) => send<Look>('POST', `/sites/${path(site)}/look/like`, { address }),
  changeSiteLook: (site: string, look: Look) => send<LookChoices>('PUT', `/sites/${path(site)}/look`, look),
  featured: (search: string) => get<Featured>(`/searches/${path(search)}/draft/featured`),
  featuredShare: (search: string) => get<FeaturedShare[]>(`/searches/${path(search)}/draft/featured-share`),
  ownPlaces: (site: string) => get<OwnPlace[]>(`/sites/${path(site)}/places`),
  putOwnPlaces: (site: string, places: OwnPlace[]) => send<OwnPlace[]>('PUT', `/sites/${path(site)}/places`, places),
  placements: (site: string) => get<PlacementShape[]>(`/sites/${path(site)}/placements`),
  place: (
    site: string,
    given: { items: ItemRef[]; tier: string; place: number | null; from: string | null; until: string | null },
  ) => send<PlacementShape[]>('PUT', `/sites/${path(site)}/placements`, given),
  unplace: (site: string, items: ItemRef[], tier: string) =>
    send<PlacementShape[]>('DELETE', `/sites/${path(site)}/placements`, { items, tier }),
  /** The pages of the site on which elements of a search were met, the one met last first. */
  searchPages: (search: string) => get<SeenPage[]>(`/searches/${path(search)}/pages`),
  makeDraftLink: (search: string) => send<DraftLink>('POST', `/searches/${path(search)}/draft/links`),
  /** A page of the site on which the draft is to be seen: what it lets be done with it. */
  ownPage: (search: string, address: string) =>
    send<OwnPage>('POST', `/searches/${path(search)}/draft/own-page`, { address }),
  endDraftLinks: (search: string) => send('DELETE', `/searches/${path(search)}/draft/links`),
  placeChoices: (search: string) => get<PlaceChoices>(`/searches/${path(search)}/draft/places`),
  filterProposals: (search: string) => get<FilterProposal[]>(`/searches/${path(search)}/draft/filter-proposals`),
  filterFigures: (search: string) => get<FilterToday[]>(`/searches/${path(search)}/draft/filter-figures`),
  designRules: () => get<DesignRules>('/design-rules'),
  /** The joint filter of two, as it would be; the draft stays as it is. */
  joinedFilter: (search: string, filter: Filter, other: Filter, key: string) =>
    send<Filter>('POST', `/searches/${path(search)}/draft/joined-filter`, { filter, other, key }),
  filterValues: (search: string, field: string) =>
    get<CountedValue[]>(`/searches/${path(search)}/draft/filter-values?${new URLSearchParams({ field })}`),
  reach: (search: string) => get<ReachCounts>(`/searches/${path(search)}/draft/reach`),
  reached: (search: string, collection: string, asked: { which: string; rule?: number; q?: string; page?: number }) =>
    get<ReachedPage>(
      `/searches/${path(search)}/draft/reach/${path(collection)}/items?${new URLSearchParams({ which: asked.which, rule: String(asked.rule ?? 0), q: asked.q ?? '', page: String(asked.page ?? 1) })}`,
    ),

  searches: (site: string) => get<SearchSummary[]>(`/sites/${path(site)}/searches`),
  addSearch: (site: string, given: NewSearch) => send<SearchSummary>('POST', `/sites/${path(site)}/searches`, given),
  searchProposal: (site: string, choices: ProposalChoices) =>
    get<ProposedSearch>(
      `/sites/${path(site)}/search-proposal?${new URLSearchParams([
        ['kind', choices.kind ?? ''],
        // None chosen is not the same as nothing said.
        ...(choices.collections?.length === 0 ? [''] : (choices.collections ?? [])).map(key => ['collection', key]),
        ...(choices.without ?? []).map(key => ['without', key]),
      ])}`,
    ),
  search: (key: string) => get<SearchSummary>(`/searches/${path(key)}`),
  draft: (key: string) => tagged(request<SearchDesign>(`${root}/searches/${path(key)}/draft`)),
  changeDraft: (key: string, design: SearchDesign, tag: string) =>
    tagged(request<SearchDesign>(`${root}/searches/${path(key)}/draft`, change('PUT', design, { 'If-Match': tag }))),
  publish: (key: string, tag: string, why: string) =>
    send<SearchSummary>('POST', `/searches/${path(key)}/publish`, { why }, { 'If-Match': tag }),
  checkPage: (key: string, address: string) =>
    send<PageCheck>('POST', `/searches/${path(key)}/page-check`, { address }),
  /** @param due when, as ISO 8601 with its distance from UTC */
  plan: (key: string, tag: string, due: string, why: string) =>
    send<SearchSummary>('PUT', `/searches/${path(key)}/planned-publication`, { due, why }, { 'If-Match': tag }),
  planNothing: (key: string) => send<SearchSummary>('DELETE', `/searches/${path(key)}/planned-publication`),
  testPages: async (key: string) => (await get<TestPages>(`/searches/${path(key)}/test-pages`)).addresses,
  putTestPages: async (key: string, addresses: readonly string[]) =>
    (await send<TestPages>('PUT', `/searches/${path(key)}/test-pages`, { addresses })).addresses,
  split: async (key: string) => (await get<SplitState>(`/searches/${path(key)}/split`)).split,
  beginSplit: (key: string, given: { percent: number; ends: string }) =>
    send<Split>('PUT', `/searches/${path(key)}/split`, given),
  endSplit: (key: string) => send<null>('DELETE', `/searches/${path(key)}/split`),
  openPoints: (key: string) => get<OpenPointState[]>(`/searches/${path(key)}/open-points`),
  /** @param leave false to have it count as open again */
  leavePoint: (key: string, id: string, leave: boolean) =>
    send<OpenPointState[]>('PUT', `/searches/${path(key)}/open-points/left`, { id, leave }),
  versions: (key: string) => get<Version[]>(`/searches/${path(key)}/versions`),
  version: (key: string, version: number) => get<SearchDesign>(`/searches/${path(key)}/versions/${version}`),
  publishAgain: (key: string, version: number, why: string) =>
    send<SearchSummary>('POST', `/searches/${path(key)}/versions/${version}/publish`, { why: why || null }),
  comparison: (key: string, before: string, after: string) =>
    get<Comparison>(`/searches/${path(key)}/comparison?${new URLSearchParams({ before, after })}`),
}
