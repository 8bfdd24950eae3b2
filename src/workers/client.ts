import { type Remote, wrap } from 'comlink'
import type { BenchWorker } from './protocol'

let remote: Remote<BenchWorker> | undefined

/** The worker, started when it is first asked for something. */
export function benchWorker(): Remote<BenchWorker> {
  remote ??= wrap<BenchWorker>(new Worker(new URL('./bench.worker.ts', import.meta.url), { type: 'module' }))
  return remote
}
