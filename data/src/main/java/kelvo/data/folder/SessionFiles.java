package kelvo.data.folder;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import kelvo.data.fault.Fault;
import kelvo.data.fault.Faults;
import kelvo.history.SessionMinutes;
import kelvo.news.Catalyst;
import kelvo.tape.EventTape;
import kelvo.tape.SaleConditions;
import kelvo.tape.TradingState;
import org.jspecify.annotations.Nullable;

/** Reads the files of one session: trades, corrections, quotes, status, imbalances and mentions. */
final class SessionFiles {
  /** The tables of a session. */
  static final List<String> TABLES =
      List.of("status", "corrections", "quotes", "trades", "imbalance", "mentions");

  private final Path folder;
  private final LocalDate date;
  private final Map<String, Integer> numbers;
  private final WordIndex symbols;
  private final Faults faults;
  private final boolean searching;
  private final List<String> venues;
  private final List<String> reasons = new ArrayList<>();
  private final Set<String> unknownCodes = new HashSet<>();

  /**
   * The files in {@code sessions/DATE}.
   *
   * @param numbers the number of each symbol of the securities file
   * @param venues by number, where the security is listed, ISO 10383
   * @param searching whether to look for order that goes back
   */
  SessionFiles(
      Path root,
      LocalDate date,
      Map<String, Integer> numbers,
      List<String> venues,
      Faults faults,
      boolean searching) {
    this.venues = venues;
    this.searching = searching;
    this.folder = root;
    this.date = date;
    this.numbers = numbers;
    symbols = new WordIndex(numbers);
    this.faults = faults;
  }

  private Optional<TableFile> file(String table) {
    return TableFile.find(folder, "sessions/" + date + "/" + table, faults);
  }

  /**
   * Reads all files and merges them with the arrival of news.
   *
   * @param bars stand for the prints; null when those were recorded
   */
  EventTape read(List<Catalyst> catalysts, @Nullable SessionMinutes bars) {
    CompletableFuture<EventRows> quotes = CompletableFuture.supplyAsync(this::quotes);
    EventRows trades = bars == null ? trades() : BarPrints.of(bars, numbers);
    List<EventRows> files =
        List.of(
            status(),
            corrections(),
            quotes.join(),
            trades,
            imbalances(),
            mentions(),
            news(catalysts));
    return EventRows.merge(files.stream().filter(f -> f.size() > 0).toList(), numbers.size());
  }

  private EventRows trades() {
    EventRows rows =
        EventRows.ofFile(
            (tape, r, i) ->
                tape.trade(r.time(i), r.symbol(i), r.first(i), r.second(i), r.third(i), r.id(i)));
    Map<String, Integer> sets = new HashMap<>();
    read(
        "trades",
        List.of("time", "symbol", "price", "size", "conditions"),
        header -> {
          int time = header.column("time");
          int symbol = header.column("symbol");
          int price = header.column("price");
          int size = header.column("size");
          int conditions = header.column("conditions");
          int id = header.column("id");
          int venue = header.column("venue");
          int seq = header.column("seq");
          return row -> {
            int number = number(row, symbol);
            String mic = venues.get(number);
            int told = SaleConditions.of(conditions(row, conditions, sets), mic);
            rows.add(
                seq(row, seq),
                row.time(time, date),
                number,
                row.price(price),
                row.count(size),
                row.isEmpty(venue) ? told : SaleConditions.at(told, row.word(venue), mic),
                0);
            if (!row.isEmpty(id)) {
              rows.nameNewest(row.printId(id));
            }
          };
        });
    return rows;
  }

  private EventRows corrections() {
    EventRows rows = EventRows.ofFile(this::correct);
    read(
        "corrections",
        List.of("time", "symbol", "id", "action", "price", "size"),
        header -> {
          int time = header.column("time");
          int symbol = header.column("symbol");
          int id = header.column("id");
          int action = header.column("action");
          int price = header.column("price");
          int size = header.column("size");
          int seq = header.column("seq");
          return row -> {
            boolean cancel = row.text(action).equals("cancel");
            if (!cancel && !row.text(action).equals("correct")) {
              throw row.bad(action, "cancel or correct");
            }
            rows.add(
                seq(row, seq),
                row.time(time, date),
                number(row, symbol),
                cancel ? 0 : row.price(price),
                cancel ? 0 : row.count(size),
                cancel ? 1 : 0,
                0);
            rows.nameNewest(PrintIds.of(row.text(id)));
            rows.placeNewest(row.line());
          };
        });
    return rows;
  }

  private void correct(EventTape tape, EventRows r, int i) {
    boolean known =
        r.third(i) == 1
            ? tape.cancel(r.time(i), r.symbol(i), r.id(i))
            : tape.correct(r.time(i), r.symbol(i), r.id(i), r.first(i), r.second(i));
    if (!known) {
      faults.add(
          new Fault(
              file("corrections").map(TableFile::name).orElse(""),
              r.line(i),
              "id",
              "the id of an earlier print of the security",
              "an unknown id"));
    }
  }

  private EventRows imbalances() {
    EventRows rows =
        EventRows.ofFile(
            (tape, r, i) ->
                tape.imbalance(
                    r.time(i), r.symbol(i), r.fourth(i) == 1, r.third(i), r.second(i), r.first(i)));
    read(
        "imbalance",
        List.of("time", "symbol", "side", "paired", "imbalance", "reference"),
        header -> {
          int time = header.column("time");
          int symbol = header.column("symbol");
          int side = header.column("side");
          int paired = header.column("paired");
          int imbalance = header.column("imbalance");
          int reference = header.column("reference");
          int seq = header.column("seq");
          return row -> {
            boolean buyers = row.text(side).equals("buy");
            if (!buyers && !row.text(side).equals("sell")) {
              throw row.bad(side, "buy or sell");
            }
            rows.add(
                seq(row, seq),
                row.time(time, date),
                number(row, symbol),
                row.price(reference),
                row.count(imbalance),
                shares(row, paired),
                buyers ? 1 : 0);
          };
        });
    return rows;
  }

  private EventRows mentions() {
    EventRows rows =
        EventRows.ofFile((tape, r, i) -> tape.mention(r.time(i), r.symbol(i), r.first(i)));
    read(
        "mentions",
        List.of("time", "symbol", "count"),
        header -> {
          int time = header.column("time");
          int symbol = header.column("symbol");
          int count = header.column("count");
          int seq = header.column("seq");
          return row ->
              rows.add(
                  seq(row, seq),
                  row.time(time, date),
                  number(row, symbol),
                  row.count(count),
                  0,
                  0,
                  0);
        });
    return rows;
  }

  private EventRows quotes() {
    EventRows rows =
        EventRows.ofFile(
            (tape, r, i) ->
                tape.quote(
                    r.time(i), r.symbol(i), r.first(i), r.third(i), r.second(i), r.fourth(i)));
    read(
        "quotes",
        List.of("time", "symbol", "bid", "bid_size", "ask", "ask_size"),
        header -> {
          int time = header.column("time");
          int symbol = header.column("symbol");
          int bid = header.column("bid");
          int bidSize = header.column("bid_size");
          int ask = header.column("ask");
          int askSize = header.column("ask_size");
          int seq = header.column("seq");
          return row ->
              rows.add(
                  seq(row, seq),
                  row.time(time, date),
                  number(row, symbol),
                  row.priceOrNone(bid),
                  row.priceOrNone(ask),
                  shares(row, bidSize),
                  shares(row, askSize));
        });
    return rows;
  }

  private EventRows status() {
    EventRows rows =
        EventRows.ofFile(
            (tape, r, i) ->
                tape.status(
                    r.time(i),
                    r.symbol(i),
                    TradingState.values()[r.third(i)],
                    reasons.get(r.fourth(i))));
    read(
        "status",
        List.of("time", "symbol", "state", "reason"),
        header -> {
          int time = header.column("time");
          int symbol = header.column("symbol");
          int state = header.column("state");
          int reason = header.column("reason");
          int seq = header.column("seq");
          return row -> {
            TradingState to = TradingState.of(row.text(state));
            long at = row.time(time, date);
            int number = number(row, symbol);
            reasons.add(row.word(reason));
            rows.add(seq(row, seq), at, number, 0, 0, to.ordinal(), reasons.size() - 1);
          };
        });
    return rows;
  }

  private EventRows news(List<Catalyst> catalysts) {
    EventRows rows =
        EventRows.withoutSeq((tape, r, i) -> tape.news(r.time(i), r.symbol(i), r.third(i)));
    for (int item = 0; item < catalysts.size(); item++) {
      for (String symbol : catalysts.get(item).symbols()) {
        Integer number = numbers.get(symbol);
        if (number != null) {
          rows.add(-1, catalysts.get(item).known(), number, 0, 0, item, 0);
        }
      }
    }
    return rows;
  }

  private void read(String name, List<String> required, TableFile.HeaderReader header) {
    file(name)
        .ifPresent(
            file ->
                file.read(
                    required,
                    new RowOrder(file.name(), faults, symbols, searching).watching(header)));
  }

  private static long seq(TableRow row, int column) {
    return column < 0 ? -1 : row.count(column);
  }

  private static int shares(TableRow row, int column) {
    return row.isEmpty(column) ? 0 : (int) Math.min(Integer.MAX_VALUE, row.count(column));
  }

  private int number(TableRow row, int column) {
    int number = row.numberIn(symbols, column);
    if (number == WordIndex.NONE) {
      throw row.bad(column, "a symbol of the securities file");
    }
    return number;
  }

  private int conditions(TableRow row, int column, Map<String, Integer> sets) {
    String text = row.word(column);
    Integer known = sets.get(text);
    if (known == null) {
      known = SaleConditions.parse(text, code -> unknownCode(row, code));
      sets.put(text, known);
    }
    return known;
  }

  private void unknownCode(TableRow row, String code) {
    if (unknownCodes.add(code)) {
      faults.add(
          new Fault(
              file("trades").map(TableFile::name).orElse("trades"),
              row.line(),
              "conditions",
              "a sale condition's word or code (prints with another count in the volume only)",
              code,
              false));
    }
  }
}
