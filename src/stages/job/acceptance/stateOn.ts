import type { AcceptedResult } from '@/core/acceptance/acceptanceOf'
import { STATE_WORDS } from '@/core/evaluation/finding'

/** How the state of a result is said: what nobody tested is not just not known. */
export const stateOn = ({ at, state }: Pick<AcceptedResult, 'at' | 'state'>): string =>
  at === null ? 'Not tested' : STATE_WORDS[state]
