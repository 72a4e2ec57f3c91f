package app.hodegon.server.practice;

import app.hodegon.core.practice.PracticeSession;
import java.util.List;
import java.util.UUID;

/**
 * A student has finished a day's practice; told once per session, within the transaction that stores it.
 *
 * @param stopped drills that this session stopped for pain
 */
public record DayPractised(UUID student, UUID plan, PracticeSession session, List<String> stopped) {}
