import { liveQuery, type Subscription } from 'dexie'
import {
  applyChange,
  type Change,
  type Edit,
  insistOn,
  isEmptyChange,
  mergeChanges,
  runEdit,
  stillApplies,
} from '@/core/document/edit'
import { newId } from '@/core/document/id'
import type { Job } from '@/core/document/job'
import { SCHEMA_VERSION } from '@/core/document/version.generated'
import { noteBusy } from './atRest'
import { commitChange, NotUndoneError, reach, redo, undo, undoOne, warmRules } from './commit'
import { ConflictError } from './conflict'
import { type DuskDatabase, isPresent, type JobRow, NewerDataError, present } from './database'
import { type Pending, takeLeftovers, watchTabs, writeJournal } from './journal'
import { describeProblem, type Problem } from './problem'

/** A change that lost against a newer one from another tab; it can still be put in, and is kept until that is answered. */
export interface Conflict {
  pending: Pending
  message: string
}

/** What the screen shows of a job that is open. */
export interface SessionState {
  status: 'loading' | 'ready' | 'missing'
  job: Job | null
  savedAt: string | null
  /** Whether something is not in the database yet. */
  saving: boolean
  /** Why what is on the screen is not stored; it stays until all of it is. */
  problem: Problem | null
  /** Why something was not taken back. */
  notUndone: Problem | null
  /** Changes that wait for the builder's word, oldest first. */
  conflicts: readonly Conflict[]
  /** Labels of what undo and redo would do. */
  undoLabel: string | null
  redoLabel: string | null
}

/** What the screens of a job need of the session that holds it. */
export type OpenJob = Pick<
  JobSession,
  'getState' | 'subscribe' | 'edit' | 'undoOne' | 'isTyping' | 'isReading'
>

/** Up to this version changes found their rows by their places. */
const LAST_BY_PLACE = 3

/** Typing goes into the database when it rests this long; the journal has it at once. */
const TYPING_RESTS_MS = 200
/** About one frame of the screen and a half: what a key changes is drawn before the journal takes its turn. */
const FRAME_MS = 25
/** What could not be saved is tried again this often by itself: there may be room again. */
const AGAIN_MS = 5000

/** A job that nobody has looked into yet. */
export const LOADING: SessionState = {
  status: 'loading',
  job: null,
  savedAt: null,
  saving: false,
  problem: null,
  notUndone: null,
  conflicts: [],
  undoLabel: null,
  redoLabel: null,
}

/** Undo asks the rules of documents; they come when the screen has long been at rest, so that undo needs no server. */
const RULES_AFTER_MS = 3000

/**
 * One open job in one tab. An edit shows at once and is saved at once, in order; other tabs' edits come in through the
 * database. What is shown is always what the database holds with what is waiting put on top.
 */
export class JobSession {
  private state = LOADING
  private readonly listeners = new Set<() => void>()
  private readonly ends: (() => void)[] = []
  private pending: Pending[] = []
  /** What another tab left behind and cannot be brought up to the present version now: kept for the next opening. */
  private readonly stuck: Pending[] = []
  private row: Pick<JobRow, 'revision' | 'savedAt'> | null = null
  private draining: Promise<void> | null = null
  private timer: ReturnType<typeof setTimeout> | undefined
  private again: ReturnType<typeof setTimeout> | undefined
  /** Whether the last edit was a key stroke in a field, with more of them to come. */
  isTyping = false
  /** Whether it was one of many readings that follow each other. */
  isReading = false
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
    this.isReading = edit.reading === true
    this.set({ job: next, saving: true })
    this.enqueue({ change, ids: [change.id], entries: entry ? [entry] : [], version: SCHEMA_VERSION })
    return change.id
  }

  readonly undo = () => this.travel(undo)
  /** Takes back one change, whatever came after it. Resolves to why it could not be, or to null when it was. */
  readonly undoOne = async (changeId: string): Promise<string | null> => {
    await this.drain()
    if (this.isHeldUp()) return UNSAVED_FIRST.advice
    try {
      const row = await undoOne(this.db, this.jobId, changeId, { id: newId(), at: new Date().toISOString() })
      if (row) this.take(row)
      return null
    } catch (error) {
      if (error instanceof NotUndoneError) return error.message
      this.set({ notUndone: describeProblem(error) })
      return null
    }
  }
  readonly redo = () => this.travel(redo)

  /** Tries again to save what could not be saved. */
  readonly retry = (): void => {
    if (this.pending.length > 0) void this.drain()
    else this.set({ problem: null })
  }
  readonly closeNotUndone = (): void => this.set({ notUndone: null })

  /** Puts in the change that lost against another tab after all, with the lines of the log that it brought. */
  readonly insist = (conflict: Conflict): void => {
    const { job } = this.state
    const { change: lost, entries } = conflict.pending
    if (!job) return
    const edit: Edit = { label: lost.label, run: draft => void Object.assign(draft, insistOn(job, lost)) }
    const { job: next, change } = runEdit(job, edit, { id: newId(), at: new Date().toISOString() })
    this.answer(conflict)
    const again = { ...change, shows: lost.shows, hides: lost.hides }
    if (isEmptyChange(again)) {
      this.writeDown()
      return
    }
    this.set({ job: next, saving: true })
    this.isTyping = false
    this.isReading = false
    this.enqueue({ change: again, ids: [change.id], entries, version: SCHEMA_VERSION })
  }
  /** Lets the other tab have its way. */
  readonly giveWay = (conflict: Conflict): void => {
    this.answer(conflict)
    this.writeDown()
  }
  private answer(conflict: Conflict) {
    this.set({ conflicts: this.state.conflicts.filter(one => one !== conflict) })
  }

  private async open() {
    this.opening += 1
    const { opening } = this
    const isOver = () => this.listeners.size === 0 || opening !== this.opening
    if (typeof window !== 'undefined') window.addEventListener('pagehide', this.onHide)
    this.ends.push(noteBusy(this.settle))
    const watch = <T>(query: () => Promise<T>, next: (value: T) => void) => {
      const subscription: Subscription = liveQuery(query).subscribe({
        next,
        error: error => this.fail(error),
      })
      this.ends.push(() => subscription.unsubscribe())
    }
    try {
      await this.arrive(await this.db.jobs.get(this.jobId))
    } catch (error) {
      this.fail(error)
    }
    if (isOver()) return
    watch(
      () => this.db.jobs.get(this.jobId),
      row => void this.arrive(row).catch(error => this.fail(error)),
    )
    watch(
      () => reach(this.db, this.jobId),
      ({ undo, redo }) => this.set({ undoLabel: undo?.label ?? null, redoLabel: redo?.label ?? null }),
    )
    this.ends.push(watchTabs(this.jobId, () => void this.takeOver()))
    const rules = setTimeout(() => void warmRules().catch(() => undefined), RULES_AFTER_MS)
    this.ends.push(() => clearTimeout(rules))
  }

  /** A job that is here for the first time, or again, brings along what tabs that are gone had not saved of it. */
  private async arrive(stored: JobRow | undefined) {
    const row = stored && !isPresent(stored) ? await present(this.db, stored) : stored
    const isHere = row && !row.deletedAt
    const isNew = isHere && this.state.status !== 'ready'
    if (isNew) await this.collectLeftovers()
    this.take(row)
    if (isNew && this.pending.length > 0) void this.drain()
  }

  private async takeOver() {
    if (this.state.status !== 'ready') return
    await this.collectLeftovers()
    const row = await this.db.jobs.get(this.jobId)
    if (row) this.show(row)
    void this.drain()
  }

  private async collectLeftovers() {
    const known = new Set(this.waiting().flatMap(({ ids }) => ids))
    const left = (await takeLeftovers(this.jobId)).filter(({ change }) => !known.has(change.id))
    try {
      this.pending.unshift(...(await Promise.all(left.map(one => this.broughtUp(one)))))
    } catch (error) {
      this.stuck.push(...left)
      this.fail(error)
    }
    this.writeDown()
  }

  /** A leftover that was made on a document of an older version, for the document as it stands now. */
  private async broughtUp(left: Pending): Promise<Pending> {
    if (left.version > SCHEMA_VERSION) throw new NewerDataError()
    if (left.version === SCHEMA_VERSION) return left
    const { changeUp } = await import('@/core/document/migrations/changes')
    const byId = async () => {
      if (left.version > LAST_BY_PLACE) return { ...left.change }
      const row = await this.db.jobs.get(left.change.jobId)
      if (!row) return null
      const { changeFromV3 } = await import('@/core/document/migrations/v3')
      return changeFromV3({ ...row.job }, { ...left.change }, newId)
    }
    const change = await byId()
    if (!change) return left
    return {
      ...left,
      change: changeUp({ ...change }, left.version) as unknown as Change,
      version: SCHEMA_VERSION,
    }
  }

  private readonly onHide = () => {
    this.writeDown()
    void this.drain()
  }

  private readonly settle = async () => {
    await this.drain()
    return this.waiting().length === 0
  }

  private close() {
    clearTimeout(this.again)
    void this.drain()
    if (typeof window !== 'undefined') window.removeEventListener('pagehide', this.onHide)
    for (const end of this.ends.splice(0)) end()
  }

  /** All that is not in the database: what lost and waits for a word, and what is on its way. */
  private waiting(): Pending[] {
    return [...this.stuck, ...this.state.conflicts.map(({ pending }) => pending), ...this.pending]
  }
  private writeDown() {
    writeJournal(this.jobId, this.waiting())
  }

  /** Takes in what the database holds, from here or from another tab. */
  private take(row: JobRow | undefined) {
    if (!row || row.deletedAt) {
      // What is waiting stays on the screen: saving it says that the job is gone.
      if (this.pending.length === 0) this.set({ status: 'missing' })
      return
    }
    const known = this.state.status === 'ready' ? this.row : null
    if (known?.revision === row.revision) return
    // What was read before the last change went in may come after it.
    if (known && row.revision < known.revision && row.savedAt < known.savedAt) return
    // What was just put in from here comes back by way of the database: whoever put it in goes on with it.
    const inFlight = this.draining && this.pending[0]
    if (inFlight && row.revision === (known?.revision ?? 0) + 1 && row.seen?.includes(inFlight.change.id))
      return
    this.show(row)
  }

  /** Shows a stored job with what is waiting put on top; what cannot be put on top is told when it is saved. */
  private show(row: JobRow) {
    this.row = row
    const seen = new Set(row.seen)
    const job = this.pending
      .filter(({ change }) => !seen.has(change.id))
      .reduce((on, { change }) => (stillApplies(on, change) ? applyChange(on, change) : on), row.job)
    this.set({ status: 'ready', job, savedAt: row.savedAt, saving: this.pending.length > 0 })
  }

  private enqueue(pending: Pending) {
    const last = this.pending.at(-1)
    if (last && this.draining === null && isOneAct(last.change, pending.change))
      this.pending[this.pending.length - 1] = joined(last, pending)
    else this.pending.push(pending)
    clearTimeout(this.timer)
    if (!this.isTyping && !this.isReading) {
      this.writeDown()
      return void this.drain()
    }
    // After the screen has answered the key; a tab that is closed before then writes it as it goes.
    setTimeout(() => this.writeDown(), FRAME_MS)
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
    for (let next = this.pending[0]; next; next = this.pending[0]) {
      try {
        const row = await commitChange(this.db, next.change, next.entries, next.ids)
        this.pending.shift()
        this.saved(row, next)
      } catch (error) {
        if (!(error instanceof ConflictError)) return this.fail(error)
        this.pending.shift()
        this.set({ conflicts: withConflict(this.state.conflicts, { pending: next, message: error.message }) })
        const row = await this.db.jobs.get(this.jobId).catch(() => undefined)
        if (row) this.show(row)
      }
      // Only now: what goes from the journal is in the database.
      this.writeDown()
    }
    if (this.state.status === 'ready') this.set({ saving: false, problem: null })
  }

  /** After a change of this tab went in: alone, it makes what is shown already; with another's before it, not. */
  private saved(row: JobRow, { change }: Pending) {
    const since = row.revision - (this.row?.revision ?? Number.NaN)
    if (since !== 0 && !(since === 1 && row.seen?.at(-1) === change.id)) return this.show(row)
    this.row = row
    this.set({ savedAt: row.savedAt })
  }

  private async travel(step: (db: DuskDatabase, jobId: string) => Promise<JobRow | null>) {
    await this.drain()
    // The history in the database does not have it yet: it would take back the change before.
    if (this.isHeldUp()) return this.set({ notUndone: UNSAVED_FIRST })
    try {
      const row = await step(this.db, this.jobId)
      if (row) this.take(row)
      this.set({ notUndone: null })
    } catch (error) {
      this.set({ notUndone: describeProblem(error) })
    }
  }

  /** Whether something waits because it could not be saved; what was typed this moment is on its way. */
  private isHeldUp = () => this.pending.length > 0 && this.state.problem !== null

  private fail(error: unknown) {
    const problem = describeProblem(error)
    // The same again is not said again.
    if (problem.title !== this.state.problem?.title) this.set({ problem })
    clearTimeout(this.again)
    if (this.pending.length > 0 && this.listeners.size > 0 && !problem.isOvertaken)
      this.again = setTimeout(() => void this.drain(), AGAIN_MS)
  }

  private set(part: Partial<SessionState>) {
    this.state = { ...this.state, ...part }
    for (const listener of this.listeners) listener()
  }
}

const UNSAVED_FIRST: Problem = {
  title: 'What was typed last is not saved yet',
  advice: 'It can be taken back as soon as it is saved; until then, type it as it was.',
}

const isOneAct = (before: Change, after: Change) =>
  before.mergeKey !== null && before.mergeKey === after.mergeKey

/** Two changes of one act of typing, as one. */
const joined = (before: Pending, after: Pending): Pending => ({
  ...after,
  change: mergeChanges(before.change, after.change),
  ids: [...before.ids, ...after.ids],
  entries: [...before.entries, ...after.entries],
})

/** One more that lost; what was typed on top of another that lost, in the same field, is asked about with it. */
function withConflict(conflicts: readonly Conflict[], lost: Conflict): Conflict[] {
  const last = conflicts.at(-1)
  if (!last || !isOneAct(last.pending.change, lost.pending.change)) return [...conflicts, lost]
  return [...conflicts.slice(0, -1), { ...lost, pending: joined(last.pending, lost.pending) }]
}
