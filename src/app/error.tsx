'use client'
import { chakra } from '@chakra-ui/react'
import { Button, LinkButton } from '@/ui/controls'
import { Notice } from '@/ui/frame/Notice'

/** The name of the error when a piece of the app could not be fetched, even at a second try. */
const PIECE_MISSING = 'ChunkLoadError'

/** What is shown when a screen fails: what was saved stays saved. */
export default function ScreenError({ error, reset }: { error: Error; reset: () => void }) {
  const missing = error.name === PIECE_MISSING
  return (
    <chakra.main maxW="760px" mx="auto" p="6">
      <Notice
        title={missing ? 'A piece of the app did not come' : 'This screen could not be drawn'}
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
          ? 'The connection was interrupted, or the app was renewed meanwhile. Nothing that you typed is lost.'
          : `${error.message} What was saved before is still in this browser.`}
      </Notice>
    </chakra.main>
  )
}
