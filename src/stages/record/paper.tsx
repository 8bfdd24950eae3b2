import { chakra } from '@chakra-ui/react'
import { type ReactNode, useEffect } from 'react'
import type { PaperBlock, PaperCell } from '@/core/drawing/paper'
import { dayWords } from '@/core/units/dateWords'
import { Button } from '@/ui/controls'
import { usePageMarks } from '@/ui/frame/usePageMarks'

interface Props {
  title: string
  backLabel: string
  printLabel: string
  onBack: () => void
  children: ReactNode
}

/** A sheet to print, with what it is and the date on top, and buttons that stay off the paper. */
export function PaperScreen({ title, backLabel, printLabel, onBack, children }: Props) {
  // What a file is called that it is printed to.
  useEffect(() => {
    document.title = title
  }, [title])
  usePageMarks(title)
  return (
    <>
      <chakra.div data-frame display="flex" gap="2" p="3" justifyContent="center">
        <Button onClick={onBack}>{backLabel}</Button>
        <Button variant="lamp" onClick={() => window.print()}>
          {printLabel}
        </Button>
      </chakra.div>
      <Sheet>
        <chakra.header
          display="flex"
          justifyContent="space-between"
          alignItems="baseline"
          borderBottomWidth="2px"
          borderColor="#1a222c"
          pb="1"
          mb="2"
          gap="4"
        >
          <chakra.h1 fontSize="22px" overflowWrap="anywhere">
            {title}
          </chakra.h1>
          <chakra.span whiteSpace="nowrap">{dayWords(new Date().toISOString())}</chakra.span>
        </chakra.header>
        {children}
      </Sheet>
    </>
  )
}

/** Paper is white whatever the scheme on the screen. */
const Sheet = chakra('main', {
  base: {
    maxW: '190mm',
    mx: 'auto',
    mb: '8',
    p: '8mm',
    bg: '#fff',
    color: '#1a222c',
    fontSize: '12px',
    lineHeight: '1.35',
    '& table': { width: '100%' },
    '@media print': { maxW: 'none', m: 0, p: 0, fontSize: '10.5px' },
  },
})

export const Td = chakra('td', {
  base: {
    verticalAlign: 'top',
    pr: '2',
    py: '0.5',
    borderTopWidth: '1px',
    borderColor: '#c9c9c9',
    '@media print': { py: 0 },
  },
})

/** A titled part of a sheet; its title stays with what follows, and no line of it is cut. */
export function Block({ title, children }: { title: string; children: ReactNode }) {
  return (
    <chakra.section
      mt="2"
      css={{
        '& tr, & p': { breakInside: 'avoid' },
        '& h2': { breakAfter: 'avoid' },
        '@media print': { marginTop: '3px' },
      }}
    >
      <chakra.h2 fontSize="13px" fontWeight={700} mb="0.5">
        {title}
      </chakra.h2>
      {children}
    </chakra.section>
  )
}

/** Blocks of the sheets, as they have them to say; narrow ones in a row stand side by side. */
export function PaperBlocks({ blocks }: { blocks: readonly PaperBlock[] }) {
  return (
    <chakra.div
      display="grid"
      columnGap="6"
      gridTemplateColumns={{ base: 'minmax(0, 1fr)', sm: 'repeat(2, minmax(0, 1fr))' }}
      css={{ '@media print': { gridTemplateColumns: 'repeat(2, minmax(0, 1fr))' } }}
    >
      {blocks.map(block => (
        <chakra.div key={block.title} gridColumn={block.half ? undefined : '1 / -1'} minW="0">
          <OneBlock {...block} />
        </chakra.div>
      ))}
    </chakra.div>
  )
}

const OneBlock = ({ title, rows, empty, half }: PaperBlock) => (
  <Block title={title}>
    {rows.length === 0 ? (
      <p>{empty}</p>
    ) : (
      <table>
        <tbody>
          {rows.map((cells, index) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: paper does not change
            <tr key={index}>
              {cells.map((cell, column) => (
                <Td
                  // biome-ignore lint/suspicious/noArrayIndexKey: paper does not change
                  key={column}
                  textAlign={
                    column > (half ? 0 : 1) &&
                    column === cells.length - 1 &&
                    (half || typeof cell !== 'string' || cell.length < 60)
                      ? 'right'
                      : 'left'
                  }
                >
                  <CellOnPaper cell={cell} />
                </Td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    )}
  </Block>
)

function CellOnPaper({ cell }: { cell: PaperCell }) {
  if (typeof cell === 'string') return cell
  return (
    <>
      <b>{cell.strong}</b> {cell.text}
      {cell.note && (
        <>
          <br />
          {cell.note}
        </>
      )}
    </>
  )
}
