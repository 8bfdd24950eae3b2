import { chakra } from '@chakra-ui/react'
import type { Axis } from '@/core/document/axis'
import { newId } from '@/core/document/id'
import { setIn } from '@/core/document/setIn'
import { isUsual, SHOP, setShop } from '@/core/document/shop'
import { attempt } from '@/core/evaluation/attempt'
import { blankRecord, blankRow, numberFields } from '@/core/field/field'
import { bearingStack } from '@/core/sheets/bearingBlock/calculation'
import {
  type Arrangement,
  blockInputs,
  orientation,
  type WayRound,
  wayRound,
} from '@/core/sheets/bearingBlock/inputs'
import { BEARINGS, type BearingBlock, BLOCK, type BlockBearing } from '@/core/sheets/bearingBlock/model'
import { say } from '@/core/units/print'
import { BlockToMake } from '@/stages/sheets/bearingBlock/BlockToMake'
import { StackDrawing } from '@/stages/sheets/bearingBlock/StackDrawing'
import { Button } from '@/ui/controls'
import { FieldGrid } from '@/ui/fields/FieldGrid'
import { SizesField } from '@/ui/fields/SizesField'
import { Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { RowsTable } from '@/ui/table/RowsTable'
import { useEdit, useJob, useUnits } from '../../job/JobContext'
import { Advice } from '../../job/rounds/Advice'
import { useAxis } from '../../job/useAxis'
import { useCatalogue } from '../../job/useEvaluation'
import { useChange, useRows } from '../../job/useRows'

const FIGURES = numberFields(BLOCK.of)
const NO_BEARINGS: BlockBearing[] = []
const bearingsOf = (axis: Axis) => axis.block?.bearings ?? NO_BEARINGS

/** A bearing block to start measuring: two bearings, nothing read yet. */
const blockToStart = (): BearingBlock => ({
  ...blankRecord(BLOCK.of),
  bearings: [blankRow(BEARINGS, newId()), blankRow(BEARINGS, newId())],
})

/** The stack of bearings in their block: whether the cover clamps them, what makes it so, and which way round they go. */
export function BearingBlockPanel() {
  const block = useAxis(axis => axis.block)
  const change = useChange()
  if (block) return <Measured block={block} />
  return (
    <Panel
      title="Bearing block"
      note="Measured with its bearings out: how deep the bore is, how wide the bearings, what the cover reaches in."
    >
      <Button
        variant="outline"
        onClick={() =>
          change('Bearing block', axis => {
            axis.block = blockToStart()
          })
        }
      >
        Measure the block
      </Button>
      <BlockToMake />
    </Panel>
  )
}

function Measured({ block }: { block: BearingBlock }) {
  const units = useUnits()
  const shimStockMm = useJob(job => job.shop.shimStockMm)
  const assumed = useJob(job => isUsual(job.shop, 'shimStockMm'))
  const edit = useEdit()
  const change = useChange()
  const bearings = useRows(BEARINGS, bearingsOf)
  return (
    <Panel
      title="Bearing block"
      note="The cover must stand off the block by a hair: then it clamps the outer rings. An outer ring is wider at one face: read that flat rim, its land, with calipers at both faces; the wider one takes the thrust."
    >
      <chakra.div mb="3">
        <Advice checks={['room.block']} />
      </chakra.div>
      <FieldGrid
        fields={FIGURES}
        values={block}
        units={units}
        onValue={(key, value, mergeKey) =>
          change(FIGURES[key].label, axis => setIn(axis.block, key, value), mergeKey)
        }
      />
      <chakra.div my="3">
        <SizesField
          label="Shim stock at hand"
          sizesMm={shimStockMm}
          units={units}
          of={SHOP.of.shimStockMm.of}
          assumed={assumed}
          onSizes={sizes => edit(setShop('shimStockMm', sizes))}
        />
      </chakra.div>
      <RowsTable {...bearings} units={units} least={1} addLabel="Another bearing" />
      <Stack block={block} />
      <BlockToMake />
    </Panel>
  )
}

/** The stack drawn, with how its rings are held and which way round each bearing goes. */
function Stack({ block }: { block: BearingBlock }) {
  const units = useUnits()
  const catalogue = useCatalogue()
  const bearing = catalogue.bearing.get(useAxis(axis => axis.parts.bearing) ?? '')
  const stack = attempt(() => bearingStack(blockInputs(block)))
  const { boreDepthMm, coverSpigotMm } = block
  if (!stack.value || boreDepthMm === null || coverSpigotMm === null)
    return (
      <chakra.p mt="3" color="quiet">
        {stack.ask}
      </chakra.p>
    )
  const pair =
    bearing?.arrangement === 'back-to-back' || bearing?.arrangement === 'face-to-face'
      ? bearing.arrangement
      : null
  const turned = pair ? wayRound(block, pair) : block.bearings.map(() => null)
  const tells = say(2 * block.caliperMm, 'length', units)
  return (
    <chakra.div mt="4" display="grid" gap="2">
      <StackDrawing
        label="Bearing block cut open along the screw, to scale"
        boreDepthMm={boreDepthMm}
        widthsMm={block.bearings.map(({ widthMm }) => widthMm ?? 0)}
        spacerMm={block.outerSpacerMm}
        spigotMm={coverSpigotMm + block.coverShimMm}
        turned={turned}
      />
      <chakra.p fontSize="13px" color="quiet">
        The cover, at the left, pushes on the first outer ring; the push goes through the outer rings and the
        spacer into the shoulder of the bore (solid line). The locknut pulls the inner rings together on the
        screw (dashed line): the two meet only in the balls, along the slanted lines.
      </chakra.p>
      <Stated as="ol" pl="5" listStyleType="decimal" aria-label="Which way round the bearings go">
        {block.bearings.map((one, index) => (
          <li key={one.id}>
            {index === 0
              ? 'At the cover: '
              : index === block.bearings.length - 1
                ? 'At the shoulder: '
                : 'Between: '}
            {turned[index] ? wayWords(turned[index]) : readingWords(orientation(one, block.caliperMm), tells)}
          </li>
        ))}
      </Stated>
      <Stated>{pair ? PAIR_WORDS[pair] : noPairWords(bearing?.name)}</Stated>
    </chakra.div>
  )
}

const PAIR_WORDS: Record<Arrangement, string> = {
  'back-to-back':
    'Back-to-back, as the bearings chosen are: the wide lands of the outer rings meet, which holds the screw stiffly against tipping.',
  'face-to-face':
    'Face-to-face, as the bearings chosen are: the wide lands of the outer rings stand outward, which forgives blocks that are a little out of line.',
}
const noPairWords = (name: string | undefined) =>
  name
    ? `${name}: it does not matter which way round these go.`
    : 'Choose the bearings under Size, and this says which way round they go.'

const wayWords = ({ face, wideTowards }: WayRound) =>
  `in with ${face === 'marked' ? 'its marked face' : 'the face without the mark'} towards the ${wideTowards}, for it has the wide land that takes the thrust.`

function readingWords(facing: ReturnType<typeof orientation>, tells: string): string {
  switch (facing) {
    case 'wide-marked':
      return 'the marked face has the wide land of the outer ring: it takes the thrust.'
    case 'wide-other':
      return 'the face without the mark has the wide land of the outer ring: it takes the thrust.'
    case 'cannot-tell':
      return `the two readings differ by no more than ${tells}, which calipers cannot tell apart. Read again with a micrometer, or ask by the part number: do not guess.`
    case 'not-read':
      return 'read the land of its outer ring at both faces.'
  }
}
