package kelvo.desktop.review;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.trade.FillSide;

/** One fill, written by hand part by part. */
final class FillByHand extends VBox {
  private static final List<String> PARTS =
      List.of("date", "time", "symbol", "quantity", "price", "fee", "account");
  private static final double WIDE = 92;

  private final LocalDate today;
  private final Label why = new Label();
  private final List<TextField> fields = new ArrayList<>();
  private final ComboBox<String> side = new ComboBox<>();

  FillByHand(LocalDate today) {
    super(6);
    this.today = today;
    getStyleClass().addAll("card", "part");
    why.setWrapText(true);
    GridPane grid = new GridPane(8, 4);
    for (int i = 0; i < PARTS.size(); i++) {
      TextField field = new TextField();
      field.setId("fill-" + PARTS.get(i));
      field.setPrefWidth(WIDE);
      fields.add(field);
      grid.add(new Label(PARTS.get(i)), i % 4, 2 * (i / 4));
      grid.add(field, i % 4, 2 * (i / 4) + 1);
    }
    side.setId("fill-side");
    side.setPrefWidth(WIDE);
    side.getItems().setAll(Arrays.stream(FillSide.values()).map(FillSide::word).toList());
    grid.add(new Label("side"), 3, 2);
    grid.add(side, 3, 3);
    getChildren().addAll(why, grid);
    begin();
  }

  /** Asks for any fill of the day. */
  void begin() {
    why.setText("A fill by hand. Add looks at it like at any broker's row.");
    fill(today.toString(), "", "", "", "", "0", "");
    side.setValue(FillSide.BUY.word());
  }

  /** Asks how a position was opened that the record only knows to have been closed. */
  void askFor(Fill closing) {
    why.setText(
        closing.symbol()
            + " was closed, but opened before the record. Say when and at what price, once, and it"
            + " counts.");
    boolean wasLong = closing.side().sign() < 0;
    fill(
        today.minusDays(1).toString(),
        DayTime.seconds(DayTime.of(15, 59)),
        closing.symbol(),
        closing.quantity().toPlainString(),
        "",
        "0",
        closing.account());
    side.setValue((wasLong ? FillSide.BUY : FillSide.SHORT).word());
  }

  private void fill(String... values) {
    for (int i = 0; i < fields.size(); i++) {
      fields.get(i).setText(values[i]);
    }
  }

  /** What was written, as a broker's table of one row. */
  String table() {
    return String.join(",", PARTS)
        + ",side\n"
        + fields.stream()
            .map(field -> '"' + field.getText().strip().replace("\"", "") + '"')
            .collect(Collectors.joining(","))
        + ","
        + side.getValue()
        + "\n";
  }
}
