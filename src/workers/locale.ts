import { marksOf, setMarks } from '@/core/units/marks'

// A worker says numbers as the page does that asks it.
setMarks(marksOf())
