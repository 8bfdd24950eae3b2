import { chakra } from '@chakra-ui/react'
import { known } from '@/core/evaluation/attempt'
import { bearingStack } from '@/core/sheets/bearingBlock/calculation'
import {
  BEARING_FIELDS,
  type BearingBlock,
  BLOCK_FIELDS,
  BLOCK_TO_START,
  MOST_BEARINGS,
} from '@/core/sheets/making'
import { setShop } from '@/core/sheets/makingCommands'
import {
  type Arrangement,
  blockInputs,
  orientation,
  type WayRound,
  wayRound,
} from '@/core/sheets/makingInputs'
import { say } from '@/core/units/print'
import { Button } from '@/ui/controls'
import { StackDrawing } from '@/ui/drawings/StackDrawing'
import { FieldGrid } from '@/ui/fields/FieldGrid'
import { type Column, RowsTable } from '@/ui/fields/RowsTable'
import { SizesField } from '@/ui/fields/SizesField'
import { Panel } from '@/ui/Panel'
import { useCatalogue, useEdit, useJob, useSettledAxis, useUnits } from '../bench'
import { WorkingButton } from '../WorkingButton'
import { useMaking } from './useMaking'

type Bearing = BearingBlock['bearings'][number]
const COLUMNS: Column<Bearing>[] = [
  { key: 'widthMm', is: 'quantity', ...BEARING_FIELDS.widthMm },
  { key: 'landMarkedMm', is: 'quantity', optional: true, ...BEARING_FIELDS.landMarkedMm },
  { key: 'landOtherMm', is: 'quantity', optional: true, ...BEARING_FIELDS.landOtherMm },
]

/** The stack of bearings in their block: whether the cover clamps them, what makes it so, and which way round they go. */
export function BlockPanel() {
  const { making, change, rowsOf } = useMaking()
  const units = useUnits()
  const shimStockMm = useJob(job => job.shop.shimStockMm)
  const edit = useEdit()
  const { block } = making
  const onBlock = (label: string, run: (block: BearingBlock) => void, mergeKey?: string) =>
    change(label, draft => draft.block && run(draft.block), mergeKey)
  if (!block)
    return (
      <Panel
        title="Bearing block"
        note="Measured with its bearings out: how deep the bore is, how wide the bearings, what the cover reaches in."
      >
        <Button
          variant="outline"
          onClick={() =>
            change('Bearing block', draft => {
              draft.block = BLOCK_TO_START
            })
          }
        >
          Measure the block
        </Button>
      </Panel>
    )
  return (
    <Panel
      title="Bearing block"
      note="The cover must stand off the block by a hair: then it clamps the outer rings. The lands of an outer ring, read with calipers at both faces, tell which face takes the thrust."
      action={<WorkingButton checkId="room.block" of="the stack of the block" />}
    >
      <FieldGrid
        facts={BLOCK_FIELDS}
        values={block}
        units={units}
        onValue={(field, label, value, mergeKey) =>
          onBlock(
            label,
            draft => {
              draft[field] = value
            },
            mergeKey,
          )
        }
      />
      <chakra.div my="3">
        <SizesField
          label="Shim stock at hand"
          sizesMm={shimStockMm}
          units={units}
          least={0.001}
          most={10}
          onSizes={sizes => edit(setShop('shimStockMm', sizes))}
        />
      </chakra.div>
      <RowsTable
        row="Bearing"
        columns={COLUMNS}
        {...rowsOf(
          making => making.block?.bearings ?? [],
          { change: 'Bearing of the block', more: 'A bearing more', less: 'A bearing less' },
          bearings => ({ widthMm: bearings.at(-1)?.widthMm ?? 10, landMarkedMm: null, landOtherMm: null }),
        )}
        units={units}
        most={MOST_BEARINGS}
        least={1}
        addLabel="Another bearing"
      />
      <Stack block={block} />
    </Panel>
  )
}

/** The stack drawn, with how its rings are held and which way round each bearing goes. */
function Stack({ block }: { block: BearingBlock }) {
  const units = useUnits()
  const catalogue = useCatalogue()
  const bearing = catalogue.bearing.get(useSettledAxis().parts.bearing ?? '')
  const stack = known(() => bearingStack(blockInputs(block)))
  if (!stack.value) return <chakra.p color="fails">{stack.ask}</chakra.p>
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
        boreDepthMm={block.boreDepthMm}
        widthsMm={block.bearings.map(({ widthMm }) => widthMm)}
        spacerMm={block.outerSpacerMm}
        spigotMm={block.coverSpigotMm}
        turned={turned}
      />
      <chakra.p fontSize="13px" color="quiet">
        The cover, at the left, pushes on the first outer ring; the push goes through the outer rings and the
        spacer into the shoulder of the bore (solid line). The locknut pulls the inner rings together on the
        screw (dashed line): the two meet only in the balls, along the slanted lines.
      </chakra.p>
      <chakra.ol pl="5" listStyleType="decimal" fontSize="14px" aria-label="Which way round the bearings go">
        {block.bearings.map((one, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a bearing is its place in the block
          <li key={index}>
            {index === 0
              ? 'At the cover: '
              : index === block.bearings.length - 1
                ? 'At the shoulder: '
                : 'Between: '}
            {turned[index] ? wayWords(turned[index]) : readingWords(orientation(one, block.caliperMm), tells)}
          </li>
        ))}
      </chakra.ol>
      <chakra.p fontSize="14px">{pair ? PAIR_WORDS[pair] : noPairWords(bearing?.name)}</chakra.p>
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
