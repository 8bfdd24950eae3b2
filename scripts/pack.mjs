// Packs what the build put out for the browser, once and as small as it goes, so that no request waits for it; and what
// keeps it all in the browser.
import { readdirSync, readFileSync } from 'node:fs'
import { readFile, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { brotliCompress, gzip } from 'node:zlib'
import { build } from 'esbuild'
import { ROOT } from './lib/setup.mjs'

const OUT = join(ROOT, '.next')
const STATIC = join(OUT, 'static')
const ICONS = [
  '/manifest.webmanifest',
  '/icon.svg',
  '/apple-icon.png',
  // Pictures for whoever is about to install the app are of no use to whoever has it.
  ...readdirSync(join(ROOT, 'public'), { withFileTypes: true })
    .filter(entry => entry.isFile())
    .map(({ name }) => `/${name}`),
]
const brotli = promisify(brotliCompress)
const zip = promisify(gzip)

const files = readdirSync(STATIC, { recursive: true, withFileTypes: true })
  .filter(entry => entry.isFile() && !/\.(br|gz)$/.test(entry.name))
  .map(entry => join(entry.parentPath, entry.name))
/** Lays a packed file beside a plain one, for browsers that take either. */
async function packed(path) {
  const plain = await readFile(path)
  await Promise.all([
    writeFile(`${path}.br`, await brotli(plain)),
    writeFile(`${path}.gz`, await zip(plain, { level: 9 })),
  ])
}
await Promise.all(files.filter(path => /\.(js|css)$/.test(path)).map(packed))

const id = readFileSync(join(OUT, 'BUILD_ID'), 'utf8').trim()
const kept = files.map(path => `/_next/static/${path.slice(STATIC.length + 1)}`)
const KEEPER = join(OUT, 'offline', 'sw.js')
await build({
  entryPoints: [join(ROOT, 'src', 'workers', 'offline.sw.ts')],
  outfile: KEEPER,
  bundle: true,
  minify: true,
  format: 'iife',
  define: {
    BUILD: JSON.stringify({
      id,
      files: [...kept, ...ICONS].sort(),
    }),
    'process.env.NODE_ENV': '"production"',
  },
})
await packed(KEEPER)
