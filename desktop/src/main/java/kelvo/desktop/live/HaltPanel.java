package kelvo.desktop.live;

import java.util.List;
import javafx.scene.layout.BorderPane;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.Workspace;
import kelvo.tape.HaltReason;
import kelvo.time.DayTime;
import kelvo.view.HaltsView;

/** The halts of now as a strip, and all of the day as a list. */
final class HaltPanel extends BorderPane {
  private final Workspace workspace;
  private final HaltStrip strip;
  private final Grid<HaltsView.Past> table =
      new Grid<>("Halts of the day", past -> past.symbol() + past.halt().from());
  private final Followed<HaltsView.HaltList> followed;

  HaltPanel(Workspace workspace) {
    this.workspace = workspace;
    strip = new HaltStrip(workspace);
    followed = new Followed<>(workspace.clock(), halts -> table.rows(halts.all()));
    setTop(strip);
    setCenter(table);
    table.columns(
        List.of(
            GridColumn.<HaltsView.Past>words(
                    "from", "When it began.", 70, past -> DayTime.seconds(past.halt().from()))
                .growing(0),
            GridColumn.<HaltsView.Past>words("until", "When it traded again.", 70, HaltPanel::until)
                .growing(0)
                .toned(past -> isOver(past) ? Tone.INK : Tone.HALT),
            GridColumn.symbols(HaltsView.Past::symbol),
            GridColumn.words(
                "why", "The reason.", 160, past -> HaltReason.words(past.halt().reason())),
            GridColumn.<HaltsView.Past>words(
                    "code", "The exchange's code of the reason.", 60, past -> past.halt().reason())
                .growing(0)));
    table.emptyText("No halt today so far.");
    table.onTold(workspace.window().action()::set);
    table.onSelect(past -> workspace.focus().lookAt(past.symbol(), past.halt().from()));
    table.theme(workspace.window().theme().get());
    workspace.window().theme().addListener((o, was, is) -> table.theme(is));
  }

  private static boolean isOver(HaltsView.Past past) {
    return past.halt().to() != Long.MAX_VALUE;
  }

  private static String until(HaltsView.Past past) {
    return isOver(past) ? DayTime.seconds(past.halt().to()) : "halted";
  }

  /** It is seen from now on, or no longer. */
  void seen(boolean now) {
    strip.seen(now);
    if (now) {
      followed.follow(new HaltsView(workspace.session()));
    } else {
      followed.stop();
    }
  }
}
