import { chakra } from '@chakra-ui/react'
import { Fragment, memo, useCallback } from 'react'
import type { Axis } from '@/core/document/axis'
import { DIMENSION_KEYS, DIMENSIONS, type DimensionKey, SOURCE } from '@/core/document/dimensions'
import { setDimension } from '@/core/document/edits'
import { isRead, isRough } from '@/core/document/kinds'
import {
  byMachines,
  type Expected,
  expectedUntilRead,
  readBefore,
  unlikeOthers,
} from '@/core/machine/castings'
import { inItsWord } from '@/core/machine/movingPart'
import { isAsked, isPlanned, isToBeMade } from '@/core/machine/stillToMeasure'
import { outsideField } from '@/core/sheets/dimensionPlace'
import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { Button } from '@/ui/controls'
import { QuantityField } from '@/ui/fields/QuantityField'
import { SelectField } from '@/ui/fields/SelectField'
import { useEdit, useUnits } from './JobContext'
import { useAxis, useAxisDigest, useAxisNow } from './useAxis'

/** A screw whose far end is free has no second block to measure to. */
const FREE_SPAN = {
  label: 'Fixed block to the free end of the screw',
  help: 'From the inner face of the fixed block to where the thread ends, by a tape or calipers.',
}

const SOURCES = SOURCE.of.map(value => ({ value, label: SOURCE.words?.[value] ?? value }))
/** What each may come from: a plan only where it is to be made, from outside only where it can be seen. */
const sourcesOf = (key: DimensionKey) =>
  SOURCES.filter(
    ({ value }) =>
      (value !== 'planned' || isToBeMade(key)) &&
      (value !== 'outside' || DIMENSIONS[key].outside !== undefined),
  )

/** The dimensions of a group, each with where it comes from and how to measure it. */
export function DimensionFields({ group }: { group: (typeof DIMENSIONS)[DimensionKey]['group'] }) {
  const level = useAxis(axis => axis.dimensions.inclineDeg)
  const balance = useAxis(axis => axis.dimensions.counterbalanceN)
  const keys = DIMENSION_KEYS.filter(
    key =>
      DIMENSIONS[key].group === group &&
      isAsked({ dimensions: { inclineDeg: level, counterbalanceN: balance } }, key),
  )
  const passes = PASSES.map(({ shows, head }) => ({
    head,
    keys: keys.filter(key => DIMENSIONS[key].shows === shows),
  })).filter(pass => pass.keys.length > 0)
  return (
    <chakra.div display="grid" gap="3" data-readings>
      {passes.map(({ head, keys: ofPass }) => (
        <Fragment key={head}>
          {passes.length > 1 && (
            <chakra.h3 fontWeight={700} color="quiet" mt="1">
              {head}
            </chakra.h3>
          )}
          {ofPass.map(key => (
            <DimensionField key={key} dimension={key} />
          ))}
          {head === PASSES[0].head && keys.map(key => <FromOutside key={key} dimension={key} />)}
        </Fragment>
      ))}
    </chakra.div>
  )
}

/** When each is read. */
const PASSES = [
  { shows: 'whole', head: 'Before anything is apart' },
  { shows: 'apart', head: 'Once it is apart' },
  { shows: 'made', head: 'Of what is made: by the plan until it is fitted' },
] as const

/** A rough reading of what shows only when it is apart, until it is measured. */
function FromOutside({ dimension: key }: { dimension: DimensionKey }) {
  const { value, provenance } = useAxis(axis => axis.dimensions[key])
  const title = useAxis(axis => axis.title)
  const units = useUnits()
  const edit = useEdit()
  const axisNow = useAxisNow()
  const { quantity, min, max, outside } = DIMENSIONS[key]
  if (!outside || !isRough(provenance)) return null
  return (
    <div data-field={outsideField(key)}>
      <QuantityField
        label={outside.label}
        kind={quantity}
        units={units}
        min={min}
        max={max}
        optional
        value={provenance === 'outside' ? value : null}
        onValue={(next, mergeKey) =>
          edit(setDimension(axisNow(), key, next, next === null ? 'assumed' : 'outside', mergeKey))
        }
        hint={`Roughly, before it is apart: ${inItsWord(outside.help, { title })}`}
      />
    </div>
  )
}

/** What the machines before say of a dimension: within what this one is expected, or that what was read here is unlike them. */
function othersHint(axis: Axis, key: DimensionKey, units: UnitSystem): string | null {
  const { value, provenance } = axis.dimensions[key]
  const { quantity, min } = DIMENSIONS[key]
  const within = ({ mean, halfWidth }: Expected) => {
    // Two figures of the band say all that there is to say.
    const decimals =
      quantity === 'length' ? Math.min(Math.max(1 - Math.floor(Math.log10(halfWidth)), 0), 3) : undefined
    const shown = (value: number) => say(value, quantity, units, decimals)
    return `${shown(Math.max(min, mean - halfWidth))} to ${shown(mean + halfWidth)}`
  }
  const expected = expectedUntilRead(axis, key)
  if (expected) return `${byMachines([expected.machines])}: ${within(expected)}, 19 times in 20.`
  const usual = value !== null && isRead(provenance) ? unlikeOthers(axis, key, value) : null
  return (
    usual &&
    `Read it once more: by ${usual.machines} machines before, 99 in 100 lie within ${within(usual)}. If it is so, this casting is another.`
  )
}

/** In an empty field it takes what was read on the last machine. */
const TAKE_KEY = '='

const DimensionField = memo(function DimensionField({ dimension: key }: { dimension: DimensionKey }) {
  const { value, provenance } = useAxis(axis => axis.dimensions[key])
  const title = useAxis(axis => axis.title)
  const units = useUnits()
  const edit = useEdit()
  const axisNow = useAxisNow()
  const { quantity, min, max, help: usual } = DIMENSIONS[key]
  const isFarFree = useAxis(axis => axis.ends === 'fixed-free') && key === 'supportSpanMm'
  const label = isFarFree ? FREE_SPAN.label : DIMENSIONS[key].label
  const help = isFarFree ? FREE_SPAN.help : usual
  const open = isRough(provenance) || value === null
  const last = useAxisDigest(axis =>
    axis.dimensions[key].value === null ? (readBefore(axis, key)[0] ?? null) : null,
  )
  const others = useAxisDigest(axis => othersHint(axis, key, units))
  /** A figure of another casting is no reading of this one: it stands as assumed until it is measured. */
  const take = () => edit(setDimension(axisNow(), key, last?.value ?? null, 'assumed'))
  const onValue = useCallback(
    (next: number | null, mergeKey: string) => {
      // What is not made yet cannot be measured: another figure is another plan.
      const axis = axisNow()
      edit(setDimension(axis, key, next, isPlanned(axis, key) ? 'planned' : 'measured', mergeKey))
    },
    [edit, key, axisNow],
  )
  return (
    <div
      data-field={key}
      // Before the field itself takes it for the first sign of a figure.
      onKeyDownCapture={event => {
        if (event.key !== TAKE_KEY || last === null) return
        if (!(event.target instanceof HTMLInputElement) || event.target.value !== '') return
        event.preventDefault()
        event.stopPropagation()
        take()
      }}
    >
      <QuantityField
        label={label}
        kind={quantity}
        units={units}
        min={min}
        max={max}
        optional
        confirms={isRough(provenance)}
        value={value}
        onValue={onValue}
        hint={
          [
            open
              ? `To measure: ${inItsWord(help, { title })}`
              : provenance === 'planned' && `As planned. Once it is made: ${inItsWord(help, { title })}`,
            others,
          ]
            .filter(Boolean)
            .join(' ') || undefined
        }
      >
        <SelectField
          label={`Where ${label.toLowerCase()} comes from`}
          hideLabel
          value={provenance}
          options={sourcesOf(key)}
          onChange={next => edit(setDimension(axisNow(), key, value, next))}
        />
        {last !== null && (
          <Button variant="outline" onClick={take} data-of-last={key} aria-keyshortcuts={TAKE_KEY}>
            Of {last.machine}: {say(last.value, quantity, units)} ({TAKE_KEY})
          </Button>
        )}
      </QuantityField>
    </div>
  )
})
