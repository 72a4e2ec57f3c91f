/** How a session felt, by its number from 1 to 5. */
export const FELT = ["", "lost", "rather lost", "so-so", "rather clear", "clear"];
