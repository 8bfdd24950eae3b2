import fc from 'fast-check'
import { skarrow } from '../../../demo/skarrow'
import type { Axis } from '../../../document/axis'
import { EvaluationContext } from '../../../evaluation/context'
import { CATALOGUE } from '../../../machine/parts'
import { evaluateAxis } from '../../evaluateAxis'
import { flangeRounds, tiltOverBolts } from '../../flange/rounds'
import { heightsOf, railRounds } from '../../rails/rounds'
import { screwRounds } from '../../screwLine/rounds'
import { couplerRounds } from '../../shafts/rounds'
import { closingNotes, openStations } from './closing'
import type { Round } from './model'
import { oddReadings } from './odd'
import { newRound, type Rounds } from './rounds'

const { job } = skarrow()
const [X] = job.axes as [Axis]
const ids = () => {
  let next = 0
  return () => `n${next++}`
}
const fresh = <R extends Round>(rounds: Rounds<R>, axis = X) =>
  newRound(rounds, axis, { ...job.shop, gaugeStepUm: 2 }, ids(), '2026-11-30T08:00:00.000Z')

const ANGLES = 6
/** A flange that leans by so much, read on a base that creeps from the first reading to the last. */
function swept(leansUm: number, creepUm: number, again: number | null | 'read' = 'read') {
  const round = fresh(flangeRounds, { ...X, flangeRounds: [] })
  const read = (index: number) =>
    Math.round(leansUm * Math.cos((Math.PI / 3) * index) + (creepUm * index) / ANGLES)
  return {
    ...round,
    stations: round.stations.map((one, index) => ({
      ...one,
      readingUm: index === ANGLES && again !== 'read' ? again : read(index),
    })),
  }
}
const verdict = (round: ReturnType<typeof swept>) =>
  evaluateAxis({ ...X, flangeRounds: [{ ...round, tipLifted: 'more' as const }] }, CATALOGUE, 'mm').finding(
    'align.flange',
  )

test('every new table of places that are read once ends with its first place', () => {
  for (const rounds of [flangeRounds, couplerRounds, screwRounds, railRounds] as unknown as Rounds[]) {
    const bare = { ...X, flangeRounds: [], couplerRounds: [], rounds: [], railRounds: [] }
    for (const axis of [bare, X]) {
      const { stations } = fresh(rounds, axis)
      const [first, last] = [stations[0], stations.at(-1)] as unknown as Record<string, unknown>[]
      const at = rounds.closes?.({ how: 'second' } as never) as string
      expect(last?.[at]).toBe(first?.[at])
      expect(last?.id).not.toBe(first?.id)
    }
    // One that has it is not given another.
    const once = fresh(rounds, bare)
    expect(fresh(rounds, { ...bare, ...rounds.only([once]) } as Axis).stations).toHaveLength(
      once.stations.length,
    )
  }
})

test('a level goes on from where it stood: no place of it comes again', () => {
  const round = { ...fresh(railRounds), how: 'level' as const }
  expect(openStations(railRounds, round)).toEqual(round.stations)
  const other = {
    ...round,
    how: 'second' as const,
    stations: round.stations.map(one => ({ ...one, readingUm: 4 })),
  }
  expect(heightsOf(other)).toHaveLength(other.stations.length - 1)
})

test('nothing is turned before the first place is read again', () => {
  expect(verdict(swept(60, 0, null))).toMatchObject({ state: 'unknown' })
  expect(verdict(swept(60, 0, null))?.sentence).toContain('Read the first place once more')
  expect(verdict(swept(60, 0))).toMatchObject({ state: 'fails' })
  expect(verdict(swept(60, 0))?.sentence).toContain('the base stood')
  expect(verdict(swept(0, 0))).toMatchObject({ state: 'holds' })
})

test('a base that creeps by what counts is found whatever is read on it, and is never shimmed for', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 100 }),
      fc.integer({ min: 8, max: 120 }),
      fc.boolean(),
      (leansUm, creepUm, isDown) => {
        const found = verdict(swept(leansUm, isDown ? -creepUm : creepUm))
        expect(found?.state).toBe('unknown')
        expect(found?.sentence).toMatch(/at the end than at the start|far off/)
      },
    ),
  )
})

test('the reading that closes a table is no reading of the face: it neither tilts nor odds it', () => {
  const round = swept(60, 0)
  const without = { ...round, stations: round.stations.slice(0, -1) }
  expect(tiltOverBolts(round)).toBe(tiltOverBolts(without))
  expect(oddReadings(flangeRounds, round)).toEqual([])
})

test('its cell says what it is for until it is read, and that the base moved where it did', () => {
  const t = new EvaluationContext(X, CATALOGUE, 'mm')
  const at = (round: ReturnType<typeof swept>) => closingNotes(t, flangeRounds, round)
  const key = `${swept(0, 0).stations.at(-1)?.id} readingUm`
  expect(at(swept(0, 0, null))).toEqual({ [key]: 'the first place again: has the base moved?' })
  expect(at(swept(0, 0))).toEqual({})
  expect(at(swept(0, 50))).toEqual({ [key]: 'moved: clamp it anew, read all again' })
})
