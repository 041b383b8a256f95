// What outsiders' checkers say of a hosted page: lighthouse's audit and jsonld's expansion of what the page tells
// machines. node audit.mjs ADDRESS; writes JSON.
import { launch } from 'chrome-launcher'
import jsonld from 'jsonld'
import lighthouse from 'lighthouse'

const address = process.argv[2]
const chrome = await launch({
  chromePath: '/usr/bin/chromium',
  chromeFlags: ['--headless=new', '--no-sandbox', '--disable-gpu'],
})
const audit = await lighthouse(address, { port: chrome.port, output: 'json', logLevel: 'silent' })
await chrome.kill()
const page = await (await fetch(address)).text()
const told = JSON.parse(page.match(/<script type="application\/ld\+json">(.*?)<\/script>/s)[1])
// Nothing is fetched: schema.org's context says little more than that all names are its own.
const documentLoader = async url => ({
  contextUrl: null,
  documentUrl: url,
  document: { '@context': { '@vocab': 'https://schema.org/' } },
})
const expanded = await jsonld.expand(told, { documentLoader })
console.log(
  JSON.stringify({
    scores: Object.fromEntries(
      Object.values(audit.lhr.categories).map(category => [category.id, Math.round(category.score * 100)]),
    ),
    shift: audit.lhr.audits['cumulative-layout-shift'].numericValue,
    types: expanded.flatMap(one => one['@type']),
  }),
)
