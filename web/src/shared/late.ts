import { shallowRef } from 'vue'

/** A part whose script comes once it is wanted. */
export interface Late<Part> {
  /** Fetches it, unless it is there. One that did not come is fetched again by the next who asks. */
  load: () => Promise<Part>
  /** The part; undefined until it has come. Whoever draws by it is drawn again then. */
  came: () => Part | undefined
  /** The same, for who wants it now: where it is not there, it is fetched. */
  wanted: () => Part | undefined
}

/**
 * Smaller than what the framework brings for components that come later, and its promise tells when a part can be drawn
 * at once.
 */
export function late<Part>(fetchPart: () => Promise<Part>): Late<Part> {
  const part = shallowRef<Part>()
  let coming: Promise<Part> | null = null
  const fetchOnce = async () => {
    try {
      return (part.value = await fetchPart())
    } finally {
      coming = null
    }
  }
  const load = async () => part.value ?? (coming ??= fetchOnce())
  return {
    load,
    came: () => part.value,
    wanted: () => {
      if (!part.value) void load()
      return part.value
    },
  }
}
