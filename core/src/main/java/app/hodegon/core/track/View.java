package app.hodegon.core.track;

import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;

/** Where the camera stands. */
public enum View implements Identified {
    /** Square to the target line, before the golfer: the target is to a right-hander's right in the picture. */
    FACE_ON("face-on"),
    /** Behind the golfer on the hands' line: the ball is to a right-hander's right in the picture. */
    DOWN_THE_LINE("down-the-line");

    private final String id;

    View(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }

    /** 1 where target or ball lie to the right in the picture, −1 where they lie to the left. */
    public int sign(Handedness hand) {
        return hand == Handedness.RIGHT ? 1 : -1;
    }
}
