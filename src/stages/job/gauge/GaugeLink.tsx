import { chakra } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import { gaugeLineUm } from '@/core/units/gaugeLine'
import { errorWords } from '@/store/errorWords'
import { Button } from '@/ui/controls'
import { Stated } from '@/ui/Note'
import { useReadingUnit } from '../GaugeFields'
import { fromSerial, hasSerial } from './sources'

/** What a gauge that is only made up reads, by the place that is read next. */
export type Practice = () => number

/**
 * Takes readings from a gauge with a cable, on the browser's serial port; a made-up one stands in for practice. Each line
 * that it sends is one reading, at the place that is shown as the next.
 */
export function GaugeLink({
  onReading,
  practice,
  onPractice,
}: {
  onReading: (um: number) => void
  practice: Practice
  /** Called before practice begins: what is read from then on is marked as not of the machine. */
  onPractice: () => void
}) {
  const typedIn = useReadingUnit()
  const [linked, setLinked] = useState<'no' | 'serial' | 'practice'>('no')
  const [said, setSaid] = useState('')
  const end = useRef<(() => void) | null>(null)
  const take = useRef(onReading)
  take.current = onReading
  const unit = useRef(typedIn)
  unit.current = typedIn
  useEffect(() => () => end.current?.(), [])
  const onLine = (line: string) => {
    const um = gaugeLineUm(line, unit.current)
    if (um === null) {
      if (line.trim() !== '')
        setSaid(`The gauge sent “${line.trim()}”, which is no reading. Nothing was taken.`)
      return
    }
    setSaid('')
    take.current(um)
  }
  const unlink = (why: string | null) => {
    end.current?.()
    end.current = null
    setLinked('no')
    setSaid(why ?? '')
  }
  const link = async () => {
    try {
      end.current = await fromSerial(onLine, unlink)
      setLinked('serial')
      setSaid('')
    } catch (error) {
      setSaid(`Not linked: ${errorWords(error)}`)
    }
  }
  return (
    <Stated as="div" display="grid" gap="2" mt="1">
      <chakra.p color="quiet" maxW="72ch">
        One reading a line, with or without sign and unit, at 9600 baud.
        {!hasSerial() && ' This browser has no serial ports: a gauge that types like a keyboard needs none.'}
      </chakra.p>
      <chakra.div display="flex" gap="2" flexWrap="wrap" alignItems="center">
        {linked === 'no' ? (
          <>
            {hasSerial() && (
              <Button variant="outline" onClick={() => void link()}>
                Link a gauge
              </Button>
            )}
            <Button
              variant="outline"
              onClick={() => {
                onPractice()
                setLinked('practice')
              }}
            >
              Practise with a made-up gauge
            </Button>
          </>
        ) : (
          <>
            <span>
              {linked === 'serial'
                ? 'Linked: press its key to send.'
                : 'A made-up gauge: its readings are not of your machine.'}
            </span>
            {linked === 'practice' && (
              <Button variant="lamp" onClick={() => onLine(`${(practice() / 1000).toFixed(3)} mm`)}>
                Press its key
              </Button>
            )}
            <Button variant="quiet" onClick={() => unlink(null)}>
              Unlink it
            </Button>
          </>
        )}
      </chakra.div>
      <chakra.p role="status" color="fails" fontWeight={700}>
        {said}
      </chakra.p>
    </Stated>
  )
}
