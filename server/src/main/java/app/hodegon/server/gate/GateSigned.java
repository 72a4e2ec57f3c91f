package app.hodegon.server.gate;

import app.hodegon.core.plan.Edits.StepId;
import java.util.UUID;

/** The coach gave the word for a rung. */
public record GateSigned(UUID student, StepId step) {}
