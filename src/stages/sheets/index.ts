import dynamic from 'next/dynamic'
import type { ComponentType } from 'react'
import type { SheetId } from '@/core/sheets'
import { GeometryPanel } from './geometry/Panel'
import { GoalsPanel } from './goals/Panel'
import { LoadsPanel } from './loads/Panel'
import { ToMeasurePanel } from './toMeasure/Panel'

const later = (load: () => Promise<ComponentType>) => dynamic(load, { ssr: false })

/** The panel of every sheet; the compiler sees that none is missing. Those of the first stage come with the app. */
export const PANELS: Record<SheetId, ComponentType> = {
  overview: later(() => import('./overview/Panel').then(module => module.OverviewPanel)),
  schedule: later(() => import('./schedule/Panel').then(module => module.SchedulePanel)),
  hours: later(() => import('./hours/Panel').then(module => module.HoursPanel)),
  orders: later(() => import('./orders/Panel').then(module => module.OrdersPanel)),
  ownParts: later(() => import('./ownParts/Panel').then(module => module.OwnPartsPanel)),
  machineRecord: later(() => import('./machineRecord/Panel').then(module => module.MachineRecordPanel)),
  geometry: GeometryPanel,
  loads: LoadsPanel,
  goals: GoalsPanel,
  toMeasure: ToMeasurePanel,
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
  steps: later(() => import('./steps/Panel').then(module => module.StepsPanel)),
  teardown: later(() => import('./teardown/Panel').then(module => module.TeardownPanel)),
  switches: later(() => import('./switches/Panel').then(module => module.SwitchesPanel)),
  grease: later(() => import('./grease/Panel').then(module => module.GreasePanel)),
  controller: later(() => import('./controller/Panel').then(module => module.ControllerPanel)),
  screwLine: later(() => import('./screwLine/Panel').then(module => module.ScrewLinePanel)),
  shafts: later(() => import('./shafts/Panel').then(module => module.ShaftsPanel)),
  preload: later(() => import('./preload/Panel').then(module => module.PreloadPanel)),
  drag: later(() => import('./drag/Panel').then(module => module.DragPanel)),
  flange: later(() => import('./flange/Panel').then(module => module.FlangePanel)),
  runOut: later(() => import('./runOut/Panel').then(module => module.RunOutPanel)),
  gib: later(() => import('./gib/Panel').then(module => module.GibPanel)),
  rails: later(() => import('./rails/Panel').then(module => module.RailsPanel)),
  square: later(() => import('./square/Panel').then(module => module.SquarePanel)),
  overhang: later(() => import('./overhang/Panel').then(module => module.OverhangPanel)),
  waysFriction: later(() => import('./waysFriction/Panel').then(module => module.WaysFrictionPanel)),
  reversal: later(() => import('./reversal/Panel').then(module => module.ReversalPanel)),
  log: later(() => import('./log/Panel').then(module => module.LogPanel)),
}
