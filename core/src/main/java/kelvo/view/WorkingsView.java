package kelvo.view;

import kelvo.explain.ScanWorkings;
import kelvo.scan.Scan;

/** Shows what each rule of a scan does, for whoever works on it. */
public final class WorkingsView implements View<ScanWorkings> {
  private final Scan scan;
  private final int rule;
  private final String focus;

  /**
   * The workings of one scan.
   *
   * @param rule the place of the rule whose cut curve is shown
   * @param focus the symbol that each rule is asked about; empty for none
   */
  public WorkingsView(Scan scan, int rule, String focus) {
    this.scan = scan;
    this.rule = rule;
    this.focus = focus;
  }

  @Override
  public ScanWorkings look(Moment moment) {
    return ScanWorkings.of(
        moment.session(),
        scan,
        rule,
        moment.session().numberOf(focus),
        moment::state,
        moment.now());
  }
}
