// How fast the screen follows a stepped word: node follow.mjs ADDRESS writes medians in milliseconds as JSON.
import { chromium } from '@playwright/test'

const address = process.argv[2] ?? 'http://127.0.0.1:4310/'
const steps = 30
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
})
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })

/** From a key press in a word to the first change of what stands around it. */
async function follow(hash, word, around) {
  await page.goto(`${address}#${hash}`)
  const input = page.getByRole('spinbutton', { name: word }).first()
  await input.waitFor()
  await page.waitForTimeout(1000)
  await input.focus()
  const times = []
  for (let step = 0; step < steps; step++) {
    times.push(
      await page.evaluate(
        (selector) =>
          new Promise((resolve) => {
            const target = document.querySelector(selector)
            const before = target.textContent
            const begin = performance.now()
            const observer = new MutationObserver(() => {
              if (target.textContent === before) return
              observer.disconnect()
              resolve(performance.now() - begin)
            })
            observer.observe(target, { childList: true, subtree: true, characterData: true })
            document.activeElement.dispatchEvent(
              new KeyboardEvent('keydown', { key: 'ArrowUp', bubbles: true, cancelable: true }),
            )
          }),
        around,
      ),
    )
    await page.waitForTimeout(30)
  }
  return times.sort((one, other) => one - other)[steps / 2]
}

const day = (await (await fetch(`${address}api/bakery`)).json()).nextDay
const measured = {
  'the recipe follows its count': await follow('/recipes/pear/23/10', 'Pies', 'h1'),
  'the plan follows a pick-up': await follow(`/plan/${day}`, 'Pick-up at 10:00', '[aria-label="Pick-ups"]'),
}
await browser.close()
console.log(JSON.stringify(measured))
