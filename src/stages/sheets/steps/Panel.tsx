import { chakra } from '@chakra-ui/react'
import { Printer } from 'lucide-react'
import { turnsNut } from '@/core/document/axis'
import { type DriveJoint, JOINT_WORDS, JOINTS_OF_DRIVE } from '@/core/machine/joints/model'
import { neededParts } from '@/core/machine/neededParts'
import { boltStates, partsFor } from '@/core/sheets/shared/steps/holds'
import { loadWords } from '@/core/sheets/shared/steps/load'
import { SCHOOL_KEYS } from '@/core/sheets/shared/steps/schools'
import { BOLT_STATES, type BoltState, type Step } from '@/core/sheets/shared/steps/step'
import { torqueShare } from '@/core/sheets/shared/steps/stepScrews'
import { missingOf } from '@/core/sheets/teardown/bags'
import { Fold } from '@/ui/Fold'
import { Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { ScrollBox } from '@/ui/ScrollBox'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { AtTheMachine, LeftLoose } from '../../job/build/AtTheMachine'
import { InHand } from '../../job/build/InHand'
import { Schools } from '../../job/build/Schools'
import { StepList } from '../../job/build/StepList'
import { type Build, useBuild } from '../../job/build/useBuild'
import { useJob, useJobContext } from '../../job/JobContext'
import { NextElsewhere } from '../../job/NextElsewhere'
import { PlaceButton } from '../../job/PlaceLink'
import { useKept } from '../../job/useKept'
import { Mishaps } from './Mishaps'

const quickIn = (kept: unknown) => kept === true

/** What is still read by somebody who has built one: holds, torques and cautions. */
const isQuick = (step: Step) =>
  step.hold ||
  step.caution !== undefined ||
  Object.entries(step.bolts).some(([joint, state]) => torqueShare(joint as DriveJoint, state) === 1)

/** The step in hand, and all steps that build the axis by their sub-assemblies. */
export function StepsPanel() {
  const build = useBuild()
  const [quick, setQuick] = useKept('dusk-quick-steps', quickIn)
  const { axisId } = useJobContext()
  const jobId = useJob(job => job.id)
  const { context, steps, isWhole } = build
  const { axis } = context
  const done = steps.filter(({ id }) => axis.ticks[id]).length
  const missing = neededParts(axis).filter(kind => axis.parts[kind] === null)
  return (
    <>
      <Panel
        title={`Steps of the build: ${done} of ${steps.length} done`}
        action={
          <PlaceButton variant="outline" place={{ jobId, axisId, stage: 'evening' }}>
            <Printer size={16} aria-hidden /> Sheet for the evening
          </PlaceButton>
        }
      >
        <LeftLoose />
        {turnsNut(axis.drive) && (
          <chakra.p mb="3" fontWeight={700}>
            Only taking apart is listed: the steps for a nut that turns on a standing screw are not written
            here. Its maker’s instructions go first; the sheets of Align and Prove read it like any other
            axis.
          </chakra.p>
        )}
        {!isWhole && !turnsNut(axis.drive) && (
          <chakra.p mb="3">
            The steps are made from the parts. Choose under Size first: {missing.join(', ')}. Until then only
            taking apart is listed.
          </chakra.p>
        )}
        <NotHere build={build} />
        <NextElsewhere />
        <LoadState build={build} />
        <InHand build={build} />
        <AtTheMachine />
        <chakra.div mt="3">
          <chakra.label
            data-frame
            display="inline-flex"
            gap="2"
            alignItems="center"
            minH="44px"
            cursor="pointer"
          >
            <chakra.input
              type="checkbox"
              checked={quick}
              onChange={event => setQuick(event.currentTarget.checked)}
              width="22px"
              height="22px"
              accentColor="var(--dusk-colors-lamp-fill)"
            />
            Only holds, torques and cautions
          </chakra.label>
          <ScrollBox label="Steps by sub-assembly, the one in hand in sight" startsInHand abovePx={380}>
            <StepList build={build} steps={quick ? steps.filter(isQuick) : steps} />
          </ScrollBox>
        </chakra.div>
      </Panel>
      <Mishaps />
      <Panel title="Schools and screws">
        <Fold name="Where the trade has two ways">
          <Schools keys={SCHOOL_KEYS} />
        </Fold>
        <Fold name="Screws, joint by joint">
          <Bolts states={boltStates(steps, axis.ticks)} far={axis.ends !== 'fixed-free'} />
        </Fold>
      </Panel>
    </>
  )
}

/** What carries the load of an axis that can fall, at this moment. */
function LoadState({ build: { load, context } }: { build: Build }) {
  const words = loadWords(load, context.axis)
  if (words === null) return null
  return (
    <chakra.p
      data-load={load}
      data-hand
      mb="3"
      fontWeight={700}
      color={load === 'free' ? 'fails' : load === 'old-drive' ? 'close' : 'holds'}
    >
      {words}
    </chakra.p>
  )
}

/** What open steps need and has not come, each with the step that waits for it. */
function NotHere({ build }: { build: Build }) {
  const { context, steps } = build
  const orders = useJob(job => job.orders)
  const lacking = new Map<string, string>()
  for (const step of steps)
    if (!context.axis.ticks[step.id])
      for (const { name, lacks } of partsFor(step, context, orders))
        if (lacks && !lacking.has(name)) lacking.set(name, `${name} ${lacks}, needed for “${step.title}”`)
  const missing = missingOf(context.axis)
  if (lacking.size + missing.length === 0) return null
  return (
    <Stated mb="3" color="close" data-not-here>
      <b>Not here:</b> {[...lacking.values(), ...missing].join('; ')}.
    </Stated>
  )
}

/** How far the screws of each joint are done up. */
function Bolts({ states, far }: { states: Record<DriveJoint, BoltState>; far: boolean }) {
  const columns: TableColumn<{ joint: DriveJoint }>[] = [
    { id: 'joint', head: 'Joint', cell: ({ joint }) => JOINT_WORDS[joint] },
    { id: 'state', head: 'State', cell: ({ joint }) => <Bolt state={states[joint]} /> },
  ]
  return (
    <DataTable
      label="Screws, joint by joint"
      columns={columns}
      rows={JOINTS_OF_DRIVE.map(joint => ({ joint })).filter(({ joint }) => far || joint !== 'farBlock')}
      rowId={({ joint }) => joint}
      hideHead
    />
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
