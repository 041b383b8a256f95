/** Why a request gave nothing: no way to the service, a refusal with its words, or an answer that cannot be read. */
export type FailReason = 'offline' | 'refused' | 'broken'

/** A request that failed. The message is the service's own and fit to be shown; where it said nothing, the reason. */
export class RequestFailure extends Error {
  readonly reason: FailReason
  readonly status: number
  /** The field at fault, as it was sent; null where there is none. */
  readonly field: string | null
  /** After how many seconds the service wants to be asked again; null where it does not say. */
  readonly retryAfter: number | null

  constructor(
    reason: FailReason,
    status = 0,
    problem: { detail?: string; field?: string } | null = null,
    retryAfter: number | null = null,
  ) {
    super(problem?.detail ?? reason)
    this.reason = reason
    this.status = status
    this.field = problem?.field ?? null
    this.retryAfter = retryAfter
  }
}

export interface Fetched<Body> {
  body: Body
  headers: Headers
}

/**
 * Asks for JSON. Aborting the signal lets the abort through; everything else that fails is a {@link RequestFailure}.
 */
export async function fetchJson<Body>(url: string, init: RequestInit = {}): Promise<Fetched<Body>> {
  let response: Response
  let text: string
  try {
    response = await fetch(url, init)
    // The connection may end within the body as well.
    text = await response.text()
  } catch (cause) {
    if (init.signal?.aborted) throw cause
    throw new RequestFailure('offline')
  }
  if (!response.ok) {
    const problem = parsed(text) as { detail?: string; field?: string } | null
    throw new RequestFailure('refused', response.status, problem, secondsOf(response.headers.get('Retry-After')))
  }
  const body = text === '' ? null : parsed(text)
  if (body === null && text !== '') throw new RequestFailure('broken', response.status)
  return { body: body as Body, headers: response.headers }
}

/** The seconds of a `Retry-After` (RFC 9110, 10.2.3); null for a day, or nothing. */
const secondsOf = (written: string | null): number | null =>
  written !== null && /^\d{1,5}$/.test(written) ? Number(written) : null

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}

/** An address as it may be put behind a link: http, https, or relative to the page. Null for any other, and for none. */
export function safeAddress(address: string | null | undefined): string | null {
  if (!address) return null
  try {
    const url = new URL(address, location.href)
    return url.protocol === 'http:' || url.protocol === 'https:' ? url.href : null
  } catch {
    return null
  }
}
