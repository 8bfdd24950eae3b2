import { BAGGED, OWN_BAGGED, SLIDE } from '../shared/steps/model'
import { defineSheet } from '../sheet'

/** How the axis is taken apart, and what goes into which bag. */
export const teardown = defineSheet({
  id: 'teardown',
  stage: 'build',
  order: 20,
  loads: 'asked',
  title: 'Take apart',
  fields: { slide: SLIDE, bagged: BAGGED, ownBagged: OWN_BAGGED },
})
