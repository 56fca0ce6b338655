package kelvo.hit;

import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import kelvo.replay.TapeReplay;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.trigger.Trigger;

/** Makes hits, with every field's value, and hands them on. Owned by one thread. */
final class HitMaker {
  private final Session session;
  private final HitFields fields;
  private final Consumer<Hit> sink;

  /** By the scans themselves: working a version out for each hit would cost more than the hit. */
  private final Map<Scan, String> versions = new IdentityHashMap<>();

  private final HitTimes times;
  private int made;

  HitMaker(TapeReplay replay, List<Scan> scans, Consumer<Hit> sink) {
    session = replay.session();
    this.sink = sink;
    fields = new HitFields(session, scans);
    times = HitTimes.of(replay);
  }

  /** A hit of a scan; one that looks both ways goes the trigger's way, else that of the change. */
  void make(Scan scan, SymbolState state, Trigger trigger, long now) {
    Side side = scan.side();
    if (side == Side.BOTH) {
      double way =
          trigger.direction() != 0 ? trigger.direction() : state.price() - state.previousClose();
      side = Side.of(way);
    }
    String version = versions.computeIfAbsent(scan, Scan::version);
    make(scan.name(), version, side, state, trigger, now);
  }

  /** A hit under a name, of no scan if its version is empty. */
  void make(String name, String version, Side side, SymbolState state, Trigger trigger, long now) {
    sink.accept(
        new Hit(
            made++,
            name,
            version,
            side,
            state.id(),
            session.security(state.id()).symbol(),
            now,
            trigger,
            state.price(),
            fields.of(name, state, now)));
    times.add(name, state.id(), now);
  }
}
