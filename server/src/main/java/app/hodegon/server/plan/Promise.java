package app.hodegon.server.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;

/** What a plan promised of one fault when it was handed over, to whom, and after which lesson. */
public record Promise(UUID plan, UUID student, UUID lesson, LocalDate from, List<PromisedGate> gates) {}
