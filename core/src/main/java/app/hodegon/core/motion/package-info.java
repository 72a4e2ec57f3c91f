/**
 * A swing as data: what a pressure plate or a clip recorded, the moments found in it, and what is read there. Times are
 * in seconds from the first sample, loads in percent of what is under both feet unless a unit is given, lead and trail
 * as everywhere. What cannot be found is left open.
 */
package app.hodegon.core.motion;
