import type { MetadataRoute } from 'next'

/** What a browser needs to install the app on a tablet or a computer of the shop. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Dusk Bench',
    short_name: 'Dusk Bench',
    description: 'The bench companion for turning manual machines into CNC machines.',
    id: '/',
    start_url: '/',
    display: 'standalone',
    background_color: '#141a23',
    theme_color: '#141a23',
    icons: [
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icon-maskable.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
      { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
    ],
  }
}
