import { chakra } from '@chakra-ui/react'
import { SLOT_NUT_MM } from '@/core/machine/joints/fastener'
import { type BoltedJoint, JOINTS } from '@/core/machine/joints/model'
import type { Thread } from '@/core/machine/joints/threadTable'
import { Button } from '@/ui/controls'
import { TighteningDrawing } from '@/ui/drawings/TighteningDrawing'
import { FieldInput } from '@/ui/fields/FieldInput'
import { SelectField } from '@/ui/fields/SelectField'
import { useUnits } from '../../job/JobContext'
import { useAxis } from '../../job/useAxis'
import { useChange } from '../../job/useRows'

const FIELDS = JOINTS.of
const HOLES = [
  { value: 'blind', label: 'blind tapped hole' },
  { value: 'through', label: 'tapped right through' },
  { value: 'slot', label: 'nut in a slot' },
] as const
type HoleKind = (typeof HOLES)[number]['value']
const holeOf = ({ blind, slotNuts }: BoltedJoint): HoleKind =>
  slotNuts ? 'slot' : blind ? 'blind' : 'through'

/** Nuts in the slots of an extrusion are of steel, as thick as they are, and open at the back. */
export const inSlot = (thread: Thread): Partial<BoltedJoint> => ({
  material: 'steel',
  blind: false,
  slotNuts: true,
  threadDepthMm: SLOT_NUT_MM[thread] ?? 8,
})
const inHole = (kind: HoleKind, thread: Thread): Partial<BoltedJoint> =>
  kind === 'slot' ? inSlot(thread) : { blind: kind === 'blind', slotNuts: false }

/** Everything about one joint, with the order in which its screws are tightened. */
export function JointFields({ joint, onGone }: { joint: BoltedJoint; onGone: () => void }) {
  const change = useChange()
  const units = useUnits()
  const isFarFree = useAxis(({ ends }) => ends === 'fixed-free')
  // A free far end has no block, unless one was named before the ends were changed.
  const joints = FIELDS.holds.of.filter(one => one === joint.holds || !isFarFree || one !== 'farBlock')
  const put = (label: string, to: Partial<BoltedJoint>, mergeKey?: string) =>
    change(
      label,
      axis => {
        const row = axis.joints.find(({ id }) => id === joint.id)
        if (row) Object.assign(row, to)
      },
      mergeKey,
    )
  const field = (key: keyof typeof FIELDS) => (
    <FieldInput
      field={FIELDS[key]}
      value={joint[key]}
      units={units}
      onValue={(value, mergeKey) => put(FIELDS[key].label, { [key]: value }, mergeKey)}
    />
  )
  return (
    <chakra.div display="flex" flexWrap="wrap" gap="4" py="2" alignItems="start">
      <chakra.div flex="1 1 420px" minW="0">
        <chakra.div
          display="grid"
          gap="3"
          gridTemplateColumns={{ base: '1fr 1fr', lg: 'repeat(3, minmax(0, 1fr))' }}
          data-readings
        >
          {field('label')}
          <SelectField
            label={FIELDS.thread.label}
            value={joint.thread}
            options={FIELDS.thread.of.map(value => ({ value, label: value }))}
            onChange={thread => put(FIELDS.thread.label, { thread, ...(joint.slotNuts && inSlot(thread)) })}
          />
          {field('count')}
          <SelectField
            label="It goes into a"
            value={holeOf(joint)}
            options={HOLES}
            onChange={kind => put('What the screws go into', inHole(kind, joint.thread))}
          />
          {!joint.slotNuts && field('material')}
          {field('gripMm')}
          {field('washerMm')}
          {field('threadDepthMm')}
          {field('propertyClass')}
          <FieldInput
            field={{ ...FIELDS.holds, of: joints }}
            value={joint.holds}
            units={units}
            onValue={(holds, mergeKey) =>
              put(FIELDS.holds.label, { holds } as Partial<BoltedJoint>, mergeKey)
            }
          />
          {field('suppliedMm')}
          {field('located')}
        </chakra.div>
        <Button
          variant="quiet"
          mt="2"
          aria-label={`Take out: ${joint.label}`}
          onClick={() => {
            onGone()
            change('Joint taken out', axis => {
              axis.joints = axis.joints.filter(({ id }) => id !== joint.id)
            })
          }}
        >
          Take out
        </Button>
      </chakra.div>
      {joint.count !== null && joint.count >= 3 && (
        <chakra.figure fontSize="13px" maxW="200px">
          <TighteningDrawing count={joint.count} label={joint.label} />
          <figcaption>Tighten in this order, in two goes.</figcaption>
        </chakra.figure>
      )}
    </chakra.div>
  )
}
