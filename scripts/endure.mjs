// What the app must outlive, and what must hold in every order of things.
import { ensureInstalled, run, runBundled, tool } from './lib/setup.mjs'

const args = process.argv.slice(2)
const at = args.indexOf('--walks')
const walks = at < 0 ? '20000' : (args.splice(at, 2)[1] ?? '20000')

ensureInstalled()
// A load that could fall, through whatever order of ticks, mishaps and undos the sheets allow.
if (
  walks !== '0' &&
  !run(
    tool('jest'),
    [
      '--selectProjects=unit',
      '--testPathPatterns=build/load.test',
      '-t',
      'random walks',
      '--testTimeout=7200000',
    ],
    { WALKS: walks },
  )
)
  process.exit(1)
runBundled('endure', args)
