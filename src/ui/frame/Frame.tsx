import { chakra } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import type { State } from '@/core/evaluation/finding'
import { STATE_WORDS } from '@/core/evaluation/finding'
import { StateShape } from '../verdicts/StateMark'

export interface StageTab {
  id: string
  label: string
  question: string
  /** Worst state of the stage's findings, if it has any. */
  state: State | null
  /** A short count beside it, such as "12/25". */
  count: string | null
}

interface Props {
  header: ReactNode
  stages: ReactNode
  drive: ReactNode
  verdicts: ReactNode
  children: ReactNode
}

/** Stages down the left, axes across the top, drive line above, bench below it, verdicts at the right. */
export function Frame({ header, stages, drive, verdicts, children }: Props) {
  return (
    <chakra.div
      display="grid"
      minH="100dvh"
      gridTemplateColumns={{ base: 'minmax(0, 1fr)', lg: '148px minmax(0, 1fr) 324px' }}
      gridTemplateRows="auto 1fr"
      gridTemplateAreas={{
        base: '"head" "stages" "bench" "verdicts"',
        lg: '"head head head" "stages bench verdicts"',
      }}
    >
      <chakra.header
        gridArea="head"
        bg="panel"
        borderBottomWidth="1px"
        position={{ lg: 'sticky' }}
        top="0"
        zIndex="sticky"
      >
        {header}
      </chakra.header>
      <chakra.nav
        gridArea="stages"
        aria-label="Stages"
        borderRightWidth={{ lg: '1px' }}
        borderBottomWidth={{ base: '1px', lg: 0 }}
        p="2"
      >
        {stages}
      </chakra.nav>
      <chakra.main gridArea="bench" minW="0" p="3" display="grid" gap="3" alignContent="start" id="bench">
        {drive}
        {children}
      </chakra.main>
      <chakra.aside
        gridArea="verdicts"
        aria-label="Verdicts"
        minW="0"
        position={{ lg: 'sticky' }}
        top="57px"
        alignSelf={{ lg: 'start' }}
      >
        <chakra.div
          p="3"
          pl={{ lg: '0' }}
          height={{ lg: 'calc(100dvh - 57px)' }}
          overflowY={{ lg: 'auto' }}
          // Of a size of its own and no grid item, so that a verdict that grows does not lay out the page again.
          contain={{ lg: 'strict' }}
          willChange={{ lg: 'transform' }}
        >
          {verdicts}
        </chakra.div>
      </chakra.aside>
    </chakra.div>
  )
}

/** The stages, each with its worst verdict. */
export function StageTabs({
  tabs,
  current,
  onStage,
}: {
  tabs: StageTab[]
  current: string
  onStage: (id: string) => void
}) {
  return (
    <chakra.ol
      display="flex"
      flexDirection={{ base: 'row', lg: 'column' }}
      gap="1"
      overflowX={{ base: 'auto', lg: 'visible' }}
      position={{ lg: 'sticky' }}
      top="72px"
    >
      {tabs.map(one => (
        <li key={one.id}>
          <StageButton tab={one} current={one.id === current} onClick={() => onStage(one.id)} />
        </li>
      ))}
    </chakra.ol>
  )
}

function StageButton({ tab, current, onClick }: { tab: StageTab; current: boolean; onClick: () => void }) {
  return (
    <chakra.button
      type="button"
      onClick={onClick}
      aria-current={current ? 'step' : undefined}
      title={tab.question}
      display="flex"
      alignItems="center"
      gap="2"
      width="100%"
      minH={{ base: '44px', xl: '40px' }}
      px="2.5"
      borderRadius="6px"
      textAlign="left"
      whiteSpace="nowrap"
      cursor="pointer"
      fontSize="15px"
      fontWeight={current ? 700 : 400}
      bg={current ? 'raised' : 'transparent'}
      color={current ? 'lamp' : 'ink'}
      borderLeftWidth="3px"
      borderColor={current ? 'lamp' : 'transparent'}
      _hover={{ bg: 'raised' }}
    >
      <chakra.span flex="1">{tab.label}</chakra.span>
      {tab.count && (
        <chakra.span fontFamily="mono" fontSize="12px" color="quiet">
          {tab.count}
        </chakra.span>
      )}
      {tab.state && <StateShape state={tab.state} label={STATE_WORDS[tab.state]} />}
    </chakra.button>
  )
}
