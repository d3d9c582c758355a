// npm run bench -- web: what a cook waits for, in Chromium: loading, a reading until its verdict is painted, frames, tasks.
/* global addEventListener, document, getComputedStyle, MutationObserver, PerformanceObserver, requestAnimationFrame */
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { ROOT } from './run.mjs'
import { atMost, p95, taskMs, URL, withTablet } from './tablet.mjs'

const LINE = '.line-name'
const READINGS = 24

/** A kitchen of every day: some 25 batches. */
export async function benchWeb(env) {
  return withTablet(env, 2, async (tablet) => {
    const met = [
      ...sizes(),
      await opens(tablet, 'the Line, CPU a quarter, 400 ms away, s', 2.5, { slowed: 4, latency: 400 }),
      await verdicts(tablet, 1, 50),
      await verdicts(tablet, 4, 150),
      await longTasks(tablet),
    ]
    return met.every(Boolean) ? 0 : 1
  })
}

/** Two hundred batches on the Line. */
export async function benchFullLine(env) {
  return withTablet(env, 17, async (tablet) => {
    const met = [await opens(tablet, 'the Line with 200 batches, s', 2.5), await frames(tablet), await idles(tablet)]
    return met.every(Boolean) ? 0 : 1
  })
}

/**
 * What a browser must have before it can draw a view, gzip: the program and the styles that it imports, fonts apart. Of a sheet
 * that opens in a view, what it needs beyond the view. What is read ahead once nobody waits is not counted.
 */
function sizes() {
  const dist = join(ROOT, 'web/dist')
  const built = JSON.parse(readFileSync(join(dist, '.vite/manifest.json'), 'utf8'))
  const needed = (key, files = new Set()) => {
    // What lies in another's file is counted there.
    if (!built[key] || files.has(built[key].file)) return files
    const { file, css = [], imports = [] } = built[key]
    for (const each of [file, ...css]) files.add(each)
    for (const each of imports) needed(each, files)
    return files
  }
  const zipped = (files) =>
    [...files].reduce((sum, file) => sum + gzipSync(readFileSync(join(dist, file))).length, 0) / 1000
  const page = readFileSync(join(dist, 'index.html'), 'utf8')
  const first = new Set([
    'index.html',
    ...[...page.matchAll(/"\/(assets\/[^"]+\.(?:js|css))"/g)].map(([, file]) => file),
  ])
  const met = [atMost('the first load, kB', zipped(first), 300)]
  const [program] = Object.keys(built).filter((key) => built[key].isEntry)
  const opened = Object.keys(built).filter((key) => built[key].isDynamicEntry)
  const opens = (from, view) =>
    [...needed(from)].some((file) =>
      Object.values(built)
        .find((each) => each.file === file)
        ?.dynamicImports?.includes(view),
    )
  for (const view of opened) {
    // Where it can be opened from: each has at least these.
    const from = opens(program, view)
      ? []
      : opened.filter((other) => other !== view && opens(other, view)).map((other) => needed(other))
    const [one = new Set(), ...others] = from
    const there = new Set([...first, ...[...one].filter((file) => others.every((files) => files.has(file)))])
    const more = new Set([...needed(view)].filter((file) => !there.has(file)))
    met.push(atMost(`${view.replace(/^.*src./, '')} more, kB`, zipped(more), 120))
  }
  return met
}

/**
 * From the address until a row can be tapped and the thread is free to hear it, told by the page itself: to be asked over
 * and over whether it is there would hold it up. Nothing is in the browser's cache. The middle of three.
 */
async function opens({ context }, name, most, { slowed = 1, latency = 0 } = {}) {
  const times = []
  for (let i = 0; i < 3; i++) {
    const page = await freshPage(context)
    const session = await context.newCDPSession(page)
    await session.send('Network.enable')
    await session.send('Network.setCacheDisabled', { cacheDisabled: true })
    await session.send('Emulation.setCPUThrottlingRate', { rate: slowed })
    await session.send('Network.emulateNetworkConditions', {
      offline: false,
      latency,
      downloadThroughput: -1,
      uploadThroughput: -1,
    })
    await page.addInitScript((row) => {
      globalThis.openedMs = new Promise((opened) => {
        const seen = new MutationObserver(() => {
          if (!document.querySelector(row)) return
          seen.disconnect()
          requestAnimationFrame(() => setTimeout(() => opened(performance.now()), 0))
        })
        seen.observe(document, { childList: true, subtree: true })
      })
    }, LINE)
    await page.goto(URL, { waitUntil: 'commit' })
    times.push((await page.evaluate(() => globalThis.openedMs)) / 1000)
    await page.close()
  }
  return atMost(name, times.sort((a, b) => a - b)[1], most)
}

/** From the press of Enter until what it proves is painted. */
async function verdicts({ context }, slowed, most) {
  const page = await freshPage(context)
  await page.goto(URL)
  await page.locator(LINE).first().click()
  await page.getByRole('region', { name: /Degree board/ }).waitFor()
  // Until what judges an entry is there, the board is shut.
  await page.locator('.board-degrees button:enabled').first().waitFor()
  const session = await context.newCDPSession(page)
  await session.send('Emulation.setCPUThrottlingRate', { rate: slowed })
  await page.evaluate(() => {
    const times = (globalThis.verdictMs = [])
    addEventListener(
      'keydown',
      (event) => {
        if (event.key !== 'Enter') return
        const pressed = event.timeStamp
        const seen = new MutationObserver(() => {
          if (!/logged/.test(document.querySelector('.bench-logged')?.textContent ?? '')) return
          seen.disconnect()
          requestAnimationFrame(() => setTimeout(() => times.push(performance.now() - pressed), 0))
        })
        seen.observe(document.body, { childList: true, subtree: true, characterData: true })
      },
      true,
    )
  })
  for (let i = 0; i < READINGS; i++) {
    await page.keyboard.type((36 - i / 10).toFixed(1))
    await page.keyboard.press('Enter')
    await page.waitForFunction((many) => globalThis.verdictMs.length > many, i)
    await page.waitForTimeout(700)
  }
  const times = await page.evaluate(() => globalThis.verdictMs)
  await page.close()
  return atMost(`a key until its verdict is painted, CPU 1/${slowed}, p95, ms`, p95(times), most)
}

/** The longest task of the main thread while Line and Bench are used for a minute. */
async function longTasks({ context }) {
  const page = await freshPage(context)
  await page.goto(URL)
  await page.locator(LINE).first().waitFor()
  await page.waitForTimeout(3000)
  await page.evaluate(() => {
    globalThis.longest = 0
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) globalThis.longest = Math.max(globalThis.longest, duration)
    }).observe({ type: 'longtask' })
  })
  const until = Date.now() + 60_000
  for (let i = 0; Date.now() < until; i++) {
    await page
      .locator(LINE)
      .nth(i % 5)
      .click()
    await page.getByRole('heading', { level: 1 }).waitFor()
    await page.waitForTimeout(1500)
    await page.keyboard.type((30 - (i % 50) / 10).toFixed(1))
    await page.keyboard.press('Enter')
    await page.waitForTimeout(1500)
    await page.getByRole('link', { name: 'Line' }).first().click()
    await page.locator(LINE).first().waitFor()
    await page.waitForTimeout(1000)
  }
  const longest = await page.evaluate(() => globalThis.longest)
  await page.close()
  return atMost('the longest task in a minute of Line and Bench, ms', longest, 50)
}

async function frames({ context }) {
  const page = await freshPage(context)
  await page.goto(URL)
  await page.locator(LINE).first().waitFor()
  await page.waitForTimeout(3000)
  const gaps = await page.evaluate(async () => {
    const found = []
    let last = performance.now()
    const scrolled = [...document.querySelectorAll('*')].find(
      (each) => each.scrollHeight > each.clientHeight + 200 && getComputedStyle(each).overflowY !== 'visible',
    )
    const frame = () => new Promise((next) => requestAnimationFrame(next))
    for (let i = 0; i < 300; i++) {
      const at = await frame()
      found.push(at - last)
      last = at
      ;(scrolled ?? document.scrollingElement).scrollBy(0, i < 150 ? 40 : -40)
    }
    return found.slice(1)
  })
  await page.close()
  return atMost('a frame while 200 batches are scrolled, p95, ms', p95(gaps), 33)
}

async function idles({ context }) {
  const page = await freshPage(context)
  const session = await context.newCDPSession(page)
  await session.send('Performance.enable', { timeDomain: 'threadTicks' })
  await page.goto(URL)
  await page.locator(LINE).first().waitFor()
  await page.waitForTimeout(20_000)
  const before = await taskMs(session)
  await page.waitForTimeout(30_000)
  const share = ((await taskMs(session)) - before) / 30 / 10
  await page.close()
  return atMost('nobody touches 200 batches, % of the main thread', share, 5)
}

function freshPage(context) {
  return context.newPage()
}
