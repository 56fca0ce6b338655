package kelvo.cli;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import kelvo.data.past.SessionsAsked;
import kelvo.data.report.ResearchTables;
import kelvo.data.research.QuestionSql;
import kelvo.refusal.RefusedException;
import kelvo.research.Answer;
import kelvo.research.AnswersBeside;
import kelvo.research.CaseMoment;
import kelvo.research.Direction;
import kelvo.research.Held;
import kelvo.research.Question;
import kelvo.research.ResearchCase;
import kelvo.scan.Scan;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code kelvo research}: what came of the finds of a scan in recorded sessions. */
@Command(
    name = "research",
    description = "Tells what came of a scan's finds in the sessions that were recorded.")
final class ResearchCommand implements Callable<Integer> {
  @Mixin final FolderArguments arguments;

  @Mixin RecordedSessions sessions = new RecordedSessions();

  @Option(
      names = "--enter",
      paramLabel = "WHEN",
      description =
          "hit (the first of a security and session), move (the first of every move), open, close,"
              + " or a time such as 10:30 at which it matches; hit if not given")
  String enter = "hit";

  @Option(
      names = "--after",
      paramLabel = "T",
      description = "with --enter hit: the first hit from this time of day on")
  @Nullable String after;

  @Option(names = "--side", paramLabel = "SIDE", description = "long or short; long if not given")
  String side = "long";

  @Option(
      names = "--held",
      paramLabel = "UNTIL",
      description =
          "until when cases are held for the cuts and the answer: \"5 min\", \"15 min\", \"30"
              + " min\", \"60 min\", close, \"next open\", \"next close\", \"day 3 close\" or \"day"
              + " 5 close\"; close if not given")
  String held = "close";

  @Option(
      names = "--position",
      paramLabel = "DOLLARS",
      description = "what a case buys or sells, for fees an order; ${DEFAULT-VALUE}")
  double position = Question.Costs.USUAL_POSITION;

  @Option(
      names = "--out",
      paramLabel = "FOLDER",
      description = "write figures.csv, cuts.csv, cases.csv, reach.csv and record.csv there")
  @Nullable Path out;

  @Option(
      names = "--sql",
      description =
          "print the question as SQL over a partitioned store of the folder, for the sessions of"
              + " which there are minute bars only")
  boolean sql;

  ResearchCommand(Terminal terminal) {
    arguments = new FolderArguments(terminal);
  }

  @Override
  public Integer call() {
    List<Question> questions = questions();
    Question question = questions.getFirst();
    SessionsAsked asked = asked(question);
    if (sql) {
      return printSql(question, asked);
    }
    Answer answer = answer(question, asked);
    if (out == null) {
      arguments.output.print(ResearchTables.FIGURE_COLUMNS, figures(question, answer.cases()));
    } else {
      writeAll(out, question, answer);
    }
    tell(answer, asked);
    if (questions.size() > 1) {
      tellBeside(answer, questions.getLast());
    }
    arguments.tellFaults();
    return arguments.exitCode();
  }

  private SessionsAsked asked(Question question) {
    return arguments.past(past -> sessions.of(arguments, past, question));
  }

  private Answer answer(Question question, SessionsAsked asked) {
    TextProgress progress =
        new TextProgress(
            arguments.terminal(), "Playing sessions for \"" + question.scan().name() + "\"");
    return Answer.of(
        question,
        Held.of(held),
        arguments.past(
            past -> past.cases(asked.dates(), question, LocalDate.MAX, one -> {}, progress)));
  }

  /** What sets the answer to the first question apart from that to another. */
  private Direction direction() {
    try {
      return Direction.of(side);
    } catch (RefusedException e) {
      throw new RefusedException("--side " + side + ": expected long or short", e);
    }
  }

  private void tellBeside(Answer answer, Question other) {
    AnswersBeside beside = AnswersBeside.of(answer, answer(other, asked(other)));
    arguments
        .terminal()
        .err()
        .println(
            "Beside \"%s\": %s; %d cases in both, %d only here, %d only there."
                .formatted(
                    other.scan().name(),
                    beside.words(),
                    beside.both().size(),
                    beside.onlyFirst().size(),
                    beside.onlySecond().size()));
  }

  private int printSql(Question question, SessionsAsked asked) {
    Set<LocalDate> ofBars = Set.copyOf(arguments.data().barDates());
    List<LocalDate> dates = asked.dates().stream().filter(ofBars::contains).toList();
    if (dates.isEmpty()) {
      throw new RefusedException(
          "--sql asks sessions of which there are minute bars only, and none of these is one; "
              + (asked.leftOut().isEmpty() ? "name others with --from and --to" : asked.words()));
    }
    arguments
        .terminal()
        .out()
        .println(QuestionSql.of(question, arguments.data().settings().phases(), dates));
    return 0;
  }

  /** The question, and with a second scan the same one about that. */
  private List<Question> questions() {
    List<Scan> scans = arguments.scans();
    int named = arguments.scanFiles.size();
    if (named == 0 || named > 2 || (sql && named > 1)) {
      throw new RefusedException(
          "name the scan with --scan FILE, and at most one more beside it, with --sql none");
    }
    Direction direction = direction();
    if (!(position > 0)) {
      throw new RefusedException("--position " + position + ": expected more than 0");
    }
    Question.Costs costs =
        new Question.Costs(arguments.data().settings().review().fees(), position);
    return scans.stream()
        .map(
            scan ->
                new Question(
                    scan, moment(), direction, costs, arguments.vocabulary().own().fields()))
        .toList();
  }

  private CaseMoment moment() {
    if (after != null && !enter.equals("hit")) {
      throw new RefusedException("--after goes with --enter hit only");
    }
    return CaseMoment.of(
        enter, after == null ? "" : after, arguments.data().settings().review().moveGap());
  }

  private static List<List<String>> figures(Question question, List<ResearchCase> cases) {
    List<List<String>> rows = new ArrayList<>();
    Arrays.stream(Held.values())
        .forEach(each -> rows.add(ResearchTables.figures(Answer.of(question, each, cases))));
    return rows;
  }

  private void writeAll(Path folder, Question question, Answer answer) {
    try {
      Files.createDirectories(folder);
      arguments.output.write(
          folder.resolve("figures.csv"),
          ResearchTables.FIGURE_COLUMNS,
          figures(question, answer.cases()));
      arguments.output.write(
          folder.resolve("cuts.csv"), ResearchTables.CUT_COLUMNS, ResearchTables.cuts(answer));
      arguments.output.write(
          folder.resolve("cases.csv"),
          ResearchTables.caseColumns(question),
          ResearchTables.cases(answer));
      arguments.output.write(
          folder.resolve("reach.csv"), ResearchTables.REACH_COLUMNS, ResearchTables.reach(answer));
      arguments.output.write(
          folder.resolve("record.csv"),
          ResearchTables.RECORD_COLUMNS,
          ResearchTables.record(
              answer.cases(), arguments.past(past -> past.sheets(answer.cases(), LocalDate.MAX))));
    } catch (IOException e) {
      throw new UncheckedIOException(
          "cannot write to " + folder + "; name a folder that can be written", e);
    }
  }

  private void tell(Answer answer, SessionsAsked asked) {
    long assumed = answer.cases().stream().filter(ResearchCase::spreadAssumed).count();
    arguments
        .terminal()
        .err()
        .println(
            answer.question().words()
                + ", from "
                + asked.dates().getFirst()
                + " to "
                + asked.dates().getLast()
                + ", until "
                + answer.until().phrase()
                + ": "
                + answer.words());
    if (!asked.leftOut().isEmpty()) {
      arguments.terminal().err().println(asked.words());
    }
    long gone = answer.cases().stream().filter(ResearchCase::gone).count();
    if (gone > 0) {
      arguments
          .terminal()
          .err()
          .println(
              gone
                  + (gone == 1 ? " case is" : " cases are")
                  + " of a security that has ended since; its last price stands for later ones.");
    }
    if (assumed > 0) {
      arguments
          .terminal()
          .err()
          .println(
              "No quote told the spread of "
                  + assumed
                  + " of the cases; the usual one of that hour, or a tick, stands for it.");
    }
  }
}
