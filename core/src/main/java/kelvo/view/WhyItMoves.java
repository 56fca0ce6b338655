package kelvo.view;

import java.util.Optional;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.field.Unit;
import kelvo.news.Catalyst;
import kelvo.news.NewsCategory;
import kelvo.news.Themes;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/**
 * Says in a few words why a security moves: its news since the close before, the theme that it
 * moves with, or what is wrong with the move. Used on the player's thread.
 */
public final class WhyItMoves {
  /** Of which kind a reason is; the most telling first. */
  public enum Kind {
    NEWS,
    THEME,
    DOUBT,
    NOTHING
  }

  /** A reason. */
  public record Reason(Kind kind, String words) {}

  /** Too wide to trade from here on, per cent: common practice, no source. */
  private static final double WIDE_SPREAD = 1;

  /** An old high as near as this stands in the way, per cent: common practice, no source. */
  private static final double NEAR = 1;

  private final Session session;
  private final GapsView gaps;
  private final Field.Reading spread;
  private final Field.Reading overhead;

  WhyItMoves(Session session) {
    this.session = session;
    gaps = new GapsView(session);
    spread = FieldCatalogue.number("spread %").bind(session);
    overhead = FieldCatalogue.number("overhead %").bind(session);
  }

  /** The reason for a security at a moment. */
  Reason of(int security, Moment moment) {
    SymbolState state = moment.state(security);
    GapsView.Gaps all = gaps.look(moment);
    Optional<Themes.Theme> theme = all.themeOf(session.security(security).symbol());
    Catalyst item = state.news().newest();
    if (item != null && item.at() >= session.hours().previousClose()) {
      return new Reason(
          Kind.NEWS, words(item, security) + theme.map(t -> " · " + t.sector()).orElse(""));
    }
    if (theme.isPresent()) {
      Themes.Theme found = theme.get();
      return new Reason(
          Kind.THEME,
          found.sector() + ", " + found.members().size() + (found.up() ? " up" : " down"));
    }
    String doubt = doubt(state, moment.now());
    return doubt == null
        ? new Reason(Kind.NOTHING, "nothing found")
        : new Reason(Kind.DOUBT, doubt);
  }

  private String words(Catalyst item, int security) {
    NewsCategory category = item.reading().category();
    var listed = session.security(security).security();
    return (category == NewsCategory.OTHER ? "news" : category.words())
        + ", "
        + (item.at() < 0 ? "the evening before" : DayTime.minutes(item.at()))
        + (item.isAbout(listed.symbol(), listed.name()) ? "" : ", named among others");
  }

  private @Nullable String doubt(SymbolState state, long now) {
    if (GapsView.isThin(state)) {
      return "thin: " + state.trades() + " prints";
    }
    if (spread.at(state, now) > WIDE_SPREAD) {
      return "the spread eats it";
    }
    double above = overhead.at(state, now);
    return above < NEAR && state.price() > state.previousClose()
        ? "an old high " + Unit.PERCENT.text(above) + "% above"
        : null;
  }
}
