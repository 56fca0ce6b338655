package kelvo.desktop.facts;

import java.util.ArrayList;
import java.util.List;
import kelvo.check.Check;

/** Counts the checks for which a list has no room. */
final class OtherChecks {
  private OtherChecks() {}

  /** How many pass, and how many do not, in words; empty when there is room for all. */
  static String words(List<Check> rest) {
    long pass = rest.stream().filter(c -> c.result() == Check.Result.PASS).count();
    long others = rest.size() - pass;
    List<String> counted = new ArrayList<>();
    if (others > 0) {
      counted.add(others + " more that " + (others == 1 ? "does" : "do") + " not pass");
    }
    if (pass > 0) {
      counted.add(pass + " that " + (pass == 1 ? "passes" : "pass"));
    }
    return counted.isEmpty() ? "" : "and " + String.join(", ", counted);
  }
}
