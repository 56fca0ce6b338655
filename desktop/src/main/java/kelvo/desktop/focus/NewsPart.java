package kelvo.desktop.focus;

import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;
import kelvo.engine.MarketSnapshot;
import kelvo.field.Unit;
import kelvo.news.Catalyst;
import kelvo.news.NewsReading;
import org.jspecify.annotations.Nullable;

/** The items that name the symbol, newest first, as plain text. */
final class NewsPart extends ScrollPane {
  private final VBox items = new VBox(8);

  NewsPart() {
    setAccessibleText("News");
    items.getStyleClass().add("part");
    setContent(items);
    setFitToWidth(true);
  }

  void show(MarketSnapshot.@Nullable Focus focus) {
    items.getChildren().clear();
    if (focus == null || focus.news().isEmpty()) {
      items
          .getChildren()
          .add(
              new Label(
                  "No item names this symbol. News is read from the folder's news/*.xml files."));
      return;
    }
    for (Catalyst item : focus.news()) {
      Label head = new Label(FocusHeader.when(item.at()) + "  " + item.headline());
      head.getStyleClass().addAll("strong", "tone-catalyst");
      head.setWrapText(true);
      boolean subject = item.isAbout(focus.facts().symbol(), focus.facts().security().name());
      NewsReading reading = item.reading();
      String decided =
          reading.deciding().isEmpty()
              ? ""
              : "; by its words: " + String.join(", ", reading.deciding());
      Label read =
          new Label(
              reading.category().words()
                  + ", tone "
                  + Unit.NUMBER.text(reading.tone())
                  + ", weight "
                  + reading.weight().words()
                  + decided);
      read.getStyleClass().addAll("small", "faded");
      read.setWrapText(true);
      Label body =
          new Label(
              item.source() + ", " + (subject ? "about it" : "mentions it") + ". " + item.body());
      body.setWrapText(true);
      items.getChildren().addAll(head, read, body);
    }
  }
}
