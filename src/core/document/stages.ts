/** The stages of the work, in the order in which it is done. */
export const STAGES = ['survey', 'size', 'room', 'build', 'align', 'prove', 'log'] as const
/** Where a sheet belongs: a stage of the work on an axis, or the place for what concerns the whole machine. */
export type Stage = (typeof STAGES)[number] | 'machine'

/** What each stage is called, and the question it answers. */
export const STAGE_WORDS: Record<Stage, { label: string; question: string }> = {
  machine: { label: 'Machine', question: 'Where does the whole job stand?' },
  survey: { label: 'Survey', question: 'What have I got, and what do I want from it?' },
  size: { label: 'Size', question: 'Which screw, nut, bearings, coupler and motor?' },
  room: { label: 'Make room', question: 'Does it fit, and what travel is left?' },
  build: { label: 'Build', question: 'What do I do next, and what holds me up?' },
  align: { label: 'Align', question: 'Is it straight, and what do I shift?' },
  prove: { label: 'Prove', question: 'Is the lost motion good enough?' },
  log: { label: 'Log', question: 'What happened?' },
}
