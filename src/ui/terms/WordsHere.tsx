import { chakra } from '@chakra-ui/react'
import { BookOpen } from 'lucide-react'
import { type RefObject, useState } from 'react'
import { type Term, termsIn } from '@/core/document/terms'
import { Button } from '../controls'
import { Stated } from '../Note'
import { LaterTermWords } from './LaterTermWords'

/** Explains every word of the trade that stands on a sheet, when it is asked for. */
export function WordsHere({ of }: { of: RefObject<HTMLElement | null> }) {
  const [terms, setTerms] = useState<Term[] | null>(null)
  const toggle = () => setTerms(before => (before ? null : termsIn(of.current?.textContent ?? '')))
  return (
    <div>
      <Button variant="quiet" aria-expanded={terms !== null} onClick={toggle}>
        <BookOpen size={16} aria-hidden /> Words on this sheet
      </Button>
      {terms?.length === 0 && <p>None that is not plain.</p>}
      {terms && terms.length > 0 && (
        <Stated
          as="dl"
          display="grid"
          gap="1.5"
          columnGap="3"
          gridTemplateColumns="max-content minmax(0, 1fr)"
          bg="panel"
          borderWidth="1px"
          borderRadius="8px"
          p="3"
          mt="1"
        >
          {terms.map(term => (
            <chakra.div key={term} display="contents">
              <chakra.dt fontWeight={700}>{term}</chakra.dt>
              <dd>
                <LaterTermWords term={term} />
              </dd>
            </chakra.div>
          ))}
        </Stated>
      )}
    </div>
  )
}
