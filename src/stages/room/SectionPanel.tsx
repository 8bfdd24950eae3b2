import { chakra } from '@chakra-ui/react'
import { known } from '@/core/evaluation/attempt'
import { Trace } from '@/core/evaluation/context'
import {
  MOST_PROTRUSIONS,
  MOST_ROWS,
  PROTRUSION_FIELDS,
  PROTRUSION_KINDS,
  type Protrusion,
  SECTION_FIELDS,
  type SectionStation,
  STATION_FIELDS,
} from '@/core/sheets/making'
import { SECTION_SIDES, type SectionSide } from '@/core/sheets/nutRoom/calculation'
import { nutEnvelope, sections, worstSection } from '@/core/sheets/nutRoom/sections'
import { SIDE_WORDS } from '@/core/sheets/roomChecks'
import { say } from '@/core/units/print'
import { FieldGrid } from '@/ui/fields/FieldGrid'
import { type Column, quantityColumns, RowsTable } from '@/ui/fields/RowsTable'
import { Cell, Figures, HeadCell, Panel } from '@/ui/Panel'
import { StateMark } from '@/ui/verdicts/StateMark'
import { useCatalogue, useSettledAxis, useUnits } from '../bench'
import { SectionView } from '../SectionView'
import { WorkingButton } from '../WorkingButton'
import { useMaking } from './useMaking'

const COLUMNS = quantityColumns<SectionStation>(STATION_FIELDS)
const PROTRUSION_COLUMNS: Column<Protrusion>[] = [
  {
    key: 'what',
    label: 'What stands out',
    is: 'choice',
    wide: true,
    of: PROTRUSION_KINDS.map(value => ({ value, label: value })),
    read: value => value,
  },
  ...quantityColumns<Protrusion>(PROTRUSION_FIELDS),
  {
    key: 'side',
    label: 'Where',
    is: 'choice',
    of: SECTION_SIDES.map(value => ({ value, label: SIDE_WORDS[value] })),
    read: value => value,
  },
]
const NEW_PROTRUSION: Protrusion = { what: 'grease fitting', standsOutMm: 7, side: 'ceiling' }
const STATE_OF = { clear: 'holds', cut: 'close', 'too-thin': 'fails' } as const

/** A first station, in the middle of where the nut goes: a room that the builder then measures. */
const FIRST: SectionStation = {
  positionMm: 100,
  leftMm: 40,
  rightMm: 40,
  ceilingMm: 40,
  floorMm: 40,
  wallLeftMm: 15,
  wallRightMm: 15,
  wallCeilingMm: 15,
  wallFloorMm: 15,
}

/** The room around the nut: measured at stations along the screw, judged, and drawn where it is tightest. */
export function SectionPanel() {
  const { making, change, rowsOf } = useMaking()
  const units = useUnits()
  const { section } = making
  return (
    <Panel
      title="Room around the nut"
      note="Measure from the screw axis to each wall of the casting, and how thick the wall is, at a few places along the screw: a bar of the screw's diameter through the bores makes the axis. Seen from the fixed end."
      action={<WorkingButton checkId="room.section" of="the room around the nut" />}
    >
      <chakra.div mb="4">
        <FieldGrid
          facts={SECTION_FIELDS}
          values={section}
          units={units}
          onValue={(field, label, value, mergeKey) =>
            change(
              label,
              draft => {
                draft.section[field] = value
              },
              mergeKey,
            )
          }
        />
      </chakra.div>
      <chakra.div mb="4" role="group" aria-label="What stands out of the nut">
        <RowsTable
          row="Part that stands out"
          columns={PROTRUSION_COLUMNS}
          {...rowsOf(
            making => making.section.protrusions,
            {
              change: 'What stands out of the nut',
              more: 'Another part that stands out',
              less: 'A part less that stands out',
            },
            () => NEW_PROTRUSION,
          )}
          units={units}
          most={MOST_PROTRUSIONS}
          addLabel="Grease fitting, screw heads or tubes that stand out"
        />
      </chakra.div>
      <RowsTable
        row="Station"
        columns={COLUMNS}
        {...rowsOf(
          making => making.section.stations,
          { change: 'Room around the nut', more: 'A station more', less: 'A station less' },
          stations => {
            const last = stations.at(-1)
            return last ? { ...last, positionMm: last.positionMm + 50 } : FIRST
          },
        )}
        units={units}
        most={MOST_ROWS}
        addLabel="Another place along the screw"
      />
      <Worst />
    </Panel>
  )
}

/** The tightest place: drawn to scale, with gap, cut and wall side by side. */
function Worst() {
  const axis = useSettledAxis()
  const units = useUnits()
  const catalogue = useCatalogue()
  const found = known(() => {
    const t = new Trace(axis, catalogue)
    return {
      worst: worstSection(t),
      count: sections(t).length,
      envelope: nutEnvelope(t),
      screw: t.part('screw'),
    }
  })
  if (axis.making.section.stations.length === 0)
    return <chakra.p color="quiet">Nothing is measured yet: whether the nut fits is not known.</chakra.p>
  if (!found.value) return <chakra.p color="quiet">{found.ask}</chakra.p>
  const { worst, count, screw } = found.value
  if (!worst) return <chakra.p color="quiet">The nut comes past none of these places.</chakra.p>
  const { station, sides } = worst
  const length = (mm: number) => say(mm, 'length', units, 1)
  const at = length(station.positionMm)
  return (
    <chakra.div
      display="grid"
      gap="4"
      mt="4"
      alignItems="center"
      gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) minmax(0, 1.2fr)' }}
    >
      <figure>
        <SectionView axis={axis} at={worst} screw={screw} units={units} />
        <chakra.figcaption fontSize="13px" color="quiet">
          {at} along the screw, the tightest of {count}; to scale, hatched where metal must go.
        </chakra.figcaption>
      </figure>
      <chakra.table width="100%" fontSize="14px">
        <thead>
          <tr>
            <HeadCell>Side</HeadCell>
            <HeadCell textAlign="right">Gap</HeadCell>
            <HeadCell textAlign="right">To cut</HeadCell>
            <HeadCell textAlign="right">Wall left</HeadCell>
            <HeadCell>Verdict</HeadCell>
          </tr>
        </thead>
        <tbody>
          {SECTION_SIDES.map((side: SectionSide) => (
            <chakra.tr key={side} fontWeight={side === worst.worst ? 700 : 400}>
              <Cell>{SIDE_WORDS[side]}</Cell>
              <Cell textAlign="right">
                <Figures>{length(sides[side].gapMm)}</Figures>
              </Cell>
              <Cell textAlign="right">
                <Figures>{length(sides[side].cutMm)}</Figures>
              </Cell>
              <Cell textAlign="right">
                <Figures>{length(sides[side].wallAfterMm)}</Figures>
              </Cell>
              <Cell>
                <StateMark state={STATE_OF[sides[side].verdict]} />
              </Cell>
            </chakra.tr>
          ))}
        </tbody>
      </chakra.table>
    </chakra.div>
  )
}
