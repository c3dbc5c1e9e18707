import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from '@playwright/test'
import sirv from 'sirv'
import { expectAccessible } from './shop'

test.use({ serviceWorkers: 'allow' })

let folder = ''
let server: Server
let address = ''

const exportTo = (into: string) => execFileSync(process.execPath, ['scripts/export.mjs', into], { stdio: 'pipe' })

test.beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'tawny-ember-files-'))
  exportTo(folder)
  const files = sirv(folder)
  // As servers of files do: what is not there is the page that says so, with its status.
  server = createServer((request, response) =>
    files(request, response, () => {
      response.writeHead(404, { 'content-type': 'text/html' }).end(readFileSync(join(folder, '404.html')))
    }),
  )
  await new Promise<void>(resolve => server.listen(0, '127.0.0.1', resolve))
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
})
test.afterAll(async () => {
  server.closeAllConnections()
  server.close()
  rmSync(folder, { recursive: true })
})

test('plain files hold every view; what needs the server says so; kept once, it works without them', async ({
  page,
  context,
}) => {
  const failures: string[] = []
  page.on('pageerror', error => failures.push(error.message))
  page.on('console', message => {
    if (/Content Security Policy|Refused to/.test(message.text())) failures.push(message.text())
  })
  await page.goto(`${address}/batches`)
  await page.getByRole('link', { name: /Skerry fillets/ }).click()
  await expect(page.getByRole('heading', { level: 2, name: 'Choose' })).toBeVisible()
  await expect(page).toHaveURL(/\/batch\/[^/?]+\/choose$/)
  await page.getByRole('link', { name: 'Heat', exact: true }).click()
  await page.getByRole('button', { name: 'Programme' }).click()
  await page.getByRole('button', { name: 'Send to a controller …' }).click()
  await expect(page.getByText(/runs on the application’s own server/)).toBeVisible()
  await expect(page.getByRole('button', { name: /simulated controller/ })).toHaveCount(0)
  await page.reload()
  await expect(page.getByRole('heading', { level: 2, name: 'Heat' })).toBeVisible()
  await page.goto(`${address}/nowhere`)
  await expect(page.getByRole('heading', { name: 'There is no such page' })).toBeVisible()
  await page.goto(`${address}/workshop`)
  await expect(page.getByText(/holds the application as plain files/)).toBeVisible()
  await expectAccessible(page)
  await page.evaluate(async () => void (await navigator.serviceWorker.ready))
  await context.setOffline(true)
  await page.goto(`${address}/logbook`)
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  expect(failures).toEqual([])
})

test('a folder that holds something else is left alone', () => {
  const other = mkdtempSync(join(tmpdir(), 'tawny-ember-other-'))
  writeFileSync(join(other, 'letters.txt'), 'mine')
  expect(() => exportTo(other)).toThrow(/holds something else/)
  expect(readFileSync(join(other, 'letters.txt'), 'utf8')).toBe('mine')
  rmSync(other, { recursive: true })
})
