import { chartLater } from './chartLater'

/** Lines over a scale; put their figures beside them. */
export const LineFigure = chartLater(() => import('./LineDrawing').then(module => module.LineDrawing), 260)
