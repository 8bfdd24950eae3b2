// Prepares everything, then runs the benchmarks.
import { ensureBuilt, ensureChromium, ensureInstalled, run, tool } from './lib/setup.mjs'

ensureInstalled()
process.env.CHROMIUM_PATH = ensureChromium()
ensureBuilt()
process.exit(run(tool('tsx'), ['scripts/bench.mts'], {}, 1) ? 0 : 1)
