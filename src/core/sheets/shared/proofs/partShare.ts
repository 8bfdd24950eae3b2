/** What one part of a drive may lose of what is accepted in all: from here on it is said to move. */
export const PART_SHARE = 0.2
