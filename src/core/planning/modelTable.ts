import { DIMENSION_KEYS, DIMENSIONS } from '../document/dimensions'
import type { Job } from '../document/job'
import { isRead } from '../document/kinds'
import type { Table } from '../formats/workbook'
import { expectedBy } from '../machine/castings'
import { FAULT_WORDS, type FaultId } from '../sheets/findFault/words'
import { quantityFacts, type UnitSystem } from '../units/quantity'
import { minutesOf } from './minutesOf'
import { KINDS, TASK_KINDS } from './taskKinds'

/** A line for the figures of some machines: how many there are, what the next may come to, and each by itself. */
const figures = (values: readonly number[], perUnit = 1) => {
  const next = expectedBy(values)
  // Without a spread they are all the same.
  const mean = next?.mean ?? values[0]
  return [
    values.length,
    mean === undefined ? null : mean / perUnit,
    next && next.halfWidth / perUnit,
    values.map(value => Math.round((value / perUnit) * 1e6) / 1e6).join(' / '),
  ] as const
}

/**
 * What the machines of one model have in common: what was read on them and how far the next casting may lie from it, what each
 * kind of task took where it was timed, which faults they had, and what they taught.
 *
 * @param jobs one machine each, in the order in which their figures are listed
 * @param units in which lengths and weights are written
 * @returns a table with a line for each figure that at least one machine has
 */
export function modelTable(jobs: readonly Job[], units: UnitSystem): Table {
  const names = [...new Set(jobs.flatMap(job => job.axes.map(({ name }) => name)))]
  const axesOf = (name: string) => jobs.flatMap(job => job.axes.filter(axis => axis.name === name))
  const dimensions = names.flatMap(name =>
    DIMENSION_KEYS.flatMap(key => {
      const values = axesOf(name).flatMap(({ dimensions: { [key]: one } }) =>
        one.value !== null && isRead(one.provenance) ? [one.value] : [],
      )
      const { unit, perUnit } = quantityFacts(DIMENSIONS[key].quantity)[units]
      return values.length === 0
        ? []
        : [['dimension', name, DIMENSIONS[key].label, unit, ...figures(values, perUnit)]]
    }),
  )
  const learned = jobs.map(minutesOf)
  const minutes = TASK_KINDS.flatMap(kind => {
    const values = learned.flatMap(of => of.get(kind) ?? [])
    return values.length === 0 ? [] : [['minutes', null, KINDS[kind].title, 'min', ...figures(values)]]
  })
  const faults = names.flatMap(name => {
    const had = axesOf(name).flatMap(({ faultSearches }) => [
      ...new Set(faultSearches.flatMap(({ mended }) => mended ?? [])),
    ])
    return [...new Set(had)].map(fault => [
      'fault',
      name,
      FAULT_WORDS[fault as FaultId]?.name ?? fault,
      null,
      had.filter(one => one === fault).length,
      null,
      null,
      null,
    ])
  })
  const said = new Map<string, Set<string>>()
  for (const job of jobs)
    for (const { text, machine } of job.lessons)
      said.set(text, (said.get(text) ?? new Set()).add(machine ?? job.name))
  const lessons = [...said].map(([text, machines]) => [
    'lesson',
    null,
    text,
    null,
    machines.size,
    null,
    null,
    [...machines].join(' / '),
  ])
  return {
    name: 'Model',
    fields: ['of', 'axis', 'what', 'unit', 'machines', 'mean', 'next19in20PlusMinus', 'each'],
    rows: [...dimensions, ...minutes, ...faults, ...lessons] as Table['rows'],
  }
}
