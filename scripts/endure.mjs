// What the app must outlive.
import { runBundled } from './lib/setup.mjs'

runBundled('endure', process.argv.slice(2))
