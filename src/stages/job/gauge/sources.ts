import { lineCutter } from '@/core/units/gaugeLine'
import { errorWords } from '@/store/errorWords'

/** Something that sends lines, one reading each; the function returned ends it. */
export type Listen = (
  onLine: (line: string) => void,
  onEnd: (why: string | null) => void,
) => Promise<() => void>

/** As much of the browser's serial port as is used here. */
interface SerialPort {
  open: (options: { baudRate: number }) => Promise<void>
  close: () => Promise<void>
  readable: ReadableStream<Uint8Array> | null
}
interface Serial {
  requestPort: () => Promise<SerialPort>
}
const serial = (): Serial | undefined => (navigator as { serial?: Serial }).serial

/** Whether this browser has serial ports at all. */
export const hasSerial = (): boolean => typeof navigator !== 'undefined' && serial() !== undefined

/** The usual speed of a gauge with a cable. */
const BAUD = 9600

/** A gauge on a serial port that the builder chooses; each line that it sends is a reading. */
export const fromSerial: Listen = async (onLine, onEnd) => {
  const port = await serial()?.requestPort()
  if (!port) throw new Error('This browser has no serial port.')
  await port.open({ baudRate: BAUD })
  const reader = port.readable?.getReader()
  if (!reader) throw new Error('The port sends nothing.')
  let over = false
  const listen = async () => {
    const decoder = new TextDecoder()
    const linesOf = lineCutter()
    for (;;) {
      const { value, done } = await reader.read()
      if (done) return
      for (const line of linesOf(decoder.decode(value, { stream: true }))) onLine(line)
    }
  }
  const end = async () => {
    over = true
    await reader.cancel().catch(() => undefined)
    reader.releaseLock()
    await port.close().catch(() => undefined)
  }
  void listen().then(
    () => over || onEnd('The gauge was taken off.'),
    error => over || onEnd(errorWords(error)),
  )
  return () => void end()
}
