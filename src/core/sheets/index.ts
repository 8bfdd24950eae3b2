import type { Stage } from '../document/stages'
import { acceptance } from './acceptance/sheet'
import { bearingBlock } from './bearingBlock/sheet'
import { beforeAfter } from './beforeAfter/sheet'
import { chain } from './chain/sheet'
import { circle } from './circle/sheet'
import { compensation } from './compensation/sheet'
import { controller } from './controller/sheet'
import { cuts } from './cuts/sheet'
import { drag } from './drag/sheet'
import { drive } from './drive/sheet'
import { duty } from './duty/sheet'
import { fasteners } from './fasteners/sheet'
import { figures } from './figures/sheet'
import { findFault } from './findFault/sheet'
import { flange } from './flange/sheet'
import { fullTest } from './fullTest/sheet'
import { geometry } from './geometry/sheet'
import { gib } from './gib/sheet'
import { goals } from './goals/sheet'
import { grease } from './grease/sheet'
import { holes } from './holes/sheet'
import { hours } from './hours/sheet'
import { inWords } from './inWords/sheet'
import type { LaterCheckId } from './later'
import { leadscrewEnds } from './leadscrewEnds/sheet'
import { loads } from './loads/sheet'
import { log } from './log/sheet'
import { lostMotion } from './lostMotion/sheet'
import { lostSteps } from './lostSteps/sheet'
import { machineRecord } from './machineRecord/sheet'
import { nutRoom } from './nutRoom/sheet'
import { orders } from './orders/sheet'
import { overhang } from './overhang/sheet'
import { overview } from './overview/sheet'
import { ownParts } from './ownParts/sheet'
import { parts } from './parts/sheet'
import { preload } from './preload/sheet'
import { pushPull } from './pushPull/sheet'
import { rails } from './rails/sheet'
import { reversal } from './reversal/sheet'
import { runOut } from './runOut/sheet'
import { scale } from './scale/sheet'
import { schedule } from './schedule/sheet'
import { schools } from './schools/sheet'
import { screwLine } from './screwLine/sheet'
import { search } from './search/sheet'
import { shafts } from './shafts/sheet'
import type { Sheet } from './sheet'
import { slowFast } from './slowFast/sheet'
import { square } from './square/sheet'
import { steps } from './steps/sheet'
import { stopping } from './stopping/sheet'
import { switches } from './switches/sheet'
import { teardown } from './teardown/sheet'
import { template } from './template/sheet'
import { toMeasure } from './toMeasure/sheet'
import { travel } from './travel/sheet'
import { uncertainty } from './uncertainty/sheet'
import { waysFriction } from './waysFriction/sheet'
import { whereLost } from './whereLost/sheet'

/** Every sheet, in the order of the work. Everything that the app knows of a sheet is folded out of this list. */
const LISTED = [
  overview,
  schedule,
  hours,
  orders,
  ownParts,
  acceptance,
  machineRecord,
  geometry,
  loads,
  goals,
  toMeasure,
  inWords,
  search,
  drive,
  parts,
  schools,
  duty,
  figures,
  lostMotion,
  travel,
  stopping,
  nutRoom,
  holes,
  cuts,
  bearingBlock,
  leadscrewEnds,
  template,
  fasteners,
  chain,
  steps,
  teardown,
  switches,
  grease,
  controller,
  screwLine,
  preload,
  shafts,
  drag,
  flange,
  runOut,
  gib,
  rails,
  square,
  overhang,
  waysFriction,
  reversal,
  fullTest,
  beforeAfter,
  slowFast,
  pushPull,
  whereLost,
  lostSteps,
  circle,
  scale,
  uncertainty,
  findFault,
  compensation,
  log,
] as const

type Listed = (typeof LISTED)[number]
type KeysOf<T> = T extends unknown ? keyof T & string : never
type In<K extends string> = Listed extends infer S
  ? S extends { readonly [N in K]: infer T }
    ? KeysOf<T>
    : never
  : never

/** A misspelt id of a sheet, a check or a limit does not compile. */
export type SheetId = Listed['id']
export type CheckId = In<'checks'> | LaterCheckId
export type LimitKey = In<'limits'>

export const SHEETS: readonly (Sheet & { readonly id: SheetId })[] = LISTED

/** A sheet by its id. */
export const sheetOf = (id: SheetId) =>
  LISTED.find(sheet => sheet.id === id) as Sheet & { readonly id: SheetId }

/** The sheets of a stage, in the order of the work. */
export const sheetsOf = (stage: Stage): readonly (Sheet & { readonly id: SheetId })[] =>
  SHEETS.filter(sheet => sheet.stage === stage)

/** The sheet of a stage that it opens with. */
export const firstSheet = (stage: Stage): SheetId =>
  (LISTED.find(sheet => sheet.stage === stage) as Listed).id
