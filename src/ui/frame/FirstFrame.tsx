import { STAGE_WORDS, STAGES } from '@/core/document/stages'
import styles from './FirstFrame.module.css'

/** What stands on the screen before the app does: made by the server, in plain HTML, so that it needs no script. */
export function FirstFrame({ job }: { job: boolean }) {
  return (
    <div className={`${styles.frame} ${job ? styles.job : styles.list}`}>
      <header className={styles.head}>
        <a href="/">
          <svg width="26" height="26" viewBox="0 0 26 26" aria-hidden="true">
            <path d="M8 12L2 24h18l-6-12z" fill="var(--first-lampFill)" opacity="0.35" />
            <path d="M22 24V10L13 4" fill="none" stroke="var(--first-steel)" strokeWidth="2.4" />
            <path d="M6 12.5L10 4l7 4-3 5z" fill="var(--first-lampFill)" />
            <path d="M1 24.5h24" stroke="var(--first-steel)" strokeWidth="2" />
          </svg>
          Dusk Bench
        </a>
      </header>
      <main className={styles.body}>
        {job ? (
          <ol className={styles.rail}>
            {STAGES.map(stage => (
              <li key={stage}>{STAGE_WORDS[stage].label}</li>
            ))}
          </ol>
        ) : (
          <h1 className={styles.title}>Machines under conversion</h1>
        )}
        <div>
          <p className={styles.say}>{job ? 'Opening the job…' : 'Reading what this browser keeps…'}</p>
          <noscript>
            <p className={styles.say}>
              Dusk Bench works out everything in this browser, and needs its scripts: allow them for this
              page.
            </p>
          </noscript>
        </div>
      </main>
    </div>
  )
}
