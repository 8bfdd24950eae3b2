import { chakra } from '@chakra-ui/react'
import { attempt } from '@/core/evaluation/attempt'
import { choosePart, setPreload } from '@/core/machine/driveEdits'
import { nutChoices } from '@/core/sheets/shared/proofs/nutChoices'
import type { WhichScrew } from '@/core/sheets/shared/rounds/model'
import { stepOf } from '@/core/sheets/shared/rounds/roundFinding'
import { lostRounds, lostShares, reckonedShares, SHARES, type Share } from '@/core/sheets/whereLost/rounds'
import { SHARE_WORDS } from '@/core/sheets/whereLost/words'
import { say } from '@/core/units/print'
import { quantityFacts } from '@/core/units/quantity'
import { BarsFigure } from '@/ui/chart/BarsFigure'
import { chartColors } from '@/ui/chart/chartColors'
import { Button } from '@/ui/controls'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { RedoButton } from '../../job/build/RedoButton'
import { useEdit, useJob } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { RoundPanel } from '../../job/rounds/RoundPanel'
import { SaveChart } from '../../job/SaveChart'
import { useAxisNow } from '../../job/useAxis'
import { useCatalogue, useSettledEvaluation } from '../../job/useEvaluation'

/** One colour a part, none of them a verdict's. */
const COLORS: Readonly<Record<Share, string>> = {
  motor: chartColors.ink,
  coupler: chartColors.brass,
  bearing: chartColors.unknown,
  nut: chartColors.lamp,
  bracket: chartColors.edge,
}
const PARTS = SHARES.map(share => ({ name: SHARE_WORDS[share].label.toLowerCase(), color: COLORS[share] }))

const SCENE = {
  label:
    'The drive from the motor to the slide with the five places in turn: motor hub, screw hub, end of the screw, flange of the nut, slide; the base stands on the bed each time',
  boxes: [
    { x: 4, y: 46, width: 38, height: 40, label: 'motor' },
    { x: 48, y: 58, width: 22, height: 16 },
    { x: 78, y: 50, width: 26, height: 34 },
    { x: 104, y: 62, width: 176, height: 8 },
    { x: 150, y: 52, width: 34, height: 28, label: 'nut' },
    { x: 130, y: 20, width: 110, height: 22, label: 'slide' },
    { x: 4, y: 100, width: 292, height: 22, label: 'bed' },
  ],
  lines: [{ from: [167, 42], to: [167, 52] }],
  words: [
    { at: [44, 40], text: '1' },
    { at: [66, 40], text: '2' },
    { at: [284, 62], text: '3' },
    { at: [188, 94], text: '4' },
    { at: [246, 34], text: '5' },
  ],
} as const

const FIELDS = ['forceN', 'motorRadiusMm', 'screwRadiusMm', 'gaugeStepUm'] as const

/** The same push and pull, read at five places: which part loses how much. */
export function WhereLostPanel() {
  return (
    <RoundPanel
      rounds={lostRounds}
      title="Where it is lost"
      checks={['prove.whereLost']}
      fields={FIELDS}
      addLabel="Another push and pull"
      wide
      scene={SCENE}
      words="Motor powered and still. Pull the slide with the spring scale, set the dial to zero, push with the same force: what the indicator goes is the reading. Do it with the tip at each of the five places, the base on the bed each time: the two hubs at their rim, across, for how far they turn; the end of the screw, the flange of the nut and the slide along the axis. Then twice more. Keep fingers out from between hub and block."
      after={() => <Shares />}
    />
  )
}

interface Row {
  share: Share
  um: number
  standardUm: number
  reckonedUm: number | null
}

/** What each part loses, beside what Size reckons, and where something is done about it. */
function Shares() {
  const context = useSettledEvaluation()
  const { axis, units } = context
  const jobId = useJob(job => job.id)
  const last = lostRounds.pick(axis).at(-1)
  const found = last && attempt(() => lostShares(context, stepOf(last, 'whereLost', 'prove'))).value
  if (!found || context.finding('prove.whereLost')?.figure === null) return null
  const reckoned = attempt(() => reckonedShares(context, found.round.forceN)).value ?? null
  const rows = SHARES.map(
    (share): Row => ({ share, ...found.shares[share], reckonedUm: reckoned?.[share] ?? null }),
  )
  const small = (um: number) => say(um, 'smallLength', units)
  const { unit, perUnit, decimals } = quantityFacts('smallLength')[units]
  // What comes out below nothing, by chance, is drawn as nothing; the table has it as it is.
  const bar = (name: string, of: (row: Row) => number) => ({
    name,
    of: Object.fromEntries(
      rows.map(row => [SHARE_WORDS[row.share].label.toLowerCase(), Math.max(of(row), 0) / perUnit]),
    ),
  })
  const columns: TableColumn<Row>[] = [
    { id: 'part', head: 'Part', cell: ({ share }) => SHARE_WORDS[share].label },
    {
      id: 'lost',
      head: 'Lost',
      figures: true,
      cell: ({ um, standardUm }) => `${small(um)} ± ${small(2 * standardUm)}`,
    },
    {
      id: 'reckoned',
      head: 'As Size reckons',
      figures: true,
      cell: ({ reckonedUm }) => (reckonedUm === null ? '' : small(reckonedUm)),
    },
    {
      id: 'proved',
      head: 'Proved',
      cell: ({ um, standardUm }) =>
        um > 2 * standardUm ? 'yes' : 'no: within what the readings are uncertain by',
    },
    {
      id: 'mend',
      head: 'What is done about it',
      cell: ({ share }) => {
        const { at } = SHARE_WORDS[share]
        return (
          <PlaceButton
            variant="quiet"
            px="1"
            place={{ jobId, axisId: axis.id, stage: at.stage, sheet: at.sheet }}
          >
            {at.verb}
          </PlaceButton>
        )
      },
    },
  ]
  return (
    <chakra.div>
      <BarsFigure
        label="Chart of what each part loses, measured and reckoned"
        parts={PARTS}
        bars={[
          bar('measured', ({ um }) => um),
          ...(reckoned ? [bar('as Size reckons', ({ reckonedUm }) => reckonedUm ?? 0)] : []),
        ]}
        unit={unit}
        decimals={decimals}
        accepted={axis.goals.backlashTargetUm / perUnit}
        namePx={120}
      />
      <SaveChart name="where it is lost" legend={PARTS} />
      <chakra.div mt="2">
        <DataTable
          label="Shares of what is lost"
          columns={columns}
          rows={rows}
          rowId={({ share }) => share}
        />
      </chakra.div>
      <ToMend
        shares={rows.filter(({ um, standardUm, reckonedUm }) => um - (reckonedUm ?? 0) > 2 * standardUm)}
        screw={found.round.screw}
      />
    </chakra.div>
  )
}

/** What is done about the shares that lose more than they should: a step of the build opened again, or another choice. */
function ToMend({ shares, screw }: { shares: readonly Row[]; screw: WhichScrew }) {
  const [worst] = shares.toSorted((a, b) => b.um - (b.reckonedUm ?? 0) - (a.um - (a.reckonedUm ?? 0)))
  if (!worst) return null
  const { label, remedy, redo } = SHARE_WORDS[worst.share]
  return (
    <chakra.section aria-label="What mends it" mt="3" display="grid" gap="2" justifyItems="start">
      <p>
        <strong>{label} first:</strong> {remedy}.
      </p>
      {redo ? <RedoButton what={redo} screw={screw} /> : <NutChoices />}
    </chakra.section>
  )
}

/** More preload for the nut, or another nut, taken into the choice. */
function NutChoices() {
  const context = useSettledEvaluation()
  const { units } = context
  const axisNow = useAxisNow()
  const catalogue = useCatalogue()
  const edit = useEdit()
  const choices = attempt(() => nutChoices(context)).value ?? []
  if (choices.length === 0)
    return <p>No nut of the list has less play on this screw: enter one of your own under Own parts.</p>
  return (
    <chakra.div display="flex" gap="2" flexWrap="wrap">
      {choices.map(choice =>
        choice.kind === 'preload' ? (
          <Button key="preload" variant="outline" onClick={() => edit(setPreload(axisNow(), choice.toN))}>
            Preload of the nut from {say(choice.fromN, 'force', units)} to {say(choice.toN, 'force', units)}
          </Button>
        ) : (
          <Button
            key={choice.id}
            variant="outline"
            onClick={() => edit(choosePart(axisNow(), catalogue, 'screw', choice.id))}
          >
            Choose {choice.name}: play {say(choice.fromPlayUm, 'smallLength', units)} to{' '}
            {say(choice.toPlayUm, 'smallLength', units)}
          </Button>
        ),
      )}
    </chakra.div>
  )
}
