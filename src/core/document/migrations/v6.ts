import { changeWith, isPlain, type Plain } from './plain'

// Version 6 to 7: an axis knows which of its ends is the higher; a shop knows the step of its gauge, and the unit in
// which readings are typed.

/** What objects are known by, and what they have from version 7 on; fields that stand there already stay. */
const ADDED: [has: string[], added: Plain][] = [
  [['dimensions', 'goals', 'parts', 'recesses'], { higherEnd: null }],
  [['cutterSizesMm', 'shimStockMm'], { gaugeStepUm: null, readingUnit: null }],
]

/** A value with everything in it brought up, however deep it lies. */
function broughtUp(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(broughtUp)
  if (!isPlain(value)) return value
  const deep = Object.fromEntries(Object.entries(value).map(([key, one]) => [key, broughtUp(one)]))
  for (const [has, added] of ADDED)
    if (has.every(key => key in value))
      for (const [key, one] of Object.entries(added)) if (!(key in deep)) deep[key] = one
  return deep
}

/** A change as version 7 writes it: its paths are the same, what it puts in and takes out is brought up. */
export const changeFromV6 = changeWith(broughtUp)

/** A job of version 6 with its history. */
export const fromV6 = (job: Plain, history: readonly Plain[]): { job: Plain; history: Plain[] } => ({
  job: broughtUp(job) as Plain,
  history: history.map(changeFromV6),
})
