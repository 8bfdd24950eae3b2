// The benchmarks.
import { runBundled } from './lib/setup.mjs'

runBundled('bench')
