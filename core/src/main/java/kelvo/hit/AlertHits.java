package kelvo.hit;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import kelvo.replay.TapeListener;
import kelvo.replay.TapeReplay;
import kelvo.scan.Scan;
import kelvo.state.SymbolState;

/**
 * The hits of alerts, of which there may be more than one board of scans holds. Owned by the
 * replay's thread.
 */
public final class AlertHits implements TapeListener {
  private final List<ScanEngine> engines = new ArrayList<>();

  /**
   * Alerts for a replay that stands before its first event.
   *
   * @param sink gets each hit, under the name of its alert, on the replay's thread
   */
  public AlertHits(TapeReplay replay, List<Scan> alerts, Consumer<Hit> sink) {
    for (int from = 0; from < alerts.size(); from += ScanBoard.MAX) {
      List<Scan> some = alerts.subList(from, Math.min(alerts.size(), from + ScanBoard.MAX));
      engines.add(new ScanEngine(replay, new Program(some, List.of()), sink));
    }
  }

  /** Keeps what alerts ask for ready: {@link ScanEngine#keepUp}. */
  public void keepUp() {
    engines.forEach(ScanEngine::keepUp);
  }

  @Override
  public void applied(SymbolState state, int effects, int event, long now) {
    for (ScanEngine engine : engines) {
      engine.applied(state, effects, event, now);
    }
  }

  @Override
  public void second(long moment) {
    for (ScanEngine engine : engines) {
      engine.second(moment);
    }
  }
}
