import { ACCEPTANCE, type Acceptance, type ReproofKind } from './acceptance'
import type { Edit } from './edit'

/** What each proof after the acceptance is called. */
export const REPROOF_WORDS: Readonly<Record<ReproofKind, string>> = {
  'ten-hours': 'Proof after ten hours of running',
  'half-year': 'Proof after half a year',
}

type Plain = Omit<Acceptance, 'points' | 'reproved'>

/** Sets a field of the acceptance. */
export const setAcceptance = <K extends keyof Plain>(key: K, value: Plain[K], mergeKey?: string): Edit => ({
  label: `Acceptance: ${ACCEPTANCE.of[key].label.toLowerCase()}`,
  run: job => {
    job.acceptance = { ...job.acceptance, [key]: value }
  },
  mergeKey,
})

/**
 * Puts down that the machine was accepted on a day; the log says who accepted it, what was still open, and when it is proved again.
 *
 * @param said what goes to the log
 */
export const acceptMachine = (onDay: string, said: string): Edit => ({
  label: 'Machine accepted',
  run: job => {
    job.acceptance = { ...job.acceptance, acceptedDay: onDay, reproved: {} }
  },
  entry: { axisId: null, kind: 'job', text: said },
})

/** Puts down on which day the machine was proved again. */
export const setReproved = (kind: ReproofKind, onDay: string): Edit => ({
  label: REPROOF_WORDS[kind],
  run: job => {
    job.acceptance = { ...job.acceptance, reproved: { ...job.acceptance.reproved, [kind]: onDay } }
  },
  entry: { axisId: null, kind: 'test', text: `${REPROOF_WORDS[kind]}: done.` },
})
