import { hasBelt } from '../../document/axis'
import { type Along, broken, lengthAt, lengthsUnder } from '../../drawing/dimension'
import { boundsOf, box, type Drawing, line, type Mark, words } from '../../drawing/drawing'
import { textWidthMm } from '../../drawing/letterWidths'
import type { EvaluationContext } from '../../evaluation/context'
import { farBoreMm, locknutPitchMm } from '../../machine/drive/ends'
import { screwEnd, stretchGapMm } from '../../machine/drive/strength'
import { nutTurns } from '../../machine/drive/transmission'
import { limitWords, shaftDeviations } from '../../machine/isoFits'
import { say, saySold } from '../../units/print'
import type { UnitSystem } from '../../units/quantity'

/** One step of a screw from end to end. */
export interface ScrewStep {
  name: string
  diameterMm: number
  lengthMm: number
  tolerance: string
  /** The name of its thread, where it is one that is turned. */
  thread?: string
  note: string
  /** Left open at its shoulder until the locknut draws it shut, where that stretches the screw. */
  gapMm?: number
}

const SCREW_THREAD = 'Screw thread'

/** Diameters that a handwheel and its nut sit on. */
const WHEEL_SEATS_MM = [5, 6, 7, 8, 9, 10, 11, 12, 14, 16, 18, 20]
const WHEEL_NUTS_MM = [4, 5, 6, 8, 10, 12, 16]

/** A locknut is about this wide for its bore, and needs as much thread again to be set. */
const locknutThreadMm = (boreMm: number) => Math.ceil(boreMm * 0.6 + 5)

/** The gap by which a screw is stretched, as finely as it is ground. */
const gapWords = (t: EvaluationContext): string =>
  say(stretchGapMm(t), 'length', t.units, t.units === 'inch' ? 4 : 3)

/** The screw between its ends, as it is delivered. */
function screwThread(t: EvaluationContext): ScrewStep {
  const { nominalDiameterMm, toleranceClass, leadMm, rootDiameterMm } = t.part('screw')
  return {
    name: SCREW_THREAD,
    diameterMm: nominalDiameterMm,
    lengthMm: t.dimension('supportSpanMm'),
    tolerance: toleranceClass,
    note: `lead ${saySold(leadMm, t.units)}, ${say(rootDiameterMm, 'length', t.units)} at the root; wrap it while the ends are turned`,
  }
}

/** The ends of a screw that stands: a seat to clamp, with a flat or key that keeps it from turning, and a thread where it is pulled. */
function standing(t: EvaluationContext): ScrewStep[] {
  const { rootDiameterMm, nominalDiameterMm } = t.part('screw')
  const seatMm = farBoreMm(rootDiameterMm, nominalDiameterMm)
  const { torqueNm } = screwEnd(t)
  const seat = (end: string): ScrewStep => ({
    name: `Seat in the clamp, ${end} end`,
    diameterMm: seatMm,
    lengthMm: Math.ceil(1.5 * seatMm),
    tolerance: 'h6',
    note: `a key or a flat with its screw holds it against turning, with up to ${say(torqueNm, 'torque', t.units)}`,
  })
  const thread = (end: string): ScrewStep => ({
    name: `Thread of the ${end} end`,
    diameterMm: seatMm,
    lengthMm: locknutThreadMm(seatMm),
    tolerance: '6h',
    thread: `M${seatMm} x ${locknutPitchMm(seatMm)}`,
    note:
      t.axis.ends === 'fixed-fixed' && end === 'far'
        ? `M${seatMm} x ${locknutPitchMm(seatMm)}: its nut stretches the screw by ${gapWords(t)}`
        : `M${seatMm} x ${locknutPitchMm(seatMm)}`,
  })
  const far = t.axis.ends === 'fixed-free' ? [] : [seat('far')]
  return [
    thread('fixed'),
    seat('fixed'),
    screwThread(t),
    ...far,
    ...(t.axis.ends === 'fixed-fixed' ? [thread('far')] : []),
  ]
}

/**
 * The steps that the ends of a screw are turned to, from the coupler to the far end, out of the parts that are chosen.
 *
 * @throws NotKnown while a part or the span is not known
 */
export function screwSteps(t: EvaluationContext): ScrewStep[] {
  const screw = t.part('screw')
  const bearing = t.part('bearing')
  const belted = hasBelt(t.axis.drive)
  const hubMm = belted ? t.part('belt').widthMm + 6 : t.part('coupler').lengthMm / 2
  const hubNote = belted
    ? 'flat or keyway for the pulley'
    : t.part('coupler').hub === 'clamp'
      ? 'no flat: the hub clamps'
      : 'a flat for each set screw'
  const farMm = farBoreMm(screw.rootDiameterMm, bearing.boreMm)
  const far = (): ScrewStep[] => {
    switch (t.axis.ends) {
      case 'fixed-free':
        return []
      case 'fixed-fixed':
        return [
          {
            ...seat('Bearing seat, far end'),
            gapMm: stretchGapMm(t),
            note: `as the other; a ring between its shoulder and the inner ring, ground so that ${gapWords(t)} is left open until the locknut draws it shut: that stretches the screw`,
          },
          locknut('Thread for the locknut, far end'),
        ]
      default:
        return [
          {
            name: 'Seat of the far bearing',
            diameterMm: farMm,
            lengthMm: Math.ceil(farMm * 0.9 + 3),
            tolerance: 'g6',
            note: 'slides in its bearing, so that the screw can grow',
          },
        ]
    }
  }
  /** Beyond the far bearing: a seat with its key for the wheel, and a thread for its nut. */
  const handwheel = (): ScrewStep[] => {
    const lastMm = t.axis.ends === 'fixed-fixed' ? bearing.boreMm : farMm
    const seatMm = WHEEL_SEATS_MM.findLast(mm => mm < lastMm) ?? lastMm
    const nutMm = WHEEL_NUTS_MM.findLast(mm => mm < seatMm) ?? seatMm
    return [
      {
        name: 'Seat of the handwheel',
        diameterMm: seatMm,
        lengthMm: Math.max(t.axis.driveSizes.handwheelHubMm, 1),
        tolerance: 'h7',
        note: 'a keyway, or a cross hole for a pin, as the wheel has it',
      },
      {
        name: 'Thread for the nut of the handwheel',
        diameterMm: nutMm,
        lengthMm: Math.ceil(1.2 * nutMm + 2),
        tolerance: '6g',
        thread: `M${nutMm}`,
        note: `M${nutMm}, with a washer that holds the wheel`,
      },
    ]
  }
  const seat = (name: string): ScrewStep => ({
    name,
    diameterMm: bearing.boreMm,
    lengthMm: bearing.blockLengthMm,
    tolerance: 'h5',
    note: `true to the thread within ${say(10, 'smallLength', t.units)}; shoulder square within ${say(5, 'smallLength', t.units)}`,
  })
  const locknut = (name: string): ScrewStep => ({
    name,
    diameterMm: bearing.boreMm,
    lengthMm: locknutThreadMm(bearing.boreMm),
    tolerance: '6h',
    thread: `M${bearing.boreMm} x ${locknutPitchMm(bearing.boreMm)}`,
    note: `M${bearing.boreMm} x ${locknutPitchMm(bearing.boreMm)}, cut between centres with the seat`,
  })
  if (nutTurns(t)) return standing(t)
  return [
    {
      name: belted ? 'Journal for the pulley' : 'Journal for the coupler',
      diameterMm: bearing.couplerSeatMm,
      lengthMm: hubMm,
      tolerance: 'h6',
      note: hubNote,
    },
    locknut('Thread for the locknut'),
    seat('Bearing seat'),
    screwThread(t),
    ...far(),
    ...(t.axis.drive.handwheelKept && t.axis.ends !== 'fixed-free' ? handwheel() : []),
  ]
}

/** The whole length of a screw. */
export const totalLengthMm = (steps: readonly ScrewStep[]): number =>
  steps.reduce((sum, { lengthMm }) => sum + lengthMm, 0)

/** Height of the figures on the drawing, and from one row of them to the next. */
const LABEL_MM = 2.2
const ROW_MM = 4
/** White to the next label. */
const APART_MM = 3
const NOTE_MM = 2.6

interface Label {
  x: number
  text: string
  /** Where the line to it starts. */
  fromMm: number
}

/**
 * Diameters side by side while they have room, each with a line to what it belongs to; one that would reach over the next stands a
 * row further out than it, so that no line goes through a figure.
 */
function diameters(all: readonly Label[], firstMm: number): Mark[] {
  const rows: number[] = []
  for (const [index, { x, text }] of [...all.entries()].toReversed()) {
    const endMm = x + textWidthMm(text, LABEL_MM) + APART_MM
    const under = all.flatMap((other, at) => (at > index && other.x < endMm ? [rows[at] ?? 0] : []))
    rows[index] = Math.max(-1, ...under) + 1
  }
  return all.flatMap(({ x, text, fromMm }, index) => {
    const y = firstMm + (rows[index] ?? 0) * ROW_MM
    return [line('words', x, fromMm, x, y), words(x + 0.8, y, text, LABEL_MM)]
  })
}

/** A ring on a seat, as it is drawn: off the shoulder, so wide, and so much over the seat. */
const RING_OFF_MM = 0.8
const RING_MM = 3
const RING_OVER_MM = 2.5

/** A journal's free edge is turned off so far, so that what is slid on finds its way. */
const chamferMm = (diameterMm: number): number => (diameterMm < 10 ? 0.5 : 1)

/** A diameter with its fit and its limits, or a thread by its name. @example sizeWords(seat, 'mm') // 'Ø 15 h5 0/-0.008' */
function sizeWords({ diameterMm, tolerance, thread }: ScrewStep, units: UnitSystem): string {
  if (thread) return `${thread} - ${tolerance}`
  const size = `Ø ${saySold(diameterMm, units)} ${tolerance}`
  const limits = shaftDeviations(diameterMm, tolerance)
  return limits ? `${size} ${limitWords(limits, units)}` : size
}

/** The screw's ends at full size, the thread between them broken off. */
export function screwDrawing(title: string, steps: readonly ScrewStep[], units: UnitSystem): Drawing {
  const length = (mm: number) => say(mm, 'length', units)
  const BROKEN_MM = 40
  const marks: Mark[] = []
  const across: Label[] = []
  const along: Along[] = []
  let x = 0
  for (const [index, step] of steps.entries()) {
    const { name, diameterMm, lengthMm, gapMm } = step
    const thread = name === SCREW_THREAD
    const shownMm = thread ? Math.min(lengthMm, BROKEN_MM) : lengthMm
    marks.push(
      ...outline(x, shownMm, diameterMm / 2, {
        left: index === 0 && !thread,
        right: index === steps.length - 1 && !thread,
      }),
    )
    if (thread && shownMm < lengthMm) {
      const middle = x + shownMm / 2
      marks.push(line('edge', middle - 2, -diameterMm / 2 - 3, middle - 2, diameterMm / 2 + 3))
      marks.push(line('edge', middle + 2, -diameterMm / 2 - 3, middle + 2, diameterMm / 2 + 3))
    }
    across.push({ x: x + 1, text: sizeWords(step, units), fromMm: diameterMm / 2 })
    along.push({ fromX: x, toX: x + shownMm, text: length(lengthMm) })
    if (gapMm) {
      // The ring on its seat, off the shoulder: not to scale, as nobody would see the gap.
      const [fromMm, toMm, halfMm] = [
        x + RING_OFF_MM,
        x + RING_OFF_MM + RING_MM,
        diameterMm / 2 + RING_OVER_MM,
      ]
      marks.push(...box('edge', fromMm, -halfMm, toMm - fromMm, 2 * halfMm))
      across.push({
        x: toMm + 1,
        text: `ring, gap ${say(gapMm, 'length', units, units === 'inch' ? 4 : 3)}: drawn shut, it stretches the screw`,
        fromMm: halfMm,
      })
    }
    x += shownMm
  }
  const widestMm = Math.max(...steps.map(({ diameterMm }) => diameterMm))
  const lengths = lengthsUnder(along, -widestMm / 2, 7)
  marks.push(...diameters(across, widestMm / 2 + 5), ...lengths.marks)
  const wholeY = lengths.bottomY - 8
  marks.push(
    ...lengthAt(
      { fromX: 0, toX: x, text: `whole length ${length(totalLengthMm(steps))}` },
      -widestMm / 2,
      wholeY,
    ),
  )
  marks.push(line('centre', -6, 0, x + 6, 0))
  const { left, top } = boundsOf(marks)
  const free = [steps[0], steps.at(-1)].flatMap(step =>
    step && step.name !== SCREW_THREAD ? [step.diameterMm] : [],
  )
  const notes = [
    free.length > 0 &&
      `Free ends chamfered ${length(Math.max(...free.map(chamferMm)))} x 45°; other edges broken ${length(0.2)}.`,
    `Relief at each shoulder that a bearing or its ring stands against: ${length(2)} wide, ${length(0.2)} deep, its corners rounded.`,
    'Fits after ISO 286, threads after ISO 965; where no limit stands, ISO 2768-m.',
    'Fits, relief and chamfers are usual practice: what the maker of the bearings asks for comes first.',
    ...steps.filter(({ note }) => note !== '').map(({ name, note }) => `${name}: ${note}.`),
  ].filter(note => note !== false)
  return {
    title,
    marks: [
      ...broken(marks),
      words(left, top + 5, title, 4),
      ...notes.map((note, index) => words(left, wholeY - 9 - index * (NOTE_MM + 1.8), note, NOTE_MM)),
    ],
  }
}

/** A cylinder from the side, its free end turned off at 45 degrees. */
function outline(
  x: number,
  lengthMm: number,
  radiusMm: number,
  free: { left: boolean; right: boolean },
): Mark[] {
  const chamfer = Math.min(chamferMm(2 * radiusMm), lengthMm / 3, radiusMm / 2)
  const [l, r] = [free.left ? chamfer : 0, free.right ? chamfer : 0]
  const end = x + lengthMm
  const corners: [number, number][] = [
    [x, radiusMm - l],
    [x + l, radiusMm],
    [end - r, radiusMm],
    [end, radiusMm - r],
    [end, -(radiusMm - r)],
    [end - r, -radiusMm],
    [x + l, -radiusMm],
    [x, -(radiusMm - l)],
  ]
  return corners.flatMap(([fromX, fromY], index) => {
    const [toX, toY] = corners[(index + 1) % corners.length] as [number, number]
    return fromX === toX && fromY === toY ? [] : [line('edge', fromX, fromY, toX, toY)]
  })
}
