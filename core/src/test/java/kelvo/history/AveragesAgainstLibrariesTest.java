package kelvo.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.tictactec.ta.lib.Core;
import com.tictactec.ta.lib.MInteger;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import kelvo.tape.Price;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.ta4j.core.BarSeries;
import org.ta4j.core.BaseBarSeriesBuilder;
import org.ta4j.core.indicators.averages.EMAIndicator;
import org.ta4j.core.indicators.averages.SMAIndicator;
import org.ta4j.core.indicators.helpers.ClosePriceIndicator;

/**
 * Averages against two reference libraries, TA-Lib 0.4.0 and ta4j 0.18, on open data: a year of
 * daily bars of a large stock (2013) that ships in the ta4j-examples jar.
 */
class AveragesAgainstLibrariesTest {
  private static final String DATA = "appleinc_bars_from_20130101_usd.csv";
  private static final List<DailyBar> BARS = new ArrayList<>();
  private static double[] closes = {};

  @BeforeAll
  static void read() throws IOException {
    try (BufferedReader lines =
        new BufferedReader(
            new InputStreamReader(
                Objects.requireNonNull(
                    AveragesAgainstLibrariesTest.class.getClassLoader().getResourceAsStream(DATA)),
                StandardCharsets.UTF_8))) {
      lines.lines().skip(1).forEach(AveragesAgainstLibrariesTest::add);
    }
    BARS.sort(java.util.Comparator.comparing(DailyBar::date));
    closes = BARS.stream().mapToDouble(b -> Price.dollars(b.close())).toArray();
  }

  private static void add(String line) {
    String[] f = line.split(",");
    BARS.add(
        new DailyBar(
            LocalDate.parse(f[0].substring(0, 10)),
            units(f[1]),
            units(f[2]),
            units(f[3]),
            units(f[4]),
            (long) Double.parseDouble(f[5]),
            1));
  }

  private static long units(String dollars) {
    return Price.of(Double.parseDouble(dollars));
  }

  @Test
  void simpleAverageEqualsBothLibraries() {
    double[] ours = Averages.sma(closes, 10);
    double[] talib = new double[closes.length];
    MInteger begin = new MInteger();
    new Core().sma(0, closes.length - 1, closes, 10, begin, new MInteger(), talib);
    SMAIndicator ta4j = new SMAIndicator(new ClosePriceIndicator(series()), 10);

    for (int i = 9; i < closes.length; i++) {
      assertThat(ours[i]).isCloseTo(talib[i - begin.value], within(1e-9));
      assertThat(ours[i]).isCloseTo(ta4j.getValue(i).doubleValue(), within(1e-9));
    }
    assertThat(ours[8]).isNaN();
  }

  @Test
  void exponentialAverageEqualsTaLibFromItsFirstValueAndMeetsTa4jLate() {
    double[] ours = Averages.ema(closes, 10);
    double[] talib = new double[closes.length];
    MInteger begin = new MInteger();
    new Core().ema(0, closes.length - 1, closes, 10, begin, new MInteger(), talib);
    EMAIndicator ta4j = new EMAIndicator(new ClosePriceIndicator(series()), 10);

    assertThat(begin.value).isEqualTo(9);
    for (int i = 9; i < closes.length; i++) {
      assertThat(ours[i]).isCloseTo(talib[i - begin.value], within(1e-9));
    }
    for (int i = 150; i < closes.length; i++) {
      assertThat(ours[i]).isCloseTo(ta4j.getValue(i).doubleValue(), within(1e-6));
    }
  }

  @Test
  void averageTrueRangeEqualsTaLib() {
    double[] ours = Averages.atr(DailyBarList.of(BARS), 14);
    double[] talib = new double[closes.length];
    MInteger begin = new MInteger();
    new Core()
        .atr(
            0,
            closes.length - 1,
            column(DailyBar::high),
            column(DailyBar::low),
            closes,
            14,
            begin,
            new MInteger(),
            talib);

    assertThat(begin.value).isEqualTo(14);
    for (int i = 14; i < closes.length; i++) {
      assertThat(ours[i]).isCloseTo(talib[i - begin.value], within(1e-9));
    }
    assertThat(ours[13]).isNaN();
  }

  private static double[] column(java.util.function.ToLongFunction<DailyBar> price) {
    return BARS.stream().mapToDouble(b -> Price.dollars(price.applyAsLong(b))).toArray();
  }

  private static BarSeries series() {
    BarSeries series = new BaseBarSeriesBuilder().build();
    for (DailyBar bar : BARS) {
      series
          .barBuilder()
          .timePeriod(java.time.Duration.ofDays(1))
          .endTime(bar.date().plusDays(1).atStartOfDay(ZoneOffset.UTC).toInstant())
          .openPrice(Price.dollars(bar.open()))
          .highPrice(Price.dollars(bar.high()))
          .lowPrice(Price.dollars(bar.low()))
          .closePrice(Price.dollars(bar.close()))
          .volume(bar.volume())
          .add();
    }
    return series;
  }
}
