import { type MouseEventHandler, memo, type ReactNode, useState } from 'react'
import { saysTheSame } from '@/core/evaluation/check'
import { countWords, type Finding, STATE_WORDS, type State } from '@/core/evaluation/finding'
import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { StateShape } from './StateMark'
import styles from './verdicts.module.css'

interface LineProps {
  finding: Finding
  units: UnitSystem
  link: { href: string; onClick: MouseEventHandler<HTMLAnchorElement> }
}

/** A verdict in one line, which leads to the sheet where it stands in full. */
export const VerdictLine = memo(
  function VerdictLine({ finding: { checkId, state, title, figure }, units, link }: LineProps) {
    return (
      <li data-check={checkId} data-state={state}>
        <a href={link.href} onClick={link.onClick} className={styles.line}>
          <StateShape state={state} label={STATE_WORDS[state]} />
          <span className={styles.lineTitle}>{title}</span>
          {figure && <span className={styles.figures}>{say(figure.value, figure.quantity, units)}</span>}
        </a>
      </li>
    )
  },
  (a, b) => a.units === b.units && a.link.href === b.link.href && saysTheSame(a.finding, b.finding),
)

/** Verdicts that hold, folded with their count; they are laid out when they are opened. */
export function Fold({
  findings,
  children,
}: {
  findings: readonly Pick<Finding, 'checkId' | 'state'>[]
  children: ReactNode
}) {
  const [open, setOpen] = useState(false)
  if (findings.length === 0) return null
  return (
    <details className={styles.fold} onToggle={event => setOpen(event.currentTarget.open)}>
      <summary className={styles.line}>
        <StateShape state={worst(findings)} />
        {countWords('holds', findings.length)}
      </summary>
      {open
        ? children
        : findings.map(({ checkId, state }) => (
            <span key={checkId} hidden data-check={checkId} data-state={state} />
          ))}
    </details>
  )
}

/** What held may have come to fail while a value is typed: the fold says so before it is opened. */
const worst = (findings: readonly { state: State }[]): State =>
  findings.find(({ state }) => state !== 'holds')?.state ?? 'holds'
