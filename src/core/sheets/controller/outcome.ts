import { attempt } from '../../evaluation/attempt'
import { defineOutcome } from '../outcome'
import { controllerSettings, controllerSteps, correctedSteps } from '../shared/steps/controller'
import { firstMovesOnPaper } from './paper'
import { REMEDIES } from './remedies'

/** The settings of the controller, and the sheet that goes to the machine with them. */
export const controllerOutcome = defineOutcome({
  calculations: [controllerSteps, correctedSteps],
  remedies: REMEDIES,
  paper: context => [firstMovesOnPaper(context)],
  report: context => attempt(() => controllerSettings(context)).value ?? null,
})
