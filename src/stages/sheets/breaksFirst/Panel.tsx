import { chakra } from '@chakra-ui/react'
import { attempt } from '@/core/evaluation/attempt'
import {
  crashWords,
  ENDINGS,
  type Ending,
  heldWithoutPowerN,
  pushesOn,
  stallN,
  type ThrustLimit,
  thrustLimits,
} from '@/core/sheets/breaksFirst/thrustLimits'
import { say } from '@/core/units/print'
import { quantityFacts } from '@/core/units/quantity'
import { BarsFigure } from '@/ui/chart/BarsFigure'
import { chartColors } from '@/ui/chart/chartColors'
import { Note, Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { useSettledEvaluation } from '../../job/useEvaluation'

const COLORS: Readonly<Record<Ending, string>> = {
  stops: chartColors.lamp,
  opens: chartColors.unknown,
  slips: chartColors.brass,
  breaks: chartColors.ink,
}
/** Bars end at so many times what the motor can do, or the work asks for: what is beyond is no danger. */
const DRAWN_TIMES = 3
const nameOf = ({ where, what }: ThrustLimit) => `${where} ${what}`

/** All limits of an axis on one scale, as a push at the slide: weakest first, against what the work pushes with. */
export function BreaksFirstPanel() {
  const context = useSettledEvaluation()
  const { units } = context
  const force = (newtons: number) => say(newtons, 'force', units)
  const limits = thrustLimits(context)
  const known = limits
    .flatMap(one => (one.forceN === null ? [] : [{ ...one, forceN: one.forceN }]))
    .toSorted((a, b) => a.forceN - b.forceN)
  const asks = [...new Set(limits.flatMap(({ ask }) => ask ?? []))]
  const pushes = attempt(() => pushesOn(context), units)
  const held = attempt(() => heldWithoutPowerN(context), units).value ?? null
  const [largest] = pushes.value ?? []
  const { unit, perUnit, decimals } = quantityFacts('force')[units]
  const mostN = DRAWN_TIMES * Math.max(stallN(limits) ?? 0, largest?.forceN ?? 0)
  const isBeyond = known.some(({ forceN }) => mostN > 0 && forceN > mostN)
  const columns: TableColumn<ThrustLimit & { forceN: number }>[] = [
    { id: 'what', head: 'Weakest first', cell: nameOf },
    { id: 'ending', head: 'Then', cell: ({ ending }) => ENDINGS[ending] },
    { id: 'force', head: 'Push at the slide', figures: true, cell: ({ forceN }) => force(forceN) },
    {
      id: 'over',
      head: 'Over the work',
      figures: true,
      cell: ({ forceN }) =>
        largest && largest.forceN > 0 ? `${say(forceN / largest.forceN, 'ratio', units, 1)} times` : '',
    },
  ]
  return (
    <Panel
      title="What breaks first"
      note="Every limit of this axis from the motor to the slide on one scale: the push at the slide at which it is reached. The motor should give way before anything slips or breaks."
    >
      {crashWords(context, (value, quantity, places) => say(value, quantity, units, places)).map(sentence => (
        <Stated key={sentence} mb="2">
          {sentence}
        </Stated>
      ))}
      {pushes.value?.map(({ what, forceN }) => (
        <Stated key={what} mb="1">
          {what}: <strong>{force(forceN)}</strong>.
        </Stated>
      ))}
      {held !== null && (
        <Stated mb="2">
          Without power, detent, drag and what brake there is hold <strong>{force(held)}</strong> at the
          slide. Support the load before working under it.
        </Stated>
      )}
      {known.length > 0 && (
        <>
          <BarsFigure
            label="Chart of the push at which each limit is reached"
            parts={(Object.keys(ENDINGS) as Ending[]).map(ending => ({
              name: ENDINGS[ending],
              color: COLORS[ending],
            }))}
            bars={known.map(one => ({
              name: nameOf(one),
              of: { [ENDINGS[one.ending]]: Math.min(one.forceN, mostN || one.forceN) / perUnit },
            }))}
            unit={unit}
            decimals={decimals}
            accepted={largest ? largest.forceN / perUnit : undefined}
            acceptedLabel="largest push of the work"
            namePx={210}
          />
          {isBeyond && <Note>Bars end at {force(mostN)}; what is beyond that stands in the table.</Note>}
          <chakra.div mt="2">
            <DataTable
              label="Limits of the axis, weakest first"
              columns={columns}
              rows={known}
              rowId={nameOf}
              leastPx={560}
            />
          </chakra.div>
        </>
      )}
      {asks.map(ask => (
        <chakra.p key={ask} color="quiet" mt="2">
          {ask}
        </chakra.p>
      ))}
    </Panel>
  )
}
