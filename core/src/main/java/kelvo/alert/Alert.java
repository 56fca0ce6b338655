package kelvo.alert;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import kelvo.delivery.Channel;
import org.jspecify.annotations.Nullable;

/**
 * An alert of the trader's own: whom it is about, when it rings, how often and how, and during
 * which times it was armed. What it did at earlier moments stays as it was, whatever becomes of it.
 *
 * @param until the last date on which it rings; null for good
 * @param how the ways in which it reaches the trader
 * @param armed the times at which it is armed, in order; New York time
 * @param spentOn the date on which an alert that rings once has rung; null while it has not
 * @param isRemoved whether it is gone, and only kept for what it did
 */
public record Alert(
    About about,
    AlertCondition when,
    Repeat repeat,
    @Nullable LocalDate until,
    Set<Channel> how,
    List<Span> armed,
    @Nullable LocalDate spentOn,
    boolean isRemoved) {
  /**
   * A time at which an alert is armed.
   *
   * @param from New York time
   * @param until excluded; null while it goes on
   */
  public record Span(LocalDateTime from, @Nullable LocalDateTime until) {
    /** Whether a moment lies in it. */
    public boolean holds(LocalDateTime moment) {
      return !moment.isBefore(from) && (until == null || moment.isBefore(until));
    }
  }

  public Alert {
    how = Set.copyOf(how);
    armed = List.copyOf(armed);
  }

  /** Its name: whom it is about and when it rings. */
  public String name() {
    return (about.words() + " " + when.words()).strip();
  }

  /** The time at which it is armed that holds a moment. */
  public Optional<Span> armedAt(LocalDateTime moment) {
    return armed.stream().filter(span -> span.holds(moment)).findFirst();
  }

  /** Whether it may ring at some moment of a date. */
  public boolean countsOn(LocalDate date) {
    return (until == null || !date.isAfter(until))
        && (spentOn == null || !date.isAfter(spentOn))
        && armed.stream()
            .anyMatch(
                span ->
                    !span.from().toLocalDate().isAfter(date)
                        && (span.until() == null || span.until().isAfter(date.atStartOfDay())));
  }

  /** Whether it is done once it has rung. */
  public boolean endsWithItsRing() {
    return repeat.equals(Repeat.ONCE) && about instanceof About.Symbol;
  }

  /** Armed from a moment on, whatever was to come. */
  public Alert arm(LocalDateTime moment) {
    List<Span> spans = ended(moment);
    spans.add(new Span(moment, null));
    return new Alert(about, when, repeat, until, how, spans, null, isRemoved);
  }

  /** Off from a moment on. */
  public Alert off(LocalDateTime moment) {
    return new Alert(about, when, repeat, until, how, ended(moment), spentOn, isRemoved);
  }

  /** Off from a moment on, and armed again at a later one. */
  public Alert snooze(LocalDateTime moment, LocalDateTime again) {
    List<Span> spans = ended(moment);
    spans.add(new Span(again, null));
    return new Alert(about, when, repeat, until, how, spans, spentOn, isRemoved);
  }

  /** Gone from a moment on. */
  public Alert remove(LocalDateTime moment) {
    return new Alert(about, when, repeat, until, how, ended(moment), spentOn, true);
  }

  /** Having rung on a date. */
  public Alert spent(LocalDate date) {
    return new Alert(about, when, repeat, until, how, armed, date, isRemoved);
  }

  /** Reaching the trader in other ways. */
  public Alert by(Set<Channel> channels) {
    return new Alert(about, when, repeat, until, channels, armed, spentOn, isRemoved);
  }

  /** The times up to a moment. */
  private List<Span> ended(LocalDateTime moment) {
    List<Span> spans = new ArrayList<>();
    for (Span span : armed) {
      if (span.from().isBefore(moment)) {
        spans.add(span.holds(moment) ? new Span(span.from(), moment) : span);
      }
    }
    return spans;
  }
}
