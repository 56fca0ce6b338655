package kelvo.alert;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kelvo.field.FieldCatalogue;
import kelvo.journal.Choice;
import kelvo.journal.DayBook;
import kelvo.journal.Decision;
import kelvo.rule.Bound;
import kelvo.rule.Relation;
import kelvo.rule.Rule;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.time.DayTime;
import kelvo.universe.Universe;
import kelvo.watchlist.TheTen;
import kelvo.watchlist.Watchlist;

/**
 * Alerts as what the engine looks for on a date: a scan each, of the alert's name, limited to whom
 * it is about and begun when it was first armed.
 */
public final class AlertScans {
  private final LocalDate date;
  private final Map<String, List<String>> lists = new LinkedHashMap<>();
  private final List<Scan> scans;

  /**
   * Alerts on a date.
   *
   * @param listed the watchlists besides the Ten, as they are on the date
   * @param onTheTen whoever was on the Ten at some moment of it
   */
  public AlertScans(
      LocalDate date, List<Watchlist> listed, Collection<String> onTheTen, List<Scan> scans) {
    this.date = date;
    this.scans = List.copyOf(scans);
    lists.put(TheTen.NAME, onTheTen.stream().sorted().toList());
    listed.forEach(list -> lists.put(list.name(), list.symbols()));
  }

  /** Alerts on a date of which a book tells who was on the Ten. */
  public static AlertScans on(
      LocalDate date, List<Watchlist> lists, DayBook book, List<Scan> scans) {
    return new AlertScans(
        date,
        lists.stream().map(list -> list.on(date)).toList(),
        book.decisions().stream()
            .filter(decision -> decision.choice() == Choice.KEEP)
            .map(Decision::symbol)
            .collect(Collectors.toSet()),
        scans);
  }

  /** What to look for; alerts that cannot ring on the date are left out. */
  public List<Scan> of(List<Alert> alerts) {
    return alerts.stream()
        .filter(alert -> alert.countsOn(date))
        .flatMap(alert -> of(alert).stream())
        .toList();
  }

  private Optional<Scan> of(Alert alert) {
    long from = Math.max(alert.when().from(), firstArmed(alert));
    long to = alert.when().to();
    if (from >= to) {
      return Optional.empty();
    }
    return switch (alert.about()) {
      case About.Everyone everyone -> Optional.of(scan(alert, from, to, List.of()));
      case About.Symbol one -> Optional.of(scan(alert, from, to, List.of(one.symbol())));
      case About.Members members ->
          Optional.ofNullable(lists.get(members.name()))
              .filter(symbols -> !symbols.isEmpty())
              .map(symbols -> scan(alert, from, to, symbols));
      case About.Finds finds ->
          scans.stream()
              .filter(scan -> scan.name().equals(finds.name()))
              .findFirst()
              .flatMap(scan -> among(scan, alert, from, to));
    };
  }

  /** What a scan finds, with the alert's own triggers and rules besides. */
  private static Optional<Scan> among(Scan scan, Alert alert, long from, long to) {
    long begins = Math.max(from, scan.from());
    long ends = Math.min(to, scan.to());
    return begins >= ends
        ? Optional.empty()
        : Optional.of(
            new Scan(
                alert.name(),
                "",
                scan.universe(),
                begins,
                ends,
                Stream.concat(scan.rules().stream(), alert.when().rules().stream()).toList(),
                scan.anyOf(),
                alert.when().triggers().isEmpty() ? scan.triggers() : alert.when().triggers(),
                scan.fold(),
                scan.side(),
                scan.limit(),
                scan.sort(),
                List.of()));
  }

  private static Scan scan(Alert alert, long from, long to, List<String> symbols) {
    List<Rule> rules =
        symbols.isEmpty()
            ? alert.when().rules()
            : Stream.concat(Stream.of(isOneOf(symbols)), alert.when().rules().stream()).toList();
    return new Scan(
        alert.name(),
        "",
        Universe.EVERYONE,
        from,
        to,
        rules,
        List.of(),
        alert.when().triggers(),
        Scan.DEFAULT_FOLD,
        Side.BOTH,
        1,
        List.of(),
        List.of());
  }

  private static Rule isOneOf(List<String> symbols) {
    List<String> words = symbols.stream().map(symbol -> symbol.toLowerCase(Locale.ROOT)).toList();
    return new Rule(
        FieldCatalogue.find("symbol").orElseThrow(),
        Relation.IS_ONE_OF,
        List.of(new Rule.Step(new Bound.Words(words), "")),
        false);
  }

  /** When on the date it is first armed; to the whole minute before, since windows begin so. */
  private long firstArmed(Alert alert) {
    LocalDateTime first =
        alert.armed().stream()
            .map(Alert.Span::from)
            .filter(from -> !from.toLocalDate().isAfter(date))
            .min(Comparator.naturalOrder())
            .orElseThrow();
    if (first.toLocalDate().isBefore(date)) {
      return DayTime.FIRST;
    }
    long at = first.toLocalTime().toNanoOfDay();
    return at - at % DayTime.MINUTE;
  }
}
