package app.hodegon.core.golfer;

/**
 * A place in the golfer's space, in cm: x towards the target, y from the feet towards the ball, z up; the middle of the
 * stance on the ground is the origin. Seen so, right-handers and left-handers are the same.
 */
public record Point(double x, double y, double z) {

    Point plus(Point other) {
        return new Point(x + other.x, y + other.y, z + other.z);
    }

    Point minus(Point other) {
        return new Point(x - other.x, y - other.y, z - other.z);
    }

    Point times(double factor) {
        return new Point(x * factor, y * factor, z * factor);
    }

    double dot(Point other) {
        return x * other.x + y * other.y + z * other.z;
    }

    double length() {
        return Math.sqrt(dot(this));
    }

    Point unit() {
        return times(1 / length());
    }

    /** The part of this that is square to a direction, made one long. */
    Point squareTo(Point direction) {
        return minus(direction.times(dot(direction))).unit();
    }

    public double distance(Point other) {
        return minus(other).length();
    }
}
