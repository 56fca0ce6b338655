package kelvo.desktop.focus;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;
import kelvo.view.MarketSnapshot;
import kelvo.field.Unit;
import kelvo.news.Catalyst;
import kelvo.news.NewsReading;
import org.jspecify.annotations.Nullable;

/** The items that name the symbol, newest first, as plain text. */
final class NewsPart extends ScrollPane implements FocusPart {
  private final VBox items = new VBox(8);
  private @Nullable Listed listed;

  /** What the list was made for. */
  private record Listed(String symbol, List<Catalyst> news) {}

  NewsPart() {
    items.getStyleClass().add("part");
    setContent(items);
    setFitToWidth(true);
  }

  @Override
  public Node node() {
    return this;
  }

  @Override
  public void show(ShownSymbol shown) {
    List<Catalyst> news = shown.focus() == null ? List.of() : shown.focus().news();
    Listed wanted = new Listed(shown.symbol(), news);
    if (!wanted.equals(listed)) {
      listed = wanted;
      items.getChildren().clear();
      list(shown.focus());
    }
  }

  private void list(MarketSnapshot.@Nullable Focus focus) {
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
