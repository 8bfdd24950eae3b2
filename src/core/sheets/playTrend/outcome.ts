import { defineOutcome } from '../outcome'
import { upkeepTrend } from './calculation'

export const playTrendOutcome = defineOutcome({ calculations: [upkeepTrend] })
