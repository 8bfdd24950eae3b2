import { isEqual } from 'es-toolkit'
import { memo } from 'react'
import { DIMENSIONS } from '@/core/document/dimensions'
import { isRough } from '@/core/document/kinds'
import { saysTheSame } from '@/core/evaluation/check'
import { type Finding, STATE_WORDS, shareUsed } from '@/core/evaluation/finding'
import type { CheckId } from '@/core/evaluation/ids'
import type { Remedy } from '@/core/evaluation/remedy'

import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { Button } from '../controls'
import { StateMark, StateShape } from './StateMark'
import styles from './verdicts.module.css'

/** What can be done with a verdict; the same functions for every card, at every key stroke. */
export interface VerdictActions {
  onRemedies: (checkId: CheckId) => void
  onApply: (remedy: Remedy) => void
  onWorking: (checkId: CheckId) => void
  onLimit: (checkId: CheckId) => void
}

interface Props extends VerdictActions {
  finding: Finding
  units: UnitSystem
  /** Whether the sheet in hand says its sentence already. */
  saidBeside: boolean
  /** Whether its ways out are shown. */
  open: boolean
  /** Null while they are not worked out. */
  remedies: Remedy[] | null
}

/** Drawn again only when it says something else: the finding is compared by what it says. */
const isSameCard = ({ finding: a, ...one }: Props, { finding: b, ...other }: Props): boolean =>
  saysTheSame(a, b) && (Object.keys(one) as (keyof typeof one)[]).every(key => one[key] === other[key])

/** One verdict: its state, its sentence, what it rests on, its working and its ways out. */
export const VerdictCard = memo(function VerdictCard({
  finding,
  units,
  saidBeside,
  open,
  remedies,
  ...actions
}: Props) {
  const { state, title, sentence, figure, limit, restsOn } = finding
  const used = shareUsed(finding)
  // A verdict that is not known yet rests on nothing yet.
  const known = finding.missing === null
  const assumed = known ? restsOn.filter(({ provenance }) => isRough(provenance)) : []
  return (
    <article
      aria-label={`${title}: ${STATE_WORDS[state]}`}
      data-check={finding.checkId}
      data-state={state}
      className={`${styles.card} ${styles[state]}`}
    >
      <div className={styles.head}>
        <h3 className={`${styles.title} ${styles.body}`}>{title}</h3>
        <StateMark state={state} />
      </div>
      {figure && limit && (
        <p className={styles.figures}>
          {say(figure.value, figure.quantity, units)} against {say(limit.value, limit.quantity, units)}
        </p>
      )}
      {used !== null && <UseBar used={used} />}
      <div className={styles.body}>
        <p className={styles.sentence} hidden={saidBeside}>
          {sentence}
        </p>
        {finding.ownLimits && (
          <p className={styles.rests}>Held to other limits than usual: {finding.ownLimits.because}</p>
        )}
        {assumed.length > 0 && (
          <p className={styles.rests}>
            Rests on {assumed.length === 1 ? 'an assumed value' : 'assumed values'}:{' '}
            {assumed
              .map(
                ({ dimension, provenance }) =>
                  `${DIMENSIONS[dimension].label.toLowerCase()}${provenance === 'outside' ? ', read from outside' : ''}`,
              )
              .join('; ')}
            .
          </p>
        )}
        <Actions
          checkId={finding.checkId}
          title={title}
          state={state}
          hasWorking={known && finding.because.length > 0}
          hasLimit={finding.limitKey !== null}
          open={open}
          {...actions}
        />
        {isMendable(state) && open && <Remedies remedies={remedies} onApply={actions.onApply} />}
      </div>
    </article>
  )
}, isSameCard)

const isMendable = (state: Finding['state']) => state === 'fails' || state === 'close'

interface ActionsProps extends Omit<VerdictActions, 'onApply'> {
  checkId: CheckId
  title: string
  state: Finding['state']
  hasWorking: boolean
  hasLimit: boolean
  open: boolean
}

/** The buttons of a card, which stay as they are while its figures change. */
const Actions = memo(function Actions({
  checkId,
  title,
  state,
  hasWorking,
  hasLimit,
  open,
  onRemedies,
  onWorking,
  onLimit,
}: ActionsProps) {
  return (
    <div className={styles.buttons}>
      {hasWorking && (
        <button
          type="button"
          className={styles.button}
          onClick={() => onWorking(checkId)}
          aria-label={`Working: ${title}`}
        >
          Working
        </button>
      )}
      {isMendable(state) && (
        <button
          type="button"
          className={styles.button}
          aria-expanded={open}
          onClick={() => onRemedies(checkId)}
          aria-label={`Ways out: ${title}`}
        >
          Ways out
        </button>
      )}
      {hasLimit && (
        <button
          type="button"
          className={styles.button}
          onClick={() => onLimit(checkId)}
          aria-label={`Limit: ${title}`}
        >
          Limit
        </button>
      )}
    </div>
  )
}, isEqual)

/** How much is used of what it may come to and still hold, with that as a notch. */
function UseBar({ used }: { used: number }) {
  const share = Math.max(0.01, Math.min(1, used / 1.5))
  return (
    <div className={styles.bar} aria-hidden="true">
      <div className={styles.used} style={{ width: `${share * 100}%` }} />
      <div className={styles.notch} />
    </div>
  )
}

function Remedies({ remedies, onApply }: { remedies: Remedy[] | null; onApply: VerdictActions['onApply'] }) {
  if (!remedies) return <p className={styles.sentence}>Looking for ways out…</p>
  if (remedies.length === 0)
    return (
      <p className={styles.sentence}>
        No change of one thing mends this, nor of two of the drive. Change what it rests on: the load, the
        speed, or search for another drive.
      </p>
    )
  return (
    <ul className={styles.ways}>
      {remedies.map(remedy => (
        <li key={remedy.label} className={styles.way}>
          <div className={styles.head}>
            <div>
              <strong>{remedy.label}</strong>
              <span className={styles.quiet}>: {remedy.cost}</span>
            </div>
            <Button flexShrink={0} onClick={() => onApply(remedy)} aria-label={`Apply: ${remedy.label}`}>
              Apply
            </Button>
          </div>
          {remedy.effects.map(effect => (
            <div key={effect.checkId} className={styles.effect}>
              <StateShape state={effect.from} label={STATE_WORDS[effect.from]} />
              <span aria-hidden="true">→</span>
              <StateShape state={effect.to} label={STATE_WORDS[effect.to]} />
              {effect.title}
            </div>
          ))}
        </li>
      ))}
    </ul>
  )
}
