package kelvo.bench;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kelvo.alert.Alert;
import kelvo.alert.AlertBook;
import kelvo.alert.AlertSentence;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.data.scanfile.ScanFile;
import kelvo.data.scanfile.ScanFolder;
import kelvo.explain.ScanPairs;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.sim.DemoSize;
import kelvo.watchlist.Watchlist;

/** Thirty scans, five watchlists and forty alerts, for a market of a bench. */
final class LiveProgram {
  private static final int SCANS = 30;
  private static final int LISTS = 5;
  private static final int ON_A_LIST = 20;
  private static final int ON_SYMBOLS = 30;

  private LiveProgram() {}

  /** Writes them to the market's folder. */
  static void writeTo(Path folder) {
    DataFolder data = new DataFolder(folder, new ExchangeCalendar());
    ScanFolder own = new ScanFolder(folder, data.vocabulary(), problem -> {});
    List<Scan> scans = new ArrayList<>(ScanFile.shipped(data.vocabulary()));
    for (Scan scan : List.copyOf(scans)) {
      scans.addAll(ScanPairs.byPrice(scan, 10));
    }
    scans.subList(0, SCANS).forEach(own::save);
    List<String> symbols = data.securities().stream().map(each -> each.symbol()).toList();
    List<String> sentences = new ArrayList<>();
    for (int i = 0; i < ON_SYMBOLS; i++) {
      sentences.add(symbols.get(i) + " new high of session, again after 1m");
    }
    for (int i = 0; i < LISTS; i++) {
      String name = "List " + i;
      own.save(Watchlist.of(name, symbols.subList(ON_A_LIST * i, ON_A_LIST * (i + 1))));
      sentences.add("list " + name + ": falls through vwap, again after 1m");
      sentences.add("list " + name + ": volume burst 5x of at least 20K, again after 5m");
    }
    own.save(new AlertBook(sentences.stream().map(LiveProgram::armed).toList(), Map.of()));
  }

  private static Alert armed(String sentence) {
    return AlertSentence.parse(sentence, Vocabulary.DEFAULT, DemoSize.SESSION)
        .alert()
        .arm(DemoSize.SESSION.atTime(4, 0));
  }
}
