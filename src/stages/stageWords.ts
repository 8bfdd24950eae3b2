import type { StageId } from '@/core/sheets/nextAction'

/** What each stage is called, and the question it answers. */
export const STAGE_WORDS: Record<StageId, { label: string; question: string }> = {
  survey: { label: 'Survey', question: 'What have I got, and what do I want from it?' },
  size: { label: 'Size', question: 'Which screw, nut, bearings, coupler and motor?' },
  room: { label: 'Make room', question: 'Does it fit, and what travel is left?' },
  build: { label: 'Build', question: 'What do I do next, and what holds me up?' },
  align: { label: 'Align', question: 'Is it straight, and what do I shift?' },
  prove: { label: 'Prove', question: 'Is the lost motion good enough?' },
  log: { label: 'Log', question: 'What happened?' },
}

/** What may be open over the bench. */
export type Overlaid = 'palette' | 'help' | 'note' | 'axis' | 'edit-axis' | null
