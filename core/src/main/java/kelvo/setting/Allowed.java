package kelvo.setting;

import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import kelvo.refusal.RefusedException;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/** What a setting may be. */
public sealed interface Allowed {
  /**
   * The value as it is kept.
   *
   * @throws RefusedException saying what was expected
   */
  String checked(String text);

  /** One of some words. */
  record Words(List<String> words) implements Allowed {
    public Words {
      words = List.copyOf(words);
    }

    @Override
    public String checked(String text) {
      String word = text.strip().toLowerCase(Locale.ROOT);
      if (!words.contains(word)) {
        throw new RefusedException(
            "expected " + String.join(" or ", words) + ", found \"" + text + "\"");
      }
      return word;
    }
  }

  /** On or off. */
  record OnOff() implements Allowed {
    /** The word for on. */
    public static final String ON = "true";

    /** The word for off. */
    public static final String OFF = "false";

    @Override
    public String checked(String text) {
      String word = text.strip().toLowerCase(Locale.ROOT);
      if (!word.equals(ON) && !word.equals(OFF)) {
        throw new RefusedException("expected true or false, found \"" + text + "\"");
      }
      return word;
    }
  }

  /**
   * A number.
   *
   * @param least inclusive
   * @param most inclusive
   * @param decimals how many there may be
   * @param unit the words behind it
   */
  record Amount(double least, double most, int decimals, String unit) implements Allowed {
    @Override
    public String checked(String text) {
      try {
        double number = Double.parseDouble(text.strip());
        if (number >= least && number <= most) {
          return plain(number);
        }
      } catch (NumberFormatException e) {
        throw expected(text, e);
      }
      throw expected(text, null);
    }

    private RefusedException expected(String text, @Nullable Exception cause) {
      return new RefusedException(
          "expected a number from "
              + plain(least)
              + " to "
              + plain(most)
              + ", found \""
              + text
              + "\"",
          cause);
    }

    private String plain(double number) {
      return java.math.BigDecimal.valueOf(number)
          .setScale(decimals, java.math.RoundingMode.HALF_UP)
          .stripTrailingZeros()
          .toPlainString();
    }
  }

  /** A time of day, New York. */
  record TimeOfDay() implements Allowed {
    @Override
    public String checked(String text) {
      return DayTime.minutes(DayTime.parse(text.strip()));
    }
  }

  /** A web address, or nothing. */
  record WebAddress() implements Allowed {
    private static final Pattern ADDRESS =
        Pattern.compile("https?://[A-Za-z0-9.\\-\\[\\]:]+(/[^\\s\"<>\\\\^`{|}]*)?");

    @Override
    public String checked(String text) {
      String address = text.strip();
      if (!address.isEmpty() && !ADDRESS.matcher(address).matches()) {
        throw new RefusedException(
            "expected an address that begins with http:// or https://, or nothing, found \""
                + text
                + "\"");
      }
      return address;
    }
  }
}
