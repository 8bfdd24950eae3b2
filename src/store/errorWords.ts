import { MISSING_PIECE, MISSING_PIECE_WORDS } from './missingPiece'

/** What the browser calls what went wrong, in words that help. */
const BY_NAME: Readonly<Record<string, string>> = {
  [MISSING_PIECE]: `${MISSING_PIECE_WORDS.title}: load the page again, nothing is lost.`,
  AbortError: 'It was called off.',
  InvalidStateError: 'It is open already, perhaps in another tab.',
  NetworkError: 'The connection to it was lost.',
  NotAllowedError: 'The browser was not allowed to.',
  NotFoundError: 'It is not there any more, or none was chosen.',
  NotReadableError: 'It cannot be read: it was moved or changed, or is held by another program.',
  NoModificationAllowedError: 'It may not be written into.',
  QuotaExceededError: 'There is no room left on the disk.',
  SecurityError: 'The browser does not allow it at this address.',
}
/** Faults of a program, whose messages are for whoever writes it. */
const OF_PROGRAMS = new Set([
  'TypeError',
  'RangeError',
  'ReferenceError',
  'SyntaxError',
  'URIError',
  'EvalError',
  'DataCloneError',
])

/**
 * Why something did not come about, as one tells it to whoever waits for it: what the app says itself as it is, what a machine
 * says in words of one's own.
 *
 * @example errorWords(new DOMException('Failed to open serial port.', 'NetworkError')) // 'The connection to it was lost.'
 */
export function errorWords(error: unknown): string {
  if (typeof error === 'string') return error
  const { name = '', message = '' } = (error ?? {}) as { name?: string; message?: string }
  if (Object.hasOwn(BY_NAME, name)) return BY_NAME[name] as string
  if (OF_PROGRAMS.has(name) || error instanceof DOMException || message === '')
    return 'The app made a mistake there; it was not you.'
  return message
}
