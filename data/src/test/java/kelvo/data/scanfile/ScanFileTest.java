package kelvo.data.scanfile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ScanFileTest {
  private static Scan parse(String json) {
    return ScanFile.parse("risers.json", json, Vocabulary.DEFAULT, List.of());
  }

  @Test
  void readsEveryPartOfAScan() {
    Scan scan =
        parse(
            """
            {"kelvo":1,"name":"Morning risers","window":["04:00","09:30"],
             "rules":["kind is common stock","gap at least 4%"],
             "any":[["minutes since news at most 600","float at most 5M"]],
             "triggers":["new high of session","level passed"],"fold":"5m","side":"up","limit":20,
             "sort":["premarket trades down","from 10:00 change % down"],"columns":["price","gap"]}
            """);

    assertThat(scan.to()).isEqualTo(DayTime.of(9, 30));
    assertThat(scan.rules()).hasSize(2);
    assertThat(scan.anyOf().getFirst()).hasSize(2);
    assertThat(scan.triggers())
        .contains(
            Trigger.NEW_HIGH_OF_SESSION, Trigger.RISES_THROUGH_LEVEL, Trigger.FALLS_THROUGH_LEVEL);
    assertThat(scan.fold()).isEqualTo(5 * DayTime.MINUTE);
    assertThat(scan.side()).isEqualTo(Side.UP);
    assertThat(scan.sort()).extracting(o -> o.from()).containsExactly(0L, DayTime.of(10, 0));
    assertThat(scan.columns()).extracting(c -> c.words()).containsExactly("price", "gap");
  }

  @Test
  void theShippedScansHaveNamesOfTheirOwn() {
    assertThat(ScanFile.shipped(Vocabulary.DEFAULT))
        .hasSize(15)
        .extracting(Scan::name)
        .doesNotHaveDuplicates();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '\'',
      value = {
        "{\"name\":\"x\"} | kelvo: expected 1",
        "{\"kelvo\":1,\"name\":\"x\",\"rules\":[\"gapp at least 4%\"]} | rules 1",
        "{\"kelvo\":1,\"name\":\"x\",\"columns\":[\"colour\"]} | columns: expected a field",
        "{\"kelvo\":1,\"name\":\"x\",\"window\":[\"9\",\"10:00\"]} | window: expected a time",
        "{\"kelvo\":1,\"name\":\"\"} | name: expected a name",
        "{\"kelvo\":1, | line 1, character 12: expected JSON"
      })
  void aWrongFileSaysWhere(String json, String message) {
    assertThatThrownBy(() -> parse(json))
        .hasMessageContaining("risers.json")
        .hasMessageContaining(message);
  }
}
