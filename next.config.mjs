import { HEADERS } from './scripts/lib/headers.mjs'

/** @type {import('next').NextConfig} */
const config = {
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  // A browser may ask for the icon by its old name before it has read which one the page has.
  rewrites: async () => [{ source: '/favicon.ico', destination: '/icon.svg' }],
  headers: async () => [
    { source: '/:path*', headers: Object.entries(HEADERS).map(([key, value]) => ({ key, value })) },
  ],
  // Types are checked by the test command, with the same compiler for every folder.
  typescript: { ignoreBuildErrors: true },
  // The build for browsers of today: the one that the package gives by default carries its own patches for older ones.
  turbopack: { resolveAlias: { dexie: 'dexie/dist/modern/dexie.min.mjs' } },
  experimental: {
    optimizePackageImports: ['@chakra-ui/react', 'lucide-react'],
    // Few large pieces: they are packed better and asked for in fewer turns than many small ones.
    turbopackChunking: { firstPageLoadPriority: 1, minChunkSize: 250_000, maxMergeChunkSize: 2_000_000 },
    turbopackCjsTreeShaking: true,
  },
}
export default config
