import { chartLater } from './chartLater'

/** Bars that are laid together from parts; put their figures beside them. */
export const BarsFigure = chartLater(() => import('./BarsDrawing').then(module => module.BarsDrawing), 160)
