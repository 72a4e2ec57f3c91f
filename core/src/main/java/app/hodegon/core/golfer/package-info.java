/**
 * One simulated golfer, moved through the eight moments of the swing: a body of usual proportions, its loads under both
 * feet, and faults as known displacements of both. What stands in for a plate, for a clip or for a figure that moves is
 * all drawn from here, so that every value read somewhere can be held against what was put in.
 */
package app.hodegon.core.golfer;
