import { existsSync } from 'node:fs'
import { ensureDebianPackage } from './packages.mjs'

export const CHROMIUM = '/usr/bin/chromium'
export const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]
export const ensureChromium = () => ensureDebianPackage('chromium', () => existsSync(CHROMIUM))
