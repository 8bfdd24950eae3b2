// What the app must outlive, and what must hold in every order of things.
import { ensureInstalled, run, runBundled, tool } from './lib/setup.mjs'

const args = process.argv.slice(2)
/** Takes an option of ours out of the arguments. */
function taken(name, usual) {
  const at = args.indexOf(name)
  return at < 0 ? usual : (args.splice(at, 2)[1] ?? usual)
}

/** Every property as often as it is ever tried: 20,000 walks of a load that could fall, 5,000 edits judged both ways. */
const everyProperty = taken('--properties', 'yes')

ensureInstalled()
if (
  everyProperty !== 'no' &&
  !run(tool('jest'), ['--selectProjects=unit', '--testTimeout=7200000'], { DUSK_ALL_RUNS: '1' })
)
  process.exit(1)
await runBundled('endure', args)
