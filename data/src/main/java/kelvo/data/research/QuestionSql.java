package kelvo.data.research;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kelvo.refusal.RefusedException;
import kelvo.research.CaseMoment;
import kelvo.research.Direction;
import kelvo.research.Held;
import kelvo.research.Question;
import kelvo.research.bars.BarCases;
import kelvo.rule.Rule;
import kelvo.scan.Scan;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.trade.Fees;
import kelvo.trigger.Trigger;
import kelvo.universe.Universe;

/**
 * A question as one statement of SQL over the tables of a partitioned store (docs/formats.md),
 * which gives the same cases and results as {@link BarCases}. It asks only for what the engines
 * that read such stores have in common.
 */
public final class QuestionSql {
  private static final String BY_SECURITY = "partition by date, symbol order by minute";

  private final Question question;
  private final Scan scan;
  private final RuleSql rules;
  private final List<LocalDate> dates;

  private QuestionSql(Question question, Phases phases, List<LocalDate> dates) {
    this.question = question;
    this.dates = dates;
    scan = question.scan();
    rules = new RuleSql(phases);
  }

  /** What of a question SQL cannot tell, as its first rule or trigger; empty when it can. */
  public static Optional<String> untold(Question question) {
    Optional<String> byBars = BarCases.untold(question);
    return byBars.isPresent()
        ? byBars
        : rules(question.scan())
            .filter(rule -> !RuleSql.tells(rule))
            .map(rule -> "rule \"" + rule.sentence() + "\"")
            .findFirst();
  }

  private static Stream<Rule> rules(Scan scan) {
    return Stream.concat(
        Stream.concat(scan.universe().rules().stream(), scan.rules().stream()),
        scan.anyOf().stream().flatMap(List::stream));
  }

  /**
   * The statement.
   *
   * @param phases those of a full session
   * @param dates of the sessions that are asked
   * @throws RefusedException when SQL {@link #untold cannot tell} what it asks
   */
  public static String of(Question question, Phases phases, List<LocalDate> dates) {
    untold(question)
        .ifPresent(
            what -> {
              throw new RefusedException("SQL cannot ask the " + what);
            });
    return new QuestionSql(question, phases, dates).statement();
  }

  private String statement() {
    return String.join(
            ",\n",
            "-- "
                + question.words()
                + ". Prices within are in hundredths of a cent, moments in minutes of the day.\nwith "
                + days(),
            minuteBars(),
            splits(),
            dailyBars(),
            beforehand(),
            totals(),
            candidates(),
            seen(),
            matched(),
            found(),
            entries(),
            held(),
            after())
        + "\n"
        + results();
  }

  private String days() {
    return """
        days as (
          select date, close_minute, day_2, day_3, day_5
          from trading_days
          where date in (%s)
        )"""
        .formatted(
            dates.stream().map(date -> "date '" + date + "'").collect(Collectors.joining(", ")));
  }

  private String minuteBars() {
    return """
        minute_bars as (
          select m.date, m.symbol, d.close_minute,
            cast(substr(m.time, 1, 2) as integer) * 60 + cast(substr(m.time, 4, 2) as integer)
              as minute,
            cast(m.open * 10000 as bigint) as open, cast(m.high * 10000 as bigint) as high,
            cast(m.low * 10000 as bigint) as low, cast(m.close * 10000 as bigint) as close,
            m.volume, m.trades
          from minutes m join days d on d.date = m.date
          where m.date between date '%s' and date '%s'
        )"""
        .formatted(dates.getFirst(), dates.getLast());
  }

  /** How many shares of now one share of the first day has become, by each split's day. */
  private static String splits() {
    return """
        splits as (
          select symbol, date, ratio from actions where kind = 'split'
        ),
        given as (
          select symbol, date, sum(cast(amount * 10000 as bigint)) as given
          from actions where kind <> 'split' group by symbol, date
        )""";
  }

  private static String dailyBars() {
    return """
        daily_bars as (
          select d.symbol, d.date,
            cast(d.open * 10000 as bigint) as opening_price,
            cast(d.high * 10000 as bigint) as highest_price,
            cast(d.low * 10000 as bigint) as lowest_price,
            cast(d.close * 10000 as bigint) as closing_price,
            d.volume as shares_traded,
            exp(sum(ln(coalesce(s.ratio, 1e0))) over (partition by d.symbol order by d.date))
              as factor
          from daily d left join splits s on s.symbol = d.symbol and s.date = d.date
        )""";
  }

  /** By the daily bar of the session itself, the ones before it in that session's shares. */
  private String beforehand() {
    String averages =
        rules(scan)
            .flatMap(rule -> rule.fields().stream())
            .flatMap(field -> FieldSql.averageColumn(field).stream())
            .distinct()
            .map(column -> ",\n    " + column)
            .collect(Collectors.joining());
    return """
        beforehand as (
          select b.*, closing_before - case when given < closing_before then given else 0 end
              as previous_close
          from (
            select d.symbol, d.date, d.factor, coalesce(g.given, 0) as given,
              %s as closing_before, %s as prior_close, %s as prior_high, %s as prior_low,
              %s as second_close%s
            from daily_bars d left join given g on g.symbol = d.symbol and g.date = d.date
          ) b
        )"""
        .formatted(
            before("closing_price", 1),
            before("closing_price", 1),
            before("highest_price", 1),
            before("lowest_price", 1),
            before("closing_price", 2),
            averages);
  }

  private static String before(String price, int sessions) {
    String window = " over (partition by d.symbol order by d.date)";
    return "cast(round(lag(%s, %d)%s * lag(factor, %d)%s / factor) as bigint)"
        .formatted(price, sessions, window, sessions, window);
  }

  private static String totals() {
    return """
        totals as (
          select date, symbol, close_minute,
            min(close) as least_close, max(close) as most_close, sum(volume) as total_volume,
            sum(case when minute < 570 then volume else 0 end) as total_premarket_volume,
            sum((high + low + close) * volume) as total_threefold_money,
            min(case when minute >= 570 and minute < close_minute then minute end) as open_minute
          from minute_bars group by date, symbol, close_minute
        )""";
  }

  /** Who may match at some minute of a session: most bars need no look. */
  private String candidates() {
    List<Rule> settled = scan.rules().stream().filter(Rule::isSettled).toList();
    List<String> conditions =
        Stream.concat(
                Stream.of(universe(scan.universe()), rules.all(settled)),
                question.moment() instanceof CaseMoment.At
                    ? Stream.of()
                    : scan.rules().stream()
                        .filter(rule -> !rule.isSettled())
                        .flatMap(rule -> rules.byTotals(rule).stream()))
            .filter(condition -> !condition.equals("true"))
            .toList();
    return """
        candidates as (
          select * from (
            select t.*, b.previous_close, b.prior_close, b.prior_high, b.prior_low, b.second_close,
              b.factor, %s%s as kind, s.mic, s.sector, s.industry, s.country,
              case when s.float_as_of is null then s.float
                when s.float_as_of <= t.date then s.float * %s end as float_shares
            from totals t
            left join securities s on s.symbol = t.symbol
            left join beforehand b on b.symbol = t.symbol and b.date = t.date
          ) known%s
        )"""
        .formatted(
            averageNames(),
            FieldSql.kind().replace("cfi", "s.cfi"),
            "coalesce((select exp(sum(ln(a.ratio))) from splits a where a.symbol = t.symbol"
                + " and a.date > s.float_as_of and a.date <= t.date), 1e0)",
            conditions.isEmpty() ? "" : "\n  where " + String.join("\n    and ", conditions));
  }

  private String averageNames() {
    return rules(scan)
        .flatMap(rule -> rule.fields().stream())
        .filter(field -> FieldSql.averageColumn(field).isPresent())
        .map(field -> "b." + FieldSql.of(field).orElseThrow() + ", ")
        .distinct()
        .collect(Collectors.joining());
  }

  private String universe(Universe universe) {
    String all = rules.all(universe.rules());
    String added =
        universe.added().isEmpty()
            ? all
            : "(" + all + " or symbol in (" + texts(universe.added()) + "))";
    return universe.excluded().isEmpty()
        ? added
        : added + " and symbol not in (" + texts(universe.excluded()) + ")";
  }

  private static String texts(Set<String> texts) {
    return texts.stream().sorted().map(RuleSql::text).collect(Collectors.joining(", "));
  }

  /** What the bars up to each one had told, and the moment at which the rules are asked. */
  private String seen() {
    return """
        seen as (
          select c.*, m.minute, m.minute + 1 as ended, %3$s as moment, m.high, m.low, m.close as price,
            case when m.minute >= c.open_minute then first_value(case when m.minute
              >= c.open_minute then m.open end) over (partition by m.date, m.symbol,
              m.minute >= c.open_minute order by m.minute) end as open,
            sum(m.volume) over so_far as volume,
            sum(case when m.minute < 570 then m.volume else 0 end) over so_far as premarket_volume,
            sum(case when %1$s then m.volume else 0 end) over so_far as regular_volume,
            sum(m.trades) over so_far as trades,
            sum(case when m.minute < 570 then m.trades else 0 end) over so_far as premarket_trades,
            sum(%2$s) over so_far as threefold_money,
            sum(case when m.minute < 570 then %2$s else 0 end) over so_far
              as threefold_premarket_money,
            sum(case when %1$s then %2$s else 0 end) over so_far as threefold_regular_money,
            max(case when %1$s then m.high end) over so_far as day_high,
            min(case when %1$s then m.low end) over so_far as day_low,
            max(case when m.minute < 570 then m.high end) over so_far as premarket_high,
            min(case when m.minute < 570 then m.low end) over so_far as premarket_low,
            max(m.high) over so_far as session_high, min(m.low) over so_far as session_low,
            lead(m.minute) over so_far as next_minute, lead(m.open) over so_far as next_open
          from candidates c
          join minute_bars m on m.date = c.date and m.symbol = c.symbol
          window so_far as (partition by m.date, m.symbol order by m.minute)
        )"""
        .formatted(
            "m.minute >= 570 and m.minute < c.close_minute",
            "(m.high + m.low + m.close) * m.volume",
            question.moment() instanceof CaseMoment.At at
                ? minute(at, "c.close_minute")
                : "m.minute + 1");
  }

  private static String minute(CaseMoment.At at, String closeMinute) {
    return switch (at) {
      case CaseMoment.AtTime time -> String.valueOf(time.time() / DayTime.MINUTE);
      case CaseMoment.AtClose close -> closeMinute;
    };
  }

  private String matched() {
    String groups =
        scan.anyOf().stream()
            .map(group -> "\n      and " + rules.any(group))
            .collect(Collectors.joining());
    String window =
        question.moment() instanceof CaseMoment.At
            ? "true"
            : "moment >= " + minutes(scan.from()) + " and moment < " + minutes(scan.to());
    return """
        matched as (
          select *, %s
              and %s%s as holds
          from seen
        )"""
        .formatted(
            window,
            rules.all(scan.rules().stream().filter(rule -> !rule.isSettled()).toList()),
            groups);
  }

  private static String minutes(long moment) {
    return RuleSql.number(moment / (double) DayTime.MINUTE);
  }

  private String found() {
    return switch (question.moment()) {
      case CaseMoment.At at ->
          """
          found as (
            select * from (
              select *, %1$s as at,
                row_number() over (partition by date, symbol order by minute desc) as place
              from matched where ended <= %1$s
            ) newest
            where place = 1 and holds
          )"""
              .formatted(minute(at, "close_minute"));
      case CaseMoment.FirstHit first ->
          hits()
              + """
              ,
              found as (
                select * from (
                  select *, moment as at, row_number() over (%s) as place
                  from hits where moment >= %s
                ) ordered
                where place = 1
              )"""
                  .formatted(BY_SECURITY, minutes(first.from()));
      case CaseMoment.EveryMove moves ->
          hits()
              + """
              ,
              found as (
                select * from (
                  select *, moment as at, lag(moment) over (%s) as hit_before from hits
                ) ordered
                where hit_before is null or moment - hit_before > %s
              )"""
                  .formatted(BY_SECURITY, minutes(moves.gap()));
    };
  }

  private String hits() {
    String occasions =
        scan.triggers().stream().map(QuestionSql::occasion).collect(Collectors.joining(" or "));
    return """
        hits as (
          select * from (
            select *, lag(holds) over so_far as held_before,
              lag(day_high) over so_far as day_high_before,
              lag(day_low) over so_far as day_low_before,
              lag(premarket_high) over so_far as premarket_high_before,
              lag(premarket_low) over so_far as premarket_low_before,
              lag(session_high) over so_far as session_high_before,
              lag(session_low) over so_far as session_low_before
            from matched window so_far as (%s)
          ) before
          where holds and (%s)
        )"""
        .formatted(BY_SECURITY, occasions);
  }

  /** What makes a hit of a bar at whose end the rules hold. */
  private static String occasion(Trigger trigger) {
    if (trigger.equals(Trigger.ENTERS)) {
      return "not coalesce(held_before, false)";
    }
    String extreme = trigger.words().substring("new ".length()).replaceFirst(" of ", " ");
    String[] words = extreme.split(" ");
    String column = words[1] + "_" + words[0];
    return column + (words[0].equals("high") ? " > " : " < ") + column + "_before";
  }

  /** In at the open of the next bar, half of the usual spread worse, or half of a tick. */
  private String entries() {
    return """
        entries as (
          select f.date, f.symbol, f.close_minute, f.at, f.next_minute as entered,
            f.next_open / 1e4 %s greatest(coalesce(cast(u.spread as double), 0e0),
              case when f.next_open >= 10000 then 0.01e0 else 0.0001e0 end) / 2
              as entry, d.day_2, d.day_3, d.day_5, f.factor
          from found f join days d on d.date = f.date
          left join spreads u on u.symbol = f.symbol and u.hour = floor(f.next_minute / 60e0)
          where f.next_minute is not null
        )"""
        .formatted(question.direction() == Direction.LONG ? "+" : "-");
  }

  /** Out at the close of the last bar that had ended. */
  private static String held() {
    String horizons =
        Stream.of(5, 15, 30, 60)
            .map(
                minutes ->
                    "max_by(m.close, m.minute) filter (where m.minute < e.entered + "
                        + minutes
                        + ") as after_"
                        + minutes
                        + ",\n    ")
            .collect(Collectors.joining());
    return """
        held as (
          select e.date, e.symbol, e.at,
            %smax_by(m.close, m.minute) filter (where m.minute < e.close_minute
              and m.minute >= 570 and e.entered < e.close_minute) as at_close,
            max_by(m.close, m.minute) as last_price
          from entries e
          join minute_bars m on m.date = e.date and m.symbol = e.symbol and m.minute >= e.entered
          group by e.date, e.symbol, e.at
        )"""
        .formatted(horizons);
  }

  /** Later sessions by the daily bars, in the shares of the case's own. */
  private static String after() {
    String days =
        Stream.of("day_2", "day_3", "day_5")
            .map(
                day ->
                    ("min_by(d.closing_price * d.factor / e.factor, d.date)"
                            + " filter (where d.date >= e.%1$s) as %1$s_close,\n    ")
                        .formatted(day))
            .collect(Collectors.joining());
    return """
        afterwards as (
          select e.date, e.symbol, e.at,
            min_by(d.opening_price * d.factor / e.factor, d.date)
              filter (where d.date >= e.day_2) as day_2_open,
            %smax_by(d.closing_price * d.factor / e.factor, d.date) as last_close
          from entries e
          left join daily_bars d on d.symbol = e.symbol and d.date > e.date
          group by e.date, e.symbol, e.at
        ),
        known as (
          select max(date) as newest from daily
        )"""
        .formatted(days);
  }

  private String results() {
    Fees fees = question.costs().fees();
    String position = RuleSql.number(question.costs().position());
    String costs =
        "2 * (%s * (%s / e.entry) + %s) / %s"
            .formatted(
                RuleSql.number(fees.perShare().doubleValue()),
                position,
                RuleSql.number(fees.perOrder().doubleValue()),
                position);
    StringBuilder columns = new StringBuilder();
    for (Held until : Held.values()) {
      columns
          .append(",\n  ")
          .append(question.direction().sign())
          .append(" * (")
          .append(exit(until))
          .append(" / 1e4 / e.entry - 1) - ")
          .append(costs)
          .append(" as ")
          .append(column(until));
    }
    return """
        select e.date, e.symbol, e.at, e.entered, e.entry%s
        from entries e
        join held h on h.date = e.date and h.symbol = e.symbol and h.at = e.at
        join afterwards a on a.date = e.date and a.symbol = e.symbol and a.at = e.at
        cross join known k
        order by e.date, e.at, e.symbol"""
        .formatted(columns);
  }

  /** The column of a result. */
  public static String column(Held until) {
    return "until_" + until.words().replace(' ', '_');
  }

  /** The price to get out at; where a security has ended, its last one. */
  private static String exit(Held until) {
    return switch (until) {
      case FIVE_MINUTES -> "h.after_5";
      case QUARTER_HOUR -> "h.after_15";
      case HALF_HOUR -> "h.after_30";
      case HOUR -> "h.after_60";
      case CLOSE -> "h.at_close";
      case NEXT_OPEN -> later("day_2", "a.day_2_open");
      case NEXT_CLOSE -> later("day_2", "a.day_2_close");
      case DAY_THREE -> later("day_3", "a.day_3_close");
      case DAY_FIVE -> later("day_5", "a.day_5_close");
    };
  }

  private static String later(String day, String price) {
    return "case when e.%s <= k.newest then round(coalesce(%s, a.last_close, h.last_price)) end"
        .formatted(day, price);
  }
}
