/** What of a film is taken; said before one is chosen. */
export const LONGEST_SECONDS = 60;
export const LARGEST_MB = 500;
/** What of it may be kept, where it is chosen: the swing, small. */
export const LARGEST_KEPT_MB = 1.5;
/** A film of a drill is no longer. */
export const LONGEST_KEPT_SECONDS = 15;
