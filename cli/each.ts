import { createReadStream } from 'node:fs'
import { resolve } from 'node:path'
import { createInterface } from 'node:readline'
import type { Axis } from '@/core/document/axis'
import type { Job } from '@/core/document/job'
import type { OwnParts } from '@/core/document/parts/types'
import { readJobFile } from '@/core/formats/jobFile'
import { readPartsCsv } from '@/core/formats/partsCsv'
import { CATALOGUE, catalogueOf, NO_OWN_PARTS } from '@/core/machine/parts'
import { joinShopParts } from '@/core/machine/parts/shopParts'
import { searchOutcome } from '@/core/search/outcome'
import { givenThings } from '@/core/search/within'
import { evaluateAxis } from '@/core/sheets/evaluateAxis'
import { orMissing, supplyOf } from './answers'
import { jobIn, textOf } from './read'

/** What can be asked of each axis. */
export const QUESTIONS = ['search', 'evaluate'] as const
export type Question = (typeof QUESTIONS)[number]

/** A job with the shop's list beside it, where one is given. */
interface Given extends Job {
  shopParts?: OwnParts
}
type Answer = (job: Given, axis: Axis) => object

const ANSWERS: Readonly<Record<Question, Answer>> = {
  search(job, axis) {
    const catalogue = catalogueOf(job)
    const supply = { ...supplyOf(job), shopParts: job.shopParts }
    const outcome = searchOutcome(axis, catalogue, supply, job.units)
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

/** What all lines go by: what is on hand of a job, or the shop's list of files of parts. */
type Common = Partial<Pick<Given, 'ownParts' | 'shop' | 'orders' | 'shopParts'>>

/** A shop's list with the parts of a CSV file; a row that is wrong stops it. */
function withFile(shopParts: OwnParts, path: string): OwnParts {
  const { kind, good, wrong } = readPartsCsv(textOf(path), NO_OWN_PARTS, CATALOGUE)
  const [first] = wrong
  if (first)
    throw new Error(`${path}, line ${first.line}, ${first.column}: got ${first.got}, takes ${first.takes}`)
  const parts = good.filter(({ is }) => is !== 'same').map(({ part }) => part)
  return { ...shopParts, [kind]: joinShopParts(shopParts[kind], parts) }
}

/**
 * @param paths a job file whose own parts, tools and orders all lines go by, or files of parts with commas between them, which
 *   make up the shop's list
 */
function commonOf(paths: string): Common {
  if (/\.csv$/i.test(paths)) return { shopParts: paths.split(',').reduce(withFile, NO_OWN_PARTS) }
  const { ownParts, shop, orders } = jobIn(paths)
  return { ownParts, shop, orders }
}

/** What is said of one line: nothing is kept from one to the next. */
function answer(line: string, question: Question, common: Common): { of: object; failed: boolean } {
  try {
    const job: Given = { ...readJobFile(line).job, ...common }
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
 * @param parts what all of them go by: a job file, or files of parts
 * @returns whether a line could not be answered
 */
export async function eachLine(path: string, question: Question, parts?: string): Promise<boolean> {
  const common = parts ? commonOf(parts) : {}
  const input = path === '-' ? process.stdin : createReadStream(resolve(process.env.INIT_CWD ?? '.', path))
  let failed = false
  for await (const line of createInterface({ input, crlfDelay: Number.POSITIVE_INFINITY })) {
    if (line.trim() === '') continue
    const said = answer(line, question, common)
    failed ||= said.failed
    process.stdout.write(`${JSON.stringify(said.of)}\n`)
  }
  return failed
}
