package app.hodegon.server.shots;

import app.hodegon.core.shots.ShotFigure;
import app.hodegon.server.lesson.Stage;
import java.util.UUID;

/** One figure of the balls hit with one club at one moment of a lesson. */
public record ShotSummary(
        UUID lesson, Stage stage, String club, ShotFigure figure, double mean, double deviation, int balls) {}
