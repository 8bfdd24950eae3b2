/**
 * Calls once the frame that shows what stands now is drawn. A tab in the background draws no frames, and has nobody who waits.
 *
 * @returns what takes the call back
 */
export function afterFrame(call: () => void): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined
  if (document.hidden) {
    timer = setTimeout(call)
    return () => clearTimeout(timer)
  }
  const frame = requestAnimationFrame(() => {
    timer = setTimeout(call)
  })
  return () => {
    cancelAnimationFrame(frame)
    clearTimeout(timer)
  }
}
