package kelvo.desktop.shell;

import java.util.ArrayList;
import java.util.List;
import kelvo.data.feed.FeedGap;
import kelvo.desktop.workspace.Workspace;
import kelvo.news.Catalyst;
import kelvo.session.KnownEvent;
import kelvo.time.DayTime;
import kelvo.trade.Fill;

/** What the day rail shows around a moment, in words. */
final class RailWords {
  private static final int MOST = 8;

  private RailWords() {}

  /**
   * What there is.
   *
   * @param halts when halts began
   * @param around how far from the moment it may be, nanoseconds
   */
  static String at(Workspace workspace, List<Long> halts, long moment, long around) {
    List<String> words = new ArrayList<>();
    words.add(DayTime.minutes(moment) + ", " + workspace.session().phases().at(moment).name());
    long now = workspace.clock().now();
    int hits = workspace.clock().hitCounts().get().within(moment - around, moment + around);
    if (hits > 0) {
      words.add(hits + (hits == 1 ? " hit" : " hits"));
    }
    for (FeedGap gap : workspace.feedGaps()) {
      if (moment >= gap.from() - around && moment <= gap.until() + around) {
        words.add(
            (gap.kind() == FeedGap.Kind.LOST ? "no feed from " : "frames missing from ")
                + DayTime.seconds(gap.from())
                + " to "
                + DayTime.seconds(gap.until())
                + ", told later");
      }
    }
    for (long halt : halts) {
      if (near(halt, moment, around)) {
        words.add("a halt from " + DayTime.seconds(halt));
      }
    }
    for (KnownEvent event : workspace.session().knownEvents()) {
      if (event.symbol().isEmpty() && near(event.at(), moment, around)) {
        words.add(DayTime.minutes(event.at()) + " " + event.title());
      }
    }
    for (Fill fill : workspace.book().get().fillsUntil(now)) {
      if (near(fill.at(), moment, around)) {
        words.add(DayTime.seconds(fill.at()) + " " + fill.symbol() + " " + fill.words());
      }
    }
    for (Catalyst item : workspace.session().catalysts()) {
      if (item.known() <= now && near(item.at(), moment, around)) {
        words.add(DayTime.minutes(item.at()) + " " + item.headline());
      }
    }
    return words.size() <= MOST
        ? String.join("\n", words)
        : String.join("\n", words.subList(0, MOST)) + "\nand " + (words.size() - MOST) + " more";
  }

  private static boolean near(long at, long moment, long around) {
    return Math.abs(at - moment) <= around;
  }
}
