package kelvo.data.folder;

import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import kelvo.data.columns.ColumnFile;
import kelvo.data.columns.NewColumns;
import kelvo.data.columns.Sources;
import kelvo.data.news.NewsFiles;
import kelvo.data.news.NewsSource;
import kelvo.news.Catalyst;
import kelvo.news.SourceKind;
import kelvo.session.Security;

/** The news of a session and of the time before it, out of columns or of the feeds' files. */
final class SessionNews {
  /** Texts of an item: source, kind of source, headline, body, how many symbols; then those. */
  private static final int TEXTS = 5;

  private SessionNews() {}

  /**
   * The items, oldest first.
   *
   * @param from the moment from which on they are kept, negative on an earlier day
   */
  static List<Catalyst> read(
      Path root, LocalDate date, long from, List<Security> securities, KeptColumns kept) {
    return kept.read(
        "news/" + date,
        new Sources()
            .file(root.resolve(NewsSource.FILE))
            .folder(root.resolve(NewsFiles.FOLDER))
            .texts("from", List.of(Long.toString(from)))
            .texts("securities", securities.stream().map(Security::symbol).toList()),
        SessionNews::fromColumns,
        faults -> NewsFiles.read(root, date, from, securities, faults),
        SessionNews::toColumns);
  }

  private static NewColumns toColumns(List<Catalyst> items) {
    List<String> texts = new ArrayList<>();
    long[] moments = new long[2 * items.size()];
    for (int i = 0; i < items.size(); i++) {
      Catalyst item = items.get(i);
      moments[2 * i] = item.at();
      moments[2 * i + 1] = item.known();
      texts.add(item.source());
      texts.add(item.kind().name());
      texts.add(item.headline());
      texts.add(item.body());
      texts.add(Integer.toString(item.symbols().size()));
      texts.addAll(item.symbols());
    }
    return new NewColumns()
        .with("moments", MemorySegment.ofArray(moments))
        .withTexts("texts", texts);
  }

  /** The words of an item are read anew, by the lists of words of this program. */
  private static List<Catalyst> fromColumns(ColumnFile columns) {
    long[] moments = columns.column("moments").toArray(ValueLayout.JAVA_LONG);
    List<String> texts = columns.texts("texts");
    List<Catalyst> items = new ArrayList<>();
    int text = 0;
    for (int i = 0; i < moments.length / 2; i++) {
      int symbols = text + TEXTS;
      int end = symbols + Integer.parseInt(texts.get(symbols - 1));
      items.add(
          new Catalyst(
                  moments[2 * i],
                  texts.get(text),
                  texts.get(text + 2),
                  texts.get(text + 3),
                  texts.subList(symbols, end))
              .ofKind(SourceKind.valueOf(texts.get(text + 1)))
              .knownAt(moments[2 * i + 1]));
      text = end;
    }
    return items;
  }
}
