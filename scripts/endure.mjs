// What the app must outlive, and what must hold in every order of things.
import { ensureInstalled, run, runBundled, tool } from './lib/setup.mjs'

const args = process.argv.slice(2)
/** Takes an option of ours out of the arguments. */
function taken(name, usual) {
  const at = args.indexOf(name)
  return at < 0 ? usual : (args.splice(at, 2)[1] ?? usual)
}

/** Unit tests of random walks, with so many of them; none where it says 0. */
const PROPERTIES = [
  // A load that could fall, through whatever order of ticks, mishaps and undos the sheets allow.
  { variable: 'WALKS', count: taken('--walks', '20000'), file: 'build/load.test', name: 'random walks' },
  // Judged again only where something changed, through whatever order of edits.
  {
    variable: 'EDITS',
    count: taken('--judged', '5000'),
    file: 'nextEvaluation.test',
    name: 'after any edit',
  },
]

const everyProperty = taken('--properties', 'yes')

ensureInstalled()
if (
  everyProperty !== 'no' &&
  !run(tool('jest'), ['--selectProjects=unit', '--testTimeout=7200000'], { DUSK_ALL_RUNS: '1' })
)
  process.exit(1)
for (const { variable, count, file, name } of PROPERTIES)
  if (
    count !== '0' &&
    !run(
      tool('jest'),
      ['--selectProjects=unit', `--testPathPatterns=${file}`, '-t', name, '--testTimeout=7200000'],
      { [variable]: count },
    )
  )
    process.exit(1)
await runBundled('endure', args)
