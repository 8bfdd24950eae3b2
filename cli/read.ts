import { readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { readJobFile } from '@/core/formats/jobFile'
import { catalogueOf } from '@/core/machine/parts'

/** A file as it was named: npm runs at the root of the project, a path is meant from where it was typed. */
export function named(path: string | undefined, command: string): string {
  if (!path) throw new Error(`${command}: name a file`)
  return resolve(process.env.INIT_CWD ?? '.', path)
}

/** The job of a file. @throws Error that says what is wrong with the file, and where */
export const jobIn = (path: string | undefined, command: string) =>
  readJobFile(readFileSync(named(path, command), 'utf8')).job

/** A job file and one of its axes; of the other options, those that a command takes. */
export function axisIn(command: string, args: string[], more: string[] = []) {
  const options = Object.fromEntries(['axis', ...more].map(name => [name, { type: 'string' as const }]))
  const { values, positionals } = parseArgs({ args, allowPositionals: true, options })
  const job = jobIn(positionals[0], command)
  const axis = job.axes.find(({ name }) => name === values.axis)
  if (!axis)
    throw new Error(
      `--axis: got ${values.axis ?? 'nothing'}, takes one of ${job.axes.map(({ name }) => name).join(', ')}`,
    )
  return { job, axis, catalogue: catalogueOf(job), values }
}
