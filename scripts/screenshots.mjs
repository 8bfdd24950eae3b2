// Prepares everything, then makes the pictures of the README.
import { ensureBuilt, ensureChromium, ensureInstalled, run, tool } from './lib/setup.mjs'

ensureInstalled()
process.env.CHROMIUM_PATH = ensureChromium()
await ensureBuilt()
process.exit(run(tool('tsx'), ['scripts/screenshots.mts'], {}, 1) ? 0 : 1)
