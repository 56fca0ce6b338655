package kelvo.desktop.focus;

import java.time.LocalDate;
import java.util.List;
import kelvo.desktop.shell.Workspace;
import kelvo.view.MarketSnapshot;
import kelvo.trade.Fill;
import kelvo.level.Level;
import org.jspecify.annotations.Nullable;

/**
 * What the parts about a symbol are given: the market's side of it and the trader's.
 *
 * @param symbol empty for none
 * @param focus null for none
 * @param levels the trader's levels that stand now
 * @param fills the trader's fills so far
 * @param date the session
 * @param moment the clock, {@link kelvo.time.DayTime}
 * @param close when the regular session ends
 */
public record ShownSymbol(
    String symbol,
    MarketSnapshot.@Nullable Focus focus,
    List<Level> levels,
    List<Fill> fills,
    LocalDate date,
    long moment,
    long close) {
  /** A symbol of the newest snapshot with what the trader did on it. */
  public static ShownSymbol of(Workspace workspace, MarketSnapshot.@Nullable Focus focus) {
    String symbol = focus == null ? "" : focus.facts().symbol();
    long moment = workspace.now();
    return new ShownSymbol(
        symbol,
        focus,
        workspace.book().get().levelsOn(symbol, moment),
        workspace.book().get().fillsUntil(moment).stream()
            .filter(f -> f.symbol().equals(symbol))
            .toList(),
        workspace.day(),
        moment,
        workspace.session().hours().close());
  }
}
