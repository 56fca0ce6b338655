package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.fix.DropCopy;
import kelvo.data.folder.DataFolder;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.trade.FillSide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The simulated broker tells its fills over FIX 4.4 and as a file, over a real connection. */
class BrokerTest {
  private static final LocalDate DAY = DemoSize.SESSION;

  private static SimulatedBroker broker() {
    SimulatedBroker broker =
        new SimulatedBroker(
            new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), DAY, fills());
    broker.start();
    return broker;
  }

  private static DropCopy copyOf(SimulatedBroker broker) {
    return new DropCopy(broker.address(), SimulatedBroker.NAME, DAY);
  }

  private static List<Fill> fills() {
    List<Fill> fills = new ArrayList<>();
    for (int i = 0; i < 40; i++) {
      fills.add(
          new Fill(
              DayTime.of(9, 30) + i * DayTime.MINUTE,
              i % 2 == 0 ? "TIDARC" : "KELPOR",
              FillSide.values()[i % 4],
              BigDecimal.valueOf(1_000 + i, 1),
              BigDecimal.valueOf(5_000_000 + 12_345 * i, 6),
              new BigDecimal("0.05"),
              "main",
              "K" + i));
    }
    return fills;
  }

  private static List<Fill> await(LinkedBlockingQueue<List<Fill>> heard, int size)
      throws InterruptedException {
    List<Fill> all = new ArrayList<>();
    while (all.size() < size) {
      all.addAll(Objects.requireNonNull(heard.poll(60, TimeUnit.SECONDS), "no fill came"));
    }
    return all;
  }

  @Test
  void fillsComeOnceEachAlsoAfterANewLogon() throws InterruptedException {
    LinkedBlockingQueue<List<Fill>> heard = new LinkedBlockingQueue<>();
    try (SimulatedBroker broker = broker();
        DropCopy copy = copyOf(broker)) {
      copy.start(heard::add);
      List<Fill> morning = broker.tellUntil(DayTime.of(9, 50));

      assertThat(morning).hasSize(21);
      assertThat(await(heard, 21)).isEqualTo(morning);
    }
    try (SimulatedBroker again = broker();
        DropCopy copy = copyOf(again)) {
      again.tellUntil(DayTime.of(9, 50));
      copy.start(heard::add);
      List<Fill> all = new ArrayList<>(await(heard, 21));
      again.tellUntil(DayTime.LAST);
      all.addAll(await(heard, 19));

      assertThat(all).isEqualTo(fills());
    }
  }

  @Test
  void theFileReadsBackAsTheSameFills(@TempDir Path folder) {
    Path file = folder.resolve("fills.csv");
    try (BrokerFile written = new BrokerFile(file, DAY)) {
      written.append(fills().subList(0, 7));
      written.append(fills().subList(7, 40));
    }
    assertThatThrownBy(() -> new BrokerFile(file, DAY)).hasMessageContaining("name another file");
    DataFolder data = new DataFolder(folder, new ExchangeCalendar());

    assertThat(data.fills(DAY)).isEqualTo(fills());
    assertThat(data.faults()).isEmpty();
  }
}
