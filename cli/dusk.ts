import { askFor } from '@/core/evaluation/check'
import { NotKnown } from '@/core/evaluation/notKnown'

import { COMMANDS, isCommand } from './commands'

const lines = Object.values(COMMANDS).map(({ usage, about }) => `dusk ${usage.padEnd(24)} ${about}`)

/** Stops with one line on the error output. */
function stop(message: string): never {
  process.stderr.write(`dusk: ${message.replace(/\s*\n\s*/g, ' ')}\n`)
  process.exit(2)
}

const [command, ...args] = process.argv.slice(2)
if (command === 'help' || command === '--help') process.stdout.write(`${lines.join('\n')}\n`)
else if (!isCommand(command))
  stop(
    `got ${command ?? 'no command'}, takes ${Object.values(COMMANDS)
      .map(({ usage }) => usage.replace(/ --axis X.*| < .*/, ''))
      .join(', ')}`,
  )
else
  try {
    process.stdout.write(COMMANDS[command].run(args))
  } catch (error) {
    stop(
      error instanceof NotKnown
        ? askFor(error.missing)
        : error instanceof Error
          ? error.message
          : String(error),
    )
  }
