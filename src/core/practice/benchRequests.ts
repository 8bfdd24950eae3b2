import { InputError } from '../calculation/inputError'
import { blankRecord } from '../field/field'
import { BENCH_FIELDS, type Benches, type BenchSetup, PracticeBench } from './bench'

// What is asked of the practice benches over a line: every answer is text, one line a reading or an order.

/** A longer body is refused unread. */
export const LONGEST_BODY = 64 * 1024

export interface BenchAnswer {
  readonly status: number
  readonly text: string
}
const said = (status: number, text: string): BenchAnswer => ({ status, text: `${text}\n` })

/** A request to the benches, without what carries it. */
export interface BenchRequest {
  readonly method: string
  /** Of the bench; null opens one. */
  readonly id: string | null
  readonly body: string
  /** Whether the gauge is set to zero before it is read. */
  readonly isZeroed: boolean
}

function setupOf(body: string): BenchSetup {
  let given: unknown = {}
  if (body.trim() !== '') {
    try {
      given = JSON.parse(body)
    } catch {
      throw new InputError('body', body.slice(0, 40), 'JSON, or nothing')
    }
  }
  if (typeof given !== 'object' || given === null || Array.isArray(given))
    throw new InputError('body', given, 'an object')
  for (const name of Object.keys(given))
    if (!Object.hasOwn(BENCH_FIELDS, name))
      throw new InputError(
        name,
        (given as Record<string, unknown>)[name],
        `one of ${Object.keys(BENCH_FIELDS).join(', ')}`,
      )
  return { ...blankRecord(BENCH_FIELDS), ...given } as BenchSetup
}

/**
 * Answers a request: POST without an id opens a bench and says its id, POST with one gives it lines of a program, GET reads
 * its gauge. A bench that is not used any more is put away by itself.
 *
 * @param newId makes an id that nobody guesses
 */
export function answerBench(
  benches: Benches,
  { method, id, body, isZeroed }: BenchRequest,
  newId: () => string,
  nowMs: number,
): BenchAnswer {
  if (body.length > LONGEST_BODY)
    return said(413, `error: got ${body.length} letters, takes up to ${LONGEST_BODY}`)
  if (id === null) {
    if (method !== 'POST') return said(405, 'error: POST opens a bench')
    try {
      const bench = new PracticeBench(setupOf(body))
      const opened = newId()
      benches.add(opened, bench, nowMs)
      return said(201, opened)
    } catch (error) {
      if (error instanceof InputError) return said(422, `error: ${error.message}`)
      throw error
    }
  }
  const bench = benches.use(id, nowMs)
  if (!bench)
    return said(
      404,
      `error: there is no such bench; one that is not used for ${benches.idleMs / 60_000} minutes is put away`,
    )
  switch (method) {
    case 'POST':
      return said(200, bench.send(body).join('\n'))
    case 'GET':
      return said(200, bench.read(isZeroed))
    default:
      return said(405, 'error: takes POST and GET')
  }
}
