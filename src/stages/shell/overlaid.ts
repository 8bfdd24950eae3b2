/** What may be open over the job. */
export type Overlaid = 'palette' | 'help' | 'note' | 'axis' | 'edit-axis' | null
