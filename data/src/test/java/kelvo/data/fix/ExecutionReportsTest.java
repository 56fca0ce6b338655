package kelvo.data.fix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.trade.FillSide;
import org.junit.jupiter.api.Test;
import quickfix.DataDictionary;
import quickfix.DefaultMessageFactory;
import quickfix.Message;
import quickfix.MessageUtils;
import quickfix.field.SenderCompID;
import quickfix.field.TargetCompID;
import quickfix.fix44.ExecutionReport;

/** Against the FIX 4.4 specification in the machine-readable form that the library ships. */
class ExecutionReportsTest {
  private static final LocalDate DAY = LocalDate.of(2031, 3, 12);
  private static final List<Fill> FILLS =
      List.of(
          new Fill(
              DayTime.parse("09:30:01.250"),
              "TIDARC",
              FillSide.BUY,
              new BigDecimal(600),
              new BigDecimal("9.105"),
              new BigDecimal(3),
              "main",
              "K1"),
          new Fill(
              DayTime.of(10, 0),
              "TIDARC",
              FillSide.SELL,
              new BigDecimal("600.5"),
              new BigDecimal("9.3"),
              BigDecimal.ZERO,
              "",
              "K2"),
          new Fill(
              DayTime.of(10, 5),
              "GENSED",
              FillSide.SHORT,
              BigDecimal.TEN,
              new BigDecimal("1234.56"),
              new BigDecimal("0.0001"),
              "main",
              "K3"),
          new Fill(
              DayTime.of(15, 59),
              "GENSED",
              FillSide.COVER,
              BigDecimal.TEN,
              new BigDecimal("0.400101"),
              new BigDecimal("-0.02"),
              "main",
              "K4"));

  @Test
  void whatIsWrittenIsValidAndReadsBackTheSame() throws Exception {
    DataDictionary dictionary = new DataDictionary("FIX44.xml");
    for (Fill fill : FILLS) {
      ExecutionReport report = ExecutionReports.write(fill, DAY, "E1");
      report.getHeader().setField(new SenderCompID("A"));
      report.getHeader().setField(new TargetCompID("B"));

      dictionary.validate(report, true);
      Message parsed =
          MessageUtils.parse(new DefaultMessageFactory(), dictionary, report.toString());
      assertThat(ExecutionReports.read(parsed, DAY)).isEqualTo(fill);
    }
  }

  /**
   * A report typed by hand: summer time ended, 14:30 in London is 10:30 in New York on this day.
   */
  @Test
  void theTimeIsUtcAndTheDayNewYorks() throws Exception {
    String body =
        "35=8|49=BROKER|56=KELVO|34=2|52=20310312-14:30:00|37=O7|17=X9|150=F|39=2|54=5|55=KELPOR"
            + "|32=250|31=4.0725|151=0|14=250|6=4.0725|60=20310312-14:30:00.125|12=1.25|1=main|";
    String framed = "8=FIX.4.4|9=" + body.length() + "|" + body;
    int sum = framed.replace('|', '\u0001').chars().sum() % 256;
    String text = framed.replace('|', '\u0001') + "10=%03d\u0001".formatted(sum);

    Message report =
        MessageUtils.parse(new DefaultMessageFactory(), new DataDictionary("FIX44.xml"), text);

    assertThat(ExecutionReports.read(report, DAY))
        .isEqualTo(
            new Fill(
                DayTime.parse("10:30:00.125"),
                "KELPOR",
                FillSide.SHORT,
                new BigDecimal(250),
                new BigDecimal("4.0725"),
                new BigDecimal("1.25"),
                "main",
                "O7"));
  }

  @Test
  void whatIsMissingIsNamed() {
    assertThatThrownBy(() -> ExecutionReports.read(new ExecutionReport(), DAY))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("lacks tag 60");
  }
}
