import { STAGE_WORDS, STAGES } from '@/core/document/stages'
import styles from './FirstFrame.module.css'
import { Lamp } from './Lamp'

/** What stands on the screen before the app does: made by the server, in plain HTML, so that it needs no script. */
export function FirstFrame({ job }: { job: boolean }) {
  return (
    <div className={`${styles.frame} ${job ? styles.job : styles.list}`}>
      <header className={styles.head}>
        <a href="/">
          <Lamp lamp="var(--first-lampFill)" steel="var(--first-steel)" />
          Dusk Bench
        </a>
      </header>
      <main className={styles.body} aria-busy>
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
