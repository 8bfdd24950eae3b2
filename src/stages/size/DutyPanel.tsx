import { chakra } from '@chakra-ui/react'
import { type Axis, type DutyRow, MOST_DUTY_ROWS } from '@/core/document/job'
import { known } from '@/core/evaluation/attempt'
import { Trace } from '@/core/evaluation/context'
import { dutyLines } from '@/core/machine/drive/load'
import { setDuty } from '@/core/machine/driveEdits'
import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { Button } from '@/ui/controls'
import { QuantityField } from '@/ui/fields/QuantityField'
import { TextField } from '@/ui/fields/TextField'
import { Cell, Figures, HeadCell, Panel } from '@/ui/Panel'
import { useAxis, useAxisNow, useCatalogue, useEdit } from '../bench'

/** Shares are typed in per cent, rarely to the last digit. */
const SHARES_OFF = 0.005

/** What a typical hour is made of: what the life of screw and bearings is reckoned from. */
export function DutyPanel({ axis, units }: { axis: Axis; units: UnitSystem }) {
  const edit = useEdit()
  const catalogue = useCatalogue()
  const reckoned = known(() => dutyLines(new Trace({ ...axis, duty: null }, catalogue)))
  const own = axis.duty
  return (
    <Panel
      title="Duty"
      note={
        own
          ? 'Your own table. Forces along the screw, + one way and − the other, for the whole axis; shares of the time add up to 100 %.'
          : 'Reckoned from the goals of the survey: cutting both ways, and rapid moves over the whole travel both ways.'
      }
      action={
        own ? (
          <Button variant="quiet" onClick={() => edit(setDuty(axis, null))}>
            Reckon it again
          </Button>
        ) : (
          <Button
            variant="quiet"
            disabled={!reckoned.value}
            onClick={() => edit(setDuty(axis, rounded(reckoned.value)))}
          >
            Make it my own
          </Button>
        )
      }
    >
      {own ? (
        <OwnDuty units={units} />
      ) : reckoned.value ? (
        <chakra.table width="100%" fontSize="14px">
          <thead>
            <tr>
              <HeadCell>Work</HeadCell>
              <HeadCell textAlign="right">Force</HeadCell>
              <HeadCell textAlign="right">Speed</HeadCell>
              <HeadCell textAlign="right">Share</HeadCell>
            </tr>
          </thead>
          <tbody>
            {reckoned.value.map(line => (
              <tr key={line.label}>
                <Cell>{line.label}</Cell>
                <Cell textAlign="right">
                  <Figures>{say(line.forceN, 'force', units)}</Figures>
                </Cell>
                <Cell textAlign="right">
                  <Figures>{say(line.speedMmPerMin, 'speed', units)}</Figures>
                </Cell>
                <Cell textAlign="right">
                  <Figures>{say(line.timeShare, 'share', units)}</Figures>
                </Cell>
              </tr>
            ))}
          </tbody>
        </chakra.table>
      ) : (
        <chakra.p color="quiet">{reckoned.ask}</chakra.p>
      )}
    </Panel>
  )
}

/** The reckoned table with figures that a person would have typed. */
const rounded = (lines: DutyRow[] | undefined): DutyRow[] =>
  (lines ?? []).map(({ label, forceN, speedMmPerMin, timeShare }) => ({
    label,
    forceN: Math.round(forceN),
    speedMmPerMin: Math.round(speedMmPerMin),
    timeShare: Math.round(timeShare * 1000) / 1000,
  }))

const NO_ROWS: DutyRow[] = []
const COLUMNS = 'minmax(0, 1fr) 150px 150px 130px 96px'

function OwnDuty({ units }: { units: UnitSystem }) {
  // As it stands now, not as it stood when the typing last rested: the fields are typed into.
  const duty = useAxis(axis => axis.duty) ?? NO_ROWS
  const edit = useEdit()
  const axisNow = useAxisNow()
  const change = (index: number, part: Partial<DutyRow>, mergeKey?: string) => {
    const now = axisNow()
    const rows = (now.duty ?? []).map((row, at) => (at === index ? { ...row, ...part } : row))
    edit(setDuty(now, rows, mergeKey))
  }
  const shares = duty.reduce((sum, { timeShare }) => sum + timeShare, 0)
  const field = { units, hideLabel: true }
  return (
    <>
      <chakra.div
        aria-hidden="true"
        display={{ base: 'none', md: 'grid' }}
        gap="2"
        gridTemplateColumns={COLUMNS}
        fontSize="13px"
        fontWeight={700}
        color="quiet"
        mb="1"
      >
        <span>Work</span>
        <span>Force</span>
        <span>Speed</span>
        <span>Share of the time</span>
      </chakra.div>
      <chakra.div display="grid" gap="2" data-readings>
        {duty.map((row, index) => (
          <chakra.div
            // biome-ignore lint/suspicious/noArrayIndexKey: a row is its place in the table
            key={index}
            role="group"
            aria-label={`Work ${index + 1}`}
            display="grid"
            gap="2"
            alignItems="center"
            gridTemplateColumns={{ base: '1fr 1fr', md: COLUMNS }}
          >
            <TextField
              label={`Name of work ${index + 1}`}
              hideLabel
              defaultValue={row.label}
              key={row.label}
              maxLength={80}
              onBlur={event => {
                const label = event.currentTarget.value.trim() || `Work ${index + 1}`
                if (label !== row.label) change(index, { label })
              }}
            />
            <QuantityField
              {...field}
              label={`Force, work ${index + 1}`}
              kind="force"
              min={-50_000}
              max={50_000}
              value={row.forceN}
              onValue={(forceN, mergeKey) => forceN !== null && change(index, { forceN }, mergeKey)}
            />
            <QuantityField
              {...field}
              label={`Speed, work ${index + 1}`}
              kind="speed"
              min={0}
              max={100_000}
              value={row.speedMmPerMin}
              onValue={(speedMmPerMin, mergeKey) =>
                speedMmPerMin !== null && change(index, { speedMmPerMin }, mergeKey)
              }
            />
            <QuantityField
              {...field}
              label={`Share of the time, work ${index + 1}`}
              kind="share"
              min={0}
              max={1}
              value={row.timeShare}
              onValue={(timeShare, mergeKey) => timeShare !== null && change(index, { timeShare }, mergeKey)}
            />
            <Button
              variant="quiet"
              disabled={duty.length === 1}
              aria-label={`Take out work ${index + 1}: ${row.label}`}
              onClick={() =>
                edit(
                  setDuty(
                    axisNow(),
                    duty.filter((_, at) => at !== index),
                  ),
                )
              }
            >
              Take out
            </Button>
          </chakra.div>
        ))}
      </chakra.div>
      {Math.abs(shares - 1) > SHARES_OFF && (
        <chakra.p role="alert" color="fails" fontWeight={700} fontSize="14px" mt="2">
          Share of the time: got {say(shares, 'share', units)} in all, takes 100 %. Until then the shares are
          scaled to add up.
        </chakra.p>
      )}
      <Button
        variant="outline"
        mt="3"
        disabled={duty.length >= MOST_DUTY_ROWS}
        onClick={() =>
          edit(
            setDuty(axisNow(), [
              ...duty,
              { label: `Work ${duty.length + 1}`, forceN: 0, speedMmPerMin: 0, timeShare: 0 },
            ]),
          )
        }
      >
        Another kind of work
      </Button>
    </>
  )
}
