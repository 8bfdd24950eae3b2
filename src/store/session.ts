import { liveQuery, type Subscription } from 'dexie'
import { type Change, type Edit, insistOn, isEmptyChange, mergeChanges, runEdit } from '@/core/document/edit'
import { newId } from '@/core/document/id'
import type { Job } from '@/core/document/job'
import { SCHEMA_VERSION } from '@/core/document/version'
import { ConflictError, commitChange, NotUndoneError, reach, redo, undo, undoOne } from './commit'
import type { DuskDatabase, JobRow } from './database'
import { type Pending, takeLeftovers, writeJournal } from './journal'
import { describeProblem, type Problem } from './problem'

/** A change that lost against a newer one from another tab; it can still be put in. */
interface Conflict {
  change: Change
  message: string
}

/** What the screen shows of a job that is open. */
export interface SessionState {
  status: 'loading' | 'ready' | 'missing'
  job: Job | null
  savedAt: string | null
  saving: boolean
  problem: Problem | null
  conflict: Conflict | null
  /** Labels of what undo and redo would do. */
  undoLabel: string | null
  redoLabel: string | null
}

/** Up to this version changes found their rows by their places. */
const LAST_BY_PLACE = 3

/** Typing goes into the database when it rests this long; the journal has it at once. */
const TYPING_RESTS_MS = 200
/** About one frame of the screen and a half: what a key changes is drawn before the journal takes its turn. */
const FRAME_MS = 25

const LOADING: SessionState = {
  status: 'loading',
  job: null,
  savedAt: null,
  saving: false,
  problem: null,
  conflict: null,
  undoLabel: null,
  redoLabel: null,
}

/**
 * One open job in one tab. An edit shows at once and is saved at once, in order; other tabs' edits come in
 * through the database.
 */
export class JobSession {
  private state = LOADING
  private readonly listeners = new Set<() => void>()
  private readonly subscriptions: Subscription[] = []
  private pending: Pending[] = []
  private revision = -1
  private draining: Promise<void> | null = null
  private timer: ReturnType<typeof setTimeout> | undefined
  /** Whether the last edit was a key stroke in a field, with more of them to come. */
  isTyping = false
  /** Counts openings, so that one that was overtaken by a close does not go on. */
  private opening = 0

  constructor(
    private readonly db: DuskDatabase,
    private readonly jobId: string,
  ) {}

  readonly getState = (): SessionState => this.state

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    if (this.listeners.size === 1) void this.open()
    return () => {
      this.listeners.delete(listener)
      if (this.listeners.size === 0) this.close()
    }
  }

  /** Runs an edit: the screen follows now, the database as soon as it can. Returns the id of its change, if it made one. */
  readonly edit = (edit: Edit): string | null => {
    const { job } = this.state
    if (!job) return null
    const { job: next, change, entry } = runEdit(job, edit, { id: newId(), at: new Date().toISOString() })
    if (isEmptyChange(change)) return null
    this.isTyping = edit.mergeKey !== undefined
    this.set({ job: next, saving: true, conflict: null })
    this.enqueue({ change, entries: entry ? [entry] : [], version: SCHEMA_VERSION })
    return change.id
  }

  readonly undo = () => this.travel(undo)
  /** Takes back one change, whatever came after it. Resolves to why it could not be, or to null when it was. */
  readonly undoOne = async (changeId: string): Promise<string | null> => {
    await this.drain()
    try {
      const row = await undoOne(this.db, this.jobId, changeId, { id: newId(), at: new Date().toISOString() })
      if (row) this.take(row)
      return null
    } catch (error) {
      if (error instanceof NotUndoneError) return error.message
      this.fail(error)
      return null
    }
  }
  readonly redo = () => this.travel(redo)

  /** Tries again to save what could not be saved. */
  readonly retry = (): void => {
    void this.drain()
  }

  /** Puts in the change that lost against another tab after all. */
  readonly insist = (): void => {
    const { conflict } = this.state
    if (!conflict) return
    this.edit({
      label: conflict.change.label,
      run: job => Object.assign(job, insistOn(job, conflict.change)),
    })
  }
  readonly giveWay = (): void => this.set({ conflict: null })

  private async open() {
    this.opening += 1
    const { opening } = this
    if (typeof window !== 'undefined') window.addEventListener('pagehide', this.onHide)
    const watch = <T>(query: () => Promise<T>, next: (value: T) => void) =>
      this.subscriptions.push(liveQuery(query).subscribe({ next, error: error => this.fail(error) }))
    const leftovers = await Promise.all((await takeLeftovers()).map(left => this.broughtUp(left)))
    if (leftovers.length) {
      this.pending.push(...leftovers)
      await this.drain()
    }
    if (this.listeners.size === 0 || opening !== this.opening) return
    watch(
      () => this.db.jobs.get(this.jobId),
      row => this.take(row),
    )
    watch(
      () => reach(this.db, this.jobId),
      ({ undo, redo }) => this.set({ undoLabel: undo?.label ?? null, redoLabel: redo?.label ?? null }),
    )
  }

  /** A leftover that was made on a document of an older version, for the document as it stands now. */
  private async broughtUp(left: Pending): Promise<Pending> {
    if (left.version >= SCHEMA_VERSION) return left
    const { changeFromV5 } = await import('@/core/document/migrations/v5')
    const { changeFromV6 } = await import('@/core/document/migrations/v6')
    const byId = async () => {
      if (left.version > LAST_BY_PLACE) return { ...left.change }
      const row = await this.db.jobs.get(left.change.jobId)
      if (!row) return null
      const { changeFromV3 } = await import('@/core/document/migrations/v3')
      return changeFromV3({ ...row.job }, { ...left.change }, newId)
    }
    const change = await byId()
    if (!change) return left
    const sixth = left.version > 5 ? { ...change } : changeFromV5({ ...change })
    return { ...left, change: changeFromV6(sixth) as unknown as Change, version: SCHEMA_VERSION }
  }

  private readonly onHide = () => {
    writeJournal(this.pending)
    void this.drain()
  }

  private close() {
    void this.drain()
    if (typeof window !== 'undefined') window.removeEventListener('pagehide', this.onHide)
    for (const subscription of this.subscriptions.splice(0)) subscription.unsubscribe()
  }

  /** Shows what the database holds, unless something newer is on its way there from here. */
  private take(row: JobRow | undefined) {
    if (this.pending.length > 0) return
    if (!row || row.deletedAt) return this.set({ status: 'missing' })
    if (row.revision === this.revision && this.state.status === 'ready') return
    this.revision = row.revision
    this.set({ status: 'ready', job: row.job, savedAt: row.savedAt, saving: false })
  }

  private enqueue(pending: Pending) {
    const last = this.pending.at(-1)
    const waiting = last && this.draining === null && last.change.mergeKey !== null
    if (waiting && last.change.mergeKey === pending.change.mergeKey)
      this.pending[this.pending.length - 1] = {
        ...pending,
        change: mergeChanges(last.change, pending.change),
        entries: [...last.entries, ...pending.entries],
      }
    else this.pending.push(pending)
    clearTimeout(this.timer)
    if (!this.isTyping) {
      writeJournal(this.pending)
      return void this.drain()
    }
    // After the screen has answered the key; a tab that is closed before then writes it as it goes.
    setTimeout(() => writeJournal(this.pending), FRAME_MS)
    this.timer = setTimeout(() => void this.drain(), TYPING_RESTS_MS)
  }

  /** Saves what is waiting, now. */
  private drain(): Promise<void> {
    clearTimeout(this.timer)
    this.draining ??= this.saveAll().finally(() => {
      this.draining = null
    })
    return this.draining
  }

  private async saveAll() {
    let row: JobRow | undefined
    for (let next = this.pending[0]; next; next = this.pending[0]) {
      try {
        row = await commitChange(this.db, next.change, next.entries)
      } catch (error) {
        if (!(error instanceof ConflictError)) return this.fail(error)
        this.set({ conflict: { change: error.change, message: error.message } })
        row = await this.db.jobs.get(this.jobId)
        // What was typed on top of it rests on the same stale value.
        this.revision = -1
      }
      this.pending.shift()
      writeJournal(this.pending)
    }
    if (!row || row.id !== this.jobId) return
    const stale = this.revision === -1 && this.state.status === 'ready'
    this.revision = row.revision
    this.set({ savedAt: row.savedAt, saving: false, problem: null, ...(stale && { job: row.job }) })
  }

  private async travel(step: (db: DuskDatabase, jobId: string) => Promise<JobRow | null>) {
    await this.drain()
    try {
      const row = await step(this.db, this.jobId)
      if (row) this.take(row)
    } catch (error) {
      this.fail(error)
    }
  }

  private fail(error: unknown) {
    this.set({ saving: false, problem: describeProblem(error) })
  }

  private set(part: Partial<SessionState>) {
    this.state = { ...this.state, ...part }
    for (const listener of this.listeners) listener()
  }
}
