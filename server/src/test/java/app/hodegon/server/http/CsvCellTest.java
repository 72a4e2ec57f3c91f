package app.hodegon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CsvCellTest {

    @ParameterizedTest
    @ValueSource(strings = {"=1+1", "+1", "-1", "@x", "\t=1", " =1", "\r=1", "\u0000=1", "\uFF1D1"})
    void whatASpreadsheetWouldWorkOutIsText(String text) {
        assertThat((String) CsvCell.safe(text)).startsWith("'");
    }

    @Test
    void theRestStaysAsItIs() {
        assertThat(CsvCell.safe("Moor, Sela")).isEqualTo("Moor, Sela");
        assertThat(CsvCell.safe("two\nlines")).isEqualTo("two\nlines");
        assertThat(CsvCell.safe("bell\u0007")).isEqualTo("bell");
        assertThat(CsvCell.safe(-3.5)).as("a number is no formula").isEqualTo(-3.5);
        assertThat(CsvCell.safe(null)).isNull();
    }
}
