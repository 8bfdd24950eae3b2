import { setDateLocale } from '@/core/units/dateWords'
import { marksOf, setMarks } from '@/core/units/marks'
import { currencyFrom, setCurrency } from '@/core/units/money'
import { tellAlive } from './alive'

// A worker says numbers and days as the page does that asks it.
setMarks(marksOf())
setDateLocale()
// And it is missed when it ends by itself.
tellAlive()

/** Prices it says in the money of the page, which is told to it first of all. */
addEventListener('message', event => {
  if (typeof event.data !== 'object' || event.data === null || !('currency' in event.data)) return
  event.stopImmediatePropagation()
  setCurrency(currencyFrom(event.data.currency))
})
