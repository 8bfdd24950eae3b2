import dynamic from 'next/dynamic'
import { type ElementType, Fragment, type ReactNode, useCallback, useMemo, useState } from 'react'
import type { Axis } from '@/core/document/axis'
import { StaleError } from '@/core/document/patch'
import { STAGE_WORDS, type Stage } from '@/core/document/stages'
import type { Finding } from '@/core/evaluation/finding'
import type { Missing } from '@/core/evaluation/notKnown'
import { type Remedy, remedyEdit } from '@/core/evaluation/remedy'
import { type VerdictGroup, verdictGroups, type Waiting } from '@/core/evaluation/verdictGroups'
import type { CheckId, SheetId } from '@/core/sheets'
import { placeOfDimension } from '@/core/sheets/dimensionPlace'
import { readyToasts } from '@/ui/toasts'
import { Fold, VerdictLine } from '@/ui/verdicts/lines'
import { VerdictCard } from '@/ui/verdicts/VerdictCard'
import styles from '@/ui/verdicts/verdicts.module.css'
import type { Place } from '../job/address'
import { useEdit, useJobContext, useUnits } from '../job/JobContext'
import { LaterWorking } from '../job/LaterWorking'
import { PlaceLink, placeLink } from '../job/PlaceLink'
import { useSaid } from '../job/rounds/said'
import { useAxisNow, useSettledAxis } from '../job/useAxis'
import { useEvaluation, useFindings, useSupplyTask } from '../job/useEvaluation'
import { useAnswer } from '../job/useRun'

const LimitDialog = dynamic(() => import('./LimitDialog').then(module => module.LimitDialog), { ssr: false })

interface Props {
  jobId: string
  stage: Stage
  sheet: SheetId
  /** Called when it leads elsewhere, such as to close the drawer that it is in. */
  onGone?: () => void
}

/**
 * The verdicts of the axis: those of the sheet in hand and of its stage in full, the rest in a line each; what holds is
 * folded, and what is not known yet stands by what it waits for. What each says follows every key; where it stands follows
 * when the typing rests, so that none jumps away under the eye.
 */
export function Verdicts({ jobId, stage, sheet, onGone }: Props) {
  const axis = useSettledAxis()
  const findings = useFindings()
  const placed = usePlaced(findings, axis)
  const units = useUnits()
  const [working, setWorking] = useState<CheckId | null>(null)
  const [limited, setLimited] = useState<CheckId | null>(null)
  const [opened, setOpened] = useState<CheckId | null>(null)
  const groups = useMemo(() => verdictGroups(placed, sheet, stage), [placed, sheet, stage])
  const found = (id: CheckId) => findings.find(({ checkId }) => checkId === id)
  const openedState = opened === null ? null : found(opened)?.state
  const mendable = openedState === 'fails' || openedState === 'close'
  const remedies = useRemedies(axis, mendable ? opened : null)
  const apply = useApply()

  const onRemedies = useCallback((checkId: CheckId) => {
    readyToasts()
    setOpened(before => (before === checkId ? null : checkId))
  }, [])
  const onApply = useCallback(
    (remedy: Remedy) => {
      void apply(remedy)
      setOpened(null)
    },
    [apply],
  )
  const said = useSaid()
  const card = (finding: Finding) => (
    <VerdictCard
      key={finding.checkId}
      finding={finding}
      units={units}
      saidBeside={said.has(finding.checkId)}
      open={opened === finding.checkId}
      remedies={opened === finding.checkId ? remedies : null}
      onRemedies={onRemedies}
      onApply={onApply}
      onWorking={setWorking}
      onLimit={setLimited}
    />
  )
  const line = (finding: Finding) => (
    <VerdictLine
      key={finding.checkId}
      finding={finding}
      units={units}
      link={placeLink({ jobId, axisId: axis.id, stage: finding.stage, sheet: finding.sheet }, onGone)}
    />
  )
  const limitedFinding = limited === null ? null : found(limited)
  const nothingHere = groups.sheet.open.length + groups.sheet.holds.length === 0
  return (
    <section aria-label="Verdicts of this axis" className={styles.list}>
      <h2 className={styles.heading}>Verdicts</h2>
      {!nothingHere && <h3 className={styles.near}>Of this sheet</h3>}
      <Group group={groups.sheet} each={card} />
      {groups.stage.open.length + groups.stage.holds.length > 0 && (
        <h3 className={styles.near}>
          {nothingHere ? STAGE_WORDS[stage].label : `Else under ${STAGE_WORDS[stage].label}`}
        </h3>
      )}
      <Group group={groups.stage} each={card} />
      {groups.rest.open.length + groups.rest.holds.length > 0 && (
        <h3 className={styles.near}>The rest of axis {axis.name}</h3>
      )}
      <Group group={groups.rest} each={line} as="ul" />
      {groups.waiting.length > 0 && (
        <>
          <h3 className={styles.near}>
            Not known yet: {groups.waiting.reduce((sum, { findings: of }) => sum + of.length, 0)}
          </h3>
          <ul className={styles.list}>
            {groups.waiting.map(one => (
              <WaitingLine
                key={JSON.stringify(one.missing)}
                waiting={one}
                place={placeOf(one.missing, jobId, axis.id)}
                onGone={onGone}
              />
            ))}
          </ul>
        </>
      )}
      {working !== null && <WorkingNow checkId={working} onClose={() => setWorking(null)} />}
      {limitedFinding?.limitKey && (
        <LimitDialog
          limitKey={limitedFinding.limitKey}
          title={limitedFinding.title}
          onClose={() => setLimited(null)}
        />
      )}
    </section>
  )
}

interface GroupProps {
  group: VerdictGroup
  each: (finding: Finding) => ReactNode
  as?: ElementType
}

/** The findings of a group in their order: what needs a look, then what holds, folded. */
function Group({ group: { open, holds }, each, as: List = Fragment }: GroupProps) {
  return (
    <>
      {open.length > 0 && <List>{open.map(each)}</List>}
      <Fold findings={holds}>
        <List>{holds.map(each)}</List>
      </Fold>
    </>
  )
}

/** The working of a finding as it stands now. */
function WorkingNow({ checkId, onClose }: { checkId: CheckId; onClose: () => void }) {
  const live = useEvaluation()
  const units = useUnits()
  const finding = live.finding(checkId)
  return finding && <LaterWorking finding={finding} figures={live.figures} units={units} onClose={onClose} />
}

/** Where something that is missing is chosen, entered or measured. */
function placeOf(missing: Missing, jobId: string, axisId: string): Place {
  if ('part' in missing) return { jobId, axisId, stage: 'size', sheet: 'parts' }
  if ('sheet' in missing) return { jobId, axisId, stage: missing.stage, sheet: missing.sheet }
  return { jobId, axisId, ...placeOfDimension(missing.dimension), field: missing.dimension }
}

const VERBS = { part: 'Choose it', sheet: 'Enter it', dimension: 'Measure it' } as const

/** One thing that is missing, with the verdicts that wait for it. */
function WaitingLine({ waiting, place, onGone }: { waiting: Waiting; place: Place; onGone?: () => void }) {
  const { missing, what, findings } = waiting
  const verb = VERBS['part' in missing ? 'part' : 'sheet' in missing ? 'sheet' : 'dimension']
  return (
    <li className={styles.waiting}>
      <div className={styles.head}>
        <span>
          <strong>{what}</strong>: {findings.length} {findings.length === 1 ? 'waits' : 'wait'} for it
        </span>
        <PlaceLink place={place} onGone={onGone} className={styles.button} aria-label={`${verb}: ${what}`}>
          {verb}
        </PlaceLink>
      </div>
      <p className={styles.rests}>
        {findings.map(({ checkId, title, state }, index) => (
          <span key={checkId} data-check={checkId} data-state={state}>
            {index > 0 && '; '}
            {index > 0 ? title.toLowerCase() : title}
          </span>
        ))}
      </p>
    </li>
  )
}

/** Findings in the order in which they stood when the typing last rested, or when one came or went. */
function usePlaced(findings: Finding[], atRest: Axis): Finding[] {
  // biome-ignore lint/correctness/useExhaustiveDependencies: what they say may change without their moving
  const places = useMemo(
    () => new Map(findings.map(({ checkId }, index) => [checkId, index])),
    [atRest, findings.length],
  )
  return useMemo(() => {
    const placeOf = ({ checkId }: Finding) => places.get(checkId) ?? places.size
    return findings.toSorted((a, b) => placeOf(a) - placeOf(b))
  }, [findings, places])
}

/** Applies a remedy and says so, with the one click that takes just that back, whatever was done since. */
function useApply() {
  const edit = useEdit()
  const axisNow = useAxisNow()
  const { session } = useJobContext()
  return useCallback(
    async (remedy: Remedy) => {
      const { ACTION_MS, toaster } = await import('@/ui/toaster')
      let changeId: string | null
      try {
        changeId = edit(remedyEdit(axisNow(), remedy))
      } catch (error) {
        if (!(error instanceof StaleError)) throw error
        toaster.create({
          type: 'warning',
          title: `Not applied: ${remedy.label}`,
          description: 'The axis was changed since it was worked out. Open the ways out again.',
        })
        return
      }
      const id = changeId
      if (id === null) return
      const undo = async () => {
        const why = await session.undoOne(id)
        if (why)
          toaster.create({ type: 'warning', title: `Not taken back: ${remedy.label}`, description: why })
      }
      toaster.create({
        title: `Applied: ${remedy.label}`,
        duration: ACTION_MS,
        action: { label: 'Undo it', onClick: () => void undo() },
      })
    },
    [edit, axisNow, session],
  )
}

/** Remedies of a finding, worked out beside the screen; null while they are. */
function useRemedies(axis: Axis, checkId: CheckId | null): Remedy[] | null {
  const task = useSupplyTask(axis)
  const ask = useCallback(async () => {
    if (checkId === null) return []
    const { askJudge } = await import('@/workers/client')
    return askJudge(judge => judge.remedies(task, checkId))
  }, [task, checkId])
  return useAnswer(checkId === null ? null : ask, checkId)
}
