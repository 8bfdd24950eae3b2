// Tries the product on axes of known truth.
import { runProgram } from './lib/setup.mjs'

runProgram('prove', 'scripts/prove.mts', ['scripts/prove.mts', 'src/core'])
