package kelvo.desktop.facts;

import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;

/**
 * A small label that is told again and again what to say, and changes only what differs: making
 * labels anew at each snapshot costs the window's thread more than all charts.
 */
final class ToldLabel extends Label {
  private final Tooltip help = new Tooltip();
  private String tone = "";

  ToldLabel() {
    getStyleClass().add("small");
    setMinWidth(USE_PREF_SIZE);
  }

  /**
   * Says something.
   *
   * @param inTone a style class, such as "faded"; empty for plain ink
   * @param explained what the tooltip says; empty for none
   */
  void tell(String text, String inTone, String explained) {
    if (!text.equals(getText())) {
      setText(text);
    }
    if (!tone.equals(inTone)) {
      getStyleClass().remove(tone);
      if (!inTone.isEmpty()) {
        getStyleClass().add(inTone);
      }
      tone = inTone;
    }
    if (!help.getText().equals(explained)) {
      help.setText(explained);
      setTooltip(explained.isEmpty() ? null : help);
    }
  }
}
