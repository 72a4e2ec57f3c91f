package app.hodegon.server;

import tools.jackson.databind.JsonNode;

/**
 * What a phone sends about one day of the plan it has.
 *
 * @param me what the phone was told
 * @param date a planned day
 */
record PhoneEntry(JsonNode me, String date) {

    JsonNode blocks() {
        return me.at("/plan/plan/days")
                .valueStream()
                .filter(d -> d.path("date").asString().equals(date))
                .findFirst()
                .orElseThrow()
                .path("blocks");
    }

    String planId() {
        return me.at("/plan/id").asString();
    }

    /** The position of the day's last block, which is its check. */
    int check() {
        return blocks().size() - 1;
    }

    /** One block done and nothing else said. */
    String with(int edition, int block, String marks) {
        return with(edition, block, marks, "", "", false);
    }

    /**
     * @param said further fields, each followed by a comma
     */
    String with(int edition, int block, String marks, String said, String note, boolean finished) {
        JsonNode was = blocks().get(Math.min(block, check()));
        return """
                {"planId":"%s","day":"%s","edition":%d,
                 "blocks":[{"block":%d,"fault":"%s","drill":"%s","rung":"%s","kind":"%s","marks":"%s","noticed":[]}],
                 %s"balls":{},"note":"%s","finished":%b}""".formatted(
                        planId(),
                        date,
                        edition,
                        block,
                        was.path("fault").asString(),
                        was.path("drill").asString(),
                        was.path("rung").asString(),
                        was.path("kind").asString(),
                        marks,
                        said,
                        note,
                        finished);
    }
}
