import fc from 'fast-check'
import { evenRandom } from '../calculation/evenRandom'
import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import type { PartOf } from '../document/parts/types'
import { EvaluationContext } from '../evaluation/context'
import { remedied } from '../evaluation/remedy'
import { blankRecord, blankRow, numbered } from '../field/field'
import {
  fastenerChooseLength,
  fastenerEngagement,
  fastenerTorque,
  stockLengthsMm,
  stockLengthWords,
} from '../machine/joints/fastener'
import { judgeJoint } from '../machine/joints/joint'
import type { BoltedJoint } from '../machine/joints/model'
import { threadDrills } from '../machine/joints/thread'
import { isUnified, THREAD_NAMES, THREADS } from '../machine/joints/threadTable'
import { tighteningTurns } from '../machine/joints/tightening'
import { CATALOGUE } from '../machine/parts'
import { recessAt } from '../machine/travel/recess'
import type { CheckId } from '.'
import { blockInputs, orientation, wayRound } from './bearingBlock/inputs'
import { BEARINGS, type BearingBlock, BLOCK } from './bearingBlock/model'
import { type Contributor, shimSet, stackupChain } from './chain/calculation'
import { contributors } from './chain/inputs'
import { drawChain } from './chain/monteCarlo'
import { cutList } from './cutList'
import { evaluateAxis } from './evaluateAxis'
import { holeCuts } from './holes/cuts'
import { bungDrawing } from './holes/drawing'
import { HOLES, type Hole } from './holes/model'
import { blankSheets } from './newJob'
import { type Protrusion, type Section, type SectionStation, STATIONS } from './nutRoom/model'
import { nutEnvelope, sections, worstSection } from './nutRoom/sections'
import { remediesFor } from './remediesFor'
import { shimsFor } from './shared/rounds/shims'
import { boltCircle } from './template/boltCircle'
import { compareTravel } from './travel/compareTravel'

const [X] = skarrow().job.axes as [Axis]
const screw = CATALOGUE.screw.get(X.parts.screw ?? '') as PartOf['screw']
const wide: SectionStation = {
  id: 'wide',
  positionMm: 200,
  leftMm: 50,
  rightMm: 50,
  ceilingMm: 50,
  floorMm: 50,
  wallLeftMm: 20,
  wallRightMm: 20,
  wallCeilingMm: 20,
  wallFloorMm: 20,
}
const fitting = (side: Protrusion['side']): Protrusion => ({
  id: `fitting-${side}`,
  what: 'grease fitting',
  standsOutMm: 8,
  side,
})
const NOTHING = blankSheets()
const axisWith = (section: Partial<Section>, more: Partial<Axis> = {}): Axis => {
  const { holes, block, joints, bracketHoles, chain } = NOTHING
  return {
    ...X,
    holes,
    block,
    joints,
    bracketHoles,
    chain,
    // Measured: the nut itself is the widest, unless a test says otherwise.
    section: { ...NOTHING.section, bracketWidthMm: 0, bracketHeightMm: 0, ...section },
    ...more,
  }
}
/** The casting all along the travel: the same at both ends and in between. */
const allAlong = (station: SectionStation): SectionStation[] =>
  [40, 200, 290, 400, 520].map(positionMm => ({ ...station, id: `at-${positionMm}`, positionMm }))
const find = (axis: Axis, checkId: CheckId, units: 'mm' | 'inch' = 'mm') =>
  evaluateAxis(axis, CATALOGUE, units).findings.find(one => one.checkId === checkId)

describe('room around the nut', () => {
  const t = (section: Partial<Section>) => new EvaluationContext(axisWith(section), CATALOGUE)

  test('is judged by what is widest of nut, flange and bracket', () => {
    expect(nutEnvelope(t({}))).toEqual({
      widthMm: screw.nutFlangeDiameterMm,
      heightMm: screw.nutFlangeDiameterMm,
    })
    expect(nutEnvelope(t({ bracketWidthMm: 90, bracketHeightMm: 20 }))).toEqual({
      widthMm: 90,
      heightMm: screw.nutFlangeDiameterMm,
    })
  })

  test('counts a grease fitting on its own side alone, and spacers above', () => {
    const half = screw.nutFlangeDiameterMm / 2
    const [at] = sections(t({ stations: [wide], protrusions: [fitting('right')], spacersMm: 5 }))
    expect(at?.sides.left.gapMm).toBeCloseTo(50 - half, 12)
    expect(at?.sides.right.gapMm).toBeCloseTo(50 - half - 8, 12)
    expect(at?.sides.ceiling.gapMm).toBeCloseTo(55 - half, 12)
    expect(at?.sides.floor.gapMm).toBeCloseTo(50 - half, 12)
    expect(at?.worst).toBe('right')
  })

  test('the furthest of what stands out on a side counts, and their order does not', () => {
    const half = screw.nutFlangeDiameterMm / 2
    const more: Protrusion[] = [
      fitting('floor'),
      { id: 'heads', what: 'screw heads', standsOutMm: 5, side: 'floor' },
      { id: 'tubes', what: 'return tubes', standsOutMm: 11, side: 'left' },
    ]
    const at = (protrusions: Protrusion[]) => sections(t({ stations: [wide], protrusions }))[0]
    expect(at(more)?.sides.floor.gapMm).toBeCloseTo(50 - half - 8, 12)
    expect(at(more)?.sides.left.gapMm).toBeCloseTo(50 - half - 11, 12)
    expect(at(more)?.sides.right.gapMm).toBeCloseTo(50 - half, 12)
    expect(at(more)?.worst).toBe('left')
    expect(at(more.toReversed())).toEqual(at(more))
  })

  test('only a grease fitting is turned; screw heads and tubes stay where they are', () => {
    const tight = { stations: allAlong({ ...wide, ceilingMm: 34 }) }
    const ways = (what: Protrusion['what']) =>
      remediesFor(
        axisWith({ ...tight, protrusions: [{ id: 'one', what, standsOutMm: 8, side: 'ceiling' }] }),
        CATALOGUE,
        'mm',
        'room.section',
      ).map(({ label }) => label)
    const turned = expect.stringMatching(/^Grease fitting/)
    expect(ways('grease fitting')).toContainEqual(turned)
    expect(ways('screw heads')).not.toContainEqual(turned)
    expect(ways('return tubes')).not.toContainEqual(turned)
  })

  test('leaves out what the nut never comes past, and finds the worst of the rest', () => {
    const far = { ...wide, positionMm: 900, leftMm: 1 }
    const tight = { ...wide, positionMm: 300, leftMm: 25 }
    const tighter = { ...wide, positionMm: 320, leftMm: 24 }
    expect(sections(t({ stations: [wide, far] }))).toHaveLength(1)
    expect(worstSection(t({ stations: [wide, tight, tighter, far] }))?.station.positionMm).toBe(320)
    const thin = { ...wide, positionMm: 100, floorMm: 27, wallFloorMm: 7 }
    expect(worstSection(t({ stations: [wide, tighter, thin] }))?.worst).toBe('floor')
    expect(find(axisWith({ stations: [far] }), 'room.section')?.state).toBe('unknown')
    expect(find(axisWith({}), 'room.section')).toBeUndefined()
  })

  test('holds, needs a cut, or is not fit to cut; each with a way out that makes it hold', () => {
    const cases: [Partial<Section>, string][] = [
      [{ stations: allAlong(wide) }, 'holds'],
      [{ stations: allAlong({ ...wide, ceilingMm: 28 }) }, 'close'],
      [{ stations: allAlong({ ...wide, ceilingMm: 28, wallCeilingMm: 7 }) }, 'fails'],
      [
        {
          stations: allAlong({ ...wide, ceilingMm: 34, wallCeilingMm: 7 }),
          protrusions: [fitting('ceiling')],
        },
        'fails',
      ],
      [{ stations: allAlong({ ...wide, leftMm: 34 }), bracketWidthMm: 70 }, 'close'],
    ]
    for (const [section, state] of cases) {
      const axis = axisWith(section)
      expect(find(axis, 'room.section')?.state).toBe(state)
      const ways = remediesFor(axis, CATALOGUE, 'mm', 'room.section')
      if (state !== 'holds') expect(ways.length).toBeGreaterThan(0)
      for (const way of ways) expect(find(remedied(axis, way), 'room.section')?.state).toBe('holds')
    }
    const turned = remediesFor(
      axisWith({ stations: allAlong({ ...wide, ceilingMm: 34 }), protrusions: [fitting('ceiling')] }),
      CATALOGUE,
      'mm',
      'room.section',
    )
    expect(turned.map(({ label }) => label)).toContainEqual(expect.stringMatching(/^Grease fitting/))
  })

  test('one station says nothing of the rest: not known, unless it fails already', () => {
    const one = find(axisWith({ stations: [wide] }), 'room.section')
    expect(one?.state).toBe('unknown')
    expect(one?.sentence).toMatch(
      /^Enter first: the room from .* along the screw, past which the nut comes\.$/,
    )
    expect(
      find(axisWith({ stations: [{ ...wide, ceilingMm: 28, wallCeilingMm: 7 }] }), 'room.section')?.state,
    ).toBe('fails')
    // Both ends, and nothing of the long stretch between them.
    const ends = [40, 520].map(positionMm => ({ ...wide, id: `at-${positionMm}`, positionMm }))
    expect(find(axisWith({ stations: ends }), 'room.section')?.state).toBe('unknown')
  })

  test('a station that was just added, and a wall that nobody measured, hold nothing and fail nothing', () => {
    const fresh = blankRow(STATIONS, 'fresh', { positionMm: 290 })
    const stations = [...allAlong(wide).filter(({ positionMm }) => positionMm !== 290), fresh]
    expect(find(axisWith({ stations }), 'room.section')).toMatchObject({
      state: 'unknown',
      sentence: 'Enter first: at 290 mm, to the left, to the right, to the ceiling, to the floor.',
    })
    const bare = allAlong({ ...wide, ceilingMm: 28, wallCeilingMm: null })
    expect(find(axisWith({ stations: bare }), 'room.section')?.sentence).toMatch(
      /^Enter first: the wall above at \d+ mm: .* must go there\.$/,
    )
    // Where nothing must go a wall need not be known.
    const walls = { wallLeftMm: null, wallRightMm: null, wallCeilingMm: null, wallFloorMm: null }
    expect(find(axisWith({ stations: allAlong({ ...wide, ...walls }) }), 'room.section')?.state).toBe('holds')
  })

  test('a larger casting is never worse, wherever it grows', () => {
    const size = fc.double({ min: 20, max: 60, noNaN: true })
    fc.assert(
      fc.property(size, size, fc.double({ min: 0, max: 20, noNaN: true }), (leftMm, floorMm, byMm) => {
        const gap = (station: SectionStation) => {
          const at = sections(t({ stations: [station] }))[0]
          return [at?.sides.left.cutMm ?? 0, at?.sides.floor.cutMm ?? 0]
        }
        const [left = 0, floor = 0] = gap({ ...wide, leftMm, floorMm })
        const [leftAfter = 0, floorAfter = 0] = gap({
          ...wide,
          leftMm: leftMm + byMm,
          floorMm: floorMm + byMm,
        })
        expect(leftAfter).toBeLessThanOrEqual(left)
        expect(floorAfter).toBeLessThanOrEqual(floor)
      }),
    )
  })
})

describe('the cut list', () => {
  const holes = numbered<Omit<Hole, 'id'>>('hole', [
    {
      label: 'Bore',
      use: 'clearance',
      existingDiameterMm: 25,
      requiredDiameterMm: 32,
      centreOffsetMm: 2,
      edgeDistanceMm: 40,
      minimumWallMm: 6,
      depthMm: 28,
    },
    {
      label: 'Small wall',
      use: 'clearance',
      existingDiameterMm: 0,
      requiredDiameterMm: 40,
      centreOffsetMm: 0,
      edgeDistanceMm: 22,
      minimumWallMm: 6,
      depthMm: 28,
    },
    {
      label: 'Huge',
      use: 'clearance',
      existingDiameterMm: 0,
      requiredDiameterMm: 400,
      centreOffsetMm: 0,
      edgeDistanceMm: 900,
      minimumWallMm: 6,
      depthMm: 28,
    },
  ])
  const low = (positionMm: number) => ({ ...wide, positionMm, ceilingMm: 29 })
  const axis = {
    ...axisWith({ stations: [low(300), wide, low(250), { ...wide, positionMm: 350 }, low(400)] }, { holes }),
    recesses: { ...X.recesses, recessFarMm: 12 },
  }
  const cuts = cutList(new EvaluationContext(axis, CATALOGUE))

  test('makes room first, then holes, then the true faces, and joins neighbours into one cut', () => {
    expect(cuts.map(({ id }) => id)).toEqual([
      'recess-far',
      'section-ceiling-225',
      'section-ceiling-375',
      'hole hole-1',
      'hole hole-2',
      'hole hole-3',
      'seat-fixed',
      'seat-far',
      'seat-bracket',
    ])
    expect(cuts.find(({ id }) => id === 'section-ceiling-225')).toMatchObject({
      what: 'Relieve the ceiling from 225 mm to 325 mm along the screw',
      lengthMm: 100,
      widthMm: 61,
      depthMm: 1.5,
      wallLeftMm: 18.5,
      finish: 'rough',
      fit: true,
    })
    expect(cuts.filter(({ finish }) => finish === 'true')).toHaveLength(3)
  })

  test('speaks in the units of the job', () => {
    const inInches = cutList(new EvaluationContext(axis, CATALOGUE, 'inch'))
    expect(inInches.find(({ id }) => id === 'section-ceiling-225')?.what).toBe(
      'Relieve the ceiling from 8.8583 in to 12.7953 in along the screw',
    )
    for (const { what, tool, guide } of inInches) expect(`${what} ${tool} ${guide}`).not.toMatch(/\d mm/)
    // The figures themselves do not change with the units.
    expect(inInches.map(({ depthMm, wallLeftMm, fit }) => ({ depthMm, wallLeftMm, fit }))).toEqual(
      cuts.map(({ depthMm, wallLeftMm, fit }) => ({ depthMm, wallLeftMm, fit })),
    )
  })

  test('says what is not fit to cut, and warns at every cut', () => {
    expect(cuts.filter(({ fit }) => !fit).map(({ id }) => id)).toEqual(['hole hole-2', 'hole hole-3'])
    for (const { cautions } of cuts) expect(cautions.join(' ')).toMatch(/Eye protection/)
    expect(cuts.find(({ id }) => id === 'hole hole-1')?.guide).toContain('2 mm off its middle')
    expect(cuts.find(({ id }) => id === 'hole hole-1')?.cautions.join(' ')).toMatch(/grabs/)
  })
})

describe('holes', () => {
  const hole: Hole = {
    id: 'h',
    label: 'Bore',
    use: 'clearance',
    existingDiameterMm: 20,
    requiredDiameterMm: 30,
    centreOffsetMm: 0,
    edgeDistanceMm: 40,
    minimumWallMm: 6,
    depthMm: 20,
  }
  const judged = (...holes: Partial<Hole>[]) =>
    find(
      axisWith({}, { holes: holes.map((one, index) => ({ ...hole, ...one, id: `h${index}` })) }),
      'room.holes',
    )

  test('a seat is roughed out under size and bored true, never enlarged past itself', () => {
    expect(judged({ use: 'seat', existingDiameterMm: 22, requiredDiameterMm: 26 })).toMatchObject({
      state: 'holds',
      sentence: expect.stringContaining(
        'rough it out with the cutter of 25 mm, then bore the seat true to 26 mm',
      ),
    })
    expect(judged({ use: 'seat', existingDiameterMm: 27, requiredDiameterMm: 26 })?.sentence).toContain(
      'sleeve',
    )
  })

  test('one that is large enough is left, and gets no cut', () => {
    expect(judged({ existingDiameterMm: 32 })?.sentence).toContain('is large enough as it is')
    const left = axisWith({}, { holes: [{ ...hole, existingDiameterMm: 32 }] })
    expect(holeCuts(new EvaluationContext(left, CATALOGUE))).toEqual([])
  })

  test('a bung guides only a pilot that lies wholly inside it', () => {
    const guideOf = (one: Partial<Hole>) =>
      holeCuts(new EvaluationContext(axisWith({}, { holes: [{ ...hole, ...one }] }), CATALOGUE))[0]?.guide
    expect(guideOf({ centreOffsetMm: 5 })).toContain('bung of 20 mm')
    expect(guideOf({ centreOffsetMm: 9 })).toContain('A plate with a pilot hole')
    expect(guideOf({ centreOffsetMm: 14 })).toContain('whole metal')
    expect(guideOf({ existingDiameterMm: 0 })).toContain('whole metal')
  })

  test('one that was just added holds nothing and fails nothing; a bad one fails beside it', () => {
    const fresh = blankRow(HOLES, 'n', { label: 'Hole 2' })
    expect(judged({}, fresh)).toMatchObject({
      state: 'unknown',
      sentence:
        'Enter first: Hole 2: hole as it is, hole wanted, new centre off the old one, to the nearest edge.',
    })
    expect(judged({ edgeDistanceMm: 17 }, fresh)?.state).toBe('fails')
  })
})

describe('a recess', () => {
  const recessed = (recessFarMm: number, more: Partial<Axis> = {}): Axis =>
    axisWith(
      { bracketWidthMm: 60, bracketHeightMm: 60 },
      {
        recesses: { ...X.recesses, recessFarMm },
        recessMetal: { fixedMm: null, farMm: 25 },
        ...more,
      },
    )
  const judged = (recessFarMm: number, more: Partial<Axis> = {}) =>
    find(recessed(recessFarMm, more), 'recess.far')

  test('goes into the metal before the bearings and keeps a wall, or it is not fit to cut', () => {
    expect(judged(0)).toBeUndefined()
    expect(judged(19)?.state).toBe('holds')
    expect(judged(20)).toMatchObject({
      state: 'fails',
      sentence: expect.stringContaining('runs into the bearings'),
    })
    // Fifty in a block of forty-four: whatever is measured.
    expect(judged(50, { recessMetal: { fixedMm: null, farMm: null } })?.state).toBe('fails')
    expect(judged(10, { recessMetal: { fixedMm: null, farMm: null } })?.state).toBe('unknown')
    expect(judged(10, { ends: 'fixed-free' })).toBeUndefined()
  })

  test('is as wide as what enters it with its gap all round, and keeps a wall in the block', () => {
    const at = (depthMm: number) => recessAt(new EvaluationContext(recessed(depthMm), CATALOGUE), 'far')
    // The body alone enters as far as it stands out of the bracket; deeper, the bracket does.
    expect(at(10)?.diameterMm).toBe(screw.nutBodyDiameterMm + 3)
    const deep = Math.ceil(screw.nutBodyLengthMm)
    expect(at(deep)?.diameterMm).toBe(63)
    expect(at(10)?.wallAroundMm).toBe((60 - screw.nutBodyDiameterMm - 3) / 2)
  })

  test('is mended by less of it, and a travel that lacks is never won by too much of it', () => {
    const [way] = remediesFor(recessed(24), CATALOGUE, 'mm', 'recess.far')
    expect(way && remedied(recessed(24), way).recesses.recessFarMm).toBeLessThanOrEqual(19)
    const short: Axis = {
      ...recessed(0),
      dimensions: { ...X.dimensions, supportSpanMm: { value: 520, provenance: 'measured' } },
      goals: { ...X.goals, wantedTravelMm: 410 },
    }
    for (const one of remediesFor(short, CATALOGUE, 'mm', 'room.travel')) {
      const after = evaluateAxis(remedied(short, one), CATALOGUE, 'mm')
      for (const checkId of ['recess.far', 'recess.fixed'] as const)
        expect(after.finding(checkId)?.state ?? 'holds').not.toBe('fails')
    }
  })
})

describe('the bearing block', () => {
  const block = {
    ...blankRecord(BLOCK.of),
    bearings: [blankRow(BEARINGS, 'a', { widthMm: 10 }), blankRow(BEARINGS, 'b', { widthMm: 10 })],
    boreDepthMm: 30,
    outerSpacerMm: 7,
    innerSpacerMm: 7,
    coverSpigotMm: 3,
  }
  const withBlock = (change: Partial<BearingBlock>) => axisWith({}, { block: { ...block, ...change } })

  test('clamps, or asks for a shim under the spigot first, and mends a cover that stands too proud', () => {
    // 10 + 10 + 7 + 3 - 30 = 0: three hundredths are missing.
    expect(find(withBlock({}), 'room.block')?.sentence).toContain(
      'Shim under the spigot, onto the outer ring, with 30 µm.',
    )
    const [shim] = remediesFor(withBlock({}), CATALOGUE, 'mm', 'room.block')
    if (!shim) throw new Error('no remedy')
    expect(shim.label).toBe('Shim of 0.03 mm under the spigot, onto the outer ring')
    expect(remedied(withBlock({}), shim).block?.coverShimMm).toBeCloseTo(0.03, 9)
    expect(find(withBlock({ coverSpigotMm: 3.05 }), 'room.block')?.state).toBe('holds')
    const proud = withBlock({ coverSpigotMm: 3.2 })
    expect(find(proud, 'room.block')?.sentence).toContain('Take 0.17 mm off the spigot of the cover.')
    const [way] = remediesFor(proud, CATALOGUE, 'mm', 'room.block')
    if (!way) throw new Error('no remedy')
    expect(remedied(proud, way).block?.coverSpigotMm).toBe(3.03)
    expect(find(remedied(proud, way), 'room.block')?.state).toBe('holds')
    const shimmed = withBlock({ coverShimMm: 0.3 })
    const [out] = remediesFor(shimmed, CATALOGUE, 'mm', 'room.block')
    expect(out?.label).toBe('0.27 mm of shims out from under the spigot')
  })

  test('a spacer between the outer rings alone lets the locknut crush the pair', () => {
    const alone = withBlock({ coverSpigotMm: 3.05, innerSpacerMm: 0 })
    expect(find(alone, 'room.block')).toMatchObject({ state: 'fails' })
    expect(find(alone, 'room.block')?.sentence).toContain('the locknut crushes the pair')
    const [way] = remediesFor(alone, CATALOGUE, 'mm', 'room.block')
    if (!way) throw new Error('no remedy')
    expect(remedied(alone, way).block).toMatchObject({ outerSpacerMm: 7, innerSpacerMm: 7 })
    // Within what the calipers can tell they are of one length; where nobody measured the inner one, nothing is said.
    expect(find(withBlock({ coverSpigotMm: 3.05, innerSpacerMm: 7.01 }), 'room.block')?.state).toBe('holds')
    expect(find(withBlock({ innerSpacerMm: null }), 'room.block')).toMatchObject({
      state: 'unknown',
      sentence: 'Enter first: bearing block: spacer between the inner rings.',
    })
  })

  test('a block that was just begun holds nothing and fails nothing', () => {
    const fresh = { ...blankRecord(BLOCK.of), bearings: [blankRow(BEARINGS, 'a')] }
    expect(find(axisWith({}, { block: fresh }), 'room.block')?.state).toBe('unknown')
  })

  test('shims add up to what is missing, and never to more than the cover bears', () => {
    const stock = fc.uniqueArray(fc.constantFrom(0.02, 0.03, 0.05, 0.1, 0.2), { minLength: 1 })
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 0.9, noNaN: true }), stock, (leastMm, sizes) => {
        const shims = shimsFor(leastMm, leastMm + 0.07, sizes)
        if (!shims) return
        const sumMm = shims.reduce((sum, one) => sum + one, 0)
        expect(sumMm).toBeGreaterThanOrEqual(leastMm - 1e-9)
        expect(sumMm).toBeLessThanOrEqual(leastMm + 0.07 + 1e-9)
      }),
    )
    expect(shimsFor(0.01, 0.015, [0.5])).toBeNull()
    expect(shimsFor(0.1, 0.2, [])).toBeNull()
  })

  test('a bearing is turned by readings that calipers can tell apart, or not at all', () => {
    const read = (landMarkedMm: number | null, landOtherMm: number | null) =>
      orientation({ landMarkedMm, landOtherMm }, 0.02)
    expect(read(2.3, 1.5)).toBe('wide-marked')
    expect(read(1.5, 2.3)).toBe('wide-other')
    expect(read(2.04, 2)).toBe('cannot-tell')
    expect(read(2.05, 2)).toBe('wide-marked')
    expect(read(null, 2)).toBe('not-read')
  })

  test('a pair goes in by its arrangement: back-to-back the wide lands meet, face-to-face they stand outward', () => {
    const pair = (...lands: [number, number][]) => ({
      caliperMm: 0.02,
      bearings: lands.map(([landMarkedMm, landOtherMm]) => ({ widthMm: 10, landMarkedMm, landOtherMm })),
    })
    const read = pair([2.3, 1.5], [1.5, 2.3])
    expect(wayRound(read, 'back-to-back')).toEqual([
      { wideTowards: 'shoulder', face: 'marked' },
      { wideTowards: 'cover', face: 'other' },
    ])
    const outward = wayRound(read, 'face-to-face')
    expect(outward.map(one => one?.wideTowards)).toEqual(['cover', 'shoulder'])
    expect(outward.map(one => one?.face)).toEqual(['marked', 'other'])
    // What cannot be told is not guessed, and three bearings are no pair.
    expect(wayRound(pair([2.3, 1.5], [2.02, 2]), 'back-to-back')[1]).toBeNull()
    expect(wayRound(pair([2.3, 1.5], [1.5, 2.3], [2.3, 1.5]), 'back-to-back')).toEqual([null, null, null])
  })

  test('its inputs are the widths of its bearings and what was measured', () => {
    expect(blockInputs(block)).toEqual({
      boreDepthMm: 30,
      bearingWidthsMm: [10, 10],
      outerSpacerMm: 7,
      coverSpigotMm: 3,
      targetProudMm: 0.03,
      maximumProudMm: 0.1,
    })
  })
})

describe('screws', () => {
  const joint: BoltedJoint = {
    id: 'joint',
    label: 'Block',
    holds: 'fixedBlock',
    thread: 'M6',
    material: 'cast-iron',
    propertyClass: '8.8',
    gripMm: 16,
    washerMm: 1.6,
    threadDepthMm: 14,
    blind: true,
    slotNuts: false,
    located: false,
    count: 4,
    suppliedMm: null,
  }
  const withJoint = (change: Partial<BoltedJoint>) => axisWith({}, { joints: [{ ...joint, ...change }] })

  test('the length chosen is the shortest that is sold and holds', () => {
    const any = fc.record({
      thread: fc.constantFrom('M3', 'M5', 'M8', 'M12'),
      material: fc.constantFrom('steel', 'cast-iron', 'aluminium'),
      gripMm: fc.double({ min: 0, max: 60, noNaN: true }),
      washerMm: fc.constantFrom(0, 1, 2),
      threadDepthMm: fc.double({ min: 2, max: 40, noNaN: true }),
      blind: fc.boolean(),
    }) as fc.Arbitrary<Parameters<typeof fastenerChooseLength>[0]>
    fc.assert(
      fc.property(any, inputs => {
        const { screwLengthMm, heldBack } = fastenerChooseLength(inputs)
        const sold = stockLengthsMm(inputs.thread).map(lengthMm => ({
          lengthMm,
          ...fastenerEngagement({ ...inputs, screwLengthMm: lengthMm }),
        }))
        const fine = sold.find(({ verdict }) => verdict === 'ok')
        if (fine)
          expect({ screwLengthMm, heldBack }).toEqual({ screwLengthMm: fine.lengthMm, heldBack: false })
        else if (screwLengthMm === null)
          for (const { verdict, engagementMm, requiredMm } of sold)
            expect(verdict === 'bottoms-out' || engagementMm < requiredMm / 2).toBe(true)
        else {
          expect(heldBack).toBe(true)
          const taken = sold.find(({ lengthMm }) => lengthMm === screwLengthMm)
          for (const { verdict, engagementMm } of sold)
            if (verdict === 'short')
              expect(taken?.engagementMm ?? 0).toBeGreaterThanOrEqual(engagementMm - 1e-9)
        }
      }),
    )
  })

  test('those that came too short or too long are found, with the fix', () => {
    expect(find(withJoint({ suppliedMm: 30 }), 'room.joints')).toMatchObject({ state: 'holds' })
    expect(find(withJoint({ suppliedMm: 20 }), 'room.joints')?.sentence).toContain(
      'reach only 2.4 mm of the 7.5 mm',
    )
    expect(find(withJoint({ suppliedMm: 40 }), 'room.joints')?.sentence).toContain('stand on the bottom')
    const short = withJoint({ suppliedMm: 20 })
    const [way] = remediesFor(short, CATALOGUE, 'mm', 'room.joints')
    if (!way) throw new Error('no remedy')
    expect(remedied(short, way).joints[0]?.suppliedMm).toBe(30)
    expect(find(withJoint({ threadDepthMm: 5 }), 'room.joints')?.state).toBe('fails')
    expect(judgeJoint({ ...joint, suppliedMm: 30 })?.chosenMm).toBe(30)
  })

  test('the working is that of the joint that is shown: the wrong one, else the one least engaged', () => {
    const deep = { ...joint, threadDepthMm: 40, blind: false, label: 'Deep' }
    const worked = (joints: BoltedJoint[]) => {
      const { findings, figures } = evaluateAxis(axisWith({}, { joints }), CATALOGUE, 'mm')
      const { because = [] } = findings.find(({ checkId }) => checkId === 'room.joints') ?? {}
      expect(because).toContain('jointLength')
      return figures.joint
    }
    // 12.4 mm of thread are used with a grip of 16 mm, 8.4 mm with one of 20 mm.
    expect(worked([joint, { ...deep, gripMm: 20 }])?.inputs).toMatchObject({ gripMm: 20, screwLengthMm: 30 })
    expect(worked([{ ...deep, gripMm: 12 }, joint])?.outputs).toMatchObject({ engagementMm: 11.4 })
    expect(worked([joint, { ...deep, suppliedMm: 20 }])?.inputs).toMatchObject({
      threadDepthMm: 40,
      screwLengthMm: 20,
    })
    expect(worked([joint, { ...joint, threadDepthMm: 5 }])?.outputs).toMatchObject({ verdict: 'bottoms-out' })
  })

  test('torque grows with the thread engaged until the screw limits it', () => {
    const torque = (engagementMm: number) =>
      fastenerTorque({
        thread: 'M8',
        propertyClass: '8.8',
        frictionCoefficient: 0.12,
        utilisation: 0.7,
        material: 'aluminium',
        engagementMm,
      })
    expect(torque(4).limitedBy).toBe('tapped-thread')
    expect(torque(4).torqueNm * 2).toBeCloseTo(torque(8).torqueNm, 9)
    expect(torque(20).limitedBy).toBe('screw')
    expect(torque(30).torqueNm).toBe(torque(20).torqueNm)
  })
})

describe('the chain of dimensions', () => {
  const link: fc.Arbitrary<Contributor> = fc.record({
    nominalMm: fc.double({ min: -100, max: 100, noNaN: true }),
    plusMm: fc.double({ min: 0.001, max: 1, noNaN: true }),
    minusMm: fc.double({ min: 0.001, max: 1, noNaN: true }),
    direction: fc.constantFrom(1, -1),
    distribution: fc.constantFrom('normal' as const, 'uniform' as const),
  })

  test('many draws agree with the formula within their own noise', () => {
    const chain = X.chain
    const { lowerLimitMm, upperLimitMm } = chain
    const inputs = { contributors: contributors(X, chain), lowerLimitMm, upperLimitMm }
    const formula = stackupChain(inputs)
    const drawn = drawChain(inputs.contributors, inputs, 300_000, 7)
    if (!drawn) throw new Error('it was not stopped')
    expect(Math.abs(drawn.meanMm - formula.meanMm)).toBeLessThan((5 * formula.sigmaMm) / Math.sqrt(300_000))
    expect(drawn.sigmaMm / formula.sigmaMm).toBeCloseTo(1, 2)
    // Three links of which one is uniform are not quite normal: the share may be off by a little more than noise.
    expect(Math.abs(drawn.withinShare - formula.probabilityWithin)).toBeLessThan(0.02)
    expect(drawn.bins.reduce((sum, one) => sum + one, 0)).toBe(300_000)
    expect(drawn.shares.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 9)
  })

  test('many links of like size are nearly normal, and the share then agrees too', () => {
    const like = Array.from(
      { length: 8 },
      (_, i): Contributor => ({
        nominalMm: i,
        plusMm: 0.1,
        minusMm: 0.1,
        direction: i % 2 ? 1 : -1,
        distribution: 'uniform',
      }),
    )
    const limits = { lowerLimitMm: 3.8, upperLimitMm: 4.3 }
    const { probabilityWithin } = stackupChain({ contributors: like, ...limits })
    const drawn = drawChain(like, limits, 150_000, 3)
    expect(Math.abs((drawn?.withinShare ?? 0) - probabilityWithin)).toBeLessThan(0.006)
  })

  test('the same seed gives the same draws, another seed others, and a stop gives nothing', () => {
    const [first] = fc.sample(fc.array(link, { minLength: 3, maxLength: 3 }), { numRuns: 1, seed: 5 }) as [
      Contributor[],
    ]
    const limits = { lowerLimitMm: -1, upperLimitMm: 1 }
    const draw = (seed: number) => drawChain(first, limits, 5000, seed)
    expect(draw(1)).toEqual(draw(1))
    expect(draw(1)?.meanMm).not.toBe(draw(2)?.meanMm)
    expect(drawChain(first, limits, 200_000, 1, share => share < 0.3)).toBeNull()
    const random = evenRandom(9)
    const values = Array.from({ length: 20_000 }, random)
    expect(Math.min(...values)).toBeGreaterThanOrEqual(0)
    expect(Math.max(...values)).toBeLessThan(1)
    expect(values.reduce((sum, one) => sum + one, 0) / values.length).toBeCloseTo(0.5, 2)
  })

  test('the order of the links does not matter, and turning every one round mirrors the chain', () => {
    fc.assert(
      fc.property(fc.array(link, { minLength: 1, maxLength: 6 }), links => {
        const limits = { lowerLimitMm: -10, upperLimitMm: 10 }
        const one = stackupChain({ contributors: links, ...limits })
        const back = stackupChain({ contributors: links.toReversed(), ...limits })
        expect(back.meanMm).toBeCloseTo(one.meanMm, 9)
        expect(back.probabilityWithin).toBeCloseTo(one.probabilityWithin, 9)
        const turned = stackupChain({
          contributors: links.map(each => ({ ...each, direction: -each.direction })),
          ...limits,
        })
        expect(turned.worstMinMm).toBeCloseTo(-one.worstMaxMm, 9)
        expect(turned.probabilityWithin).toBeCloseTo(one.probabilityWithin, 9)
        expect(one.worstMinMm).toBeLessThanOrEqual(one.meanMm)
        expect(one.meanMm).toBeLessThanOrEqual(one.worstMaxMm)
      }),
    )
  })

  test('wider limits never hold fewer, and a link that stands for a dimension takes its value', () => {
    const share = (half: number) =>
      stackupChain({
        contributors: [{ nominalMm: 0, plusMm: 0.3, minusMm: 0.3, direction: 1, distribution: 'normal' }],
        lowerLimitMm: -half,
        upperLimitMm: half,
      }).probabilityWithin
    expect(share(0.1)).toBeCloseTo(0.682689492, 8)
    expect(share(0.2)).toBeCloseTo(0.954499736, 8)
    expect(share(0.6)).toBeCloseTo(0.999999998, 8)
    const span = {
      id: 'span',
      label: 'Span',
      dimension: 'supportSpanMm' as const,
      nominalMm: 1,
      plusMm: 0.1,
      minusMm: 0.1,
      direction: 1 as const,
      distribution: 'normal' as const,
    }
    expect(contributors(X, { links: [span], lowerLimitMm: 0, upperLimitMm: 1 })[0]?.nominalMm).toBe(
      X.dimensions.supportSpanMm.value,
    )
    expect(() => stackupChain({ contributors: [span], lowerLimitMm: 2, upperLimitMm: 1 })).toThrow(
      'upperLimitMm: got 1, takes a number from 2 mm',
    )
  })
})

describe('the shims for a chain', () => {
  const stock = fc.uniqueArray(fc.constantFrom(0.02, 0.03, 0.05, 0.1, 0.2, 0.5, 1), { maxLength: 7 })
  /** Every thickness that some of a set make together. */
  const packs = (set: readonly number[]) =>
    set.reduce((sums, one) => sums.flatMap(sum => [sum, sum + one]), [0]).toSorted((a, b) => a - b)

  test('make any thickness up to the range, to within what the limits forgive', () => {
    fc.assert(
      fc.property(
        stock,
        fc.double({ min: 0.05, max: 2, noNaN: true }),
        fc.double({ min: 0.01, max: 0.6, noNaN: true }),
        (stockMm, rangeMm, stepMm) => {
          const set = shimSet(rangeMm, stepMm, stockMm)
          if (!set || set.length > 14) return
          for (const one of set) expect(stockMm).toContain(one)
          const sums = packs(set)
          expect(sums.at(-1)).toBeGreaterThanOrEqual(rangeMm - 1e-9)
          for (const [index, sum] of sums.entries())
            if (index > 0) expect(sum - (sums[index - 1] ?? 0)).toBeLessThanOrEqual(stepMm + 1e-9)
        },
      ),
    )
  })

  test('are few, as each doubles what can be packed; none where the stock is too thick', () => {
    expect(shimSet(0.6, 0.05, [0.02, 0.05, 0.1, 0.2, 0.5])).toEqual([0.05, 0.05, 0.1, 0.2, 0.2])
    expect(shimSet(0.6, 0.04, [0.05, 0.1])).toBeNull()
    expect(shimSet(0.6, 0.04, [])).toBeNull()
    expect(shimSet(0, 0.04, [])).toEqual([])
    expect(shimSet(100, 0.5, [0.5])).toBeNull()
  })
})

describe('tightening', () => {
  test('gives every screw one turn, the second across from the first', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 24 }), count => {
        const turns = tighteningTurns(count)
        expect(turns.toSorted((a, b) => a - b)).toEqual(
          Array.from({ length: count }, (_, index) => index + 1),
        )
        if (count >= 2) expect(turns.indexOf(2)).toBe(Math.floor(count / 2))
      }),
    )
    expect(tighteningTurns(4)).toEqual([1, 3, 2, 4])
  })

  test('never goes to a neighbour while one further off is left, up to the last', () => {
    for (const count of [4, 6, 8, 12]) {
      const turns = tighteningTurns(count)
      const at = (turn: number) => turns.indexOf(turn)
      const apart = (a: number, b: number) => Math.min(Math.abs(a - b), count - Math.abs(a - b))
      for (let turn = 2; turn <= count / 2; turn++) expect(apart(at(turn), at(turn - 1))).toBeGreaterThan(1)
    }
  })
})

describe('travel compared', () => {
  const ways = (axis: Axis) =>
    Object.fromEntries(compareTravel(new EvaluationContext(axis, CATALOGUE)).map(way => [way.name, way]))
  const short: Axis = {
    ...X,
    dimensions: { ...X.dimensions, supportSpanMm: { value: 460, provenance: 'measured' } },
    recesses: { ...X.recesses, recessFarMm: 0 },
  }

  test('a shorter nut keeps more, a recess or a moved block bring all of it back', () => {
    const all = ways(short)
    const asIs = all['As it is']
    expect(asIs?.travelMm).toBeLessThan(X.dimensions.wayTravelMm.value ?? 0)
    const single = all['Ball screw 20 x 5, single nut']
    // The double nut is 52 mm longer in its body.
    expect((single?.travelMm ?? 0) - (asIs?.travelMm ?? 0)).toBeCloseTo(52, 9)
    const recess = all['A recess that brings it all back']
    const moved = all['A block moved out, no recess']
    expect(recess?.travelMm).toBeCloseTo(X.dimensions.wayTravelMm.value ?? 0, 9)
    expect(moved?.travelMm).toBeCloseTo(recess?.travelMm ?? 0, 9)
    expect(recess?.cutMm).toBeCloseTo(moved?.movedMm ?? 0, 9)
    expect(moved?.cutMm).toBe(0)
  })

  test('has no recess to take away where there is none, and none to add where all travel is kept', () => {
    expect(Object.keys(ways(short))).not.toContain('Without a recess')
    expect(Object.keys(ways(X))).toContain('Without a recess')
    const long: Axis = {
      ...short,
      dimensions: { ...short.dimensions, supportSpanMm: { value: 900, provenance: 'measured' } },
    }
    expect(Object.keys(ways(long)).some(name => name.includes('recess'))).toBe(false)
    expect(() =>
      compareTravel(new EvaluationContext({ ...X, parts: { ...X.parts, screw: null } }, CATALOGUE)),
    ).toThrow()
  })
})

test('the bung is drawn to size, its pilot off the middle by as much as the new centre', () => {
  const { marks } = bungDrawing(
    'Bung',
    {
      id: 'bore',
      label: 'Bore',
      use: 'clearance',
      existingDiameterMm: 25.4,
      requiredDiameterMm: 32,
      centreOffsetMm: 1.6,
      edgeDistanceMm: 38,
      minimumWallMm: 6,
      depthMm: 28,
    },
    28,
    'mm',
  )
  const circles = marks.filter(mark => mark.is === 'circle')
  expect(circles).toMatchObject([
    { x: 0, y: 0, r: 12.7 },
    { x: 1.6, y: 0, r: 3 },
  ])
})

describe('a bolt circle', () => {
  const circle = { circleDiameterMm: 42, count: 6, diameterMm: 5.5, firstDeg: 30 }
  test('puts its holes on the circle, evenly, none until it is wholly typed', () => {
    const holes = boltCircle(circle)
    expect(holes[0]).toEqual({ label: '1', xMm: 18.187, yMm: 10.5, diameterMm: 5.5 })
    expect(holes).toHaveLength(6)
    holes.forEach(({ xMm, yMm }, index) => {
      expect(Math.hypot(xMm ?? 0, yMm ?? 0)).toBeCloseTo(21, 2)
      const next = holes[(index + 1) % 6]
      // A hexagon's side is its radius.
      expect(Math.hypot((next?.xMm ?? 0) - (xMm ?? 0), (next?.yMm ?? 0) - (yMm ?? 0))).toBeCloseTo(21, 2)
    })
    for (const key of ['circleDiameterMm', 'count', 'diameterMm'] as const)
      expect(boltCircle({ ...circle, [key]: null })).toEqual([])
  })
})

describe('unified threads', () => {
  const UNIFIED = THREAD_NAMES.filter(isUnified)
  const inches = (size: string) => {
    const [number] = /^#(\d+)/.exec(size)?.slice(1) ?? []
    if (number) return 0.06 + 0.013 * Number(number)
    const [over, under] = size.split('-')[0]?.split('/').map(Number) ?? []
    return (over ?? 0) / (under ?? 1)
  }
  test.each(UNIFIED)(
    '%s is as wide as its size says, and its drills leave thread and let it through',
    thread => {
      const { diameterMm, pitchMm } = THREADS[thread]
      expect(diameterMm).toBeCloseTo(25.4 * inches(thread), 9)
      expect(pitchMm).toBeCloseTo(25.4 / Number(thread.split('-')[1]?.split(' ')[0]), 9)
      const { tapDrillMm, clearanceHoleMm } = threadDrills({ thread })
      // Between half and nine tenths of a full thread of 60 degrees, 1.299 of the pitch on the diameter.
      const share = (diameterMm - tapDrillMm) / (1.299 * pitchMm)
      expect(share).toBeGreaterThan(0.5)
      expect(share).toBeLessThan(0.9)
      expect(clearanceHoleMm).toBeGreaterThan(1.03 * diameterMm)
      expect(clearanceHoleMm).toBeLessThan(1.2 * diameterMm)
    },
  )

  test('come in lengths of inches, said as they are sold', () => {
    const words = stockLengthsMm('1/4-20 UNC').map(mm => stockLengthWords('1/4-20 UNC', mm))
    expect(words.slice(0, 8)).toEqual([
      '1/4 in',
      '3/8 in',
      '1/2 in',
      '5/8 in',
      '3/4 in',
      '7/8 in',
      '1 in',
      '1-1/4 in',
    ])
    expect(stockLengthWords('M6', 16)).toBe('16 mm')
  })
})

test('a chain whose worst case lies within its limits is made to size, however its links spread', () => {
  const link = (nominalMm: number, toleranceMm: number, distribution: 'normal' | 'uniform'): Contributor => ({
    nominalMm,
    plusMm: toleranceMm,
    minusMm: toleranceMm,
    direction: 1,
    distribution,
  })
  for (const distribution of ['normal', 'uniform'] as const) {
    const within = stackupChain({
      contributors: [link(10, 0.1, distribution), link(5, 0.1, distribution)],
      lowerLimitMm: 14.8,
      upperLimitMm: 15.2,
    })
    expect(within.advice).toBe('machine-to-size')
    const wide = stackupChain({
      contributors: [link(10, 0.3, distribution), link(5, 0.3, distribution)],
      lowerLimitMm: 14.8,
      upperLimitMm: 15.2,
    })
    expect(wide.advice).not.toBe('machine-to-size')
  }
})
