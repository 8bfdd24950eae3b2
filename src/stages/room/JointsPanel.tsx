import { chakra } from '@chakra-ui/react'
import { type BoltedJoint, JOINT_FIELDS, MOST_ROWS } from '@/core/job/making'
import { PROPERTY_CLASSES, SLOT_NUT_MM, TAPPED_MATERIALS } from '@/core/room/fastener'
import { type JudgedJoint, judgedJoint } from '@/core/room/making'
import { withSpares } from '@/core/room/orders'
import { THREAD_NAMES } from '@/core/room/thread'
import { say } from '@/core/units/print'
import { Button } from '@/ui/controls'
import { TighteningDrawing } from '@/ui/drawings/TighteningDrawing'
import { type Column, quantityColumns, RowsTable } from '@/ui/fields/RowsTable'
import { Cell, Figures, HeadCell, Panel } from '@/ui/Panel'
import { StateMark } from '@/ui/verdicts/StateMark'
import { useUnits } from '../bench'
import { useMaking } from './useMaking'

const same = (values: readonly string[]) => values.map(value => ({ value, label: value }))
const asText = (value: string) => value
const COLUMNS: Column<BoltedJoint>[] = [
  { key: 'label', label: 'What is held', is: 'words', most: 80, wide: true },
  { key: 'thread', label: 'Thread', is: 'choice', of: same(THREAD_NAMES), read: asText },
  { key: 'count', label: 'How many', is: 'quantity', quantity: 'ratio', min: 1, max: 200 },
  { key: 'material', label: 'Tapped in', is: 'choice', of: same(TAPPED_MATERIALS), read: asText },
  ...quantityColumns<BoltedJoint>(JOINT_FIELDS),
  {
    key: 'blind',
    label: 'Hole',
    is: 'choice',
    of: [
      { value: 'false', label: 'through' },
      { value: 'true', label: 'blind' },
    ],
    read: value => value === 'true',
  },
  { key: 'propertyClass', label: 'Class', is: 'choice', of: same(PROPERTY_CLASSES), read: asText },
  {
    key: 'suppliedMm',
    label: 'Came with it',
    is: 'quantity',
    quantity: 'length',
    min: 1,
    max: 500,
    optional: true,
  },
]
const NEW: BoltedJoint = {
  label: 'Joint',
  thread: 'M6',
  material: 'cast-iron',
  propertyClass: '8.8',
  gripMm: 12,
  washerMm: 1.6,
  threadDepthMm: 15,
  blind: true,
  count: 4,
  suppliedMm: null,
}

/** Nuts in the slots of an extrusion: steel, as thick as they are, and open at the back. */
const SLOT: BoltedJoint = {
  ...NEW,
  material: 'steel',
  blind: false,
  threadDepthMm: SLOT_NUT_MM.M6 ?? 6,
  gripMm: 10,
}

/** The screws of every joint: which length, which drills, how tight, and those that came too short or too long. */
export function JointsPanel() {
  const { making, change } = useMaking()
  const units = useUnits()
  const judged = making.joints.map(judgedJoint)
  return (
    <Panel
      title="Screws"
      note="Grip is what the screw goes through before it reaches the thread. Torques are for oiled threads and seven tenths of the strength, held to what the tapped thread bears; tighten crosswise, in two goes."
    >
      <RowsTable
        row="Joint"
        columns={COLUMNS}
        rows={making.joints}
        units={units}
        most={MOST_ROWS}
        onChange={(index, key, value, mergeKey) =>
          change(
            'Bolted joint',
            draft => {
              const joint = draft.joints[index]
              const whole = key === 'count' ? Math.max(1, Math.round(value as number)) : value
              if (joint) Object.assign(joint, { [key]: whole })
            },
            mergeKey,
          )
        }
        onAdd={() =>
          change('A joint more', draft => {
            draft.joints.push({ ...NEW, label: `Joint ${draft.joints.length + 1}` })
          })
        }
        onRemove={index =>
          change('A joint less', draft => {
            draft.joints.splice(index, 1)
          })
        }
        addLabel="Another joint"
      />
      <Button
        variant="outline"
        mt="1"
        ml="2"
        disabled={making.joints.length >= MOST_ROWS}
        onClick={() =>
          change('A joint with slot nuts', draft => {
            draft.joints.push({ ...SLOT, label: `Slot nuts ${draft.joints.length + 1}` })
          })
        }
      >
        Another joint with slot nuts
      </Button>
      {judged.length > 0 && <Schedule judged={judged} />}
    </Panel>
  )
}

function Schedule({ judged }: { judged: JudgedJoint[] }) {
  const units = useUnits()
  const length = (mm: number | null) => (mm === null ? '–' : say(mm, 'length', units, 1))
  return (
    <>
      <chakra.div overflowX="auto" mt="4">
        <chakra.table width="100%" fontSize="14px" minW="640px" aria-label="Screws joint by joint">
          <thead>
            <tr>
              <HeadCell>Joint</HeadCell>
              <HeadCell textAlign="right">Take</HeadCell>
              <HeadCell textAlign="right">Goes in</HeadCell>
              <HeadCell textAlign="right">Needed</HeadCell>
              <HeadCell textAlign="right">Tap drill</HeadCell>
              <HeadCell textAlign="right">Hole</HeadCell>
              <HeadCell textAlign="right">Torque</HeadCell>
              <HeadCell>Verdict</HeadCell>
            </tr>
          </thead>
          <tbody>
            {judged.map((one, index) => {
              const { joint, chosenMm, chosen, tight, drills, supplied } = one
              const state =
                chosenMm === null ? 'fails' : supplied && supplied.verdict !== 'ok' ? 'close' : 'holds'
              return (
                // biome-ignore lint/suspicious/noArrayIndexKey: a joint is its place in the table
                <tr key={index}>
                  <Cell>{joint.label}</Cell>
                  <Cell textAlign="right">
                    <Figures>
                      {joint.count} × {joint.thread} × {chosenMm ?? 'none'}
                    </Figures>
                  </Cell>
                  <Cell textAlign="right">
                    <Figures>{length(chosen?.engagementMm ?? null)}</Figures>
                  </Cell>
                  <Cell textAlign="right">
                    <Figures>{length(chosen?.requiredMm ?? null)}</Figures>
                  </Cell>
                  <Cell textAlign="right">
                    <Figures>{length(drills.tapDrillMm)}</Figures>
                  </Cell>
                  <Cell textAlign="right">
                    <Figures>{length(drills.clearanceHoleMm)}</Figures>
                  </Cell>
                  <Cell
                    textAlign="right"
                    title={tight?.limitedBy === 'tapped-thread' ? 'held to the tapped thread' : undefined}
                  >
                    <Figures>{tight ? say(tight.torqueNm, 'torque', units, 1) : '–'}</Figures>
                  </Cell>
                  <Cell>
                    <StateMark state={state} />
                  </Cell>
                </tr>
              )
            })}
          </tbody>
        </chakra.table>
      </chakra.div>
      <chakra.div display="flex" flexWrap="wrap" gap="4" mt="3">
        {judged.map(({ joint }, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a joint is its place in the table
          <chakra.figure key={index} fontSize="13px" maxW="170px">
            <TighteningDrawing count={joint.count} label={joint.label} />
            {joint.count >= 3 && <figcaption>{joint.label}</figcaption>}
          </chakra.figure>
        ))}
      </chakra.div>
      <chakra.p mt="2" fontSize="14px">
        To order, with spares: {totals(judged).join('; ') || 'nothing'}.
      </chakra.p>
    </>
  )
}

/** Screws by thread, length and class over all joints, a tenth more and one more of each. */
function totals(judged: JudgedJoint[]): string[] {
  const counts = new Map<string, number>()
  for (const { joint, chosenMm } of judged) {
    if (chosenMm === null) continue
    const name = `${joint.thread} × ${chosenMm}, ${joint.propertyClass}`
    counts.set(name, (counts.get(name) ?? 0) + joint.count)
  }
  return [...counts].map(([name, count]) => `${withSpares(count)} ${name}`)
}
