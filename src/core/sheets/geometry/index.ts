import { defineSheet } from '../sheet'

/** Travel, span and bracket as they are measured. */
export const geometry = defineSheet({
  id: 'geometry',
  stage: 'survey',
  order: 10,
  loads: 'first',
  title: 'Geometry',
})
