package kelvo.view;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.hit.Hit;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.scan.Scan;
import kelvo.scan.ScanCheck;
import kelvo.scan.Side;
import kelvo.session.KnownEvent;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.time.Phases;
import kelvo.trade.OpenPosition;
import kelvo.watchlist.Watchlist;
import org.jspecify.annotations.Nullable;

/** Shows each of some watched symbols with its plan, what is held of it, and what rings next. */
public final class WatchView implements View<List<WatchView.Watched>> {
  private static final double NEAR_BAND_PERCENT = 1;

  /**
   * A symbol to watch.
   *
   * @param entry how it stands on its list
   * @param side which way it is planned
   * @param levels those that stand on it
   * @param held what is held of it; null for nothing
   */
  public record Watching(
      Watchlist.Entry entry, Side side, List<Level> levels, @Nullable OpenPosition held) {
    public Watching {
      levels = List.copyOf(levels);
    }

    /** The ticker. */
    public String symbol() {
      return entry.symbol();
    }
  }

  /**
   * A watched symbol at a moment.
   *
   * @param next the level that would ring first, the nearest one; null without any
   * @param awayPercent how far that is from the price; NaN without any
   * @param risks the open result in risks (R); NaN when nothing is held or no stop stands
   * @param isNearBand whether the price is within 1% of its volatility band
   * @param isRestricted whether short sales of it are restricted today
   * @param tonight what is known to come on it today, such as a report; empty for nothing
   * @param hasLeft whether it stands here because of a scan that it does not fit any more
   * @param values those of the list's own columns, as shown
   */
  public record Watched(
      Watching watching,
      CardsView.Card card,
      long moment,
      @Nullable Level next,
      double awayPercent,
      double risks,
      boolean isNearBand,
      boolean isRestricted,
      String tonight,
      boolean hasLeft,
      List<String> values) {
    public Watched {
      values = List.copyOf(values);
    }

    /** The ticker. */
    public String symbol() {
      return watching.symbol();
    }
  }

  /**
   * What is held of a list.
   *
   * @param positions how many of its symbols
   * @param result what they have made at the price of now, dollars
   */
  public record Held(int positions, double result) {
    /** What is held of these symbols. */
    public static Held of(List<Watched> rows) {
      List<Watched> held = rows.stream().filter(row -> row.watching().held() != null).toList();
      double result = 0;
      for (Watched row : held) {
        OpenPosition position = row.watching().held();
        result += position == null ? 0 : position.result(row.card().price());
      }
      return new Held(held.size(), result);
    }
  }

  private final Session session;
  private final List<Watching> watching;
  private final @Nullable Scan follows;
  private final @Nullable ScanCheck fits;
  private final CardsView.Cards cards;
  private final List<Column> columns;
  private final Field.Reading toBand;
  private final Field.Reading restricted;

  /** What reads a column as it is shown. */
  @FunctionalInterface
  private interface Column {
    String of(SymbolState state, long now);
  }

  /**
   * Watches these symbols, in this order; those that the session does not have are left out.
   *
   * @param fields the list's own columns
   * @param follows the scan whose finds of the phase are watched too, after them; null for none
   */
  public WatchView(
      Session session, List<Watching> watching, List<Field> fields, @Nullable Scan follows) {
    this.session = session;
    columns = fields.stream().map(field -> column(field, session)).toList();
    this.follows = follows;
    fits = follows == null ? null : new ScanCheck(follows, session);
    restricted = FieldCatalogue.number("short sale restricted").bind(session);
    this.watching = List.copyOf(watching);
    cards = new CardsView.Cards(session);
    toBand = FieldCatalogue.number("distance to band %").bind(session);
  }

  private static Column column(Field field, Session session) {
    return switch (field) {
      case Field.Word word -> word::of;
      case Field.Number number -> {
        Field.Reading reading = number.bind(session);
        yield (state, now) -> number.unit().text(reading.at(state, now));
      }
    };
  }

  @Override
  public List<Watched> look(Moment moment) {
    List<Watched> shown = new ArrayList<>();
    for (Watching each : watching) {
      session
          .numberOf(each.symbol())
          .ifPresent(number -> shown.add(watched(each, moment.state(number), moment, false)));
    }
    Scan scan = follows;
    ScanCheck check = fits;
    if (scan != null && check != null) {
      shown.addAll(found(scan, check, moment));
    }
    return List.copyOf(shown);
  }

  /** The scan's finds since the phase began: who fits now first, then who has left. */
  private List<Watched> found(Scan scan, ScanCheck check, Moment moment) {
    Phases phases = session.phases();
    int phase = phases.indexAt(moment.now());
    long from = phases.all().get(phase).start();
    Map<Integer, Side> sides = new LinkedHashMap<>();
    for (Hit hit : moment.hits().reversed()) {
      if (hit.at() < from) {
        break;
      }
      if (hit.scan().equals(scan.name())) {
        sides.putIfAbsent(hit.security(), hit.side());
      }
    }
    List<Watched> now = new ArrayList<>();
    List<Watched> left = new ArrayList<>();
    sides.forEach(
        (security, side) -> {
          String symbol = session.security(security).symbol();
          if (watching.stream().noneMatch(one -> one.symbol().equals(symbol))) {
            SymbolState state = moment.state(security);
            boolean isIn = scan.open(moment.now()) && check.holds(state, moment.now(), phase);
            Watching one = new Watching(Watchlist.Entry.of(symbol), side, List.of(), null);
            (isIn ? now : left).add(watched(one, state, moment, !isIn));
          }
        });
    now.addAll(left);
    return now;
  }

  private Watched watched(Watching each, SymbolState state, Moment moment, boolean hasLeft) {
    CardsView.Card card = cards.card(each.symbol(), state, moment);
    long now = moment.now();
    Optional<Level> next =
        each.levels().stream()
            .filter(level -> level.kind() != LevelKind.STOP)
            .min(
                Comparator.comparingDouble(
                    level -> Math.abs(level.distancePercent(card.price(), now))));
    Optional<Level> stop =
        each.levels().stream()
            .filter(level -> level.kind() == LevelKind.STOP)
            .reduce((first, last) -> last);
    OpenPosition held = each.held();
    return new Watched(
        each,
        card,
        now,
        next.orElse(null),
        next.map(level -> level.distancePercent(card.price(), now)).orElse(Double.NaN),
        held == null
            ? Double.NaN
            : stop.map(s -> held.risks(card.price(), s.priceAt(now))).orElse(Double.NaN),
        toBand.at(state, now) <= NEAR_BAND_PERCENT,
        restricted.at(state, now) == 1,
        tonight(each.symbol(), now),
        hasLeft,
        columns.stream().map(column -> column.of(state, now)).toList());
  }

  private String tonight(String symbol, long now) {
    return session.knownEvents().stream()
        .filter(event -> event.symbol().equals(symbol) && event.at() > now)
        .findFirst()
        .map(KnownEvent::title)
        .orElse("");
  }
}
