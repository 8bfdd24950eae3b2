// Everything that must hold: types, style, import rules, dead code, unit tests, browser tests.
// The last line alone says how many passed and how many failed.
import { readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import {
  ensureBuilt,
  ensureChromium,
  ensureInstalled,
  ensurePdfTools,
  ROOT,
  run,
  tool,
} from './lib/setup.mjs'

const count = { passed: 0, failed: 0 }

function check(name, command, args) {
  const fine = run(tool(command), args)
  process.stdout.write(`${fine ? 'ok  ' : 'FAIL'} ${name}\n`)
  count[fine ? 'passed' : 'failed'] += 1
}

function jest(project, more = []) {
  const report = join(ROOT, '.cache', `jest-${project}.json`)
  rmSync(report, { force: true })
  run(tool('jest'), ['--selectProjects', project, '--json', `--outputFile=${report}`, ...more], {
    FORCE_COLOR: '0',
  })
  try {
    const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(
      readFileSync(report, 'utf8'),
    )
    const failed = numFailedTests + numRuntimeErrorTestSuites
    process.stdout.write(
      `${failed ? 'FAIL' : 'ok  '} ${project} tests: ${numPassedTests} passed, ${failed} failed\n`,
    )
    count.passed += numPassedTests
    count.failed += failed
  } catch {
    process.stdout.write(`FAIL ${project} tests did not run\n`)
    count.failed += 1
  }
}

ensureInstalled()
process.env.CHROMIUM_PATH = ensureChromium()
ensurePdfTools()
ensureBuilt()
check('types', 'tsc', ['--noEmit', '-p', '.'])
check('style', 'biome', ['check', '--error-on-warnings', '.'])
check('import rules', 'depcruise', ['--config', '.dependency-cruiser.cjs', 'src', 'cli', 'tests'])
check('dead code', 'knip', [])
jest('unit', ['--maxWorkers=2'])
// Each file has its own app, its own browser, and waits for what it looks for.
jest('browser', ['--maxWorkers=2'])
process.stdout.write(`${count.passed} passed, ${count.failed} failed\n`)
process.exit(count.failed ? 1 : 0)
