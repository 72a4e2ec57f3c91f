package app.hodegon.server.http;

/** A cell of a table that may be opened in a spreadsheet. */
public final class CsvCell {

    private CsvCell() {}

    /**
     * The same value, but a text that a spreadsheet would take for a formula is led by an apostrophe, as spreadsheets
     * do it themselves, and control characters other than line ends are left out. Numbers stay numbers.
     */
    public static Object safe(Object value) {
        if (!(value instanceof String text)) return value;
        String plain = text.replaceAll("[\\p{Cntrl}&&[^\n]]", "");
        return plain.matches("(?s)\\s*[=+\\-@\uFF1D\uFF0B\uFF0D\uFF20].*") ? "'" + plain : plain;
    }
}
