import { array, mixed, number, object, string, ValidationError } from 'yup'
import { beyondBounds } from '../field/bounds'

// A made-up supplier that ships with the app, for when nobody can be asked: the same question gets the same answer.

/** How the supplier is today. */
export const MOODS = ['as usual', 'late', 'has part of it', 'down'] as const
export type Mood = (typeof MOODS)[number]

export interface Quote {
  key: string
  priceEur: number
  leadDays: number
}

/** A number from 0 up to 1 that is always the same for the same words (FNV-1a). */
function fixedShare(text: string): number {
  let hash = 0x811c9dc5
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193) >>> 0
  return hash / 2 ** 32
}

const PRICES_EUR = new Map<string, [least: number, most: number]>([
  ['screw', [0.12, 0.9]],
  ['nut', [0.3, 1.2]],
  ['tap', [9, 24]],
  ['bar', [3, 14]],
  ['cutter', [18, 60]],
  ['shim', [4, 12]],
  ['use', [6, 28]],
])

/**
 * What the supplier answers; things it does not have are left out.
 *
 * @param sheetEur the price on the sheet of a part, which it sells at, give or take a tenth
 * @example quotesFor([{ key: 'use:dye', sheetEur: null }], 'as usual').length // 1
 */
export function quotesFor(
  items: readonly { key: string; sheetEur: number | null }[],
  mood: Exclude<Mood, 'down'>,
): Quote[] {
  return items.flatMap(({ key, sheetEur }) => {
    const share = fixedShare(key)
    if (mood === 'has part of it' && share > 0.55) return []
    const [least, most] = PRICES_EUR.get(key.split(':')[0] ?? '') ?? [5, 50]
    const eur = sheetEur === null ? least + share * (most - least) : sheetEur * (0.9 + 0.2 * share)
    const days = 2 + Math.round(share * 12)
    return [{ key, priceEur: Math.round(eur * 100) / 100, leadDays: mood === 'late' ? days * 3 + 7 : days }]
  })
}

const MOST_ITEMS = 500
const question = object({
  mood: mixed<Mood>()
    .oneOf([...MOODS], `mood: takes one of ${MOODS.join(', ')}`)
    .required(),
  items: array(
    object({
      key: string().max(120).required(),
      sheetEur: number().nullable().defined().min(0).max(1e6),
    }).noUnknown(),
  )
    .max(MOST_ITEMS, `items: takes at most ${MOST_ITEMS}`)
    .required(),
})
  .noUnknown()
  .required('takes an object with mood and items')

/** A question with the most items that it may have is a quarter of this. */
export const LONGEST_QUESTION = 256 * 1024

export type Answer =
  | { status: 200; body: { quotes: Quote[] } }
  | { status: 400 | 413 | 415 | 503; body: { error: string } }

/**
 * Answers what comes over the wire.
 *
 * @param type what the body says that it is
 * @param text the body
 * @returns 415 where it is no JSON, 413 where it is too long, 400 where it cannot be read; else as `answerSupplier` does
 */
export function answerText(type: string | null, text: string): Answer {
  const refuse = (status: 400 | 413 | 415, error: string): Answer => ({ status, body: { error } })
  if (!/^application\/json(;|$)/i.test(type ?? ''))
    return refuse(415, `content-type: got ${(type ?? 'none').slice(0, 60)}, takes application/json`)
  if (text.length > LONGEST_QUESTION)
    return refuse(413, `got ${text.length} letters, takes at most ${LONGEST_QUESTION}`)
  try {
    const asked: unknown = JSON.parse(text)
    const beyond = beyondBounds(asked)
    return beyond ? refuse(400, beyond) : answerSupplier(asked)
  } catch (error) {
    if (error instanceof SyntaxError) return refuse(400, 'got what cannot be read as JSON')
    throw error
  }
}

/**
 * Answers what the supplier is asked.
 *
 * @param asked anything at all; undefined where the question could not be read
 * @returns 400 with what is wrong with the question, 503 when the supplier is down, else its quotes
 */
export function answerSupplier(asked: unknown): Answer {
  try {
    const { mood, items } = question.validateSync(asked, { strict: true })
    if (mood === 'down') return { status: 503, body: { error: 'The supplier does not answer.' } }
    return { status: 200, body: { quotes: quotesFor(items, mood) } }
  } catch (error) {
    if (error instanceof ValidationError) return { status: 400, body: { error: error.message } }
    throw error
  }
}
