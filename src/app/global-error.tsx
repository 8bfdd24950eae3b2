'use client'

/** When not even the frame could be drawn: what is left is plain, and leads out. */
export default function GlobalError({ error }: { error: Error }) {
  return (
    <html lang="en">
      <body style={{ margin: 24, fontFamily: 'sans-serif' }}>
        <title>Not drawn · Dusk Bench</title>
        <h1>Dusk Bench could not be drawn</h1>
        <p>{error.message} What was saved before is still in this browser.</p>
        <p>
          {/* biome-ignore lint/a11y/useValidAnchor: loads the page anew, in whatever state it is */}
          <a href="">Load the page again</a>, or go to <a href="/">all jobs</a>.
        </p>
      </body>
    </html>
  )
}
