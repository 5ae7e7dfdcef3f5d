package whipsaw.core.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Locale;
import org.junit.jupiter.api.Test;

class UseByHourTest {
    @Test
    void halfHoursOfTwoDaysAreAveragedByTheHourTheyBeginIn() {
        StringBuilder csv = new StringBuilder("time;kW\n");
        for (int day = 1; day <= 2; day++) {
            for (int half = 0; half < 48; half++) {
                csv.append(String.format(
                        Locale.ROOT,
                        "2026-03-%02d %02d:%02d;%s\n",
                        day,
                        half / 2,
                        half % 2 * 30,
                        half == 27 ? "9,5" : "1.5"));
            }
        }
        UseByHour use = UseByHour.read(csv.append("broken line\n").toString());
        assertThat(use.kw()).hasSize(24);
        assertThat(use.kw().get(13)).isEqualTo((9.5 + 1.5) / 2);
        assertThat(use.kw().get(12)).isEqualTo(1.5);
        assertThat(use.readings()).isEqualTo(96);
        assertThat(use.leftOut()).containsExactly("line 98: broken line");
    }

    @Test
    void aDayWithAHoleIsRefusedWithTheHour() {
        assertThatThrownBy(() -> UseByHour.read("00:10,4\n01:10,4\n")).hasMessageContaining("hour from 2");
        assertThatThrownBy(() -> UseByHour.read("no readings here")).hasMessageContaining("hour from 0");
    }
}
