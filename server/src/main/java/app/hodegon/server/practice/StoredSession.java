package app.hodegon.server.practice;

import app.hodegon.core.practice.PracticeSession;

/**
 * A session as it is sent and stored.
 *
 * @param edition how often the phone had changed it; 0 where it did not come by phone
 * @param earlierPlan whether it was practised by the plan as it was before it was laid again
 */
public record StoredSession(PracticeSession session, int edition, boolean earlierPlan) {

    public static StoredSession of(PracticeSession session) {
        return new StoredSession(session, 0, false);
    }
}
