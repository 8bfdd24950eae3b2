/** @type {import('next').NextConfig} */
const config = {
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  // A browser may ask for the icon by its old name before it has read which one the page has.
  rewrites: async () => [{ source: '/favicon.ico', destination: '/icon.svg' }],
  // Types are checked by the test command, with the same compiler for every folder.
  typescript: { ignoreBuildErrors: true },
  experimental: { optimizePackageImports: ['@chakra-ui/react', 'lucide-react', 'date-fns'] },
}
export default config
