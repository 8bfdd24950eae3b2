import { chakra } from '@chakra-ui/react'
import { memo, useEffect, useRef } from 'react'
import type { Axis } from '@/core/document/axis'
import { STAGE_WORDS, STAGES, type Stage } from '@/core/document/stages'
import { type Finding, STATE_WORDS, type State, stageState } from '@/core/evaluation/finding'
import { stillToMeasure } from '@/core/machine/stillToMeasure'
import type { Standing } from '@/core/planning/next'
import { type SheetId, sheetsOf } from '@/core/sheets'
import { useIsAtLeast } from '@/ui/frame/useIsAtLeast'
import { StateShape } from '@/ui/verdicts/StateMark'
import type { Place } from '../job/address'
import { placeLink } from '../job/PlaceLink'
import { useStanding } from '../job/standing'
import { useSettledAxis } from '../job/useAxis'
import { useFindings } from '../job/useEvaluation'

interface Entry {
  place: Place
  label: string
  title?: string
  state: State | null
  /** A short count beside it, such as "12 of 50". */
  count: string | null
}

interface Props {
  jobId: string
  axisId: string
  stage: Stage
  sheet: SheetId
}

/** The stages of the axis with what each has to say about it, and under the one in hand its sheets. */
export function Rail({ jobId, axisId, stage, sheet }: Props) {
  const axis = useSettledAxis()
  const findings = useFindings()
  const standing = useStanding()
  const beside = useIsAtLeast('lg')
  const place = (of: Stage, id: SheetId | null): Place => ({ jobId, axisId, stage: of, sheet: id })
  const sheets = sheetsOf(stage).map(
    (one): Entry => ({
      place: place(stage, one.id),
      label: one.title,
      state: stageState(findings.filter(finding => finding.sheet === one.id)),
      count: sheetCount(one.id, axis, standing),
    }),
  )
  const list = <Sheets entries={sheets} current={sheet} />
  return (
    <nav aria-label="Stages">
      <chakra.ol
        display="flex"
        flexDirection={{ base: 'row', lg: 'column' }}
        gap="0.5"
        overflowX={{ base: 'auto', lg: 'visible' }}
      >
        {(stage === 'machine' ? (['machine'] as const) : STAGES).map(id => {
          const current = id === stage
          return (
            <li key={id}>
              <RailLink
                entry={{
                  place: place(id, null),
                  ...STAGE_WORDS[id],
                  title: STAGE_WORDS[id].question,
                  state: stageState(findings.filter((finding: Finding) => finding.stage === id)),
                  count: id === 'survey' || id === 'build' ? stageCount(id, axis, standing) : null,
                }}
                current={current}
                kind="stage"
              />
              {current && beside && list}
            </li>
          )
        })}
      </chakra.ol>
      {/* On a tablet the sheets are a row of their own under the stages. */}
      {!beside && (
        <chakra.div borderTopWidth="1px" mt="1" pt="1">
          {list}
        </chakra.div>
      )}
    </nav>
  )
}

/** How far it is built, in the very figures of its steps; nothing before the first one is done. */
const done = (standing: Standing | null) =>
  standing && standing.steps.done > 0 ? `${standing.steps.done} of ${standing.steps.of}` : null
const open = (axis: Axis) => {
  const { length } = stillToMeasure(axis)
  return length > 0 ? `${length} open` : null
}
const stageCount = (stage: 'survey' | 'build', axis: Axis, standing: Standing | null) =>
  stage === 'survey' ? open(axis) : done(standing)
const sheetCount = (sheet: SheetId, axis: Axis, standing: Standing | null) =>
  sheet === 'toMeasure' ? open(axis) : sheet === 'steps' ? done(standing) : null

function Sheets({ entries, current }: { entries: Entry[]; current: SheetId }) {
  const list = useRef<HTMLOListElement>(null)
  // On a tablet the row may be longer than the screen: the sheet in hand is brought into sight.
  // biome-ignore lint/correctness/useExhaustiveDependencies: anew for every sheet
  useEffect(() => {
    const row = list.current
    const link = row?.querySelector<HTMLElement>('[aria-current="page"]')
    if (row && link) row.scrollLeft = link.offsetLeft - row.offsetLeft - 40
  }, [current])
  return (
    <chakra.ol
      ref={list}
      aria-label="Sheets"
      display="flex"
      flexDirection={{ base: 'row', lg: 'column' }}
      overflowX={{ base: 'auto', lg: 'visible' }}
      gap={{ base: '1', lg: '0' }}
      pl={{ lg: '3' }}
      pb={{ lg: '1.5' }}
    >
      {entries.map(entry => (
        <li key={entry.place.sheet}>
          <RailLink entry={entry} current={entry.place.sheet === current} kind="sheet" />
        </li>
      ))}
    </chakra.ol>
  )
}

const RailLink = memo(
  function RailLink({
    entry: { place, label, title, state, count },
    current,
    kind,
  }: {
    entry: Entry
    current: boolean
    kind: 'stage' | 'sheet'
  }) {
    const link = placeLink(place)
    const isStage = kind === 'stage'
    return (
      <chakra.a
        {...link}
        data-rail={kind}
        aria-current={current ? (isStage ? 'step' : 'page') : undefined}
        title={title}
        display="flex"
        alignItems="center"
        gap="1.5"
        minH={{ base: '44px', lg: isStage ? '38px' : '30px' }}
        px="2"
        borderRadius="6px"
        whiteSpace={{ base: 'nowrap', lg: 'normal' }}
        textDecoration="none"
        fontSize={isStage ? '15px' : '14px'}
        lineHeight="1.25"
        fontWeight={current ? 700 : 400}
        bg={current ? 'raised' : 'transparent'}
        color={current ? 'lamp' : 'ink'}
        borderLeftWidth="3px"
        borderColor={current ? 'lamp' : isStage ? 'transparent' : 'line'}
        borderLeftRadius={isStage ? '6px' : '0'}
        _hover={{ bg: 'raised' }}
      >
        <chakra.span flex="1">{label}</chakra.span>
        {count && (
          <chakra.span fontFamily="mono" fontSize="12px" color="quiet" whiteSpace="nowrap">
            {count}
          </chakra.span>
        )}
        {state && <StateShape state={state} label={STATE_WORDS[state]} />}
      </chakra.a>
    )
  },
  (a, b) =>
    a.current === b.current &&
    a.kind === b.kind &&
    a.entry.state === b.entry.state &&
    a.entry.count === b.entry.count &&
    a.entry.label === b.entry.label &&
    a.entry.place.axisId === b.entry.place.axisId &&
    a.entry.place.stage === b.entry.place.stage &&
    a.entry.place.sheet === b.entry.place.sheet,
)
