import { skarrow } from '../../demo/skarrow'
import type { Axis } from '../../document/axis'
import { newAxis } from '../../sheets/newJob'
import { rowOfJoint, unlistedJoints } from './driveJoints'
import { judgeJoint } from './joint'

const bare = newAxis({ name: 'X', title: 'Table' })

test('an axis that lists nothing lacks every joint of its drive, and none twice', () => {
  expect(unlistedJoints(bare)).toEqual(['nut', 'fixedBlock', 'farBlock', 'screwHub', 'motorFace', 'motorHub'])
  const [first] = unlistedJoints(bare)
  const listed: Axis = { ...bare, joints: [rowOfJoint(first as 'nut', () => 'a')] }
  expect(unlistedJoints(listed)).not.toContain('nut')
  const [X] = skarrow().job.axes as [Axis]
  expect(unlistedJoints(X)).not.toContain('fixedBlock')
})

test('a free end has no far block, and a screw that stands has no hub', () => {
  expect(unlistedJoints({ ...bare, ends: 'fixed-free' })).not.toContain('farBlock')
  expect(unlistedJoints({ ...bare, drive: { ...bare.drive, transmission: 'nut' } })).not.toContain('screwHub')
})

test('a row says what it holds, and nothing that only the part can tell', () => {
  const rows = unlistedJoints(bare).map((joint, index) => rowOfJoint(joint, () => `${index}`))
  for (const row of rows) {
    expect(row).toMatchObject({ gripMm: null, threadDepthMm: null, suppliedMm: null })
    expect(judgeJoint(row)).toBeNull()
  }
  expect(rows.map(({ count }) => count)).toEqual([null, null, null, null, 4, null])
})
