import { say } from '../../units/print'
import { defineSheet } from '../sheet'

/** Travel, span and bracket as they are measured. */
export const geometry = defineSheet({
  id: 'geometry',
  stage: 'survey',
  title: 'Geometry',
  overlay({ axis, units }, line) {
    const { value } = axis.dimensions.supportSpanMm
    const label =
      value === null ? 'between the blocks: to measure' : `between the blocks ${say(value, 'length', units)}`
    return { spans: [{ fromMm: 0, toMm: line.spanMm, tone: 'ink', label }] }
  },
})
