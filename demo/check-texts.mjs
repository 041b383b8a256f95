#!/usr/bin/env node
// Proves what demo/README.md says of the demo's texts: enough items, each with a title and a text of its own, no
// sentence twice, and no two texts that share more than 15 % of their five-word runs. Prints what it counted; exits
// with 1 and a line for every fault. `node demo/check-texts.mjs`
import { readFileSync } from 'node:fs'

const COLLECTIONS = ['journal', 'makers', 'kitchen', 'outings', 'homes', 'pictures']
const FEWEST_ITEMS = 240
const FEWEST_PICTURES = 30
const FEWEST_WORDS = 60
const MOST_WORDS = 300
const MOST_SHARED = 0.15
/** Shorter sentences ("Bring boots.") may well be said twice. */
const SENTENCE_WORDS = 4

const words = text =>
  text
    .toLowerCase()
    .normalize('NFC')
    .match(/[\p{L}\p{N}’']+/gu) ?? []
const faults = []
const items = COLLECTIONS.flatMap(collection =>
  readFileSync(new URL(`content/${collection}.jsonl`, import.meta.url), 'utf8')
    .trim()
    .split('\n')
    .map(line => ({ collection, ...JSON.parse(line) })),
)

const texts = items.map(item => ({
  id: item.id,
  text: [item.summary, item.body, ...(item.reviews ?? [])].filter(Boolean).join('\n'),
}))
const pictures = items.filter(item => item.collection === 'pictures').length
if (items.length - pictures < FEWEST_ITEMS)
  faults.push(`${items.length - pictures} items besides pictures; ${FEWEST_ITEMS} are promised`)
if (pictures < FEWEST_PICTURES) faults.push(`${pictures} pictures; ${FEWEST_PICTURES} are promised`)

const seen = (values, what) => {
  const first = new Map()
  for (const [id, value] of values) {
    if (first.has(value)) faults.push(`${what} of ${first.get(value)} and ${id} are the same: "${value}"`)
    else first.set(value, id)
  }
}
seen(
  items.map(item => [item.id, item.id]),
  'the ids',
)
seen(
  items.map(item => [item.id, item.url]),
  'the addresses',
)
seen(
  items.filter(item => item.title).map(item => [item.id, item.title.toLowerCase()]),
  'the titles',
)
seen(
  texts.flatMap(({ id, text }) =>
    text
      .split(/(?<=[.!?])["”]?\s+|\n+/)
      .map(sentence => [id, words(sentence)])
      .filter(([, sentence]) => sentence.length >= SENTENCE_WORDS)
      .map(([id, sentence]) => [id, sentence.join(' ')]),
  ),
  'a sentence',
)

let long = 0
for (const item of items) {
  const count = words([item.summary, item.body].filter(Boolean).join('\n')).length
  if (count < FEWEST_WORDS || count > MOST_WORDS)
    faults.push(`${item.id} has ${count} words; ${FEWEST_WORDS} to ${MOST_WORDS} are promised`)
  if (count > 100) long++
}
if (long * 2 <= items.length) faults.push(`${long} of ${items.length} texts have more than 100 words; most should`)

const runs = texts.map(({ id, text }) => {
  const all = words(text)
  return { id, runs: new Set(all.slice(4).map((_, n) => all.slice(n, n + 5).join(' '))) }
})
let closest = 0
for (let a = 0; a < runs.length; a++) {
  for (let b = a + 1; b < runs.length; b++) {
    const [small, large] = runs[a].runs.size <= runs[b].runs.size ? [runs[a], runs[b]] : [runs[b], runs[a]]
    let shared = 0
    for (const run of small.runs) if (large.runs.has(run)) shared++
    const share = shared / Math.max(1, small.runs.size)
    closest = Math.max(closest, share)
    if (share > MOST_SHARED)
      faults.push(`${small.id} and ${large.id} share ${(share * 100).toFixed(0)} % of their five-word runs`)
  }
}

console.log(
  `${items.length - pictures} items and ${pictures} pictures; ${long} texts above 100 words; the two closest texts share ${(closest * 100).toFixed(1)} % of their five-word runs`,
)
for (const fault of faults) console.error(fault)
process.exit(faults.length === 0 ? 0 : 1)
