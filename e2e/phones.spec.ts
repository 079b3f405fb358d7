import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { seriousInBothThemes, tooSmall } from './axe'
import { expect, fill, test } from './bench'
import { ownServer } from './ownServer'

test.describe('phones in the garage', () => {
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
})
