package kelvo.data.research;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import kelvo.field.Field;
import kelvo.session.SecurityKind;

/**
 * Fields as expressions of SQL over the columns that {@link QuestionSql} names: prices in
 * hundredths of a cent, a minute's moment as its end in minutes of the day. The order of the
 * operations is that of the program, so that the numbers are the same to the last bit.
 */
final class FieldSql {
  private static final String VWAP =
      "(case when moment >= 570 then threefold_regular_money / 3e4 / nullif(regular_volume, 0)"
          + " else threefold_premarket_money / 3e4 / nullif(premarket_volume, 0) end)";

  /** What changes during a session. */
  private static final Map<String, String> LIVE =
      Map.ofEntries(
          Map.entry("price", "price / 1e4"),
          Map.entry("open", "open / 1e4"),
          Map.entry("change", "(price / 1e4 - previous_close / 1e4)"),
          Map.entry("change %", "1e2 * (price - previous_close) / previous_close"),
          Map.entry("gap", "1e2 * (coalesce(open, price) - previous_close) / previous_close"),
          Map.entry("change from open %", "1e2 * (price - open) / open"),
          Map.entry("volume", "volume"),
          Map.entry("premarket volume", "premarket_volume"),
          Map.entry("regular volume", "regular_volume"),
          Map.entry("trades", "trades"),
          Map.entry("premarket trades", "premarket_trades"),
          Map.entry("dollar volume", "threefold_money / 3e4"),
          Map.entry("premarket dollar volume", "threefold_premarket_money / 3e4"),
          Map.entry("float turnover", "volume / nullif(float_shares, 0)"),
          Map.entry("day high", "day_high / 1e4"),
          Map.entry("day low", "day_low / 1e4"),
          Map.entry("premarket high", "premarket_high / 1e4"),
          Map.entry("premarket low", "premarket_low / 1e4"),
          Map.entry("session high", "session_high / 1e4"),
          Map.entry("session low", "session_low / 1e4"),
          Map.entry("day range", "(day_high / 1e4 - day_low / 1e4)"),
          Map.entry("day range %", "1e2 * (day_high - day_low) / day_low"),
          Map.entry("range position", "(price - day_low) / nullif(1e0 * (day_high - day_low), 0)"),
          Map.entry("vwap", VWAP),
          Map.entry("distance from vwap", "1e2 * (price / 1e4 - " + VWAP + ") / " + VWAP));

  /** What is known before it. */
  private static final Map<String, String> SETTLED =
      Map.ofEntries(
          Map.entry("previous close", "previous_close / 1e4"),
          Map.entry("prior-day close", "prior_close / 1e4"),
          Map.entry("prior-day high", "prior_high / 1e4"),
          Map.entry("prior-day low", "prior_low / 1e4"),
          Map.entry("prior-day change %", "1e2 * (prior_close - second_close) / second_close"),
          Map.entry("float", "float_shares"),
          Map.entry("symbol", "symbol"),
          Map.entry("kind", "kind"),
          Map.entry("venue", "mic"),
          Map.entry("sector", "sector"),
          Map.entry("industry", "industry"),
          Map.entry("country", "country"));

  /** The least and the most that a field can be in a session of which the totals are known. */
  private static final Map<String, String[]> TOTALS = new HashMap<>();

  static {
    TOTALS.put("price", new String[] {"least_close / 1e4", "most_close / 1e4"});
    TOTALS.put(
        "change %",
        new String[] {
          "1e2 * (least_close - previous_close) / previous_close",
          "1e2 * (most_close - previous_close) / previous_close"
        });
    for (String whole : new String[] {"volume", "premarket volume", "regular volume"}) {
      String total = whole.startsWith("premarket") ? "total_premarket_volume" : "total_volume";
      TOTALS.put(whole, new String[] {"0", total});
    }
    TOTALS.put("dollar volume", new String[] {"0", "total_threefold_money / 3e4"});
    TOTALS.put("float turnover", new String[] {"0", "total_volume / nullif(float_shares, 0)"});
  }

  private static final Pattern AVERAGE = Pattern.compile("avg (dollar )?volume (\\d+)d");

  private FieldSql() {}

  /** The expression of a field; empty when SQL cannot tell it. */
  static Optional<String> of(Field field) {
    Matcher average = AVERAGE.matcher(field.words());
    if (average.matches()) {
      return Optional.of(averageName(average.group(1) != null, average.group(2)));
    }
    return Optional.ofNullable(LIVE.getOrDefault(field.words(), SETTLED.get(field.words())));
  }

  /** The least and the most of a session as two expressions; null when its totals do not tell. */
  static Optional<String[]> totals(Field field) {
    return Optional.ofNullable(TOTALS.get(field.words()));
  }

  /** Of a mean of earlier sessions the column that has it; empty for any other field. */
  static Optional<String> averageColumn(Field field) {
    Matcher average = AVERAGE.matcher(field.words());
    if (!average.matches()) {
      return Optional.empty();
    }
    boolean money = average.group(1) != null;
    String count = average.group(2);
    String what = money ? "closing_price / 1e4 * shares_traded" : "shares_traded / factor";
    String window =
        " over (partition by d.symbol order by d.date rows between "
            + count
            + " preceding and 1 preceding)";
    return Optional.of(
        "case when count(*)"
            + window
            + " = "
            + count
            + " then sum("
            + what
            + ")"
            + window
            + (money ? "" : " * factor")
            + " / "
            + count
            + "e0 end as "
            + averageName(money, count));
  }

  private static String averageName(boolean money, String count) {
    return (money ? "average_money_" : "average_volume_") + count;
  }

  /** The kind that a classification code stands for. */
  static String kind() {
    return Arrays.stream(new String[] {"C", "ES", "EP", "ED", "EU", "RW", "RS", "RA"})
        .map(
            start ->
                "when cfi like '" + start + "%' then '" + SecurityKind.ofCfi(start).words() + "'")
        .collect(Collectors.joining(" ", "case ", " else 'other' end"));
  }
}
