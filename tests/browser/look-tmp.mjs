import { chromium } from '@playwright/test'
const [base, theme, ...shots] = process.argv.slice(2)
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] })
const c = await b.newContext({ viewport: { width: Number(process.env.W ?? 1280), height: 800 } })
if (theme === 'dark') await c.addInitScript(() => localStorage.setItem('lumpet-theme', 'dark'))
for (const shot of shots) {
  const [name, route, height, full, act] = shot.split('|')
  const p = await c.newPage()
  p.on('console', (m) => m.type() === 'error' && console.log(name, m.text()))
  p.on('pageerror', (e) => console.log(name, e.message))
  if (height) await p.setViewportSize({ width: Number(process.env.W ?? 1280), height: Number(height) })
  await p.goto(`${base}/#${route}`)
  await p.getByRole('heading', { level: 1 }).waitFor()
  await p.waitForTimeout(1200)
  if (act) { const [role, n] = act.split('~'); await p.getByRole(role, { name: n }).first().click(); await p.waitForTimeout(900) }
  await p.screenshot({ path: `/tmp/w/pics/${name}-${theme}.png`, fullPage: full === 'full' })
  await p.close()
}
await b.close()
