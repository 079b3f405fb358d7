import type { ManifestOptions } from 'vite-plugin-pwa'

const icon = (file: string, size: number, purpose: 'any' | 'maskable' = 'any') => ({
  src: `/icons/${file}.png`,
  sizes: `${size}x${size}`,
  type: 'image/png',
  purpose,
})

/** What a device knows of the application that it installs. */
export const manifest: Partial<ManifestOptions> = {
  id: '/',
  name: 'Bold Ballast',
  short_name: 'Ballast',
  description: 'Power, weight, aero and drivetrain of a car, stage by stage',
  lang: 'en',
  start_url: '/',
  scope: '/',
  display: 'standalone',
  background_color: '#1d2326',
  theme_color: '#1d2326',
  icons: [icon('192', 192), icon('512', 512), icon('maskable', 512, 'maskable')],
}
