package kelvo.desktop.rules;

import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.scene.control.TextField;
import kelvo.refusal.RefusedException;
import kelvo.rule.ListCompletion;
import kelvo.rule.Rule;
import kelvo.rule.RuleCompletion;
import kelvo.rule.RuleSentence;
import kelvo.rule.SentenceList;
import kelvo.rule.Vocabulary;

/**
 * Groups of rules, of each of which at least one must hold: sentences joined by "or", groups with a
 * semicolon between them. Every change that can be read is told at once.
 */
public final class AnyOfField extends TextField {
  private boolean showing;

  /**
   * No groups yet.
   *
   * @param changed takes the groups after every change that leaves them readable
   * @param says takes what is wrong; an empty text once nothing is
   */
  public AnyOfField(
      Vocabulary vocabulary,
      RuleCompletion completion,
      Consumer<List<List<Rule>>> changed,
      Consumer<String> says) {
    setAccessibleText("Any of");
    setPromptText("one of these must hold: gap at least 4% or gap at most -4%; another group");
    new CompletionPopup(
        this, typed -> ListCompletion.after(typed, ListCompletion.OR, completion::after));
    textProperty()
        .addListener(
            (o, was, is) -> {
              if (!showing) {
                read(vocabulary, changed, says);
              }
            });
  }

  private void read(
      Vocabulary vocabulary, Consumer<List<List<Rule>>> changed, Consumer<String> says) {
    getStyleClass().remove("wrong");
    try {
      changed.accept(
          SentenceList.split(getText(), ';').stream()
              .map(group -> RuleSentence.parseAny(group, vocabulary))
              .toList());
      says.accept("");
    } catch (RefusedException e) {
      getStyleClass().add("wrong");
      says.accept(String.valueOf(e.getMessage()));
    }
  }

  /** Shows groups, unless others are being typed. */
  public void show(List<List<Rule>> groups) {
    if (!isFocused()) {
      showOthers(groups);
    }
  }

  /** Shows the groups of something else: what was being typed goes. */
  public void showOthers(List<List<Rule>> groups) {
    String text = groups.stream().map(RuleSentence::ofAny).collect(Collectors.joining("; "));
    if (!getText().equals(text)) {
      showing = true;
      setText(text);
      showing = false;
      getStyleClass().remove("wrong");
    }
  }
}
