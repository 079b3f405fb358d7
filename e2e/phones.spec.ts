import { chromium } from '@playwright/test'
import { createHash, X509Certificate } from 'node:crypto'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { connect } from 'node:tls'
import { CHROMIUM, CHROMIUM_ARGS } from '../bin/parts/chromium.mjs'
import { seriousInBothThemes, tooSmall } from './axe'
import { expect, fill, test } from './bench'
import { ownServer } from './ownServer'

/** The SHA-256 of the key that a server shows, as browsers name it. */
const keyShownAt = (origin: string): Promise<string> =>
  new Promise((done, failed) => {
    const { hostname: host, port } = new URL(origin)
    const line = connect({ host, port: Number(port), rejectUnauthorized: false }, () => {
      const { raw } = line.getPeerCertificate(true)
      const key = new X509Certificate(raw).publicKey.export({ type: 'spki', format: 'der' })
      line.end()
      done(createHash('sha256').update(key).digest('base64'))
    })
    line.on('error', failed)
  })

test.describe('phones in the garage', () => {
  // The second comes in where the first has left the house.
  test.describe.configure({ mode: 'serial' })
  // Whoever isn't signed in is answered so, which the browser writes down.
  test.use({ expectsErrors: true })
  const folder = mkdtempSync(join(tmpdir(), 'bold-ballast-phones-'))
  let own: Awaited<ReturnType<typeof ownServer>>
  test.beforeAll(async () => {
    // A loopback address stands for the local network.
    own = await ownServer({ GARAGE_FOLDER: folder, GARAGE_ADDRESSES: '127.0.0.1', GARAGE_PORT: '0' })
  })
  test.afterAll(async () => {
    await own.end()
    rmSync(folder, { recursive: true, force: true })
  })

  test('the garage is opened, a phone is told what its warning means, and is paired once', async ({
    browser,
  }) => {
    const bench = await (await browser.newContext({ baseURL: own.base })).newPage()
    await bench.goto('/crew')
    await fill(bench, { Name: 'Rosa', 'Sign-in name': 'rosa', Password: 'three words will do' })
    await bench.getByRole('button', { name: 'I own this workshop' }).click()
    await expect(bench.getByTestId('member')).toContainText('Rosa')

    // A code that is shown before the garage is open says whom it serves.
    await bench.goto('/crew?view=you')
    await bench.getByRole('button', { name: 'Pair a phone' }).click()
    await expect(bench.getByText('works on this machine only')).toBeVisible()
    await bench.keyboard.press('Escape')
    await bench.goto('/crew')
    await bench.getByRole('button', { name: 'Open the garage' }).click()
    const origin = (await bench.getByTestId('garage-origin').textContent())!
    expect(origin).toMatch(/^https:\/\/127\.0\.0\.1:\d+$/)
    const fingerprint = (await bench.getByText(/^([0-9A-F]{2}:){31}[0-9A-F]{2}$/).textContent())!
    expect(await seriousInBothThemes(bench)).toEqual([])

    const phone = await (
      await browser.newContext({
        baseURL: origin,
        ignoreHTTPSErrors: true,
        viewport: { width: 390, height: 800 },
        userAgent: 'Telephone Mobile',
      })
    ).newPage()
    await phone.goto('/')
    await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible()
    await phone.goto('/trust')
    await expect(phone.getByText(fingerprint)).toBeVisible()
    expect(await seriousInBothThemes(phone)).toEqual([])
    expect(await tooSmall(phone)).toEqual([])
    const certificate = await phone.request.get('/api/v1/garage/authority')
    expect(certificate.headers()['content-type']).toBe('application/x-x509-ca-cert')

    await bench.goto('/crew?view=you')
    await bench.getByRole('button', { name: 'Pair a phone' }).click()
    await expect(bench.getByTestId('qr')).toBeVisible()
    const link = (await bench.getByTestId('pass-link').textContent())!
    expect(link.startsWith(`${origin}/join/`)).toBe(true)
    await phone.goto(link)
    await phone.getByRole('button', { name: 'This is Rosa’s phone' }).click()
    await expect(phone.getByRole('heading', { name: 'Garage' })).toBeVisible()
    await expect(bench.getByTestId('paired')).toContainText('a phone at 127.0.0.1')
    await bench.getByRole('button', { name: 'Done' }).click()
    await expect(bench.getByRole('button', { name: 'Sign out the phone' })).toBeVisible()
    const late = await (await browser.newContext({ ignoreHTTPSErrors: true })).newPage()
    await late.goto(link)
    await expect(late.getByText('It has been used')).toBeVisible()

    // Signed out from the bench, the phone is at the door.
    await bench.getByRole('button', { name: 'Sign out the phone' }).click()
    await expect(bench.getByRole('button', { name: 'Sign out the phone' })).toHaveCount(0)
    await phone.reload()
    await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible()

    await bench.goto('/crew')
    await bench.getByRole('button', { name: 'Close the garage' }).click()
    await expect(bench.getByRole('button', { name: 'Open the garage' })).toBeVisible()
    await expect(phone.goto('/')).rejects.toThrow()
  })

  test('a phone that trusts the certificate opens without network, and can install it', async () => {
    const profile = mkdtempSync(join(tmpdir(), 'bold-ballast-phone-'))
    const bench = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
    const owner = await bench.newPage({ baseURL: own.base })
    await owner.goto('/crew')
    await fill(owner, { 'Sign-in name': 'rosa', Password: 'three words will do' })
    await owner.getByRole('button', { name: 'Sign in' }).click()
    await owner.getByRole('button', { name: 'Open the garage' }).click()
    const origin = (await owner.getByTestId('garage-origin').textContent())!
    // In place of a phone's list of authorities: this browser takes the key that the machine shows, and no other.
    const args = [...CHROMIUM_ARGS, `--ignore-certificate-errors-spki-list=${await keyShownAt(origin)}`]
    const phone = await chromium.launchPersistentContext(profile, {
      executablePath: CHROMIUM,
      args,
      baseURL: origin,
      serviceWorkers: 'allow',
      viewport: { width: 390, height: 800 },
    })
    const page = await phone.newPage()
    await page.goto('/crew?view=device')
    await fill(page, { 'Sign-in name': 'rosa', Password: 'three words will do' })
    await page.getByRole('button', { name: 'Sign in' }).click()
    await expect(page.getByText('opens on this device without network')).toBeVisible({ timeout: 60_000 })
    const found = await page.evaluate(async () => {
      const manifest = (await (await fetch('/app.webmanifest')).json()) as {
        display: string
        icons: { src: string }[]
      }
      const icons = await Promise.all(manifest.icons.map(({ src }) => fetch(src)))
      return { display: manifest.display, icons: icons.map(({ ok }) => ok) }
    })
    expect(found).toEqual({ display: 'standalone', icons: [true, true, true] })
    await page.goto('/')
    await expect(page.getByText('0 builds')).toBeVisible()
    await phone.setOffline(true)
    await page.goto('/')
    await expect(page.getByTestId('save-state')).toHaveText('The workshop can’t be reached')
    await expect(page.getByText('0 builds')).toBeVisible()
    await phone.close()
    await bench.close()
    rmSync(profile, { recursive: true, force: true })
  })
})
