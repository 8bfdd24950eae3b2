// Packs what the build put out for the browser, once and as small as it goes, so that no request waits for it.
import { readdirSync } from 'node:fs'
import { readFile, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { brotliCompress, gzip } from 'node:zlib'
import { ROOT } from './lib/setup.mjs'

const STATIC = join(ROOT, '.next', 'static')
const brotli = promisify(brotliCompress)
const zip = promisify(gzip)

await Promise.all(
  readdirSync(STATIC, { recursive: true })
    .filter(name => /\.(js|css)$/.test(name))
    .map(async name => {
      const path = join(STATIC, name)
      const plain = await readFile(path)
      await Promise.all([
        writeFile(`${path}.br`, await brotli(plain)),
        writeFile(`${path}.gz`, await zip(plain, { level: 9 })),
      ])
    }),
)
