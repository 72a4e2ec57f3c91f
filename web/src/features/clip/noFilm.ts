/** Why a film cannot be taken, and what to do about it. */
export class NoFilm extends Error {}

/** The film can be seen, but nobody was found in it: points may be set by hand. */
export class NotFound extends NoFilm {}
