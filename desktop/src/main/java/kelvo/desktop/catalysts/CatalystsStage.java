package kelvo.desktop.catalysts;

import java.util.List;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.value.ObservableValue;
import javafx.scene.Parent;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.VBox;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.rules.CompletionPopup;
import kelvo.desktop.symbolnews.SymbolNewsPart;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.DayStage;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.StageKey;
import kelvo.desktop.workspace.StageKind;
import kelvo.desktop.workspace.Workspace;
import kelvo.field.Unit;
import kelvo.news.NewsCategory;
import kelvo.news.NewsReading;
import kelvo.refusal.RefusedException;
import kelvo.rule.ListCompletion;
import kelvo.rule.RuleCompletion;
import kelvo.rule.SessionWords;
import kelvo.rule.Vocabulary;
import kelvo.time.DayTime;
import kelvo.view.CatalystCompletion;
import kelvo.view.CatalystFilter;
import kelvo.view.NewsView;

/** The Catalysts stage: the news so far, filtered by what it is and by the market's answer. */
public final class CatalystsStage extends BorderPane implements DayStage {
  /** Its kind. */
  public static final StageKind KIND = new StageKind("Catalysts", 4, "fth-file-text");

  private final Workspace workspace;
  private final ReadOnlyStringWrapper nextStep = new ReadOnlyStringWrapper("");
  private final TextField filter = new TextField();
  private final Label standing = new Label();
  private final Label words = new Label();
  private final Grid<NewsView.NewsRow> items =
      new Grid<>("News", row -> row.symbol() + row.number());
  private final Vocabulary vocabulary;
  private final Followed<NewsView.NewsList> followed;
  private CatalystFilter applied = CatalystFilter.ALL;

  /** The stage of a window. */
  public CatalystsStage(Workspace workspace) {
    this.workspace = workspace;
    followed = new Followed<>(workspace.clock(), this::show);
    vocabulary = workspace.desk().vocabulary();
    filter.setId("news-filter");
    filter.setPromptText("subject, since at least 3%, volume 5m at least 20K");
    filter.setAccessibleText("Filter of the news");
    filter.textProperty().addListener((o, was, is) -> apply(is));
    filter.setOnAction(e -> items.requestFocus());
    CatalystCompletion completion =
        new CatalystCompletion(
            new RuleCompletion(vocabulary, new SessionWords(workspace.session())));
    new CompletionPopup(
        filter, typed -> ListCompletion.after(typed, ListCompletion.COMMA, completion::after));
    standing.getStyleClass().addAll("small", "faded");
    standing.setWrapText(true);
    words.getStyleClass().addAll("small");
    words.setWrapText(true);
    VBox top = new VBox(4, filter, standing, words);
    top.getStyleClass().addAll("card", "part");
    setTop(top);
    setCenter(items);
    items.columns(columns());
    items.groups(row -> Math.floorDiv(row.item().at(), DayTime.DAY));
    items.onTold(workspace.window().action()::set);
    items.onSelect(row -> workspace.focus().on(row.symbol()));
    items.theme(workspace.window().theme().get());
    workspace.window().theme().addListener((o, was, is) -> items.theme(is));
  }

  private static List<GridColumn<NewsView.NewsRow>> columns() {
    return List.of(
        GridColumn.<NewsView.NewsRow>words(
                "time",
                "When it was published, New York; a dot for an earlier day.",
                52,
                r -> time(r))
            .growing(0),
        GridColumn.<NewsView.NewsRow>symbols(NewsView.NewsRow::symbol)
            .toned(r -> r.subject() ? Tone.INK : Tone.FADED),
        GridColumn.<NewsView.NewsRow>numbers(
                "since",
                "Change of the price since it was published.",
                60,
                r -> Numbers.percent(r.changeSince()))
            .toned(r -> Tone.ofChange(r.changeSince())),
        GridColumn.<NewsView.NewsRow>words(
                "headline", "As published.", 240, r -> r.item().headline())
            .growing(4)
            .toned(r -> r.subject() ? Tone.INK : Tone.FADED),
        GridColumn.<NewsView.NewsRow>words(
                "about",
                "The category, by its words, and how much such an item can move a price when that is"
                    + " much; empty when they say neither.",
                108,
                r -> about(r.item().reading()))
            .growing(0)
            .toned(r -> Tone.CATALYST),
        GridColumn.<NewsView.NewsRow>numbers(
                "tone",
                "From -1, bad for the price, to 1, by its words; empty when they take no side.",
                50,
                r -> tone(r.item().reading().tone()))
            .toned(r -> Tone.ofMoney(r.item().reading().tone())),
        GridColumn.numbers(
            "volume 5m",
            "Shares of the last five minutes.",
            60,
            r -> Unit.SHARES.text(r.volumeFiveMinutes())));
  }

  /** What is neutral stays empty. */
  private static String about(NewsReading reading) {
    String category = reading.category() == NewsCategory.OTHER ? "" : reading.category().words();
    return reading.weight() == NewsCategory.Weight.HIGH
        ? (category + ", weighty").replaceFirst("^, ", "")
        : category;
  }

  private static String tone(double tone) {
    return tone == 0 ? "" : Unit.NUMBER.text(tone);
  }

  private static String time(NewsView.NewsRow row) {
    long at = row.item().at();
    return at >= 0 ? DayTime.minutes(at) : "·" + DayTime.minutes(Math.floorMod(at, DayTime.DAY));
  }

  /** Applies the filter as it is typed; while it is no filter, the last one that was one stays. */
  private void apply(String text) {
    try {
      applied = CatalystFilter.parse(text, vocabulary);
      if (followed.isFollowing()) {
        shown();
      }
      filter.getStyleClass().remove("wrong");
    } catch (RefusedException e) {
      if (!filter.getStyleClass().contains("wrong")) {
        filter.getStyleClass().add("wrong");
      }
      standing.setText(e.getMessage());
    }
  }

  @Override
  public List<StageKey> keys() {
    return List.of(new StageKey("J, space", "the next item"), new StageKey("F", "filter"));
  }

  @Override
  public ObservableValue<String> nextStep() {
    return nextStep.getReadOnlyProperty();
  }

  @Override
  public StageKind kind() {
    return KIND;
  }

  @Override
  public Parent node() {
    return this;
  }

  @Override
  public void shown() {
    followed.follow(new NewsView(workspace.session(), applied));
  }

  @Override
  public void hidden() {
    followed.stop();
  }

  /** The text of news belongs beside the list of news. */
  @Override
  public String partBeside() {
    return SymbolNewsPart.KIND.id();
  }

  private void show(NewsView.NewsList shown) {
    items.emptyText(
        shown.all() == 0
            ? "No news so far. It is read from the folder's news/*.xml and *.json files and from the feed."
            : "No item fits the filter; " + shown.all() + " are there without it.");
    items.rows(shown.rows());
    nextStep.set(
        shown.all() == 0
            ? ""
            : shown.rows().size() + " of " + shown.all() + " items: walk with J, filter with F");
    if (!filter.getStyleClass().contains("wrong")) {
      standing.setText(
          shown.rows().size()
              + " of "
              + shown.all()
              + " items. Filter by change since, category, tone, weight, source, subject or mention, or any rule about the stock now.");
    }
    words.setText(
        shown.words().isEmpty()
            ? ""
            : "In many headlines: "
                + shown.words().stream()
                    .map(w -> w.word() + " (" + w.headlines() + ")")
                    .collect(Collectors.joining(", ")));
  }

  @Override
  public boolean key(KeyEvent event) {
    if (event.getCode() == KeyCode.J || event.getCode() == KeyCode.SPACE) {
      items.move(1);
      return true;
    }
    if (event.getCode() == KeyCode.F) {
      filter.requestFocus();
      return true;
    }
    return false;
  }
}
