import { MM_PER_INCH } from '../units/quantity'

// A stand-in for the controller of a machine: it takes a program in ISO 6983 line by line, answers each, and moves as time
// passes. It leaves out: acceleration and look-ahead (a move has its feed at once and stops on its end), arcs, tools, spindle
// and coolant, feeds per turn and per time, and the stops of an operator other than hold and resume.

/** What a line was answered with; the line counts from 1, as an editor shows it. */
export type Answer =
  | { readonly is: 'ok'; readonly line: number }
  | { readonly is: 'error' | 'alarm'; readonly line: number; readonly reason: string }

export interface ControllerSetup {
  /** The letters of its axes, each with the least and the most it may stand at, mm. */
  readonly limitsMm: Readonly<Record<string, readonly [least: number, most: number]>>
  /** How fast it moves where no feed is asked for. */
  readonly rapidMmPerMin: number
  /** The most feed that it takes. */
  readonly mostFeedMmPerMin: number
  /** In what it counts a dwell: the language leaves that open. */
  readonly dwellUnit: 'seconds' | 'milliseconds'
}

type Place = Readonly<Record<string, number>>
/** Something that takes time: a straight move to a place, or a dwell where it stands. */
interface Task {
  readonly line: number
  readonly from: Place
  readonly to: Place
  readonly seconds: number
}

/** Longer lines are refused unread. */
const LONGEST_LINE = 256
/** So many moves and dwells wait at most; a line that would be one more is refused until one is done. */
const MOST_WAITING = 64
const S_PER_MIN = 60
const MS_PER_S = 1000

/** G words that it knows, by the group of which a line may have one. Those that clear what may be set before change nothing here. */
const GROUPS: Readonly<Record<string, string>> = {
  G0: 'motion',
  G1: 'motion',
  G4: 'once',
  G28: 'once',
  G20: 'units',
  G21: 'units',
  G90: 'distance',
  G91: 'distance',
  G94: 'feed mode',
  G17: 'plane',
  G40: 'cutter radius',
  G49: 'tool length',
  G80: 'canned cycle',
  G54: 'work offset',
  M2: 'end',
}
const WORD = /^([A-Z])([+-]?(?:\d+\.?\d*|\.\d+))/

class LineError extends Error {}
const refuse = (reason: string): never => {
  throw new LineError(reason)
}

interface Words {
  codes: Map<string, string>
  values: Map<string, number>
}

/** A line without its comments, as words. */
function wordsOf(line: string): Words {
  if (line.length > LONGEST_LINE)
    refuse(`has ${line.length.toLocaleString('en')} letters; takes up to ${LONGEST_LINE}`)
  let rest = line.replace(/;.*$/, '').replace(/\([^()]*\)/g, '')
  if (/[()]/.test(rest)) refuse('has a comment that does not end')
  rest = rest.replace(/\s+/g, '').toUpperCase()
  const codes = new Map<string, string>()
  const values = new Map<string, number>()
  while (rest !== '') {
    const [whole, letter = '', figure = ''] = WORD.exec(rest) ?? refuse(`“${rest.slice(0, 12)}” is no word`)
    rest = rest.slice(whole.length)
    if (letter === 'G' || letter === 'M') {
      const code = `${letter}${Number(figure)}`
      const group = GROUPS[code] ?? refuse(`does not know ${code}`)
      if (codes.has(group)) refuse(`has ${codes.get(group)} and ${code}; takes one of them`)
      codes.set(group, code)
    } else if (values.has(letter)) refuse(`has ${letter} twice`)
    else values.set(letter, Number(figure))
  }
  return { codes, values }
}

/**
 * The controller: `send` gives it a line, `pass` lets time go by.
 *
 * @example
 * const mill = new Controller({ limitsMm: { X: [0, 400] }, rapidMmPerMin: 3000, mostFeedMmPerMin: 2000, dwellUnit: 'seconds' })
 * mill.send('G21 G90 G94') // { is: 'ok', line: 1 }
 * mill.send('G1 X300 F600')
 * mill.pass(10)
 * mill.positionMm('X') // 100
 */
export class Controller {
  private line = 0
  private motion: 'G0' | 'G1' | null = null
  private unitMm = 1
  private isRelative = false
  private feedMmPerMin: number | null = null
  private isEnded = false
  private isHeld = false
  private alarm: string | null = null
  private waiting: Task[] = []
  /** How much of the first task is done, s. */
  private doneS = 0
  private standsAt: Place
  /** Where the last line that was taken leads. */
  private target: Place

  constructor(private readonly setup: ControllerSetup) {
    this.standsAt = Object.fromEntries(
      Object.entries(setup.limitsMm).map(([letter, [least, most]]) => [
        letter,
        Math.min(Math.max(0, least), most),
      ]),
    )
    this.target = this.standsAt
  }

  /** What it does. */
  get state(): 'idle' | 'runs' | 'dwells' | 'held' | 'alarm' {
    if (this.alarm !== null) return 'alarm'
    const [task] = this.waiting
    if (!task) return 'idle'
    if (this.isHeld) return 'held'
    return task.from === task.to ? 'dwells' : 'runs'
  }

  /** The line that it works on; null while it rests. */
  get lineInHand(): number | null {
    return this.waiting[0]?.line ?? null
  }

  /** How long what waits will take, s. */
  get secondsLeft(): number {
    return this.waiting.reduce((sum, { seconds }) => sum + seconds, -this.doneS)
  }

  /** Where an axis stands now, mm from its zero. */
  positionMm(letter: string): number {
    const [task] = this.waiting
    const share = task && task.seconds > 0 ? this.doneS / task.seconds : 0
    const from = task?.from ?? this.standsAt
    return at(from, letter) + share * (at(task?.to ?? from, letter) - at(from, letter))
  }

  /** Takes a line, or says why it does not; a line that is refused changes nothing. */
  send(text: string): Answer {
    this.line += 1
    const { line } = this
    if (this.alarm !== null)
      return { is: 'error', line, reason: `stands in an alarm (${this.alarm}); clear it first` }
    try {
      this.take(wordsOf(text))
      return { is: 'ok', line }
    } catch (error) {
      if (!(error instanceof LineError)) throw error
      return { is: this.alarm === null ? 'error' : 'alarm', line, reason: error.message }
    }
  }

  /** Stops where it stands, in a move as well as in a dwell. */
  hold(): void {
    this.isHeld = true
  }

  /** Goes on from where it was held. */
  resume(): void {
    this.isHeld = false
  }

  /** Ends an alarm: what waited is dropped, and it stands where it stopped. */
  clear(): void {
    this.alarm = null
    this.drop()
  }

  /** Lets time go by, s; less than none is none. */
  pass(seconds: number): void {
    let left = this.isHeld || !(seconds > 0) ? 0 : seconds
    for (let task = this.waiting[0]; task && left > 0; task = this.waiting[0]) {
      const needs = task.seconds - this.doneS
      if (left < needs) {
        this.doneS += left
        return
      }
      left -= needs
      this.doneS = 0
      this.standsAt = task.to
      this.waiting.shift()
    }
  }

  private drop() {
    this.standsAt = Object.fromEntries(
      Object.keys(this.standsAt).map(letter => [letter, this.positionMm(letter)]),
    )
    this.target = this.standsAt
    this.waiting = []
    this.doneS = 0
  }

  private take({ codes, values }: Words): void {
    if (this.isEnded && codes.size + values.size > 0) refuse('comes after the end of the program')
    const { limitsMm, mostFeedMmPerMin, dwellUnit } = this.setup
    const once = codes.get('once')
    const known = new Set(['N', 'F', ...(once === 'G4' ? ['P'] : []), ...Object.keys(limitsMm)])
    for (const letter of values.keys()) if (!known.has(letter)) refuse(`does not know ${letter} here`)
    // Read whole before anything is changed.
    const unitMm = { G20: MM_PER_INCH, G21: 1 }[codes.get('units') ?? ''] ?? this.unitMm
    const isRelative = { G90: false, G91: true }[codes.get('distance') ?? ''] ?? this.isRelative
    const motion =
      (codes.get('motion') as 'G0' | 'G1' | undefined) ?? (codes.has('canned cycle') ? null : this.motion)
    const feed = values.get('F')
    const feedMmPerMin = feed === undefined ? this.feedMmPerMin : feed * unitMm
    if (feedMmPerMin !== null && !(feedMmPerMin > 0 && feedMmPerMin <= mostFeedMmPerMin))
      refuse(`asks for a feed of ${feed}; takes more than 0, up to ${mostFeedMmPerMin / unitMm}`)
    const task = this.taskOf(codes, values, { unitMm, isRelative, motion, feedMmPerMin, dwellUnit })
    if (task) {
      if (this.waiting.length >= MOST_WAITING) refuse(`comes too soon: ${MOST_WAITING} moves wait already`)
      this.waiting.push(task)
      this.target = task.to
    }
    this.unitMm = unitMm
    this.isRelative = isRelative
    this.motion = motion
    this.feedMmPerMin = feedMmPerMin
    if (codes.has('end')) this.isEnded = true
  }

  /** What a line asks to be done; null where it only sets something. */
  private taskOf(codes: Words['codes'], values: Words['values'], modes: Modes): Task | null {
    const { limitsMm, rapidMmPerMin } = this.setup
    const { line, target: from } = this
    const axes = Object.keys(limitsMm).filter(letter => values.has(letter))
    const once = codes.get('once')
    if (once === 'G4') {
      if (axes.length > 0) refuse('has a dwell and a move; takes one of them')
      return { line, from, to: from, seconds: dwellSeconds(values.get('P'), modes.dwellUnit) }
    }
    if (axes.length === 0) {
      if (once === 'G28') refuse('goes home with no axis named')
      return null
    }
    const to = { ...from }
    for (const letter of axes) {
      const said = (values.get(letter) as number) * modes.unitMm
      to[letter] = once === 'G28' ? 0 : modes.isRelative ? at(from, letter) + said : said
      this.keepWithin(letter, at(to, letter))
    }
    if (once !== 'G28' && modes.motion === null) refuse('moves, but neither G0 nor G1 says how')
    const isRapid = once === 'G28' || modes.motion === 'G0'
    const feed = isRapid ? rapidMmPerMin : (modes.feedMmPerMin ?? refuse('has no feed: say one with F'))
    const wayMm = Math.hypot(...axes.map(letter => at(to, letter) - at(from, letter)))
    return { line, from, to, seconds: (wayMm / feed) * S_PER_MIN }
  }

  /** A move beyond the limits is not begun: it is an alarm, and all that waited is dropped. */
  private keepWithin(letter: string, mm: number) {
    const [least, most] = this.setup.limitsMm[letter] as readonly [number, number]
    if (mm >= least && mm <= most) return
    const reason = `${letter} would go to ${mm.toFixed(3)} mm; takes ${least} to ${most}`
    this.drop()
    this.alarm = reason
    refuse(reason)
  }
}

/** What holds until a line says otherwise. */
interface Modes {
  unitMm: number
  isRelative: boolean
  motion: 'G0' | 'G1' | null
  feedMmPerMin: number | null
  dwellUnit: ControllerSetup['dwellUnit']
}

const at = (place: Place, letter: string): number => place[letter] ?? 0

function dwellSeconds(p: number | undefined, unit: ControllerSetup['dwellUnit']): number {
  if (p === undefined) return refuse('has a dwell without P, its time')
  if (p < 0) return refuse(`asks for a dwell of ${p}; takes 0 or more`)
  return unit === 'milliseconds' ? p / MS_PER_S : p
}
