import { chakra } from '@chakra-ui/react'
import dynamic from 'next/dynamic'
import { memo, useCallback, useState } from 'react'
import {
  DIMENSION_KEYS,
  DIMENSIONS,
  type DimensionKey,
  GOAL_KEYS,
  GOALS,
  type Provenance,
} from '@/core/document/dimensions'
import { setDimension, setGoal } from '@/core/document/edits'
import { stillToMeasure } from '@/core/sheets/nextAction'
import { Button } from '@/ui/controls'
import { QuantityField } from '@/ui/fields/QuantityField'
import { SelectField } from '@/ui/fields/SelectField'
import { Panel } from '@/ui/Panel'
import { AxisField } from '../AxisField'
import { useAxis, useAxisNow, useEdit, useSettledAxis, useUnits } from '../bench'

const CuttingDialog = dynamic(() => import('./CuttingDialog').then(module => module.CuttingDialog), {
  ssr: false,
})

const PROVENANCE_OPTIONS: { value: Provenance; label: string }[] = [
  { value: 'measured', label: 'measured' },
  { value: 'sheet', label: 'from a sheet' },
  { value: 'assumed', label: 'assumed' },
]

/** What have I got, and what do I want from it? */
export function SurveyStage() {
  const [cutting, setCutting] = useState(false)
  return (
    <>
      {cutting && <CuttingDialog onClose={() => setCutting(false)} />}
      <StillToMeasure />
      <chakra.div
        display="grid"
        gap="3"
        gridTemplateColumns={{ base: 'minmax(0, 1fr)', xl: 'minmax(0, 1.25fr) minmax(0, 1fr)' }}
        data-readings
      >
        <chakra.div display="grid" gap="3" alignContent="start">
          <Panel title="Geometry">
            <Dimensions group="geometry" />
          </Panel>
          <Panel title="Mass and friction">
            <Dimensions group="load" />
          </Panel>
          <Panel title="Motor to screw">
            <Dimensions group="shafts" />
          </Panel>
        </chakra.div>
        <Panel
          title="What you want from it"
          action={
            <Button variant="quiet" onClick={() => setCutting(true)}>
              Force from the cut
            </Button>
          }
        >
          <chakra.div display="grid" gap="3">
            {GOAL_KEYS.map(key => (
              <AxisField
                key={key}
                facts={GOALS[key]}
                select={axis => axis.goals[key]}
                command={(axis, value, mergeKey) => setGoal(axis, key, value, mergeKey)}
              />
            ))}
          </chakra.div>
        </Panel>
      </chakra.div>
    </>
  )
}

function Dimensions({ group }: { group: 'geometry' | 'load' | 'shafts' }) {
  return (
    <chakra.div display="grid" gap="3">
      {DIMENSION_KEYS.filter(key => DIMENSIONS[key].group === group).map(key => (
        <DimensionField key={key} dimension={key} />
      ))}
    </chakra.div>
  )
}

const DimensionField = memo(function DimensionField({ dimension: key }: { dimension: DimensionKey }) {
  const { value, provenance } = useAxis(axis => axis.dimensions[key])
  const units = useUnits()
  const edit = useEdit()
  const axisNow = useAxisNow()
  const { label, quantity, min, max, howTo } = DIMENSIONS[key]
  const open = provenance === 'assumed' || value === null
  const onValue = useCallback(
    (next: number | null, mergeKey: string) => edit(setDimension(axisNow(), key, next, 'measured', mergeKey)),
    [edit, key, axisNow],
  )
  return (
    <QuantityField
      label={label}
      kind={quantity}
      units={units}
      min={min}
      max={max}
      optional
      value={value}
      onValue={onValue}
      hint={open ? `To measure: ${howTo}` : undefined}
    >
      <SelectField
        label={`Where ${label.toLowerCase()} comes from`}
        hideLabel
        value={provenance}
        options={PROVENANCE_OPTIONS}
        onChange={next => edit(setDimension(axisNow(), key, value, next))}
      />
    </QuantityField>
  )
})

/** What is assumed, with how to measure it using shop tools. */
function StillToMeasure() {
  const axis = useSettledAxis()
  const open = stillToMeasure(axis)
  if (open.length === 0)
    return (
      <Panel title="Still to measure: nothing">
        <chakra.p color="quiet">Every dimension is measured or from a sheet.</chakra.p>
      </Panel>
    )
  return (
    <Panel
      title={`Still to measure: ${open.length}`}
      note="Castings of one model differ. Until these are measured, verdicts rest on assumed values. How to measure each stands under its field."
    >
      <chakra.ul display="flex" flexWrap="wrap" gap="2">
        {open.map(key => (
          <li key={key}>
            <Button onClick={() => focusField(DIMENSIONS[key].label)}>{DIMENSIONS[key].label}</Button>
          </li>
        ))}
      </chakra.ul>
    </Panel>
  )
}

/** Puts the cursor into the field of that label. */
function focusField(label: string) {
  const own = [...document.querySelectorAll('label')].find(element => element.textContent === label)
  document.getElementById(own?.htmlFor ?? '')?.focus()
}
