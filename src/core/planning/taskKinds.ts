import type { Stage } from '../document/stages'
import type { SheetId } from '../sheets'
import type { SubAssembly } from '../sheets/shared/steps/subAssemblies'

/** What every axis needs, in the order in which it is usually done. */
export const TASK_KINDS = [
  'measure',
  'parcel',
  'make',
  'teardown',
  'cut',
  'block',
  'assembly',
  'align1',
  'align2',
  'motor',
  'cables',
  'moves',
  'proof',
  'final',
  'own',
] as const
export type TaskKind = (typeof TASK_KINDS)[number]

interface KindFacts {
  /** What is done, before the name of the axis. */
  title: string
  /** What it usually takes, in minutes of hands. */
  minutes: number
  place: { stage: Stage; sheet: SheetId }
  /** Sub-assemblies of the build that it is made of: when all their steps are ticked it is done. */
  parts?: readonly SubAssembly[]
}

const BUILD = { stage: 'build', sheet: 'steps' } as const

/** Minutes as the trade counts them for an axis of a small machine; each can be set, and is learned from what it took. */
export const KINDS: Record<TaskKind, KindFacts> = {
  measure: { title: 'Measure', minutes: 60, place: { stage: 'survey', sheet: 'toMeasure' } },
  parcel: { title: 'Parcel', minutes: 1, place: { stage: 'machine', sheet: 'orders' } },
  make: { title: 'Make', minutes: 120, place: { stage: 'room', sheet: 'template' } },
  teardown: {
    title: 'Take apart',
    minutes: 90,
    place: { stage: 'build', sheet: 'teardown' },
    parts: ['apart'],
  },
  cut: { title: 'Cuts', minutes: 60, place: { stage: 'room', sheet: 'cuts' } },
  block: { title: 'Bearing block', minutes: 60, place: BUILD, parts: ['block'] },
  assembly: { title: 'Assembly', minutes: 90, place: BUILD, parts: ['screwNut', 'ways', 'casting'] },
  align1: { title: 'Alignment, first round', minutes: 60, place: { stage: 'align', sheet: 'screwLine' } },
  align2: {
    title: 'Alignment, second round',
    minutes: 60,
    place: { stage: 'align', sheet: 'screwLine' },
    parts: ['setTrue', 'square'],
  },
  motor: { title: 'Motor and coupler', minutes: 45, place: BUILD, parts: ['motor'] },
  cables: {
    title: 'Switches and cables',
    minutes: 90,
    place: { stage: 'build', sheet: 'switches' },
    parts: ['wiring'],
  },
  moves: {
    title: 'First moves',
    minutes: 30,
    place: { stage: 'build', sheet: 'controller' },
    parts: ['moves'],
  },
  proof: { title: 'Proof', minutes: 60, place: { stage: 'prove', sheet: 'reversal' }, parts: ['proof'] },
  final: { title: 'Final assembly', minutes: 60, place: BUILD, parts: ['final'] },
  own: { title: '', minutes: 60, place: { stage: 'machine', sheet: 'schedule' } },
}
