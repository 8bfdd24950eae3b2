// The command line: the same core as the app.
import { runProgram } from './lib/setup.mjs'

runProgram('dusk', 'cli/dusk.ts', ['cli', 'src/core'])
