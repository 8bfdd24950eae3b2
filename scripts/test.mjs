// Everything that must hold: lists of sheets, types, style, import rules, dead code, unit tests, browser tests.
// The last line alone says how many passed and how many failed.
import { spawn } from 'node:child_process'
import { readFileSync, rmSync } from 'node:fs'
import { join, relative } from 'node:path'
import {
  ensureBuilt,
  ensureChromium,
  ensureInstalled,
  ensurePdfTools,
  ensureReaders,
  ROOT,
  run,
  tool,
} from './lib/setup.mjs'

const begun = performance.now()
const count = { passed: 0, failed: 0 }
/** How long each test file took, in seconds. */
const took = []

/** Runs a check beside what else is going on; what it says comes out in one piece. */
function check(name, command, args) {
  return new Promise(done => {
    const child = spawn(command, args, { cwd: ROOT })
    const said = []
    for (const stream of [child.stdout, child.stderr]) stream.on('data', data => said.push(data))
    child.on('close', status => {
      const fine = status === 0
      process.stderr.write(Buffer.concat(said))
      process.stdout.write(`${fine ? 'ok  ' : 'FAIL'} ${name}\n`)
      count[fine ? 'passed' : 'failed'] += 1
      done()
    })
  })
}

function jest(project, more = []) {
  const report = join(ROOT, '.cache', `jest-${project}.json`)
  rmSync(report, { force: true })
  run(tool('jest'), ['--selectProjects', project, '--json', `--outputFile=${report}`, ...more], {
    FORCE_COLOR: '0',
  })
  try {
    const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites, testResults } = JSON.parse(
      readFileSync(report, 'utf8'),
    )
    const failed = numFailedTests + numRuntimeErrorTestSuites
    process.stdout.write(
      `${failed ? 'FAIL' : 'ok  '} ${project} tests: ${numPassedTests} passed, ${failed} failed\n`,
    )
    count.passed += numPassedTests
    count.failed += failed
    for (const { name, startTime, endTime } of testResults)
      took.push({ file: relative(ROOT, name), seconds: (endTime - startTime) / 1000 })
  } catch {
    process.stdout.write(`FAIL ${project} tests did not run\n`)
    count.failed += 1
  }
}

const SLOWEST = 10
function sayTimes() {
  for (const { file, seconds } of took.toSorted((a, b) => b.seconds - a.seconds).slice(0, SLOWEST))
    process.stdout.write(`${seconds.toFixed(0).padStart(5)} s  ${file}\n`)
  const minutes = (performance.now() - begun) / 60_000
  process.stdout.write(`${minutes.toFixed(1)} minutes in all (limit 15, on two cores that do nothing else)\n`)
}

ensureInstalled()
process.env.CHROMIUM_PATH = ensureChromium()
ensurePdfTools()
ensureReaders()
// Before the build writes them anew: what is checked in must be what the folders say.
await check('lists of sheets', process.execPath, ['scripts/sheets.mjs', '--check'])
async function rules() {
  await check('types', tool('tsc'), ['--noEmit', '-p', '.'])
  await check('style', tool('biome'), ['check', '--error-on-warnings', '.'])
  await check('import rules', tool('depcruise'), [
    '--config',
    '.dependency-cruiser.cjs',
    'src',
    'cli',
    'tests',
  ])
  await check('dead code', tool('knip'), [])
}
await Promise.all([ensureBuilt(), rules()])
jest('unit', ['--maxWorkers=2'])
// Two workers, each with a browser of its own: every test has an empty store, and waits for what it looks for.
jest('browser', ['--maxWorkers=3'])
sayTimes()
process.stdout.write(`${count.passed} passed, ${count.failed} failed\n`)
process.exit(count.failed ? 1 : 0)
