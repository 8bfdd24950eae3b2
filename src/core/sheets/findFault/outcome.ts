import { dayWords } from '../../units/dateWords'
import { defineOutcome } from '../outcome'
import { rankFaults } from './calculation'
import { weighFaults } from './weigh'
import { FAULT_WORDS } from './words'

/** The ranking of faults, and on paper what was mended. */
export const findFaultOutcome = defineOutcome({
  calculations: [rankFaults, weighFaults],
  paper: ({ axis }) => {
    const rows = axis.faultSearches.flatMap(({ mended, finishedAt, startedAt, answers }) => {
      const fault = mended === null ? undefined : FAULT_WORDS[mended as keyof typeof FAULT_WORDS]
      return fault
        ? [[dayWords(finishedAt ?? startedAt), `${fault.name}, found by ${answers.length} checks, mended.`]]
        : []
    })
    return rows.length ? [{ on: 'record' as const, title: 'Faults found', rows, empty: 'None.' }] : []
  },
})
