package kelvo.desktop.morning;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicBoolean;
import javafx.application.Platform;
import kelvo.desktop.workspace.Workspace;
import kelvo.explain.CutCurve;
import kelvo.field.Field;
import kelvo.research.MovesBeyond;
import kelvo.research.RecordedMoment;
import kelvo.scan.Scan;
import kelvo.session.EarlierSessions;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Finds out behind the window how those beyond a bound moved in recorded sessions. The newest
 * sessions are read once, one at a time, and again only when the clock has gone on or a rule asks
 * for something else.
 */
final class RecordedMoves {
  private static final Logger LOG = LoggerFactory.getLogger(RecordedMoves.class);
  private static final int SESSIONS = 5;
  private static final long STILL_THE_SAME_TIME = 15 * DayTime.MINUTE;

  private final Workspace workspace;
  private final Told told;
  private AtomicBoolean stopped = new AtomicBoolean(true);
  private List<RecordedMoment> known = List.of();
  private boolean failed;
  private @Nullable Question asked;

  /** Asks again what was last asked, once there is more to answer from. */
  private Runnable again = () -> {};

  /** Hears of the answer, null while there is none, and what is to be said of it. */
  @FunctionalInterface
  interface Told {
    void moves(@Nullable MovesBeyond moves, String words);
  }

  private record Question(Scan scan, int rule, List<RecordedMoment> known) {}

  RecordedMoves(Workspace workspace, Told told) {
    this.workspace = workspace;
    this.told = told;
    workspace.end().onClose(this::stop);
  }

  /** Asks along the cut curve of a rule. */
  void ask(Scan scan, CutCurve curve) {
    again = () -> ask(scan, curve);
    long now = workspace.clock().now();
    if (now >= workspace.session().hours().close()) {
      told.moves(null, "How they moved on is asked before the close.");
    } else if (failed) {
      told.moves(null, "Recorded sessions could not be read up to this time of day.");
    } else if (!isKnown(MovesBeyond.fields(scan), now)) {
      read(MovesBeyond.fields(scan), now);
    } else {
      count(scan, curve);
    }
  }

  /** While the day runs past quickly, what is known of a moment will do. */
  private boolean isKnown(Set<Field> fields, long now) {
    boolean running = workspace.clock().speed().get() > 1;
    return !known.isEmpty()
        && (running || Math.abs(known.getFirst().moment() - now) <= STILL_THE_SAME_TIME)
        && known.getFirst().knows(fields);
  }

  /** Stops reading. */
  void stop() {
    stopped.set(true);
    failed = false;
  }

  private void read(Set<Field> fields, long now) {
    if (!stopped.get()) {
      return;
    }
    AtomicBoolean stop = new AtomicBoolean();
    stopped = stop;
    // Not virtual: it works for seconds, and sound and messages share the few threads of those.
    Thread.ofPlatform()
        .daemon()
        .name("recorded moves")
        .start(
            () -> {
              try {
                List<LocalDate> dates =
                    workspace.earlier().dates().stream().limit(SESSIONS).toList();
                if (dates.isEmpty()) {
                  Platform.runLater(() -> none(stop));
                  return;
                }
                List<RecordedMoment> read = readAll(dates, fields, now, stop);
                Platform.runLater(() -> done(read, stop));
              } catch (CancellationException e) {
                LOG.debug("reading recorded sessions was stopped");
              } catch (RuntimeException | Error e) {
                LOG.warn("recorded sessions cannot be read", e);
                Platform.runLater(() -> failed(e, stop));
              }
            });
  }

  private List<RecordedMoment> readAll(
      List<LocalDate> dates, Set<Field> fields, long now, AtomicBoolean stop) {
    EarlierSessions earlier = workspace.earlier();
    List<RecordedMoment> read = new ArrayList<>();
    for (int i = 0; i < dates.size(); i++) {
      int number = i + 1;
      Platform.runLater(() -> reading(number, dates.size(), stop));
      var session = earlier.read(dates.get(i), part -> goOn(stop));
      if (now < session.hours().close()) {
        read.add(RecordedMoment.of(session, now, fields, part -> goOn(stop)));
      }
    }
    return List.copyOf(read);
  }

  private static void goOn(AtomicBoolean stop) {
    if (stop.get()) {
      throw new CancellationException();
    }
  }

  private void reading(int number, int of, AtomicBoolean stop) {
    if (!stop.get()) {
      told.moves(
          null, "Reading recorded session " + number + " of " + of + "; closing (E) stops it.");
    }
  }

  /** There may be some when it is asked again. */
  private void none(AtomicBoolean stop) {
    if (!stop.getAndSet(true)) {
      told.moves(null, "No earlier session is recorded in this folder.");
    }
  }

  private void done(List<RecordedMoment> read, AtomicBoolean stop) {
    if (!stop.getAndSet(true)) {
      known = read;
      failed = read.isEmpty();
      again.run();
    }
  }

  private void failed(Throwable e, AtomicBoolean stop) {
    if (!stop.getAndSet(true)) {
      failed = true;
      workspace.window().action().set("Recorded sessions cannot be read: " + e.getMessage());
      again.run();
    }
  }

  private void count(Scan scan, CutCurve curve) {
    Question question = new Question(scan, curve.rule(), known);
    if (!question.equals(asked)) {
      asked = question;
      workspace
          .answers()
          .workOut(
              () -> MovesBeyond.of(scan, curve, question.known),
              moves -> {
                if (question.equals(asked)) {
                  told.moves(moves, "");
                }
              });
    }
  }
}
