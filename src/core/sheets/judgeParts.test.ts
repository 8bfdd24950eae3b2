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
