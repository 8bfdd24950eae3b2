import { useState } from 'react'
import { type AskedReading, askReading } from '@/core/readings/askReading'
import { printReading, type ReadingUnit, readingUnit } from '@/core/units/readingUnit'
import { Button } from '@/ui/controls'
import { Stated } from '@/ui/Note'

/** One reading of a table, by what it is called. */
export interface Reading {
  /** "Reading 3". */
  label: string
  valueUm: number
  besideUm: readonly number[]
  onChange: (valueUm: number) => void
}

interface Props {
  readings: readonly Reading[]
  /** Nothing is asked while the step of the gauge is not known. */
  stepUm: number | null
  typedIn: ReadingUnit
}

/** Asks about the first reading that cannot have been meant so, beside its row; nothing is changed by itself. */
export function ReadingAsk({ readings, stepUm, typedIn }: Props) {
  const [kept, setKept] = useState<ReadonlySet<string>>(new Set())
  if (stepUm === null) return null
  const keyOf = ({ label, valueUm }: Reading) => `${label} ${valueUm}`
  const say = (um: number, unit: ReadingUnit) => `${printReading(um, unit)} ${readingUnit(unit).unit}`
  for (const reading of readings) {
    const asked = kept.has(keyOf(reading))
      ? null
      : askReading(reading.valueUm, stepUm, typedIn, reading.besideUm)
    if (!asked) continue
    const { meantUm } = asked
    return (
      <Stated
        as="div"
        role="status"
        data-asked
        display="flex"
        flexWrap="wrap"
        alignItems="center"
        gap="2"
        mt="1"
        color="close"
        fontWeight={700}
      >
        {reading.label}, {say(reading.valueUm, typedIn)}: {question(asked, typedIn, say)}
        {meantUm !== null && (
          <Button variant="outline" onClick={() => reading.onChange(meantUm)}>
            Yes, {say(meantUm, typedIn)}
          </Button>
        )}
        <Button variant="quiet" onClick={() => setKept(before => new Set([...before, keyOf(reading)]))}>
          Keep it
        </Button>
      </Stated>
    )
  }
  return null
}

function question(
  { why, meantUm, meantIn }: AskedReading,
  typedIn: ReadingUnit,
  say: (um: number, unit: ReadingUnit) => string,
) {
  const because = why === 'finer' ? 'finer than the gauge can show' : 'far off those beside it'
  return meantUm === null || meantIn === null
    ? `${because}. Read it again.`
    : `${because}. Did you mean ${say(meantUm, typedIn)} (${say(meantUm, meantIn)})?`
}
