package kelvo.bench;

import com.espertech.esper.common.client.EPCompiled;
import com.espertech.esper.common.client.configuration.Configuration;
import com.espertech.esper.compiler.client.CompilerArguments;
import com.espertech.esper.compiler.client.EPCompileException;
import com.espertech.esper.compiler.client.EPCompilerProvider;
import com.espertech.esper.runtime.client.EPDeployException;
import com.espertech.esper.runtime.client.EPRuntime;
import com.espertech.esper.runtime.client.EPRuntimeProvider;
import com.espertech.esper.runtime.client.EPStatement;
import java.util.Locale;
import java.util.SplittableRandom;
import kelvo.market.EventTape;
import kelvo.market.Price;
import kelvo.market.Session;

/** A general engine for complex events doing a small part of the work: five fields, no edges. */
final class EsperPeer implements AutoCloseable {
  private final EPRuntime runtime;
  private long matches;

  /** A print as that engine wants it. */
  public record Print(String symbol, double price, long size) {
    public String getSymbol() {
      return symbol;
    }

    public double getPrice() {
      return price;
    }

    public long getSize() {
      return size;
    }
  }

  /**
   * Fifty statements.
   *
   * @param byContext whether each keeps its own sums by symbol; else all filter one shared sum
   */
  EsperPeer(boolean byContext) {
    Configuration configuration = new Configuration();
    configuration.getCommon().addEventType("Print", Print.class);
    configuration.getRuntime().getThreading().setInternalTimerEnabled(false);
    try {
      EPCompiled compiled =
          EPCompilerProvider.getCompiler()
              .compile(
                  byContext ? contextStatements() : filterStatements(),
                  new CompilerArguments(configuration));
      runtime = EPRuntimeProvider.getRuntime("kelvo-bench-" + byContext, configuration);
      runtime.initialize();
      for (EPStatement statement :
          runtime.getDeploymentService().deploy(compiled).getStatements()) {
        if (statement.getName().startsWith("scan")) {
          statement.addListener((now, before, of, in) -> matches += now.length);
        }
      }
    } catch (EPCompileException | EPDeployException e) {
      throw new IllegalStateException(e);
    }
  }

  private static final String SUMS =
      "select symbol, price, sum(size) as volume, count(*) as trades, max(price) as high, min(price) as low from Print";

  private static String filterStatements() {
    StringBuilder text = new StringBuilder();
    text.append("@public insert into Sums ").append(SUMS).append(" group by symbol;\n");
    SplittableRandom random = new SplittableRandom(7);
    for (int k = 0; k < ScanBenchmark.SCANS; k++) {
      text.append(
          String.format(
              Locale.ROOT,
              "@name('scan%d') select * from Sums(volume > %d, trades > %d, price > %.2f, high > %.2f);%n",
              k,
              random.nextInt(400_000),
              random.nextInt(800),
              5 + random.nextDouble() * 40,
              5 + random.nextDouble() * 40));
    }
    return text.toString();
  }

  private static String contextStatements() {
    StringBuilder text =
        new StringBuilder("@public create context BySymbol partition by symbol from Print;\n");
    SplittableRandom random = new SplittableRandom(7);
    for (int k = 0; k < ScanBenchmark.SCANS; k++) {
      text.append(
          String.format(
              Locale.ROOT,
              "@name('scan%d') context BySymbol %s having sum(size) > %d and count(*) > %d and max(price) > %.2f;%n",
              k,
              SUMS,
              random.nextInt(400_000),
              random.nextInt(800),
              5 + random.nextDouble() * 40));
    }
    return text.toString();
  }

  /** Sends the first prints of a session; returns how many rows came out. */
  long run(Session session, int prints) {
    EventTape tape = session.tape();
    for (int i = 0; i < prints; i++) {
      runtime
          .getEventService()
          .sendEventBean(
              new Print(
                  session.security(tape.symbol(i)).symbol(),
                  Price.dollars(tape.price(i)),
                  tape.shares(i)),
              "Print");
    }
    return matches;
  }

  @Override
  public void close() {
    runtime.destroy();
  }
}
