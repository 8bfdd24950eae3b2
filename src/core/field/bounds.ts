// What no file of this app needs, checked in one walk before anything else looks at it.

/** Levels of lists and objects within each other; a job has about twelve. */
const DEEPEST = 40
/** Lists, objects and values altogether. */
const MOST_VALUES = 6_000_000
const LONGEST_TEXT = 20_000
const LONGEST_NAME = 120
/** Names that mean something else to the language. */
const NO_NAMES = new Set(['__proto__', 'constructor', 'prototype'])

interface Place {
  value: unknown
  key: string | number
  above: Place | null
  depth: number
}

/** Where a value stands, as messages say it: `job.axes[0].goals`; of a long one the ends. */
function pathOf(place: Place): string {
  const steps: string[] = []
  for (let at: Place | null = place; at?.above; at = at.above)
    steps.unshift(typeof at.key === 'number' ? `[${at.key}]` : `.${at.key}`)
  return shortPath(steps.join('').replace(/^\./, ''))
}

/** A place as a message says it: of a long one the ends, of brackets within brackets the first few. */
export function shortPath(path: string): string {
  const plain = path.toWellFormed().replace(/((?:\[\d+\]){3})(?:\[\d+\])+/g, '$1 …')
  return plain.length > 120 ? `${plain.slice(0, 60)} … ${plain.slice(-50)}` : plain || 'the file'
}

/**
 * What is beyond all bounds in a document that came from outside: levels, values, length of texts, numbers without end,
 * halves of letters, and names that mean something else.
 *
 * @returns where and what, or null when it is within them
 * @example beyondBounds({ job: { name: 'a\ud800' } }) // 'job.name: got half a letter, takes whole ones'
 */
export function beyondBounds(document: unknown): string | null {
  const open: Place[] = [{ value: document, key: '', above: null, depth: 0 }]
  let count = 0
  for (let place = open.pop(); place; place = open.pop()) {
    count += 1
    if (count > MOST_VALUES) return `the file: got more than ${MOST_VALUES} values, takes at most that`
    const { value, depth } = place
    const wrong =
      typeof value === 'string'
        ? wrongText(value)
        : typeof value === 'number' && !Number.isFinite(value)
          ? 'got a number without end, takes one that can be written'
          : null
    if (wrong) return `${pathOf(place)}: ${wrong}`
    if (typeof value !== 'object' || value === null) continue
    if (depth >= DEEPEST) return `${pathOf(place)}: got more than ${DEEPEST} levels, takes at most that`
    if (Array.isArray(value)) {
      for (let index = value.length - 1; index >= 0; index--)
        open.push({ value: value[index], key: index, above: place, depth: depth + 1 })
      continue
    }
    for (const key of Object.keys(value)) {
      const wrongKey = wrongName(key)
      if (wrongKey) return `${pathOf(place)}: ${wrongKey}`
      open.push({ value: (value as Record<string, unknown>)[key], key, above: place, depth: depth + 1 })
    }
  }
  return null
}

function wrongText(text: string): string | null {
  if (text.length > LONGEST_TEXT) return `got a text of ${text.length} letters, takes at most ${LONGEST_TEXT}`
  return text.isWellFormed() ? null : 'got half a letter, takes whole ones'
}

function wrongName(name: string): string | null {
  if (NO_NAMES.has(name)) return `got the unknown field ${name}`
  if (name.length > LONGEST_NAME) return `got a name of ${name.length} letters, takes at most ${LONGEST_NAME}`
  return name.isWellFormed() ? null : 'got a name with half a letter, takes whole ones'
}
