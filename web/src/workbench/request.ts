/** How the workbench asks the service, which visitors' elements do with fewer words. */
import { fetchJson, RequestFailure, type Fetched, type FailReason } from '../shared/http'

/** What is said where the service itself said nothing. */
const UNSAID: Record<FailReason, string> = {
  offline: 'The service cannot be reached. Check the connection, then try again.',
  refused: 'The service refused this and did not say why.',
  broken: 'The answer could not be read. Try again.',
}

/** Asks for JSON, as {@link fetchJson} does; every failure has a message that is fit to be shown. */
export async function request<Body>(url: string, init: RequestInit = {}): Promise<Fetched<Body>> {
  try {
    return await fetchJson<Body>(url, init)
  } catch (failure) {
    if (failure instanceof RequestFailure && failure.message === failure.reason)
      failure.message = UNSAID[failure.reason]
    throw failure
  }
}
