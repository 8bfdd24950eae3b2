'use client'
import { chakra } from '@chakra-ui/react'
import { MISSING_PIECE, MISSING_PIECE_WORDS } from '@/store/missingPiece'
import { Button, LinkButton } from '@/ui/controls'
import { Notice } from '@/ui/frame/Notice'

/** What is shown when a screen fails: what was saved stays saved. */
export default function ScreenError({ error, reset }: { error: Error; reset: () => void }) {
  const missing = error.name === MISSING_PIECE
  return (
    <chakra.main maxW="760px" mx="auto" p="6">
      <Notice
        title={missing ? MISSING_PIECE_WORDS.title : 'This screen could not be drawn'}
        actions={
          <>
            {/* What could not be fetched is not asked for again until the page is loaded anew. */}
            {missing ? (
              <Button onClick={() => location.reload()}>Load the page again</Button>
            ) : (
              <Button onClick={reset}>Try again</Button>
            )}
            <LinkButton href="/">All jobs</LinkButton>
          </>
        }
      >
        {missing
          ? `${MISSING_PIECE_WORDS.why} Nothing that you typed is lost.`
          : `${error.message} What was saved before is still in this browser.`}
      </Notice>
    </chakra.main>
  )
}
