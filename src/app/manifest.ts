import type { MetadataRoute } from 'next'
import { NEW_JOB } from '@/stages/home/opened'

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
    screenshots: [
      {
        src: '/screenshots/survey.png',
        sizes: '1280x800',
        type: 'image/png',
        form_factor: 'wide',
        label: 'What is asked of an axis, and whether it holds',
      },
      {
        src: '/screenshots/build.png',
        sizes: '1280x800',
        type: 'image/png',
        form_factor: 'wide',
        label: 'The build, step by step',
      },
    ],
    shortcuts: [{ name: 'New job', url: `/?${NEW_JOB}` }],
    // A job file, or a backup, that is opened with the app is imported, as one that is picked.
    file_handlers: [{ action: '/', accept: { 'application/json': ['.json'] } }],
  }
}
