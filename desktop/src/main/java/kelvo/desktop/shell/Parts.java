package kelvo.desktop.shell;

import java.util.List;
import kelvo.desktop.days.DailyPart;
import kelvo.desktop.facts.FactsPart;
import kelvo.desktop.intraday.IntradayPart;
import kelvo.desktop.plan.PlanPart;
import kelvo.desktop.prints.PrintsPart;
import kelvo.desktop.symbolnews.SymbolNewsPart;
import kelvo.desktop.workspace.PartKind;

/** All parts about a symbol, in the order in which they are offered. */
final class Parts {
  static final List<PartKind> ALL =
      List.of(
          IntradayPart.KIND,
          DailyPart.KIND,
          FactsPart.KIND,
          PrintsPart.KIND,
          SymbolNewsPart.KIND,
          PlanPart.KIND);

  private Parts() {}
}
