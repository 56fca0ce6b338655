package kelvo.delivery;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kelvo.refusal.RefusedException;

/** A way in which something that rings reaches the trader. */
public enum Channel {
  POPUP,
  TONE,
  SPOKEN,
  NOTIFICATION,
  WEBHOOK;

  /** What is used where nothing else has been said. */
  public static final Set<Channel> USUAL = Set.of(POPUP, TONE);

  /** How it is called in sentences, in files and on screen. */
  public String words() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** These channels as words, in a fixed order: "popup, tone and spoken". */
  public static String words(Set<Channel> channels) {
    if (channels.isEmpty()) {
      return "nothing";
    }
    String all =
        Stream.of(values())
            .filter(channels::contains)
            .map(Channel::words)
            .collect(Collectors.joining(", "));
    int last = all.lastIndexOf(", ");
    return last < 0 ? all : all.substring(0, last) + " and" + all.substring(last + 1);
  }

  /**
   * The channels of words such as "popup, tone and spoken", or "nothing".
   *
   * @throws RefusedException when a word is none; the message says which there are
   */
  public static Set<Channel> parse(String words) {
    Set<Channel> channels = EnumSet.noneOf(Channel.class);
    if (!words.strip().equals("nothing")) {
      for (String word : words.strip().split("\\s*,\\s*|\\s+and\\s+|\\s+")) {
        channels.add(one(word));
      }
    }
    return Set.copyOf(channels);
  }

  /** These channels with another one, or without it. */
  public static Set<Channel> changed(Set<Channel> channels, Channel channel, boolean in) {
    Set<Channel> changed = new HashSet<>(channels);
    if (in) {
      changed.add(channel);
    } else {
      changed.remove(channel);
    }
    return Set.copyOf(changed);
  }

  private static Channel one(String word) {
    return Stream.of(values())
        .filter(channel -> channel.words().equals(word))
        .findFirst()
        .orElseThrow(
            () ->
                new RefusedException(
                    "expected popup, tone, spoken, notification, webhook or nothing, found \""
                        + word
                        + "\""));
  }
}
