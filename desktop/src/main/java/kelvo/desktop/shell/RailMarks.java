package kelvo.desktop.shell;

import java.util.ArrayList;
import java.util.List;
import kelvo.market.EventKind;
import kelvo.market.EventTape;
import kelvo.market.Session;
import kelvo.market.TradingState;
import kelvo.scan.Hit;
import kelvo.time.DayTime;

/** What the day rail shows of a session: only what had happened by a moment. */
final class RailMarks {
  static final int MINUTES = (int) ((DayTime.LAST - DayTime.FIRST) / DayTime.MINUTE);

  private final List<Long> halts = new ArrayList<>();

  RailMarks(Session session) {
    EventTape tape = session.tape();
    for (int i = 0; i < tape.size(); i++) {
      if (tape.kind(i) == EventKind.STATUS && tape.state(i) == TradingState.HALTED) {
        halts.add(tape.time(i));
      }
    }
  }

  /** The halts begun by a moment. */
  List<Long> haltsUntil(long moment) {
    return halts.stream().filter(at -> at <= moment).toList();
  }

  /** Hits in each minute since 04:00. */
  static int[] hitsByMinute(List<Hit> hits) {
    int[] counts = new int[MINUTES];
    for (Hit hit : hits) {
      int minute = (int) ((hit.at() - DayTime.FIRST) / DayTime.MINUTE);
      if (minute >= 0 && minute < MINUTES) {
        counts[minute]++;
      }
    }
    return counts;
  }
}
