// Prepares everything, then runs the benchmarks.
import { ensureBuilt, ensureChromium, ensureInstalled, run, tool } from './lib/setup.mjs'

ensureInstalled()
process.env.CHROMIUM_PATH = ensureChromium()
ensureBuilt()
// Bundled as the app is, without the helper calls by which a runner keeps the names of functions.
const bundle = [
  '--bundle',
  '--platform=node',
  '--format=esm',
  '--packages=external',
  '--alias:@=./src',
  '--log-level=error',
]
const built = run(tool('esbuild'), ['scripts/bench.mts', ...bundle, '--outfile=.cache/bench.mjs'], {}, 1)
process.exit(built && run(process.execPath, ['.cache/bench.mjs'], {}, 1) ? 0 : 1)
