package kelvo.alert;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import kelvo.delivery.Channel;
import kelvo.refusal.RefusedException;
import kelvo.rule.Rule;
import kelvo.rule.RuleSentence;
import kelvo.rule.RuleSyntaxException;
import kelvo.rule.Vocabulary;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import kelvo.watchlist.TheTen;
import org.jspecify.annotations.Nullable;

/**
 * Reads and writes alerts as one sentence: WHOM WHEN, HOW OFTEN, until DATE, by CHANNELS. Such as
 * "SOLV rises through 8.20 while volume 5m at least 50K after 10:00, once, by popup and tone". What
 * is not said is once, for good, by popup and tone.
 */
public final class AlertSentence {
  private static final Pattern SENTENCE =
      Pattern.compile(
          "(.*?)(?:,\\s*(once|again after [^,]*))?(?:,?\\s+until\\s+(today|[0-9-]{8,10}))?"
              + "(?:,?\\s+by\\s+([a-z, ]+))?\\s*",
          Pattern.CASE_INSENSITIVE);
  private static final Pattern NAMED =
      Pattern.compile("(scan|list)\\s+([^:]+):(.*)", Pattern.CASE_INSENSITIVE);
  private static final Pattern THE_TEN =
      Pattern.compile("the ten\\s*:?(.*)", Pattern.CASE_INSENSITIVE);
  private static final Pattern EVERYONE =
      Pattern.compile("everything\\s*:?(.*)", Pattern.CASE_INSENSITIVE);
  private static final Pattern SYMBOL = Pattern.compile("([A-Za-z0-9.\\-]{1,12})\\s*:?(\\s.*|)");
  private static final Pattern TIME = Pattern.compile("\\s*\\b(after|before)\\s+(\\d\\d?:\\d\\d)");

  /** Relations with no field before them are about the price. */
  private static final Pattern OF_PRICE =
      Pattern.compile("(at least|at most|above|below|between)\\s.*");

  private AlertSentence() {}

  /**
   * What a sentence says.
   *
   * @param until null for good
   */
  public record Said(
      About about,
      AlertCondition when,
      Repeat repeat,
      @Nullable LocalDate until,
      Set<Channel> how) {
    /** The alert that it asks for, armed from nowhere on yet. */
    public Alert alert() {
      return new Alert(about, when, repeat, until, how, List.of(), null, false);
    }
  }

  /**
   * Reads a sentence.
   *
   * @param today the date for which "today" stands
   * @throws RefusedException when it is none; the message says what was expected
   */
  public static Said parse(String sentence, Vocabulary vocabulary, LocalDate today) {
    Matcher parts = SENTENCE.matcher(sentence.strip().replaceAll("\\s+", " "));
    if (!parts.matches()) {
      throw new RefusedException("expected one line, such as: SOLV rises through 8.20");
    }
    Repeat repeat =
        parts.group(2) == null
            ? Repeat.ONCE
            : Repeat.parse(parts.group(2).strip().toLowerCase(Locale.ROOT));
    LocalDate until = parts.group(3) == null ? null : date(parts.group(3), today);
    Set<Channel> how =
        parts.group(4) == null
            ? Channel.USUAL
            : Channel.parse(parts.group(4).toLowerCase(Locale.ROOT));
    String main = parts.group(1);
    Matcher named = NAMED.matcher(main);
    Matcher ten = THE_TEN.matcher(main);
    Matcher everyone = EVERYONE.matcher(main);
    Matcher symbol = SYMBOL.matcher(main);
    About about;
    String when;
    if (named.matches()) {
      String name = named.group(2).strip();
      about =
          named.group(1).equalsIgnoreCase("scan") ? new About.Finds(name) : new About.Members(name);
      when = named.group(3);
    } else if (ten.matches()) {
      about = new About.Members(TheTen.NAME);
      when = ten.group(1);
    } else if (everyone.matches()) {
      about = new About.Everyone();
      when = everyone.group(1);
    } else if (symbol.matches()) {
      about = new About.Symbol(symbol.group(1).toUpperCase(Locale.ROOT));
      when = symbol.group(2);
    } else {
      throw new RefusedException(
          "expected a symbol, \"the ten:\", \"list NAME:\", \"scan NAME:\" or \"everything:\" first");
    }
    AlertCondition condition = condition(when.strip().toLowerCase(Locale.ROOT), vocabulary);
    if (condition.isEmpty() && !(about instanceof About.Finds)) {
      throw new RefusedException(
          "expected when it rings, such as: " + about.words() + " rises through 8.20");
    }
    return new Said(about, condition, repeat, until, how);
  }

  private static LocalDate date(String words, LocalDate today) {
    try {
      return words.equalsIgnoreCase("today") ? today : LocalDate.parse(words);
    } catch (DateTimeException e) {
      throw new RefusedException(
          "expected today or a date such as 2031-03-14 after until, found \"" + words + "\"", e);
    }
  }

  /** An alert as a sentence that reads back as the same; what is usual is left out. */
  public static String of(Alert alert) {
    return alert.name()
        + ", "
        + alert.repeat().words()
        + (alert.until() == null ? "" : ", until " + alert.until())
        + (alert.how().equals(Channel.USUAL) ? "" : ", by " + Channel.words(alert.how()));
  }

  private static AlertCondition condition(String words, Vocabulary vocabulary) {
    List<Trigger> triggers = List.of();
    String rest = words;
    String[] tokens = words.split(" ");
    for (int count = tokens.length; count > 0; count--) {
      String start = String.join(" ", List.of(tokens).subList(0, count));
      String next = count < tokens.length ? tokens[count] : "while";
      if (Set.of("while", "with", "and", "after", "before").contains(next)) {
        List<Trigger> found = triggers(start);
        if (!found.isEmpty()) {
          triggers = found;
          rest = words.substring(start.length()).strip();
          break;
        }
      }
    }
    long from = DayTime.FIRST;
    long to = DayTime.LAST;
    for (Matcher time = TIME.matcher(rest); time.find(); time = TIME.matcher(rest)) {
      String clock = time.group(2).length() < 5 ? "0" + time.group(2) : time.group(2);
      if (time.group(1).equals("after")) {
        from = DayTime.parse(clock);
      } else {
        to = DayTime.parse(clock);
      }
      rest = (rest.substring(0, time.start()) + rest.substring(time.end())).strip();
    }
    return new AlertCondition(triggers, rules(rest, triggers.isEmpty(), vocabulary), from, to);
  }

  private static List<Trigger> triggers(String words) {
    try {
      List<Trigger> found =
          Stream.of(words.split(" or ")).flatMap(phrase -> Trigger.parse(phrase).stream()).toList();
      for (Trigger trigger : found) {
        if (trigger.isOfLevel()) {
          throw new LevelsRing();
        }
      }
      return found;
    } catch (LevelsRing e) {
      throw e;
    } catch (RefusedException e) {
      return List.of();
    }
  }

  /** Levels ring by themselves; an alert names its price. */
  private static final class LevelsRing extends RefusedException {
    private static final long serialVersionUID = 1L;

    LevelsRing() {
      super(
          "levels and lines ring by themselves on whom you watch; for an alert name the price, such"
              + " as: rises through 8.20");
    }
  }

  /** Rules joined by "and", which may also stand inside one: "between 3% and 5%". */
  private static List<Rule> rules(String words, boolean alone, Vocabulary vocabulary) {
    String text = words.replaceFirst("^(while|with|and)\\s+", "").strip();
    if (text.isEmpty()) {
      return List.of();
    }
    List<Rule> rules = new ArrayList<>();
    String pending = "";
    RuleSyntaxException problem = null;
    for (String part : text.split("\\s+(?:and|while|with)\\s+")) {
      String sentence = pending.isEmpty() ? part : pending + " and " + part;
      try {
        boolean ofPrice = OF_PRICE.matcher(sentence).matches();
        rules.add(RuleSentence.parse(ofPrice ? "price " + sentence : sentence, vocabulary));
        pending = "";
        problem = null;
      } catch (RuleSyntaxException e) {
        pending = sentence;
        problem = problem == null ? e : problem;
      }
    }
    if (problem != null) {
      throw new RefusedException(
          alone && rules.isEmpty()
              ? "\"" + text + "\" is neither a trigger nor a rule: " + problem.expected()
              : "\"" + pending + "\": " + problem.expected(),
          problem);
    }
    return rules;
  }
}
