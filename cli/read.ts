import { readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { readJobFile } from '@/core/formats/jobFile'
import { decodeText, type Encoding } from '@/core/formats/textFile'
import { catalogueOf } from '@/core/machine/parts'

/**
 * The text of a file as it was named: npm runs at the root of the project, a path is meant from where it was typed; "-" is the
 * input.
 *
 * @param encoding of a file that is not Unicode
 */
export const textOf = (path: string, encoding?: Encoding): string =>
  decodeText(readFileSync(path === '-' ? 0 : resolve(process.env.INIT_CWD ?? '.', path)), encoding)

/** A job file with its log. @throws Error that says what is wrong with the file, and where */
export const fileIn = (path: string) => readJobFile(textOf(path))
export const jobIn = (path: string) => fileIn(path).job

/** A job file and one of its axes. @throws Error that names the axes that there are */
export function axisIn(path: string, { axis: name }: { axis?: string }) {
  const job = jobIn(path)
  const axis = job.axes.find(one => one.name === name)
  if (!axis)
    throw new Error(
      `--axis: got ${name ?? 'nothing'}, takes one of ${job.axes.map(one => one.name).join(', ')}`,
    )
  return { job, axis, catalogue: catalogueOf(job) }
}
