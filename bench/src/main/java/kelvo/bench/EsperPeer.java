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
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import kelvo.history.DailyBar;
import kelvo.rule.Bound;
import kelvo.scan.Scan;
import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.Price;

/**
 * A general engine for complex events doing the same scans, as far as one set of sums goes: ten of
 * the twelve fields, without the two that slide, and no edges.
 */
final class EsperPeer implements AutoCloseable {
  private static final int MEAN_RANGE_DAYS = 20;

  /** The fields that sums of all prints give, in that engine's words, as its doubles. */
  private static final Map<String, String> EXPRESSIONS =
      Map.of(
          "change %", "100.0 * (price - previousClose) / previousClose",
          "volume", "1.0 * sum(size)",
          "trades", "1.0 * count(*)",
          "dollar volume", "sum(price * size)",
          "distance from vwap",
              "100.0 * (price * sum(size) - sum(price * size)) / sum(price * size)",
          "day range %", "100.0 * (max(price) - min(price)) / min(price)",
          "largest print", "1.0 * max(size)",
          "float turnover", "sum(size) / floating",
          "change from open %", "100.0 * (price - firstever(price)) / firstever(price)",
          "range ratio", "(max(price) - min(price)) / meanRange");

  private static final List<String> FIELDS = EXPRESSIONS.keySet().stream().sorted().toList();

  private final EPRuntime runtime;
  private final Known[] known;
  private long matches;

  /** What is known of a security before the session. */
  private record Known(String symbol, double previousClose, double floating, double meanRange) {
    static Known of(SecurityFacts facts) {
      List<DailyBar> bars = facts.history().lastOnes(MEAN_RANGE_DAYS);
      double ranges = bars.stream().mapToLong(b -> b.high() - b.low()).average().orElseThrow();
      return new Known(
          facts.symbol(),
          Price.dollars(facts.previousClose()),
          facts.floatShares(),
          ranges / Price.DOLLAR);
    }
  }

  /** A print as that engine wants it. */
  public record Print(
      String symbol,
      double price,
      long size,
      double previousClose,
      double floating,
      double meanRange) {
    public String getSymbol() {
      return symbol;
    }

    public double getPrice() {
      return price;
    }

    public long getSize() {
      return size;
    }

    public double getPreviousClose() {
      return previousClose;
    }

    public double getFloating() {
      return floating;
    }

    public double getMeanRange() {
      return meanRange;
    }
  }

  /**
   * A statement a scan.
   *
   * @param byContext whether each keeps its own sums by symbol; else all filter one shared set
   */
  EsperPeer(Session session, List<Scan> scans, boolean byContext) {
    known = session.securities().stream().map(Known::of).toArray(Known[]::new);
    Configuration configuration = new Configuration();
    configuration.getCommon().addEventType("Print", Print.class);
    configuration.getRuntime().getThreading().setInternalTimerEnabled(false);
    try {
      EPCompiled compiled =
          EPCompilerProvider.getCompiler()
              .compile(
                  byContext ? contextStatements(scans) : filterStatements(scans),
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

  private static String filterStatements(List<Scan> scans) {
    String fields =
        FIELDS.stream()
            .map(field -> EXPRESSIONS.get(field) + " as " + property(field))
            .collect(Collectors.joining(", "));
    StringBuilder text = new StringBuilder();
    text.append("@public insert into Sums select symbol, ")
        .append(fields)
        .append(" from Print group by symbol;\n");
    for (int k = 0; k < scans.size(); k++) {
      text.append(
          String.format(
              Locale.ROOT,
              "@name('scan%d') select symbol from Sums(%s);%n",
              k,
              rules(scans.get(k), EsperPeer::property, ", ")));
    }
    return text.toString();
  }

  private static String contextStatements(List<Scan> scans) {
    StringBuilder text =
        new StringBuilder("@public create context BySymbol partition by symbol from Print;\n");
    for (int k = 0; k < scans.size(); k++) {
      text.append(
          String.format(
              Locale.ROOT,
              "@name('scan%d') context BySymbol select symbol from Print having %s;%n",
              k,
              rules(scans.get(k), EXPRESSIONS::get, " and ")));
    }
    return text.toString();
  }

  private static String property(String field) {
    return "f" + FIELDS.indexOf(field);
  }

  /** A scan's rules on those fields. */
  private static String rules(Scan scan, UnaryOperator<String> written, String between) {
    return scan.rules().stream()
        .filter(rule -> EXPRESSIONS.containsKey(rule.field().words()))
        .map(
            rule ->
                written.apply(rule.field().words())
                    + " >= "
                    + ((Bound.Amount) rule.steps().getFirst().bound()).value())
        .collect(Collectors.joining(between));
  }

  /** Sends the first prints of a session; returns how many rows came out. */
  long run(Session session, int prints) {
    EventTape tape = session.tape();
    for (int i = 0; i < prints; i++) {
      Known of = known[tape.symbol(i)];
      runtime
          .getEventService()
          .sendEventBean(
              new Print(
                  of.symbol(),
                  Price.dollars(tape.price(i)),
                  tape.shares(i),
                  of.previousClose(),
                  of.floating(),
                  of.meanRange()),
              "Print");
    }
    return matches;
  }

  @Override
  public void close() {
    runtime.destroy();
  }
}
