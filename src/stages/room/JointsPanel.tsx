import { chakra } from '@chakra-ui/react'
import { Fragment, useState } from 'react'
import { lacksScrews, withSpares } from '@/core/orders/orders'
import { type BoltedJoint, MOST_ROWS } from '@/core/sheets/making'
import { type JudgedJoint, judgeJoint } from '@/core/sheets/makingInputs'
import { say } from '@/core/units/print'
import { Button } from '@/ui/controls'
import { Cell, Figures, HeadCell, Panel, SideScroll } from '@/ui/Panel'
import { StateMark } from '@/ui/verdicts/StateMark'
import { useUnits } from '../bench'
import { WorkingButton } from '../WorkingButton'
import { inSlot, JointFields } from './JointFields'
import { useMaking } from './useMaking'

const NEW: BoltedJoint = {
  label: 'Joint',
  thread: 'M6',
  material: 'cast-iron',
  propertyClass: '8.8',
  gripMm: 12,
  washerMm: 1.6,
  threadDepthMm: 15,
  blind: true,
  slotNuts: false,
  count: 4,
  suppliedMm: null,
}

/** The screws of every joint: which length, which drills, how tight, and those that came too short or too long. */
export function JointsPanel() {
  const { making, change } = useMaking()
  const [open, setOpen] = useState<number | null>(null)
  const judged = making.joints.map(judgeJoint)
  const add = (label: string, joint: BoltedJoint) => {
    change(label, draft => {
      draft.joints.push(joint)
    })
    setOpen(making.joints.length)
  }
  const count = making.joints.length + 1
  return (
    <Panel
      title="Screws"
      note="Grip is what the screw goes through before it reaches the thread. Torques are for oiled threads and seven tenths of the strength, held to what the tapped thread bears; tighten crosswise, in two goes."
      action={<WorkingButton checkId="room.joints" of="the screws" />}
    >
      {judged.length > 0 && <Schedule judged={judged} open={open} onOpen={setOpen} />}
      <chakra.div display="flex" flexWrap="wrap" gap="2" mt="3">
        <Button
          variant="outline"
          disabled={count > MOST_ROWS}
          onClick={() => add('A joint more', { ...NEW, label: `Joint ${count}` })}
        >
          Another joint
        </Button>
        <Button
          variant="outline"
          disabled={count > MOST_ROWS}
          onClick={() =>
            add('A joint with slot nuts', { ...NEW, ...inSlot(NEW.thread), label: `Slot nuts ${count}` })
          }
        >
          Another joint with slot nuts
        </Button>
      </chakra.div>
      {judged.length > 0 && (
        <chakra.p mt="3" fontSize="14px">
          To order, with spares: {totals(judged).join('; ') || 'nothing'}.
        </chakra.p>
      )}
    </Panel>
  )
}

interface ScheduleProps {
  judged: JudgedJoint[]
  open: number | null
  onOpen: (index: number | null) => void
}

const COLUMNS = 8

/** A row for each joint; the one that is open has its fields under it. */
function Schedule({ judged, open, onOpen }: ScheduleProps) {
  const units = useUnits()
  const length = (mm: number | null) => (mm === null ? '–' : say(mm, 'length', units, 1))
  return (
    <SideScroll>
      <chakra.table width="100%" fontSize="14px" minW="660px" aria-label="Screws joint by joint">
        <thead>
          <tr>
            <HeadCell>Joint</HeadCell>
            <HeadCell textAlign="right">Take</HeadCell>
            <HeadCell textAlign="right">Goes in, needs</HeadCell>
            <HeadCell textAlign="right">Tap drill</HeadCell>
            <HeadCell textAlign="right">Hole</HeadCell>
            <HeadCell textAlign="right">Torque</HeadCell>
            <HeadCell>Verdict</HeadCell>
            <HeadCell />
          </tr>
        </thead>
        <tbody>
          {judged.map(({ joint, chosenMm, chosen, tight, drills, supplied }, index) => {
            const state =
              chosenMm === null ? 'fails' : supplied && supplied.verdict !== 'ok' ? 'close' : 'holds'
            return (
              // biome-ignore lint/suspicious/noArrayIndexKey: a joint is its place in the table
              <Fragment key={index}>
                <tr>
                  <Cell minW="120px">{joint.label}</Cell>
                  <Cell textAlign="right">
                    <Figures>
                      {joint.count} × {joint.thread} × {chosenMm ?? 'none'}
                    </Figures>
                  </Cell>
                  <Cell textAlign="right">
                    <Figures>
                      {length(chosen?.engagementMm ?? null)}, {length(chosen?.requiredMm ?? null)}
                    </Figures>
                  </Cell>
                  <Cell textAlign="right">
                    <Figures>{joint.slotNuts ? '–' : length(drills.tapDrillMm)}</Figures>
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
                  <Cell textAlign="right">
                    <Button
                      variant="quiet"
                      aria-expanded={open === index}
                      aria-label={`${open === index ? 'Close' : 'Change'}: ${joint.label}`}
                      onClick={() => onOpen(open === index ? null : index)}
                    >
                      {open === index ? 'Close' : 'Change'}
                    </Button>
                  </Cell>
                </tr>
                {open === index && (
                  <tr>
                    <Cell colSpan={COLUMNS} bg="raised" borderTopWidth="0">
                      <JointFields joint={joint} index={index} onGone={() => onOpen(null)} />
                    </Cell>
                  </tr>
                )}
              </Fragment>
            )
          })}
        </tbody>
      </chakra.table>
    </SideScroll>
  )
}

/** Screws by thread, length and class over all joints, and slot nuts: a tenth more, and one at least. */
function totals(judged: JudgedJoint[]): string[] {
  const counts = new Map<string, number>()
  const add = (name: string, count: number) => counts.set(name, (counts.get(name) ?? 0) + count)
  for (const one of judged) {
    const { joint, chosenMm } = one
    if (lacksScrews(one)) add(`${joint.thread} × ${chosenMm}, ${joint.propertyClass}`, joint.count)
    if (joint.slotNuts) add(`${joint.thread} slot nuts`, joint.count)
  }
  return [...counts].map(([name, count]) => `${withSpares(count)} ${name}`)
}
