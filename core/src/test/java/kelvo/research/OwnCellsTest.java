package kelvo.research;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kelvo.field.Field;
import kelvo.rule.Vocabulary;
import org.junit.jupiter.api.Test;

class OwnCellsTest {
  private static final Field.Number PUSH =
      Vocabulary.of(List.of()).putOwn("push", "price / previous close").field();

  private static Answer answer(double... values) {
    List<ResearchCase> cases = new ArrayList<>();
    for (int i = 0; i < values.length; i++) {
      Map<Field.Number, Double> own = Double.isNaN(values[i]) ? Map.of() : Map.of(PUSH, values[i]);
      cases.add(
          InventedCases.one(LocalDate.of(2031, 1, 2).plusDays(i), i, 0.01 * i, Map.of())
              .with(new CaseTraits(Map.of(), own)));
    }
    Question question = InventedCases.QUESTION;
    return Answer.of(
        new Question(
            question.scan(),
            question.moment(),
            question.direction(),
            question.costs(),
            List.of(PUSH)),
        Held.CLOSE,
        cases);
  }

  private static List<String> counts(Answer answer) {
    return answer.cells().stream()
        .map(cell -> cell.cut().words() + " " + cell.name() + ": " + cell.figures().cases())
        .toList();
  }

  @Test
  void theCasesAreToldApartByThirds() {
    assertThat(counts(answer(5, 1, 2, 6, 3, 4)))
        .containsExactly("push under 3.00: 2", "push 3.00 to 5.00: 2", "push 5.00 and more: 2");
  }

  @Test
  void fewValuesAreCellsThemselves() {
    assertThat(counts(answer(0, 1, 1, 0, 1))).containsExactly("push 0.00: 2", "push 1.00: 3");
  }

  @Test
  void whereTwoThirdsHaveTheLeastValueTheOthersStandAgainstThem() {
    assertThat(counts(answer(0, 0, 0, 0, 0, 0, 1, 2, 3)))
        .containsExactly("push under 1.00: 6", "push 1.00 and more: 3");
  }

  @Test
  void whatIsUnknownHasNoCell() {
    assertThat(counts(answer(1, Double.NaN, 2, Double.NaN)))
        .containsExactly("push 1.00: 1", "push 2.00: 1");
  }

  @Test
  void oneValueTellsNothingApart() {
    assertThat(counts(answer(1, 1, 1))).isEmpty();
  }
}
