import dynamic from 'next/dynamic'
import type { ComponentType } from 'react'
import type { SheetId } from '@/core/sheets'
import { withLater } from '../job/later'
import { GeometryPanel } from './geometry/Panel'

const later = (load: () => Promise<ComponentType>) => dynamic(load, { ssr: false })
/** A panel that needs what the sheets of Align and Prove judge by: those themselves, and steps that they hold up. */
const judged = (load: () => Promise<ComponentType>) => later(() => withLater(load))

/** The panel of every sheet; the compiler sees that none is missing. The first comes with the app. */
export const PANELS: Record<SheetId, ComponentType> = {
  overview: judged(() => import('./overview/Panel').then(module => module.OverviewPanel)),
  schedule: later(() => import('./schedule/Panel').then(module => module.SchedulePanel)),
  hours: later(() => import('./hours/Panel').then(module => module.HoursPanel)),
  orders: later(() => import('./orders/Panel').then(module => module.OrdersPanel)),
  ownParts: later(() => import('./ownParts/Panel').then(module => module.OwnPartsPanel)),
  machineRecord: later(() => import('./machineRecord/Panel').then(module => module.MachineRecordPanel)),
  geometry: GeometryPanel,
  loads: later(() => import('./loads/Panel').then(module => module.LoadsPanel)),
  goals: later(() => import('./goals/Panel').then(module => module.GoalsPanel)),
  toMeasure: later(() => import('./toMeasure/Panel').then(module => module.ToMeasurePanel)),
  inWords: later(() => import('./inWords/Panel').then(module => module.InWordsPanel)),
  search: later(() => import('./search/Panel').then(module => module.SearchPanel)),
  drive: later(() => import('./drive/Panel').then(module => module.DrivePanel)),
  parts: later(() => import('./parts/Panel').then(module => module.PartsPanel)),
  schools: later(() => import('./schools/Panel').then(module => module.SchoolsPanel)),
  duty: later(() => import('./duty/Panel').then(module => module.DutyPanel)),
  figures: later(() => import('./figures/Panel').then(module => module.FiguresPanel)),
  lostMotion: later(() => import('./lostMotion/Panel').then(module => module.LostMotionPanel)),
  travel: later(() => import('./travel/Panel').then(module => module.TravelPanel)),
  stopping: later(() => import('./stopping/Panel').then(module => module.StoppingPanel)),
  nutRoom: later(() => import('./nutRoom/Panel').then(module => module.NutRoomPanel)),
  holes: later(() => import('./holes/Panel').then(module => module.HolesPanel)),
  cuts: later(() => import('./cuts/Panel').then(module => module.CutsPanel)),
  bearingBlock: later(() => import('./bearingBlock/Panel').then(module => module.BearingBlockPanel)),
  leadscrewEnds: later(() => import('./leadscrewEnds/Panel').then(module => module.LeadscrewEndsPanel)),
  template: later(() => import('./template/Panel').then(module => module.TemplatePanel)),
  fasteners: later(() => import('./fasteners/Panel').then(module => module.FastenersPanel)),
  chain: later(() => import('./chain/Panel').then(module => module.ChainPanel)),
  steps: judged(() => import('./steps/Panel').then(module => module.StepsPanel)),
  teardown: judged(() => import('./teardown/Panel').then(module => module.TeardownPanel)),
  switches: later(() => import('./switches/Panel').then(module => module.SwitchesPanel)),
  grease: later(() => import('./grease/Panel').then(module => module.GreasePanel)),
  controller: later(() => import('./controller/Panel').then(module => module.ControllerPanel)),
  screwLine: judged(() => import('./screwLine/Panel').then(module => module.ScrewLinePanel)),
  shafts: judged(() => import('./shafts/Panel').then(module => module.ShaftsPanel)),
  preload: judged(() => import('./preload/Panel').then(module => module.PreloadPanel)),
  drag: judged(() => import('./drag/Panel').then(module => module.DragPanel)),
  flange: judged(() => import('./flange/Panel').then(module => module.FlangePanel)),
  runOut: judged(() => import('./runOut/Panel').then(module => module.RunOutPanel)),
  gib: judged(() => import('./gib/Panel').then(module => module.GibPanel)),
  rails: judged(() => import('./rails/Panel').then(module => module.RailsPanel)),
  square: judged(() => import('./square/Panel').then(module => module.SquarePanel)),
  overhang: judged(() => import('./overhang/Panel').then(module => module.OverhangPanel)),
  waysFriction: judged(() => import('./waysFriction/Panel').then(module => module.WaysFrictionPanel)),
  reversal: judged(() => import('./reversal/Panel').then(module => module.ReversalPanel)),
  fullTest: judged(() => import('./fullTest/Panel').then(module => module.FullTestPanel)),
  pushPull: judged(() => import('./pushPull/Panel').then(module => module.PushPullPanel)),
  whereLost: judged(() => import('./whereLost/Panel').then(module => module.WhereLostPanel)),
  lostSteps: judged(() => import('./lostSteps/Panel').then(module => module.LostStepsPanel)),
  circle: judged(() => import('./circle/Panel').then(module => module.CirclePanel)),
  scale: judged(() => import('./scale/Panel').then(module => module.ScalePanel)),
  findFault: judged(() => import('./findFault/Panel').then(module => module.FindFaultPanel)),
  compensation: judged(() => import('./compensation/Panel').then(module => module.CompensationPanel)),
  log: later(() => import('./log/Panel').then(module => module.LogPanel)),
}
