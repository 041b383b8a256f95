import type { TidyEventDetails } from '../package'

/**
 * Tells a page's own script that listens; the event goes out of the element through any shadow that it stands in.
 *
 * @returns whether nobody prevented what comes next
 */
export function tell<Name extends keyof TidyEventDetails>(
  host: Element | null | undefined,
  name: Name,
  detail: TidyEventDetails[Name],
): boolean {
  return host?.dispatchEvent(new CustomEvent(name, { detail, bubbles: true, composed: true, cancelable: true })) ?? true
}
