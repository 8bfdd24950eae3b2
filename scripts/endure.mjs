// Prepares everything, then tries what the app must outlive.
import { ensureBuilt, ensureChromium, ensureInstalled, run, tool } from './lib/setup.mjs'

ensureInstalled()
process.env.CHROMIUM_PATH = ensureChromium()
ensureBuilt()
const bundle = [
  '--bundle',
  '--platform=node',
  '--format=esm',
  '--packages=external',
  '--alias:@=./src',
  '--log-level=error',
]
const built = run(tool('esbuild'), ['scripts/endure.mts', ...bundle, '--outfile=.cache/endure.mjs'], {}, 1)
process.exit(built && run(process.execPath, ['.cache/endure.mjs', ...process.argv.slice(2)], {}, 1) ? 0 : 1)
