import { skarrow } from '../../demo/skarrow'
import type { Axis } from '../../document/axis'
import type { Drawing } from '../../drawing/drawing'
import { trianglesOf } from '../../drawing/stl'
import { attempt } from '../../evaluation/attempt'
import { blankRecord } from '../../field/field'
import { CATALOGUE } from '../../machine/parts'
import { evaluateAxis } from '../evaluateAxis'
import { blockDrawing, blockSolid, blockToMake } from './drawing'
import { BLOCK_BODY } from './model'

const [X] = skarrow().job.axes as [Axis]
const contextOf = (axis: Axis, units: 'mm' | 'inch' = 'mm') => evaluateAxis(axis, CATALOGUE, units)
const drawn = (units: 'mm' | 'inch' = 'mm') => {
  const context = contextOf(X, units)
  return blockDrawing('T', blockToMake(context), context)
}
const textsOf = ({ marks }: Drawing) => marks.flatMap(mark => (mark.is === 'text' ? [mark.text] : []))

test('asks for what is not known, one thing after the other, and draws nothing of it', () => {
  const asked = (axis: Axis) => attempt(() => blockToMake(contextOf(axis))).ask
  expect(asked({ ...X, block: null })).toContain('depth of the bore')
  expect(asked({ ...X, blockBody: { ...X.blockBody, widthMm: null, shoulderHoleMm: null } })).toContain(
    'width of the block, hole through the shoulder',
  )
  expect(asked({ ...X, blockBody: blankRecord(BLOCK_BODY.of) })).toContain('screw axis above the foot')
  expect(asked({ ...X, parts: { ...X.parts, bearing: null } })).toBeDefined()
  expect(asked(X)).toBeUndefined()
})

test('says every length that whoever bores it needs, with the limits of its bore', () => {
  const { blockLengthMm, blockHeightMm } = contextOf(X).part('bearing')
  const texts = textsOf(drawn())
  for (const mm of [66, 32, 31.94, blockLengthMm, blockHeightMm]) expect(texts).toContain(`${mm} mm`)
  expect(texts).toContain('Ø 32 mm H6 +0.016/0')
  expect(texts.filter(text => text.startsWith('Cover '))).toHaveLength(8)
  // 16 um are 6.3 ten-thousandths.
  expect(textsOf(drawn('inch')).join('\n')).toContain('Ø 1.2598 in H6 +0.0006/0')
})

test('its body stands as high above and below the screw as the drawing says, and is bored from the cover', () => {
  const block = blockToMake(contextOf(X))
  const corners = trianglesOf(blockSolid('T', block)).flat()
  const ys = corners.map(([, y]) => y)
  expect([Math.min(...ys), Math.max(...ys)]).toEqual([-32, block.heightMm - 32])
  // Nothing of the bore's wall lies deeper than its shoulder.
  const wide = corners.filter(([x, y]) => Math.abs(Math.hypot(x, y) - block.boreDiameterMm / 2) < 1e-6)
  expect(Math.min(...wide.map(([, , z]) => z))).toBeCloseTo(block.lengthMm - block.boreDepthMm, 9)
})
