import { defineSheet } from '../sheet'
import { PRELOAD_ROUNDS } from './model'

/** The bearings of the fixed block as they were set: no play, the turn that gives the preload, the drag that it adds. */
export const preload = defineSheet({
  id: 'preload',
  stage: 'align',
  order: 20,
  loads: 'stage',
  title: 'Bearings and locknut',
  fields: { preloadRounds: PRELOAD_ROUNDS },
})
