package kelvo.data.folder;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kelvo.data.fault.Faults;
import kelvo.history.CorporateAction;
import kelvo.history.Distribution;

/** The splits, dividends and spin-offs of a data folder: actions.csv. */
final class ActionsFile {
  private final Map<String, List<CorporateAction>> splits = new HashMap<>();
  private final Map<String, List<Distribution>> distributions = new HashMap<>();

  private ActionsFile() {}

  static ActionsFile read(Path root, Faults faults) {
    ActionsFile actions = new ActionsFile();
    TableFile.find(root, "actions", faults)
        .ifPresent(
            file ->
                file.read(
                    List.of("symbol", "date", "kind"),
                    header -> {
                      int symbol = header.column("symbol");
                      int date = header.column("date");
                      int kind = header.column("kind");
                      int ratio = header.column("ratio");
                      int amount = header.column("amount");
                      return row -> {
                        switch (row.text(kind)) {
                          case "split" -> actions.split(row, symbol, date, ratio);
                          case "dividend" ->
                              actions.given(row, symbol, date, amount, Distribution.Kind.DIVIDEND);
                          case "spin_off" ->
                              actions.given(row, symbol, date, amount, Distribution.Kind.SPIN_OFF);
                          default -> throw row.bad(kind, "split, dividend or spin_off");
                        }
                      };
                    }));
    return actions;
  }

  private void split(TableRow row, int symbol, int date, int ratio) {
    CorporateAction action =
        new CorporateAction(row.text(symbol), row.date(date), row.number(ratio));
    List<CorporateAction> own = splits.computeIfAbsent(action.symbol(), s -> new ArrayList<>());
    if (own.stream().anyMatch(a -> a.date().equals(action.date()))) {
      throw row.bad(date, "one split of a security a day");
    }
    own.add(action);
  }

  private void given(TableRow row, int symbol, int date, int amount, Distribution.Kind kind) {
    if (row.isEmpty(amount)) {
      throw row.bad(amount, "the dollars a share in a column amount");
    }
    Distribution distribution =
        new Distribution(row.text(symbol), row.date(date), kind, row.price(amount));
    distributions.computeIfAbsent(distribution.symbol(), s -> new ArrayList<>()).add(distribution);
  }

  /** The splits of a security, in the file's order. */
  List<CorporateAction> splits(String symbol) {
    return splits.getOrDefault(symbol, List.of());
  }

  /** What a share of a security gives up on a date. */
  List<Distribution> distributions(String symbol, LocalDate date) {
    return distributions.getOrDefault(symbol, List.of()).stream()
        .filter(given -> given.date().equals(date))
        .toList();
  }
}
