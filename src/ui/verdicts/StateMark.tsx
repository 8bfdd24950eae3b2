import type { ReactNode } from 'react'
import { STATE_WORDS, type State } from '@/core/evaluation/finding'
import styles from './verdicts.module.css'

/** A shape for each state, so that colour never carries it alone: disc, triangle, crossed square, ring. */
const SHAPES: Record<State, ReactNode> = {
  holds: (
    <>
      <circle cx="9" cy="9" r="8" fill="currentColor" />
      <path d="M5 9.5l3 3 5.2-6.4" fill="none" stroke="var(--mark-cut)" strokeWidth="2" />
    </>
  ),
  close: (
    <>
      <path d="M9 1.5L17 16H1z" fill="currentColor" />
      <path d="M9 6.2v5M9 12.6v1.6" stroke="var(--mark-cut)" strokeWidth="2" />
    </>
  ),
  fails: (
    <>
      <rect x="1" y="1" width="16" height="16" rx="2" fill="currentColor" />
      <path d="M5 5l8 8M13 5l-8 8" stroke="var(--mark-cut)" strokeWidth="2.2" />
    </>
  ),
  unknown: (
    <circle cx="9" cy="9" r="7" fill="none" stroke="currentColor" strokeWidth="2" strokeDasharray="3.4 2.6" />
  ),
}

/** The shape of a state alone; say the word beside it, or give it a label. */
export function StateShape({ state, label }: { state: State; label?: string }) {
  return (
    // biome-ignore lint/a11y/noSvgWithoutTitle: named by its label, or hidden beside its word
    <svg
      viewBox="0 0 18 18"
      className={`${styles.shape} ${styles[state]}`}
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
    >
      {SHAPES[state]}
    </svg>
  )
}

/** Shape, word and colour of a state. */
export function StateMark({ state }: { state: State }) {
  return (
    <span className={`${styles.mark} ${styles[state]}`}>
      <StateShape state={state} />
      {STATE_WORDS[state]}
    </span>
  )
}
