import type { Check } from '../evaluation/check'
import { standing } from '../evaluation/finding'
import {
  fastenerChooseLength,
  fastenerEngagement,
  fastenerTorque,
  STOCK_LENGTHS_MM,
} from '../machine/joints/fastener'
import { travel } from '../machine/travel/placement'
import { bearingStack } from './bearingBlock/calculation'
import { MACHINE_TO_SIZE_FROM, stackupChain } from './chain/calculation'
import { holeEnlarge } from './holes/calculation'
import {
  blockInputs,
  contributors,
  holeInputs,
  type JudgedJoint,
  jointInputs,
  judgeJoint,
  shimsFor,
  torqueInputs,
} from './makingInputs'
import type { SectionSide } from './nutRoom/calculation'
import { worstSection } from './nutRoom/sections'

export const SIDE_WORDS: Record<SectionSide, string> = {
  left: 'on the left',
  right: 'on the right',
  ceiling: 'above',
  floor: 'below',
}
const LONGEST_SCREW_MM = STOCK_LENGTHS_MM[STOCK_LENGTHS_MM.length - 1] as number

/** The joint whose thread is used the least, for what it needs. */
const leastEngaged = (judged: [JudgedJoint, ...JudgedJoint[]]): JudgedJoint => {
  const ratio = ({ chosen }: JudgedJoint) => (chosen ? chosen.engagementMm / chosen.requiredMm : 0)
  return judged.reduce((least, one) => (ratio(one) < ratio(least) ? one : least))
}
const NONE = { figure: null, limit: null, use: null }

export const ROOM_CHECKS: Check[] = [
  {
    checkId: 'room.travel',
    title: 'Travel',
    subject: 'travel',
    stage: 'room',
    judge(t, say) {
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
      return {
        ...standing(t.axis, 'room.travel', travelMm / wanted),
        figure: { value: travelMm, quantity: 'length' },
        limit: { value: wanted, quantity: 'length' },
        use: travelMm > 0 ? wanted / travelMm : null,
        sentence: `${say(travelMm, 'length', 1)} of travel is left, against ${say(wanted, 'length', 1)} wanted: ${why}.`,
      }
    },
  },
  {
    checkId: 'room.section',
    title: 'Room around the nut',
    subject: 'nut',
    stage: 'room',
    judge(t, say) {
      const { stations, minimumGapMm, minimumWallMm } = t.axis.making.section
      if (stations.length === 0) return null
      const at = worstSection(t)
      if (!at) return { ...NONE, state: 'unknown', sentence: 'The nut comes past no place that is measured.' }
      const { gapMm, cutMm, wallAfterMm, verdict } = at.sides[at.worst]
      const where = `${SIDE_WORDS[at.worst]}, ${say(at.station.positionMm, 'length', 1)} along the screw`
      if (verdict === 'clear')
        return {
          state: 'holds',
          figure: { value: gapMm, quantity: 'length' },
          limit: { value: minimumGapMm, quantity: 'length' },
          use: null,
          sentence: `The nut comes no closer to the casting than ${say(gapMm, 'length', 1)}, against ${say(minimumGapMm, 'length', 1)} to keep: ${where}.`,
        }
      const left = `${say(cutMm, 'length', 1)} must go ${where}; that leaves ${say(Math.max(0, wallAfterMm), 'length', 1)} of wall, against ${say(minimumWallMm, 'length', 1)} to keep`
      return {
        state: verdict === 'cut' ? 'close' : 'fails',
        figure: { value: Math.max(0, wallAfterMm), quantity: 'length' },
        limit: { value: minimumWallMm, quantity: 'length' },
        use: null,
        sentence: verdict === 'cut' ? `${left}.` : `Not fit to cut: ${left}. Take another way.`,
      }
    },
  },
  {
    checkId: 'room.holes',
    title: 'Holes to enlarge',
    subject: 'travel',
    stage: 'room',
    judge(t, say) {
      const { holes } = t.axis.making
      const judged = holes.map(hole => ({
        hole,
        result: holeEnlarge.compute(holeInputs(hole, t.shop.cutterSizesMm)),
      }))
      const worst =
        judged.find(({ result }) => result.verdict === 'too-thin') ??
        judged.find(({ result }) => result.verdict === 'no-cutter') ??
        judged.toSorted((a, b) => (a.result.wallAfterMm ?? 0) - (b.result.wallAfterMm ?? 0))[0]
      if (!worst) return null
      const { hole } = worst
      const { neededDiameterMm, cutterMm, wallAfterMm, verdict } = t.figure(
        'hole',
        holeEnlarge,
        holeInputs(hole, t.shop.cutterSizesMm),
      )
      const needs = `${hole.label} needs ${say(neededDiameterMm, 'length', 1)}`
      if (verdict === 'no-cutter')
        return { ...NONE, state: 'fails', sentence: `${needs}, and no cutter at hand is so large.` }
      const wall = `takes a cutter of ${say(cutterMm ?? 0, 'length', 1)}, which leaves ${say(Math.max(0, wallAfterMm ?? 0), 'length', 1)} of wall, against ${say(hole.minimumWallMm, 'length', 1)} to keep`
      return {
        state: verdict === 'cut' ? 'holds' : 'fails',
        figure: { value: Math.max(0, wallAfterMm ?? 0), quantity: 'length' },
        limit: { value: hole.minimumWallMm, quantity: 'length' },
        use: null,
        sentence: verdict === 'cut' ? `${needs}: ${wall}.` : `Not fit to cut: ${needs}, ${wall}.`,
      }
    },
  },
  {
    checkId: 'room.block',
    title: 'Stack of the bearing block',
    subject: 'bearing',
    stage: 'room',
    judge(t, say) {
      const { block } = t.axis.making
      if (!block) return null
      const { proudMm, shimMm, spacerForTargetMm, verdict } = t.figure(
        'block',
        bearingStack,
        blockInputs(block),
      )
      const { targetProudMm, maximumProudMm } = block
      const um = (mm: number) => say(mm * 1000, 'smallLength')
      const band = `against ${um(targetProudMm)} to ${um(maximumProudMm)} wanted`
      const stands =
        proudMm >= 0
          ? `The cover stands ${um(proudMm)} proud`
          : `The cover touches the block ${um(-proudMm)} too early`
      const figures = {
        figure: { value: proudMm * 1000, quantity: 'smallLength' as const },
        limit: {
          value: (verdict === 'too-proud' ? maximumProudMm : targetProudMm) * 1000,
          quantity: 'smallLength' as const,
        },
        use: null,
      }
      if (verdict === 'clamps')
        return { ...figures, state: 'holds', sentence: `${stands}, ${band}: it clamps the outer rings.` }
      if (verdict === 'too-proud')
        return {
          ...figures,
          state: 'fails',
          sentence: `${stands}, ${band}: it would bend. ${
            spacerForTargetMm >= 0
              ? `Take the spacer down to ${say(spacerForTargetMm, 'length')}.`
              : `Take ${say(-spacerForTargetMm, 'length')} off the spigot of the cover.`
          }`,
        }
      const shims = shimsFor(shimMm, maximumProudMm - proudMm, t.shop.shimStockMm)
      return {
        ...figures,
        state: shims ? 'close' : 'fails',
        sentence: `${stands}, ${band}: the outer rings are loose. ${
          shims
            ? `Shim with ${shims.map(um).join(' + ')}.`
            : `Shim ${um(shimMm)}: the stock at hand does not make that; or make the spacer ${say(spacerForTargetMm, 'length')}.`
        }`,
      }
    },
  },
  {
    checkId: 'room.joints',
    title: 'Screws of the joints',
    subject: 'axis',
    stage: 'room',
    judge(t, say) {
      const { joints } = t.axis.making
      const [firstJoint, ...others] = joints
      if (!firstJoint) return null
      const judged: [JudgedJoint, ...JudgedJoint[]] = [judgeJoint(firstJoint), ...others.map(judgeJoint)]
      const hopeless = judged.find(({ chosenMm }) => chosenMm === null)
      const wrong = judged.filter(({ supplied }) => supplied && supplied.verdict !== 'ok')
      const worst = hopeless ?? wrong[0] ?? leastEngaged(judged)
      const screwLengthMm =
        (wrong.includes(worst) ? worst.joint.suppliedMm : worst.chosenMm) ?? LONGEST_SCREW_MM
      t.figure('joint', fastenerEngagement, { ...jointInputs(worst.joint), screwLengthMm })
      t.figure('jointLength', fastenerChooseLength, jointInputs(worst.joint))
      if (worst.chosen)
        t.figure('jointTorque', fastenerTorque, torqueInputs(worst.joint, worst.chosen.engagementMm))
      if (hopeless)
        return {
          ...NONE,
          state: 'fails',
          sentence: `${hopeless.joint.label}: no screw that is sold holds in it. Tap deeper, thin the grip, or bolt through.`,
        }
      const [first] = wrong
      if (!first) {
        const screws = joints.reduce((sum, { count }) => sum + count, 0)
        return {
          ...NONE,
          state: 'holds',
          sentence: `All ${screws} screws go in far enough, and none bottoms out.`,
        }
      }
      const { joint, supplied, chosenMm } = first
      return {
        ...NONE,
        state: 'close',
        sentence: `${joint.label}: the ${joint.thread} screws of ${joint.suppliedMm} mm that came with it ${
          supplied?.verdict === 'short'
            ? `reach only ${say(supplied.engagementMm, 'length', 1)} of the ${say(supplied.requiredMm, 'length', 1)} needed`
            : 'bottom out before they clamp'
        }. Take ${chosenMm} mm.${wrong.length > 1 ? ` ${wrong.length - 1} more joints are wrong.` : ''}`,
      }
    },
  },
  {
    checkId: 'room.chain',
    title: 'Chain of dimensions',
    subject: 'axis',
    stage: 'room',
    judge(t, say) {
      const { chain } = t.axis.making
      if (chain.links.length === 0) return null
      for (const { dimension } of chain.links) if (dimension) t.dimension(dimension)
      const { probabilityWithin, advice, adjustmentRangeMm, worstMinMm, worstMaxMm } = t.figure(
        'chain',
        stackupChain,
        {
          contributors: contributors(t.axis, chain),
          lowerLimitMm: chain.lowerLimitMm,
          upperLimitMm: chain.upperLimitMm,
        },
      )
      const comesTo = `It comes to between ${say(worstMinMm, 'length')} and ${say(worstMaxMm, 'length')} at worst; ${say(probabilityWithin, 'share')} would fall within the limits`
      return {
        state: advice === 'machine-to-size' ? 'holds' : 'close',
        figure: { value: probabilityWithin, quantity: 'share' },
        limit: { value: MACHINE_TO_SIZE_FROM, quantity: 'share' },
        use: null,
        sentence:
          advice === 'machine-to-size'
            ? `${comesTo}. Make the parts to size.`
            : `${comesTo}. Leave it adjustable: slots or shims over ${say(adjustmentRangeMm, 'length')}.`,
      }
    },
  },
]
