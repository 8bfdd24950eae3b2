import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import { setCut } from '@/core/document/edits'
import { known } from '@/core/evaluation/attempt'
import { drilling, milling } from '@/core/machine/sizing/cutting'
import { MATERIALS } from '@/core/machine/sizing/materials'
import { say } from '@/core/units/print'
import type { QuantityKind } from '@/core/units/quantity'
import { Button } from '@/ui/controls'
import { QuantityField } from '@/ui/fields/QuantityField'
import { SelectField } from '@/ui/fields/SelectField'
import { Modal } from '@/ui/Modal'
import { useAxisNow, useEdit, useUnits } from '../bench'

type Field = [key: string, label: string, kind: QuantityKind, min: number, max: number, start: number]

const COMMON: Field[] = [
  ['specificForceNPerMm2', 'Force per area of a 1 mm chip, N/mm²', 'ratio', 1, 6000, 1800],
  ['chipExponent', 'How it grows as the chip thins', 'ratio', 0, 0.9, 0.25],
]
const FIELDS: Record<'mill' | 'drill', Field[]> = {
  mill: [
    ['toolDiameterMm', 'Tool diameter', 'length', 0.1, 200, 10],
    ['teeth', 'Teeth', 'ratio', 1, 40, 3],
    ['spindleRpm', 'Spindle speed', 'rotation', 1, 100_000, 2400],
    ['feedPerToothMm', 'Feed per tooth', 'length', 0.001, 5, 0.05],
    ['depthMm', 'Depth along the tool', 'length', 0.01, 200, 3],
    ['widthMm', 'Width of the cut', 'length', 0.01, 200, 6],
  ],
  drill: [
    ['drillDiameterMm', 'Drill diameter', 'length', 0.1, 100, 8],
    ['feedPerRevMm', 'Feed per turn', 'length', 0.001, 5, 0.12],
    ['pointAngleDeg', 'Point angle', 'angle', 30, 180, 118],
    ['drillRpm', 'Speed of the drill', 'rotation', 1, 100_000, 1200],
  ],
}
const WAYS = [
  { value: 'mill', label: 'milling' },
  { value: 'drill', label: 'drilling' },
] as const
const MATERIAL_OPTIONS = MATERIALS.map(({ id, name }) => ({ value: id, label: name }))
const START = Object.fromEntries(
  [...COMMON, ...FIELDS.mill, ...FIELDS.drill].map(([key, , , , , start]) => [key, start]),
) as Record<string, number>

/** Reckons the cutting force from the tool and the material, and puts it into the goals. */
export function CuttingDialog({ onClose }: { onClose: () => void }) {
  const [way, setWay] = useState<'mill' | 'drill'>('mill')
  const [material, setMaterial] = useState('mild-steel')
  const [values, setValues] = useState(START)
  const units = useUnits()
  const edit = useEdit()
  const axisNow = useAxisNow()
  const put = (part: Record<string, number>) => setValues(before => ({ ...before, ...part }))
  const cut = known(() => reckon(way, values))

  return (
    <Modal
      title="Cutting force from the cut"
      open
      onClose={onClose}
      closeLabel="Cancel"
      actions={
        <Button
          variant="lamp"
          disabled={!cut.value}
          onClick={() => {
            if (cut.value) edit(setCut(axisNow(), cut.value.forceN, cut.value.feedMmPerMin))
            onClose()
          }}
        >
          Take force and feed
        </Button>
      }
    >
      <chakra.p color="quiet" fontSize="14px" mb="3">
        Values to start from, for a sharp tool; change any of them. The force of the cut is taken to lie all
        along this axis.
      </chakra.p>
      <chakra.div display="grid" gap="3" gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }} data-readings>
        <SelectField label="Way of cutting" value={way} options={WAYS} onChange={setWay} />
        <SelectField
          label="Material"
          value={material}
          options={MATERIAL_OPTIONS}
          onChange={id => {
            setMaterial(id)
            const chosen = MATERIALS.find(one => one.id === id)
            if (chosen)
              put({ specificForceNPerMm2: chosen.specificForceNPerMm2, chipExponent: chosen.chipExponent })
          }}
        />
        {[...COMMON, ...FIELDS[way]].map(([key, label, kind, min, max]) => (
          <QuantityField
            key={key}
            label={label}
            kind={kind}
            units={units}
            min={min}
            max={max}
            value={values[key] ?? null}
            onValue={value => value !== null && put({ [key]: value })}
          />
        ))}
      </chakra.div>
      <chakra.p mt="3" role="status">
        {cut.value
          ? `${say(cut.value.forceN, 'force', units)} along the cut at ${say(cut.value.feedMmPerMin, 'speed', units)}${
              way === 'mill'
                ? `, ${say(cut.value.powerKw, 'ratio', units, 2)} kW at the cutter`
                : ', the thrust of the drill'
            }.`
          : cut.ask}
      </chakra.p>
    </Modal>
  )
}

/** Force and feed of a cut, by the calculations that the reference lists. */
function reckon(way: 'mill' | 'drill', values: Record<string, number>) {
  if (way === 'mill') {
    const { tangentialForceN, feedMmPerMin, powerKw } = milling(
      values as unknown as Parameters<typeof milling>[0],
    )
    return { forceN: tangentialForceN, feedMmPerMin, powerKw }
  }
  const { thrustN } = drilling(values as unknown as Parameters<typeof drilling>[0])
  const { feedPerRevMm = 0, drillRpm = 0 } = values
  return { forceN: thrustN, feedMmPerMin: feedPerRevMm * drillRpm, powerKw: 0 }
}
