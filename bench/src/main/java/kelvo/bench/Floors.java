package kelvo.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.job.Progress;
import kelvo.session.Session;
import kelvo.sim.DemoSize;

/**
 * The promised ratios in short form, as a check that nobody has made Kelvo slow: each is of two
 * things measured in turn, so that it holds on any machine, in as many rounds as it takes to tell
 * it from its floor, within a bound of time.
 */
final class Floors {
  private static final long ENGINE_NANOS = 75_000_000_000L;
  private static final long COMMANDS_NANOS = 80_000_000_000L;
  private static final int WARM_UP = 3;
  private static final double NANOS = 1e9;

  private final Map<String, Promise> promises = new LinkedHashMap<>();
  private final WholeProcesses processes;
  private final Path demo;

  private Floors(Path project, Path root) throws IOException, InterruptedException {
    Promise.all(project).forEach(promise -> promises.put(promise.key(), promise));
    demo = root.resolve("demo");
    processes = new WholeProcesses(project.resolve("kelvo"), root);
  }

  /**
   * Measures on the demo's folder under a root, which is written unless it is there.
   *
   * @param project the project's folder
   * @return whether every promise is held
   */
  static boolean hold(Path project, Path root) throws IOException, InterruptedException {
    Floors floors = new Floors(project, root);
    Map<String, Rounds> measured = new LinkedHashMap<>();
    measured.putAll(floors.engine());
    measured.putAll(floors.commands());
    boolean all = true;
    for (Map.Entry<String, Rounds> one : measured.entrySet()) {
      Promise promise = floors.promise(one.getKey());
      System.out.println("  " + promise.said(one.getValue()));
      all &= one.getValue().median() >= promise.floor();
    }
    return all;
  }

  private Promise promise(String key) {
    Promise promise = promises.get(key);
    if (promise == null) {
      throw new IllegalStateException("docs/promises.csv promises nothing for \"" + key + "\"");
    }
    return promise;
  }

  /** The engine's rates over bare passes. */
  private Map<String, Rounds> engine() {
    Session session =
        new DataFolder(demo, new ExchangeCalendar()).session(DemoSize.SESSION, Progress.NONE);
    Map<ScanSet, Rounds> rates = new EnumMap<>(ScanSet.class);
    for (ScanSet set : List.of(ScanSet.OLD_TEN, ScanSet.SHIPPED, ScanSet.THIRTY)) {
      rates.put(set, new Rounds());
    }
    long begun = System.nanoTime();
    for (int round = 0; System.nanoTime() - begun < ENGINE_NANOS; round++) {
      boolean isDecided = true;
      for (Map.Entry<ScanSet, Rounds> rate : rates.entrySet()) {
        double floor = promise(key(rate.getKey())).floor();
        if (round >= WARM_UP && rate.getValue().decides(floor)) {
          continue;
        }
        isDecided = false;
        EngineRound.Times times = new EngineRound(session, rate.getKey()).play();
        if (round >= WARM_UP) {
          rate.getValue().add(times.rate());
        }
      }
      if (isDecided) {
        break;
      }
    }
    Map<String, Rounds> named = new LinkedHashMap<>();
    rates.forEach((set, rounds) -> named.put(key(set), rounds));
    return named;
  }

  private static String key(ScanSet set) {
    return set.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** What the SQL engine needs to read the tables, over what a command needs. */
  private Map<String, Rounds> commands() throws IOException, InterruptedException {
    Map<String, WholeProcesses.Start> starts = processes.onDemo();
    Map<String, Rounds> ratios = new LinkedHashMap<>();
    starts.keySet().forEach(name -> ratios.put(name, new Rounds()));
    long begun = System.nanoTime();
    double rounds = 0;
    double perRound = 0;
    while (rounds == 0 || System.nanoTime() - begun + perRound < COMMANDS_NANOS) {
      double sql = seconds(processes.sqlOnDemo());
      boolean isDecided = true;
      for (Map.Entry<String, WholeProcesses.Start> start : starts.entrySet()) {
        Rounds ratio = ratios.get(start.getKey());
        if (!ratio.decides(promise(start.getKey()).floor())) {
          isDecided = false;
          ratio.add(sql / seconds(start.getValue()));
        }
      }
      rounds++;
      perRound = (System.nanoTime() - begun) / rounds;
      if (isDecided) {
        break;
      }
    }
    return ratios;
  }

  private static double seconds(WholeProcesses.Start start)
      throws IOException, InterruptedException {
    long begun = System.nanoTime();
    start.run();
    return (System.nanoTime() - begun) / NANOS;
  }
}
