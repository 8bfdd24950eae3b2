import { chakra } from '@chakra-ui/react'
import { type ReactNode, useState } from 'react'
import { decodeText, ENCODINGS, type Encoding, UnsureTextError } from '@/core/formats/textFile'
import { Button } from '@/ui/controls'
import { Note } from '@/ui/Note'

interface Asked {
  samples: Readonly<Partial<Record<Encoding, string>>>
  answer: (encoding: Encoding | null) => void
}

interface TextOf {
  /** The text of a file; null where nobody knows how its letters are meant. @throws TextFileError where it is no text */
  textOf: (file: File) => Promise<string | null>
  /** What is asked meanwhile, to be shown where the file was picked. */
  ask: ReactNode
}

/** Reads text files; where the letters of one can be read in several ways, the builder says which, by a sample of each. */
export function useTextOf(): TextOf {
  const [asked, setAsked] = useState<Asked | null>(null)
  const textOf = async (file: File) => {
    const bytes = new Uint8Array(await file.arrayBuffer())
    try {
      return decodeText(bytes)
    } catch (error) {
      if (!(error instanceof UnsureTextError)) throw error
      const { samples } = error
      const encoding = await new Promise<Encoding | null>(answer => setAsked({ samples, answer }))
      setAsked(null)
      return encoding && decodeText(bytes, encoding)
    }
  }
  return { textOf, ask: asked && <AskEncoding {...asked} /> }
}

function AskEncoding({ samples, answer }: Asked) {
  return (
    <chakra.div role="group" aria-label="How the letters of the file are meant" my="2" display="grid" gap="2">
      <Note>
        The file is not in Unicode, so its letters can be read in several ways. Which of these reads right?
      </Note>
      {(Object.keys(samples) as Encoding[]).map(encoding => (
        <Button
          key={encoding}
          variant="outline"
          justifyContent="start"
          h="auto"
          minH="44px"
          whiteSpace="normal"
          textAlign="start"
          onClick={() => answer(encoding)}
        >
          <chakra.span overflowWrap="anywhere">“{samples[encoding]}”</chakra.span>
          <chakra.span color="quiet" fontWeight={400}>
            {ENCODINGS[encoding]}
          </chakra.span>
        </Button>
      ))}
      <Button variant="quiet" onClick={() => answer(null)}>
        None of them: take nothing
      </Button>
    </chakra.div>
  )
}
