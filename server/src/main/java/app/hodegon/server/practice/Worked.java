package app.hodegon.server.practice;

import app.hodegon.core.drill.Rung;
import java.util.UUID;

/** A drill practised on a rung in a plan. */
public record Worked(UUID plan, Rung rung, String drill) {}
