import { ConflictError, JobGoneError } from './conflict'
import { errorWords } from './errorWords'
import { MISSING_PIECE, MISSING_PIECE_WORDS } from './missingPiece'

/** Why something could not be saved, in words, and what to do. */
export interface Problem {
  title: string
  advice: string
  /** The page has to be loaded again: another app has taken over. */
  isOvertaken?: boolean
}

const EXPORT = 'What you see is still here in this tab: export the job now, then'

/**
 * Says why storage failed and what to do about it.
 *
 * @example describeProblem(new DOMException('', 'QuotaExceededError')).title // 'The disk space for this browser is full'
 */
export function describeProblem(error: unknown): Problem {
  const names = errorNames(error)
  if (names.includes('QuotaExceededError'))
    return {
      title: 'The disk space for this browser is full',
      advice: `${EXPORT} free some space (or delete old jobs) and save again.`,
    }
  if (names.includes('NewerDataError'))
    return {
      title: 'A newer Dusk Bench has opened what is kept in this browser',
      advice:
        'This older one leaves it as it is and saves nothing more; what was typed since is put by, and goes in when the newer one is loaded. Load the page again; if that does not bring the newer one, open it where you first saw it.',
      isOvertaken: true,
    }
  if (error instanceof JobGoneError)
    return {
      title: 'This job was deleted in another tab',
      advice: `${EXPORT} put it back from the list of jobs.`,
    }
  if (names.includes(MISSING_PIECE))
    return {
      title: MISSING_PIECE_WORDS.title,
      advice: `${MISSING_PIECE_WORDS.why} Load the page again: nothing is lost.`,
    }
  if (error instanceof ConflictError)
    return { title: error.message, advice: 'What the other tab saved is shown.' }
  if (
    names.some(name =>
      [
        'SecurityError',
        'InvalidStateError',
        'OpenFailedError',
        'MissingAPIError',
        'UnknownError',
        'NotFoundError',
      ].includes(name),
    )
  )
    return {
      title: 'This browser does not let the app store anything',
      advice: `${EXPORT} allow site data for this address, or leave the private window, and reload.`,
    }
  return {
    title: `Saving failed: ${errorWords(error)}`,
    advice: `${EXPORT} reload the page.`,
  }
}

/** The names of an error and of those it wraps. */
function errorNames(error: unknown): string[] {
  if (typeof error !== 'object' || error === null) return []
  const { name, inner } = error as { name?: unknown; inner?: unknown }
  return [...(typeof name === 'string' ? [name] : []), ...(inner === error ? [] : errorNames(inner))]
}
