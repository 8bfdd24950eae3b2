import { chakra } from '@chakra-ui/react'
import { PROPERTY_CLASSES, SLOT_NUT_MM, TAPPED_MATERIALS } from '@/core/machine/joints/fastener'
import { THREAD_NAMES, type Thread } from '@/core/machine/joints/thread'
import { type BoltedJoint, JOINT_FIELDS } from '@/core/sheets/making'
import { Button } from '@/ui/controls'
import { TighteningDrawing } from '@/ui/drawings/TighteningDrawing'
import { FieldGrid } from '@/ui/fields/FieldGrid'
import { QuantityField } from '@/ui/fields/QuantityField'
import { SelectField } from '@/ui/fields/SelectField'
import { TextField } from '@/ui/fields/TextField'
import { useUnits } from '../bench'
import { useMaking } from './useMaking'

const same = <T extends string>(values: readonly T[]) => values.map(value => ({ value, label: value }))
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
export function JointFields({
  joint,
  index,
  onGone,
}: {
  joint: BoltedJoint
  index: number
  onGone: () => void
}) {
  const { change } = useMaking()
  const units = useUnits()
  const put = (label: string, to: Partial<BoltedJoint>, mergeKey?: string) =>
    change(
      label,
      draft => {
        const known = draft.joints[index]
        if (known) Object.assign(known, to)
      },
      mergeKey,
    )
  return (
    <chakra.div display="flex" flexWrap="wrap" gap="4" py="2" alignItems="start">
      <chakra.div flex="1 1 420px" minW="0">
        <FieldGrid
          facts={JOINT_FIELDS}
          values={joint}
          units={units}
          onValue={(key, label, value, mergeKey) => put(label, { [key]: value }, mergeKey)}
          lead={
            <>
              <TextField
                label="What is held"
                key={joint.label}
                defaultValue={joint.label}
                maxLength={80}
                onBlur={event => {
                  const typed = event.currentTarget.value.trim()
                  if (typed && typed !== joint.label) put('What a joint holds', { label: typed })
                }}
              />
              <SelectField
                label="Thread"
                value={joint.thread}
                options={same(THREAD_NAMES)}
                onChange={thread => put('Thread', { thread, ...(joint.slotNuts && inSlot(thread)) })}
              />
              <QuantityField
                label="How many"
                kind="ratio"
                units={units}
                min={1}
                max={200}
                value={joint.count}
                onValue={(value, mergeKey) =>
                  value !== null &&
                  put('How many screws', { count: Math.max(1, Math.round(value)) }, mergeKey)
                }
              />
              <SelectField
                label="It goes into a"
                value={holeOf(joint)}
                options={HOLES}
                onChange={kind => put('What the screws go into', inHole(kind, joint.thread))}
              />
              {!joint.slotNuts && (
                <SelectField
                  label="Tapped in"
                  value={joint.material}
                  options={same(TAPPED_MATERIALS)}
                  onChange={material => put('Tapped material', { material })}
                />
              )}
            </>
          }
        >
          <SelectField
            label="Property class"
            value={joint.propertyClass}
            options={same(PROPERTY_CLASSES)}
            onChange={propertyClass => put('Property class', { propertyClass })}
          />
          <QuantityField
            label="Length that came with it"
            kind="length"
            units={units}
            min={1}
            max={500}
            optional
            value={joint.suppliedMm}
            onValue={(suppliedMm, mergeKey) => put('Length that came with it', { suppliedMm }, mergeKey)}
          />
        </FieldGrid>
        <Button
          variant="quiet"
          mt="2"
          aria-label={`Take out: ${joint.label}`}
          onClick={() => {
            onGone()
            change('A joint less', draft => {
              draft.joints.splice(index, 1)
            })
          }}
        >
          Take out
        </Button>
      </chakra.div>
      {joint.count >= 3 && (
        <chakra.figure fontSize="13px" maxW="200px">
          <TighteningDrawing count={joint.count} label={joint.label} />
          <figcaption>Tighten in this order, in two goes.</figcaption>
        </chakra.figure>
      )}
    </chakra.div>
  )
}
