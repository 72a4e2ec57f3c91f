package app.hodegon.server.attention;

import app.hodegon.server.http.Failure;
import app.hodegon.server.student.StudentChanged;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** After an upgrade whose rules are others, what wants the coach is worked out anew for everybody, one after the other. */
@Component
class AttentionDue {

    private static final Logger LOG = LoggerFactory.getLogger(AttentionDue.class);

    private final AttentionRepository attentions;
    private final Attentions rules;

    AttentionDue(AttentionRepository attentions, Attentions rules) {
        this.attentions = attentions;
        this.rules = rules;
    }

    @Scheduled(fixedDelay = 10, timeUnit = TimeUnit.MINUTES)
    void catchUp() {
        for (UUID student : attentions.due()) {
            try {
                rules.on(new StudentChanged(student));
            } catch (RuntimeException failed) {
                LOG.error("What wants the coach of {} could not be worked out: {}", student, Failure.without(failed));
            }
        }
    }
}
