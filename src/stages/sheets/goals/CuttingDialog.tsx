import { chakra } from '@chakra-ui/react'
import { Controller, useForm } from 'react-hook-form'
import { setCut } from '@/core/document/edits'
import { attempt } from '@/core/evaluation/attempt'
import { angle, length, type NumberField, numberOf, plain, pressure } from '@/core/field/field'
import { drilling, milling, turning } from '@/core/machine/sizing/cutting'
import { MATERIALS } from '@/core/machine/sizing/materials'
import { say } from '@/core/units/print'
import { Button } from '@/ui/controls'
import { FieldInput } from '@/ui/fields/FieldInput'
import { SelectField } from '@/ui/fields/SelectField'
import { Modal } from '@/ui/Modal'
import { Note } from '@/ui/Note'
import { useEdit, useJob, useUnits } from '../../job/JobContext'
import { useAxisNow } from '../../job/useAxis'

const rotation = numberOf('rotation')
const COMMON: Record<string, NumberField> = {
  specificForceNPerMm2: pressure('Force per area of a chip 1 mm thick', [1, 6000], { blank: 1800 }),
  chipExponent: plain('How it grows as the chip thins', [0, 0.9], { blank: 0.25 }),
}
type Way = 'mill' | 'drill' | 'turn' | 'part'
const FIELDS: Record<Way, Record<string, NumberField>> = {
  mill: {
    toolDiameterMm: length('Tool diameter', [0.1, 200], { blank: 10 }),
    teeth: plain('Teeth', [1, 40], { blank: 3, whole: true }),
    spindleRpm: rotation('Spindle speed', [1, 100_000], { blank: 2400 }),
    feedPerToothMm: length('Feed per tooth', [0.001, 5], { blank: 0.05 }),
    depthMm: length('Depth along the tool', [0.01, 200], { blank: 3 }),
    widthMm: length('Width of the cut', [0.01, 200], { blank: 6 }),
  },
  drill: {
    drillDiameterMm: length('Drill diameter', [0.1, 100], { blank: 8 }),
    feedPerRevMm: length('Feed per turn', [0.001, 5], { blank: 0.12 }),
    pointAngleDeg: angle('Point angle', [30, 180], { blank: 118 }),
    drillRpm: rotation('Speed of the drill', [1, 100_000], { blank: 1200 }),
  },
  turn: {
    turnFeedMm: length('Feed per turn', [0.001, 5], { blank: 0.1 }),
    turnDepthMm: length('Depth of the cut', [0.01, 50], { blank: 1 }),
    approachAngleDeg: angle('Cutting edge to feed', [5, 90], { blank: 90 }),
    turnRpm: rotation('Speed of the work', [1, 20_000], { blank: 600 }),
  },
  part: {
    partFeedMm: length('Feed per turn', [0.001, 2], { blank: 0.05 }),
    partWidthMm: length('Width of the parting tool', [0.2, 20], { blank: 2 }),
    partRpm: rotation('Speed of the work', [1, 20_000], { blank: 400 }),
  },
}
const WAYS = [
  { value: 'mill', label: 'milling' },
  { value: 'drill', label: 'drilling' },
  { value: 'turn', label: 'turning and facing' },
  { value: 'part', label: 'parting off' },
] as const
const MATERIAL_OPTIONS = MATERIALS.map(({ id, name }) => ({ value: id, label: name }))

interface Cut {
  way: Way
  material: string
  figures: Record<string, number>
}
const START: Cut = {
  way: 'mill',
  material: 'mild-steel',
  figures: Object.fromEntries(
    Object.entries({ ...COMMON, ...Object.assign({}, ...Object.values(FIELDS)) } as Record<
      string,
      NumberField
    >).map(([key, { blank }]) => [key, blank ?? 0]),
  ),
}

/** Reckons the cutting force from the tool and the material, and puts it into the goals. */
export function CuttingDialog({ onClose }: { onClose: () => void }) {
  const lathe = useJob(job => job.machineKind === 'lathe')
  const { control, watch, setValue, handleSubmit } = useForm<Cut>({
    defaultValues: lathe ? { ...START, way: 'turn' } : START,
  })
  const { way, figures } = watch()
  const units = useUnits()
  const edit = useEdit()
  const axisNow = useAxisNow()
  const cut = attempt(() => reckon(way, figures))
  const submit = handleSubmit(() => {
    if (cut.value) edit(setCut(axisNow(), cut.value.forceN, cut.value.feedMmPerMin))
    onClose()
  })
  const take = (id: string) => {
    const chosen = MATERIALS.find(one => one.id === id)
    if (!chosen) return
    setValue('figures.specificForceNPerMm2', chosen.specificForceNPerMm2)
    setValue('figures.chipExponent', chosen.chipExponent)
  }
  return (
    <Modal
      title="Cutting force from the cut"
      open
      onClose={onClose}
      closeLabel="Cancel"
      actions={
        <Button variant="lamp" disabled={!cut.value} onClick={submit}>
          Take force and feed
        </Button>
      }
    >
      <Note mb="3">
        Values to start from, for a sharp tool; change any of them. The force of a mill is taken to lie all
        along this axis; that of a turning tool is what its feed has to push.
      </Note>
      <chakra.div display="grid" gap="3" gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }} data-readings>
        <Controller
          control={control}
          name="way"
          render={({ field }) => (
            <SelectField
              label="Way of cutting"
              value={field.value}
              options={WAYS}
              onChange={field.onChange}
            />
          )}
        />
        <Controller
          control={control}
          name="material"
          render={({ field }) => (
            <SelectField
              label="Material"
              value={field.value}
              options={MATERIAL_OPTIONS}
              onChange={id => {
                field.onChange(id)
                take(id)
              }}
            />
          )}
        />
        {Object.entries({ ...COMMON, ...FIELDS[way] }).map(([key, described]) => (
          <Controller
            key={key}
            control={control}
            name={`figures.${key}`}
            render={({ field }) => (
              <FieldInput field={described} value={field.value} units={units} onValue={field.onChange} />
            )}
          />
        ))}
      </chakra.div>
      <chakra.p mt="3" role="status">
        {cut.value
          ? `${say(cut.value.forceN, 'force', units)} along the cut at ${say(cut.value.feedMmPerMin, 'speed', units)}${
              way === 'mill'
                ? `, ${say(cut.value.powerKw, 'ratio', units, 2)} kW at the cutter`
                : way === 'drill'
                  ? ', the thrust of the drill'
                  : ', of the axis that feeds'
            }.`
          : cut.ask}
      </chakra.p>
    </Modal>
  )
}

/** Force and feed of a cut, by the calculations that the reference lists. */
function reckon(way: Way, values: Record<string, number>) {
  switch (way) {
    case 'mill': {
      const { tangentialForceN, feedMmPerMin, powerKw } = milling(
        values as unknown as Parameters<typeof milling>[0],
      )
      return { forceN: tangentialForceN, feedMmPerMin, powerKw }
    }
    case 'drill': {
      const { thrustN } = drilling(values as unknown as Parameters<typeof drilling>[0])
      const { feedPerRevMm = 0, drillRpm = 0 } = values
      return { forceN: thrustN, feedMmPerMin: feedPerRevMm * drillRpm, powerKw: 0 }
    }
    case 'turn':
      return turned(values, values.turnFeedMm, values.turnDepthMm, values.approachAngleDeg, values.turnRpm)
    case 'part':
      return turned(values, values.partFeedMm, values.partWidthMm, 90, values.partRpm)
  }
}

function turned(values: Record<string, number>, feedMm = 0, depthMm = 0, angleDeg = 90, rpm = 0) {
  const { feedForceN } = turning({
    specificForceNPerMm2: values.specificForceNPerMm2 ?? 0,
    chipExponent: values.chipExponent ?? 0,
    feedPerRevMm: feedMm,
    depthMm,
    approachAngleDeg: angleDeg,
  })
  return { forceN: feedForceN, feedMmPerMin: feedMm * rpm, powerKw: 0 }
}
