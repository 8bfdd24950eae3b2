import { isEqual } from 'es-toolkit'
import { longTom } from '../demo/longTom'
import { ostrey } from '../demo/ostrey'
import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import type { Job } from '../document/job'
import { catalogueOf } from '../machine/parts'
import { SHEETS } from '../sheets'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { newJob } from '../sheets/newJob'
import { SLIPS } from '../simulate/axis/hand'
import { SHEETS_TRIED, type Tried } from '../trial/builder'
import { type Rehearsal, rehearsalOf, supposable } from './rehearse'
import { readingOf } from './sheets'
import { SLIP_WORDS } from './slips'
import { WHAT_IFS, type WhatIfId } from './whatIfs'

const AT = '2026-12-02T09:00:00.000Z'
const SOUND: Rehearsal = { whatIf: null, slip: null, seed: 1 }
const supposing = (id: WhatIfId, size: number = WHAT_IFS[id].size.blank as number): Rehearsal => ({
  ...SOUND,
  whatIf: { id, size },
})

const JOBS = [skarrow().job, ostrey().job, longTom().job]
/** Every axis of the demo jobs that has its drive, with each sheet that can be read on it. */
const CASES = JOBS.flatMap(job =>
  job.axes.flatMap((axis): [string, Job, Axis, Tried][] =>
    SHEETS.flatMap(({ id: sheet }) => {
      const name = readingOf(sheet, axis)
      return name && axis.parts.screw && axis.parts.motor
        ? [[`${job.name} ${axis.name} ${sheet}`, job, axis, name]]
        : []
    }),
  ),
)

const rehearse = (job: Job, axis: Axis, name: Tried, rehearsal: Rehearsal, at: string) =>
  rehearsalOf(job, axis, name)(rehearsal, at)
const rehearsed = (...of: Parameters<typeof rehearse>): Axis => rehearse(...of).axis

/** What the checks of a sheet say of an axis. */
const statesOf = (job: Job, axis: Axis, name: Tried) => {
  const t = evaluateAxis(axis, catalogueOf(job), job.units)
  return SHEETS_TRIED[name].checks.map(id => t.finding(id)?.state ?? null)
}

test('every sheet that the trial reads can be rehearsed, each under its own name', () => {
  const names = SHEETS.flatMap(({ id: sheet }) =>
    (['belt', 'direct'] as const).flatMap(
      transmission => readingOf(sheet, { drive: { transmission } as Axis['drive'] }) ?? [],
    ),
  )
  expect([...new Set(names)].toSorted()).toEqual(Object.keys(SHEETS_TRIED).toSorted())
})

test.each(CASES)('%s: the table is read, and nothing else of the axis is touched', (_, job, axis, name) => {
  const before = structuredClone(axis)
  const after = rehearsed(job, axis, name, SOUND, AT)
  expect(axis).toEqual(before)
  const changed = (Object.keys(after) as (keyof Axis)[]).filter(key => after[key] !== axis[key])
  expect(changed).toEqual([rehearse(job, axis, name, SOUND, AT).table])
  const rounds = after[changed[0] as keyof Axis] as unknown as { startedAt: string; stations?: object[] }[]
  expect(rounds.map(({ startedAt }) => startedAt)).toEqual(rounds.map(() => AT))
  // The same hand reads the same; another one reads otherwise.
  expect(rehearsed(job, axis, name, SOUND, AT)).toEqual(after)
})

test.each(CASES)('%s: a sound axis fails nowhere', (_, job, axis, name) => {
  // A goal that the drive itself cannot keep is none of the sheet's.
  const wide: Axis = { ...axis, goals: { ...axis.goals, backlashTargetUm: 150, accuracyTargetUm: 300 } }
  expect(statesOf(job, rehearsed(job, wide, name, SOUND, AT), name)).not.toContain('fails')
})

test('what is supposed is what is read: play by its size, where it is', () => {
  const [job] = JOBS as [Job]
  const [axis] = job.axes as [Axis]
  const read = (rehearsal: Rehearsal) => {
    const [round] = rehearsed(job, axis, 'whereLost', rehearsal, AT).lostRounds
    const [first] = round?.stations ?? []
    return first as unknown as Record<string, number>
  }
  const sound = read(SOUND)
  for (const [id, from] of [
    ['nut-play', 'nutFlangeUm'],
    ['fixed-bearing-play', 'screwEndUm'],
    ['nut-bracket-loose', 'slideUm'],
  ] as const) {
    const now = read(supposing(id, 20))
    const [before, at, beyond] = [['motorHubUm'], [from], ['slideUm']] as const
    expect(Math.abs((now[before[0]] as number) - (sound[before[0]] as number))).toBeLessThan(8)
    for (const key of [...at, ...beyond]) {
      const more = (now[key] as number) - (sound[key] as number)
      expect(more).toBeGreaterThan(10)
      expect(more).toBeLessThan(30)
    }
  }
})

test('what a sheet should find comes first, and at ten times its usual size it is not said to hold', () => {
  const held: string[] = []
  for (const [title, job, axis, name] of CASES.filter(([, { id }]) => id === skarrow().job.id)) {
    const all = supposable(job, axis, name)
    const first = all.findIndex(({ isAbout }) => !isAbout)
    expect(all.slice(first < 0 ? all.length : first).some(({ isAbout }) => isAbout)).toBe(false)
    for (const { id, isAbout } of all) {
      // The scale of this job cannot tell such small bearings' drag from that of their seals, and the sheet says so.
      if (name === 'preload') continue
      // A hurt place between two that are read is not felt.
      if (name === 'drag' && id === 'dirt-in-nut') continue
      const { size } = WHAT_IFS[id]
      // A share of what should be is the worse the less it is.
      const large = size.max < 1 ? size.min : Math.min(10 * (size.blank as number), size.max)
      const strict: Axis = { ...axis, goals: { ...axis.goals, accuracyTargetUm: 20 } }
      const after = rehearsed(job, strict, name, supposing(id, large), AT)
      if (isAbout && statesOf(job, after, name).every(state => state === 'holds'))
        held.push(`${title}: ${id}`)
    }
  }
  expect(held).toEqual([])
})

test('a slip of the hand shows in the table, and each has its words', () => {
  expect(Object.keys(SLIP_WORDS).toSorted()).toEqual([...SLIPS].toSorted())
  const [job] = JOBS as [Job]
  const [axis] = job.axes as [Axis]
  const read = (slip: Rehearsal['slip']) =>
    rehearsed(job, axis, 'reversal', { ...SOUND, slip }, AT).tests[0]?.stations
  for (const slip of SLIPS.filter(one => one !== 'kilograms-for-newtons'))
    expect(isEqual(read(slip), read(null))).toBe(false)
})

test('an axis whose drive is not chosen says what it needs', () => {
  const job = newJob('Empty', 'mill', 'mm', AT)
  const [axis] = job.axes as [Axis]
  expect(() => rehearsed(job, axis, 'reversal', SOUND, AT)).toThrow('not known yet')
})
