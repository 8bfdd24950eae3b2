import { askFor, type Check, defineChecks, type Judgement } from '../../evaluation/check'
import { standing } from '../../evaluation/finding'
import { NotKnown } from '../../evaluation/notKnown'
import { byMachines } from '../../machine/castings'
import { expectedTravel, travel } from '../../machine/travel/placement'
import { RECESS_OF, type RecessEnd, recessAt } from '../../machine/travel/recess'
import { LIMITS } from './limits'
import { RECESS_METAL } from './model'

const recessCheck = (end: RecessEnd): Check => ({
  title: `Recess at the ${end} end`,
  subject: 'travel',
  judge(t, say): Judgement | null {
    if (t.axis.recesses[RECESS_OF[end]] === 0) return null
    const recess = recessAt(t, end)
    if (!recess) return null
    const { depthMm, diameterMm, metalMm, deepestMm, wallAroundMm, wallToKeepMm } = recess
    const length = (mm: number) => say(Math.max(0, mm), 'length', 1)
    const thin = wallAroundMm < wallToKeepMm
    const deep = depthMm > deepestMm
    if (metalMm === null && !thin && !deep)
      throw new NotKnown({
        sheet: 'travel',
        stage: 'room',
        what: RECESS_METAL.of[end === 'fixed' ? 'fixedMm' : 'farMm'].label.toLowerCase(),
      })
    const width = `It is ${length(diameterMm)} wide, for what enters it`
    return {
      state: thin || deep ? 'fails' : 'holds',
      figure: { value: depthMm, quantity: 'length' },
      limit: { value: deepestMm, quantity: 'length' },
      use: deepestMm > 0 ? depthMm / deepestMm : null,
      sentence: () =>
        thin
          ? `Not fit to cut. ${width}, which leaves ${length(wallAroundMm)} of wall around it in the block, against ${length(wallToKeepMm)} to keep.`
          : deep
            ? `Not fit to cut: ${length(depthMm)} deep runs into the bearings. ${metalMm === null ? 'The whole block' : 'The metal before them'} leaves ${length(deepestMm)} with the wall to keep.`
            : `${length(depthMm)} deep, against ${length(deepestMm)} that the metal before the bearings leaves with the wall to keep. ${width}, which leaves ${length(wallAroundMm)} around it.`,
    }
  },
})

const WAY = { dimension: 'wayTravelMm' } as const

export const TRAVEL_CHECKS = defineChecks({
  'room.travel': {
    title: 'Travel',
    subject: 'travel',
    ofDrive: true,
    judge(t, say) {
      const expected = expectedTravel(t)
      const length = (mm: number) => say(mm, 'length', 1)
      const byThem = expected
        ? `${byMachines([expected.machines])}, between ${length(expected.leastMm)} and ${length(expected.mostMm)} of travel would be left`
        : null
      if (byThem && t.dimensionAsItIs('wayTravelMm').value === null)
        return {
          state: 'unknown',
          figure: null,
          limit: null,
          use: null,
          missing: WAY,
          sentence: () => `${askFor(WAY)} ${byThem}, against ${length(t.axis.goals.wantedTravelMm)} wanted.`,
        }
      const { travelMm, lostMm, limitedBy, recessNeededMm } = travel(t)
      const wanted = t.axis.goals.wantedTravelMm
      const why =
        limitedBy === 'screw'
          ? `the screw, its nut and the blocks take ${say(lostMm, 'length', 1)} of what the ways allow; a recess of ${say(
              recessNeededMm,
              'length',
              1,
            )} in all brings it back`
          : 'the ways end it, not the screw'
      const stood = standing(t, LIMITS['room.travel'], travelMm / wanted)
      const mayFallShort =
        expected !== null &&
        standing(t, LIMITS['room.travel'], expected.leastMm / wanted).state !== stood.state
      return {
        ...stood,
        // What stands here is only assumed, and other machines had less: it holds once it is measured.
        state: stood.state === 'holds' && mayFallShort ? 'close' : stood.state,
        // Where the ways end the travel no other drive gives more of it.
        rankMargin: limitedBy === 'ways' ? null : stood.margin,
        figure: { value: travelMm, quantity: 'length' },
        limit: { value: wanted, quantity: 'length' },
        use: travelMm > 0 ? wanted / travelMm : null,
        sentence: () =>
          `${say(travelMm, 'length', 1)} of travel is left, against ${say(wanted, 'length', 1)} wanted: ${why}.${byThem ? ` ${byThem}: measure before anything is cut.` : ''}`,
      }
    },
  },
  'recess.fixed': recessCheck('fixed'),
  'recess.far': recessCheck('far'),
})
