package kelvo.review;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kelvo.field.Field;
import kelvo.hit.Hit;
import kelvo.rule.Rule;
import kelvo.scan.Scan;

/** Says why a hit came: what fired, and what the fields that its scan's rules ask for had then. */
public final class WhyItHit {
  private WhyItHit() {}

  /** In one line; without the values when the hit no longer has its fields. */
  public static String words(Hit hit, Scan scan) {
    Stream<Rule> rules =
        Stream.concat(scan.rules().stream(), scan.anyOf().stream().flatMap(List::stream));
    String values =
        rules
            .map(Rule::field)
            .distinct()
            .map(field -> value(hit, field))
            .filter(words -> !words.isEmpty())
            .collect(Collectors.joining(", "));
    return hit.scan() + ", " + hit.trigger().words() + (values.isEmpty() ? "" : ": " + values);
  }

  private static String value(Hit hit, Field field) {
    return switch (field) {
      case Field.Word word -> {
        String known = hit.fields().words().get(word.words());
        yield known == null ? "" : word.words() + " " + known;
      }
      case Field.Number number -> {
        boolean kept = hit.fields().fields().contains(number);
        double value = kept ? hit.fields().of(number.words()) : Double.NaN;
        yield Double.isNaN(value) ? "" : number.words() + " " + number.unit().text(value);
      }
    };
  }
}
