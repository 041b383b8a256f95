import type { SourceOf } from '../../../shared/contract'

/** Which values of a category field are on offer. */
export type OfferedValues = SourceOf<'category'>['offered']

/** Taken off the list by itself, or with one above it. */
export const isOff = (offered: OfferedValues, value: string) =>
  offered.except.some(one => value === one || value.startsWith(`${one}/`))

export const isOffWithAbove = (offered: OfferedValues, value: string) =>
  offered.except.some(one => value.startsWith(`${one}/`))

export const isOn = (offered: OfferedValues, value: string) => offered.picked?.includes(value) ?? !isOff(offered, value)

/** With one value on the list that was off it, or off it that was on. */
export function withTurned(offered: OfferedValues, value: string): OfferedValues {
  const { picked, except } = offered
  if (picked)
    return { ...offered, picked: picked.includes(value) ? picked.filter(one => one !== value) : [...picked, value] }
  const changed = isOff(offered, value)
    ? except.filter(one => one !== value)
    : [...except.filter(one => !one.startsWith(`${value}/`)), value]
  return { ...offered, except: changed }
}

/** With several values on the list, or off it. */
export function withAllTurned(offered: OfferedValues, values: readonly string[], on: boolean): OfferedValues {
  const without = (some: string[]) => some.filter(one => !values.includes(one))
  const together = (some: string[]) => [...new Set([...some, ...values])]
  const { picked, except } = offered
  return picked
    ? { ...offered, picked: on ? together(picked) : without(picked) }
    : { ...offered, except: on ? without(except) : together(except) }
}

type Merged = OfferedValues['merged']

/** With a value that counts as another one, or as itself again; what counted as it counts as the other from now on. */
export function withMerged(merged: Merged, value: string, target: string | null): Merged {
  const { [value]: _before, ...others } = merged
  if (target === null) return others
  const isOfValue = (to: string) => to === value || to.startsWith(`${value}/`)
  const passed = Object.fromEntries(Object.entries(others).map(([from, to]) => [from, isOfValue(to) ? target : to]))
  return { ...passed, [value]: target }
}

/** Whether a value can count as another: not as itself, as one below it, or as one that counts as another. */
export const canCountAs = (merged: Merged, value: string, target: string) =>
  target !== value &&
  !target.startsWith(`${value}/`) &&
  !Object.keys(merged).some(gone => target === gone || target.startsWith(`${gone}/`))

/** Whether a text is a colour or the address of a picture, as filters show them beside their values. */
export const isPicture = (text: string) => /^#[0-9a-f]{6}$/i.test(text) || /^(\/|https?:\/\/)\S*$/.test(text)

/** A map with another entry, or without it where nothing is left to say. */
export function withEntry(map: Record<string, string>, key: string, text: string): Record<string, string> {
  const { [key]: _before, ...others } = map
  return text === '' ? others : { ...others, [key]: text }
}
