import { marksOf, setMarks } from '@/core/units/marks'
import { tellAlive } from './alive'

// A worker says numbers as the page does that asks it.
setMarks(marksOf())
// And it is missed when it ends by itself.
tellAlive()
