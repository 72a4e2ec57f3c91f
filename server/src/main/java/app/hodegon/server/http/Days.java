package app.hodegon.server.http;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.convert.converter.Converter;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.module.SimpleModule;

/** Which days there are: those of this century. A plan to the year 9999 is a slip or an attack, in a file as in a form. */
@Configuration
public class Days {

    private static final LocalDate FIRST = LocalDate.of(2000, 1, 1);
    private static final LocalDate LAST = LocalDate.of(2099, 12, 31);

    /**
     * Reads a day.
     *
     * @throws DateTimeException if it is none, or not one of this century
     */
    public static LocalDate read(String text) {
        return within(LocalDate.parse(text));
    }

    private static LocalDate within(LocalDate day) {
        if (day.isBefore(FIRST) || day.isAfter(LAST)) {
            throw new DateTimeException("must be a day from " + FIRST + " to " + LAST);
        }
        return day;
    }

    /**
     * Reads a time with its offset.
     *
     * @throws DateTimeException if it is none, or not one of this century
     */
    public static OffsetDateTime readTime(String text) {
        OffsetDateTime time = OffsetDateTime.parse(text);
        within(time.toLocalDate());
        return time;
    }

    @Bean
    SimpleModule daysInBodies() {
        return new SimpleModule("days").addDeserializer(LocalDate.class, new Reader());
    }

    /** Days in addresses. */
    @Bean
    Converter<String, LocalDate> dayInAddress() {
        return new Converter<>() {
            @Override
            public LocalDate convert(String text) {
                return read(text);
            }
        };
    }

    private static final class Reader extends StdDeserializer<LocalDate> {
        Reader() {
            super(LocalDate.class);
        }

        @Override
        public LocalDate deserialize(JsonParser parser, DeserializationContext context) {
            String text = parser.getString();
            try {
                return read(text);
            } catch (DateTimeException refused) {
                return (LocalDate) context.handleWeirdStringValue(
                        LocalDate.class, text, "must be a day of this century, such as 2026-03-31");
            }
        }
    }
}
