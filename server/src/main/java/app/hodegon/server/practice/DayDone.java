package app.hodegon.server.practice;

import app.hodegon.core.practice.Feel;
import java.time.LocalDate;
import java.util.Optional;

/** A day practised, summed up. */
public record DayDone(LocalDate day, int reps, Optional<Feel> feel) {}
