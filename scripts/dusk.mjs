// The command line: the same core as the app. Installs the packages first where they are missing.
import { spawnSync } from 'node:child_process'
import { bundled, ensureInstalled } from './lib/setup.mjs'

ensureInstalled()
const program = bundled('dusk', 'cli/dusk.ts', ['cli', 'src/core'])
const { status } = spawnSync(process.execPath, [program, ...process.argv.slice(2)], { stdio: 'inherit' })
process.exit(status ?? 1)
