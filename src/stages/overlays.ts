import type { Axis } from '@/core/document/job'
import type { DriveLine, DrivePart } from '@/core/drawing/driveLine'
import { known } from '@/core/evaluation/attempt'
import { Trace } from '@/core/evaluation/context'
import type { Subject } from '@/core/evaluation/finding'
import { lostMotionBudget } from '@/core/machine/drive/stiffness'
import type { Catalogue } from '@/core/machine/parts'
import { travel } from '@/core/machine/travel/placement'
import type { Evaluation } from '@/core/sheets/evaluateAxis'
import type { StageId } from '@/core/sheets/nextAction'
import { worstSection } from '@/core/sheets/nutRoom/sections'
import { worstStation } from '@/core/sheets/reversal/judgeTest'
import { judgePlane } from '@/core/sheets/screwLine/judgeRound'
import { boltStates, procedure } from '@/core/sheets/steps/procedure'
import type { Joint } from '@/core/sheets/steps/step'
import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import type { Bend, Mark, Span, Zone } from '@/ui/driveline/marks'

/** What a stage lays on the drive line. */
export interface Overlay {
  marks: Mark[]
  spans: Span[]
  zones: Zone[]
  bend: Bend | null
}
interface Bench {
  axis: Axis
  catalogue: Catalogue
  units: UnitSystem
  evaluation: Evaluation
  line: DriveLine
}

const NOTHING: Overlay = { marks: [], spans: [], zones: [], bend: null }
const PART_OF: Partial<Record<Subject, DrivePart>> = {
  screw: 'screw',
  nut: 'nut',
  bearing: 'bearing',
  coupler: 'coupler',
  belt: 'belt',
  motor: 'motor',
}

function survey({ axis, units, line }: Bench): Overlay {
  const span = axis.dimensions.supportSpanMm
  return {
    ...NOTHING,
    spans: [
      {
        fromMm: 0,
        toMm: line.spanMm,
        tone: 'ink',
        label:
          span.value === null
            ? 'between the blocks: to measure'
            : `between the blocks ${say(span.value, 'length', units)}`,
      },
    ],
  }
}

function size({ evaluation }: Bench): Overlay {
  const seen = new Set<DrivePart>()
  const marks = evaluation.findings.flatMap(({ subject, stage, title, state }) => {
    const part = PART_OF[subject]
    if (!part || stage !== 'size' || seen.has(part)) return []
    seen.add(part)
    return [{ part, state, text: title }]
  })
  return { ...NOTHING, marks }
}

function room({ axis, catalogue, units, line, evaluation }: Bench): Overlay {
  const { limits } = line
  // What needs a missing part or dimension lays nothing down.
  const left = known(() => travel(new Trace(axis, catalogue))).value
  if (!limits || !left) return NOTHING
  const verdict = evaluation.findings.find(({ checkId }) => checkId === 'room.travel')
  const zones = keptClear(axis, line.spanMm)
  return {
    ...NOTHING,
    marks: [{ part: 'nut', state: verdict?.state, text: `travel ${say(left.travelMm, 'length', units, 1)}` }],
    spans: [
      {
        fromMm: limits.firstMm,
        toMm: limits.lastMm,
        tone: 'lamp',
        label: `the screw allows ${say(left.screwTravelMm, 'length', units, 1)}`,
      },
      {
        fromMm: 0,
        toMm: line.spanMm,
        tone: 'ink',
        label: `between the blocks ${say(line.spanMm, 'length', units, 1)}`,
      },
      ...zones.map(zone => ({
        ...zone,
        tone: 'close' as const,
        label: `kept clear ${say(zone.toMm - zone.fromMm, 'length', units, 1)}`,
      })),
      ...recesses(axis, line.spanMm, units),
      ...tightestPlace(axis, catalogue, units),
    ],
    zones,
  }
}

/** Between the hard stops and where the nut turns back: room for soft limits and switches. */
const keptClear = ({ room }: Axis, spanMm: number): Zone[] =>
  [
    { fromMm: -room.recessFixedMm, toMm: room.safetyFixedMm - room.recessFixedMm },
    { fromMm: spanMm + room.recessFarMm - room.safetyFarMm, toMm: spanMm + room.recessFarMm },
  ].filter(({ fromMm, toMm }) => toMm > fromMm)

/** Where along the screw the nut has the least room; nothing where no room is measured. */
function tightestPlace(axis: Axis, catalogue: Catalogue, units: UnitSystem): Span[] {
  const worst = known(() => worstSection(new Trace(axis, catalogue))).value
  if (!worst) return []
  const { positionMm } = worst.station
  const label = `tightest at ${say(positionMm, 'length', units, 1)}`
  return [{ fromMm: positionMm - 1, toMm: positionMm + 1, tone: 'lamp', label }]
}

/** Recesses of the casting, beyond the faces of the blocks. */
const recesses = ({ room }: Axis, spanMm: number, units: UnitSystem): Span[] =>
  [
    { fromMm: -room.recessFixedMm, toMm: 0, mm: room.recessFixedMm },
    { fromMm: spanMm, toMm: spanMm + room.recessFarMm, mm: room.recessFarMm },
  ].flatMap(({ fromMm, toMm, mm }) =>
    mm > 0 ? [{ fromMm, toMm, tone: 'ink' as const, label: `recess ${say(mm, 'length', units, 1)}` }] : [],
  )

const JOINT_PART: Record<Joint, DrivePart> = {
  nut: 'nut',
  fixedBlock: 'bearing',
  farBlock: 'far',
  screwHub: 'coupler',
  motorFace: 'motor',
  motorHub: 'coupler',
}

/** The hubs of a belt drive are its pulleys. */
const hubPart = (axis: Axis, part: DrivePart): DrivePart =>
  part === 'coupler' && axis.drive.transmission === 'belt' ? 'belt' : part

function build({ axis, catalogue, units }: Bench): Overlay {
  const steps = procedure(axis, catalogue, units)
  if (!steps) return NOTHING
  const states = boltStates(steps, axis.ticks)
  const marks = (
    [
      'motorFace',
      'motorHub',
      'fixedBlock',
      'nut',
      ...(axis.ends === 'fixed-free' ? [] : ['farBlock']),
    ] as Joint[]
  ).map(joint => ({ part: hubPart(axis, JOINT_PART[joint]), text: `screws ${states[joint]}` }))
  return { ...NOTHING, marks }
}

function align({ axis, units }: Bench): Overlay {
  const round = axis.rounds.at(-1)
  const spanMm = axis.dimensions.supportSpanMm.value
  if (!round || spanMm === null) return NOTHING
  const advice = judgePlane(round, 'height', spanMm, axis.goals.alignmentTargetUm)
  if (advice.kind === 'too-few') return NOTHING
  const { correctionFixedUm, correctionFarUm } = advice.line
  // What must be raised stands low.
  const stands = (correctionUm: number) =>
    `${say(Math.abs(correctionUm), 'smallLength', units)} ${correctionUm > 0 ? 'low' : 'high'}`
  return {
    ...NOTHING,
    bend: {
      fixedUm: -correctionFixedUm,
      farUm: -correctionFarUm,
      label: 'dashed: the screw in height, much enlarged',
    },
    marks: [
      { part: 'bearing', text: stands(correctionFixedUm) },
      { part: 'far', text: stands(correctionFarUm) },
    ],
  }
}

/** A cause below this is left off the drawing; the table under Size has them all. */
const SMALLEST_SHOWN_UM = 0.05

function prove({ axis, catalogue, units, evaluation }: Bench): Overlay {
  const budget = known(() => lostMotionBudget(new Trace(axis, catalogue))).value
  if (!budget) return NOTHING
  const worst = axis.tests.at(-1) && worstStation(axis.tests.at(-1) as Axis['tests'][number])
  const measured = evaluation.findings.find(({ checkId }) => checkId === 'prove.reversal')
  return {
    ...NOTHING,
    marks: [
      ...budget.causes
        .filter(({ um }) => um >= SMALLEST_SHOWN_UM)
        .map(cause => ({
          part: cause.subject,
          text: `${cause.label.toLowerCase()} ${say(cause.um, 'smallLength', units)}`,
        })),
      ...(worst
        ? [
            {
              part: 'way' as const,
              state: measured?.state,
              text: `measured ${say(Math.abs(worst.figures.reversalUm), 'smallLength', units)}`,
            },
          ]
        : []),
    ],
  }
}

const OVERLAYS: Record<StageId, (bench: Bench) => Overlay> = {
  survey,
  size,
  room,
  build,
  align,
  prove,
  log: () => NOTHING,
}

/** The findings of a stage as they lie on the drive line. */
export const overlayOf = (stage: StageId, bench: Bench): Overlay => OVERLAYS[stage](bench)
