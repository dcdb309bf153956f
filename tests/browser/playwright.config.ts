import { defineConfig } from '@playwright/test'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

// At six in the morning whenever the tests run, so that none meets work that should have begun by now, or midnight.
const ahead = ((6 - new Date().getUTCHours() + 36) % 24) - 12
process.env.LUMPET_TEST_ZONE ??= ahead === 0 ? 'Etc/UTC' : `Etc/GMT${ahead > 0 ? '-' : '+'}${Math.abs(ahead)}`
process.env.TZ = process.env.LUMPET_TEST_ZONE

const port = Number(process.env.LUMPET_TEST_PORT ?? 4398)
const root = join(import.meta.dirname, '..', '..')
const data = join(process.env.LUMPET_TEST_DATA ?? mkdtempSync(join(tmpdir(), 'lumpet-browser-')), 'demo.db')
const server = join(root, 'src/Lumpet.Server/bin/Release/net10.0/lumpet-server.dll')

export default defineConfig({
  testDir: '.',
  // The tests share one bakery, as people do.
  workers: 1,
  fullyParallel: false,
  // A shared machine may be slow for a while: that is no fault of what is tested.
  timeout: 90_000,
  expect: { timeout: 20_000 },
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: {
    command: `dotnet "${server}" demo --port ${port} --data "${data}" --web "${join(root, 'web/dist')}"`,
    url: `http://127.0.0.1:${port}/healthz`,
    reuseExistingServer: false,
    timeout: 60_000,
  },
})
