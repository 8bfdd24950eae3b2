import { chakra } from '@chakra-ui/react'
import type { Axis } from '@/core/document/axis'
import { setIn } from '@/core/document/setIn'
import { attempt } from '@/core/evaluation/attempt'
import type { EvaluationContext } from '@/core/evaluation/context'
import { numberFields } from '@/core/field/field'
import {
  PROTRUSIONS,
  SECTION,
  SECTION_SIDES,
  type SectionSide,
  type SectionStation,
  SIDE_WORDS,
  STATIONS,
} from '@/core/sheets/nutRoom/model'
import { type SectionAt, sections, worstSection } from '@/core/sheets/nutRoom/sections'
import { say } from '@/core/units/print'
import { FieldGrid } from '@/ui/fields/FieldGrid'
import { Panel } from '@/ui/Panel'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { RowsTable } from '@/ui/table/RowsTable'
import { StateMark } from '@/ui/verdicts/StateMark'
import { useUnits } from '../../job/JobContext'
import { Advice } from '../../job/rounds/Advice'
import { useAxis } from '../../job/useAxis'
import { useWorkedOut } from '../../job/useEvaluation'
import { useChange, useRows } from '../../job/useRows'
import { SectionView } from './SectionView'

const FIGURES = numberFields(SECTION.of)
const STATE_OF = { clear: 'holds', cut: 'close', 'too-thin': 'fails' } as const
/** How a side stands: what must be cut into a wall that nobody has measured is not known. */
const stateOf = ({ verdict, cutMm, wallKnown }: SectionAt['sides'][SectionSide]) =>
  cutMm > 0 && !wallKnown ? 'unknown' : STATE_OF[verdict]
const stationsOf = (axis: Axis) => axis.section.stations
const protrusionsOf = (axis: Axis) => axis.section.protrusions

/** The next place along the screw; what is around it there is still to be measured. */
const nextStation = (stations: readonly SectionStation[]): Partial<SectionStation> => {
  const last = stations.at(-1)
  return last ? { positionMm: last.positionMm + 50 } : {}
}

/** The room around the nut: measured at stations along the screw, judged, and drawn where it is tightest. */
export function NutRoomPanel() {
  const units = useUnits()
  const section = useAxis(axis => axis.section)
  const change = useChange()
  const protrusions = useRows(PROTRUSIONS, protrusionsOf)
  const stations = useRows(STATIONS, stationsOf, nextStation)
  return (
    <Panel
      title="Room around the nut"
      note="Measure from the screw axis to each wall of the casting, and how thick the wall is, at a few places along the screw: a bar of the screw's diameter through the bores makes the axis. Seen from the fixed end."
    >
      <chakra.div mb="3">
        <Advice checks={['room.section']} />
      </chakra.div>
      <Worst />
      <chakra.div mb="4">
        <FieldGrid
          fields={FIGURES}
          values={section}
          units={units}
          onValue={(key, value, mergeKey) =>
            change(FIGURES[key].label, axis => setIn(axis.section, key, value), mergeKey)
          }
        />
      </chakra.div>
      <chakra.div mb="4" role="group" aria-label="What stands out of the nut">
        <RowsTable
          {...protrusions}
          units={units}
          addLabel="Grease fitting, screw heads or tubes that stand out"
        />
      </chakra.div>
      <RowsTable {...stations} units={units} addLabel="Another place along the screw" />
    </Panel>
  )
}

const tightest = (evaluation: EvaluationContext) => ({
  section: evaluation.axis.section,
  found: attempt(() => ({
    worst: worstSection(evaluation),
    count: sections(evaluation).length,
    screw: evaluation.part('screw'),
  })),
})

/** The tightest place: drawn to scale, with gap, cut and wall side by side. */
function Worst() {
  const { section, found } = useWorkedOut(tightest)
  const units = useUnits()
  if (section.stations.length === 0)
    return <chakra.p color="quiet">Nothing is measured yet: whether the nut fits is not known.</chakra.p>
  if (!found.value) return <chakra.p color="quiet">{found.ask}</chakra.p>
  const { worst, count, screw } = found.value
  if (!worst)
    return (
      <chakra.p color="quiet">
        The nut comes past none of the places that are measured all round: measure where it goes, from the
        first place of its travel to the last.
      </chakra.p>
    )
  const { station, sides } = worst
  const length = (mm: number) => say(mm, 'length', units, 1)
  const columns: TableColumn<{ side: SectionSide }>[] = [
    { id: 'side', head: 'Side', cell: ({ side }) => SIDE_WORDS[side] },
    { id: 'gap', head: 'Gap', figures: true, cell: ({ side }) => length(sides[side].gapMm) },
    { id: 'cut', head: 'To cut', figures: true, cell: ({ side }) => length(sides[side].cutMm) },
    {
      id: 'wall',
      head: 'Wall left',
      figures: true,
      cell: ({ side }) => (sides[side].wallKnown ? length(sides[side].wallAfterMm) : '–'),
    },
    {
      id: 'verdict',
      head: 'Verdict',
      cell: ({ side }) => <StateMark state={stateOf(sides[side])} />,
    },
  ]
  return (
    <chakra.div
      display="grid"
      gap="4"
      mt="4"
      alignItems="center"
      gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) minmax(0, 1.2fr)' }}
    >
      <figure>
        <SectionView section={section} at={worst} screw={screw} units={units} />
        <chakra.figcaption fontSize="13px" color="quiet">
          {length(station.positionMm)} along the screw, the tightest of {count}; to scale, hatched where metal
          must go.
        </chakra.figcaption>
      </figure>
      <DataTable
        label="The tightest place, side by side"
        columns={columns}
        rows={SECTION_SIDES.map(side => ({ side }))}
        rowId={({ side }) => side}
        isStrong={({ side }) => side === worst.worst}
      />
    </chakra.div>
  )
}
