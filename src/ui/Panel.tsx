import { chakra } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { Note } from './Note'
import { Explained } from './terms/Explained'

/** A titled sheet on the bench. */
export function Panel({
  title,
  note,
  action,
  children,
}: {
  title: string
  note?: string
  action?: ReactNode
  children: ReactNode
}) {
  return (
    // Isolated, so that the browser keeps what it drew of a sheet while another one changes.
    <chakra.section
      bg="panel"
      borderWidth="1px"
      borderRadius="8px"
      p="4"
      aria-label={title}
      minW="0"
      isolation="isolate"
    >
      <chakra.div
        display="flex"
        flexWrap="wrap"
        alignItems="center"
        justifyContent="space-between"
        gap="2"
        mb="3"
      >
        <chakra.h2 fontSize="17px" fontWeight={700}>
          {title}
        </chakra.h2>
        {action}
      </chakra.div>
      {note && (
        <Note mb="3" maxW="68ch" data-note>
          <Explained text={note} />
        </Note>
      )}
      {children}
    </chakra.section>
  )
}

/** Holds what may be wider than its sheet: it scrolls there, and nothing in it widens the page. */
export const SideScroll = chakra('div', { base: { overflowX: 'auto', position: 'relative' } })

/** A table cell's usual look: figures right, words left. */
export const Cell = chakra('td', {
  base: { px: '2', py: '1.5', borderTopWidth: '1px', verticalAlign: 'middle' },
})
export const HeadCell = chakra('th', {
  base: {
    px: '2',
    py: '1.5',
    textAlign: 'left',
    fontSize: '13px',
    fontWeight: 700,
    color: 'quiet',
    verticalAlign: 'bottom',
  },
})
export const Figures = chakra('span', { base: { fontFamily: 'mono', whiteSpace: 'nowrap' } })
