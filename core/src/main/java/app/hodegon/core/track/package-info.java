/**
 * A swing as a film tells it: points of the body over time in one camera view, the moments found in them, and what is
 * measured there with its uncertainty (docs/decisions/0028). Inside, a picture is turned so that its first axis points to
 * the target (face on) or to the ball (down the line) and its second up, whatever the hand. What one camera cannot see is
 * not told.
 */
package app.hodegon.core.track;
