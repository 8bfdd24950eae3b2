import { chakra } from '@chakra-ui/react'
import { Hand, TriangleAlert, Wrench } from 'lucide-react'
import { useState } from 'react'
import { neededParts } from '@/core/machine/neededParts'
import { tickStep } from '@/core/sheets/steps/edits'
import { askOf, blockedBy, boltStates, refusalOf } from '@/core/sheets/steps/holds'
import { procedure } from '@/core/sheets/steps/procedure'
import {
  BOLT_STATES,
  type BoltState,
  DRIVE_JOINTS,
  type DriveJoint,
  type Step,
} from '@/core/sheets/steps/step'
import { momentWords } from '@/core/units/dateWords'
import { Panel } from '@/ui/Panel'
import { ScrollBox } from '@/ui/ScrollBox'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { useEdit, useJob } from '../../job/JobContext'
import { useEvaluation } from '../../job/useEvaluation'

/** The steps that build the axis, in their order. */
export function StepsPanel() {
  const context = useEvaluation()
  const { axis } = context
  const edit = useEdit()
  const orders = useJob(job => job.orders)
  const [refusal, setRefusal] = useState<{ stepId: string; text: string } | null>(null)
  const steps = procedure(context)
  if (!steps) {
    const open = neededParts(axis).filter(kind => axis.parts[kind] === null)
    return (
      <Panel title="Steps of the build">
        <p>The steps are made from the parts. Choose under Size first: {open.join(', ')}.</p>
      </Panel>
    )
  }
  const done = steps.filter(step => axis.ticks[step.id]).length
  const toggle = (step: Step) => {
    const text = refusalOf(steps, step.id, context, orders)
    if (text) return setRefusal({ stepId: step.id, text })
    setRefusal(null)
    edit(tickStep(axis, step, axis.ticks[step.id] ? null : new Date().toISOString()))
  }
  const next = steps.find(step => !axis.ticks[step.id])
  return (
    <>
      <Panel
        title={`Steps of the build: ${done} of ${steps.length} done`}
        note="In this order. A hold point must be ticked before anything after it can be, and a step asks first for what it rests on: parts that are here, readings that hold."
      >
        <ScrollBox label="Steps, the one in hand first in sight" startsInHand>
          <chakra.ol display="grid" gap="2">
            {steps.map((step, index) => (
              <StepRow
                key={step.id}
                number={index + 1}
                step={step}
                tickedAt={axis.ticks[step.id] ?? null}
                next={step.id === next?.id}
                blocked={!axis.ticks[step.id] && blockedBy(steps, axis.ticks, step.id) !== null}
                asks={step.id === next?.id ? askOf(step, context, orders) : null}
                refusal={refusal?.stepId === step.id ? refusal.text : null}
                onToggle={() => toggle(step)}
              />
            ))}
          </chakra.ol>
        </ScrollBox>
      </Panel>
      <Bolts states={boltStates(steps, axis.ticks)} far={axis.ends !== 'fixed-free'} />
    </>
  )
}

interface RowProps {
  number: number
  step: Step
  tickedAt: string | null
  next: boolean
  blocked: boolean
  /** What speaks against the step in hand, before it is tried. */
  asks: string | null
  refusal: string | null
  onToggle: () => void
}

function StepRow({ number, step, tickedAt, next, blocked, asks, refusal, onToggle }: RowProps) {
  const bolts = Object.entries(step.bolts) as [DriveJoint, BoltState][]
  return (
    <chakra.li
      data-step={step.id}
      data-in-hand={next ? '' : undefined}
      bg={next ? 'raised' : 'transparent'}
      borderWidth="1px"
      borderColor={next ? 'lamp' : 'line'}
      borderRadius="6px"
      px="2.5"
      py={tickedAt ? '0' : '2.5'}
    >
      <chakra.label
        display="flex"
        gap="3"
        alignItems={tickedAt ? 'center' : 'flex-start'}
        cursor="pointer"
        minH={{ base: '44px', xl: '38px' }}
      >
        <chakra.input
          type="checkbox"
          checked={tickedAt !== null}
          onChange={onToggle}
          aria-disabled={blocked}
          width="26px"
          height="26px"
          mt="0.5"
          flexShrink={0}
          accentColor="var(--dusk-colors-lamp-fill)"
        />
        <chakra.span minW="0">
          <chakra.span fontWeight={700} color={blocked ? 'quiet' : 'ink'}>
            {number}. {step.title}
          </chakra.span>
          {step.hold && (
            <chakra.span
              display="inline-flex"
              alignItems="center"
              gap="1"
              ml="2"
              fontSize="13px"
              fontWeight={700}
              color="lamp"
            >
              <Hand size={15} aria-hidden /> hold point
            </chakra.span>
          )}
          {tickedAt && (
            <chakra.span ml="2" fontSize="13px" color="quiet">
              {momentWords(tickedAt)}
            </chakra.span>
          )}
          {!tickedAt && (
            <chakra.span display="block" fontSize="14px">
              {step.how}
            </chakra.span>
          )}
        </chakra.span>
      </chakra.label>
      <chakra.div pl="38px" fontSize="14px">
        {step.caution && !tickedAt && (
          <chakra.p display="flex" gap="1.5" color="close" mt="1">
            <chakra.span flexShrink={0} mt="0.5">
              <TriangleAlert size={16} aria-label="Caution" />
            </chakra.span>
            {step.caution}
          </chakra.p>
        )}
        {!tickedAt && (step.tools.length > 0 || bolts.length > 0) && (
          <chakra.div color="quiet" mt="1" display="flex" gap="1.5">
            {step.tools.length > 0 && (
              <Wrench size={14} aria-label="Tools" style={{ flex: 'none', marginTop: 4 }} />
            )}
            <p>
              {step.tools.length > 0 && `${step.tools.join(', ')}. `}
              {bolts.length > 0 &&
                `Screws: ${bolts.map(([joint, state]) => `${DRIVE_JOINTS[joint].toLowerCase()} ${state}`).join('; ')}.`}
            </p>
          </chakra.div>
        )}
        {asks && !refusal && (
          <chakra.p color="close" fontWeight={700} mt="1">
            Not yet: {asks}
          </chakra.p>
        )}
        {refusal && (
          <chakra.p role="alert" color="fails" fontWeight={700} mt="1">
            {refusal}
          </chakra.p>
        )}
      </chakra.div>
    </chakra.li>
  )
}

/** How far the screws of each joint are done up. */
function Bolts({ states, far }: { states: Record<DriveJoint, BoltState>; far: boolean }) {
  const joints = (Object.keys(DRIVE_JOINTS) as DriveJoint[]).map(joint => ({ joint }))
  const columns: TableColumn<{ joint: DriveJoint }>[] = [
    { id: 'joint', head: 'Joint', cell: ({ joint }) => DRIVE_JOINTS[joint] },
    { id: 'state', head: 'State', cell: ({ joint }) => <Bolt state={states[joint]} /> },
  ]
  return (
    <Panel title="Screws, joint by joint">
      <DataTable
        label="Screws, joint by joint"
        columns={columns}
        rows={joints.filter(({ joint }) => far || joint !== 'farBlock')}
        rowId={({ joint }) => joint}
        hideHead
      />
    </Panel>
  )
}

/** How far a joint is done up: a bar a state, and its word. */
function Bolt({ state }: { state: BoltState }) {
  return (
    <>
      <chakra.span display="inline-flex" gap="1" mr="2" aria-hidden="true">
        {BOLT_STATES.slice(1).map(one => (
          <chakra.span
            key={one}
            width="18px"
            height="10px"
            borderRadius="2px"
            borderWidth="1px"
            borderColor="edge"
            bg={BOLT_STATES.indexOf(state) >= BOLT_STATES.indexOf(one) ? 'brass' : 'transparent'}
          />
        ))}
      </chakra.span>
      {state}
    </>
  )
}
