package kelvo.view;

import java.util.List;
import java.util.stream.Stream;
import kelvo.chart.DailyChart;
import kelvo.state.Halts;
import kelvo.history.MinuteBar;
import kelvo.tape.Price;
import kelvo.chart.RecentPrints;
import kelvo.session.ReferenceLevel;
import kelvo.session.SecurityFacts;
import kelvo.tape.TradingState;
import kelvo.state.Weather;
import kelvo.news.Catalyst;
import kelvo.news.HeadlineWords;
import kelvo.news.Themes;
import kelvo.hit.Hit;
import kelvo.scan.Matches;
import kelvo.scan.Scan;
import kelvo.explain.ScanWorkings;
import kelvo.explain.WhyEmpty;
import kelvo.check.Check;
import org.jspecify.annotations.Nullable;

/**
 * Everything that a window shows at one moment of a session. Immutable.
 *
 * @param moment the clock, {@link kelvo.time.DayTime}
 * @param events how many events have been applied
 * @param scan the scan whose matches are listed
 * @param matches who fits it, at most its limit
 * @param matching how many fit it in all
 * @param whyEmpty the answer when nobody does; null otherwise
 * @param workings what each rule of the scan does; null while it is not worked on
 * @param gaps common stocks that gap
 * @param themes sectors in which several of them move the same way, thin ones left out
 * @param hits all hits so far, oldest first
 * @param halts securities that do not trade now
 * @param haltsBegun when halts began, those that are over included
 * @param weather the market as a whole
 * @param cards the symbols followed, in the order asked for
 * @param wall small charts of the movers; empty unless asked for
 * @param news the items so far
 * @param focus the symbol in focus; null for none
 * @param pinned the symbols that stay shown whatever is in focus, in the order asked for; those
 *     that the session does not have are left out
 */
public record MarketSnapshot(
    long moment,
    int events,
    Scan scan,
    List<Matches.Row> matches,
    int matching,
    @Nullable WhyEmpty whyEmpty,
    @Nullable ScanWorkings workings,
    List<Gap> gaps,
    List<Themes.Theme> themes,
    List<Hit> hits,
    List<Halted> halts,
    List<Long> haltsBegun,
    Weather weather,
    List<Card> cards,
    List<Tile> wall,
    News news,
    @Nullable Focus focus,
    List<Focus> pinned) {
  /** What is shown of a symbol in focus or pinned; null when it is neither. */
  public @Nullable Focus of(String symbol) {
    return Stream.concat(Stream.ofNullable(focus), pinned.stream())
        .filter(shown -> shown.facts().symbol().equals(symbol))
        .findFirst()
        .orElse(null);
  }

  /**
   * The news so far.
   *
   * @param rows those that the filter shows, newest first
   * @param all how many there are without the filter
   * @param words what stands in many headlines
   */
  public record News(List<NewsRow> rows, int all, List<HeadlineWords.Count> words) {}

  /**
   * An item and one of the securities that it names.
   *
   * @param number the item's place among the session's
   * @param subject whether it is about the security
   * @param changeSince per cent since the price when it came; NaN when unknown
   * @param volumeFiveMinutes shares of the last five minutes
   */
  public record NewsRow(
      int number,
      int security,
      String symbol,
      Catalyst item,
      boolean subject,
      double changeSince,
      double volumeFiveMinutes) {}

  /**
   * A dot of the gap field.
   *
   * @param percent the gap
   * @param dollarVolume since 04:00, dollars
   * @param turnover volume over float; NaN when the float is unknown
   * @param thin whether so little traded that the gap may mean nothing
   */
  public record Gap(
      int security,
      String symbol,
      String sector,
      double percent,
      double dollarVolume,
      double turnover,
      boolean thin) {}

  /** A security that does not trade, since when and why. */
  public record Halted(String symbol, TradingState state, long since, String reason) {}

  /**
   * A symbol followed.
   *
   * @param price {@link Price} units
   * @param changePercent from the previous close; NaN when unknown
   * @param volume since 04:00
   * @param spark the day so far
   */
  public record Card(String symbol, long price, double changePercent, double volume, Spark spark) {}

  /**
   * The minutes in which something traded, since 04:00.
   *
   * @param starts when each began, {@link kelvo.time.DayTime}
   * @param closes its last price, dollars
   */
  public record Spark(long[] starts, double[] closes) {
    static Spark of(List<MinuteBar> bars) {
      return new Spark(
          bars.stream().mapToLong(MinuteBar::start).toArray(),
          bars.stream().mapToDouble(b -> Price.dollars(b.close())).toArray());
    }
  }

  /** A small chart on the wall, and the theme, "risers" or "fallers" that it belongs to. */
  public record Tile(Card card, String group) {}

  /** The symbol in focus with all that its parts show. */
  public record Focus(
      int security,
      SecurityFacts facts,
      long price,
      String priceSource,
      double change,
      double changePercent,
      long bid,
      long ask,
      List<Fact> known,
      List<Check> checks,
      List<MinuteBar> minutes,
      List<ReferenceLevel> references,
      DailyChart daily,
      RecentPrints prints,
      List<Catalyst> news,
      List<Hit> hits,
      Halts halts,
      boolean split) {}

  /** A field's words and its value as shown; an empty value is unknown. */
  public record Fact(String words, String value, String meaning) {}
}
