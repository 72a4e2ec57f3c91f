/** What of a film is taken; said before one is chosen. */
export const LONGEST_SECONDS = 60;
export const LARGEST_MB = 500;
