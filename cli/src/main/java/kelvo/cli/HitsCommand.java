package kelvo.cli;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import kelvo.data.timing.Timeline;
import kelvo.field.Field;
import kelvo.hit.Hit;
import kelvo.hit.HitFold;
import kelvo.hit.HitFolding;
import kelvo.hit.Program;
import kelvo.hit.ScanEngine;
import kelvo.refusal.RefusedException;
import kelvo.replay.TapeReplay;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code kelvo hits}: plays a session through scans and prints every hit. */
@Command(name = "hits", description = "Plays a session through scans and prints the hits.")
final class HitsCommand implements Callable<Integer> {
  private static final List<String> FIRST_COLUMNS =
      List.of("time", "symbol", "scan", "trigger", "price", "count");

  @Mixin final FolderArguments arguments;

  @Option(names = "--from", paramLabel = "T", description = "first moment; 04:00 if not given")
  @Nullable String from;

  @Option(names = "--to", paramLabel = "T", description = "last moment; 20:00 if not given")
  @Nullable String to;

  @Option(names = "--unfolded", description = "one row a firing instead of one a fold")
  boolean unfolded;

  HitsCommand(Terminal terminal) {
    arguments = new FolderArguments(terminal);
  }

  @Override
  public Integer call() {
    long first = FolderArguments.moment(from, DayTime.FIRST);
    long last = FolderArguments.moment(to, DayTime.LAST);
    if (first > last) {
      throw new RefusedException(
          "--from " + from + " is after --to " + to + "; change one of them");
    }
    Timeline timeline = Timeline.sinceStart(arguments.terminal().err());
    List<Scan> scans = arguments.scans();
    timeline.done("scans");
    Session session = arguments.session();
    timeline.done("session");
    List<Hit> hits = new ArrayList<>();
    TapeReplay replay =
        ScanEngine.replay(
            session,
            new Program(scans, List.of()),
            hit -> {
              if (hit.at() >= first) {
                hits.add(hit);
              }
            });
    timeline.done("set-up");
    replay.runTo(last);
    timeline.done("playing");
    List<HitFold> folds =
        unfolded ? hits.stream().map(HitFold::of).toList() : HitFolding.fold(hits, scans);
    Set<Field> columns = new LinkedHashSet<>();
    scans.forEach(scan -> columns.addAll(scan.columns()));
    columns.removeIf(column -> FIRST_COLUMNS.contains(column.words()));
    List<String> names = new ArrayList<>(FIRST_COLUMNS);
    columns.forEach(c -> names.add(c.words()));
    arguments.output.print(names, folds.stream().map(fold -> row(fold, columns)).toList());
    timeline.done("output");
    return arguments.exitCode();
  }

  private static List<String> row(HitFold fold, Set<Field> columns) {
    Hit hit = fold.first();
    List<String> row =
        new ArrayList<>(
            List.of(
                DayTime.millis(hit.at()),
                hit.symbol(),
                hit.scan(),
                hit.trigger().words(),
                Price.exact(hit.price()),
                Integer.toString(fold.count())));
    for (Field column : columns) {
      row.add(
          switch (column) {
            case Field.Word word -> hit.fields().words().getOrDefault(word.words(), "");
            case Field.Number number -> number.unit().plain(hit.fields().of(number.words()));
          });
    }
    return row;
  }
}
