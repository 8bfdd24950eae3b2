import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import { explained, type Term } from '@/core/document/terms'
import { LaterTermWords } from './LaterTermWords'

/** No text offers more words than these to be explained: each is a stop of the Tab key. */
const MOST_OFFERED = 3

/** A text whose words of the trade explain themselves at a tap, right under it. */
export function Explained({ text }: { text: string }) {
  const [open, setOpen] = useState<Term | null>(null)
  let offered = 0
  return (
    <>
      {explained(text).map(({ text: part, term }) => {
        if (term === null || offered >= MOST_OFFERED) return part
        offered += 1
        return (
          <chakra.button
            key={term}
            type="button"
            aria-expanded={open === term}
            onClick={() => setOpen(before => (before === term ? null : term))}
            textDecoration="underline dotted"
            textUnderlineOffset="3px"
            textDecorationColor="lamp"
            cursor="help"
            bg="transparent"
            px="0"
            // Tall enough for a finger without moving the lines apart.
            py={{ base: '14px', xl: '0' }}
            my={{ base: '-14px', xl: '0' }}
          >
            {part}
          </chakra.button>
        )
      })}
      {open && (
        <chakra.span
          role="note"
          display="block"
          mt="1"
          pl="2"
          borderLeftWidth="3px"
          borderColor="lamp"
          color="ink"
        >
          <strong>{open}</strong>: <LaterTermWords term={open} />
        </chakra.span>
      )}
    </>
  )
}
