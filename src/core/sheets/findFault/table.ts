import type { rankFaults } from './calculation'
import faultTable from './faultTable.json'
import { CHECK_WORDS, type CheckName, type FaultId } from './words'

type Table = Pick<Parameters<typeof rankFaults>[0], 'faults' | 'tests'>

/** How often each fault is the one, and how often each check then comes out how: made up for this app, from what the trade says. */
export const FAULT_TABLE: Table = faultTable

/** A fault that may be at work. */
export interface Fault {
  id: FaultId
  prior: number
}
export const FAULTS = faultTable.faults as Fault[]

/** A check, with the minutes that it takes. */
export const minutesOf = (check: CheckName): number =>
  FAULT_TABLE.tests.find(({ id }) => id === check)?.minutes ?? 0

/** The names of the outcomes of a check, in the order of the table. */
export const outcomesOf = (check: CheckName): string[] =>
  FAULT_TABLE.tests.find(({ id }) => id === check)?.outcomes.map(({ id }) => id) ?? []

/** Whether an answer is one that the table knows: a file may hold one of another version. */
export const isKnown = ({ check, outcome }: { check: string; outcome: string }): boolean =>
  Object.hasOwn(CHECK_WORDS, check) && outcomesOf(check as CheckName).includes(outcome)

const outcomeOf = (check: string, outcome: string) =>
  FAULT_TABLE.tests.find(({ id }) => id === check)?.outcomes.find(({ id }) => id === outcome)

/** How often a check comes out so where none of the faults that show in it is at work. */
export const usualLikelihood = (check: string, outcome: string): number =>
  outcomeOf(check, outcome)?.usual ?? 0

/** How often a check comes out so while a fault is at work. */
export function likelihoodOf(check: string, outcome: string, faultId: string): number {
  const found = outcomeOf(check, outcome)
  return found?.unless.find(one => one.faultId === faultId)?.likelihood ?? found?.usual ?? 0
}
