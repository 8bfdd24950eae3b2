import { Argument, Command, CommanderError, Option } from 'commander'
import { askFor } from '@/core/evaluation/check'
import { NotKnown } from '@/core/evaluation/notKnown'
import { version } from '../package.json'
import { COMMANDS, type Options } from './commands'

/** Wrong use, or a file that cannot be used; what is wrong in what came out is 1. */
const WRONG_USE = 2

/** Stops with one line on the error output. */
function stop(message: string): never {
  process.stderr.write(`dusk: ${message.replace(/\s*\n\s*/g, ' ').trim()}\n`)
  process.exit(WRONG_USE)
}

/** An error as one line says it, without where in the program it arose. */
function wordsOf(error: unknown): string {
  if (error instanceof NotKnown) return askFor(error.missing)
  const { code, path, message } = error as NodeJS.ErrnoException
  if (code === 'ENOENT') return `there is no file ${path}`
  if (code === 'EISDIR') return 'got a folder, takes a file'
  return message ?? String(error)
}

// Whoever reads the output may have had enough of it, as `head` has.
process.stdout.on('error', error => process.exit((error as NodeJS.ErrnoException).code === 'EPIPE' ? 0 : 1))

const program = new Command('dusk')
  .description('The calculations and verdicts of Dusk Bench from a shell.')
  .version(version)
  .showSuggestionAfterError(false)
  .exitOverride()
  .configureOutput({ writeErr: () => {} })

for (const [name, { about, file, options = [], run }] of Object.entries(COMMANDS)) {
  const command = program.command(name).description(about)
  if (file) command.addArgument(new Argument(file.name, file.about))
  for (const { flags, about: what, choices, fallback } of options) {
    const option = new Option(flags, what)
    if (choices) option.choices([...choices])
    if (fallback !== undefined) option.default(fallback)
    command.addOption(option)
  }
  command.action(async (...given: unknown[]) => {
    // The file comes first where a command takes one, its options after that.
    const [files, chosen] = (file ? given : [undefined, ...given]) as [string | string[] | undefined, Options]
    const paths = [files ?? '-'].flat()
    const { out, failed } = await run(paths[0] as string, chosen, paths)
    process.stdout.write(out)
    if (failed && !chosen.keepGoing) process.exitCode = 1
  })
}

/** An error of the words that were typed, or one that came of the work. */
function refuse(error: unknown): void {
  if (!(error instanceof CommanderError)) stop(wordsOf(error))
  // Help and version are no errors; without a command there is nothing to do.
  if (error.exitCode === 0) process.exit(0)
  stop(
    error.code === 'commander.help'
      ? `got no command, takes ${Object.keys(COMMANDS).join(', ')}; "dusk help" says more`
      : `${error.message.replace(/^error: /, '')}; "dusk help" says what is taken`,
  )
}

program.parseAsync().catch(refuse)
