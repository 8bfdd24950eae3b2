import { createReadStream } from 'node:fs'
import { resolve } from 'node:path'
import { createInterface } from 'node:readline'
import type { Axis } from '@/core/document/axis'
import type { Job } from '@/core/document/job'
import { readJobFile } from '@/core/formats/jobFile'
import { catalogueOf } from '@/core/machine/parts'
import { searchOutcome } from '@/core/search/outcome'
import { givenThings } from '@/core/search/within'
import { evaluateAxis } from '@/core/sheets/evaluateAxis'
import { orMissing, supplyOf } from './answers'
import { jobIn } from './read'

/** What can be asked of each axis. */
export const QUESTIONS = ['search', 'evaluate'] as const
export type Question = (typeof QUESTIONS)[number]

type Answer = (job: Job, axis: Axis) => object

const ANSWERS: Readonly<Record<Question, Answer>> = {
  search(job, axis) {
    const catalogue = catalogueOf(job)
    const outcome = searchOutcome(axis, catalogue, supplyOf(job), job.units)
    const { points = [], combinations, handful, whyNothing } = outcome ?? {}
    return {
      within: givenThings(axis, catalogue, job.units).map(({ words }) => words),
      combinations,
      unbeaten: points.length,
      hold: points.filter(({ margin }) => margin >= 1).length,
      handful,
      ...(whyNothing && { whyNothing }),
    }
  },
  evaluate(job, axis) {
    const { findings } = evaluateAxis(axis, catalogueOf(job), job.units)
    return { findings: findings.map(({ checkId, state, sentence }) => ({ checkId, state, sentence })) }
  },
}

/**
 * The axes of a job, one to a line: each is a job file of its own with that axis alone, as `each` takes it.
 *
 * @returns lines of JSON
 */
export const axisLines = (path: string): string => {
  const job = jobIn(path)
  return job.axes
    .map(
      axis =>
        `${JSON.stringify({ format: 'dusk-bench-job', job: { ...job, axes: [axis] }, entries: [], history: [] })}\n`,
    )
    .join('')
}

/** What is said of one line: nothing is kept from one to the next. */
function answer(line: string, question: Question, parts: Job | null): { of: object; failed: boolean } {
  try {
    const { job: own } = readJobFile(line)
    const job = parts ? { ...own, ownParts: parts.ownParts, shop: parts.shop, orders: parts.orders } : own
    const [axis, ...others] = job.axes
    if (!axis || others.length > 0)
      throw new Error(`job.axes: got ${job.axes.length} axes, takes one to a line`)
    const said = orMissing(() => ANSWERS[question](job, axis))
    return { of: { job: job.name, axis: axis.name, ...said }, failed: 'missing' in said }
  } catch (error) {
    return { of: { error: (error as Error).message }, failed: true }
  }
}

/**
 * Answers every line of the input with a line, in its order, as soon as it is read. A line that cannot be used is answered with
 * its error.
 *
 * @param parts a job file whose own parts, tools and orders all of them go by
 * @returns whether a line could not be answered
 */
export async function eachLine(path: string, question: Question, parts?: string): Promise<boolean> {
  const of = parts ? jobIn(parts) : null
  const input = path === '-' ? process.stdin : createReadStream(resolve(process.env.INIT_CWD ?? '.', path))
  let failed = false
  for await (const line of createInterface({ input, crlfDelay: Number.POSITIVE_INFINITY })) {
    if (line.trim() === '') continue
    const said = answer(line, question, of)
    failed ||= said.failed
    process.stdout.write(`${JSON.stringify(said.of)}\n`)
  }
  return failed
}
