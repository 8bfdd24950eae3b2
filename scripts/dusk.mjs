// The command line: the same core as the app. Installs the packages first where they are missing.
import { spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { ensureInstalled, ROOT, tool } from './lib/setup.mjs'

ensureInstalled()
const { status } = spawnSync(
  tool('tsx'),
  ['--tsconfig', join(ROOT, 'tsconfig.json'), join(ROOT, 'cli', 'dusk.ts'), ...process.argv.slice(2)],
  {
    stdio: 'inherit',
  },
)
process.exit(status ?? 1)
