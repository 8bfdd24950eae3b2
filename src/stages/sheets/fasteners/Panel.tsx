import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import type { Axis } from '@/core/document/axis'
import { newId } from '@/core/document/id'
import { gapWords } from '@/core/evaluation/filled'
import { blankRow } from '@/core/field/field'
import { rowOfJoint, unlistedJoints } from '@/core/machine/joints/driveJoints'
import { stockLengthWords } from '@/core/machine/joints/fastener'
import {
  JOINT_NEEDS,
  type JudgedJoint,
  judgedJoints,
  judgeJoint,
  lacksScrews,
} from '@/core/machine/joints/joint'
import { type BoltedJoint, type DriveJoint, JOINT_WORDS, JOINTS } from '@/core/machine/joints/model'
import { withSpares } from '@/core/orders/orders'
import { say } from '@/core/units/print'
import { Button } from '@/ui/controls'
import { Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { StateMark } from '@/ui/verdicts/StateMark'
import { useUnits, whole } from '../../job/JobContext'
import { useAxis } from '../../job/useAxis'
import { useChange } from '../../job/useRows'
import { WorkingButton } from '../../job/WorkingButton'
import { inSlot, JointFields } from './JointFields'

const jointsOf = (axis: Axis) => axis.joints

/** The screws of every joint: which length, which drills, how tight, and those that came too short or too long. */
export function FastenersPanel() {
  const joints = useAxis(jointsOf)
  const change = useChange()
  const [open, setOpen] = useState<string | null>(null)
  const lines = joints.map((joint): Line => ({ joint, judged: judgeJoint(joint) }))
  const count = joints.length + 1
  const add = (label: string, given: Partial<BoltedJoint>) => {
    const joint = blankRow(JOINTS, newId(), given)
    change(label, axis => {
      axis.joints.push(joint)
    })
    setOpen(joint.id)
  }
  const full = joints.length >= JOINTS.most
  const unlisted = unlistedJoints(useAxis(whole))
  return (
    <Panel
      title="Screws"
      note="Grip is what the screw goes through before it reaches the thread. Torques are for oiled threads and seven tenths of the strength, held to what the tapped thread bears; tighten crosswise, in two goes."
      action={<WorkingButton checkId="room.joints" of="the screws" />}
    >
      {lines.length > 0 && <Schedule lines={lines} open={open} onOpen={setOpen} />}
      <chakra.div display="flex" flexWrap="wrap" gap="2" mt="3">
        {unlisted.length > 0 && (
          <Button
            variant="lamp"
            disabled={joints.length + unlisted.length > JOINTS.most}
            onClick={() =>
              change('Joints of the drive added', axis => {
                for (const joint of unlisted) axis.joints.push(rowOfJoint(joint, newId))
              })
            }
          >
            {joints.length === 0
              ? `Start from the ${unlisted.length} joints of the drive`
              : unlisted.length === 1
                ? `Add: ${JOINT_WORDS[unlisted[0] as DriveJoint]}`
                : `Add the ${unlisted.length} joints of the drive that are not listed`}
          </Button>
        )}
        <Button
          variant="outline"
          disabled={full}
          onClick={() => add('Joint added', { label: `Joint ${count}` })}
        >
          Another joint
        </Button>
        <Button
          variant="outline"
          disabled={full}
          onClick={() =>
            add('Joint with slot nuts added', {
              ...inSlot(JOINTS.of.thread.blank ?? 'M6'),
              label: `Slot nuts ${count}`,
            })
          }
        >
          Another joint with slot nuts
        </Button>
      </chakra.div>
      {lines.length > 0 && (
        <Stated mt="3">To order, with spares: {totals(judgedJoints(joints)).join('; ') || 'nothing'}.</Stated>
      )}
    </Panel>
  )
}

/** A joint with what is known of it; nothing while it is not measured. */
interface Line {
  joint: BoltedJoint
  judged: JudgedJoint | null
}

interface ScheduleProps {
  lines: Line[]
  open: string | null
  onOpen: (jointId: string | null) => void
}

const stateOf = (judged: JudgedJoint | null) =>
  !judged
    ? 'unknown'
    : judged.chosenMm === null
      ? 'fails'
      : (judged.supplied && !judged.serves) || judged.heldBack
        ? 'close'
        : 'holds'

/** Two figures that belong together, one under the other, so that a row of them is no wider than it must be. */
const Two = ({ first, second }: { first: string; second: string }) => (
  <>
    <chakra.span display="block">{first}</chakra.span>
    <chakra.span display="block">{second}</chakra.span>
  </>
)

/** A row for each joint; the one that is open has its fields under it. */
function Schedule({ lines, open, onOpen }: ScheduleProps) {
  const units = useUnits()
  const length = (mm: number | null | undefined) => (mm == null ? '–' : say(mm, 'length', units, 1))
  const drill = (mm: number | null | undefined) => (mm == null ? '–' : say(mm, 'length', units))
  const columns: TableColumn<Line>[] = [
    {
      id: 'joint',
      head: 'Joint',
      cell: ({ joint }) => (
        <chakra.span display="block" minW="104px">
          {joint.label}
        </chakra.span>
      ),
    },
    {
      id: 'take',
      head: 'Take',
      figures: true,
      cell: ({ joint, judged }) =>
        judged
          ? `${joint.count} × ${joint.thread} × ${judged.chosenMm === null ? 'none' : stockLengthWords(joint.thread, judged.chosenMm)}`
          : `to enter: ${gapWords(joint, JOINT_NEEDS, JOINTS.of)}`,
    },
    {
      id: 'engagement',
      head: 'Goes in, needs',
      figures: true,
      cell: ({ judged }) => (
        <Two first={length(judged?.chosen?.engagementMm)} second={length(judged?.chosen?.requiredMm)} />
      ),
    },
    {
      id: 'drills',
      head: 'Tap drill, hole',
      figures: true,
      cell: ({ joint, judged }) => (
        <Two
          first={joint.slotNuts ? '–' : drill(judged?.drills.tapDrillMm)}
          second={drill(judged?.drills.clearanceHoleMm)}
        />
      ),
    },
    {
      id: 'torque',
      head: 'Torque',
      figures: true,
      title: ({ judged }) =>
        judged?.tight?.limitedBy === 'tapped-thread' ? 'held to the tapped thread' : undefined,
      cell: ({ judged }) => (judged?.tight ? say(judged.tight.torqueNm, 'torque', units, 1) : '–'),
    },
    { id: 'verdict', head: 'Verdict', cell: ({ judged }) => <StateMark state={stateOf(judged)} /> },
    {
      id: 'change',
      head: <chakra.span srOnly>Change</chakra.span>,
      cell: ({ joint }) => {
        const isOpen = open === joint.id
        return (
          <Button
            variant="quiet"
            aria-expanded={isOpen}
            aria-label={`${isOpen ? 'Close' : 'Change'}: ${joint.label}`}
            onClick={() => onOpen(isOpen ? null : joint.id)}
          >
            {isOpen ? 'Close' : 'Change'}
          </Button>
        )
      },
    },
  ]
  return (
    <DataTable
      label="Screws joint by joint"
      columns={columns}
      rows={lines}
      rowId={({ joint }) => joint.id}
      leastPx={660}
      detail={({ joint }) => open === joint.id && <JointFields joint={joint} onGone={() => onOpen(null)} />}
    />
  )
}

/** Screws by thread, length and class over all joints, and slot nuts: a tenth more, and one at least. */
function totals(judged: JudgedJoint[]): string[] {
  const counts = new Map<string, number>()
  const add = (name: string, count: number) => counts.set(name, (counts.get(name) ?? 0) + count)
  for (const one of judged) {
    const { joint, chosenMm } = one
    if (lacksScrews(one))
      add(
        `${joint.thread} × ${stockLengthWords(joint.thread, chosenMm ?? 0)}, ${joint.propertyClass}`,
        joint.count,
      )
    if (joint.slotNuts) add(`${joint.thread} slot nuts`, joint.count)
  }
  return [...counts].map(([name, count]) => `${withSpares(count)} ${name}`)
}
