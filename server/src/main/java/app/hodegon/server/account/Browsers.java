package app.hodegon.server.account;

/** What kind of machine a browser says it runs on. */
final class Browsers {

    private Browsers() {}

    static String name(String userAgent) {
        if (userAgent == null) return "Unknown";
        if (userAgent.contains("Tablet")) return "A tablet";
        return userAgent.contains("Mobi") ? "A phone" : "A computer";
    }
}
