package kelvo.data.folder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.SplittableRandom;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.hit.Program;
import kelvo.hit.ScanEngine;
import kelvo.job.Progress;
import kelvo.replay.TapeReplay;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import kelvo.universe.Universe;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Fields and triggers on a real tape against SQL over the same prints, written from the definitions
 * alone. Source of the prints: bitstamp_trades_from_20131125_usd.csv of the library ta4j-examples
 * 0.18, 100,000 trades of six days; they are spread over one session in their order and shared out
 * among five symbols.
 */
class RealTapeTest {
  private static final LocalDate DATE = LocalDate.of(2031, 3, 12);
  private static final String PRINTS = "bitstamp_trades_from_20131125_usd.csv";
  private static final int SYMBOLS = 5;
  private static final int MOMENTS = Boolean.getBoolean("kelvo.proofs") ? 40 : 4;

  /** An amount of one becomes a thousand shares. */
  private static final int SHARES = 1_000;

  /** By field, what SQL says of the prints p of one symbol until the moment :t. */
  private static final Map<String, String> FIELDS = new LinkedHashMap<>();

  static {
    FIELDS.put("volume", "sum(size)");
    FIELDS.put("trades", "count(*)");
    FIELDS.put("dollar volume", "sum(price * size)");
    FIELDS.put("premarket volume", "sum(size) filter (t < :open)");
    FIELDS.put("premarket trades", "count(*) filter (t < :open)");
    FIELDS.put("premarket dollar volume", "sum(price * size) filter (t < :open)");
    FIELDS.put("regular volume", "sum(size) filter (t >= :open and t < :close)");
    FIELDS.put("after-hours volume", "sum(size) filter (t >= :close)");
    FIELDS.put("price", "last(price order by seq)");
    FIELDS.put("open", "first(price order by seq) filter (t >= :open and t < :close)");
    FIELDS.put("day high", "max(price) filter (t >= :open and t < :close)");
    FIELDS.put("day low", "min(price) filter (t >= :open and t < :close)");
    FIELDS.put("premarket high", "max(price) filter (t < :open)");
    FIELDS.put("premarket low", "min(price) filter (t < :open)");
    FIELDS.put("session high", "max(price)");
    FIELDS.put("session low", "min(price)");
    FIELDS.put("vwap 04:00", "sum(price * size) / sum(size)");
    FIELDS.put(
        "vwap 09:30",
        "sum(price * size) filter (t >= :open and t < :close)"
            + " / sum(size) filter (t >= :open and t < :close)");
    FIELDS.put("volume 1m", "sum(size) filter (t > :t - 60000000000)");
    FIELDS.put("volume 5m", "sum(size) filter (t > :t - 300000000000)");
    FIELDS.put("trades 1m", "count(*) filter (t > :t - 60000000000)");
    FIELDS.put("trades 5m", "count(*) filter (t > :t - 300000000000)");
    FIELDS.put("largest print", "max(size)");
    FIELDS.put("largest print $", "max(price * size)");
    FIELDS.put("change %", "100 * (last(price order by seq) - 800) / 800");
    FIELDS.put(
        "day range",
        "max(price) filter (t >= :open and t < :close)"
            + " - min(price) filter (t >= :open and t < :close)");
    FIELDS.put(
        "range position",
        "(last(price order by seq) - min(price) filter (t >= :open and t < :close))"
            + " / nullif(max(price) filter (t >= :open and t < :close)"
            + " - min(price) filter (t >= :open and t < :close), 0)");
    FIELDS.put(
        "opening range high 15m", "max(price) filter (t >= :open and t < :open + 900000000000)");
    FIELDS.put(
        "idle minutes 30",
        "30 - count(distinct t // 60000000000)"
            + " filter (t // 60000000000 > :t // 60000000000 - 30)");
  }

  private static final String REGULAR = " filter (t >= :open and t < :close)";

  static {
    FIELDS.put("previous close", "800");
    FIELDS.put("change", "last(price order by seq) - 800");
    FIELDS.put(
        "gap",
        "100 * (coalesce(first(price order by seq)"
            + REGULAR
            + ", last(price order by seq)) - 800)"
            + " / 800");
    FIELDS.put(
        "change from open %",
        "100 * (last(price order by seq) / (first(price order by seq)" + REGULAR + ") - 1)");
    FIELDS.put("day range %", "100 * (max(price)" + REGULAR + " / min(price)" + REGULAR + " - 1)");
    FIELDS.put(
        "opening range low 15m", "min(price) filter (t >= :open and t < :open + 900000000000)");
    FIELDS.put(
        "after-hours change %",
        "100 * (last(price order by seq) filter (t >= :close)"
            + " / (last(price order by seq)"
            + REGULAR
            + ") - 1)");
    FIELDS.put(
        "gap filled %",
        "case when first(price order by seq)"
            + REGULAR
            + " is not null then greatest(0, least(100, 100 * case when first(price order by seq)"
            + REGULAR
            + " > 800"
            + " then (first(price order by seq)"
            + REGULAR
            + " - min(price)"
            + REGULAR
            + ")"
            + " / (first(price order by seq)"
            + REGULAR
            + " - 800)"
            + " else (max(price)"
            + REGULAR
            + " - first(price order by seq)"
            + REGULAR
            + ")"
            + " / nullif(800 - first(price order by seq)"
            + REGULAR
            + ", 0) end)) end");
    FIELDS.put(
        "short sale restricted", "case when min(price)" + REGULAR + " <= 720 then 1 else 0 end");
    FIELDS.put(
        "minutes since day high",
        "(:t - arg_max(t, price * 1e9 - seq)" + REGULAR + ") // 60000000000");
    FIELDS.put(
        "minutes since day low",
        "(:t - arg_min(t, price * 1e9 + seq)" + REGULAR + ") // 60000000000");
  }

  /** The 1-minute bars of p: minute, close, and the VWAP in force at its end. */
  private static final String BARS =
      "with minutes as (select t // 60000000000 as m, last(price order by seq) as c,"
          + " sum(price * size) as money, sum(size) as shares,"
          + " coalesce(sum(price * size)"
          + REGULAR
          + ", 0) as regular_money,"
          + " coalesce(sum(size)"
          + REGULAR
          + ", 0) as regular_shares from p group by 1),"
          + " bars as (select m, c, case when m < 570 then sum(money) over w / sum(shares) over w"
          + " else sum(regular_money) over w / nullif(sum(regular_shares) over w, 0) end as v,"
          + " lag(c) over w as before from minutes window w as (order by m)),"
          + " done as (select * from bars where m < :t // 60000000000) ";

  private static String run(String holds) {
    return BARS
        + "select count(*) from done where m > coalesce((select max(m) from done where not coalesce("
        + holds
        + ", false)), -1)";
  }

  /** By field, a whole question about the prints p of one symbol until the moment. */
  private static final Map<String, String> QUESTIONS = new LinkedHashMap<>();

  static {
    QUESTIONS.put("rising minutes", run("c > before"));
    QUESTIONS.put("falling minutes", run("c < before"));
    QUESTIONS.put("minutes above vwap", run("c > v + 1e-9"));
    QUESTIONS.put("minutes below vwap", run("c < v - 1e-9"));
    QUESTIONS.put(
        "ema 9",
        BARS
            + "select list_reduce(list_prepend(list_avg(closes[1:9]), closes[10:]),"
            + " (ema, close) -> ema + 0.2 * (close - ema))"
            + " from (select list(c order by m) as closes from bars) where len(closes) >= 9");
    QUESTIONS.put(
        "vwap",
        "select case when :t < :open then sum(price * size) / sum(size)"
            + " else sum(price * size)"
            + REGULAR
            + " / sum(size)"
            + REGULAR
            + " end from p");
    QUESTIONS.put(
        "market share up", "select 100.0 * count(*) filter (price > 800) / count(*) from newest");
    QUESTIONS.put("market movers", "select count(*) filter (abs(price - 800) > 80) from newest");
    QUESTIONS.put("change of REALTB", "select price / 8 - 100 from newest where symbol = 'REALTB'");
  }

  /** By trigger, the prints of one symbol at which SQL says that it fires. */
  private static final Map<String, String> TRIGGERS = new LinkedHashMap<>();

  static {
    TRIGGERS.put(
        "new high of session",
        "select t from (select t, price, max(price) over (order by seq rows between unbounded"
            + " preceding and 1 preceding) as before from p) where price > before");
    TRIGGERS.put(
        "new low of premarket",
        "select t from (select t, price, min(price) over (order by seq rows between unbounded"
            + " preceding and 1 preceding) as before from p where t < :open) where price < before");
    TRIGGERS.put(
        "new high of day",
        "select t from (select t, price, max(price) over (order by seq rows between unbounded"
            + " preceding and 1 preceding) as before from p where t >= :open and t < :close)"
            + " where price > before");
    TRIGGERS.put(
        "new low of session",
        "select t from (select t, price, min(price) over (order by seq rows between unbounded"
            + " preceding and 1 preceding) as before from p) where price < before");
    TRIGGERS.put(
        "new high of premarket",
        "select t from (select t, price, max(price) over (order by seq rows between unbounded"
            + " preceding and 1 preceding) as before from p where t < :open) where price > before");
    TRIGGERS.put(
        "new low of day",
        "select t from (select t, price, min(price) over (order by seq rows between unbounded"
            + " preceding and 1 preceding) as before from p where t >= :open and t < :close)"
            + " where price < before");
    TRIGGERS.put("print of $4M", "select t from p where price * size >= 4000000");
    TRIGGERS.put("print of 5K shares", "select t from p where size >= 5000");
    TRIGGERS.put(
        "up 2% in 5m",
        "select t from (select t, seq, beyond, lag(beyond, 1, false) over (order by seq) as before"
            + " from (select a.t, a.seq, 100 * (a.price - coalesce(b.price, 800))"
            + " >= 2 * coalesce(b.price, 800) as beyond from p a asof left join"
            + " (select t, last(price order by seq) as price from p group by t) b"
            + " on b.t <= a.t - 300000000000)) where beyond and not before");
  }

  /**
   * A swing of three traded minutes is known with the first print of the fourth; a fade is the
   * first print below the newest swing low after each lower high, until the day's next high.
   */
  private static String fade(String floor) {
    return "with bars as (select t // 60000000000 as m, max(price) as h, min(price) as l,"
        + " row_number() over (order by t // 60000000000) as r from p group by 1),"
        + " swings as (select r + 2 as known, m, h, l, h > lag(h) over w and h > lead(h) over w as top,"
        + " l < lag(l) over w and l < lead(l) over w as bottom from bars window w as (order by r)),"
        + " seen as (select p.*, r, coalesce(max(case when t >= :open and t < :close then price end)"
        + " over (order by seq), 0) as high from p join bars on m = t // 60000000000),"
        + " turns as (select seen.*, high > coalesce(lag(high) over w, 0) as anew,"
        + " coalesce(r <> lag(r) over w and s.h < high, false) as lower from seen"
        + " left join (select known, h from swings where top) s on s.known = r"
        + " window w as (order by seq)),"
        + " parts as (select *, count(*) filter (anew or lower) over (order by seq) as part,"
        + " max(case when anew then t end) over (order by seq) as high_at from turns),"
        + " held as (select parts.*, low.l, low.m, earlier, earlier_m, bool_or(anew)"
        + " over (partition by part) as only_high from parts asof left join (select *,"
        + " lag(l) over w as earlier, lag(m) over w as earlier_m from swings where bottom"
        + " window w as (order by known)) low on low.known <= r)"
        + " select min(t) as t from held where not only_high and part > 0 and price < "
        + floor
        + " and price >= 800 and high_at >= :open + 300000000000 group by part";
  }

  /** Those that have a memory: folds over the prints of the first symbol, which take long. */
  private static final Map<String, String> FOLDS = new LinkedHashMap<>();

  /** A line of one height all day. */
  private static final String PREVIOUS_CLOSE = "select *, 800.0 as line, false as anew from p";

  /** The VWAP at each print; it begins anew with the first one of regular hours. */
  private static final String VWAP =
      "select *, case when t < :open then sum(price * size) over w / sum(size) over w"
          + " else sum(case when t >= :open and t < :close then price * size end) over w"
          + " / sum(case when t >= :open and t < :close then size end) over w end as line,"
          + " t >= :open and lag(t) over w < :open as anew from p window w as (order by seq)";

  private static final String OPEN =
      "(select first(price order by seq) from p where t >= :open and t < :close)";

  static {
    TRIGGERS.put(
        "opening gap up 5%",
        "select min(t) as t from p where t >= :open and t < :close having " + OPEN + " >= 840");
    TRIGGERS.put(
        "volume past avg volume 1d",
        "select min(t) as t from (select t, sum(size) over (order by seq) as v from p)"
            + " where v >= 1000");
    TRIGGERS.put(
        "first dip 1% after gap 5% regaining 50%",
        "select t from (with q as (select *, max(price) over (order by seq) as h from p"
            + " where t >= :open and t < :close), f as (select min(seq) as s from q"
            + " where h - price >= 0.01 * h), d as (select q.*, min(price) over (order by seq) as low"
            + " from q, f where seq >= f.s) select t from d, f where d.seq > f.s"
            + " and price - low >= 0.5 * (h - low) and "
            + OPEN
            + " >= 840 order by seq limit 1)");
    TRIGGERS.put("fade from 0% with high after 09:35", fade("l"));
    TRIGGERS.put(
        "fade from 0% with high after 09:35 below its trend line",
        fade(
            "case when earlier < l then l + (l - earlier) / (m - earlier_m)"
                + " * (t // 60000000000 - m) end"));
    FOLDS.put("base break", baseBreak());
    FOLDS.put("rises through previous close", crossing(PREVIOUS_CLOSE, "> 0"));
    FOLDS.put("falls through vwap", crossing(VWAP, "< 0"));
    FOLDS.put("stair step 2", stairSteps());
  }

  /**
   * A fold over the prints that keeps the side told last, since when the line is disarmed, and the
   * prints at which it was passed one way.
   */
  private static String crossing(String line, String way) {
    String beyond = "(b.price - b.line)";
    String side = "(case when abs" + beyond + " < 1e-9 then 0 else sign" + beyond + "::int end)";
    String told = "(case when b.anew then 0 else a.side end)";
    String off =
        "(a.off and not b.anew and b.t - a.fired < 60000000000"
            + " and abs"
            + beyond
            + " < b.line / 1000 - 1e-9)";
    String passes =
        "("
            + told
            + " <> 0 and "
            + side
            + " <> 0 and "
            + side
            + " <> "
            + told
            + " and not "
            + off
            + ")";
    String print = "'side': 0::int, 'off': false, 'fired': 0::bigint, 'told': []::bigint[]}";
    return "select unnest(list_reduce(list_prepend("
        + "{'price': 0::double, 'line': 0::double, 'anew': false, 't': 0::bigint, "
        + print
        + ", list({'price': price, 'line': line::double, 'anew': coalesce(anew, false), 't': t, "
        + print
        + " order by seq)), (a, b) -> {'price': b.price, 'line': b.line, 'anew': b.anew, 't': b.t,"
        + " 'side': case when "
        + told
        + " = 0 or "
        + passes
        + " then "
        + side
        + " else "
        + told
        + " end,"
        + " 'off': case when "
        + side
        + " = 0 then a.off and not b.anew when "
        + passes
        + " then true else "
        + off
        + " end,"
        + " 'fired': case when "
        + passes
        + " then b.t else a.fired end,"
        + " 'told': case when "
        + passes
        + " and "
        + side
        + " "
        + way
        + " then list_append(a.told, b.t) else a.told end}).told) as t from ("
        + line
        + ")";
  }

  /**
   * A fold over the prints in ten-thousandths that keeps the first high, whether the price left it
   * and came back, and the lows on both sides of that.
   */
  private static String baseBreak() {
    String none = "9000000000000::bigint";
    String above = "(a.top > 0 and b.u > a.top)";
    String back =
        "(a.back or ((a.top - b.u) * 200 <= a.top and b.t - a.began >= 300000000000"
            + " and a.first < "
            + none
            + " and (a.top - a.first) * 200 > a.top))";
    String second = "least(a.second, b.u)";
    String sank = "(" + back + " and " + second + " <= a.first)";
    String anew = "(a.top = 0 or " + above + " or " + sank + ")";
    String busy = "b.minute * (b.t - a.began) >= (b.shares - a.before) * 60000000000";
    String breaks = "(" + above + " and a.back and a.second > a.first and " + busy + ")";
    String rest =
        "'top': 0::bigint, 'began': 0::bigint, 'before': 0::bigint, 'first': "
            + none
            + ", 'second': "
            + none
            + ", 'back': false, 'told': []::bigint[]}";
    return "with sums as (select *, sum(size) over (order by seq) as shares from p),"
        + " minutes as (select s.*, s.shares - coalesce(e.shares, 0) as minute from sums s"
        + " asof left join (select t, max(shares) as shares from sums group by t) e"
        + " on e.t <= s.t - 60000000000)"
        + " select unnest(list_reduce(list_prepend({'u': 0::bigint, 't': 0::bigint,"
        + " 'shares': 0::bigint, 'minute': 0::bigint, "
        + rest
        + ", list({'u': round(price * 10000)::bigint, 't': t, 'shares': shares::bigint,"
        + " 'minute': minute::bigint, "
        + rest
        + " order by seq)), (a, b) -> {'u': b.u, 't': b.t, 'shares': b.shares, 'minute': b.minute,"
        + " 'top': case when "
        + anew
        + " then b.u else a.top end,"
        + " 'began': case when "
        + anew
        + " then b.t else a.began end,"
        + " 'before': case when "
        + anew
        + " then b.shares else a.before end,"
        + " 'first': case when "
        + anew
        + " then "
        + none
        + " when "
        + back
        + " then a.first else least(a.first, b.u) end,"
        + " 'second': case when "
        + anew
        + " or not "
        + back
        + " then "
        + none
        + " else "
        + second
        + " end,"
        + " 'back': not "
        + anew
        + " and "
        + back
        + ", 'told': case when "
        + breaks
        + " then list_append(a.told, b.t) else a.told end}).told) as t from minutes";
  }

  /** A fold over the prints in ten-thousandths that keeps the base, the high and the pullback. */
  private static String stairSteps() {
    String none = "9000000000000::bigint";
    String begins = "(a.base = 0 or b.t - a.began > 1800000000000 or b.u < a.base)";
    String climbs = "(not " + begins + " and b.u > a.high)";
    String rose = "((a.high - a.base) * 100 >= a.base)";
    String pulled =
        "(a.pull < " + none + " and (a.high - a.pull) * 500 >= a.high and a.high - a.pull >= 200)";
    String step = "(" + climbs + " and " + rose + " and " + pulled + ")";
    String low = "least(a.pull, b.u)";
    String deep =
        "(not "
            + begins
            + " and not "
            + climbs
            + " and "
            + rose
            + " and 2 * (a.high - "
            + low
            + ") > a.high - a.base)";
    String anew = "(" + begins + " or " + deep + ")";
    String rest =
        "'base': 0::bigint, 'high': 0::bigint, 'pull': "
            + none
            + ", 'steps': 0::int,"
            + " 'began': 0::bigint, 'told': []::bigint[]}";
    return "select unnest(list_reduce(list_prepend({'u': 0::bigint, 't': 0::bigint, "
        + rest
        + ", list({'u': round(price * 10000)::bigint, 't': t, "
        + rest
        + " order by seq)), (a, b) -> {'u': b.u, 't': b.t,"
        + " 'base': case when "
        + anew
        + " then b.u when "
        + step
        + " then a.pull else a.base end,"
        + " 'high': case when "
        + anew
        + " or "
        + climbs
        + " then b.u else a.high end,"
        + " 'pull': case when "
        + anew
        + " or "
        + climbs
        + " then "
        + none
        + " else "
        + low
        + " end,"
        + " 'steps': case when "
        + anew
        + " then 0 when "
        + step
        + " then a.steps + 1 else a.steps end,"
        + " 'began': case when "
        + anew
        + " or "
        + step
        + " then b.t else a.began end,"
        + " 'told': case when "
        + step
        + " and a.steps >= 1 then list_append(a.told, b.t)"
        + " else a.told end}).told) as t from p";
  }

  @TempDir static Path folder;
  private static Session session;
  private static Connection duck;

  @BeforeAll
  static void write() throws IOException, SQLException {
    List<String[]> trades = read();
    long first = Long.parseLong(trades.getFirst()[0]);
    long last = Long.parseLong(trades.getLast()[0]);
    StringBuilder securities = new StringBuilder("symbol,name,mic,cfi\n");
    StringBuilder daily = new StringBuilder("symbol,date,open,high,low,close,volume\n");
    for (int i = 0; i < SYMBOLS; i++) {
      securities.append(symbol(i)).append(",Real Tape,XNAS,ESVUFR\n");
      daily.append(symbol(i)).append(",2031-03-11,800,800,800,800,1000\n");
    }
    StringBuilder prints = new StringBuilder("time,symbol,price,size,conditions,id\n");
    StringBuilder table = new StringBuilder("seq,symbol,t,price,size\n");
    for (int i = 0; i < trades.size(); i++) {
      String[] trade = trades.get(i);
      long millis = (Long.parseLong(trade[0]) - first) * 57_500_000L / (last - first);
      long at = DayTime.FIRST + millis * DayTime.MILLISECOND;
      String price = new BigDecimal(trade[1]).setScale(4, RoundingMode.HALF_EVEN).toPlainString();
      long size = Math.max(1, Math.round(Double.parseDouble(trade[2]) * SHARES));
      String of = symbol(i * 7 % SYMBOLS);
      prints.append(DayTime.millis(at)).append(',').append(of).append(',').append(price);
      prints.append(',').append(size).append(",@,").append(i + 1).append('\n');
      table.append(i).append(',').append(of).append(',').append(at).append(',').append(price);
      table.append(',').append(size).append('\n');
    }
    Files.createDirectories(folder.resolve("sessions/" + DATE));
    Files.writeString(folder.resolve("securities.csv"), securities);
    Files.writeString(folder.resolve("daily.csv"), daily);
    Files.writeString(folder.resolve("sessions/" + DATE + "/trades.csv"), prints);
    Path plain = folder.resolve("plain.csv");
    Files.writeString(plain, table);
    session = new DataFolder(folder, new ExchangeCalendar()).session(DATE, Progress.NONE);
    duck = DuckDb.open();
    try (Statement statement = duck.createStatement()) {
      statement.execute(
          "create table prints as select seq, symbol, t::bigint as t, price::double as price,"
              + " size::bigint as size from read_csv('"
              + plain
              + "', header = true)");
    }
  }

  @AfterAll
  static void close() throws SQLException {
    duck.close();
  }

  private static String symbol(int i) {
    return "REALT" + (char) ('A' + i);
  }

  private static List<String[]> read() throws IOException {
    try (BufferedReader lines =
        new BufferedReader(
            new InputStreamReader(
                Objects.requireNonNull(
                    RealTapeTest.class.getClassLoader().getResourceAsStream(PRINTS)),
                StandardCharsets.UTF_8))) {
      return lines.lines().skip(1).map(line -> line.split(",")).toList();
    }
  }

  private static String sql(String text, long moment) {
    return text.replace(":open", Long.toString(DayTime.of(9, 30)))
        .replace(":close", Long.toString(DayTime.of(16, 0)))
        .replace(":t", Long.toString(moment));
  }

  private static double[] asked(String symbol, long moment) throws SQLException {
    String columns = String.join(", ", FIELDS.values());
    try (Statement statement = duck.createStatement();
        ResultSet row =
            statement.executeQuery(
                sql(
                    "select "
                        + columns
                        + " from prints where symbol = '"
                        + symbol
                        + "' and t <= :t",
                    moment))) {
      row.next();
      double[] values = new double[FIELDS.size()];
      for (int i = 0; i < values.length; i++) {
        double value = row.getDouble(i + 1);
        values[i] = row.wasNull() ? Double.NaN : value;
      }
      return values;
    }
  }

  private static double answered(String question, String symbol, long moment) throws SQLException {
    String with =
        "with p as (select * from prints where symbol = '"
            + symbol
            + "' and t <= :t), newest as (select symbol, last(price order by seq) as price"
            + " from prints where t <= :t group by symbol) select * from ("
            + question
            + ")";
    try (Statement statement = duck.createStatement();
        ResultSet row = statement.executeQuery(sql(with, moment))) {
      double value = row.next() ? row.getDouble(1) : Double.NaN;
      return row.wasNull() ? Double.NaN : value;
    }
  }

  @Tag("proof")
  @Test
  void everyFieldThatTakesAQuestionOfItsOwnEqualsSql() throws SQLException {
    SplittableRandom random = new SplittableRandom(9);
    TapeReplay replay = new TapeReplay(session);
    Map<String, Field.Reading> readings = new LinkedHashMap<>();
    QUESTIONS
        .keySet()
        .forEach(words -> readings.put(words, FieldCatalogue.number(words).bind(session)));
    long moment = DayTime.of(4, 5);
    while (moment < DayTime.of(19, 58)) {
      replay.runTo(moment);
      int security = random.nextInt(SYMBOLS);
      String symbol = session.security(security).symbol();
      for (Map.Entry<String, String> question : QUESTIONS.entrySet()) {
        double expected = answered(question.getValue(), symbol, moment);
        double found = readings.get(question.getKey()).at(replay.state(security), moment);
        String what = question.getKey() + " of " + symbol + " at " + DayTime.millis(moment);
        if (Double.isNaN(expected)) {
          assertThat(found).as(what).isNaN();
        } else {
          assertThat(found)
              .as(what)
              .isCloseTo(expected, within(1e-8 * Math.max(1, Math.abs(expected))));
        }
      }
      moment += 1 + random.nextLong(20 * DayTime.MINUTE);
    }
  }

  @Test
  void theWholeTapeIsRead() {
    assertThat(session.tape().size()).isEqualTo(100_000);
  }

  @Tag("sampled")
  @Test
  void everyFieldEqualsSqlAtManyMoments() throws SQLException {
    SplittableRandom random = new SplittableRandom(20310312);
    List<Field.Reading> readings =
        FIELDS.keySet().stream().map(words -> FieldCatalogue.number(words).bind(session)).toList();
    List<String> names = List.copyOf(FIELDS.keySet());
    long moment = DayTime.of(4, 30);
    TapeReplay replay = new TapeReplay(session);
    for (int i = 0; i < MOMENTS; i++) {
      moment += random.nextLong(40 * DayTime.MINUTE);
      if (moment > DayTime.of(19, 58)) {
        break;
      }
      replay.runTo(moment);
      for (int security = 0; security < SYMBOLS; security++) {
        double[] expected = asked(session.security(security).symbol(), moment);
        for (int f = 0; f < expected.length; f++) {
          double found = readings.get(f).at(replay.state(security), moment);
          String what = names.get(f) + " of " + symbol(security) + " at " + DayTime.millis(moment);
          if (Double.isNaN(expected[f])) {
            assertThat(Double.isNaN(found) || found == 0).as(what + ": " + found).isTrue();
          } else {
            assertThat(found)
                .as(what)
                .isCloseTo(expected[f], within(1e-9 * Math.max(1, Math.abs(expected[f]))));
          }
        }
      }
    }
  }

  @Tag("proof")
  @Test
  void everyTriggerFiresAtThePrintsThatSqlNames() throws SQLException {
    for (Map.Entry<String, String> trigger : TRIGGERS.entrySet()) {
      List<String> expected = fired(trigger.getValue(), SYMBOLS);

      assertThat(expected).as(trigger.getKey()).hasSizeGreaterThan(SYMBOLS - 1);
      assertThat(found(trigger.getKey(), SYMBOLS))
          .as(trigger.getKey())
          .containsExactlyInAnyOrderElementsOf(expected);
    }
  }

  @Tag("proof")
  @Test
  void everyTriggerWithAMemoryFiresAtThePrintsThatAFoldNames() throws SQLException {
    for (Map.Entry<String, String> trigger : FOLDS.entrySet()) {
      List<String> expected = fired(trigger.getValue(), 1);

      assertThat(expected).as(trigger.getKey()).isNotEmpty();
      assertThat(found(trigger.getKey(), 1))
          .as(trigger.getKey())
          .containsExactlyInAnyOrderElementsOf(expected);
    }
  }

  private static List<String> fired(String query, int symbols) throws SQLException {
    List<String> expected = new ArrayList<>();
    for (int i = 0; i < symbols; i++) {
      String from = "with p as (select * from prints where symbol = '" + symbol(i) + "') ";
      try (Statement statement = duck.createStatement();
          ResultSet rows =
              statement.executeQuery(sql(from + "select t from (" + query + ") order by t", 0))) {
        while (rows.next()) {
          expected.add(symbol(i) + " " + rows.getLong(1));
        }
      }
    }
    return expected;
  }

  private static List<String> found(String trigger, int symbols) {
    List<String> found = new ArrayList<>();
    Scan scan =
        new Scan(
            "all",
            "",
            Universe.EVERYONE,
            DayTime.FIRST,
            DayTime.LAST,
            List.of(),
            List.of(),
            Trigger.parse(trigger),
            Scan.DEFAULT_FOLD,
            Side.BOTH,
            50,
            List.of(),
            List.of());
    ScanEngine.replay(
            session,
            new Program(List.of(scan), List.of()),
            hit -> {
              if (hit.security() < symbols) {
                found.add(hit.symbol() + " " + hit.at());
              }
            })
        .runTo(DayTime.LAST);
    return found;
  }
}
