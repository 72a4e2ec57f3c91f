package app.hodegon.core.practice;

import java.time.LocalDate;

/**
 * What student and coach each noticed in one and the same swing of a lesson.
 *
 * @param drill whose question was answered
 */
public record SameSwing(LocalDate day, String drill, String student, String coach) {

    public boolean agreed() {
        return student.equals(coach);
    }
}
