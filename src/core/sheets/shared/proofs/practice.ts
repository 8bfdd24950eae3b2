/** What the name of a test ends with that was read from a made-up gauge. */
export const PRACTICE = ' (practice)'

/** Whether a test was read from a made-up gauge: it proves nothing of the machine. */
export const isPractice = ({ label }: { label: string }): boolean => label.endsWith(PRACTICE)
