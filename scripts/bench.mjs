// The benchmarks.
import { runBundled } from './lib/setup.mjs'

await runBundled('bench')
