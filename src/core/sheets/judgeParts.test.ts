import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { PART_KINDS } from '../document/kinds'

import { CATALOGUE } from '../machine/parts'
import { evaluateAxis } from './evaluateAxis'
import { judgeParts } from './judgeParts'

const X = skarrow().job.axes[0] as Axis

test('every part of a kind is judged as if it were taken', () => {
  for (const kind of PART_KINDS) {
    const judged = judgeParts(X, CATALOGUE, kind, 'mm')
    expect(judged.map(({ partId }) => partId)).toEqual([...CATALOGUE[kind].keys()])
    for (const { partId, worst, worstCount } of judged.filter((_, index) => index % 5 === 0)) {
      const taken = { ...X, parts: { ...X.parts, [kind]: partId }, preloadN: null }
      const { findings } = evaluateAxis(taken, CATALOGUE, 'mm')
      const drive = findings.filter(({ ofDrive }) => ofDrive)
      expect(drive.filter(({ state }) => state === worst)).toHaveLength(worstCount)
      expect(worst).toBe(drive[0]?.state)
    }
  }
})

test('the part that is taken is judged as the verdicts judge it', () => {
  const taken = judgeParts(X, CATALOGUE, 'coupler', 'mm').find(({ partId }) => partId === X.parts.coupler)
  expect(taken).toMatchObject({ worst: 'fails', worstCount: 1, worstTitles: 'Torque of the coupler' })
})

test('a part says what it would mend and break against the drive as it stands', () => {
  const couplers = judgeParts(X, CATALOGUE, 'coupler', 'mm')
  const disc = couplers.find(({ partId }) => partId === 'disc-33-set')
  expect(couplers.filter(({ mends }) => mends.includes('Torque of the coupler')).length).toBeGreaterThan(1)
  if (disc) expect(disc.breaks).toEqual([])
  const now = new Map(
    evaluateAxis(X, CATALOGUE, 'mm').driveFindings.map(({ title, state }) => [title, state]),
  )
  for (const { partId, mends, breaks } of couplers) {
    const taken = { ...X, parts: { ...X.parts, coupler: partId } }
    const then = new Map(
      evaluateAxis(taken, CATALOGUE, 'mm').driveFindings.map(({ title, state }) => [title, state]),
    )
    for (const title of mends)
      expect(`${now.get(title)} ${then.get(title)}`).toMatch(/^(fails (close|holds)|close holds)$/)
    for (const title of breaks)
      expect(`${now.get(title)} ${then.get(title)}`).toMatch(
        /^(holds (close|fails)|close fails|unknown fails|undefined fails)$/,
      )
  }
  // The part that is taken changes nothing.
  expect(couplers.find(({ partId }) => partId === X.parts.coupler)).toMatchObject({ mends: [], breaks: [] })
})

test('parts are ranked: none with fewer failures stands behind one with more', () => {
  for (const kind of PART_KINDS) {
    const judged = judgeParts(X, CATALOGUE, kind, 'mm')
    expect(judged.map(({ rank }) => rank).toSorted((a, b) => a - b)).toEqual(judged.map((_, index) => index))
    const fails = ({ worst, worstCount }: (typeof judged)[number]) => (worst === 'fails' ? worstCount : 0)
    const inOrder = judged.toSorted((a, b) => a.rank - b.rank).map(fails)
    expect(inOrder).toEqual(inOrder.toSorted((a, b) => a - b))
  }
})
