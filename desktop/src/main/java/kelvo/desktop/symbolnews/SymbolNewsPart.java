package kelvo.desktop.symbolnews;

import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.PartKind;
import kelvo.desktop.workspace.SymbolPart;
import kelvo.desktop.workspace.Workspace;
import kelvo.field.Unit;
import kelvo.news.Catalyst;
import kelvo.news.NewsReading;
import kelvo.view.SymbolNewsView;
import org.jspecify.annotations.Nullable;

/** The items that name the symbol, newest first, as plain text. */
public final class SymbolNewsPart extends ScrollPane implements SymbolPart {
  /** Its kind. */
  public static final PartKind KIND =
      new PartKind("NEWS", "News", (workspace, choice) -> new SymbolNewsPart(workspace));

  private final Workspace workspace;
  private final Followed<SymbolNewsView.SymbolNews> followed;
  private final VBox items = new VBox(8);
  private SymbolNewsView.@Nullable SymbolNews listed;

  SymbolNewsPart(Workspace workspace) {
    this.workspace = workspace;
    followed = new Followed<>(workspace.clock(), this::list);
    items.getStyleClass().add("part");
    setContent(items);
    setFitToWidth(true);
  }

  @Override
  public Node node() {
    return this;
  }

  @Override
  public void show(String symbol) {
    hide();
    listed = null;
    items.getChildren().clear();
    workspace
        .session()
        .numberOf(symbol)
        .ifPresentOrElse(
            security -> followed.follow(new SymbolNewsView(workspace.session(), security)),
            this::none);
  }

  @Override
  public void hide() {
    followed.stop();
  }

  private void none() {
    items
        .getChildren()
        .setAll(
            new Label(
                "No item names this symbol. News is read from the folder's news/*.xml files."));
  }

  private void list(SymbolNewsView.SymbolNews news) {
    if (news.equals(listed)) {
      return;
    }
    listed = news;
    items.getChildren().clear();
    if (news.items().isEmpty()) {
      none();
    }
    for (Catalyst item : news.items()) {
      Label head = new Label(Numbers.when(item.at()) + "  " + item.headline());
      head.getStyleClass().addAll("strong", "tone-catalyst");
      head.setWrapText(true);
      boolean subject = item.isAbout(news.facts().symbol(), news.facts().security().name());
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
