package kelvo.data.folder;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import kelvo.data.columns.NewColumns;
import kelvo.data.columns.Sources;
import kelvo.data.fault.Faults;
import kelvo.history.SessionMinutes;
import kelvo.news.Catalyst;
import kelvo.session.Security;
import kelvo.tape.EventTape;
import org.jspecify.annotations.Nullable;

/**
 * The events of one recorded session in the engine's own order, out of columns or of its tables.
 */
final class SessionTape {
  private SessionTape() {}

  /**
   * The tape of a date.
   *
   * @param numbers the number of each symbol of the securities file
   * @param catalysts the items whose arrival is on the tape
   */
  static EventTape read(
      Path root,
      LocalDate date,
      Map<String, Integer> numbers,
      List<Security> securities,
      List<Catalyst> catalysts,
      boolean searching,
      KeptColumns kept) {
    return kept.read(
        "sessions/" + date,
        sources(root, date, securities, catalysts),
        columns ->
            EventTape.ofRows(securities.size(), columns.column("events"), columns.texts("reasons")),
        faults ->
            fromTables(
                root,
                date,
                numbers,
                securities,
                catalysts,
                searching,
                isOfBars(root, date) ? new MinuteFiles(root, kept).of(date).orElse(null) : null,
                faults),
        tape -> new NewColumns().with("events", tape.rows()).withTexts("reasons", tape.reasons()));
  }

  private static EventTape fromTables(
      Path root,
      LocalDate date,
      Map<String, Integer> numbers,
      List<Security> securities,
      List<Catalyst> catalysts,
      boolean searching,
      @Nullable SessionMinutes bars,
      Faults faults) {
    List<String> venues = securities.stream().map(Security::mic).toList();
    return new SessionFiles(root, date, numbers, venues, faults, searching).read(catalysts, bars);
  }

  /** Whether there are no prints, so that minute bars stand for them. */
  private static boolean isOfBars(Path root, LocalDate date) {
    Path trades = root.resolve("sessions").resolve(date.toString()).resolve("trades");
    return EarlierFiles.of(trades).isEmpty();
  }

  /** What the quotes of a date come from. */
  static Sources quotes(Path root, LocalDate date, List<Security> securities) {
    Path stem = root.resolve("sessions").resolve(date.toString()).resolve("quotes");
    return new Sources()
        .file(EarlierFiles.standing(stem))
        .texts("securities", securities.stream().map(Security::symbol).toList());
  }

  /** Of what else is known, the order of the securities, their venues, and when news came. */
  private static Sources sources(
      Path root, LocalDate date, List<Security> securities, List<Catalyst> catalysts) {
    Sources sources = new Sources();
    for (String table : SessionFiles.TABLES) {
      Path stem = root.resolve("sessions").resolve(date.toString()).resolve(table);
      sources.file(EarlierFiles.standing(stem));
    }
    if (isOfBars(root, date)) {
      Path stem = MinuteFiles.stem(root, date);
      sources.file(EarlierFiles.standing(stem));
    }
    return sources
        .texts(
            "securities", securities.stream().flatMap(s -> Stream.of(s.symbol(), s.mic())).toList())
        .texts("news", catalysts.stream().map(c -> c.known() + " " + c.symbols()).toList());
  }
}
