import { attempt } from '../../evaluation/attempt'
import { controllerSettings, correctedSteps, stepsPerMm } from '../../machine/build/controller'
import { outcomeOf } from '../outcome'
import { firstMovesOnPaper } from './paper'
import { controller } from './sheet'

/** The settings of the controller, and the sheet that goes to the machine with them. */
export const controllerOutcome = outcomeOf(controller.checks, {
  calculations: [stepsPerMm, correctedSteps],
  paper: context => [firstMovesOnPaper(context)],
  report: context => attempt(() => controllerSettings(context)).value ?? null,
})
