/** Numbers, days and times as the owner's browser writes them. */
const numbers = new Intl.NumberFormat()
const times = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeStyle: 'short' })
const clock = new Intl.DateTimeFormat(undefined, { timeStyle: 'short' })
const days = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium' })

export const formatNumber = (value: number): string => numbers.format(value)
export const formatClock = (iso: string): string => clock.format(new Date(iso))
export const formatTime = (iso: string): string => times.format(new Date(iso))
/** Days such as 2026-05-31 within a text, written as the owner's browser writes them. */
export const withDays = (text: string): string => text.replace(/\d{4}-\d{2}-\d{2}/g, day => formatDay(`${day}T12:00`))
export const formatDay = (iso: string): string => days.format(new Date(iso))
/** Bytes as people say them. */
export const formatSize = (bytes: number): string =>
  bytes >= 1e9 ? `${formatNumber(Math.round(bytes / 1e8) / 10)} GB` : `${formatNumber(Math.round(bytes / 1e6))} MB`
/** "1 item", "12 items"; `many` where the plural is not the word with an s. */
export const counted = (count: number, one: string, many = `${one}s`): string =>
  `${formatNumber(count)} ${count === 1 ? one : many}`
/** A time as a field for day and time holds it, by the owner's clock. */
export const localTime = (time: Date): string =>
  new Date(time.getTime() - time.getTimezoneOffset() * 60_000).toISOString().slice(0, 16)
