package kelvo.desktop.rules;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import kelvo.desktop.workspace.Workspace;
import kelvo.field.Field;
import kelvo.rule.PointedRule;
import kelvo.rule.Rule;
import kelvo.scan.Scan;

/**
 * Offers the rules that a value on the screen suggests: the one chosen goes into the scan that is
 * shown, or becomes an alert on the symbol in focus. Only for the window's thread.
 */
public final class PointedRules {
  private final Workspace workspace;
  private final ContextMenu menu = new ContextMenu();

  /** Rules for the scan that a window shows. */
  public PointedRules(Workspace workspace) {
    this.workspace = workspace;
  }

  /** Opens the offers about a field's value at a place of the screen. */
  public void offer(Node over, Field field, String shown, double x, double y) {
    List<Rule> rules = PointedRule.of(field, shown, workspace.desk().vocabulary());
    Scan scan = workspace.shownScan().get();
    menu.hide();
    menu.getItems().setAll(rules.stream().map(rule -> item(scan.name(), rule)).toList());
    String symbol = workspace.focus().symbol().get();
    if (!symbol.isEmpty()) {
      for (Rule rule : rules) {
        menu.getItems()
            .add(PriceAlerts.item(workspace.alertDesk(), symbol + " " + rule.sentence()));
      }
    }
    if (rules.isEmpty()) {
      workspace
          .window()
          .action()
          .set("No rule can be made of \"" + field.words() + "\" as it is now");
    } else {
      menu.show(over, x, y);
    }
  }

  private MenuItem item(String scan, Rule rule) {
    MenuItem item = new MenuItem(rule.sentence() + ", in " + scan);
    item.setMnemonicParsing(false);
    item.setOnAction(e -> take(rule));
    return item;
  }

  private void take(Rule rule) {
    Scan scan = workspace.shownScan().get();
    int place = PointedRule.place(scan.rules(), rule);
    workspace.desk().change(scan, scan.withRules(PointedRule.into(scan.rules(), rule)));
    if (workspace.window().scanInFront().get()) {
      workspace.window().workedRule().set(place);
    }
    workspace
        .window()
        .action()
        .set(scan.name() + " asks for " + rule.sentence() + "; U takes it back");
  }
}
